import { useState } from 'react';
import { View } from 'react-native';
import { putPicture, withoutPicture } from '@/core/looking/edit';
import { aspectProblem, cornerProblem } from '@/core/looking/homography';
import type { Picture } from '@/core/looking/schema';
import type { Painting } from '@/core/painting';
import { changePainting } from '@/store/actions';
import { making } from '@/store/clock';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { PhotoPlaces, type Place } from '@/ui/PhotoPlaces';
import { PicturePlaces } from '@/ui/PicturePlaces';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { parseNumber } from '@/forms';
import { useJpeg } from './useLook';

const CORNER_NAMES = ['upper left', 'upper right', 'lower right', 'lower left'];
/** Where corners are looked for first: a little inside the photo. */
const FIRST: Place[] = [
  [0.1, 0.1],
  [0.9, 0.1],
  [0.9, 0.9],
  [0.1, 0.9],
];

/** The four corners of the support on a picture: dragged under a loupe, or moved by keys. */
export function Corners({
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
  const jpeg = useJpeg(picture.id);
  const [places, setPlaces] = useState<Place[]>(picture.corners ?? FIRST);
  const [active, setActive] = useState('0');
  const px = places.map(([x, y]): Place => [x * picture.width, y * picture.height]);
  const problem = cornerProblem(px);
  const doubt = problem ? null : aspectProblem(px, picture, painting.support);
  if (jpeg === null)
    return <Notice tone="refusal">The photo of this picture is not in this browser.</Notice>;
  if (jpeg === undefined) return null;
  return (
    <View style={{ gap: space.s }}>
      <Heading level={2}>Where are its corners?</Heading>
      <Text>
        On the front edge of the painted face. Start with the painting’s own upper left, whichever
        way the photo lies.
      </Text>
      <PicturePlaces
        url={`data:image/jpeg;base64,${jpeg}`}
        alt="The photo with the corners of the picture"
        ratio={picture.height / picture.width}
        width={width}
        pixels={picture.width}
        closed
        handles={places.map((at, i) => ({ key: String(i), name: CORNER_NAMES[i]!, at }))}
        active={active}
        onActive={setActive}
        onMove={(key, at) => setPlaces(places.map((p, i) => (String(i) === key ? at : p)))}
      />
      <Choice
        label="Corner"
        options={CORNER_NAMES.map((name, i) => ({ key: String(i), name }))}
        value={active}
        onChange={setActive}
      />
      {problem ? <Notice tone="refusal">{problem}</Notice> : null}
      {doubt ? <Notice>{doubt}</Notice> : null}
      <Action
        title="These are its corners"
        kind="primary"
        disabled={problem !== null}
        onPress={() => {
          dispatch(
            changePainting(painting.id, 'Set the corners of a picture', (p) =>
              putPicture(p, {
                ...picture,
                corners: places.map(([x, y]) => [x, y] as [number, number]),
              }),
            ),
          );
          onDone();
        }}
      />
    </View>
  );
}

/** Grey cards that painters have: their patches from light to dark, L*. */
const CARDS = {
  white: { name: 'white paper', L: [95] },
  grey: { name: 'grey card', L: [49.5] },
  three: { name: 'white, grey, black', L: [95, 49.5, 20] },
  six: { name: 'six grey steps', L: [92, 78, 64, 50, 36, 22] },
  own: { name: 'one of my own', L: [60] },
} as const;
type CardKey = keyof typeof CARDS;

/** Patches of known lightness beside the picture: they turn order into steps. */
export function Card({
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
  const jpeg = useJpeg(picture.id);
  const [card, setCard] = useState<CardKey>('six');
  const [own, setOwn] = useState('60');
  const [ends, setEnds] = useState<Place[]>([]);
  const lights: readonly number[] = card === 'own' ? [parseNumber(own)] : CARDS[card].L;
  if (!jpeg) return null;
  // Four corners of the whole strip, from its light end; the patches lie along it, evenly.
  const patches = ends.length === 4 ? alongStrip(ends, lights.length) : [];
  const keep = () => {
    const { newId } = making();
    dispatch(
      changePainting(painting.id, 'Set the grey steps of a picture', (p) =>
        putPicture(p, {
          ...picture,
          patches: patches.map((quad, i) => ({
            id: newId(),
            quad: quad.map(([x, y]) => [x, y] as [number, number]),
            L: lights[i]!,
          })),
        }),
      ),
    );
    onDone();
  };
  return (
    <View style={{ gap: space.s }}>
      <Heading level={2}>What grey stands beside it?</Heading>
      <Choice
        label="Card"
        options={(Object.keys(CARDS) as CardKey[]).map((key) => ({ key, name: CARDS[key].name }))}
        value={card}
        onChange={setCard}
      />
      {card === 'own' ? (
        <Stepper
          label="Its lightness, L* (ten times the value)"
          step={5}
          min={0}
          max={100}
          text={own}
          onChangeText={setOwn}
        />
      ) : null}
      <Text>
        {lights.length > 1
          ? 'Tap the four corners of the whole strip: its light end first, upper corner, then as a clock goes.'
          : 'Tap its four corners.'}
      </Text>
      <PhotoPlaces
        url={`data:image/jpeg;base64,${jpeg}`}
        alt="The photo with the grey steps"
        ratio={picture.height / picture.width}
        width={width}
        outlines={[
          { key: 'strip', name: lights.length > 1 ? 'strip' : 'card', places: ends },
          ...patches.map((places, i) => ({ key: `p${i}`, name: String(lights[i]), places })),
        ]}
        active="strip"
        onPlace={(at) => setEnds(ends.length >= 4 ? [at] : [...ends, at])}
      />
      <Action
        title="Go by these"
        kind="primary"
        disabled={patches.length === 0 || !lights.every((L) => L >= 0 && L <= 100)}
        onPress={keep}
      />
      {picture.patches.length > 0 ? (
        <Action
          title="Without a card"
          kind="quiet"
          onPress={() => {
            dispatch(
              changePainting(painting.id, 'Took the grey steps of a picture away', (p) =>
                putPicture(p, { ...picture, patches: [] }),
              ),
            );
            onDone();
          }}
        />
      ) : null}
      <Action title="Not now" kind="quiet" onPress={onDone} />
    </View>
  );
}

/** The patches of a strip between its ends: 0 light upper, 1 dark upper, 2 dark lower, 3 light lower. */
export function alongStrip(ends: readonly Place[], count: number): Place[][] {
  const at = (p: Place, q: Place, t: number): Place => [
    p[0] + (q[0] - p[0]) * t,
    p[1] + (q[1] - p[1]) * t,
  ];
  const [a, b, c, d] = ends as [Place, Place, Place, Place];
  return Array.from({ length: count }, (_, i) => {
    const [s, t] = [i / count, (i + 1) / count];
    return [at(a, b, s), at(a, b, t), at(d, c, t), at(d, c, s)];
  });
}

/** Take a picture out of the look. */
export function TakeOutPicture({ painting, picture }: { painting: Painting; picture: Picture }) {
  const dispatch = useStoreDispatch();
  return (
    <Action
      title="Take this picture out"
      kind="quiet"
      onPress={() =>
        dispatch(
          changePainting(painting.id, 'Took a picture out', (p) => withoutPicture(p, picture.id)),
        )
      }
    />
  );
}
