import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { workingHoursSchema, type Hours, type WorkingHours } from '@/core/plan-record/schema';
import { changedRecord } from '@/core/plan-record/record';
import { useLiveForm, useRowKeys, type Form } from '@/forms';
import { changePlan } from '@/store/actions';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { planRecordOf } from '@/store/plan';
import { Action } from '@/ui/Action';
import { TakeOut } from '@/ui/TakeOut';
import { Heading, Text } from '@/ui/Text';
import { Tick } from '@/ui/Tick';
import { colour, space } from '@/ui/tokens';
import { WeekPicture } from '@/ui/time/WeekPicture';
import { clockOf, WEEKDAYS } from './clock-text';
import { HoursFields } from './HoursFields';

/** Monday to Friday. */
const WORKDAYS = 5;
const NEW_HOURS: Hours = { from: 18 * 60, to: 20 * 60 };

/** The hours of each day of the week. */
export function WeekHours() {
  const dispatch = useStoreDispatch();
  const { hours } = useStoreSelector(planRecordOf);
  const [chosen, setChosen] = useState(0);
  const form = useLiveForm(
    { key: 'hours', schema: workingHoursSchema, document: hours },
    (changed) =>
      dispatch(
        changePlan('Changed the hours', (record) => changedRecord(record, { hours: changed })),
      ),
  );
  return (
    <View style={{ gap: space.s }}>
      <Heading>The week</Heading>
      <Text size="small" tone="ink2">
        Tap a day to put two hours, drag them, or an end of them. The figures of the chosen day
        stand below.
      </Text>
      <View role="radiogroup" aria-label="The day whose figures stand below">
        <WeekPicture
          days={WEEKDAYS.map((name, day) => ({ name, hours: hours.week[day]! }))}
          chosen={chosen}
          onChoose={setChosen}
          onChange={(day, stretches) => form.put(`week.${day}`, stretches)}
          clock={clockOf}
        />
      </View>
      <DayHours key={chosen} name={WEEKDAYS[chosen]!} day={chosen} form={form} />
      <Tick
        title="Only by daylight"
        checked={form.draft.daylightOnly}
        onPress={() => form.put('daylightOnly', !form.draft.daylightOnly)}
      />
      <Text size="small" tone="ink2">
        Sunrise and sunset are reckoned for the latitude under Settings. A quarter of an hour at the
        end of each stretch is kept for cleaning.
      </Text>
    </View>
  );
}

function DayHours({ name, day, form }: { name: string; day: number; form: Form<WorkingHours> }) {
  const stretches = form.draft.week[day]!;
  const rows = useRowKeys(stretches.length);
  const path = `week.${day}`;
  return (
    <View role="group" aria-label={name} style={styles.day}>
      <Text strong style={{ width: 92 }}>
        {name}
      </Text>
      <View style={{ flex: 1, gap: space.s }}>
        {stretches.map((_, k) => {
          const from = form.number(`${path}.${k}.from`, 'clock');
          return (
            <View key={rows.keys[k]} style={styles.stretch}>
              <HoursFields
                day={name}
                from={from}
                to={form.number(`${path}.${k}.to`, 'clock')}
                error={form.problem(`${path}.${k}`)}
              />
              <TakeOut
                name={`${name} ${from.text}`}
                onPress={() => {
                  rows.removed(k);
                  form.put(
                    path,
                    stretches.filter((__, i) => i !== k),
                  );
                }}
              />
            </View>
          );
        })}
        {form.problem(path) ? (
          <Text size="small" strong tone="brick">
            {form.problem(path)}
          </Text>
        ) : null}
        <Action
          title={stretches.length === 0 ? 'Add hours' : 'More hours that day'}
          kind="quiet"
          style={{ alignSelf: 'flex-start' }}
          onPress={() => form.put(path, [...stretches, NEW_HOURS])}
        />
        {stretches.length > 0 && day < WORKDAYS ? (
          <Action
            title="The same Monday to Friday"
            kind="quiet"
            style={{ alignSelf: 'flex-start' }}
            onPress={() =>
              form.put(
                'week',
                form.draft.week.map((was, i) => (i < WORKDAYS ? stretches : was)),
              )
            }
          />
        ) : null}
      </View>
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
  stretch: { flexDirection: 'row', gap: space.s, alignItems: 'flex-start' },
});
