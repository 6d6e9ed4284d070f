import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { squintSigmaMm } from '@/core/looking/blur';
import type { MapAsked, MapView } from '@/core/looking/maps';
import type { MassChoice } from '@/core/looking/masses';
import type { Pair } from '@/core/looking/relations';
import type { Picture } from '@/core/looking/schema';
import { tellGraded, tellRange, tellValues } from '@/core/looking/tell';
import { tellColours } from '@/core/looking/tell-colour';
import type { Painting } from '@/core/painting';
import { unlaidPassages } from '@/core/painting/sites';
import { parseNumber } from '@/forms';
import { Action } from '@/ui/Action';
import { useWide } from '@/ui/Split';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { pictureWidth } from './Beside';
import { Compared, type ComparedBy } from './Compared';
import { Ladder } from './Ladder';
import { limitsOf, MapControls } from './MapControls';
import { Mend } from './Mend';
import { PassageRow } from './PassageRow';
import { pictureName } from './picture-name';
import { RangeGate } from './RangeGate';
import type { LookState } from './useLook';
import { PLAIN, useMap } from './useMap';

/** Half of a phone, as fine as its screen; a slider is followed at this size. */
const SIDE_PX = 520;

/** How the pictures of the values are drawn, as the painter has set it. */
function useControls() {
  const [view, setView] = useState<MapView>('masses');
  const [masses, setMasses] = useState('5');
  const [way, setWay] = useState<MassChoice>('breaks');
  const [squint, setSquint] = useState('0');
  const [typed, setTyped] = useState<readonly string[]>([]);
  const k = Math.min(9, Math.max(2, Math.round(parseNumber(masses)) || 5));
  // Even steps to begin with; as many as there are masses.
  const limits = Array.from(
    { length: k - 1 },
    (_, i) => typed[i] ?? ((10 * (i + 1)) / k).toFixed(1),
  );
  const cm = parseNumber(squint);
  const byHand = way === 'hand' ? limitsOf(limits) : null;
  const asked: MapAsked = {
    ...PLAIN,
    view,
    k,
    way,
    thresholds: byHand,
    // Discs of so many cm melt.
    squintMm: cm >= 0 && cm <= 20 ? squintSigmaMm(cm * 10) : 0,
    mostPx: SIDE_PX,
  };
  return {
    asked,
    controls: {
      view: { value: view, set: setView },
      masses: { value: masses, set: setMasses },
      way: { value: way, set: setWay },
      limits: { value: limits, set: setTyped },
      squint: { value: squint, set: setSquint },
    },
  };
}

/** What the photo says of the values. */
function told(state: LookState, painting: Painting, pairs: Pair[]) {
  if (state.at !== 'found') return null;
  const { looked, design, designGraded } = state.found;
  const names = new Map(painting.passages.map((p) => [p.id, p.name]));
  const values = tellValues(looked, pairs, names);
  const toCome = painting.coats
    .filter((c) => unlaidPassages(painting, c).length > 0)
    .map((c) => c.name);
  return {
    ...values,
    level: looked.trust.level,
    range: tellRange(looked, names, toCome),
    graded: tellGraded(looked, designGraded, names),
    colours: new Map(tellColours(looked, design).map((c) => [c.id, c.words])),
    turned: new Set(looked.order?.turned.flatMap((t) => [t.lighter, t.darker]) ?? []),
    off: values.passages
      .filter((p) => p.byL !== null)
      .sort((p, q) => Math.abs(q.byL!) - Math.abs(p.byL!))[0],
  };
}

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
  const [open, setOpen] = useState(false);
  const { asked, controls } = useControls();
  const [besideId, setBeside] = useState<string | null>(null);
  const [by, setBy] = useState<ComparedBy>('beside');
  const reference = references.find((p) => p.id === besideId) ?? null;
  const beside = reference ?? design ?? references[0] ?? null;
  const said = useMemo(() => told(state, painting, pairs), [state, painting, pairs]);
  const level = said?.level ?? 'order';
  // What lies on the support as the work does; a reference went through another camera, and its key is fitted.
  const onSupport = beside !== null && (beside.kind === 'design' || beside.corners !== null);
  const difference = onSupport && level !== 'order';
  // A difference needs values: without them the work alone is shown.
  const view = asked.view === 'difference' && !difference ? 'grey' : asked.view;
  const apart = view === 'difference';
  const drawn: MapAsked = { ...asked, view };
  const besideMap = useMap(supportOf(painting, beside), apart ? null : beside, drawn);
  // One set of thresholds serves both: else two unlike pictures get alike masses.
  const shared = besideMap && view === 'masses' ? besideMap.thresholds : null;
  const looked = state.at === 'found' ? state.found.looked : null;
  const workMap = useMap(
    painting.support,
    work,
    {
      ...drawn,
      thresholds: drawn.thresholds ?? shared,
      key: (apart && beside?.kind === 'design' && looked?.key) || 'fit',
    },
    apart ? beside : null,
  );
  const side = pictureWidth(width, wide);
  const pictures = (
    <Compared
      one={
        beside && !apart
          ? {
              map: besideMap,
              label: beside.kind === 'design' ? 'The design' : 'The reference',
              caption: beside.kind === 'design' ? '○ design' : pictureName(beside),
              ratio: ratioOf(supportOf(painting, beside)),
            }
          : null
      }
      two={{
        map: workMap,
        label: 'Yours',
        caption: `■ yours${level === 'order' ? ', order of values only' : ''}`,
        ratio: ratioOf(painting.support),
      }}
      width={side}
      by={by}
    />
  );
  const choices = (
    <MapControls
      {...controls}
      beside={{ value: beside?.id ?? null, set: setBeside }}
      compared={beside && !apart ? { value: by, set: setBy } : null}
      choices={[...(design ? [design] : []), ...references]}
      difference={difference}
    />
  );
  const figures = said ? (
    <View style={{ gap: space.m, flex: 1 }}>
      {wide ? <Heading level={2}>{said.verdict}</Heading> : null}
      {pairs.length > 1 ? (
        <Ladder
          passages={said.passages}
          turned={said.turned}
          figures={level !== 'order'}
          width={wide ? width - side - space.xl : width}
        />
      ) : null}
      {[...said.lines, ...said.graded].map((line) => (
        <Text key={line}>{line}</Text>
      ))}
      {said.range ? <RangeGate painting={painting} words={said.range} /> : null}
      {said.off ? <Mend painting={painting} told={said.off} /> : null}
      {said.passages.map((p) => (
        <PassageRow
          key={p.id}
          painting={painting}
          told={p}
          level={level}
          colour={said.colours.get(p.id) ?? null}
          spread={
            state.at === 'found' ? state.found.histograms.find((h) => h.id === p.id) : undefined
          }
        />
      ))}
    </View>
  ) : null;
  return wide ? (
    <View style={styles.wide}>
      <View style={{ gap: space.m, width: side }}>
        {pictures}
        {choices}
      </View>
      {figures}
    </View>
  ) : (
    <View style={{ gap: space.xl }}>
      {said ? <Heading level={2}>{said.verdict}</Heading> : null}
      <View style={{ gap: space.s }}>
        {pictures}
        <Action
          title={open ? 'Close how it is shown' : 'How it is shown'}
          kind="quiet"
          onPress={() => setOpen((o) => !o)}
        />
        {open ? choices : null}
      </View>
      {figures}
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
  wide: { flexDirection: 'row', gap: space.xl, alignItems: 'flex-start' },
});
