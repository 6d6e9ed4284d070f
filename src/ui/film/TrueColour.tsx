import { createElement, useSyncExternalStore, type ReactNode } from 'react';
import type { ScreenColour } from '@/core/optics';

const WIDE = '(color-gamut: p3)';
const query = () => (typeof matchMedia === 'undefined' ? null : matchMedia(WIDE));
const listen = (change: () => void) => {
  const media = query();
  media?.addEventListener('change', change);
  return () => media?.removeEventListener('change', change);
};

/** Whether this screen has more than sRGB. */
export const useWideGamut = (): boolean =>
  useSyncExternalStore(
    listen,
    () => query()?.matches ?? false,
    () => false,
  );

/** The colour as this screen shows it best. */
export const cssColour = ({ hex, p3 }: ScreenColour, wide: boolean): string => (wide && p3) || hex;

/** A field of paint in its true colour, in Display P3 where the screen has it and the paint asks for it. */
export function TrueColour({
  colour,
  height,
  children,
}: {
  colour: ScreenColour;
  height: number;
  children?: ReactNode;
}) {
  const wide = useWideGamut();
  // A plain element: the styles of the platform know no colours beyond sRGB.
  return createElement(
    'div',
    {
      'aria-hidden': true,
      style: { flex: 1, height, background: cssColour(colour, wide), minWidth: 0 },
    },
    children,
  );
}
