import Svg, { Line, Rect } from 'react-native-svg';
import { colour } from '@/ui/tokens';

export interface BoxPart {
  key: string;
  /** Minutes had, and minutes meant. */
  worked: number;
  planned: number;
  /** Colour of the mix; data. */
  paint: string;
}

/** What was worked, or was meant, whichever is longer. */
const lengthOf = (part: { worked: number; planned: number }): number =>
  Math.max(part.worked, part.planned);

const HEIGHT = 34;

/** The time box: what was worked in the colour of its paint, what is to come dashed, now as a mark. */
export function TimeBoxBar({
  width,
  parts,
  elapsed,
  box,
}: {
  width: number;
  parts: BoxPart[];
  elapsed: number;
  box: number;
}) {
  const whole = Math.max(
    box,
    elapsed,
    parts.reduce((s, p) => s + lengthOf(p), 0),
    1,
  );
  const x = (minutes: number) => (minutes / whole) * (width - 2) + 1;
  return (
    <Svg width={width} height={HEIGHT} aria-hidden>
      <Rect x={1} y={4} width={x(box) - 1} height={HEIGHT - 8} fill={colour.sheet} />
      {parts.map((part, i) => {
        const from = parts.slice(0, i).reduce((sum, p) => sum + lengthOf(p), 0);
        const length = lengthOf(part);
        return [
          <Rect
            key={`${part.key}-planned`}
            x={x(from) + 1}
            y={16}
            width={Math.max(0, x(from + length) - x(from) - 2)}
            height={HEIGHT - 20}
            fill="none"
            stroke={colour.ink2}
            strokeWidth={1}
            strokeDasharray="4 3"
          />,
          <Rect
            key={`${part.key}-worked`}
            x={x(from) + 1}
            y={16}
            width={Math.max(0, x(from + part.worked) - x(from) - 1)}
            height={HEIGHT - 20}
            fill={part.paint}
            stroke={colour.ink2}
            strokeWidth={0.5}
          />,
        ];
      })}
      <Line
        x1={x(elapsed)}
        x2={x(elapsed)}
        y1={0}
        y2={HEIGHT}
        stroke={colour.tawny}
        strokeWidth={3}
      />
      <Line
        x1={0}
        x2={width}
        y1={HEIGHT - 1}
        y2={HEIGHT - 1}
        stroke={colour.ink}
        strokeWidth={1.5}
      />
    </Svg>
  );
}
