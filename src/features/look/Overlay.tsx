import Svg, { Circle, G, Line, Text as SvgText } from 'react-native-svg';
import { driftedBy, type Drift } from '@/core/looking/drawing';
import type { Looking } from '@/core/looking/schema';
import type { Support } from '@/core/looking/photo';
import { colour, font } from '@/ui/tokens';

/** Arrows of a few millimetres are drawn larger than they are. */
export const ARROW = 6;

const CELL_NAMES = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';
/** The cell of a grid of squares that a place lies in, as on the grid of the bench: B4. */
export const cellOf = ([x, y]: readonly [number, number], cellMm: number): string =>
  `${CELL_NAMES[Math.max(0, Math.floor(x / cellMm)) % 26]}${Math.max(0, Math.floor(y / cellMm)) + 1}`;

/** What lies over the picture: a grid, the watched points, and where they went. */
export function Overlay({
  support: { widthMm, heightMm },
  points,
  drift,
  cellMm,
  width,
}: {
  support: Support;
  points: Looking['points'];
  drift: Drift | null;
  /** The side of the cells of a grid; null: none. */
  cellMm: number | null;
  width: number;
}) {
  const scale = width / widthMm;
  const height = heightMm * scale;
  const lines = (length: number) =>
    cellMm === null
      ? []
      : Array.from({ length: Math.floor(length / cellMm) }, (_, i) => (i + 1) * cellMm);
  return (
    <Svg width={width} height={height}>
      {lines(widthMm).map((x) => (
        <Line
          key={`x${x}`}
          x1={x * scale}
          x2={x * scale}
          y1={0}
          y2={height}
          stroke={colour.sheet}
          strokeWidth={1}
        />
      ))}
      {lines(heightMm).map((y) => (
        <Line
          key={`y${y}`}
          x1={0}
          x2={width}
          y1={y * scale}
          y2={y * scale}
          stroke={colour.sheet}
          strokeWidth={1}
        />
      ))}
      {points.map((p) => {
        const found = drift?.points.find((d) => d.id === p.id);
        const x = p.at[0] * scale;
        const y = p.at[1] * scale;
        const by = found && drift ? driftedBy(drift, found) : null;
        const right = x > width * 0.8;
        return (
          <G key={p.id}>
            <Circle cx={x} cy={y} r={5} fill="none" stroke={colour.sheet} strokeWidth={4} />
            <Circle cx={x} cy={y} r={5} fill="none" stroke={colour.ink} strokeWidth={2} />
            {by ? (
              <>
                <Line
                  x1={x}
                  y1={y}
                  x2={x + by[0] * scale * ARROW}
                  y2={y + by[1] * scale * ARROW}
                  stroke={colour.tawny}
                  strokeWidth={3}
                />
                <SvgText
                  x={right ? x - 8 : x + 8}
                  textAnchor={right ? 'end' : 'start'}
                  y={y - 8}
                  fontFamily={font.strong}
                  fontSize={14}
                  fill={colour.ink}
                  stroke={colour.sheet}
                  strokeWidth={0.5}
                >
                  {`${Math.hypot(...by).toFixed(0)} mm`}
                </SvgText>
              </>
            ) : null}
          </G>
        );
      })}
    </Svg>
  );
}
