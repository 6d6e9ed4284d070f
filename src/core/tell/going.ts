import { verdictOf, type Layer } from '../painting/layer';
import type { RuleKey } from '../rules/records';
import { stops } from '../rules';
import type { SchoolKey } from '../schools';
import type { TodayRow } from '../today';

/** Whether a coat may go on, as a painter would be told, the gravest last. */
export const GOINGS = ['yes', 'note', 'caution', 'advised-against', 'wait', 'refused'] as const;
export type Going = (typeof GOINGS)[number];

/** The answer, what gives it, and its end where it has one. */
export interface MayGoOn {
  answer: Going;
  /** The rule that speaks; null where the school or the film below does. */
  rule: RuleKey | null;
  /** The school of the painting speaks. */
  school: boolean;
  /** Waiting until then mends it, ms; null where no waiting does, or nobody can say. */
  untilMs: number | null;
}

const ADVICE: ReadonlySet<Going> = new Set(['advised-against', 'wait']);
const YES: MayGoOn = { answer: 'yes', rule: null, school: false, untilMs: null };
const rank = ({ answer }: MayGoOn): number => GOINGS.indexOf(answer);

/** What the rules say of a film in its place, one answer each. */
const byRules = (layer: Layer): MayGoOn[] =>
  layer.findings
    .filter((finding) => finding.overruled === null)
    .map((finding): MayGoOn => {
      const { rule, severity, untilMs } = finding;
      const answer = stops(finding)
        ? untilMs === null
          ? 'refused'
          : 'wait'
        : (
            {
              strong: 'advised-against',
              caution: 'caution',
              note: 'note',
              forbid: 'refused',
            } as const
          )[severity];
      return { answer, rule, school: false, untilMs };
    });

/** What the school says; an end where waiting until the film below is dry through mends it. */
function bySchool(layer: Layer, school: SchoolKey, byRule: MayGoOn[]): MayGoOn {
  const verdict = verdictOf(layer, school);
  const answer = (
    { fail: 'advised-against', caution: 'caution', undecided: 'note', note: 'note' } as const
  )[verdict?.verdict as 'fail'];
  if (!verdict || !answer) return YES;
  const mended = verdict.reason === 'alkyd-over-undry-oil' ? 'alkyd-over-slow-oil' : null;
  const untilMs = byRule.find((m) => m.rule === mended)?.untilMs ?? null;
  return { answer, rule: null, school: true, untilMs };
}

/** What the film below says: Today tells the same. */
function byFilmBelow(row: TodayRow | null): MayGoOn {
  // Paint that is open takes what is meant to go into it, and nothing else.
  const open = row?.group === 'still-open' && row.next?.onto !== 'wet';
  if (!row || (row.group !== 'leave-alone' && !open)) return YES;
  // As likely dry as not: a finger decides.
  const answer = row.reason === 'probably-dry' ? 'caution' : 'wait';
  if (open) return { ...YES, answer, untilMs: row.top?.windows?.touchDry.p75 ?? null };
  return { answer, rule: null, school: false, untilMs: row.readyAtMs };
}

/**
 * Whether a coat may go on at the moment that was assessed: the gravest of what the film below, the school of the
 * painting and every rule say.
 * @param row of Today for the place, where the coat is the next there; null for one that is laid, or comes later
 */
export function mayGoOn(layer: Layer, school: SchoolKey, row: TodayRow | null): MayGoOn {
  const rules = byRules(layer);
  const all = [byFilmBelow(row), bySchool(layer, school, rules), ...rules];
  const worst = all.reduce((a, b) =>
    rank(b) > rank(a) || (rank(b) === rank(a) && a.untilMs !== null && b.untilMs === null) ? b : a,
  );
  // Who waits, waits for everything that waiting mends.
  const ends = all.flatMap((m) => (ADVICE.has(m.answer) && m.untilMs !== null ? [m.untilMs] : []));
  return worst.answer === 'wait' && worst.untilMs !== null
    ? { ...worst, untilMs: Math.max(...ends) }
    : worst;
}
