import {
  DAY,
  INPUT,
  isoDaysAgo,
  making,
  newPainting,
  NOW,
  NOW_MS,
  optionsAt,
  stackOf,
} from '../tests/paintings';
import { refusal } from '../tests/refusal';
import { FLESH, recipe } from '../tests/recipes';
import { STUDIO_HANDBOOK } from '../handbook';
import { minutesOf, USUAL_PACE } from '../session/pace';
import { buildPlan } from '../schedule/build';
import { today } from '../today';
import { isOnEasel, putOnEasel } from './easel';
import {
  isUntouched,
  joinPassages,
  movePassage,
  removePassage,
  sameDone,
  splitPassage,
} from './passages';
import { evidenceOf } from './evidence';
import { noteBother } from './notes-of';
import { recordLaying } from './record';
import { paintingSchema } from './schema';
import { changeBasics, changeMethod, fromStudy } from './start';
import { touchFilm } from './touch';
import { varnishWait } from './varnish';
import { assessPainting, isLaid, mergePaintings, type Painting } from '.';

const options = optionsAt();
const idsOf = (p: Painting): string[] => p.passages.map((x) => x.id);
const plan = stackOf([recipe(FLESH), recipe(FLESH)]);
const [jars, wall] = plan.passages.map((p) => p.id) as [string, string];
const lay = (p: Painting, coatId: string, passageIds: string[], daysAgo: number): Painting =>
  recordLaying(p, { coatId, passageIds, at: isoDaysAgo(daysAgo), spot: null }, options, making());
const valid = (p: Painting): Painting => {
  expect(paintingSchema.safeParse(p).error?.issues ?? []).toEqual([]);
  return p;
};
/** Each place with its laid coats, by the names of the places. */
const films = (p: Painting) =>
  assessPainting(p, options).passages.map(({ passage, base, spots }) => [
    passage.name,
    ...[base, ...spots].map((s) => [
      s.site.spotName,
      s.layers.filter((l) => !l.planned).map((l) => l.film.coatIds.join('+')),
    ]),
  ]);

describe('which passages there are', () => {
  const laid = lay(plan, 'c0', [jars, wall], 30);

  test('a subject added in week three has what lay there, and waits for what is planned there', () => {
    const p = valid(splitPassage(laid, wall, { name: ' hand ', share: 0.2 }, making()));
    expect(p.passages.map((x) => [x.name, Number(x.share.toFixed(6))])).toEqual([
      ['jars', 0.4],
      ['wall', 0.4],
      ['hand', 0.2],
    ]);
    const hand = p.passages[2]!.id;
    expect([isLaid(p, p.coats[0]!, hand), isLaid(p, p.coats[1]!, hand)]).toEqual([true, false]);
    expect(films(p)[2]).toEqual(['hand', [null, ['c0']]]);
    expect(p.touches.some((t) => t.includes(hand) && t.includes(wall))).toBe(true);
  });

  test('what the finger found there teaches once', () => {
    const touched = touchFilm(
      laid,
      {
        passageId: wall,
        spotName: null,
        at: isoDaysAgo(28),
        finding: 'tacky',
        twistMarks: false,
      },
      making(),
    );
    const p = splitPassage(touched, wall, { name: 'hand', share: 0.2 }, making());
    expect(evidenceOf(p, options).flatMap((film) => film.tests)).toHaveLength(1);
  });

  test('a passage that one tab joins while another paints on it is there again', () => {
    const split = splitPassage(laid, wall, { name: 'hand', share: 0.2 }, making());
    const hand = split.passages[2]!.id;
    const joined = joinPassages(split, hand, wall, making());
    const painted = lay(split, 'c1', [hand], 1);
    for (const merged of [
      mergePaintings(split, joined, painted),
      mergePaintings(split, painted, joined),
    ]) {
      valid(merged);
      const laidThere = assessPainting(merged, options)
        .passages.flatMap(({ base, spots }) => [base, ...spots])
        .some((s) => s.layers.some((l) => !l.planned && l.film.coatIds.includes('c1')));
      expect(laidThere).toBe(true);
    }
    // Taken out here, planned for and bothering there: what only speaks of it goes with it.
    const gone = removePassage(plan, wall, making());
    const bothered = noteBother(plan, 'too warm', wall, making());
    valid(mergePaintings(plan, gone, bothered));
    valid(mergePaintings(plan, bothered, gone));
  });

  test('joined where the same was done, a passage leaves no seam', () => {
    const p = splitPassage(laid, wall, { name: 'hand', share: 0.2 }, making());
    const hand = p.passages[2]!.id;
    expect(sameDone(p, hand, wall)).toBe(true);
    const back = valid(joinPassages(p, hand, wall, making()));
    expect(films(back)).toEqual(films(laid));
    expect(back.coats).toEqual(laid.coats);
    expect(back.passages[1]!.share).toBeCloseTo(0.6, 12);
  });

  test('joined where not, each keeps what lies on it as a part', () => {
    const more = lay(laid, 'c1', [jars], 10);
    expect(sameDone(more, jars, wall)).toBe(false);
    const p = valid(joinPassages(more, jars, wall, making()));
    expect(films(p)).toEqual([['wall', [null, ['c0']], ['jars', ['c0', 'c1']]]]);
    expect(p.passages).toHaveLength(1);
  });

  test('taken out only where nothing lies; its share goes to the others', () => {
    expect(refusal(() => removePassage(laid, wall, making()))).toBe('order');
    expect(isUntouched(plan, wall)).toBe(true);
    const one = valid(removePassage(plan, wall, making()));
    expect(one.passages).toEqual([{ id: jars, name: 'jars', share: 1 }]);
    expect(one.coats.every((c) => c.passageIds.join() === jars)).toBe(true);
    expect(refusal(() => removePassage(one, jars, making()))).toBe('range');
  });

  test('names and shares that cannot be are refused; the order is the painter’s', () => {
    const split = (name: string, share: number) =>
      refusal(() => splitPassage(plan, wall, { name, share }, making()));
    expect([split('', 0.1), split('Jars', 0.1), split('x', 0.6), split('x', 0)]).toEqual([
      'spot-name-empty',
      'name-taken',
      'range',
      'range',
    ]);
    expect(movePassage(plan, wall, -1, making()).passages.map((p) => p.id)).toEqual([wall, jars]);
    expect(movePassage(plan, wall, 1, making())).toBe(plan);
    expect(refusal(() => joinPassages(plan, wall, wall, making()))).toBe('order');
  });
});

