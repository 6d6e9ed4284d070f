import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { LOOKING } from '@/data/looking';
import { placesSigma } from '@/core/looking/drawing';
import { lookingOf } from '@/core/looking/edit';
import type { Picture } from '@/core/looking/schema';
import { tellDrift } from '@/core/looking/tell';
import type { Painting } from '@/core/painting';
import { parseNumber } from '@/forms';
import { Action } from '@/ui/Action';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { Tick } from '@/ui/Tick';
import { space } from '@/ui/tokens';
import { Beside } from './Beside';
import { Guides } from './Guides';
import { MapPicture } from './MapPicture';
import { ARROW, Overlay } from './Overlay';
import { Marks, NewPoint } from './Points';
import { Proportions, type Watched } from './Proportions';
import type { LookState } from './useLook';
import { PLAIN, useMap } from './useMap';

/** Whether the drawing has slipped, and lines to points out of reach. */
export function Drawing({
  painting,
  work,
  design,
  state,
  width,
}: {
  painting: Painting;
  work: Picture;
  design: Picture | null;
  state: LookState;
  width: number;
}) {
  const { points } = lookingOf(painting);
  const [doing, setDoing] = useState<'see' | 'point' | 'mark'>('see');
  const [mirror, setMirror] = useState(false);
  const [cells, setCells] = useState('');
  const names = useMemo(() => new Map(points.map((p) => [p.id, p.name])), [points]);
  const map = useMap(painting.support, work, PLAIN);
  const found = state.at === 'found' ? state.found.looked : null;
  const lines = found ? tellDrift(found, names) : [];
  const { widthMm, heightMm } = painting.support;
  const ratio = heightMm / widthMm;
  const cell = parseNumber(cells) * 10;
  const cellMm = cell >= 10 && cell <= 1000 ? cell : null;
  const watched = points.flatMap((p): Watched[] => {
    const moved = found?.drift?.points.find((d) => d.id === p.id)?.moved;
    return moved
      ? [{ id: p.id, name: p.name, design: p.at, work: [p.at[0] + moved[0], p.at[1] + moved[1]] }]
      : [];
  });
  const marked = points.filter((p) => work.marks.some((m) => m.id === p.id)).length;
  return (
    <Beside
      shown={width}
      picture={
        <>
          <Heading level={2}>
            {points.length === 0
              ? 'Watch a few points of the drawing: a rim, an eye, the end of a table.'
              : marked === 0
                ? 'Mark them on this photo, and drift is told.'
                : !found
                  ? 'Marked; the photo is being looked at.'
                  : lines.length === 0
                    ? 'Nothing has drifted beyond the error.'
                    : lines[0]!}
          </Heading>
          {doing === 'point' ? (
            <NewPoint
              painting={painting}
              picture={design ?? work}
              width={width}
              cellMm={cellMm}
              onDone={() => setDoing('see')}
            />
          ) : doing === 'mark' ? (
            <Marks painting={painting} work={work} width={width} onDone={() => setDoing('see')} />
          ) : (
            <View style={mirror ? styles.mirror : null}>
              <MapPicture
                map={map}
                label={mirror ? 'Yours, in the mirror' : 'Yours, with what has drifted'}
                width={width}
                ratio={ratio}
              >
                {mirror ? null : (
                  <Overlay
                    support={painting.support}
                    points={points}
                    drift={found?.drift ?? null}
                    cellMm={cellMm}
                    width={width}
                  />
                )}
              </MapPicture>
            </View>
          )}
          {doing === 'see' ? (
            <View style={styles.do}>
              <Action title="Watch a point" onPress={() => setDoing('point')} />
              {points.length > 0 ? (
                <Action title="Mark them on this photo" onPress={() => setDoing('mark')} />
              ) : null}
              <Tick title="In the mirror" checked={mirror} onPress={() => setMirror((m) => !m)} />
              <Stepper
                label="Grid: cells of"
                unit="cm"
                placeholder="none"
                step={1}
                min={0}
                max={100}
                text={cells}
                onChangeText={setCells}
              />
            </View>
          ) : null}
        </>
      }
    >
      {lines.slice(1).map((line) => (
        <Text key={line}>{line}</Text>
      ))}
      {found?.drift && marked > 0 ? (
        <Text size="small" tone="ink2">
          {`Places are good to ±${(LOOKING.sure * placesSigma(found.drift)).toFixed(1)} mm on this photo. Arrows are drawn ${ARROW} times as long as the drift.`}
        </Text>
      ) : null}
      {found?.drift ? <Proportions points={watched} sigmaMm={placesSigma(found.drift)} /> : null}
      <Guides painting={painting} />
    </Beside>
  );
}

const styles = StyleSheet.create({
  mirror: { transform: [{ scaleX: -1 }] },
  do: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, columnGap: space.xl },
});
