import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { z } from 'zod';
import { StyleSheet, View } from 'react-native';
import { assessPainting, type Painting } from '@/core/painting';
import { today, type TodayGroup, type TodayRow } from '@/core/today';
import { suggestSession, type Suggestion } from '@/core/today/suggest';
import { timer, useBegin, useRunningSession } from '@/features/session/useSession';
import { useStoreSelector } from '@/store/hooks';
import { selectOptions } from '@/store/select';
import { selectPace } from '@/store/select-work';
import { useText } from '@/forms/useText';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { StepButton } from '@/ui/Stepper';
import { minusIcon, plusIcon } from '@/ui/desk-icons';
import { Text } from '@/ui/Text';
import { colour, radius, space, TARGET } from '@/ui/tokens';
import { Departures, usePlannedToday } from './Departures';
import { dryWords, keyOf, nameOf, passagesOf, REASON, reordered } from './suggested-words';
import { TimeStrip } from './TimeStrip';

const HALF_HOUR = 30;
const LEAST = 30;
const MOST = 10 * 60;
const USUAL = 120;
const GOAL_LETTERS = 300;
const goalSchema = z
  .string()
  .trim()
  .max(GOAL_LETTERS, { error: `At most ${GOAL_LETTERS} letters.` });

const hoursWord = (minutes: number): string =>
  minutes % 60 === 0 ? `${minutes / 60} h` : `${Math.floor(minutes / 60)} h ${minutes % 60}`;

/** What to do with some minutes, by the plan, the pace, and what dries meanwhile. */
function useSuggestion(rows: Record<TodayGroup, TodayRow[]>, minutes: number): Suggestion {
  const pace = useStoreSelector(selectPace);
  const plan = usePlannedToday();
  const options = useStoreSelector(selectOptions);
  const later = useMemo(
    () => ({
      nowMs: options.nowMs,
      rowsAt: (p: Painting, nowMs: number) =>
        today([assessPainting(p, { ...options, nowMs })], nowMs),
    }),
    [options],
  );
  return useMemo(
    () => suggestSession(rows, minutes, pace, plan, later),
    [rows, minutes, pace, plan, later],
  );
}

/** The hours at hand and what to do with them; loaded after the rest of Today. */
export function HoursAtHand({
  rows,
  beside = false,
}: {
  rows: Record<TodayGroup, TodayRow[]>;
  /** It stands beside the list, with room for its order and goal. */
  beside?: boolean;
}) {
  const [opened, setListed] = useState(false);
  const listed = opened || beside;
  const [minutes, setMinutes] = useState(USUAL);
  const [moved, setMoved] = useState<string[]>([]);
  const running = useRunningSession();
  const suggestion = useSuggestion(rows, minutes);
  const works = reordered(suggestion.works, moved);
  const router = useRouter();
  const begin = useBegin();
  const meant = works
    .map((w) => `${nameOf(w).toLowerCase()}, ${passagesOf(w)}`)
    .join('; ')
    .slice(0, GOAL_LETTERS);
  const goal = useText('session-goal', goalSchema);
  const start = () => {
    if (goal.accepted() === null) return;
    begin({
      boxMinutes: minutes,
      goal: goal.text.trim() || meant,
      works: works.flatMap((w) =>
        [w.coat, ...w.into].map((coat, i) => ({
          paintingId: w.cluster.row.painting.id,
          passageIds: w.cluster.passages.map((p) => p.id),
          coatId: coat.id,
          name: coat.name,
          plannedMinutes: w.minutesEach[i]!,
        })),
      ),
    });
    goal.done();
    router.push('/session');
  };
  const earlier = (i: number) => {
    const keys = works.map(keyOf);
    [keys[i - 1], keys[i]] = [keys[i]!, keys[i - 1]!];
    setMoved(keys);
  };
  return (
    <View role="region" aria-label="Hours at hand" style={beside ? {} : styles.sheet}>
      <View style={styles.inner}>
        {running ? (
          <Action
            title="Back to the session"
            kind="primary"
            onPress={() => router.push('/session')}
          />
        ) : (
          <>
            <View style={styles.row}>
              <Text style={{ flex: 1 }}>
                {works[0]
                  ? REASON[works[0].reason](works[0])
                  : 'Nothing takes paint in that time. Look, draw, or mix for tomorrow.'}
              </Text>
              {works.length > 0 && !beside ? (
                <Action
                  title={listed ? 'Less' : 'Order and goal'}
                  kind="quiet"
                  onPress={() => setListed(!listed)}
                />
              ) : null}
            </View>
            <Departures of={suggestion.departures} all={listed} />
            <TimeStrip
              works={works.map((w) => ({
                key: keyOf(w),
                minutes: w.minutes,
                after: w.waitMinutes,
              }))}
              cleaning={suggestion.cleaningMinutes}
              spare={suggestion.spareMinutes}
            />
            {listed ? (
              <View role="list" aria-label="Order of the session">
                {works.map((work, i) => (
                  <View key={keyOf(work)} style={styles.work} role="listitem">
                    <View style={styles.number}>
                      <Text strong size="small" tone="onTawny">
                        {String(i + 1)}
                      </Text>
                    </View>
                    <Text style={{ flex: 1 }}>
                      <Text strong>{nameOf(work)}</Text>
                      {` ${passagesOf(work)}, ${work.cluster.row.painting.title}${work.part ? ' (a part of it)' : ''}${dryWords(work)}`}
                    </Text>
                    <Text strong>{timer(work.minutes)}</Text>
                    {i > 0 && work.reason !== 'dries-within' ? (
                      <Action title="Earlier" kind="quiet" onPress={() => earlier(i)} />
                    ) : null}
                  </View>
                ))}
              </View>
            ) : null}
            {listed ? (
              <Field
                label="What you mean to do, in your words"
                value={goal.text}
                onChangeText={goal.set}
                error={goal.error}
              />
            ) : null}
            <View style={styles.row}>
              <StepButton
                path={minusIcon}
                name="Less time"
                onPress={() => setMinutes(Math.max(LEAST, minutes - HALF_HOUR))}
              />
              <Text
                strong
                size="large"
                style={{ minWidth: 72, textAlign: 'center' }}
                accessibilityLiveRegion="polite"
              >
                {hoursWord(minutes)}
              </Text>
              <StepButton
                path={plusIcon}
                name="More time"
                onPress={() => setMinutes(Math.min(MOST, minutes + HALF_HOUR))}
              />
              <Action
                title="Begin"
                kind="primary"
                disabled={works.length === 0}
                onPress={start}
                style={{ flexGrow: 1 }}
              />
            </View>
          </>
        )}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  sheet: {
    backgroundColor: colour.sheet,
    borderTopWidth: 1,
    borderTopColor: colour.rule,
    borderTopLeftRadius: radius.l,
    borderTopRightRadius: radius.l,
    paddingHorizontal: space.xl,
    paddingVertical: space.m,
  },
  inner: { gap: space.s, maxWidth: 860 },
  row: { flexDirection: 'row', alignItems: 'center', gap: space.m },
  work: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    minHeight: TARGET,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
  },
  number: {
    width: 26,
    height: 26,
    borderRadius: 13,
    backgroundColor: colour.tawny,
    alignItems: 'center',
    justifyContent: 'center',
  },
});
