import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { lookingOf, putPicture, putPoint, withoutPoint } from '@/core/looking/edit';
import { project, seenFrom } from '@/core/looking/homography';
import { MOST } from '@/core/looking/none';
import type { Picture } from '@/core/looking/schema';
import type { Painting } from '@/core/painting';
import { changePainting } from '@/store/actions';
import { making } from '@/store/clock';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { PhotoPlaces, type Place } from '@/ui/PhotoPlaces';
import { PicturePlaces } from '@/ui/PicturePlaces';
import { Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { urlOfMap } from './MapPicture';
import { cellOf, Overlay } from './Overlay';
import { PLAIN, useMap } from './useMap';
import { useJpeg } from './usePictures';

/** A point of the drawing to be watched: where it belongs, and what it is. */
export function NewPoint({
  painting,
  picture,
  width,
  cellMm,
  onDone,
}: {
  painting: Painting;
  picture: Picture;
  width: number;
  cellMm: number | null;
  onDone: () => void;
}) {
  const dispatch = useStoreDispatch();
  const { points } = lookingOf(painting);
  const { widthMm, heightMm } = painting.support;
  const map = useMap(painting.support, picture, PLAIN);
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
        >
          <View style={styles.over}>
            <Overlay
              support={painting.support}
              points={[]}
              drift={null}
              cellMm={cellMm}
              width={width}
            />
          </View>
        </PhotoPlaces>
      ) : null}
      {at ? (
        <Text size="small" tone="ink2">
          {`${((at[0] * widthMm) / 10).toFixed(1)} cm from the left, ${((at[1] * heightMm) / 10).toFixed(1)} cm from the top${cellMm === null ? '' : `, in cell ${cellOf([at[0] * widthMm, at[1] * heightMm], cellMm)}`}.`}
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

/** Where the watched points are on a photo. */
export function Marks({
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
  over: { position: 'absolute', top: 0, left: 0, pointerEvents: 'none' },
});
