import { useRef, useState } from 'react';
import {
  Pressable,
  StyleSheet,
  View,
  type GestureResponderEvent,
  type ViewStyle,
} from 'react-native';
import { Text } from '../Text';
import { colour, radius, space, TARGET } from '../tokens';
import {
  heldAt,
  hoursAbout,
  joined,
  shownFrom,
  STEP,
  stretched,
  type Held,
  type Stretch,
} from './week-hours';

interface Props {
  /** Names of the days, each with its stretches. */
  days: { name: string; hours: Stretch[] }[];
  /** The day whose figures stand below. */
  chosen: number;
  onChoose: (day: number) => void;
  /** All stretches of a day as they are now. */
  onChange: (day: number, hours: Stretch[]) => void;
  clock: (minutes: number) => string;
}

const DAY = 24 * 60;
const HOUR = 60;
/** What a finger takes hold of an end by, px. */
const FINGER = 22;
const TICK_HOURS = 3;
const NAME_WIDTH = 48;

/** The hours of a week as one picture: stretches are drawn, moved and lengthened by finger or by keys. */
export function WeekPicture({ days, chosen, onChoose, onChange, clock }: Props) {
  const [width, setWidth] = useState(0);
  const from = shownFrom(days.map((d) => d.hours));
  const perMinute = width / (DAY - from);
  const share = (minutes: number) => `${(100 * minutes) / (DAY - from)}%` as const;
  const ticks = Array.from({ length: 9 }, (_, i) => i * TICK_HOURS * HOUR).filter((m) => m >= from);
  return (
    <View>
      <View style={styles.head} aria-hidden>
        {ticks.map((m) => (
          <Text
            key={m}
            size="small"
            tone="ink2"
            style={[styles.tickWord, m === DAY ? { right: 0 } : { left: share(m - from) }]}
          >
            {String(m / HOUR)}
          </Text>
        ))}
      </View>
      {days.map((day, i) => (
        <View key={day.name} style={[styles.day, i === chosen && styles.chosen]}>
          <Pressable
            role="radio"
            aria-checked={i === chosen}
            aria-label={`${day.name}, ${day.hours.length === 0 ? 'no hours' : day.hours.map((h) => `${clock(h.from)} to ${clock(h.to)}`).join(', ')}`}
            onPress={() => onChoose(i)}
            style={styles.name}
          >
            <Text strong={i === chosen}>{day.name.slice(0, 3)}</Text>
          </Pressable>
          <View style={{ flex: 1 }} onLayout={(e) => setWidth(e.nativeEvent.layout.width)}>
            <Track
              name={day.name}
              hours={day.hours}
              from={from}
              perMinute={perMinute}
              share={share}
              ticks={ticks}
              clock={clock}
              onChoose={() => onChoose(i)}
              onChange={(hours) => onChange(i, joined(hours))}
            />
          </View>
        </View>
      ))}
    </View>
  );
}

interface TrackProps {
  name: string;
  hours: Stretch[];
  from: number;
  /** Pixels of a minute; 0 until the picture has its width. */
  perMinute: number;
  share: (minutes: number) => `${number}%`;
  ticks: number[];
  clock: (minutes: number) => string;
  onChoose: () => void;
  onChange: (hours: Stretch[]) => void;
}

/** One day: where nothing stands, a tap puts two hours. */
function Track({
  name,
  hours,
  from,
  perMinute,
  share,
  ticks,
  clock,
  onChoose,
  onChange,
}: TrackProps) {
  return (
    <View style={styles.track}>
      <Pressable
        // What a tap does here the buttons below do too; a stop of its own would only be one more.
        tabIndex={-1}
        aria-hidden
        style={StyleSheet.absoluteFill}
        onPress={(e) => {
          onChoose();
          onChange([...hours, hoursAbout(from + e.nativeEvent.locationX / perMinute)]);
        }}
      >
        {ticks.map((m) => (
          <View key={m} style={[styles.tick, { left: share(m - from) }]} />
        ))}
      </Pressable>
      {hours.map((h, k) => (
        <Bar
          key={k}
          name={name}
          hours={h}
          from={from}
          perMinute={perMinute}
          share={share}
          clock={clock}
          onChoose={onChoose}
          onChange={(next) =>
            onChange(
              next ? hours.map((x, i) => (i === k ? next : x)) : hours.filter((_, i) => i !== k),
            )
          }
        />
      ))}
    </View>
  );
}

/** A stretch: dragged as a whole or by an end. Arrow keys move it; with Shift they move its end; Delete takes it out. */
function Bar({
  name,
  hours,
  from,
  perMinute,
  share,
  clock,
  onChoose,
  onChange,
}: Omit<TrackProps, 'hours' | 'ticks' | 'onChange'> & {
  hours: Stretch;
  onChange: (hours: Stretch | null) => void;
}) {
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
  head: { height: 22, marginLeft: NAME_WIDTH },
  tickWord: { position: 'absolute' },
  day: {
    flexDirection: 'row',
    alignItems: 'center',
    borderTopWidth: 1,
    borderTopColor: colour.rule,
    minHeight: TARGET,
  },
  chosen: { backgroundColor: colour.sheet },
  name: { width: NAME_WIDTH, minHeight: TARGET, justifyContent: 'center', paddingLeft: space.xs },
  track: { height: TARGET },
  tick: { position: 'absolute', top: 0, bottom: 0, width: 1, backgroundColor: colour.rule },
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
