import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { mondayOf } from '@/core/schedule/calendar';
import { planRecordSchema } from '@/core/plan-record/schema';
import { scoreOf, setWeekGoal, weeksOf, type WeekLook } from '@/core/plan-record/look-back';
import { StudioLink } from '@/features/frame/StudioLink';
import { useSessions } from '@/features/session/useSession';
import { useText } from '@/forms/useText';
import { changePlan } from '@/store/actions';
import { draftDropped } from '@/store/drafts';
import { useNow, useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { planRecordOf } from '@/store/plan';
import { Field } from '@/ui/Field';
import { Screen } from '@/ui/Screen';
import { Heading, Text } from '@/ui/Text';
import { dayMonthYear } from '@/ui/time/words';
import { colour, space } from '@/ui/tokens';
import { PlanTabs } from './PlanTabs';
import { minutesWord } from './plan-words';
import { useWatchPlan } from './useWatchPlan';
import { localZone } from '@/store/select-work';

/** Weeks as they were meant and as they went; and whether what was said has held. */
export function WeeksScreen() {
  useWatchPlan();
  const now = useNow();
  const record = useStoreSelector(planRecordOf);
  const paintings = useStoreSelector((state) => state.paintings.entities);
  const sessions = useSessions();
  const weeks = useMemo(
    () => weeksOf(record, paintings, sessions, now, localZone()),
    [record, paintings, sessions, now],
  );
  const monday = mondayOf(now, localZone());
  const here = weeks.find((w) => w.week.id === monday) ?? null;
  return (
    <Screen title="Plan" subtitle="Weeks that look back" aside={<StudioLink />}>
      <PlanTabs />
      <View style={{ gap: space.xl }}>
        <ThisWeek key={here?.week.goal ?? ''} monday={monday} look={here} />
        <Held />
        <View>
          <Heading>Earlier weeks</Heading>
          {weeks.filter((w) => w.week.id < monday).length === 0 ? (
            <Text tone="ink2">None yet: a week is looked back on when it is over.</Text>
          ) : (
            weeks
              .filter((w) => w.week.id < monday)
              .map((look) => (
                <View key={look.week.id} style={styles.week}>
                  <Text
                    strong
                  >{`From ${dayMonthYear(Date.parse(`${look.week.id}T12:00:00`))}`}</Text>
                  {look.week.goal ? <Text>{look.week.goal}</Text> : null}
                  <Text tone="ink2">{lookWords(look)}</Text>
                </View>
              ))
          )}
        </View>
      </View>
    </Screen>
  );
}

const lookWords = (look: WeekLook): string =>
  `${look.doneSteps} of ${look.plannedSteps} coats laid; ${minutesWord(look.workedMinutes)} at the easel of ${minutesWord(look.plannedMinutes)} meant.`;

function ThisWeek({ monday, look }: { monday: string; look: WeekLook | null }) {
  const dispatch = useStoreDispatch();
  const said = look?.week.goal ?? '';
  const key = `goal:${monday}`;
  const goal = useText(key, planRecordSchema.shape.weeks.element.shape.goal, said);
  const keep = () => {
    const text = goal.accepted();
    if (text === null || text === said) return;
    dispatch(changePlan('Set the goal of the week', (record) => setWeekGoal(record, monday, text)));
    dispatch(draftDropped(key));
  };
  return (
    <View>
      <Heading>This week</Heading>
      <Field
        label="Goal of the week"
        value={goal.text}
        onChangeText={goal.set}
        error={goal.error}
        onBlur={keep}
        placeholder="What would make it a good week"
      />
      <Text>{look ? lookWords(look) : 'Nothing was planned when it began.'}</Text>
    </View>
  );
}

function Held() {
  const now = useNow();
  const { forecasts } = useStoreSelector(planRecordOf);
  const paintings = useStoreSelector((state) => state.paintings.entities);
  const { nineInTen, evenOdds } = useMemo(
    () => scoreOf(forecasts, paintings, now),
    [forecasts, paintings, now],
  );
  const line = (said: string, { said: n, held }: { said: number; held: number }) =>
    `Said ${said}: held ${held} of ${n}.`;
  return (
    <View>
      <Heading>Did it hold?</Heading>
      {nineInTen.said === 0 ? (
        <Text tone="ink2">
          Once a week the plan notes by when each coat will be laid. When the day is over, it is
          counted here.
        </Text>
      ) : (
        <>
          <Text>{line('9 in 10', nineInTen)}</Text>
          {evenOdds.said > 0 ? <Text>{line('even odds', evenOdds)}</Text> : null}
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  week: { paddingVertical: space.s, borderBottomWidth: 1, borderBottomColor: colour.rule },
});