describe('what a painting stands on, and how it goes on', () => {
  test('another support and ground change what is judged, and nothing that was done', () => {
    const laid = lay(plan, 'c0', [jars], 30);
    const chalk = valid(
      changeBasics(
        laid,
        {
          title: laid.title,
          support: { ...laid.support, kind: 'linen-on-panel' },
          ground: { kind: 'chalk-glue', coats: 6, tint: 'grey' },
        },
        making(),
      ),
    );
    expect(chalk.events).toBe(laid.events);
    const loss = (p: Painting) =>
      assessPainting(p, options).passages[0]!.base.layers[0]!.film.lossFraction;
    expect(loss(chalk)).toBeGreaterThan(loss(laid));
    expect(
      refusal(() =>
        changeBasics(
          newPainting({ method: 'acrylic-under' }),
          {
            title: 'x',
            support: INPUT.support,
            ground: { kind: 'oil-ground', laidAt: isoDaysAgo(90) },
          },
          making(),
        ),
      ),
    ).toBe('ground-refused');
  });

  test('another method keeps what is laid and lays out only what comes after it', () => {
    const start = newPainting({ method: 'oil-under-glaze' });
    const ids = start.passages.map((p) => p.id);
    const toned = lay(start, start.coats[0]!.id, ids, 20);
    const p = valid(changeMethod(toned, 'alkyd-three-stage', making()));
    expect(p.coats[0]).toBe(toned.coats[0]);
    expect(p.coats.slice(1).map((c) => c.role)).not.toContain('tone');
    expect(p.coats.length).toBeGreaterThan(3);
    expect(valid(changeMethod(toned, 'own-way', making())).coats).toHaveLength(1);
  });

  test('a large one is begun from its study, at its proportion, and linked', () => {
    const study = lay(plan, 'c0', [jars], 30);
    const oil = { kind: 'oil-ground', laidAt: isoDaysAgo(200) } as const;
    const anew = fromStudy({ ...study, ground: oil }, { title: 'x', widthMm: 900 }, making());
    // Its own ground: that of the study was laid on the study.
    expect(anew.ground).toEqual({ ...oil, laidAt: NOW });
    const large = valid(fromStudy(study, { title: 'Large', widthMm: 1500 }, making()));
    expect(large.support).toMatchObject({ widthMm: 1500, heightMm: 1200 });
    expect(large.study).toEqual({ paintingId: study.id, title: study.title, scale: 3 });
    expect(large.events).toEqual([]);
    expect(large.coats.map((c) => c.recipe)).toEqual(study.coats.map((c) => c.recipe));
    const known = new Set([...study.passages, ...study.coats].map((x) => x.id));
    expect([...large.passages, ...large.coats].some((x) => known.has(x.id))).toBe(false);
  });
});

