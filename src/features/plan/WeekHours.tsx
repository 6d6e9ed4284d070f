import { StyleSheet, View } from 'react-native';
import { type Hours } from '@/core/plan/hours';
import { changedRecord } from '@/core/plan/record';
import { changePlan } from '@/store/actions';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { planRecordOf } from '@/store/plan';
import { Action } from '@/ui/Action';
import { TakeOut } from '@/ui/TakeOut';
import { Heading, Text } from '@/ui/Text';
import { Tick } from '@/ui/Tick';
import { colour, space } from '@/ui/tokens';
import { clockOf, WEEKDAYS } from './clock-text';
import { HoursFields } from './HoursFields';

const NEW_HOURS: Hours = { from: 18 * 60, to: 20 * 60 };

/** The hours of each day of the week. */
export function WeekHours() {
  const dispatch = useStoreDispatch();
  const { hours } = useStoreSelector(planRecordOf);
  const set = (week: Hours[][]) =>
    dispatch(
      changePlan('Changed the hours', (record) =>
        changedRecord(record, { hours: { ...record.hours, week } }),
      ),
    );
  const setDay = (day: number, list: Hours[]) =>
    set(hours.week.map((h, d) => (d === day ? list : h)));
  return (
    <View style={{ gap: space.s }}>
      <Heading>The week</Heading>
      {WEEKDAYS.map((name, day) => (
        <View key={name} role="group" aria-label={name} style={styles.day}>
          <Text strong style={{ width: 92 }}>
            {name}
          </Text>
          <View style={{ flex: 1, gap: space.s }}>
            {hours.week[day]!.map((h, k) => (
              <HoursRow
                key={`${h.from}-${h.to}-${k}`}
                name={name}
                hours={h}
                onChange={(next) =>
                  setDay(
                    day,
                    hours.week[day]!.flatMap((old, i) => (i === k ? (next ? [next] : []) : [old])),
                  )
                }
              />
            ))}
            <Action
              title={hours.week[day]!.length === 0 ? 'Add hours' : 'And again'}
              kind="quiet"
              style={{ alignSelf: 'flex-start' }}
              onPress={() => setDay(day, [...hours.week[day]!, NEW_HOURS])}
            />
          </View>
        </View>
      ))}
      <Tick
        title="Only by daylight"
        checked={hours.daylightOnly}
        onPress={() =>
          dispatch(
            changePlan('Changed the hours', (record) =>
              changedRecord(record, {
                hours: { ...record.hours, daylightOnly: !record.hours.daylightOnly },
              }),
            ),
          )
        }
      />
      <Text size="small" tone="ink2">
        Sunrise and sunset are reckoned for the latitude under Settings. A quarter of an hour at the
        end of each stretch is kept for cleaning.
      </Text>
    </View>
  );
}

function HoursRow({
  name,
  hours,
  onChange,
}: {
  name: string;
  hours: Hours;
  onChange: (hours: Hours | null) => void;
}) {
  return (
    <View style={{ flexDirection: 'row', gap: space.s, alignItems: 'flex-start' }}>
      <HoursFields day={name} hours={hours} onChange={onChange} />
      <TakeOut name={`${name} ${clockOf(hours.from)}`} onPress={() => onChange(null)} />
    </View>
  );
}

const styles = StyleSheet.create({
  day: {
    flexDirection: 'row',
    alignItems: 'flex-start',
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
    paddingVertical: space.s,
  },
});
