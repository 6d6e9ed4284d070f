import type { ReactNode } from 'react';
import { View } from 'react-native';
import { useWide } from '@/ui/Split';
import { space } from '@/ui/tokens';

/** Of the page: what the picture takes where there is room for figures beside it. */
const PICTURE = 0.62;
/** A picture that stands alone needs no more. */
const ALONE_PX = 640;

/** How wide a picture is on a page so wide. */
export const pictureWidth = (width: number, wide: boolean): number =>
  wide ? Math.floor(width * PICTURE) : Math.min(width, ALONE_PX);

/** The picture with what belongs to it, and the figures: side by side where there is room, else below each other. */
export function Beside({
  shown,
  picture,
  children,
}: {
  /** How wide the picture is. */
  shown: number;
  picture: ReactNode;
  children: ReactNode;
}) {
  const wide = useWide();
  return (
    <View
      style={
        wide ? { flexDirection: 'row', gap: space.xl, alignItems: 'flex-start' } : { gap: space.m }
      }
    >
      <View style={{ gap: space.m, width: shown }}>{picture}</View>
      <View style={{ gap: space.m, ...(wide && { flex: 1 }) }}>{children}</View>
    </View>
  );
}
