import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { lookingOf, putIntent } from '@/core/looking/edit';
import type { Pair } from '@/core/looking/relations';
import type { Picture } from '@/core/looking/schema';
import { tellRange, tellValues, type PassageTold } from '@/core/looking/tell';
import type { Painting } from '@/core/painting';
import { parseNumber } from '@/forms';
import { changePainting } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Stepper } from '@/ui/Stepper';
import { useWide } from '@/ui/Split';
import { Heading, Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';
import { Ladder } from './Ladder';
import { MapPicture } from './MapPicture';
import { Mend } from './Mend';
import { useMap, type LookState, type MapAsked } from './useLook';

const VIEWS = [
  { key: 'masses', name: 'masses' },
  { key: 'grey', name: 'greys' },
  { key: 'warmth', name: 'warm and cool' },
  { key: 'colour', name: 'colour' },
] as const;

/** Values of design and work side by side, the order of the passages, what departs, and what would mend it. */
export function Values({
  painting,
  work,
  design,
  state,
  pairs,
  width,
}: {
  painting: Painting;
  work: Picture;
  design: Picture | null;
  state: LookState;
  pairs: Pair[];
  width: number;
}) {
  const wide = useWide();
  const [view, setView] = useState<MapAsked['view']>('masses');
  const [kText, setK] = useState('5');
  const [way, setWay] = useState<MapAsked['way']>('breaks');
  const [squint, setSquint] = useState('0');
  const k = Math.min(9, Math.max(2, Math.round(parseNumber(kText)) || 5));
  const cm = parseNumber(squint);
  const squintMm = cm >= 0 && cm <= 20 ? cm * 10 : 0;
  const drawn: MapAsked = {
    view,
    k,
    way,
    squintMm,
    thresholds: null,
    distanceM: null,
    mostPx: 620,
  };
  const designMap = useMap(painting, design, drawn);
  // One set of thresholds serves both: else two unlike pictures get alike masses.
  const shared = designMap && view === 'masses' ? designMap.thresholds : null;
  const workMap = useMap(painting, work, { ...drawn, thresholds: shared });
  const names = useMemo(
    () => new Map(painting.passages.map((p) => [p.id, p.name])),
    [painting.passages],
  );
  const told = state.at === 'found' ? tellValues(state.found.looked, pairs, names) : null;
  const range = state.at === 'found' ? tellRange(state.found.looked, names) : null;
  const level = state.at === 'found' ? state.found.looked.trust.level : 'order';
  const turned = new Set(
    state.at === 'found'
      ? (state.found.looked.order?.turned.flatMap((t) => [t.lighter, t.darker]) ?? [])
      : [],
  );
  const off = told?.passages
    .filter((p) => p.byL !== null)
    .sort((p, q) => Math.abs(q.byL!) - Math.abs(p.byL!))[0];
  const ratio = painting.support.heightMm / painting.support.widthMm;
  const side = wide ? Math.floor(width * 0.62) : width;
  const each = Math.floor((side - space.s) / (design ? 2 : 1));
  const pictures = (
    <View style={{ gap: space.m, width: side }}>
      <View style={styles.pair}>
        {design ? (
          <View>
            <MapPicture map={designMap} label="The design" width={each} ratio={ratio} />
            <Text size="small">○ design</Text>
          </View>
        ) : null}
        <View>
          <MapPicture map={workMap} label="Yours" width={each} ratio={ratio} />
          <Text size="small">{`■ yours${level === 'order' ? ', order of values only' : ''}`}</Text>
        </View>
      </View>
    </View>
  );
  const controls = (
    <View style={{ gap: space.m }}>
      <Choice label="Shown in" options={[...VIEWS]} value={view} onChange={setView} />
      <View style={styles.figures}>
        {view === 'masses' ? (
          <Stepper label="Masses" step={1} min={2} max={9} text={kText} onChangeText={setK} />
        ) : null}
        <Stepper
          label="Squint: nothing finer than"
          unit="cm"
          step={0.5}
          min={0}
          max={20}
          text={squint}
          onChangeText={setSquint}
        />
      </View>
      {view === 'masses' ? (
        <Choice
          label="Masses parted"
          options={[
            { key: 'breaks', name: 'where values part' },
            { key: 'even', name: 'evenly' },
            { key: 'areas', name: 'by area' },
          ]}
          value={way}
          onChange={setWay}
        />
      ) : null}
    </View>
  );
  const figures = told ? (
    <View style={{ gap: space.m, flex: 1 }}>
      {wide ? <Heading level={2}>{told.verdict}</Heading> : null}
      {pairs.length > 1 ? (
        <Ladder
          passages={told.passages}
          turned={turned}
          figures={level !== 'order'}
          width={wide ? width - side - space.xl : width}
        />
      ) : null}
      {told.lines.map((line) => (
        <Text key={line}>{line}</Text>
      ))}
      {range ? <Text>{range}</Text> : null}
      {off ? <Mend painting={painting} told={off} /> : null}
      {told.passages
        .filter((p) => p.designL !== null)
        .map((p) => (
          <Passage key={p.id} painting={painting} told={p} level={level} />
        ))}
    </View>
  ) : null;
  return (
    <View style={wide ? styles.wide : { gap: space.xl }}>
      {wide ? (
        <>
          <View style={{ gap: space.m, width: side }}>
            {pictures}
            {controls}
          </View>
          {figures}
        </>
      ) : (
        <>
          {told ? <Heading level={2}>{told.verdict}</Heading> : null}
          {pictures}
          {figures}
          {controls}
        </>
      )}
    </View>
  );
}

/** One passage: what is said of it, and whether it is meant so. */
function Passage({
  painting,
  told,
  level,
}: {
  painting: Painting;
  told: PassageTold;
  level: 'order' | 'relative' | 'steps';
}) {
  const dispatch = useStoreDispatch();
  const intent = lookingOf(painting).intents.find((i) => i.id === told.id);
  const departs = intent?.departs ?? null;
  const set = (next: number | 'free' | null, label: string) =>
    dispatch(
      changePainting(painting.id, label, (p) =>
        putIntent(p, { id: told.id, departs: next, why: intent?.why ?? '' }),
      ),
    );
  const figure = (L: number) => (L / 10).toFixed(1);
  return (
    <View style={styles.row}>
      <View style={{ flex: 1 }}>
        <Text strong>{told.name}</Text>
        <Text size="small" tone={told.byL === null ? 'ink2' : 'tawny'}>
          {told.words}
        </Text>
        {level === 'steps' ? (
          <Text size="small" tone="ink2">
            {`value ${figure(told.designL!)} in the design, ${figure(told.workL)} ±${figure(1.645 * told.sigmaL)} here`}
          </Text>
        ) : null}
      </View>
      {departs !== null ? (
        <Action
          title="As in the design"
          kind="quiet"
          label={`As in the design: ${told.name}`}
          onPress={() => set(null, `Meant ${told.name} as in the design`)}
        />
      ) : (
        <>
          {told.byL !== null ? (
            <Action
              title="Meant so"
              kind="quiet"
              label={`Meant so: ${told.name}`}
              onPress={() => set(Math.round(told.byL!), `Meant ${told.name} so`)}
            />
          ) : null}
          <Action
            title="Leave free"
            kind="quiet"
            label={`Leave free: ${told.name}`}
            onPress={() => set('free', `Left ${told.name} free`)}
          />
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  pair: { flexDirection: 'row', gap: space.s },
  figures: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.xl, rowGap: space.s },
  wide: { flexDirection: 'row', gap: space.xl, alignItems: 'flex-start' },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.s,
    paddingVertical: space.s,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
  },
});
