import { View } from 'react-native';
import Svg, { Line, Path } from 'react-native-svg';
import { colour } from '@/ui/tokens';

const HEIGHT = 34;

/** How the lightness of a passage is spread from dark to light: the work filled, the design a line behind it. */
export function Spread({
  name,
  work,
  design,
  width,
}: {
  name: string;
  work: readonly number[];
  design: readonly number[] | null;
  width: number;
}) {
  const most = Math.max(...work, ...(design ?? []), 1e-6);
  const x = (i: number) => (i / work.length) * width;
  const y = (v: number) => HEIGHT - 2 - (v / most) * (HEIGHT - 6);
  const steps = (of: readonly number[]) =>
    of.map((v, i) => `L${x(i).toFixed(1)} ${y(v).toFixed(1)}H${x(i + 1).toFixed(1)}`).join('');
  return (
    <View
      role="img"
      aria-label={`How the lightness of ${name} is spread, dark to light${design ? ', and in the design' : ''}`}
    >
      <Svg width={width} height={HEIGHT} aria-hidden>
        <Path d={`M0 ${HEIGHT - 2}${steps(work)}V${HEIGHT - 2}Z`} fill={colour.ink2} />
        {design ? (
          <Path
            d={`M0 ${HEIGHT - 2}${steps(design)}V${HEIGHT - 2}`}
            fill="none"
            stroke={colour.tawny}
            strokeWidth={1.5}
          />
        ) : null}
        <Line x1={0} x2={width} y1={HEIGHT - 1} y2={HEIGHT - 1} stroke={colour.rule} />
      </Svg>
    </View>
  );
}
