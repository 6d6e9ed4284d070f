import { coatsAtOnce, type TodayRow } from '@/core/today';
import { holdsVarnish } from '@/core/rules';
import { about, shortTime, stretch } from '@/ui/time/words';

const lower = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1);

/** A varnish that comes too early is no fault of its own: it is held back by a film below. */
const tooEarly = ({ next }: TodayRow) => next?.findings.find(holdsVarnish);
const heldWord = (row: TodayRow): string => (tooEarly(row) ? 'held back' : 'refused');

/** The neighbour across a soft edge: open till when, or set, and then its strip along the border is wetted again. */
const softWords = ({ soft }: TodayRow, nowMs: number): string =>
  soft
    .map(({ name, openUntilMs }) =>
      openUntilMs === null
        ? `; soft edge to ${name}: it has set, wet a strip along it`
        : `; soft edge to ${name}, open till ${about(openUntilMs, nowMs)}`,
    )
    .join('');

/** What a row of Today says beside its texture. Painting and Today speak of one row (core/today), each in its own length. */
export function rowWords(row: TodayRow, nowMs: number): string {
  // A couch and the paint that goes into it are one work.
  const coats = coatsAtOnce(row);
  const next =
    coats.length > 0
      ? `${row.rest ? 'rest of the ' : ''}${coats.map((c) => lower(c.name)).join(', into it the ')}`
      : null;
  switch (row.reason) {
    case 'bare':
      return next ? `bare, takes the ${next}${softWords(row, nowMs)}` : 'bare, nothing planned';
    case 'ground-waits':
      return `oil ground, from ${shortTime(row.readyAtMs!, nowMs)}`;
    case 'ready':
      return `${row.top!.state}, takes the ${next}${row.around.length > 0 ? `; go round ${row.around.join(', ')}` : ''}${softWords(row, nowMs)}`;
    case 'varnish-waits':
      return `${row.top!.state}; the ${next} waits for ${row.waitsFor}`;
    case 'ready-nothing-planned':
      return `${row.top!.state}, nothing more planned`;
    case 'refused': {
      const early = tooEarly(row);
      const when = row.readyAtMs === null ? 'here' : `until ${shortTime(row.readyAtMs, nowMs)}`;
      const why = early?.about ? ` by ${lower(early.about)}` : '';
      return `${row.top?.state ?? 'bare'}; the ${next} is ${heldWord(row)} ${when}${why}`;
    }
    case 'open':
      return `${row.window?.p50 ? `open till ${about(row.window.p50, nowMs)}` : 'open'}${row.awaited.length > 0 ? `; its soft edge to ${row.awaited.join(', ')} wants painting by then` : ''}`;
    case 'probably-dry':
      return `probably dry: touch it, sure ${stretch(row.readyAtMs!, row.window!.p90!, nowMs)}`;
    case 'drying':
      return `${row.top!.state}, ${stretch(row.window!.p50!, row.window!.p90!, nowMs)}`;
    case 'stands-still':
      return `${row.top!.state}; too cold to dry`;
  }
}

/** What a row that can be worked now waited for, and since when it is so. */
export function sinceWords({ reason, readyAtMs, top, next }: TodayRow, nowMs: number): string {
  if (reason === 'bare')
    return readyAtMs === null
      ? 'the ground is ready'
      : `ground ready since ${shortTime(readyAtMs, nowMs)}`;
  if (readyAtMs === null) return '';
  const stage = next?.onto === 'through-dry' ? 'dry through' : 'touch-dry';
  return `${top?.film.name ?? 'what lies there'}: ${stage} since ${shortTime(readyAtMs, nowMs)}`;
}

/** The big time at the right: when it is free, or when it closes. */
export function rowTime(row: TodayRow, nowMs: number): string {
  switch (row.reason) {
    case 'bare':
    case 'ready':
      return 'now';
    case 'ready-nothing-planned':
      return '';
    case 'stands-still':
      return '–';
    default:
      return row.readyAtMs === null ? '–' : shortTime(row.readyAtMs, nowMs);
  }
}

const WITHOUT_ABOUT = /^about /;

/** The same in the few words that stand at the head of a passage's column. */
export function columnWords(row: TodayRow, nowMs: number): string {
  const next = row.next ? `${row.rest ? 'rest of ' : ''}${row.next.film.name}` : null;
  switch (row.reason) {
    case 'bare':
      return next ? `${next} first` : 'nothing planned';
    case 'ground-waits':
      return `ground, from ${shortTime(row.readyAtMs!, nowMs)}`;
    case 'ready':
      return `takes ${next!.toLowerCase()}`;
    case 'ready-nothing-planned':
      return 'at rest';
    case 'varnish-waits':
      return `varnish waits for ${row.waitsFor}`;
    case 'refused':
      return row.readyAtMs === null
        ? heldWord(row)
        : `${heldWord(row)} until ${shortTime(row.readyAtMs, nowMs)}`;
    case 'open':
      return row.window?.p50
        ? `till ${about(row.window.p50, nowMs).replace(WITHOUT_ABOUT, '')}`
        : 'open';
    case 'probably-dry':
      return `dry ${stretch(row.readyAtMs!, row.window!.p90!, nowMs)}`;
    case 'drying':
      return `dry ${stretch(row.window!.p50!, row.window!.p90!, nowMs)}`;
    case 'stands-still':
      return 'drying stands still';
  }
}
