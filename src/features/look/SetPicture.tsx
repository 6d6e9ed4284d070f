import { useState } from 'react';
import { View } from 'react-native';
import { MOST } from '@/core/looking/none';
import { lightnessOf, luminanceOf, valueOfY, yOfValue } from '@/core/optics/colour';
import { putPicture, withoutPicture } from '@/core/looking/edit';
import type { Picture } from '@/core/looking/schema';
import type { Painting } from '@/core/painting';
import { changePainting } from '@/store/actions';
import { making } from '@/store/clock';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { PhotoPlaces, type Place } from '@/ui/PhotoPlaces';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { parseNumber } from '@/forms';
import { pictureName } from './picture-name';
import { useJpeg } from './usePictures';

/** Grey cards that painters have: their patches from light to dark, Munsell value. */
const CARDS = {
  strip: { name: 'a strip of grey steps', values: null },
  three: { name: 'white, grey, black', values: [9.5, 4.86, 2] },
  grey: { name: 'grey card', values: [4.86] },
  white: { name: 'white paper', values: [9.5] },
} as const;
type CardKey = keyof typeof CARDS;
const USUAL_STEPS = '9 7.5 6 4.5 3 2';
const STEPS_MOST = MOST.patches / 2;

const lightnessOfValue = (v: number): number => lightnessOf(yOfValue(v) / 100);

/** The values of a strip as they are typed, light to dark; null while they are none. */
export function stepsOf(text: string): number[] | null {
  const values = text
    .trim()
    .split(/[\s;]+/)
    .map(parseNumber);
  const fits =
    values.length <= STEPS_MOST &&
    values.every((v, i) => v >= 0 && v <= 10 && (i === 0 || v < values[i - 1]!));
  return fits ? values : null;
}

/** The strip that was last set on a photo of this painting, as it is typed. */
const lastSteps = ({ looking }: Painting): string | null => {
  const used = looking?.pictures.findLast((p) => p.patches.length > 3)?.patches;
  if (!used) return null;
  const values = [...new Set(used.map((p) => valueOfY(100 * luminanceOf(p.L)).toFixed(2)))];
  return values
    .map(Number)
    .sort((a, b) => b - a)
    .slice(0, STEPS_MOST)
    .join(' ');
};

/** Patches of known lightness beside the picture: they turn order into steps; on two sides they tell the light too. */
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
  const [card, setCard] = useState<CardKey>('strip');
  const [text, setText] = useState(() => lastSteps(painting) ?? USUAL_STEPS);
  const [ends, setEnds] = useState<Place[]>([]);
  const values: readonly number[] | null = CARDS[card].values ?? stepsOf(text);
  if (!jpeg) return null;
  // Four corners of the whole strip, from its light end; the patches lie along it, evenly.
  const patches = values && ends.length === 4 ? alongStrip(ends, values.length) : [];
  const room = picture.patches.length + patches.length <= MOST.patches;
  const keep = (more: boolean) => {
    const { newId } = making();
    const set = patches.map((quad, i) => ({
      id: newId(),
      quad: quad.map(([x, y]) => [x, y] as [number, number]),
      L: lightnessOfValue(values![i]!),
    }));
    dispatch(
      changePainting(painting.id, 'Set the grey steps of a picture', (p) =>
        putPicture(p, { ...picture, patches: more ? [...picture.patches, ...set] : set }),
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
      {card === 'strip' ? (
        <Field
          label="Values of its steps, light to dark; 10 is white"
          value={text}
          onChangeText={setText}
          placeholder={USUAL_STEPS}
          error={
            values ? undefined : `Write them as ${USUAL_STEPS}: at most ${STEPS_MOST}, each darker.`
          }
        />
      ) : null}
      <Text>
        {values?.length === 1
          ? 'Tap its four corners.'
          : 'Tap the four corners of the whole strip: its light end first, upper corner, then as a clock goes.'}
      </Text>
      <PhotoPlaces
        url={`data:image/jpeg;base64,${jpeg}`}
        alt="The photo with the grey steps"
        ratio={picture.height / picture.width}
        width={width}
        outlines={[
          ...picture.patches.map(({ id, quad }) => ({ key: id, name: '', places: quad })),
          { key: 'strip', name: 'strip', places: ends },
          ...patches.map((places, i) => ({ key: `p${i}`, name: String(values![i]), places })),
        ]}
        active="strip"
        onPlace={(at) => setEnds(ends.length >= 4 ? [at] : [...ends, at])}
      />
      <Action
        title="Go by these"
        kind="primary"
        disabled={patches.length === 0}
        onPress={() => keep(false)}
      />
      {picture.patches.length > 0 ? (
        <>
          <Action
            title="Add them to those set"
            disabled={patches.length === 0 || !room}
            onPress={() => keep(true)}
          />
          <Text size="small" tone="ink2">
            The same steps on the other side of the picture tell how evenly it is lit.
          </Text>
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
        </>
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

/** Take a picture out of the look. A photo of the log stays there, without its corners. */
export function TakeOutPicture({ painting, picture }: { painting: Painting; picture: Picture }) {
  const dispatch = useStoreDispatch();
  return (
    <Action
      title={`Take out: ${pictureName(picture)}`}
      kind="quiet"
      onPress={() =>
        dispatch(
          changePainting(painting.id, 'Took a picture out', (p) => withoutPicture(p, picture.id)),
        )
      }
    />
  );
}
