import Svg, { Defs, G, Line, LinearGradient, Path, Rect, Stop } from 'react-native-svg';
import { TextureDefs, useTextures } from '../film/textures';
import type { FilmState } from '../film/step';
import { colour } from '../tokens';
import { timeScaleWithin } from './scale';

export interface Mark {
  ms: number | null;
  /** Hollow 50 %, solid 90 %. */
  solid: boolean;
}

interface Props {
  width: number;
  height?: number;
  fromMs: number;
  toMs: number;
  /** What lies there now. */
  state: FilmState;
  /** Paint may go on from here (25 % chance) to here (certain enough); null when never in sight. */
  readyFromMs: number | null;
  readyByMs: number | null;
  /** Paint may go on only until here: an open film. */
  openUntil?: { p10: number | null; p50: number | null };
  marks: Mark[];
  /** Hairlines, e.g. midnights. */
  ticks: number[];
}

/** A stretch of time: the texture of the state, then tawny where paint may go; edges fade with uncertainty. */
export function WindowBar({
  width,
  height = 16,
  fromMs,
  toMs,
  state,
  readyFromMs,
  readyByMs,
  openUntil,
  marks,
  ticks,
}: Props) {
  const { id, fill } = useTextures();
  const pad = 8;
  const x = timeScaleWithin({ width, fromMs, toMs });
  const top = pad / 2;
  const fade = `${id}-fade`;
  const start = readyFromMs === null ? width : x(readyFromMs);
  const sure = readyByMs === null ? width : x(readyByMs);
  const open = openUntil ? x(openUntil.p50 ?? fromMs) : 0;
  return (
    <Svg width={width} height={height + pad} aria-hidden>
      <TextureDefs id={id} ink={colour.ink2} />
      <Defs>
        <LinearGradient id={fade} x1="0" y1="0" x2="1" y2="0">
          <Stop offset="0%" stopColor={colour.tawny} stopOpacity={0} />
          <Stop offset="100%" stopColor={colour.tawny} stopOpacity={1} />
        </LinearGradient>
      </Defs>
      {openUntil ? (
        <G>
          <Rect x={0} y={top} width={open} height={height} fill={colour.tawny} fillOpacity={0.85} />
          <Rect x={0} y={top} width={open} height={height} fill={fill('open')!} />
          <Rect x={open} y={top} width={width - open} height={height} fill={fill('setting')!} />
        </G>
      ) : (
        <G>
          {fill(state) ? (
            <Rect x={0} y={top} width={Math.max(start, sure)} height={height} fill={fill(state)!} />
          ) : null}
          {sure > start ? (
            <Rect x={start} y={top} width={sure - start} height={height} fill={`url(#${fade})`} />
          ) : null}
          {sure < width ? (
            <Rect
              x={sure}
              y={top}
              width={width - sure}
              height={height}
              rx={2}
              fill={colour.tawny}
            />
          ) : null}
        </G>
      )}
      {ticks.map((ms) => (
        <Line
          key={ms}
          x1={x(ms)}
          x2={x(ms)}
          y1={0}
          y2={height + pad}
          stroke={colour.ink2}
          strokeOpacity={0.55}
          strokeWidth={1}
        />
      ))}
      {marks.map((mark) =>
        mark.ms !== null && mark.ms >= fromMs && mark.ms <= toMs ? (
          <Diamond
            key={mark.solid ? 'solid' : 'hollow'}
            x={Math.min(width - 8, Math.max(8, x(mark.ms)))}
            y={top + height / 2}
            solid={mark.solid}
          />
        ) : null,
      )}
    </Svg>
  );
}

export function Diamond({ x, y, solid }: { x: number; y: number; solid: boolean }) {
  return (
    <Path
      d={`M ${x} ${y - 8} L ${x + 7} ${y} L ${x} ${y + 8} L ${x - 7} ${y} Z`}
      fill={solid ? colour.ink : colour.sheet}
      stroke={solid ? colour.sheet : colour.ink}
      strokeWidth={solid ? 1 : 2}
    />
  );
}

/** The key to the marks. */
export function DiamondKey({ solid }: { solid: boolean }) {
  return (
    <Svg width={18} height={18} aria-hidden>
      <Diamond x={9} y={9} solid={solid} />
    </Svg>
  );
}
