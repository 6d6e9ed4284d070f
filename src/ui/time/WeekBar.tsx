import { useRef, useState } from 'react';
import { StyleSheet, View, type GestureResponderEvent, type ViewStyle } from 'react-native';
import { Text } from '../Text';
import { colour, radius } from '../tokens';
import { heldAt, STEP, stretched, type Held, type Stretch } from './week-hours';

interface Props {
  /** The day it is on. */
  name: string;
  hours: Stretch;
  /** The first minute of the day that is drawn. */
  from: number;
  /** Pixels of a minute; 0 until the picture has its width. */
  perMinute: number;
  share: (minutes: number) => `${number}%`;
  clock: (minutes: number) => string;
  onChoose: () => void;
  /** As it is now; null where it was taken out. */
  onChange: (hours: Stretch | null) => void;
}

/** What a finger takes hold of an end by, px. */
const FINGER = 22;

/** A stretch: dragged as a whole or by an end. Arrow keys move it; with Shift they move its end; Delete takes it out. */
export function WeekBar({ name, hours, from, perMinute, share, clock, onChoose, onChange }: Props) {
  const start = useRef<{ x: number; held: Held } | null>(null);
  const [shown, setShown] = useState<Stretch | null>(null);
  const now = shown ?? hours;
  const at = (e: GestureResponderEvent): Stretch =>
    start.current
      ? stretched(hours, start.current.held, (e.nativeEvent.pageX - start.current.x) / perMinute)
      : hours;
  const keys = {
    tabIndex: 0,
    onKeyDown: (e: { key: string; shiftKey: boolean; preventDefault: () => void }) => {
      if (e.key === 'Delete' || e.key === 'Backspace') {
        e.preventDefault();
        return onChange(null);
      }
      const by = { ArrowLeft: -STEP, ArrowRight: STEP }[e.key];
      if (by === undefined) return;
      e.preventDefault();
      onChange(stretched(hours, e.shiftKey ? 'to' : 'all', by));
    },
    onFocus: onChoose,
  } as object;
  return (
    <View
      role="button"
      aria-label={`${name} ${clock(now.from)} to ${clock(now.to)}. Arrow keys move it, with Shift its end; Delete takes it out`}
      {...keys}
      onStartShouldSetResponder={() => true}
      onMoveShouldSetResponder={() => true}
      onResponderTerminationRequest={() => false}
      onResponderGrant={(e) => {
        onChoose();
        const { pageX, locationX } = e.nativeEvent;
        start.current = {
          x: pageX,
          held: heldAt(locationX, (hours.to - hours.from) * perMinute, FINGER),
        };
      }}
      onResponderMove={(e) => setShown(at(e))}
      onResponderRelease={(e) => {
        const next = at(e);
        start.current = null;
        setShown(null);
        if (next.from !== hours.from || next.to !== hours.to) onChange(next);
      }}
      onResponderTerminate={() => {
        start.current = null;
        setShown(null);
      }}
      style={[styles.bar, { left: share(now.from - from), width: share(now.to - now.from) }]}
    >
      <View style={styles.grip} />
      {shown ? (
        <View style={styles.told}>
          <Text size="small" strong>{`${clock(now.from)}–${clock(now.to)}`}</Text>
        </View>
      ) : null}
      <View style={styles.grip} />
    </View>
  );
}

const styles = StyleSheet.create({
  bar: {
    position: 'absolute',
    top: 6,
    bottom: 6,
    borderRadius: radius.s,
    backgroundColor: colour.tawny,
    flexDirection: 'row',
    justifyContent: 'space-between',
    alignItems: 'center',
    paddingHorizontal: 4,
    cursor: 'grab',
    // The page does not scroll under a finger that drags.
    touchAction: 'none',
    userSelect: 'none',
  } as unknown as ViewStyle,
  grip: { width: 2, height: 16, backgroundColor: colour.sheet, opacity: 0.8 },
  told: {
    position: 'absolute',
    top: -26,
    left: -8,
    backgroundColor: colour.sheet,
    borderWidth: 1,
    borderColor: colour.rule,
    borderRadius: radius.s,
    paddingHorizontal: 4,
    zIndex: 2,
  },
});
