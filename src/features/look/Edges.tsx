import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Polygon } from 'react-native-svg';
import { borderOf, lookingOf, outlinesOf, putBorder } from '@/core/looking/edit';
import { EDGE_KINDS, type EdgeKind } from '@/core/looking/edge-kinds';
import type { Picture } from '@/core/looking/schema';
import { capital, tellEdges } from '@/core/looking/tell';
import { LOOKING } from '@/data/looking';
import type { Painting } from '@/core/painting';
import { parseNumber } from '@/forms';
import { changePainting } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';
import { Choice } from '@/ui/Choice';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';
import { Beside } from './Beside';
import { MapPicture } from './MapPicture';
import { FARTHEST_M, metresOf, NEAREST_M } from './metres';
import { Ranking } from './Ranking';
import type { LookState } from './useLook';
import { PLAIN, useMap } from './useMap';

const OPTIONS = [
  { key: 'any' as const, name: 'any' },
  ...EDGE_KINDS.map((key) => ({ key, name: key })),
];

/** Each border: how wide it is, and how it is meant. */
export function Edges({
  painting,
  work,
  state,
  width,
  viewM,
  onViewM,
}: {
  painting: Painting;
  work: Picture;
  state: LookState;
  width: number;
  /** From how far borders are judged, m, as it is typed. */
  viewM: string;
  onViewM: (text: string) => void;
}) {
  const dispatch = useStoreDispatch();
  const map = useMap(painting.support, work, { ...PLAIN, view: 'grey' });
  const names = useMemo(
    () => new Map(painting.passages.map((p) => [p.id, p.name])),
    [painting.passages],
  );
  const looking = lookingOf(painting);
  const found = state.at === 'found' ? state.found.looked : null;
  const told = found ? tellEdges(found.edges, looking, names, metresOf(viewM)) : [];
  const departing = told.filter((t) => t.departs);
  const ratio = painting.support.heightMm / painting.support.widthMm;
  const [sx, sy] = [width / painting.support.widthMm, (width * ratio) / painting.support.heightMm];
  return (
    <Beside
      shown={width}
      picture={
        <>
          {found ? (
            <Heading level={2}>
              {told.length === 0
                ? 'No two outlined passages meet.'
                : departing.length > 0
                  ? `${capital(departing[0]!.words)}.`
                  : told.some((t) => borderOf(looking, t.edge.a, t.edge.b) !== null)
                    ? 'Every border is as it is meant.'
                    : 'Say of a border how it is meant; what departs is then told.'}
            </Heading>
          ) : null}
          <MapPicture map={map} label="Yours, in greys" width={width} ratio={ratio}>
            <Svg width={width} height={width * ratio}>
              {outlinesOf(painting).flatMap((o) =>
                o.rings.map((ring, i) => (
                  <Polygon
                    key={`${o.id} ${i}`}
                    points={ring.map(([x, y]) => `${x * sx},${y * sy}`).join(' ')}
                    fill="none"
                    stroke={colour.sheet}
                    strokeWidth={1}
                    strokeDasharray="4 4"
                  />
                )),
              )}
            </Svg>
          </MapPicture>
        </>
      }
    >
      {told.map(({ edge, words, departs }) => (
        <View key={`${edge.a} ${edge.b}`} style={styles.row}>
          <Text strong={departs} tone={departs ? 'tawny' : 'ink'}>
            {words}
          </Text>
          <Choice
            label={`Meant, ${names.get(edge.a)} against ${names.get(edge.b)}`}
            options={OPTIONS}
            value={borderOf(looking, edge.a, edge.b) ?? 'any'}
            onChange={(key: 'any' | EdgeKind) =>
              dispatch(
                changePainting(painting.id, 'Said how a border is meant', (p) =>
                  putBorder(p, edge.a, edge.b, key === 'any' ? null : key),
                ),
              )
            }
          />
        </View>
      ))}
      <Stepper
        label="Borders judged from"
        unit="m"
        step={0.5}
        min={NEAREST_M}
        max={FARTHEST_M}
        error={
          metresOf(viewM) === parseNumber(viewM)
            ? undefined
            : `From ${NEAREST_M} to ${FARTHEST_M} m. Until then borders are judged from ${LOOKING.viewM} m.`
        }
        text={viewM}
        onChangeText={onViewM}
      />
      <Ranking painting={painting} pulls={found?.attention ?? []} names={names} />
    </Beside>
  );
}

const styles = StyleSheet.create({
  row: { gap: space.xs, borderTopWidth: 1, borderTopColor: colour.rule, paddingTop: space.s },
});
