import { Fragment, memo } from 'react';
import Svg, { Defs, G, Line, LinearGradient, Path, Rect, Stop } from 'react-native-svg';
import type { FilmState } from '../film/step';
import { TextureDefs, textureOf, useOwnId, useTextures } from '../film/textures';
import { colour } from '../tokens';
import { timeScaleWithin } from './scale';

/** A film in a lane: a layer that begins, dries through its states, and stays. */
export interface LaneBand {
  key: string;
  colour: string;
  thicknessUm: number;
  planned: boolean;
  /** Laid at even odds, and with nine chances in ten; moments, ms. */
  laidMs: number;
  laidByMs: number;
  openMs: number;
  setMs: number;
  touchMs: number;
  throughMs: number;
}

interface Props {
  width: number;
  height: number;
  fromMs: number;
  toMs: number;
  groundColour: string;
  bands: LaneBand[];
  /** Hours in which somebody works, ms. */
  lit: { fromMs: number; toMs: number }[];
  nowMs: number;
  dueMs: number | null;
  /** The last safe day of the next step. */
  safeMs: number | null;
}

const GROUND_PX = 8;
const TOP_PX = 6;
/** A film thinner than this on the screen is still seen. */
const LEAST_PX = 3.5;
const MOST_PX = 12;
const LIT_LEAST_PX = 2.5;

/** Heights of the bands from the ground up: to scale, between what can be seen and what there is room for. */
function heights(bands: LaneBand[], room: number): number[] {
  const total = bands.reduce((sum, b) => sum + b.thicknessUm, 0);
  const scale = room / Math.max(total, 90);
  const raw = bands.map((b) => Math.min(MOST_PX, Math.max(LEAST_PX, b.thicknessUm * scale)));
  const sum = raw.reduce((a, b) => a + b, 0);
  return sum <= room ? raw : raw.map((h) => (h * room) / sum);
}

const STATES: { state: FilmState; until: (b: LaneBand) => number }[] = [
  { state: 'open', until: (b) => b.openMs },
  { state: 'setting', until: (b) => b.setMs },
  { state: 'tacky', until: (b) => b.touchMs },
  { state: 'touch-dry', until: (b) => b.throughMs },
];

/** Hours as upright strips, in one path: there are some dozen of them in every lane. */
function hoursPath(
  lit: Props['lit'],
  { height, fromMs, toMs }: Pick<Props, 'height' | 'fromMs' | 'toMs'>,
  x: (ms: number) => number,
): string {
  return lit
    .filter((h) => h.toMs >= fromMs && h.fromMs <= toMs)
    .map((h) => {
      const left = x(h.fromMs);
      const width = Math.max(LIT_LEAST_PX, x(h.toMs) - left);
      return `M${left} 0h${width}v${height}h${-width}z`;
    })
    .join('');
}

/** The film of one passage as it grows over the weeks; lit hours behind it, now and the date before it. */
export function FilmLane(props: Props) {
  const { width, height, fromMs, toMs, bands, lit, nowMs, dueMs, safeMs } = props;
  const { id } = useTextures();
  const own = useOwnId();
  const x = timeScaleWithin(props);
  const inside = (ms: number): boolean => ms >= fromMs && ms <= toMs;
  const px = heights(bands, height - GROUND_PX - TOP_PX);
  const tops = px.map((_, i) => height - GROUND_PX - px.slice(0, i + 1).reduce((a, b) => a + b, 0));
  return (
    <Svg width={width} height={height} aria-hidden>
      <TextureDefs id={id} />
      <Rect width={width} height={height} fill={colour.well} fillOpacity={0.45} />
      <Path d={hoursPath(lit, props, x)} fill={colour.sheet} />
      <Rect y={height - GROUND_PX} width={width} height={GROUND_PX} fill={props.groundColour} />
      {bands.map((band, i) => (
        <LaneBandPart
          key={band.key}
          band={band}
          id={`${own}-f${i}`}
          textures={id}
          y={tops[i]!}
          height={px[i]!}
          width={width}
          fromMs={fromMs}
          toMs={toMs}
        />
      ))}
      <Line
        x2={width}
        y1={height - 0.5}
        y2={height - 0.5}
        x1={0}
        stroke={colour.ink}
        strokeWidth={1}
      />
      {safeMs !== null && inside(safeMs) ? (
        <Line
          x1={x(safeMs)}
          x2={x(safeMs)}
          y1={0}
          y2={height}
          stroke={colour.ink}
          strokeWidth={2}
          strokeDasharray="4 4"
        />
      ) : null}
      {inside(nowMs) ? (
        <Line
          x1={x(nowMs)}
          x2={x(nowMs)}
          y1={0}
          y2={height}
          stroke={colour.tawny}
          strokeWidth={2}
        />
      ) : null}
      {dueMs !== null && inside(dueMs) ? (
        <Line
          x1={x(dueMs)}
          x2={x(dueMs)}
          y1={0}
          y2={height}
          stroke={colour.brick}
          strokeWidth={3}
        />
      ) : null}
    </Svg>
  );
}

const LaneBandPart = memo(function LaneBandPart({
  band,
  id,
  textures,
  y,
  height,
  width,
  fromMs,
  toMs,
}: {
  band: LaneBand;
  id: string;
  textures: string;
  y: number;
  height: number;
  width: number;
  fromMs: number;
  toMs: number;
}) {
  const x = timeScaleWithin({ width, fromMs, toMs });
  const start = x(band.laidMs);
  if (start >= width) return null;
  const sure = Math.max(start, x(band.laidByMs));
  const edge = width > start ? (sure - start) / (width - start) : 0;
  const fades = band.planned && sure - start > 1;
  return (
    <G>
      {fades ? (
        <Defs>
          <LinearGradient id={id} x1="0" y1="0" x2="1" y2="0">
            <Stop offset="0" stopColor={band.colour} stopOpacity={0.12} />
            <Stop offset={Math.min(1, edge)} stopColor={band.colour} stopOpacity={0.85} />
            <Stop offset="1" stopColor={band.colour} stopOpacity={0.85} />
          </LinearGradient>
        </Defs>
      ) : null}
      <Rect
        x={start}
        y={y}
        width={width - start}
        height={height}
        fill={fades ? `url(#${id})` : band.colour}
        fillOpacity={band.planned && !fades ? 0.85 : 1}
      />
      {STATES.map(({ state, until }, i) => {
        const to = x(until(band));
        // A state begins where the last of those before it ends.
        const from = Math.max(start, ...STATES.slice(0, i).map((s) => x(s.until(band))));
        const left = Math.max(from, band.planned ? start + (sure - start) * 0.4 : start);
        const texture = textureOf(textures, state);
        return texture && to - left > 1 ? (
          <Rect key={state} x={left} y={y} width={to - left} height={height} fill={texture} />
        ) : (
          <Fragment key={state} />
        );
      })}
      <Line
        x1={start}
        x2={width}
        y1={y}
        y2={y}
        stroke={colour.ink2}
        strokeWidth={1}
        strokeOpacity={0.7}
        {...(band.planned ? { strokeDasharray: '5 4' } : {})}
      />
    </G>
  );
});
