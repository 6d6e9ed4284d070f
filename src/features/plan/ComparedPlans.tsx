import type { StudioPlan, ToldGoal } from '@/core/schedule/studio-plan';
import { nowMs } from '@/store/clock';
import { usePaintings } from '@/store/hooks';
import { Table, type TableRow } from '@/ui/Table';
import { shortTime } from '@/ui/time/words';
import { inTwenty, minutesWord } from './plan-words';

const minutesOf = ({ plan }: StudioPlan): number =>
  plan.sessions.reduce(
    (sum, s) => sum + s.works.reduce((m, w) => m + (w.endMs - w.startMs) / 60_000, 0),
    0,
  );

/** Two plans side by side, painting by painting. */
export function ComparedPlans({ now, other }: { now: StudioPlan; other: StudioPlan }) {
  const paintings = usePaintings();
  const at = nowMs();
  const day = (ms: number | undefined) =>
    ms === undefined ? '–' : Number.isFinite(ms) ? shortTime(ms, at) : 'never';
  const told = (plan: StudioPlan, id: string) => plan.goals.find((g) => g.project === id);
  const chanceOf = (goal: ToldGoal | undefined) =>
    typeof goal?.chance === 'number' ? inTwenty(goal.chance) : '–';
  const rows = paintings.flatMap((p) => {
    const [a, b] = [told(now, p.id), told(other, p.id)];
    if (!a && !b) return [];
    const row = (name: string, left: string, right: string) =>
      line(`${p.id} ${name}`, name, left, right, p.title);
    return [
      ...(a?.dueMs || b?.dueMs ? [row('by the date', chanceOf(a), chanceOf(b))] : []),
      row('even odds', day(a?.p50Ms), day(b?.p50Ms)),
      row('9 in 10', day(a?.p90Ms), day(b?.p90Ms)),
    ];
  });
  const count = (n: number) => String(n);
  return (
    <Table
      name="Two plans side by side"
      columns={[
        { head: '' },
        { head: 'as it is', width: FIGURES },
        { head: 'as it might be', width: FIGURES },
      ]}
      rows={[
        ...rows,
        line(
          'sessions',
          'sessions',
          count(now.plan.sessions.length),
          count(other.plan.sessions.length),
        ),
        line('work', 'at work', minutesWord(minutesOf(now)), minutesWord(minutesOf(other))),
        line(
          'impossible',
          'without a place',
          count(now.plan.impossible.length),
          count(other.plan.impossible.length),
        ),
      ]}
      rowHeads
      size="body"
    />
  );
}

const FIGURES = 104;

/** What is the same in both plans is quiet; what changes stands out. */
function line(key: string, name: string, left: string, right: string, group?: string): TableRow {
  const changed = left !== right;
  return {
    key,
    ...(group ? { group } : {}),
    cells: [
      { words: name, tone: 'ink2' },
      left,
      { words: right, strong: changed, tone: changed ? 'tawny' : 'ink' },
    ],
  };
}
