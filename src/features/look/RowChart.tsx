import { View } from 'react-native';
import { format } from 'date-fns/format';
import Svg, { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { valuesWords } from '@/core/looking/tell';
import type { Painting } from '@/core/painting';
import { colour, font } from '@/ui/tokens';
import { apart } from './apart';
import { rowLevel, type Row } from './useSeries';

const HEIGHT = 210;
const BARS = 74;
const LEAST_GAP = 15;
/** Passages are told apart by their lines, not by colour. */
const DASHES = [undefined, '7 3', '2 3', '9 3 2 3'];
const TOP = 10;
const FOOT = 24;
const NAMES = 84;
const LEFT = 22;
/** So many dates fit under a phone's chart. */
const DATE_PX = 64;

/** The value of each passage from photo to photo; below, how much of the picture each sitting changed. */
export function RowChart({
  painting,
  row: { photos, shares, series },
  width,
}: {
  painting: Painting;
  row: Row;
  width: number;
}) {
  const right = width - NAMES;
  const x = (i: number) =>
    photos.length < 2 ? LEFT : LEFT + (i * (right - LEFT - 10)) / (photos.length - 1);
  const y = (L: number) => TOP + ((100 - L) / 100) * (HEIGHT - TOP - FOOT);
  const lines = painting.passages.flatMap((passage) => {
    const at = photos.flatMap(({ values, level: how }, i) => {
      const v = values.find((p) => p.id === passage.id);
      return v && how !== 'order' ? [{ i, L: v.L }] : [];
    });
    return at.length > 0 ? [{ passage, at }] : [];
  });
  const ends = apart(
    lines.map(({ at }) => y(at.at(-1)!.L)),
    LEAST_GAP,
    HEIGHT - FOOT,
  );
  const level = rowLevel(photos);
  const every = Math.max(1, Math.ceil((photos.length * DATE_PX) / (right - LEFT)));
  const said = lines
    .map(
      ({ passage, at }) => `${passage.name}: ${at.map((p) => valuesWords(p.L, level)).join(', ')}`,
    )
    .join('; ');
  const most = Math.max(...series.perHour.map((v) => v ?? 0), 1e-6);
  return (
    <View role="img" aria-label={`Values from photo to photo. ${said}`}>
      <Svg width={width} height={HEIGHT} aria-hidden>
        {[0, 2, 4, 6, 8, 10].map((v) => (
          <G key={v}>
            <Line x1={LEFT} x2={right} y1={y(10 * v)} y2={y(10 * v)} stroke={colour.rule} />
            <SvgText
              x={LEFT - 6}
              y={y(10 * v) + 5}
              textAnchor="end"
              fontFamily={font.text}
              fontSize={13}
              fill={colour.ink2}
            >
              {v}
            </SvgText>
          </G>
        ))}
        {lines.map(({ passage, at }, k) => (
          <G key={passage.id}>
            <Path
              d={at.map((p, i) => `${i === 0 ? 'M' : 'L'}${x(p.i)} ${y(p.L)}`).join('')}
              fill="none"
              stroke={colour.ink}
              strokeWidth={1.5}
              strokeDasharray={DASHES[k % DASHES.length]}
            />
            {at.map((p) => (
              <Circle key={p.i} cx={x(p.i)} cy={y(p.L)} r={3} fill={colour.ink} />
            ))}
            <SvgText
              x={x(at.at(-1)!.i) + 8}
              y={ends[k]! + 5}
              fontFamily={font.text}
              fontSize={14}
              fill={colour.ink}
            >
              {passage.name.length > 11 ? `${passage.name.slice(0, 10)}…` : passage.name}
            </SvgText>
          </G>
        ))}
        {photos.map(({ picture }, i) =>
          i % every === 0 ? (
            <SvgText
              key={picture.id}
              x={Math.max(x(i), LEFT)}
              y={HEIGHT - 6}
              textAnchor={i === 0 ? 'start' : 'middle'}
              fontFamily={font.text}
              fontSize={13}
              fill={colour.ink2}
            >
              {format(new Date(picture.takenAt), 'd MMM')}
            </SvgText>
          ) : null,
        )}
      </Svg>
      {series.perHour.some((v) => v !== null) ? (
        <Svg width={width} height={BARS} aria-hidden>
          {series.perHour.map((v, i) =>
            v === null ? null : (
              <G key={i}>
                <Rect
                  x={(x(i) + x(i + 1)) / 2 - 10}
                  width={20}
                  y={BARS - 18 - (v / most) * (BARS - 22)}
                  height={(v / most) * (BARS - 22)}
                  fill={colour.ink2}
                />
                <SvgText
                  x={(x(i) + x(i + 1)) / 2}
                  y={BARS - 3}
                  textAnchor="middle"
                  fontFamily={font.text}
                  fontSize={13}
                  fill={colour.ink2}
                >
                  {shares[i] === null || shares[i] === undefined
                    ? ''
                    : `${Math.round(shares[i] * 100)} %`}
                </SvgText>
              </G>
            ),
          )}
        </Svg>
      ) : null}
    </View>
  );
}
