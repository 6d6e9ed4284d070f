import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { changedRecord } from '@/core/plan-record/record';
import type { PlannedSession } from '@/core/schedule';
import { changePlan } from '@/store/actions';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { planRecordOf } from '@/store/plan';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Heading, Text } from '@/ui/Text';
import { longDay } from '@/ui/time/words';
import { colour, space } from '@/ui/tokens';
import { StudioLink } from '@/features/frame/StudioLink';
import { PlanState } from './PlanState';
import { PlanTabs } from './PlanTabs';
import { hours, minutesWord } from './plan-words';
import { StepSheet } from './StepSheet';
import { useWatchPlan } from './useWatchPlan';
import { usePlanExport } from './usePlanExport';
import { usePlanView, type PlanView } from './usePlanView';
import { useReplan, type Replan } from './useReplan';

const FIRST_SHOWN = 12;
const HALF_A_YEAR_WEEKS = 26;

/** The sessions of the plan, one after the other; each can be moved, held or put off. */
export function SessionsScreen() {
  useWatchPlan();
  const view = usePlanView(HALF_A_YEAR_WEEKS, 3);
  const replan = useReplan();
  const [held, setHeld] = useState<string | null>(null);
  const [all, setAll] = useState(false);
  const sessions = view?.sessions ?? [];
  const holding = sessions.find((s) => s.works[0]!.id === held)?.works ?? [];
  return (
    <Screen title="Plan" subtitle="Sessions" aside={<StudioLink />}>
      <PlanTabs />
      <PlanState />
      {replan.refusal ? <Notice tone="refusal">{replan.refusal}</Notice> : null}
      {view?.impossible.map((sentence) => (
        <Notice key={sentence} tone="refusal">
          {sentence}
        </Notice>
      ))}
      {view && sessions.length === 0 ? <Text tone="ink2">Nothing is left to plan.</Text> : null}
      {view
        ? sessions
            .slice(0, all ? undefined : FIRST_SHOWN)
            .map((s) => (
              <SessionRow
                key={s.works[0]!.id}
                session={s}
                view={view}
                replan={replan}
                onOpen={() => setHeld(s.works[0]!.id)}
              />
            ))
        : null}
      {!all && sessions.length > FIRST_SHOWN ? (
        <Action
          title={`All ${sessions.length} sessions`}
          kind="quiet"
          onPress={() => setAll(true)}
        />
      ) : null}
      <CalendarOut view={view} />
      {view && holding.length > 0 ? (
        <StepSheet view={view} works={holding} replan={replan} onClose={() => setHeld(null)} />
      ) : null}
    </Screen>
  );
}

function SessionRow({
  session,
  view,
  replan,
  onOpen,
}: {
  session: PlannedSession;
  view: PlanView;
  replan: Replan;
  onOpen: () => void;
}) {
  const day = longDay(session.fromMs);
  const pinned = session.works.some((w) => w.pinned);
  const titleOf = (id: string) =>
    view.paintings.find((p) => p.painting.id === id)?.painting.title ?? '';
  return (
    <View role="group" aria-label={day} style={styles.row}>
      <View style={{ flexDirection: 'row', alignItems: 'baseline', gap: space.s }}>
        <Heading level={2} style={{ flex: 1 }}>
          {day}
        </Heading>
        <Text strong>{hours(session.fromMs, session.toMs)}</Text>
      </View>
      {session.works.map((w) => (
        <Text key={w.id}>
          {view.nameOf(w.id)}
          <Text tone="ink2">{`  ${titleOf(w.project)}, ${minutesWord((w.endMs - w.startMs) / 60_000)}`}</Text>
        </Text>
      ))}
      <View style={{ flexDirection: 'row', gap: space.s, marginTop: space.xs }}>
        <Action
          title="Earlier"
          style={{ flex: 1 }}
          onPress={() => replan.move(session.works, -1)}
        />
        <Action title="Later" style={{ flex: 1 }} onPress={() => replan.move(session.works, 1)} />
        <Action title={pinned ? 'Held …' : 'More …'} style={{ flex: 1 }} onPress={onOpen} />
      </View>
    </View>
  );
}

const ALARMS = [
  { key: 'none', name: 'none' },
  { key: '30', name: '30 min' },
  { key: '120', name: '2 h' },
  { key: '1440', name: 'a day' },
];

function CalendarOut({ view }: { view: PlanView | null }) {
  const dispatch = useStoreDispatch();
  const { alarmMinutes } = useStoreSelector(planRecordOf);
  const save = usePlanExport(view);
  const [failure, setFailure] = useState('');
  return (
    <View style={{ gap: space.m, marginTop: space.xl }}>
      <Heading>Into a calendar</Heading>
      <Text tone="ink2">
        Sessions, windows of drying and dates as an .ics file. Imported again after a change, what
        is there moves.
      </Text>
      <Choice
        label="Ring before a session"
        options={ALARMS}
        value={alarmMinutes === null ? 'none' : String(alarmMinutes)}
        onChange={(key) =>
          dispatch(
            changePlan('Changed the bell', (record) =>
              changedRecord(record, { alarmMinutes: key === 'none' ? null : Number(key) }),
            ),
          )
        }
      />
      <Action
        title="Save the calendar file"
        disabled={!view}
        onPress={() => {
          setFailure('');
          save().catch((error: Error) => setFailure(`It was not saved. ${error.message}`));
        }}
      />
      {failure ? <Notice tone="refusal">{failure}</Notice> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    paddingVertical: space.m,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
    gap: space.xs,
  },
});
