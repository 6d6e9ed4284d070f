import { DAY_MS } from '../drying';
import { isOnEasel, nextPlanned, type PaintingAssessment, type SiteStack } from '../painting';
import type { Painting } from '../painting/schema';
import { behind, inPassageOrder, order, varnishTogether } from './order';
import { todayRow, type TodayGroup, type TodayRow } from './row';

/** Whether something is planned for this spot that is not planned for the passage around it. */
function hasItsOwn(spot: SiteStack, { painting }: PaintingAssessment): boolean {
  const coatId = nextPlanned(spot)?.film.coatIds[0];
  return painting.coats.some((c) => c.id === coatId && c.spot !== null);
}

/** The rows of one passage: itself, and each spot that has a coat of its own to come or holds the passage back. */
function rowsOf(
  assessment: PaintingAssessment,
  { passage, base, spots }: PaintingAssessment['passages'][number],
  nowMs: number,
): TodayRow[] {
  let whole = todayRow(assessment, passage, base, nowMs);
  const own: TodayRow[] = [];
  const holding: TodayRow[] = [];
  for (const spot of spots) {
    const row = todayRow(assessment, passage, spot, nowMs);
    if (hasItsOwn(spot, assessment)) own.push(row);
    else if (
      row.top !== null &&
      row.top.film.key !== whole.top?.film.key &&
      row.group !== 'takes-a-coat'
    )
      holding.push(row);
  }
  // What goes over all of the passage goes round the spots that are not ready for it.
  const around = holding.filter((row) => row.next?.film.coatIds[0] === whole.next?.film.coatIds[0]);
  whole = { ...whole, around: around.map((row) => row.spotName!) };
  // Where only a spot is still to come, the passage has nothing more to say.
  const says = whole.reason !== 'ready-nothing-planned' || own.length === 0;
  return [...(says ? [whole] : []), ...own, ...holding];
}

/**
 * Every passage of every painting on the easel, in the order of what the film allows. A spot has a row of its own where a coat is
 * planned for it, and while it is wetter than the rest of its passage.
 */
export function today(
  assessments: PaintingAssessment[],
  nowMs: number,
  worked: (painting: Painting, nowMs: number) => boolean = isOnEasel,
): Record<TodayGroup, TodayRow[]> {
  const rows = assessments
    .filter(({ painting }) => worked(painting, nowMs))
    .flatMap((assessment) =>
      varnishTogether(assessment.passages.flatMap((passage) => rowsOf(assessment, passage, nowMs))),
    );
  const group = (key: TodayGroup) => {
    const inTime = rows
      .filter((row) => row.group === key)
      .sort((a, b) => behind(a) - behind(b) || order(a) - order(b));
    return key === 'takes-a-coat' ? inPassageOrder(inTime, (row) => row) : inTime;
  };
  return {
    'takes-a-coat': group('takes-a-coat'),
    'still-open': group('still-open'),
    'leave-alone': group('leave-alone'),
  };
}

/** What comes ready between now and the end of tomorrow: rows of the waiting group within `days`. */
export const comingReady = (rows: TodayRow[], nowMs: number, days: number): TodayRow[] =>
  rows.filter((row) => row.readyAtMs !== null && row.readyAtMs <= nowMs + days * DAY_MS);
