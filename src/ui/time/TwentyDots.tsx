import { View } from 'react-native';
import Svg, { Circle, Line } from 'react-native-svg';
import { colour } from '../tokens';
import { Diamond } from './WindowBar';
import { timeScale } from './scale';

interface Props {
  width: number;
  fromMs: number;
  toMs: number;
  /** Twenty finishes, each as likely as the others, in order, ms. */
  twenty: number[];
  p50Ms: number;
  p90Ms: number;
  dueMs: number | null;
  spoken: string;
}

const DOT = 4.2;
const STEP = 10;
const HIGH = 9.5;
/** Room under the line, for the diamonds. */
const UNDER = 20;
const LEAST_DOTS = 3;

/** Twenty dots where the finish may fall: full before the date, hollow brick after it; diamonds for 50 and 90 %. */
export function TwentyDots({ width, fromMs, toMs, twenty, p50Ms, p90Ms, dueMs, spoken }: Props) {
  const x = timeScale({ width, fromMs, toMs });
  const seen = (ms: number) => ms >= fromMs && ms <= toMs;
  const stacks = new Map<number, number>();
  const dots = twenty.filter(seen).map((ms) => {
    const column = Math.round(x(ms) / STEP);
    const level = stacks.get(column) ?? 0;
    stacks.set(column, level + 1);
    return { ms, column, level };
  });
  const base = 4 + HIGH * Math.max(LEAST_DOTS, ...stacks.values());
  const height = base + UNDER;
  return (
    <View role="img" aria-label={spoken}>
      <Svg width={width} height={height}>
        <Line x1={0} x2={width} y1={base} y2={base} stroke={colour.rule} strokeWidth={1} />
        {dots.map(({ ms, column, level }, k) => {
          const late = dueMs !== null && ms > dueMs;
          return (
            <Circle
              key={k}
              cx={column * STEP}
              cy={base - 5 - level * HIGH}
              r={DOT}
              fill={late ? colour.sheet : colour.ink}
              stroke={late ? colour.brick : colour.ink}
              strokeWidth={1.6}
            />
          );
        })}
        {dueMs !== null && seen(dueMs) ? (
          <Line
            x1={x(dueMs)}
            x2={x(dueMs)}
            y1={0}
            y2={height}
            stroke={colour.brick}
            strokeWidth={3}
          />
        ) : null}
        {seen(p50Ms) ? <Diamond x={x(p50Ms)} y={base + UNDER / 2 + 1} solid={false} /> : null}
        {seen(p90Ms) ? <Diamond x={x(p90Ms)} y={base + UNDER / 2 + 1} solid /> : null}
      </Svg>
    </View>
  );
}
