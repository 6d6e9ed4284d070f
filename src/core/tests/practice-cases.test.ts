import { VERBS } from '../headless/verbs';
import { usualMinutes } from '../session/pace';
import type { CoatRole } from '../painting';
import type { Going } from '../tell/going';
import cases from './practice-cases.json';

/**
 * Forty-five practices with the answer that working painters expect, each "common practice, no source" or "handbook, from
 * memory" as its status says. Where the judge answers otherwise it stands in ARGUED with its reason, and in docs/method.md.
 */
const ARGUED: Record<string, string> = {
  P05: 'paint of yesterday with a quarter of alkyd is dry with 3 in 4 at eleven; the glaze asks for it at ten',
  P19: 'a retouch varnish of this morning is dry two hours from now',
  P28: 'two weeks are reckoned at the usual air; a bright warm room makes eleven days of them',
};

interface Told {
  answer: Going;
  until: string | null;
}
/** In the words of the cases. A thing advised against until a day is a wait. */
const word = ({ answer, until }: Told): string => {
  const end = until === null ? 'caution-without-end' : 'caution-with-end';
  return {
    yes: 'fine',
    note: 'fine-with-note',
    caution: end,
    'advised-against': until === null ? end : 'wait',
    wait: 'wait',
    refused: 'refused',
  }[answer];
};
const GRAVITY = [
  'fine',
  'fine-with-note',
  'caution-with-end',
  'caution-without-end',
  'wait',
  'refused',
];

const HOUR_MS = 3_600_000;
const PER = { hours: 1, days: 24 } as Record<string, number>;
type Case = (typeof cases)[number];
const at = (from: unknown, path: string): unknown =>
  path.split('.').reduce((x, key) => (x as Record<string, unknown>)[key], from);

function measured({ dryInput, work, measure, unit }: Case): number {
  if (work)
    return usualMinutes(
      { role: work.role as CoatRole, ...(work.fineness ? { fineness: 'fine' as const } : {}) },
      work.areaCm2,
    );
  const told = VERBS.dry!.run(dryInput);
  const value = at(told, measure!.startsWith('finish') ? measure! : `windows.${measure!}`);
  if (typeof value === 'number') return value;
  return (Date.parse(value as string) - Date.parse(dryInput!.laidAt)) / HOUR_MS / PER[unit!]!;
}

const holds = (c: Case): boolean => {
  if (c.stack) {
    const { coats } = VERBS['may-go-on']!.run(c.stack) as { coats: Told[] };
    const words = coats.filter((_, i) => c.subject === 'all' || i === c.subject).map(word);
    const worst = GRAVITY[Math.max(...words.map((w) => GRAVITY.indexOf(w)))]!;
    return c.answers!.includes(worst);
  }
  const value = measured(c);
  const [low, high] = c.range as [number, number];
  if (!(value >= low && value <= high)) return false;
  if (!c.quantityInput) return true;
  const { paintMl, mediumMl } = VERBS.quantity!.run(c.quantityInput) as Record<string, number>;
  const [least, most] = c.millilitres as [number, number];
  return paintMl! + mediumMl! >= least && paintMl! + mediumMl! <= most;
};

test.each(cases.map((c) => [c.id, c.about, c.status, c] as const))(
  '%s, %s (%s)',
  (id, _a, _s, c) => {
    // What is argued must still differ: who mends it takes it out of the list.
    expect(holds(c)).toBe(!(id in ARGUED));
  },
);

test('there are forty-five, and few are argued with', () => {
  expect([cases.length, Object.keys(ARGUED).length]).toEqual([45, 3]);
});
