import { createElement, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Line, Polygon } from 'react-native-svg';
import { colour } from './tokens';
import type { Place } from './PhotoPlaces';

export interface Handle {
  key: string;
  name: string;
  at: Place;
}

interface Props {
  url: string;
  alt: string;
  /** Height over width, and the width it is shown at. */
  ratio: number;
  width: number;
  /** How wide the picture itself is, px: a key moves by one of them. */
  pixels: number;
  handles: readonly Handle[];
  active: string;
  onActive: (key: string) => void;
  onMove: (key: string, at: Place) => void;
  /** Lines between the handles, in their order. */
  closed?: boolean;
}

const NEAR = 28;
const LOUPE = 116;
const ZOOM = 3;
const LEAP = 10;
const clamp = (v: number): number => Math.min(1, Math.max(0, v));

/**
 * Places on a picture that are dragged, tapped or moved by keys. While one is moved a loupe shows it large in the corner
 * that the finger does not cover.
 */
export function PicturePlaces({
  url,
  alt,
  ratio,
  width,
  pixels,
  handles,
  active,
  onActive,
  onMove,
  closed = false,
}: Props) {
  const height = width * ratio;
  /** What the finger holds; and whether one is being moved, by it or by keys. */
  const [held, setHeld] = useState<string | null>(null);
  const [moving, setMoving] = useState(false);
  const now = handles.find((h) => h.key === active) ?? handles[0];
  const placeOf = (e: PointerEvent<HTMLElement>): Place => {
    const box = e.currentTarget.getBoundingClientRect();
    return [clamp((e.clientX - box.left) / box.width), clamp((e.clientY - box.top) / box.height)];
  };
  const by = (e: KeyboardEvent): Place | null => {
    if (!now) return null;
    const step = (e.shiftKey ? LEAP : 1) / pixels;
    const [x, y] = now.at;
    if (e.key === 'ArrowLeft') return [clamp(x - step), y];
    if (e.key === 'ArrowRight') return [clamp(x + step), y];
    if (e.key === 'ArrowUp') return [x, clamp(y - step / ratio)];
    if (e.key === 'ArrowDown') return [x, clamp(y + step / ratio)];
    return null;
  };
  return createElement(
    'div',
    {
      role: 'application',
      tabIndex: 0,
      'aria-label': `${alt}. ${now ? `${now.name} at ${(now.at[0] * 100).toFixed(1)} % from the left, ${(now.at[1] * 100).toFixed(1)} % from the top. ` : ''}Arrow keys move it, with Shift by ten.`,
      style: {
        position: 'relative',
        width,
        height,
        touchAction: 'none',
        cursor: 'crosshair',
        overflow: 'hidden',
      },
      onPointerDown: (e: PointerEvent<HTMLElement>) => {
        const at = placeOf(e);
        const near = [...handles]
          .map((h) => ({
            h,
            d: Math.hypot((h.at[0] - at[0]) * width, (h.at[1] - at[1]) * height),
          }))
          .sort((p, q) => p.d - q.d)[0];
        const key = near && near.d < NEAR ? near.h.key : active;
        setHeld(key);
        e.currentTarget.setPointerCapture(e.pointerId);
        if (key !== active) onActive(key);
        // The one that is set goes under the finger, however near it was.
        else onMove(key, at);
        setMoving(true);
      },
      onPointerMove: (e: PointerEvent<HTMLElement>) => {
        if (held !== null) onMove(held, placeOf(e));
      },
      onPointerUp: () => {
        setHeld(null);
        setMoving(false);
      },
      onPointerCancel: () => {
        setHeld(null);
        setMoving(false);
      },
      onKeyDown: (e: KeyboardEvent) => {
        const to = by(e);
        if (!to || !now) return;
        onMove(now.key, to);
        setMoving(true);
        e.preventDefault();
        e.stopPropagation();
      },
      onBlur: () => setMoving(false),
    },
    createElement('img', {
      key: 'picture',
      src: url,
      alt: '',
      draggable: false,
      style: { width, height, display: 'block', userSelect: 'none' },
    }),
    <View
      key="handles"
      style={{ position: 'absolute', top: 0, left: 0, pointerEvents: 'none' }}
      aria-hidden
    >
      <Svg width={width} height={height}>
        {closed && handles.length > 2
          ? [
              { stroke: colour.ink, wide: 3 },
              { stroke: colour.sheet, wide: 1.5 },
            ].map(({ stroke, wide }) => (
              <Polygon
                key={stroke}
                points={handles.map(({ at: [x, y] }) => `${x * width},${y * height}`).join(' ')}
                fill="none"
                stroke={stroke}
                strokeWidth={wide}
                strokeDasharray={wide > 2 ? undefined : '6 4'}
              />
            ))
          : null}
        {handles.map(({ key, at: [x, y] }) => (
          <Circle
            key={key}
            cx={x * width}
            cy={y * height}
            r={key === now?.key ? 9 : 6}
            fill={key === now?.key ? colour.tawny : colour.sheet}
            fillOpacity={0.55}
            stroke={colour.ink}
            strokeWidth={1.5}
          />
        ))}
      </Svg>
      {moving && now ? <Loupe url={url} at={now.at} width={width} height={height} /> : null}
    </View>,
  );
}

/** A place shown large, in the upper corner that it is not in. */
function Loupe({
  url,
  at: [x, y],
  width,
  height,
}: {
  url: string;
  at: Place;
  width: number;
  height: number;
}) {
  const mid = LOUPE / 2;
  return (
    <View
      style={{
        position: 'absolute',
        top: 6,
        left: x < 0.5 ? width - LOUPE - 6 : 6,
        width: LOUPE,
        height: LOUPE,
        borderWidth: 2,
        borderColor: colour.ink,
        overflow: 'hidden',
        backgroundColor: colour.well,
      }}
    >
      {createElement('img', {
        src: url,
        alt: '',
        style: {
          position: 'absolute',
          width: width * ZOOM,
          height: height * ZOOM,
          maxWidth: 'none',
          left: mid - x * width * ZOOM,
          top: mid - y * height * ZOOM,
        },
      })}
      <Svg width={LOUPE} height={LOUPE} style={{ position: 'absolute' }}>
        <Line x1={mid} x2={mid} y1={0} y2={LOUPE} stroke={colour.tawny} />
        <Line x1={0} x2={LOUPE} y1={mid} y2={mid} stroke={colour.tawny} />
      </Svg>
    </View>
  );
}
