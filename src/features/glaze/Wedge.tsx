import { createElement, type KeyboardEvent, type PointerEvent } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Defs, LinearGradient, Path, Rect, Stop } from 'react-native-svg';
import { screenColour, type Lab } from '@/core/optics';
import type { WedgeRow } from '@/core/optics/glaze-bench';
import { cssColour, useWideGamut } from '@/ui/film/TrueColour';
import { useOwnId } from '@/ui/film/textures';
import { Text } from '@/ui/Text';
import { colour, font, radius, space, TARGET, type } from '@/ui/tokens';

interface Props {
  rows: WedgeRow[];
  mostUm: number;
  um: number;
  onUm: (um: number) => void;
  width: number;
  /** What is said of the chosen thickness, for those who hear it. */
  said: string;
}

const BAND = 44;
const CUT = 70;
/** Where the film begins, share of the width: left of it is the bare undertone. */
const BARE = 0.14;
/** Of the thickest film, so high is it drawn. */
const FILM_PX = 42;
/** Of the whole, so many steps by a key and in a leap; a step of the usual wedge is one µm. */
const KEY_STEPS = 60;
const LEAP_STEPS = 5;
const TICKS = 6;
/** Up to this lightness a name on it is white. */
const DARK_L = 55;

const INK_ON = (lab: Lab): string => (lab[0] < DARK_L ? colour.onTawny : colour.ink);

/** A row as a gradient, from the bare undertone to the thickest film. */
const gradientOf = (row: WedgeRow, wide: boolean): string => {
  const css = (lab: Lab) => cssColour(screenColour(lab), wide);
  const every = Math.max(1, Math.floor(row.labs.length / 30));
  const stops = row.labs
    .map((lab, i) => ({ lab, at: i / (row.labs.length - 1) }))
    .filter((_, i) => i % every === 0 || i === row.labs.length - 1)
    .map(({ lab, at }) => `${css(lab)} ${(100 * (BARE + (1 - BARE) * at)).toFixed(1)}%`);
  return `linear-gradient(to right, ${css(row.before)} 0%, ${stops.join(', ')})`;
};

/**
 * The film from nothing to its thickest, seen from above over several tones, and its cut below: the wedge is the control
 * itself. Finger or mouse draw it; arrows, Page, Home and End move it.
 */
export function Wedge({ rows, mostUm, um, onUm, width, said }: Props) {
  const wide = useWideGamut();
  const bare = width * BARE;
  const xOf = (at: number) => bare + ((width - bare) * at) / mostUm;
  const step = mostUm / KEY_STEPS;
  const clamp = (at: number) =>
    Number(Math.min(mostUm, Math.max(step, Math.round(at / step) * step)).toPrecision(3));
  const follow = (e: PointerEvent) => {
    const { left } = e.currentTarget.getBoundingClientRect();
    onUm(clamp(((e.clientX - left - bare) / (width - bare)) * mostUm));
  };
  const keys: Record<string, number> = {
    ArrowRight: um + step,
    ArrowUp: um + step,
    ArrowLeft: um - step,
    ArrowDown: um - step,
    PageUp: um + LEAP_STEPS * step,
    PageDown: um - LEAP_STEPS * step,
    Home: step,
    End: mostUm,
  };
  const x = xOf(Math.min(um, mostUm));
  return createElement(
    'div',
    {
      role: 'slider',
      tabIndex: 0,
      'aria-label': 'Thickness of the film',
      'aria-valuemin': step,
      'aria-valuemax': mostUm,
      'aria-valuenow': um,
      'aria-valuetext': said,
      onPointerDown: (e: PointerEvent) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        follow(e);
      },
      onPointerMove: (e: PointerEvent) => {
        if (e.buttons > 0) follow(e);
      },
      onKeyDown: (e: KeyboardEvent) => {
        const to = keys[e.key];
        if (to === undefined) return;
        e.preventDefault();
        onUm(clamp(to));
      },
      style: { position: 'relative', width, touchAction: 'pan-y', cursor: 'ew-resize' },
    },
    rows.map((row) =>
      createElement(
        'div',
        {
          key: row.key,
          style: { height: BAND, background: gradientOf(row, wide), display: 'flex' },
        },
        <View style={styles.name}>
          <Text size="small" strong style={{ color: INK_ON(row.before) }} numberOfLines={1}>
            {row.name}
          </Text>
        </View>,
      ),
    ),
    <Cut key="cut" row={rows[0]!} width={width} bare={bare} />,
    <View key="scale" style={styles.scale} aria-hidden>
      {Array.from({ length: TICKS + 1 }, (_, i) => Math.round((mostUm * i) / TICKS))
        .filter((at) => Math.abs(xOf(at) - x) > 50)
        .map((at) => (
          <Text key={at} size="small" tone="ink2" style={[styles.mark, { left: xOf(at) - 16 }]}>
            {at}
          </Text>
        ))}
    </View>,
    <View key="line" style={[styles.line, { left: x - 1.5, height: rows.length * BAND + CUT }]} />,
    <View key="pill" style={[styles.pill, { left: Math.min(width - 84, Math.max(0, x - 42)) }]}>
      <Text style={styles.figure}>{`${Number(um.toPrecision(3))} µm`}</Text>
    </View>,
  );
}

