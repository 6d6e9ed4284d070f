import Svg, { Circle, G, Line, Rect, Text as SvgText } from 'react-native-svg';
import { View } from 'react-native';
import type { PassageTold } from '@/core/looking/tell';
import { screenColour } from '@/core/optics';
import { apart } from './apart';
import { colour, font } from '@/ui/tokens';

const HEIGHT = 260;
const TOP = 14;
const LEAST_GAP = 17;
/** The last label still stands on the drawing. */
const LOWEST = HEIGHT - 4;

/**
 * Passages on two scales of value, the design left, the work right, joined by lines: level with each other they hold, one
 * slope for all is a key, a crossing is a pair turned round. The band is the error of the photo.
 */
export function Ladder({
  passages,
  turned,
  width,
  figures,
}: {
  passages: readonly PassageTold[];
  /** Ids of passages that stand in a turned pair. */
  turned: ReadonlySet<string>;
  width: number;
  /** Whether the photo tells steps; else the order alone is drawn, evenly spaced. */
  figures: boolean;
}) {
  const both = passages.filter((p) => p.designL !== null);
  const rank = (of: (p: PassageTold) => number) => {
    const sorted = [...both].sort((p, q) => of(p) - of(q));
    return (p: PassageTold) => (100 * (sorted.indexOf(p) + 0.5)) / sorted.length;
  };
  const left = figures ? (p: PassageTold) => p.designL! : rank((p) => p.designL!);
  const right = figures ? (p: PassageTold) => p.workL : rank((p) => p.workL);
  const y = (L: number): number => TOP + ((100 - L) / 100) * (HEIGHT - 2 * TOP);
  const [x1, x2] = [Math.min(110, width * 0.3), width - Math.min(110, width * 0.3)];
  const names = [
    apart(
      both.map((p) => y(left(p))),
      LEAST_GAP,
      LOWEST,
    ),
    apart(
      both.map((p) => y(right(p))),
      LEAST_GAP,
      LOWEST,
    ),
  ] as const;
  const said = both.map((p) => `${p.name}${p.words ? `: ${p.words}` : ''}`).join('; ');
  return (
    <View role="img" aria-label={`Values of the design and of yours. ${said}`}>
      <Svg width={width} height={HEIGHT} aria-hidden>
        {[x1, x2].map((x) => (
          <G key={x}>
            {Array.from({ length: 10 }, (_, i) => (
              <Rect
                key={i}
                x={x - 4}
                y={y(10 * (i + 1))}
                width={8}
                height={y(10 * i) - y(10 * (i + 1))}
                fill={screenColour([10 * i + 5, 0, 0]).hex}
              />
            ))}
            <Rect
              x={x - 4}
              y={TOP}
              width={8}
              height={HEIGHT - 2 * TOP}
              fill="none"
              stroke={colour.ink2}
              strokeWidth={1}
            />
          </G>
        ))}
        {both.map((p, i) => {
          const off = p.byL !== null || turned.has(p.id);
          const ink = off ? colour.tawny : colour.ink;
          return (
            <G key={p.id}>
              {figures ? (
                <Rect
                  x={x2 - 9}
                  width={18}
                  y={y(p.workL + p.sigmaL)}
                  height={Math.max(1, y(p.workL - p.sigmaL) - y(p.workL + p.sigmaL))}
                  fill={colour.ink2}
                  opacity={0.3}
                />
              ) : null}
              <Line
                x1={x1}
                y1={y(left(p))}
                x2={x2}
                y2={y(right(p))}
                stroke={ink}
                strokeWidth={off ? 3 : 1.5}
              />
              <Circle
                cx={x1}
                cy={y(left(p))}
                r={5}
                fill={colour.sheet}
                stroke={ink}
                strokeWidth={2}
              />
              <Rect x={x2 - 5} y={y(right(p)) - 5} width={10} height={10} fill={ink} />
              {([0, 1] as const).map((side) => (
                <SvgText
                  key={side}
                  x={side === 0 ? x1 - 12 : x2 + 14}
                  y={names[side][i]! + 5}
                  textAnchor={side === 0 ? 'end' : 'start'}
                  fontFamily={off ? font.strong : font.text}
                  fontSize={15}
                  fill={ink}
                >
                  {p.name.length > 12 ? `${p.name.slice(0, 11)}…` : p.name}
                </SvgText>
              ))}
            </G>
          );
        })}
      </Svg>
    </View>
  );
}
