import Svg, { Line, Path, Rect } from 'react-native-svg';
import { colour } from '../tokens';

const HEIGHT = 26;
/** A third to three times the tables. */
const REACH = Math.log(3);

/** How many times slower or faster, on a ratio scale round 1, with what it may be. */
export function FactorBar({
  width,
  factor,
  low,
  high,
}: {
  width: number;
  factor: number;
  low: number;
  high: number;
}) {
  const x = (f: number): number =>
    (0.5 + 0.5 * Math.max(-1, Math.min(1, Math.log(f) / REACH))) * (width - 16) + 8;
  const mid = HEIGHT / 2;
  const at = x(factor);
  return (
    <Svg width={width} height={HEIGHT} aria-hidden>
      <Line x1={8} x2={width - 8} y1={mid} y2={mid} stroke={colour.rule} strokeWidth={1} />
      {[0.5, 1, 2].map((f) => (
        <Line
          key={f}
          x1={x(f)}
          x2={x(f)}
          y1={f === 1 ? 2 : 7}
          y2={f === 1 ? HEIGHT - 2 : HEIGHT - 7}
          stroke={f === 1 ? colour.ink : colour.ink2}
          strokeWidth={f === 1 ? 1.5 : 1}
        />
      ))}
      <Rect
        x={x(low)}
        y={mid - 4}
        width={Math.max(2, x(high) - x(low))}
        height={8}
        fill={colour.tawny}
        fillOpacity={0.35}
      />
      <Path
        d={`M${at} ${mid - 8} L${at + 7} ${mid} L${at} ${mid + 8} L${at - 7} ${mid} Z`}
        fill={colour.sheet}
        stroke={colour.ink}
        strokeWidth={1.6}
      />
    </Svg>
  );
}
