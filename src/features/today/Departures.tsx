import { isSameDay } from 'date-fns/isSameDay';
import { startOfDay } from 'date-fns/startOfDay';
import { useMemo } from 'react';
import type { Departure, PlannedPlace } from '@/core/today/suggest';
import { rowWords } from '@/features/due-words';
import { useNow, useStoreSelector } from '@/store/hooks';
import { planRecordOf } from '@/store/plan';
import { Text } from '@/ui/Text';

/** Works that the plan has for today; the same list all day. */
export function usePlannedToday(): PlannedPlace[] {
  const last = useStoreSelector((s) => planRecordOf(s).last);
  const today = startOfDay(useNow()).getTime();
  return useMemo(
    () =>
      last
        .map(({ id, at }) => ({ id, atMs: Date.parse(at) }))
        .filter(({ atMs }) => isSameDay(atMs, today)),
    [last, today],
  );
}

/** As many as have room at the foot of a phone. */
const AT_THE_FOOT = 2;

/** Where the suggestion leaves the plan, and why. */
export function Departures({ of, all }: { of: Departure[]; all: boolean }) {
  const nowMs = useNow();
  const shown = all ? of : of.slice(0, AT_THE_FOOT);
  const more = of.length - shown.length;
  return (
    <>
      {shown.map((d) => (
        <Text
          key={`${d.row.painting.id}|${d.coat.id}|${d.passages[0]!.id}`}
          size="small"
          tone="ink2"
        >
          {departureWords(d, nowMs)}
        </Text>
      ))}
      {more > 0 ? <Text size="small" tone="ink2">{`And ${more} more of the plan.`}</Text> : null}
    </>
  );
}

function departureWords({ row, passages, coat, why }: Departure, nowMs: number): string {
  const what = `${coat.name}, ${passages.map((p) => p.name).join(', ')}, ${row.painting.title}`;
  return why === 'no-time'
    ? `Planned for today, and no time left for it: ${what}.`
    : `Planned for today, but not yet: ${what} (${rowWords(row, nowMs)}).`;
}
