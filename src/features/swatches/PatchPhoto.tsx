import { useState } from 'react';
import { View } from 'react-native';
import { againstCard, readPatch, type Place } from '@/core/optics/read-patches';
import type { Lab } from '@/core/optics';
import { choosePhoto } from '@/features/session/photo';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { PhotoPlaces } from '@/ui/PhotoPlaces';
import { Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { photoPixels, type PhotoInHand } from './photo-pixels';

const CARD = 'card';
const CORNERS = 4;
const CLIPPED = 0.05;

/** Patches read off a photo with a grey card in it: four corners of each. */
export function PatchPhoto({
  patches,
  onRead,
}: {
  patches: readonly { key: string; name: string }[];
  onRead: (key: string, lab: Lab) => void;
}) {
  const [photo, setPhoto] = useState<PhotoInHand | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const [places, setPlaces] = useState<Record<string, Place[]>>({});
  const [active, setActive] = useState(CARD);
  const [width, setWidth] = useState(0);
  const all = [{ key: CARD, name: 'grey card' }, ...patches];
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
        beyond ||= patch.clipped > CLIPPED;
      }
    }
    setRefused(
      beyond || card.clipped > CLIPPED
        ? 'A channel is at its end there: that patch says only “beyond”. Photograph it darker.'
        : null,
    );
    const open = all.find(({ key }) => (next[key]?.length ?? 0) < CORNERS);
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
