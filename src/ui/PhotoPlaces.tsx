import { createElement, useState, type KeyboardEvent, type MouseEvent } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Line, Polygon, Text as SvgText } from 'react-native-svg';
import { colour, font } from './tokens';

export type Place = readonly [x: number, y: number];
export interface Outline {
  key: string;
  name: string;
  places: readonly Place[];
}

interface Props {
  url: string;
  alt: string;
  /** Height over width. */
  ratio: number;
  width: number;
  outlines: readonly Outline[];
  active: string;
  onPlace: (place: Place) => void;
  /** Drawn over the photo, below the outlines. */
  children?: React.ReactNode;
}

const STEP = 0.01;
const LEAP = 0.05;
const clamp = (v: number): number => Math.min(1, Math.max(0, v));

/**
 * A photo on which places are set: by a tap, or by a cross that the arrow keys move and Enter sets. What is being set is
 * drawn strong, what was set before thin.
 */
export function PhotoPlaces({
  url,
  alt,
  ratio,
  width,
  outlines,
  active,
  onPlace,
  children,
}: Props) {
  const [cross, setCross] = useState<Place | null>(null);
  const height = width * ratio;
  const [cx, cy] = cross ?? [0.5, 0.5];
  const by = (e: KeyboardEvent): Place | null => {
    const step = e.shiftKey ? LEAP : STEP;
    switch (e.key) {
      case 'ArrowLeft':
        return [clamp(cx - step), cy];
      case 'ArrowRight':
        return [clamp(cx + step), cy];
      case 'ArrowUp':
        return [cx, clamp(cy - step)];
      case 'ArrowDown':
        return [cx, clamp(cy + step)];
      default:
        return null;
    }
  };
  const now = outlines.find((o) => o.key === active);
  return createElement(
    'div',
    {
      role: 'application',
      tabIndex: 0,
      'aria-label': `${alt}. ${now ? `${now.name}: ${now.places.length} places set. ` : ''}Arrow keys move the cross, Enter sets a place.`,
      style: { position: 'relative', width, height, cursor: 'crosshair', overflow: 'hidden' },
      onClick: (e: MouseEvent<HTMLElement>) => {
        const box = e.currentTarget.getBoundingClientRect();
        setCross(null);
        onPlace([
          clamp((e.clientX - box.left) / box.width),
          clamp((e.clientY - box.top) / box.height),
        ]);
      },
      onKeyDown: (e: KeyboardEvent) => {
        const to = by(e);
        if (to) setCross(to);
        else if (e.key === 'Enter' || e.key === ' ') onPlace([cx, cy]);
        else return;
        e.preventDefault();
        e.stopPropagation();
      },
    },
    createElement('img', {
      key: 'photo',
      src: url,
      alt: '',
      draggable: false,
      style: { width, height, display: 'block' },
    }),
    children,
    <View
      key="outlines"
      style={{ position: 'absolute', top: 0, left: 0, pointerEvents: 'none' }}
      aria-hidden
    >
      <Svg width={width} height={height}>
        {outlines.map(({ key, name, places }) => {
          const here = key === active;
          const points = places.map(([x, y]) => `${x * width},${y * height}`).join(' ');
          return places.length === 0 ? null : (
            <PlaceMark
              key={key}
              name={name}
              here={here}
              points={points}
              first={[places[0]![0] * width, places[0]![1] * height]}
              all={places.map(([x, y]) => [x * width, y * height])}
            />
          );
        })}
        {cross ? (
          <>
            <Line
              x1={cx * width}
              x2={cx * width}
              y1={cy * height - 14}
              y2={cy * height + 14}
              stroke={colour.tawny}
              strokeWidth={2}
            />
            <Line
              x1={cx * width - 14}
              x2={cx * width + 14}
              y1={cy * height}
              y2={cy * height}
              stroke={colour.tawny}
              strokeWidth={2}
            />
          </>
        ) : null}
      </Svg>
    </View>,
  );
}

function PlaceMark({
  name,
  here,
  points,
  first,
  all,
}: {
  name: string;
  here: boolean;
  points: string;
  first: [number, number];
  all: [number, number][];
}) {
  const stroke = here ? colour.tawny : colour.sheet;
  return (
    <>
      <Polygon points={points} fill="none" stroke={colour.ink} strokeWidth={here ? 4 : 3} />
      <Polygon points={points} fill="none" stroke={stroke} strokeWidth={here ? 2 : 1.5} />
      {here
        ? all.map(([x, y]) => (
            <Circle
              key={`${x},${y}`}
              cx={x}
              cy={y}
              r={4}
              fill={colour.tawny}
              stroke={colour.sheet}
              strokeWidth={1}
            />
          ))
        : null}
      <SvgText
        x={first[0] + 5}
        y={first[1] + 16}
        fontFamily={font.strong}
        fontSize={14}
        fill={colour.sheet}
        stroke={colour.ink}
        strokeWidth={0.4}
      >
        {name}
      </SvgText>
    </>
  );
}
