import { createContext, memo, useContext, useId, type ReactNode } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Defs, Path, Pattern, Rect } from 'react-native-svg';
import { colour } from '../tokens';
import type { FilmState } from './step';

/** Ids of the patterns that many drawings share. */
const Shared = createContext<string | null>(null);

/** An id that can stand in a url(). */
export function useOwnId(): string {
  const raw = useId();
  return `t${raw.replace(/[^a-zA-Z0-9]/g, '')}`;
}

type Texture = FilmState | 'broken' | 'grain';

/** What to fill with for a state, of the patterns with an id; null where a state has no texture. */
export const textureOf = (id: string, state: Texture): string | null =>
  state === 'through-dry' || state === 'planned' || state === 'unknown'
    ? null
    : `url(#${id}-${state})`;

/** Ids of a drawing's patterns: they are looked up in the whole document, so each drawing has its own or a shared one. */
export function useTextures(): { id: string; fill: (state: Texture) => string | null } {
  const own = useOwnId();
  const id = useContext(Shared) ?? own;
  return { id, fill: (state) => textureOf(id, state) };
}

/** The drawings in it share one set of patterns: where there are dozens, most of what is drawn would be patterns. */
export function SharedTextures({ children }: { children: ReactNode }) {
  const id = useOwnId();
  return (
    <Shared.Provider value={id}>
      <View style={{ position: 'absolute' }}>
        <Svg width={0} height={0} aria-hidden>
          <Patterns id={id} ink={colour.ink} halo={colour.sheet} />
        </Svg>
      </View>
      {children}
    </Shared.Provider>
  );
}

interface PatternProps {
  id: string;
  ink?: string;
  halo?: string;
}

/** The patterns of a drawing by itself; nothing where it shares those of others. */
export function TextureDefs({ id, ink = colour.ink, halo = colour.sheet }: PatternProps) {
  return useContext(Shared) === id ? null : <Patterns id={id} ink={ink} halo={halo} />;
}

/**
 * The textures of drying, drawn in `ink` over the colour of the film: open waves, setting sparse dots,
 * tacky dense dots, touch-dry a fine hatch, through-dry plain; broken a counter-hatch in brick.
 */
const Patterns = memo(function Patterns({ id, ink, halo }: Required<PatternProps>) {
  return (
    <Defs>
      <Pattern id={`${id}-open`} width={16} height={8} patternUnits="userSpaceOnUse">
        <Path
          d="M0 5 Q4 0 8 5 T16 5"
          stroke={halo}
          strokeWidth={3}
          strokeOpacity={0.55}
          fill="none"
        />
        <Path d="M0 5 Q4 0 8 5 T16 5" stroke={ink} strokeWidth={1.3} fill="none" />
      </Pattern>
      <Pattern id={`${id}-setting`} width={11} height={11} patternUnits="userSpaceOnUse">
        <Dot x={3} y={3} ink={ink} halo={halo} />
        <Dot x={8.5} y={8.5} ink={ink} halo={halo} />
      </Pattern>
      <Pattern id={`${id}-tacky`} width={5} height={5} patternUnits="userSpaceOnUse">
        <Dot x={1.3} y={1.3} ink={ink} halo={halo} small />
        <Dot x={3.8} y={3.8} ink={ink} halo={halo} small />
      </Pattern>
      <Pattern id={`${id}-touch-dry`} width={7} height={7} patternUnits="userSpaceOnUse">
        <Path
          d="M-1 8 L8 -1 M-1 1 L1 -1 M6 8 L8 6"
          stroke={halo}
          strokeWidth={2.4}
          strokeOpacity={0.5}
        />
        <Path d="M-1 8 L8 -1 M-1 1 L1 -1 M6 8 L8 6" stroke={ink} strokeWidth={1} />
      </Pattern>
      <Pattern id={`${id}-broken`} width={8} height={8} patternUnits="userSpaceOnUse">
        <Rect width={8} height={8} fill={colour.sheet} />
        <Path d="M-1 -1 L9 9 M-1 7 L1 9 M7 -1 L9 1" stroke={colour.brick} strokeWidth={2.2} />
      </Pattern>
      <Pattern id={`${id}-grain`} width={46} height={38} patternUnits="userSpaceOnUse">
        {GRAIN.map(([x, y, r, light]) => (
          <Circle
            key={`${x}-${y}`}
            cx={x}
            cy={y}
            r={r}
            fill={light ? '#FFFFFF' : '#000000'}
            fillOpacity={light ? 0.3 : 0.16}
          />
        ))}
      </Pattern>
    </Defs>
  );
});

function Dot({
  x,
  y,
  ink,
  halo,
  small = false,
}: {
  x: number;
  y: number;
  ink: string;
  halo: string;
  small?: boolean;
}) {
  return (
    <>
      <Circle cx={x} cy={y} r={small ? 1.25 : 1.9} fill={halo} fillOpacity={0.55} />
      <Circle cx={x} cy={y} r={small ? 0.85 : 1.3} fill={ink} />
    </>
  );
}

/** Pigment grains: x, y, radius, light or dark. */
const GRAIN: [number, number, number, boolean][] = [
  [4, 6, 1.6, true],
  [13, 3, 0.9, false],
  [22, 9, 1.3, false],
  [31, 4, 1.8, true],
  [40, 11, 1, false],
  [8, 16, 1.1, false],
  [17, 21, 1.9, true],
  [28, 18, 0.8, false],
  [37, 23, 1.5, false],
  [3, 28, 1.4, false],
  [12, 33, 0.9, true],
  [24, 30, 1.2, false],
  [34, 34, 1, true],
  [43, 30, 1.6, false],
];
