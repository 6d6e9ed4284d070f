import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { CalendarException } from '@/core/plan-record/schema';
import { changedRecord } from '@/core/plan-record/record';
import { takeBusy } from '@/core/plan-record/record-edit';
import { chooseNamedFile } from '@/features/keep/files';
import { StudioLink } from '@/features/frame/StudioLink';
import { changePlan } from '@/store/actions';
import { nowIso, nowMs } from '@/store/clock';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { planRecordOf } from '@/store/plan';
import { readBusy } from '@/workers/files-client';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { NARROW, Screen, WIDE } from '@/ui/Screen';
import { TwoColumns, useWide } from '@/ui/Split';
import { TakeOut } from '@/ui/TakeOut';
import { Heading, Text } from '@/ui/Text';
import { dayMonthYear } from '@/ui/time/words';
import { colour, space } from '@/ui/tokens';
import { AwayForm } from './AwayForm';
import { clockOf } from './clock-text';
import { PlanTabs } from './PlanTabs';
import { WeekHours } from './WeekHours';
import { WhatTheLogSays } from './WhatTheLogSays';
import { useWatchPlan } from './useWatchPlan';

/** When there is time to paint: the week, days away or extra, other calendars. */
export function HoursScreen() {
  useWatchPlan();
  const wide = useWide();
  return (
    <Screen
      title="Plan"
      subtitle="Hours for work"
      aside={<StudioLink />}
      maxWidth={wide ? WIDE : NARROW}
    >
      <PlanTabs />
      <TwoColumns
        left={<WeekHours />}
        right={
          <>
            <Exceptions />
            <BusyCalendars />
            <WhatTheLogSays />
          </>
        }
      />
    </Screen>
  );
}

const EXCEPTION_WORDS = { away: 'Away', ill: 'Ill', extra: 'Extra' } as const;

const exceptionWords = (e: CalendarException): string => {
  const day = (d: string) => dayMonthYear(Date.parse(`${d}T12:00:00`));
  const days = e.from === e.to ? day(e.from) : `${day(e.from)} to ${day(e.to)}`;
  const at = e.hours ? `, ${clockOf(e.hours.from)}–${clockOf(e.hours.to)}` : '';
  return `${EXCEPTION_WORDS[e.kind]}: ${days}${at}`;
};

function Exceptions() {
  const dispatch = useStoreDispatch();
  const { exceptions } = useStoreSelector(planRecordOf);
  const set = (what: string, list: CalendarException[]) =>
    dispatch(changePlan(what, (record) => changedRecord(record, { exceptions: list })));
  return (
    <View style={{ gap: space.s }}>
      <Heading>Away, ill, extra days</Heading>
      {[...exceptions]
        .sort((a, b) => a.from.localeCompare(b.from))
        .map((e) => (
          <View key={e.id} style={styles.listed}>
            <Text style={{ flex: 1 }}>{exceptionWords(e)}</Text>
            <TakeOut
              name={exceptionWords(e)}
              onPress={() =>
                set(
                  'Took an exception out',
                  exceptions.filter((x) => x.id !== e.id),
                )
              }
            />
          </View>
        ))}
      <AwayForm title="Note it" onDone={(e) => set(exceptionWords(e), [...exceptions, e])} />
    </View>
  );
}

const YEAR_MS = 365 * 86_400_000;

function BusyCalendars() {
  const dispatch = useStoreDispatch();
  const { busy } = useStoreSelector(planRecordOf);
  const [problem, setProblem] = useState('');
  const take = async () => {
    setProblem('');
    try {
      const file = await chooseNamedFile('text/calendar,.ics');
      if (!file) return;
      const now = nowMs();
      const times = (await readBusy(file.text, now, now + YEAR_MS)).slice(0, 5000);
      const iso = (ms: number) => new Date(ms).toISOString();
      dispatch(
        changePlan(`Read ${file.name}`, (record) =>
          takeBusy(record, {
            id: file.name.slice(0, 200),
            importedAt: nowIso(),
            times: times.map((b): [string, string] => [iso(b.fromMs), iso(b.toMs)]),
          }),
        ),
      );
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <View style={{ gap: space.s }}>
      <Heading>Other calendars</Heading>
      <Text tone="ink2">
        Times that are taken by something else, from an .ics file. Only the times are kept. The same
        file again takes the place of the old.
      </Text>
      {busy.map((b) => (
        <View key={b.id} style={styles.listed}>
          <Text style={{ flex: 1 }}>{`${b.id}: ${b.times.length} busy times`}</Text>
          <TakeOut
            name={b.id}
            onPress={() =>
              dispatch(
                changePlan(`Took out ${b.id}`, (record) =>
                  changedRecord(record, { busy: record.busy.filter((x) => x.id !== b.id) }),
                ),
              )
            }
          />
        </View>
      ))}
      <Action title="Read a calendar file" onPress={() => void take()} />
      {problem ? <Notice tone="refusal">{`Nothing was changed. ${problem}`}</Notice> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  listed: {
    flexDirection: 'row',
    alignItems: 'center',
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
  },
});