/** The film in its cut, thicker to the right, on what it lies on. */
function Cut({ row, width, bare }: { row: WedgeRow; width: number; bare: number }) {
  const id = useOwnId();
  const floor = CUT - 22;
  const waves = 24;
  const top = Array.from({ length: waves + 1 }, (_, i) => {
    const at = i / waves;
    const ripple = i === 0 ? 0 : Math.sin(i * 2.3) * 0.8;
    return `L ${(bare + (width - bare) * at).toFixed(1)} ${(floor - FILM_PX * at + ripple).toFixed(1)}`;
  });
  const hexAt = (share: number): string =>
    screenColour(row.labs[Math.round(share * (row.labs.length - 1))]!).hex;
  return (
    <Svg width={width} height={CUT} aria-hidden>
      <Defs>
        <LinearGradient id={id} x1="0" y1="0" x2="1" y2="0">
          {[0.05, 0.3, 0.6, 1].map((at) => (
            <Stop key={at} offset={at} stopColor={hexAt(at)} />
          ))}
        </LinearGradient>
      </Defs>
      <Rect x={0} y={floor} width={width} height={22} fill={screenColour(row.before).hex} />
      <Path
        d={`M ${bare} ${floor} ${top.join(' ')} L ${width} ${floor} Z`}
        fill={`url(#${id})`}
        stroke={colour.ink}
        strokeWidth={1}
      />
      <Path d={`M 0 ${floor} H ${width}`} stroke={colour.ink} strokeWidth={1} />
    </Svg>
  );
}

const styles = StyleSheet.create({
  name: { justifyContent: 'center', paddingLeft: space.m, maxWidth: 150 },
  scale: { height: 30, position: 'relative' },
  mark: { position: 'absolute', top: 6, width: 32, textAlign: 'center' },
  line: {
    position: 'absolute',
    top: 0,
    width: 3,
    backgroundColor: colour.ink,
    borderLeftWidth: 0.5,
    borderRightWidth: 0.5,
    borderColor: colour.sheet,
    pointerEvents: 'none',
  },
  pill: {
    position: 'absolute',
    bottom: 0,
    width: 84,
    minHeight: TARGET - 12,
    borderRadius: radius.l,
    backgroundColor: colour.ink,
    alignItems: 'center',
    justifyContent: 'center',
    pointerEvents: 'none',
  },
  figure: {
    ...type.large,
    fontFamily: font.strong,
    color: colour.onTawny,
    fontVariant: ['tabular-nums', 'lining-nums'],
  },
});
