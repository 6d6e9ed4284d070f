import { layCoat } from '../painting/events';
import type { Coat, Painting, Passage } from '../painting/schema';
import { minutesOf, type Pace } from '../session/pace';
import { mediumKey } from '../schedule/steps';
import { clusterRows, coatsAtOnce, type TodayCluster, type TodayGroup, type TodayRow } from '.';
import { readiness } from './row';
import type { SuggestedWork } from './suggest';

/** How a painting would be judged at a later hour. */
export interface Later {
  nowMs: number;
  rowsAt(painting: Painting, nowMs: number): Record<TodayGroup, TodayRow[]>;
}

const MINUTE_MS = 60_000;

/** The painting as if coats had just been laid. */
function asLaid(painting: Painting, coats: Coat[], passages: Passage[], atMs: number): Painting {
  const now = new Date(atMs).toISOString();
  return coats.reduce(
    (p, coat, k) =>
      layCoat(
        p,
        {
          coatId: coat.id,
          passageIds: passages.map((x) => x.id),
          at: now,
          spot: null,
          intoWet: k > 0,
        },
        { now, newId: () => `supposed-${coat.id}-${passages[0]!.id}-${atMs}` },
      ),
    painting,
  );
}

/**
 * What can follow in the same hours because what is laid in them dries within them: acrylic, charcoal, fixative. The
 * works are supposed to be laid one after the other, and the pictures are judged as they will be then, by the same rows
 * as Today; where the next coat has to wait a while, that is part of its time.
 * @param left minutes that nothing fills yet
 */
export function driesWithin(
  works: SuggestedWork[],
  left: number,
  pace: Pace,
  { nowMs, rowsAt }: Later,
): SuggestedWork[] {
  const out: SuggestedWork[] = [];
  const supposed = new Map<string, { painting: Painting; laid: Set<string> }>();
  let clockMs = nowMs;
  let room = left;
  const lay = ({ cluster, coat, into, part, minutes, waitMinutes }: SuggestedWork): void => {
    clockMs += (waitMinutes + minutes) * MINUTE_MS;
    const { painting, spotName } = cluster.row;
    if (part || spotName !== null || coat.onto === 'wet') return;
    const before = supposed.get(painting.id) ?? { painting, laid: new Set<string>() };
    for (const p of cluster.passages) before.laid.add(p.id);
    supposed.set(painting.id, {
      laid: before.laid,
      painting: asLaid(before.painting, [coat, ...into], cluster.passages, clockMs),
    });
  };
  works.forEach(lay);
  /** Rows of a picture that take a coat within the room there is, and the minutes until they do. */
  const comingTo = (painting: Painting): { cluster: TodayCluster; waitMinutes: number }[] => {
    const rows = rowsAt(painting, clockMs);
    const minutesTo = (ms: number) => Math.max(0, Math.ceil((ms - clockMs) / MINUTE_MS));
    const at = (list: TodayRow[], waitMinutes: number) =>
      clusterRows(list).map((cluster) => ({ cluster, waitMinutes }));
    // What was laid just now is open; when it will have dried it is looked at again.
    const moments = [...rows['still-open'], ...rows['leave-alone']]
      .filter((row) => row.next?.onto !== 'wet')
      .map(({ top, next }) => (top && readiness(next?.onto ?? null, top)) ?? Infinity)
      .filter((ms) => minutesTo(ms) <= room);
    return [
      ...at(rows['takes-a-coat'], 0),
      ...[...new Set(moments)].flatMap((ms) => {
        const waitMinutes = minutesTo(ms);
        return at(rowsAt(painting, clockMs + waitMinutes * MINUTE_MS)['takes-a-coat'], waitMinutes);
      }),
    ];
  };
  const next = (): SuggestedWork | null => {
    let best: SuggestedWork | null = null;
    for (const { painting, laid } of supposed.values())
      for (const { cluster, waitMinutes } of comingTo(painting)) {
        const { row, passages } = cluster;
        const [coat, ...into] = coatsAtOnce(row);
        if (!coat || row.spotName !== null || !passages.every((p) => laid.has(p.id))) continue;
        const ids = passages.map((p) => p.id);
        const minutesEach = [coat, ...into].map((c) => minutesOf(painting, c, ids, pace));
        const minutes = minutesEach.reduce((sum, m) => sum + m, 0);
        if (waitMinutes + minutes > room || (best && best.waitMinutes <= waitMinutes)) continue;
        best = {
          cluster,
          coat,
          into,
          minutes,
          minutesEach,
          waitMinutes,
          part: false,
          reason: 'dries-within',
          medium: mediumKey(into.at(-1) ?? coat) ?? '',
        };
      }
    return best;
  };
  for (let work = next(); work; work = next()) {
    out.push(work);
    room -= work.waitMinutes + work.minutes;
    lay(work);
  }
  return out;
}
