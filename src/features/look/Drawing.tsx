import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { LOOKING } from '@/data/looking';
import Svg, { Circle, Line, Text as SvgText } from 'react-native-svg';
import { lookingOf, putPicture, putPoint, withoutPoint } from '@/core/looking/edit';
import type { Picture } from '@/core/looking/schema';
import { project, seenFrom } from '@/core/looking/homography';
import { MOST } from '@/core/looking/none';
import { tellDrift } from '@/core/looking/tell';
import type { Painting } from '@/core/painting';
import { changePainting } from '@/store/actions';
import { making } from '@/store/clock';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { PhotoPlaces, type Place } from '@/ui/PhotoPlaces';
import { PicturePlaces } from '@/ui/PicturePlaces';
import { Heading, Text } from '@/ui/Text';
import { colour, font, space } from '@/ui/tokens';
import { Guides } from './Guides';
import { MapPicture, urlOfMap } from './MapPicture';
import { useJpeg, useMap, type LookState, type MapAsked } from './useLook';

const DRAWN: MapAsked = {
  view: 'colour',
  k: 5,
  way: 'breaks',
  thresholds: null,
  squintMm: 0,
  distanceM: null,
  mostPx: 900,
};
/** Arrows of a few millimetres are drawn larger than they are. */
const ARROW = 6;

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
  const names = useMemo(() => new Map(points.map((p) => [p.id, p.name])), [points]);
  const map = useMap(painting.support, work, DRAWN);
  const found = state.at === 'found' ? state.found.looked : null;
  const lines = found ? tellDrift(found, names) : [];
  const { widthMm, heightMm } = painting.support;
  const ratio = heightMm / widthMm;
  const marked = points.filter((p) => work.marks.some((m) => m.id === p.id)).length;
  return (
    <View style={{ gap: space.m }}>
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
          onDone={() => setDoing('see')}
        />
      ) : doing === 'mark' ? (
        <Marks painting={painting} work={work} width={width} onDone={() => setDoing('see')} />
      ) : (
        <MapPicture map={map} label="Yours, with what has drifted" width={width} ratio={ratio}>
          <Svg width={width} height={width * ratio}>
            {points.map((p) => {
              const drift = found?.drift?.points.find((d) => d.id === p.id);
              const x = (p.at[0] / widthMm) * width;
              const y = (p.at[1] / heightMm) * width * ratio;
              const by = drift && (drift.strays || drift.tells) ? drift.moved : null;
              return (
                <Svg key={p.id}>
                  <Circle cx={x} cy={y} r={5} fill="none" stroke={colour.sheet} strokeWidth={4} />
                  <Circle cx={x} cy={y} r={5} fill="none" stroke={colour.ink} strokeWidth={2} />
                  {by ? (
                    <>
                      <Line
                        x1={x}
                        y1={y}
                        x2={x + (by[0] / widthMm) * width * ARROW}
                        y2={y + (by[1] / widthMm) * width * ARROW}
                        stroke={colour.tawny}
                        strokeWidth={3}
                      />
                      <SvgText
                        x={x > width * 0.8 ? x - 8 : x + 8}
                        textAnchor={x > width * 0.8 ? 'end' : 'start'}
                        y={y - 8}
                        fontFamily={font.strong}
                        fontSize={14}
                        fill={colour.ink}
                        stroke={colour.sheet}
                        strokeWidth={0.5}
                      >
                        {`${drift!.mm.toFixed(0)} mm`}
                      </SvgText>
                    </>
                  ) : null}
                </Svg>
              );
            })}
          </Svg>
        </MapPicture>
      )}
      {doing === 'see' ? (
        <View style={styles.do}>
          <Action title="Watch a point" onPress={() => setDoing('point')} />
          {points.length > 0 ? (
            <Action title="Mark them on this photo" onPress={() => setDoing('mark')} />
          ) : null}
        </View>
      ) : null}
      {lines.slice(1).map((line) => (
        <Text key={line}>{line}</Text>
      ))}
      {found && marked > 0 ? (
        <Text size="small" tone="ink2">
          {`Places are good to ±${(LOOKING.sure * found.geometry.sigmaMm).toFixed(1)} mm on this photo. Arrows are drawn ${ARROW} times as long as the drift.`}
        </Text>
      ) : null}
      <Guides painting={painting} />
    </View>
  );
}

