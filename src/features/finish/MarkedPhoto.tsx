import { createElement, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Bother } from '@/core/painting/schema';
import { useJpeg } from '@/features/look/usePictures';
import { Action } from '@/ui/Action';
import { Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';

const WIDTH = 320;
const MARK = 28;

/** The photo that a bother was marked on, with its mark; fetched when it is asked for. */
export function MarkedPhoto({ place }: { place: NonNullable<Bother['place']> }) {
  const [open, setOpen] = useState(false);
  return (
    <View style={{ gap: space.xs }}>
      <Action
        title={open ? 'Put the photo away' : 'Show it on the photo'}
        kind="quiet"
        onPress={() => setOpen(!open)}
        style={{ alignSelf: 'flex-start' }}
      />
      {open ? <Photo place={place} /> : null}
    </View>
  );
}

function Photo({ place: { pictureId, x, y } }: { place: NonNullable<Bother['place']> }) {
  const jpeg = useJpeg(pictureId);
  if (jpeg === undefined) return <Text tone="ink2">Fetching the photo …</Text>;
  if (jpeg === null)
    return <Text tone="ink2">The photo it was marked on is not here any more.</Text>;
  return (
    <View style={{ width: WIDTH, maxWidth: '100%' }}>
      {createElement('img', {
        src: `data:image/jpeg;base64,${jpeg}`,
        alt: `Photo with the place marked, ${Math.round(x * 100)} % from the left and ${Math.round(y * 100)} % from the top`,
        style: { width: '100%', display: 'block' },
      })}
      <View style={[styles.mark, { left: `${x * 100}%`, top: `${y * 100}%` }]} />
    </View>
  );
}

const styles = StyleSheet.create({
  mark: {
    position: 'absolute',
    width: MARK,
    height: MARK,
    marginLeft: -MARK / 2,
    marginTop: -MARK / 2,
    borderRadius: MARK / 2,
    borderWidth: 3,
    borderColor: colour.tawny,
    outlineWidth: 1,
    outlineColor: colour.onTawny,
    outlineStyle: 'solid',
  },
});
