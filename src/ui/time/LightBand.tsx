import { View } from 'react-native';
import Svg, {
  Circle,
  Defs,
  Line,
  LinearGradient,
  Path,
  Rect,
  Stop,
  Text as SvgText,
} from 'react-native-svg';
import { colour, font } from '../tokens';
import { clock } from './words';
import { timeScaleWithin } from './scale';

interface Props {
  width: number;
  nowMs: number;
  /** Null where the sun does not rise or set on this day. */
  dawnMs: number | null;
  duskMs: number | null;
  dayStartMs: number;
}

const HEIGHT = 58;
const DAY_MS = 86_400_000;
/** The day is drawn from five in the morning to eleven at night. */
const FROM_H = 5;
const TO_H = 23;
/** Half a time of day in print, and what two of them need between their middles. */
const HALF_LABEL = 22;
const LABELS_APART = 52;

/** The light of the day: dark, dawn, day, dusk; now as a mark on the arc of the sun. */
export function LightBand({ width, nowMs, dawnMs, duskMs, dayStartMs }: Props) {
  const from = dayStartMs + (FROM_H / 24) * DAY_MS;
  const to = dayStartMs + (TO_H / 24) * DAY_MS;
  const x = timeScaleWithin({ width, fromMs: from, toMs: to });
  const [dawn, dusk] = [x(dawnMs ?? from), x(duskMs ?? to)];
  const nowX = x(nowMs);
  const nowLabelX = Math.min(width - HALF_LABEL, Math.max(HALF_LABEL, nowX));
  const daylight = nowMs >= (dawnMs ?? from) && nowMs <= (duskMs ?? to);
  const rise = daylight ? Math.sin((Math.PI * (nowX - dawn)) / Math.max(1, dusk - dawn)) : 0;
  const stop = (px: number) => `${Math.min(100, Math.max(0, (px / width) * 100))}%`;
  const spoken =
    dawnMs && duskMs
      ? `Daylight from ${clock(dawnMs)} to ${clock(duskMs)}. Now ${clock(nowMs)}.`
      : `Now ${clock(nowMs)}.`;
  return (
    <View role="img" aria-label={spoken}>
      <Svg width={width} height={HEIGHT + 22}>
        <Defs>
          <LinearGradient id="light-band" x1="0" y1="0" x2="1" y2="0">
            <Stop offset="0%" stopColor={colour.night} />
            <Stop offset={stop(dawn - width * 0.05)} stopColor={colour.night} />
            <Stop offset={stop(dawn + width * 0.05)} stopColor={colour.sheet} />
            <Stop offset={stop(dusk - width * 0.05)} stopColor={colour.sheet} />
            <Stop offset={stop(dusk + width * 0.05)} stopColor={colour.night} />
            <Stop offset="100%" stopColor={colour.night} />
          </LinearGradient>
        </Defs>
        <Rect width={width} height={HEIGHT} fill="url(#light-band)" />
        <Path
          d={`M ${dawn} ${HEIGHT - 8} Q ${(dawn + dusk) / 2} ${-HEIGHT * 0.62} ${dusk} ${HEIGHT - 8}`}
          stroke={colour.ink2}
          strokeWidth={1.2}
          fill="none"
        />
        <Line
          x1={nowX}
          x2={nowX}
          y1={HEIGHT - 8 - rise * (HEIGHT - 22)}
          y2={HEIGHT}
          stroke={colour.tawny}
          strokeWidth={2}
        />
        <Circle
          cx={nowX}
          cy={Math.max(8, HEIGHT - 8 - rise * (HEIGHT - 22))}
          r={7}
          fill={colour.tawny}
          stroke={colour.sheet}
          strokeWidth={1.5}
        />
        <Line x1={0} x2={width} y1={HEIGHT} y2={HEIGHT} stroke={colour.ink} strokeWidth={1} />
        {[dawnMs, duskMs].map((ms) =>
          ms !== null && Math.abs(x(ms) - nowLabelX) > LABELS_APART ? (
            <SvgText
              key={ms}
              x={x(ms)}
              y={HEIGHT + 17}
              textAnchor="middle"
              fontFamily={font.text}
              fontSize={15}
              fill={colour.ink2}
            >
              {clock(ms)}
            </SvgText>
          ) : null,
        )}
        <SvgText
          x={nowLabelX}
          y={HEIGHT + 17}
          textAnchor="middle"
          fontFamily={font.strong}
          fontSize={15}
          fill={colour.tawny}
        >
          {clock(nowMs)}
        </SvgText>
      </Svg>
    </View>
  );
}
