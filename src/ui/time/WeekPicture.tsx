import { useRef, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from '../Text';
import { colour, space, TARGET } from '../tokens';
import { hoursAbout, joined, shownFrom, type Stretch } from './week-hours';
import { WeekBar } from './WeekBar';

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
const TICK_HOURS = 3;
/** A finger that moved farther scrolls, px. */
const TAP = 8;
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
            tabIndex={i === chosen ? 0 : -1}
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
  const grant = useRef({ x: 0, y: 0 });
  return (
    <View style={styles.track}>
      <View
        // What a tap does here the buttons below do too: no stop of its own for keys and readers.
        aria-hidden
        style={StyleSheet.absoluteFill}
        onStartShouldSetResponder={() => true}
        onResponderGrant={(e) => {
          grant.current = { x: e.nativeEvent.pageX, y: e.nativeEvent.pageY };
        }}
        onResponderRelease={(e) => {
          const { pageX, pageY, locationX } = e.nativeEvent;
          const moved = Math.hypot(pageX - grant.current.x, pageY - grant.current.y);
          if (moved > TAP || perMinute === 0) return;
          onChoose();
          onChange([...hours, hoursAbout(from + locationX / perMinute)]);
        }}
      >
        {ticks.map((m) => (
          <View key={m} style={[styles.tick, { left: share(m - from) }]} />
        ))}
      </View>
      {hours.map((h, k) => (
        <WeekBar
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
});
