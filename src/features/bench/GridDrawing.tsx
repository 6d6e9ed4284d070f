import { useState } from 'react';
import { View } from 'react-native';
import Svg, { G, Line, Rect, Text as SvgText } from 'react-native-svg';
import type { Grid, Size, Transfer } from '@/core/transfer';
import { colour, font } from '@/ui/tokens';

const LABEL = 22;
const TALLEST = 420;
/** "A", "B" … across, 1, 2 … down. */
const letter = (i: number): string =>
  i < 26 ? String.fromCharCode(65 + i) : `${letter(Math.floor(i / 26) - 1)}${letter(i % 26)}`;

/** The support with the design on it, and the grid with the names of its cells. */
export function GridDrawing({
  transfer: { placed },
  grid,
  support,
}: {
  transfer: Transfer;
  grid: Grid;
  support: Size;
}) {
  const [room, setRoom] = useState(0);
  const scale = Math.min((room - LABEL) / support.width, (TALLEST - LABEL) / support.height);
  const x = (value: number) => LABEL + value * scale;
  const y = (value: number) => LABEL + value * scale;
  const every = Math.ceil(Math.max(grid.columns, grid.rows) / 20);
  return (
    <View onLayout={(e) => setRoom(e.nativeEvent.layout.width)}>
      {room > LABEL ? (
        <Svg
          role="img"
          aria-label={`The support with a grid of ${grid.columns} by ${grid.rows} cells`}
          width={x(support.width) + 1}
          height={y(support.height) + 1}
        >
          <Rect
            x={x(0)}
            y={y(0)}
            width={support.width * scale}
            height={support.height * scale}
            fill={colour.well}
            stroke={colour.ink}
          />
          <Rect
            x={x(placed.x)}
            y={y(placed.y)}
            width={placed.width * scale}
            height={placed.height * scale}
            fill={colour.sheet}
          />
          {grid.vertical.map((line, i) => (
            <G key={`v${i}`}>
              <Line
                x1={x(line.support)}
                x2={x(line.support)}
                y1={y(placed.y)}
                y2={y(placed.y + placed.height)}
                stroke={colour.ink2}
              />
              {i < grid.columns && i % every === 0 ? (
                <SvgText
                  x={x((line.support + grid.vertical[i + 1]!.support) / 2)}
                  y={LABEL - 6}
                  fontFamily={font.text}
                  fontSize={13}
                  fill={colour.ink2}
                  textAnchor="middle"
                >
                  {letter(i)}
                </SvgText>
              ) : null}
            </G>
          ))}
          {grid.horizontal.map((line, i) => (
            <G key={`h${i}`}>
              <Line
                y1={y(line.support)}
                y2={y(line.support)}
                x1={x(placed.x)}
                x2={x(placed.x + placed.width)}
                stroke={colour.ink2}
              />
              {i < grid.rows && i % every === 0 ? (
                <SvgText
                  x={LABEL - 6}
                  y={y((line.support + grid.horizontal[i + 1]!.support) / 2) + 5}
                  fontFamily={font.text}
                  fontSize={13}
                  fill={colour.ink2}
                  textAnchor="end"
                >
                  {String(i + 1)}
                </SvgText>
              ) : null}
            </G>
          ))}
        </Svg>
      ) : null}
    </View>
  );
}
