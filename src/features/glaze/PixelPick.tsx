import { useState } from 'react';
import { View } from 'react-native';
import type { Lab } from '@/core/optics';
import { labOfLinear } from '@/core/optics/screen';
import { readPatch, type Place } from '@/core/optics/read-patches';
import { choosePhoto } from '@/features/session/photo';
import { photoPixels, type PhotoInHand } from '@/features/swatches/photo-pixels';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { PhotoPlaces } from '@/ui/PhotoPlaces';
import { Text } from '@/ui/Text';
import { space } from '@/ui/tokens';

/** Half of what is read round a point, share of the photo: a brush mark, not a grain of the sensor. */
const HALF = 0.012;

const around = ([x, y]: Place): Place[] => [
  [x - HALF, y - HALF],
  [x + HALF, y - HALF],
  [x + HALF, y + HALF],
  [x - HALF, y + HALF],
];

/** A colour off a photo, as the camera has it. */
export function PixelPick({ onPick }: { onPick: (lab: Lab) => void }) {
  const [photo, setPhoto] = useState<PhotoInHand | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const [place, setPlace] = useState<Place | null>(null);
  const [width, setWidth] = useState(0);
  const open = async () => {
    const file = await choosePhoto(false);
    if (!file) return;
    try {
      setPhoto(await photoPixels(file));
      setPlace(null);
      setRefused(null);
    } catch (error) {
      setRefused((error as Error).message);
    }
  };
  return (
    <View style={{ gap: space.s }}>
      <Action
        title={photo ? 'Another photo to pick from' : 'A photo to pick from'}
        style={{ alignSelf: 'flex-start' }}
        onPress={() => void open()}
      />
      {refused ? <Notice tone="refusal">{refused}</Notice> : null}
      {photo ? (
        <View onLayout={(e) => setWidth(Math.floor(e.nativeEvent.layout.width))}>
          {width > 0 ? (
            <PhotoPlaces
              url={photo.url}
              alt="The photo to pick a colour from"
              ratio={photo.pixels.height / photo.pixels.width}
              width={width}
              outlines={[{ key: 'at', name: '', places: place ? around(place) : [] }]}
              active="at"
              onPlace={(at) => {
                setPlace(at);
                const patch = readPatch(photo.pixels, around(at));
                if (patch) onPick(labOfLinear(patch.linear));
              }}
            />
          ) : null}
        </View>
      ) : null}
      <Text size="small" tone="ink2">
        Without a grey card the camera’s own exposure and white are in it: a relation, not a figure.
      </Text>
    </View>
  );
}
