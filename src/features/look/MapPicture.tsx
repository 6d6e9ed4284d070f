import { createElement, useLayoutEffect, useRef, type ReactNode } from 'react';
import { View } from 'react-native';
import { colour } from '@/ui/tokens';
import type { MapReply } from '@/workers/looking-protocol';

/** Pixels as a picture to show. */
export function urlOfMap({ rgba, width, height }: MapReply): string {
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  canvas
    .getContext('2d')!
    .putImageData(new ImageData(rgba as Uint8ClampedArray<ArrayBuffer>, width, height), 0, 0);
  return canvas.toDataURL('image/jpeg', 0.9);
}

/** A picture on its support, drawn by the worker; what lies on it is drawn over. */
export function MapPicture({
  map,
  label,
  width,
  ratio,
  children,
}: {
  map: MapReply | null;
  label: string;
  width: number;
  /** Height over width of the support. */
  ratio: number;
  children?: ReactNode;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useLayoutEffect(() => {
    if (!map || !canvas.current) return;
    canvas.current.width = map.width;
    canvas.current.height = map.height;
    canvas.current
      .getContext('2d')!
      .putImageData(
        new ImageData(map.rgba as Uint8ClampedArray<ArrayBuffer>, map.width, map.height),
        0,
        0,
      );
  }, [map]);
  const height = width * ratio;
  return (
    <View style={{ width, height, backgroundColor: colour.well }}>
      {createElement('canvas', {
        ref: canvas,
        role: 'img',
        'aria-label': map ? label : `${label}, being drawn`,
        style: { width, height, display: 'block' },
      })}
      <View style={{ position: 'absolute', top: 0, left: 0, pointerEvents: 'none' }} aria-hidden>
        {children}
      </View>
    </View>
  );
}
