import Svg, { Path } from 'react-native-svg';
import { colour } from './tokens';

/** One glyph of the Material Design icon paths; only the paths that are imported ship. */
export function Icon({
  path,
  size = 24,
  tint = colour.ink,
}: {
  path: string;
  size?: number;
  tint?: string;
}) {
  return (
    <Svg width={size} height={size} viewBox="0 0 24 24" aria-hidden>
      <Path d={path} fill={tint} />
    </Svg>
  );
}
