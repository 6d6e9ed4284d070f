import { View } from 'react-native';
import { changedRecord } from '@/core/plan-record/record';
import { holdChance, type Habits } from '@/core/session/habits';
import { HABITS } from '@/data/habits';
import { changePlan } from '@/store/actions';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { planRecordOf } from '@/store/plan';
import { selectHabits } from '@/store/select-plan';
import { Heading, Text } from '@/ui/Text';
import { Tick } from '@/ui/Tick';
import { space } from '@/ui/tokens';
import { percent } from './plan-words';

/** What the odds take from the log; what they take only when the painter says so. */
export function WhatTheLogSays() {
  const dispatch = useStoreDispatch();
  const habits = useStoreSelector(selectHabits);
  const { countsHeld } = useStoreSelector(planRecordOf);
  const chance = holdChance(habits.held);
  return (
    <View style={{ gap: space.s }}>
      <Heading>What your log says</Heading>
      <Text tone="ink2">{minutesWords(habits)}</Text>
      <Text tone="ink2">{redoWords(habits)}</Text>
      <Text tone="ink2">{heldWords(habits)}</Text>
      {chance !== null ? (
        <Tick
          title={`The odds count on ${percent(chance)} of your hours, not on all`}
          checked={countsHeld ?? false}
          onPress={() =>
            dispatch(
              changePlan(
                countsHeld ? 'The odds count on all hours' : 'The odds count on the hours held',
                (record) => changedRecord(record, { countsHeld: !countsHeld }),
              ),
            )
          }
        />
      ) : null}
    </View>
  );
}

/** The middle half of a normal lies within so many of its standard deviations. */
const QUARTILE = 0.6745;

export function minutesWords({ sittings, ownSd }: Habits): string {
  if (sittings === 0)
    return 'No coat was laid in a session yet: minutes, and how far they stray, are those of the tables.';
  const times = (sd: number): string => Math.exp(sd * QUARTILE).toFixed(2);
  const from = sittings === 1 ? 'one sitting' : `${sittings} sittings`;
  return `From ${from} in which paint was laid, the odds take it that half of yours last ${times(-ownSd)} to ${times(ownSd)} times what is planned.`;
}

export function redoWords({ laid, redone, redo }: Habits): string {
  if (laid === 0) return 'How often you do a coat over is told once coats are laid.';
  const of = `of ${laid} ${laid === 1 ? 'coat' : 'coats'} laid on a passage`;
  if (redone === 0) return `None ${of} was done over.`;
  return `${redone} ${of} ${redone === 1 ? 'was' : 'were'} done over: taken down in another session, or gone back over. The odds reckon with 1 in ${Math.round(1 / redo)}.`;
}

export function heldWords({ held: { hours, held, moved } }: Habits): string {
  if (hours < HABITS.leastHours)
    return `How often you hold your hours is told once ${HABITS.leastHours} stretches of them are past; so far ${hours}.`;
  const other = moved > 0 ? `, and on ${moved} more of their days at another hour` : '';
  return `By your hours as they stand now, you held ${held} of ${hours} stretches in the last eight weeks${other}.`;
}
