import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { squintSigmaMm } from '@/core/looking/blur';
import type { Pair } from '@/core/looking/relations';
import type { Picture } from '@/core/looking/schema';
import { tellRange, tellValues } from '@/core/looking/tell';
import type { Painting } from '@/core/painting';
import { parseNumber } from '@/forms';
import { useWide } from '@/ui/Split';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { Ladder } from './Ladder';
import { MapPicture } from './MapPicture';
import { MapControls } from './MapControls';
import { Mend } from './Mend';
import { PassageRow } from './PassageRow';
import { pictureName } from './picture-name';
import { useMap, type LookState, type MapAsked } from './useLook';

/** Values of design and work side by side, the order of the passages, what departs, and what would mend it. */
export function Values({
  painting,
  work,
  design,
  references,
  state,
  pairs,
  width,
}: {
  painting: Painting;
  work: Picture;
  design: Picture | null;
  /** Pictures of the subject: seen beside the work, never held against its outlines. */
  references: Picture[];
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
  // Discs of so many cm melt.
  const squintMm = cm >= 0 && cm <= 20 ? squintSigmaMm(cm * 10) : 0;
  const drawn: MapAsked = {
    view,
    k,
    way,
    squintMm,
    thresholds: null,
    distanceM: null,
    mostPx: 620,
  };
  const [besideId, setBeside] = useState<string | null>(null);
  const reference = references.find((p) => p.id === besideId) ?? null;
  const beside = reference ?? design ?? references[0] ?? null;
  const besideMap = useMap(supportOf(painting, beside), beside, drawn);
  // One set of thresholds serves both: else two unlike pictures get alike masses.
  const shared = besideMap && view === 'masses' ? besideMap.thresholds : null;
  const workMap = useMap(painting.support, work, { ...drawn, thresholds: shared });
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
  const ratio = ratioOf(painting.support);
  const side = wide ? Math.floor(width * 0.62) : width;
  const each = Math.floor((side - space.s) / (beside ? 2 : 1));
  const pictures = (
    <View style={{ gap: space.m, width: side }}>
      <View style={styles.pair}>
        {beside ? (
          <View>
            <MapPicture
              map={besideMap}
              label={beside.kind === 'design' ? 'The design' : 'The reference'}
              width={each}
              ratio={ratioOf(supportOf(painting, beside))}
            />
            <Text size="small">{beside.kind === 'design' ? '○ design' : pictureName(beside)}</Text>
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
    <MapControls
      view={{ value: view, set: setView }}
      masses={{ value: kText, set: setK }}
      way={{ value: way, set: setWay }}
      squint={{ value: squint, set: setSquint }}
      beside={{ value: beside?.id ?? null, set: setBeside }}
      choices={[...(design ? [design] : []), ...references]}
    />
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
          <PassageRow key={p.id} painting={painting} told={p} level={level} />
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

const ratioOf = ({ widthMm, heightMm }: { widthMm: number; heightMm: number }): number =>
  heightMm / widthMm;

/** A reference whose corners nobody set has its own shape; all else lies on the support. */
function supportOf({ support }: Painting, picture: Picture | null): Painting['support'] {
  return picture?.kind === 'reference' && !picture.corners
    ? { ...support, heightMm: (support.widthMm * picture.height) / picture.width }
    : support;
}

const styles = StyleSheet.create({
  pair: { flexDirection: 'row', gap: space.s },
  wide: { flexDirection: 'row', gap: space.xl, alignItems: 'flex-start' },
});