describe('on the easel, resting, finished, gone', () => {
  const laid = lay(plan, 'c0', [jars, wall], 30);
  const rows = (p: Painting, nowMs = NOW_MS) =>
    Object.values(today([assessPainting(p, { ...options, nowMs })], nowMs)).flat();
  const works = (p: Painting) =>
    buildPlan({
      assessments: [assessPainting(p, options)],
      assess: options,
      pace: USUAL_PACE,
      windows: [],
      pins: {},
      keptOut: {},
      redo: 0,
    }).problem.works;

  test('what is not on the easel leaves Today and the plan, and keeps everything', () => {
    expect(rows(laid).length).toBeGreaterThan(0);
    const finished = valid(putOnEasel(laid, { kind: 'finished', at: NOW }, making()));
    const gone = valid(putOnEasel(laid, { kind: 'gone', at: NOW, to: 'a friend' }, making()));
    for (const p of [finished, gone]) {
      expect([rows(p), works(p)]).toEqual([[], []]);
      expect(p.events).toBe(laid.events);
    }
    const { easel: _none, ...back } = putOnEasel(finished, null, making());
    expect(back).toEqual({ ...laid, revision: laid.revision + 2, updatedAt: NOW });
  });

  test('one that rests until a day is back by itself, and planned from then on', () => {
    const until = new Date(NOW_MS + 10 * DAY).toISOString();
    const resting = valid(putOnEasel(laid, { kind: 'resting', since: NOW, until }, making()));
    expect([isOnEasel(resting, NOW_MS), isOnEasel(resting, NOW_MS + 10 * DAY)]).toEqual([
      false,
      true,
    ]);
    expect([rows(resting), rows(resting, NOW_MS + 11 * DAY).length > 0]).toEqual([[], true]);
    for (const work of works(resting)) expect(work.notBeforeMs).toBe(NOW_MS + 10 * DAY);
    expect(works(putOnEasel(laid, { kind: 'resting', since: NOW, until: null }, making()))).toEqual(
      [],
    );
  });

  test('the varnish waits for the slowest film of all, the covered ones too', () => {
    const thick = stackOf([
      { ...recipe(FLESH), thicknessUm: 300 },
      { ...recipe(FLESH), thicknessUm: 15 },
    ]);
    const both = idsOf(thick);
    const done = lay(lay(thick, 'c0', both, 60), 'c1', both, 1);
    const of = (p: Painting) => varnishWait(assessPainting(p, options), STUDIO_HANDBOOK.constants);
    expect(of(done)).toMatchObject({ varnished: false, slowest: 'Coat 1' });
    const thin = stackOf([{ ...recipe(FLESH), thicknessUm: 15 }]);
    const thinAlone = lay(thin, 'c0', idsOf(thin), 1);
    expect(of(done).modernMs!).toBeGreaterThan(of(thinAlone).modernMs!);
    expect(of(done).traditionalMs!).toBeGreaterThan(of(done).modernMs!);
    expect(of(plan).slowest).toBeNull();
  });
});

// Common practice, no source: a head of a hand's breadth is an hour or two of overpainting, a glaze over a metre about
// one; 18 x 13 cm finished in some four hours over all its coats.
describe('minutes a painter believes', () => {
  const minutes = (
    role: Painting['coats'][number]['role'],
    widthMm: number,
    heightMm: number,
    over: Partial<Painting['coats'][number]> = {},
  ) => {
    const p = stackOf([recipe(FLESH)], [{ role, ...over }]);
    const sized = { ...p, support: { ...p.support, widthMm, heightMm } };
    return minutesOf(sized, sized.coats[0]!, idsOf(sized), USUAL_PACE);
  };
  test.each([
    ['a small face', minutes('overpainting', 100, 130, { fineness: 'fine' }), 45, 150],
    ['a thin glaze over a metre', minutes('glaze', 1000, 1000), 45, 120],
    ['a tone over a metre', minutes('tone', 1000, 1000), 20, 90],
    ['a varnish over a metre', minutes('varnish', 1000, 1000), 20, 90],
  ])('%s', (_what, took, least, most) => {
    expect(took).toBeGreaterThanOrEqual(least);
    expect(took).toBeLessThanOrEqual(most);
  });
  test('half of it takes about half, by the painter’s own figure', () => {
    const p = stackOf([recipe(FLESH)], [{ minutes: 120 }]);
    const half = recordLaying(
      p,
      { coatId: 'c0', passageIds: idsOf(p), at: NOW, spot: { name: 'left', share: 0.5 } },
      options,
      making(),
    );
    expect(minutesOf(p, p.coats[0]!, idsOf(p), USUAL_PACE)).toBeCloseTo(120, 6);
    expect(minutesOf(half, half.coats[0]!, idsOf(p), USUAL_PACE)).toBeCloseTo(60, 6);
  });
});
