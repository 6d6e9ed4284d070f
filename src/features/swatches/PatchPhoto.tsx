import { useState } from 'react';
import { View } from 'react-native';
import { CALIBRATION } from '@/data/calibration';
import { parseNumber } from '@/core/formats/number-text';
import {
  againstCard,
  readPatch,
  toneError,
  type Patched,
  type Place,
} from '@/core/optics/read-patches';
import type { Lab } from '@/core/optics';
import { choosePhoto } from '@/features/session/photo';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { PhotoPlaces } from '@/ui/PhotoPlaces';
import { Stepper } from '@/ui/Stepper';
import { Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { photoPixels, type PhotoInHand } from './photo-pixels';

const CARD = 'card';
const CORNERS = 4;
const SECOND = 'second';
/** Of the white field that most cards have. */
const SECOND_VALUE = '9.5';

/** What a second grey says of the camera: whether its tones can be believed. */
function bendOf(card: Patched | null, second: Patched | null, value: number) {
  if (!card || !second || !(value > 0 && value <= 10)) return null;
  const off = toneError(second, card, value);
  const percent = `${(off * 100).toFixed(0)} %`;
  return off > CALIBRATION.mostToneError
    ? {
        tone: 'refusal' as const,
        words: `The second grey comes out ${percent} off: the camera bends tones, or the light is uneven. Colours far from the card are off by more than they seem.`,
      }
    : { tone: 'note' as const, words: `The second grey agrees with the card within ${percent}.` };
}

/** Patches read off a photo with a grey card in it: four corners of each. */
export function PatchPhoto<K extends string>({
  patches,
  onRead,
}: {
  patches: readonly { key: K; name: string }[];
  onRead: (key: K, lab: Lab) => void;
}) {
  const [photo, setPhoto] = useState<PhotoInHand | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const [places, setPlaces] = useState<Record<string, Place[]>>({});
  const [active, setActive] = useState(CARD);
  const [width, setWidth] = useState(0);
  const [secondText, setSecondText] = useState(SECOND_VALUE);
  const secondValue = parseNumber(secondText);
  const all: { key: string; name: string }[] = [
    { key: CARD, name: 'grey card' },
    ...patches,
    { key: SECOND, name: 'a second grey or white (if there is one)' },
  ];
  const read = (key: string): Patched | null =>
    photo && places[key]?.length === CORNERS ? readPatch(photo.pixels, places[key]) : null;
  const bend = bendOf(read(CARD), read(SECOND), secondValue);
  const choose = async () => {
    const file = await choosePhoto(false);
    if (!file) return;
    try {
      setPhoto(await photoPixels(file));
      setPlaces({});
      setActive(CARD);
      setRefused(null);
    } catch (error) {
      setRefused((error as Error).message);
    }
  };
  const place = (at: Place) => {
    const had = places[active] ?? [];
    // A fifth tap begins the outline anew.
    const now = had.length >= CORNERS ? [at] : [...had, at];
    const next = { ...places, [active]: now };
    setPlaces(next);
    if (now.length < CORNERS || !photo) return;
    const card = next[CARD]?.length === CORNERS ? readPatch(photo.pixels, next[CARD]) : null;
    if (!card) return;
    let beyond = false;
    for (const { key } of patches) {
      const patch = next[key]?.length === CORNERS ? readPatch(photo.pixels, next[key]) : null;
      const lab = patch && againstCard(patch, card);
      if (lab && patch) {
        onRead(key, lab);
        beyond ||= patch.clipped > CALIBRATION.mostClipped;
      }
    }
    setRefused(
      beyond || card.clipped > CALIBRATION.mostClipped
        ? 'A channel is at its end there: that patch says only “beyond”. Photograph it darker.'
        : null,
    );
    const open = all.find(({ key }) => key !== SECOND && (next[key]?.length ?? 0) < CORNERS);
    if (open) setActive(open.key);
  };
  return (
    <View style={{ gap: space.s }}>
      <Text size="small" tone="ink2">
        Card beside the patches, light at 45°, camera straight, no glare; automatic white balance,
        HDR and enhancement off. The photo is read here and not kept.
      </Text>
      <Action
        title={photo ? 'Another photo' : 'A photo of the patches'}
        style={{ alignSelf: 'flex-start' }}
        onPress={() => void choose()}
      />
      {refused ? <Notice tone="refusal">{refused}</Notice> : null}
      {photo ? (
        <>
          <Choice
            label="Tap the four corners of"
            options={all.map(({ key, name }) => ({
              key,
              name: `${name}${(places[key]?.length ?? 0) >= CORNERS ? ', set' : ''}`,
            }))}
            value={active}
            onChange={setActive}
          />
          {active === SECOND ? (
            <Stepper
              label="Its value, 10 is white"
              step={0.5}
              min={0.5}
              max={10}
              text={secondText}
              onChangeText={setSecondText}
            />
          ) : null}
          {bend === null ? null : <Notice tone={bend.tone}>{bend.words}</Notice>}
          <View onLayout={(e) => setWidth(Math.floor(e.nativeEvent.layout.width))}>
            {width > 0 ? (
              <PhotoPlaces
                url={photo.url}
                alt="The photo of the patches"
                ratio={photo.pixels.height / photo.pixels.width}
                width={width}
                outlines={all.map((a) => ({ ...a, places: places[a.key] ?? [] }))}
                active={active}
                onPlace={place}
              />
            ) : null}
          </View>
        </>
      ) : null}
    </View>
  );
}
