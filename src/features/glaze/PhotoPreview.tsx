import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { changeOf, changeWords, thicker } from '@/core/optics';
import { glazeOnPhoto } from '@/core/optics/on-photo';
import type { Place } from '@/core/optics/read-patches';
import { choosePhoto } from '@/features/session/photo';
import { photoPixels, type PhotoInHand } from '@/features/swatches/photo-pixels';
import { useSessions } from '@/features/session/useSession';
import { bytesOf, readPhoto } from '@/store/photos';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { PhotoPlaces } from '@/ui/PhotoPlaces';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';
import type { Glaze } from './useGlaze';

const STRENGTHS = [
  { key: '0.5', name: 'half as thick' },
  { key: '1', name: 'as planned' },
  { key: '1.5', name: 'half as thick again' },
] as const;
const OUTLINE = 'outline';
const LEAST_CORNERS = 3;

/** The canvas of pixels, as a picture to show. */
function urlOf({ data, width, height }: PhotoInHand['pixels']): string {
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  canvas
    .getContext('2d')!
    .putImageData(new ImageData(data as Uint8ClampedArray<ArrayBuffer>, width, height), 0, 0);
  return canvas.toDataURL('image/jpeg', 0.85);
}

/** The last photo of the log of a painting; null where there is none. */
function useLastPhoto(paintingId: string | null): string | null {
  const sessions = useSessions();
  return useMemo(
    () =>
      sessions
        .flatMap((s) => s.photos)
        .filter((p) => p.paintingId === paintingId)
        .sort((a, b) => a.takenAt.localeCompare(b.takenAt))
        .at(-1)?.id ?? null,
    [sessions, paintingId],
  );
}

/** The coat on a photo of the picture: the passage is outlined, and shown with the coat at several strengths. */
export function PhotoPreview({ glaze }: { glaze: Glaze }) {
  const [photo, setPhoto] = useState<PhotoInHand | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const [places, setPlaces] = useState<Place[]>([]);
  const [strength, setStrength] = useState<(typeof STRENGTHS)[number]['key']>('1');
  const [divider, setDivider] = useState('50');
  const [width, setWidth] = useState(0);
  const last = useLastPhoto(glaze.painting?.id ?? null);
  const open = async (find: () => Promise<Blob | null>) => {
    try {
      const file = await find();
      if (!file) return;
      setPhoto(await photoPixels(file));
      setPlaces([]);
      setRefused(null);
    } catch (error) {
      setRefused((error as Error).message);
    }
  };
  const ofLog = async (): Promise<Blob | null> => {
    const jpeg = await readPhoto(last!);
    if (jpeg === null) throw new Error('That photo is not in this browser any more.');
    return new Blob([bytesOf(jpeg) as Uint8Array<ArrayBuffer>]);
  };
  const { film, um } = glaze;
  const shown = useMemo(() => {
    if (!photo || !film || places.length < LEAST_CORNERS) return null;
    const made = glazeOnPhoto(photo.pixels, places, thicker(film, um * Number(strength)));
    return made && { ...made, url: urlOf(made.pixels) };
  }, [photo, film, um, strength, places]);
  const at = Math.min(100, Math.max(0, Number(divider) || 0));
  return (
    <View style={{ gap: space.s }}>
      <Heading level={2}>On a photo</Heading>
      <View style={{ flexDirection: 'row', gap: space.s, flexWrap: 'wrap' }}>
        {last ? <Action title="The last of its log" onPress={() => void open(ofLog)} /> : null}
        <Action
          title={photo ? 'Another photo' : 'A photo'}
          onPress={() => void open(() => choosePhoto(false))}
        />
      </View>
      {refused ? <Notice tone="refusal">{refused}</Notice> : null}
      {photo ? (
        <>
          <Text size="small" tone="ink2">
            Tap round the passage, three corners or more.
          </Text>
          <View onLayout={(e) => setWidth(Math.floor(e.nativeEvent.layout.width))}>
            {width > 0 ? (
              <PhotoPlaces
                url={photo.url}
                alt="The photo of the picture"
                ratio={photo.pixels.height / photo.pixels.width}
                width={width}
                outlines={[
                  { key: OUTLINE, name: glaze.passage?.passage.name ?? 'passage', places },
                ]}
                active={OUTLINE}
                onPlace={(place) => setPlaces((p) => [...p, place])}
              >
                {shown ? (
                  <img
                    key="with"
                    alt=""
                    src={shown.url}
                    draggable={false}
                    style={{
                      position: 'absolute',
                      inset: 0,
                      width: '100%',
                      height: '100%',
                      clipPath: `inset(0 0 0 ${at}%)`,
                      borderLeft: 0,
                    }}
                  />
                ) : null}
                {shown ? (
                  <View
                    key="divider"
                    style={{
                      position: 'absolute',
                      top: 0,
                      bottom: 0,
                      left: `${at}%`,
                      width: 2,
                      backgroundColor: colour.sheet,
                      pointerEvents: 'none',
                    }}
                  />
                ) : null}
              </PhotoPlaces>
            ) : null}
          </View>
          {places.length > 0 ? (
            <Action
              title="Outline it anew"
              kind="quiet"
              style={{ alignSelf: 'flex-start' }}
              onPress={() => setPlaces([])}
            />
          ) : null}
          {shown ? (
            <>
              <Choice
                label="Laid"
                options={[...STRENGTHS]}
                value={strength}
                onChange={setStrength}
              />
              <Stepper
                label="Divider: before to the left of it"
                unit="%"
                step={10}
                min={0}
                max={100}
                text={divider}
                onChangeText={setDivider}
              />
              <Text strong>{changeWords(changeOf(shown.before, shown.after))}</Text>
              <Text size="small" tone="ink2">
                A picture of the change, not of the colour: the camera has bent tones and whites,
                and a photo has no spectrum. Usually within one step over one colour; one in ten is
                off by three or more.
              </Text>
            </>
          ) : null}
        </>
      ) : (
        <Text size="small" tone="ink2">
          Without a photo the fields above show it.
        </Text>
      )}
    </View>
  );
}
