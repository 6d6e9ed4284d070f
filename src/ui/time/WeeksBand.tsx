import { memo, useMemo, useRef, useState } from 'react';
import { PanResponder, StyleSheet, View } from 'react-native';
import Svg, { Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { colour, font } from '../tokens';
import { timeScale } from './scale';

export interface BandDay {
  startMs: number;
  /** Null where the sun does not rise. */
  dawnMs: number | null;
  duskMs: number | null;
  /** Hours for work, ms. */
  hours: { fromMs: number; toMs: number }[];
  /** What stands under it; empty for most. */
  label: string;
}

export interface BandSession {
  key: string;
  fromMs: number;
  toMs: number;
  pinned: boolean;
  /** Read out, with what is in it. */
  name: string;
}

interface Props {
  width: number;
  height: number;
  fromMs: number;
  toMs: number;
  days: BandDay[];
  sessions: BandSession[];
  nowMs: number;
  selected: string | null;
  /** With these a session can be dragged, and nudged with the arrow keys; without, it is a picture. */
  onPick?: ((key: string) => void) | undefined;
  onDrop?: ((key: string, atMs: number) => void) | undefined;
  onNudge?: ((key: string, by: 1 | -1) => void) | undefined;
}

const DAY_MS = 86_400_000;
/** The day is drawn from six in the morning to midnight. */
const FROM_H = 6;
const TO_H = 24;
const LABEL_PX = 20;

/** Weeks of light: a column for each day, dark and daylight, the hours for work, and the sessions lit in them. */
export const WeeksBand = memo(function WeeksBand(props: Props) {
  const { width, height, fromMs, toMs, days, sessions, nowMs } = props;
  const x = timeScale({ width, fromMs, toMs });
  const y = (ms: number, dayStartMs: number): number =>
    Math.min(
      height,
      Math.max(0, ((ms - dayStartMs) / 3_600_000 - FROM_H) * (height / (TO_H - FROM_H))),
    );
  const column = (DAY_MS / (toMs - fromMs)) * width;
  const dayOf = (ms: number): number =>
    [...days].reverse().find((d) => d.startMs <= ms)?.startMs ?? days[0]?.startMs ?? fromMs;
  const boxOf = (s: { fromMs: number; toMs: number }) => {
    const start = dayOf(s.fromMs);
    const top = y(s.fromMs, start);
    return {
      left: x(start),
      top,
      width: column,
      height: Math.max(5, y(s.toMs, start) - top),
    };
  };
  return (
    <View style={{ width, height: height + LABEL_PX }}>
      <Svg width={width} height={height + LABEL_PX} aria-hidden>
        <Rect width={width} height={height} fill={colour.night} />
        <Path d={daylight(days, x, y, column)} fill={colour.rule} />
        <Path d={boxes(days.flatMap((day) => day.hours.map(boxOf)))} fill={colour.wall} />
        <Line x1={0} x2={width} y1={height} y2={height} stroke={colour.ink} strokeWidth={1} />
        {days.map((day) =>
          day.label === '' ? null : (
            <SvgText
              key={day.startMs}
              x={Math.max(2, Math.min(width - 30, x(day.startMs)))}
              y={height + 16}
              fontFamily={font.text}
              fontSize={15}
              fill={colour.ink2}
            >
              {day.label}
            </SvgText>
          ),
        )}
        <Line
          x1={x(nowMs)}
          x2={x(nowMs)}
          y1={0}
          y2={height}
          stroke={colour.tawny}
          strokeWidth={2}
        />
        {props.onPick
          ? null
          : sessions.map((s) => {
              const box = boxOf(s);
              return (
                <Rect
                  key={s.key}
                  x={box.left + 0.5}
                  y={box.top}
                  width={Math.max(2, box.width - 1)}
                  height={box.height}
                  fill={s.pinned ? colour.tawny : colour.ink}
                />
              );
            })}
      </Svg>
      {props.onPick
        ? sessions.map((s) => (
            <SessionChip
              key={s.key}
              session={s}
              {...boxOf(s)}
              chosen={props.selected === s.key}
              msPerPx={(toMs - fromMs) / width}
              onPick={props.onPick}
              onDrop={props.onDrop}
              onNudge={props.onNudge}
            />
          ))
        : null}
    </View>
  );
});

/** Boxes a pixel apart, in one path. */
const boxes = (list: { left: number; top: number; width: number; height: number }[]): string =>
  list
    .map(({ left, top, width, height }) => {
      const wide = Math.max(1, width - 1);
      return `M${left + 0.5} ${top}h${wide}v${height}h${-wide}z`;
    })
    .join('');

function daylight(
  days: BandDay[],
  x: (ms: number) => number,
  y: (ms: number, day: number) => number,
  column: number,
): string {
  const lit = days.filter((d) => d.dawnMs !== null && d.duskMs !== null);
  if (lit.length === 0) return '';
  const top = lit.map((d) => `${x(d.startMs)} ${y(d.dawnMs!, d.startMs)}`);
  const bottom = [...lit].reverse().map((d) => `${x(d.startMs)} ${y(d.duskMs!, d.startMs)}`);
  const last = lit.at(-1)!;
  const right = x(last.startMs) + column;
  return `M ${top.join(' L ')} L ${right} ${y(last.dawnMs!, last.startMs)} L ${right} ${y(last.duskMs!, last.startMs)} L ${bottom.join(' L ')} Z`;
}

/** A pointer that moves less than this has only touched. */
const STILL_PX = 4;

const SessionChip = memo(function SessionChip({
  session,
  left,
  top,
  width,
  height,
  chosen,
  msPerPx,
  onPick,
  onDrop,
  onNudge,
}: {
  session: BandSession;
  left: number;
  top: number;
  width: number;
  height: number;
  chosen: boolean;
  msPerPx: number;
} & Pick<Props, 'onPick' | 'onDrop' | 'onNudge'>) {
  const [dx, setDx] = useState(0);
  const latest = useRef({ session, onPick, onDrop, msPerPx });
  latest.current = { session, onPick, onDrop, msPerPx };
  const pan = useMemo(
    () =>
      PanResponder.create({
        onStartShouldSetPanResponder: () => true,
        onMoveShouldSetPanResponder: () => true,
        onPanResponderMove: (_, gesture) => setDx(gesture.dx),
        onPanResponderRelease: (_, gesture) => {
          setDx(0);
          const now = latest.current;
          if (Math.abs(gesture.dx) < STILL_PX) now.onPick?.(now.session.key);
          else
            now.onDrop?.(
              now.session.key,
              (now.session.fromMs + now.session.toMs) / 2 + gesture.dx * now.msPerPx,
            );
        },
        onPanResponderTerminate: () => setDx(0),
      }),
    [],
  );
  const keys = (event: { key: string; preventDefault(): void }) => {
    const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (by !== 0) {
      event.preventDefault();
      onNudge?.(session.key, by);
    } else if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      onPick?.(session.key);
    }
  };
  return (
    <View
      {...pan.panHandlers}
      // Views on the web take keys; the native types do not know it.
      {...({ onKeyDown: keys } as object)}
      role="button"
      tabIndex={0}
      aria-label={`${session.name}. Arrow keys move it, Enter opens it.`}
      aria-pressed={chosen}
      style={[
        styles.chip,
        {
          left: left + dx,
          top,
          width: Math.max(6, width - 1),
          height: Math.max(10, height),
          backgroundColor: session.pinned ? colour.tawny : colour.sheet,
          borderColor: chosen ? colour.tawny : colour.ink,
          borderWidth: chosen ? 3 : 1.5,
        },
      ]}
    />
  );
});

const styles = StyleSheet.create({
  chip: { position: 'absolute', borderRadius: 2, cursor: 'pointer' },
});