function NewPoint({
  painting,
  picture,
  width,
  onDone,
}: {
  painting: Painting;
  picture: Picture;
  width: number;
  onDone: () => void;
}) {
  const dispatch = useStoreDispatch();
  const { points } = lookingOf(painting);
  const { widthMm, heightMm } = painting.support;
  const map = useMap(painting.support, picture, DRAWN);
  const url = useMemo(() => (map ? urlOfMap(map) : null), [map]);
  const [name, setName] = useState('');
  const [at, setAt] = useState<Place | null>(null);
  return (
    <View style={{ gap: space.s }}>
      <Text>{`Tap where it belongs, on ${picture.kind === 'design' ? 'the design' : 'the picture'}.`}</Text>
      {url ? (
        <PhotoPlaces
          url={url}
          alt="The picture on its support"
          ratio={heightMm / widthMm}
          width={width}
          outlines={[
            ...points.map((p) => ({
              key: p.id,
              name: p.name,
              places: [[p.at[0] / widthMm, p.at[1] / heightMm] as Place],
            })),
            { key: 'new', name, places: at ? [at] : [] },
          ]}
          active="new"
          onPlace={setAt}
        />
      ) : null}
      {at ? (
        <Text size="small" tone="ink2">
          {`${((at[0] * widthMm) / 10).toFixed(1)} cm from the left, ${((at[1] * heightMm) / 10).toFixed(1)} cm from the top.`}
        </Text>
      ) : null}
      <Field
        label="What it is"
        value={name}
        onChangeText={setName}
        placeholder="left rim of the jug"
      />
      <Action
        title="Watch it"
        kind="primary"
        disabled={!at || name.trim() === '' || points.length >= MOST.points}
        onPress={() => {
          const { newId } = making();
          dispatch(
            changePainting(painting.id, `Watched ${name.trim()}`, (p) =>
              putPoint(p, {
                id: newId(),
                name: name.trim().slice(0, 60),
                at: [at![0] * widthMm, at![1] * heightMm],
              }),
            ),
          );
          onDone();
        }}
      />
      <Action title="Cancel" kind="quiet" onPress={onDone} />
    </View>
  );
}

function Marks({
  painting,
  work,
  width,
  onDone,
}: {
  painting: Painting;
  work: Picture;
  width: number;
  onDone: () => void;
}) {
  const dispatch = useStoreDispatch();
  const jpeg = useJpeg(work.id);
  const { points } = lookingOf(painting);
  const names = new Map(points.map((p) => [p.id, p.name]));
  const open = points.find((p) => !work.marks.some((m) => m.id === p.id));
  const [chosen, setChosen] = useState(open?.id ?? points[0]!.id);
  /** The one in hand: nothing is marked until it is said. */
  const [moved, setMoved] = useState<{ key: string; at: Place } | null>(null);
  const seen = work.corners
    ? seenFrom(
        work.corners.map(([x, y]) => [x * work.width, y * work.height]),
        painting.support,
      )
    : null;
  // What is not marked yet is looked for where it belongs.
  const placeOf = (point: (typeof points)[number]): Place => {
    if (moved?.key === point.id) return moved.at;
    const mark = work.marks.find((m) => m.id === point.id);
    if (mark || !seen) return mark?.at ?? [0.5, 0.5];
    const [x, y] = project(seen, point.at);
    return [x / work.width, y / work.height];
  };
  if (!jpeg) return null;
  return (
    <View style={{ gap: space.s }}>
      <Choice
        label="Move it to where it is"
        options={points.map((p) => ({
          key: p.id,
          name: `${p.name}${work.marks.some((m) => m.id === p.id) ? ', marked' : ''}`,
        }))}
        value={chosen}
        onChange={(key) => {
          setChosen(key);
          setMoved(null);
        }}
      />
      <PicturePlaces
        url={`data:image/jpeg;base64,${jpeg}`}
        alt="The photo with the watched points"
        ratio={work.height / work.width}
        width={width}
        pixels={work.width}
        handles={points.map((p) => ({ key: p.id, name: p.name, at: placeOf(p) }))}
        active={chosen}
        onActive={setChosen}
        onMove={(key, at) => setMoved({ key, at })}
      />
      <Action
        title={`It is there: ${names.get(chosen) ?? ''}`}
        kind="primary"
        onPress={() => {
          const [x, y] = placeOf(points.find((p) => p.id === chosen)!);
          const mark = { id: chosen, at: [x, y] as [number, number] };
          dispatch(
            changePainting(painting.id, 'Marked a point on a photo', (p) =>
              putPicture(p, {
                ...work,
                marks: [...work.marks.filter((m) => m.id !== chosen), mark],
              }),
            ),
          );
          setMoved(null);
          const next = points.find(
            (p) => p.id !== chosen && !work.marks.some((m) => m.id === p.id),
          );
          if (next) setChosen(next.id);
        }}
      />
      <Action
        title="Watch this one no more"
        kind="quiet"
        onPress={() => {
          dispatch(
            changePainting(painting.id, 'Watched a point no more', (p) => withoutPoint(p, chosen)),
          );
          onDone();
        }}
      />
      <Action title="Done" kind="quiet" onPress={onDone} />
    </View>
  );
}

const styles = StyleSheet.create({
  do: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, columnGap: space.xl },
});
