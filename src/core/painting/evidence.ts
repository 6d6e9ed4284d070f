import { cureFraction, type Below, type DryingClock, type DryingTimes } from '../drying';
import { thicknessOf } from '../film';
import { featuresOf, type FilmEvidence } from '../learn';
import { clockOf, evidenceIdOf, tablesOf } from './assess-layer';
import { contextOf, type Context } from './context';
import type { AssessOptions } from './layer';
import { filmsOf, type Film, type Stack } from './reduce';
import type { Painting, TouchedEvent } from './schema';
import { historyAt, historyOf, inTimeOrder, type Site } from './sites';
import { touchedEvents } from './touch';

interface Dried {
  film: Film;
  below: Below;
  times: DryingTimes;
  clock: DryingClock;
}

/** Drying of a laid film by the tables alone, however deep it lies: what its tests are compared with. */
function driedBy(context: Context) {
  const known = new Map<Stack, Dried | null>();
  const dried = (stack: Stack): Dried | null => {
    const found = known.get(stack);
    if (found !== undefined) return found;
    const { film, below: under } = stack;
    if (film.laidAtMs === null) return null;
    const lower = under ? dried(under) : null;
    const cure =
      lower && !film.surface ? cureFraction(lower.times, lower.clock.doseAt(film.laidAtMs)) : 1;
    const below: Below = { surface: film.surface, cure };
    const clock = clockOf(context, film.asLaid, film.laidAtMs, null);
    const times = tablesOf(context, film.asLaid, below, film.laidAtMs, clock).times;
    const made = { film, below, times, clock };
    known.set(stack, made);
    return made;
  };
  return dried;
}

/** Which site a test was made at. */
const siteOf = (test: TouchedEvent): Site => ({
  passageId: test.passageId,
  spotName: test.spotName,
  share: 1,
});

/**
 * The touch tests of a painting as evidence: each told with the film that was on top when it was made, what the
 * tables say of that film, and the dose it had had. A film laid over all of several passages is one film with the
 * tests of all of them: it was mixed once and laid once. Tests that are set aside, and tests of what is no oil film,
 * teach nothing.
 */
export function evidenceOf(painting: Painting, options: AssessOptions): FilmEvidence[] {
  const tests = touchedEvents(painting).filter((t) => !t.setAside);
  if (tests.length === 0) return [];
  const context = contextOf(painting, { ...options, learned: null });
  const ordered = inTimeOrder(painting.events);
  const dried = driedBy(context);
  const films = new Map<string, FilmEvidence>();
  for (const test of tests) {
    const atMs = Date.parse(test.at);
    const { events } = historyAt(historyOf(painting, test.passageId, ordered), siteOf(test));
    const then = events.filter((e) => Date.parse(e.at) <= atMs);
    const top = filmsOf(context.stacks.stackOf(then, [])).at(-1);
    const on = top && top.film.coatIds.length > 0 ? dried(top) : null;
    if (!on || on.times.kind !== 'oil') continue;
    const id = evidenceIdOf(on.film);
    const found = films.get(id) ?? evidenceFor(context, id, on);
    found.tests.push({
      id: test.id,
      atMs,
      dose: on.clock.doseAt(atMs),
      finding: test.finding,
      twistMarks: test.twistMarks,
    });
    films.set(id, found);
  }
  return [...films.values()];
}

function evidenceFor(
  context: Context,
  id: string,
  { film, below, times, clock }: Dried,
): FilmEvidence {
  const laidAtMs = film.laidAtMs!;
  const toMs = clock.timeOf(times.touch.median) ?? laidAtMs;
  return {
    id,
    laidAtMs,
    touch: times.touch,
    through: times.through,
    setOverTouch: times.setOverTouch,
    openOverTouch: times.openOverTouch,
    features: featuresOf(
      context.handbook.constants,
      film.asLaid,
      thicknessOf(film.asLaid),
      below,
      context.air.meanBetween(laidAtMs, toMs),
    ),
    tests: [],
  };
}
