import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Line, Path, Text as SvgText } from 'react-native-svg';
import type { Curve } from '@/core/finish/curve';
import { Text } from '@/ui/Text';
import { colour, font } from '@/ui/tokens';

const HEIGHT = 180;
const LEFT = 34;
const FOOT = 24;

/** Pictures painted against hours, sitting by sitting; below it the bothers found and settled. */
export function HoursCurve({ curve: { sittings } }: { curve: Curve }) {
  const [width, setWidth] = useState(0);
  const last = sittings.at(-1);
  const drawn = last && last.hours > 0 && width > 0;
  const most = Math.max(1, last?.painted ?? 0);
  const mostBothers = Math.max(1, last?.found ?? 0);
  const x = (hours: number) => LEFT + ((width - LEFT - 6) * hours) / (last?.hours || 1);
  const y = (share: number) => HEIGHT - FOOT - (HEIGHT - FOOT - 8) * share;
  const line = (of: (s: (typeof sittings)[number]) => number) =>
    `M ${x(0).toFixed(1)} ${y(0).toFixed(1)} ${sittings.map((s) => `L ${x(s.hours).toFixed(1)} ${y(of(s)).toFixed(1)}`).join(' ')}`;
  const said = last
    ? `After ${last.hours.toFixed(1)} hours ${last.painted.toFixed(1)} pictures have been painted in all; ${last.found} things bothered, ${last.closed} were settled.`
    : '';
  return (
    <View
      onLayout={(e) => setWidth(e.nativeEvent.layout.width)}
      style={{ minHeight: drawn ? HEIGHT : 0 }}
    >
      {drawn ? (
        <View role="img" aria-label={said}>
          <Svg width={width} height={HEIGHT}>
            <Line x1={LEFT} y1={y(0)} x2={width} y2={y(0)} stroke={colour.ink} strokeWidth={1} />
            <Path
              d={line((s) => s.painted / most)}
              stroke={colour.tawny}
              strokeWidth={2.5}
              fill="none"
            />
            {sittings.map((s, i) => (
              <Circle
                key={i}
                cx={x(s.hours)}
                cy={y(s.painted / most)}
                r={3.5}
                fill={colour.tawny}
              />
            ))}
            {last.found > 0 ? (
              <>
                <Path
                  d={line((s) => s.found / mostBothers)}
                  stroke={colour.ink2}
                  strokeWidth={1.5}
                  strokeDasharray="2 4"
                  fill="none"
                />
                <Path
                  d={line((s) => s.closed / mostBothers)}
                  stroke={colour.ink2}
                  strokeWidth={1.5}
                  fill="none"
                />
              </>
            ) : null}
            <SvgText x={0} y={y(1) + 10} fontSize={12} fontFamily={font.text} fill={colour.ink2}>
              {`${most.toFixed(1)} ×`}
            </SvgText>
            <SvgText
              x={LEFT}
              y={HEIGHT - 6}
              fontSize={12}
              fontFamily={font.text}
              fill={colour.ink2}
            >
              0 h
            </SvgText>
            <SvgText
              x={width - 2}
              y={HEIGHT - 6}
              fontSize={12}
              textAnchor="end"
              fontFamily={font.text}
              fill={colour.ink2}
            >
              {`${last.hours.toFixed(1)} h`}
            </SvgText>
          </Svg>
          <Text size="small" tone="ink2">
            {last.found > 0
              ? 'Tawny: painted. Dotted: bothers found. Grey: settled.'
              : 'Tawny: painted, in whole pictures.'}
          </Text>
        </View>
      ) : null}
    </View>
  );
}
