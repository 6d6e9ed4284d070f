import { View } from 'react-native';
import Svg, { G, Line, Path, Text as SvgText } from 'react-native-svg';
import { colour, font } from '../tokens';
import { timeScale } from './scale';

export interface ChartHour {
  ms: number;
  temperatureC: number;
  relativeHumidityPct: number;
  /** Reference-days a day. */
  rate: number;
  measured: boolean;
  /** Half-width of the band that holds it with 18 chances in 20, C. */
  bandC: number;
}

interface Props {
  width: number;
  hours: ChartHour[];
  nowMs: number;
  /** Local midnights in sight, each with its name. */
  days: { ms: number; name: string }[];
  /** What the picture says, for readers. */
  spoken: string;
  /** Degrees as they are read; Celsius unless given. */
  degrees?: (celsius: number) => number;
}

const T_HEIGHT = 150;
const R_HEIGHT = 76;
const GAP = 26;
const LEFT = 34;
const RIGHT = 34;

const path = (points: [number, number][]): string =>
  points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('');

/** Stretches of neighbours that are alike. */
function runs(hours: ChartHour[], measured: boolean): ChartHour[][] {
  const out: ChartHour[][] = [];
  let run: ChartHour[] = [];
  for (const hour of hours) {
    if (hour.measured === measured) run.push(hour);
    else if (run.length > 0) {
      out.push(run);
      run = [];
    }
  }
  return run.length > 0 ? [...out, run] : out;
}

/** Temperature with its band, humidity, and below what they do to the rate of drying. */
export function ClimateChart({
  width,
  hours,
  nowMs,
  days,
  spoken,
  degrees = (celsius) => celsius,
}: Props) {
  const [first, last] = [hours[0], hours.at(-1)];
  if (!first || !last) return null;
  const inner = width - LEFT - RIGHT;
  const across = timeScale({ width: inner, fromMs: first.ms, toMs: last.ms });
  const x = (ms: number) => LEFT + across(ms);
  const low = Math.floor(Math.min(...hours.map((h) => h.temperatureC - h.bandC)) - 1);
  const high = Math.ceil(Math.max(...hours.map((h) => h.temperatureC + h.bandC)) + 1);
  const t = (c: number) => ((high - c) / (high - low)) * T_HEIGHT + 8;
  const rh = (pct: number) => ((100 - pct) / 100) * T_HEIGHT + 8;
  const topRate = Math.max(1.2, ...hours.map((h) => h.rate));
  const base = T_HEIGHT + GAP + R_HEIGHT;
  const r = (rate: number) => base - (rate / topRate) * R_HEIGHT;
  const ahead = hours.filter((h) => h.bandC > 0);
  const band = ahead.length
    ? `${path(ahead.map((h) => [x(h.ms), t(h.temperatureC + h.bandC)]))}${path(
        [...ahead].reverse().map((h): [number, number] => [x(h.ms), t(h.temperatureC - h.bandC)]),
      ).replace('M', 'L')}Z`
    : '';
  const line = (of: ChartHour[], y: (h: ChartHour) => number) =>
    path(of.map((h): [number, number] => [x(h.ms), y(h)]));
  return (
    <View role="img" aria-label={spoken}>
      <Svg width={width} height={base + 22}>
        {days.map((d) => (
          <G key={d.ms}>
            <Line x1={x(d.ms)} x2={x(d.ms)} y1={8} y2={base} stroke={colour.rule} strokeWidth={1} />
            {x(d.ms) < width - 60 ? <Label x={x(d.ms) + 4} y={base + 17} words={d.name} /> : null}
          </G>
        ))}
        <Path d={band} fill={colour.tawny} fillOpacity={0.16} />
        {[true, false].flatMap((measured) =>
          runs(hours, measured).map((run) => (
            <G key={`${measured}-${run[0]!.ms}`}>
              <Path
                d={line(run, (h) => rh(h.relativeHumidityPct))}
                stroke={colour.ink2}
                strokeWidth={1}
                fill="none"
                {...(measured ? {} : { strokeDasharray: '2 4' })}
              />
              <Path
                d={line(run, (h) => t(h.temperatureC))}
                stroke={colour.tawny}
                strokeWidth={2}
                fill="none"
                {...(measured ? {} : { strokeDasharray: '5 4' })}
              />
            </G>
          )),
        )}
        <Path
          d={`${line(hours, (h) => r(h.rate))}L${x(last.ms)} ${base}L${x(first.ms)} ${base}Z`}
          fill={colour.well}
        />
        <Path d={line(hours, (h) => r(h.rate))} stroke={colour.ink} strokeWidth={1.4} fill="none" />
        <Line
          x1={LEFT}
          x2={width - RIGHT}
          y1={r(1)}
          y2={r(1)}
          stroke={colour.ink}
          strokeWidth={1}
          strokeDasharray="1 3"
        />
        <Line
          x1={LEFT}
          x2={width - RIGHT}
          y1={base}
          y2={base}
          stroke={colour.ink}
          strokeWidth={1}
        />
        <Line x1={x(nowMs)} x2={x(nowMs)} y1={4} y2={base} stroke={colour.tawny} strokeWidth={2} />
        <Label x={0} y={t(high - 1) + 5} words={`${Math.round(degrees(high - 1))}°`} />
        <Label x={0} y={t(low + 1) + 5} words={`${Math.round(degrees(low + 1))}°`} />
        <Label x={width - RIGHT + 4} y={rh(75) + 5} words="75 %" />
        <Label x={width - RIGHT + 4} y={rh(25) + 5} words="25 %" />
        <Label x={0} y={r(1) + 5} words="× 1" />
      </Svg>
    </View>
  );
}

function Label({ x, y, words }: { x: number; y: number; words: string }) {
  return (
    <SvgText x={x} y={y} fontSize={13} fontFamily={font.text} fill={colour.ink2}>
      {words}
    </SvgText>
  );
}
