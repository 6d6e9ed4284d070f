import { useMemo } from 'react';
import { View } from 'react-native';
import Svg, { Path, Rect } from 'react-native-svg';
import { labelText } from '@/core/record/label';
import { qrModules } from '@/core/record/qr';

const SIDE = 180;
/** Light squares around a code that its readers ask for (ISO/IEC 18004). */
const QUIET = 4;

/** The short record as a code. Black on white: its readers want nothing else. */
export function QrCode({ lines }: { lines: readonly string[] }) {
  const text = labelText(lines);
  const modules = useMemo(() => qrModules(text), [text]);
  const n = modules.length + 2 * QUIET;
  const path = modules
    .flatMap((row, y) =>
      row.flatMap((dark, x) => (dark ? [`M${x + QUIET} ${y + QUIET}h1v1h-1z`] : [])),
    )
    .join('');
  return (
    <View role="img" aria-label="The short record as a code" style={{ width: SIDE, height: SIDE }}>
      <Svg width={SIDE} height={SIDE} viewBox={`0 0 ${n} ${n}`}>
        <Rect x={0} y={0} width={n} height={n} fill="#ffffff" />
        <Path d={path} fill="#000000" />
      </Svg>
    </View>
  );
}
