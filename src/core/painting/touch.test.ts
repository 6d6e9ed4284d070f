import { STUDIO_HANDBOOK } from '../handbook';
import { constantAir, REFERENCE_CLIMATE } from '../drying';
import { learn } from '../learn/learn';
import {
  DAY,
  isoDaysAgo,
  making,
  newPainting as laidOut,
  NOW,
  NOW_MS,
  optionsAt,
  stackOf,
} from '../tests/paintings';
import { refusal } from '../tests/refusal';
import { FLESH, recipe, tube } from '../tests/recipes';
import { correctionCoat, type AddedCorrection } from './corrections';
import { recordNewCoat } from './record-new';
import { evidenceOf } from './evidence';
import { layCoat, reduceFilm } from './events';
import { gatesOf, noteBother, openBothers, passGate, reworkOf, settleBother } from './notes-of';
import { standingOf } from './standing';
import { setTestAside, touchedEvents, touchFilm } from './touch';
import { assessPainting, mergePaintings, topLaid, type Painting } from '.';
import { paintingSchema } from './schema';

/** Three coats, each over both passages. */
const newPainting = (): Painting =>
  stackOf([recipe(FLESH), recipe(FLESH, 0, [], 40), recipe(FLESH)]);

const lay = (
  p: Painting,
  i: number,
  daysAgo: number,
  over: { spot?: { name: string; share: number }; intoWet?: boolean; passageIds?: string[] } = {},
) =>
  layCoat(
    p,
    {
      coatId: p.coats[i]!.id,
      passageIds: over.passageIds ?? p.coats[i]!.passageIds,
      at: isoDaysAgo(daysAgo),
      spot: over.spot ?? null,
      intoWet: over.intoWet ?? false,
    },
    making(),
  );
const touch = (
  p: Painting,
  daysAgo: number,
  finding: 'wet' | 'tacky' | 'touch-dry' = 'wet',
  passage = 0,
  spotName: string | null = null,
) =>
  touchFilm(
    p,
    {
      passageId: p.passages[passage]!.id,
      spotName,
      at: isoDaysAgo(daysAgo),
      finding,
      twistMarks: false,
    },
    making(),
  );

describe('touch tests', () => {
  const laid = lay(newPainting(), 0, 6);

  test('are noted as entries, change no film, and are kept', () => {
    const touched = touch(laid, 5);
    expect(touchedEvents(touched)).toHaveLength(1);
    expect(paintingSchema.parse(touched)).toEqual(touched);
    const films = (p: Painting) =>
      assessPainting(p, optionsAt()).passages.map((x) => x.base.layers.map((l) => l.film));
    expect(films(touched)).toEqual(films(laid));
  });

  test('are refused where nothing was laid, in the future, and on a strange passage', () => {
    expect(refusal(() => touch(newPainting(), 1))).toBe('nothing-there');
    expect(refusal(() => touch(laid, 7))).toBe('nothing-there');
    expect(refusal(() => touch(laid, -1))).toBe('date-in-future');
    expect(
      refusal(() =>
        touchFilm(
          laid,
          { passageId: 'moon', spotName: null, at: NOW, finding: 'wet', twistMarks: false },
          making(),
        ),
      ),
    ).toBe('unknown-passage');
  });

  test('speak of the film that was on top then, with the dose it had had', () => {
    const p = lay(touch(laid, 5), 1, 2, { passageIds: newPaintingPassages(laid) });
    const later = touch(p, 1, 'tacky');
    const evidence = evidenceOf(later, optionsAt());
    expect(evidence.map((e) => e.tests.map((t) => [t.finding, +t.dose.toFixed(3)]))).toEqual([
      [['wet', 1]],
      [['tacky', 1]],
    ]);
    expect(evidence[0]!.laidAtMs).toBe(NOW_MS - 6 * DAY);
  });

  test('on several passages of one coat are tests of one film; a spot has its own', () => {
    const both = touch(touch(laid, 5), 4, 'tacky', 1);
    expect(evidenceOf(both, optionsAt())).toHaveLength(1);
    expect(evidenceOf(both, optionsAt())[0]!.tests).toHaveLength(2);
  });

  test('after wet into wet the film is another, with a clock of its own', () => {
    const p = lay(touch(lay(newPainting(), 0, 6), 5.9), 1, 5.8, { intoWet: true });
    const evidence = evidenceOf(touch(p, 4), optionsAt());
    expect(new Set(evidence.map((e) => e.id)).size).toBe(2);
  });

  test('that are set aside teach nothing and stay in the record', () => {
    const touched = touch(laid, 5);
    const id = touchedEvents(touched)[0]!.id;
    const aside = setTestAside(touched, id, true, { now: NOW });
    expect(evidenceOf(aside, optionsAt())).toEqual([]);
    expect(touchedEvents(aside)[0]!.setAside).toBe(true);
    expect(evidenceOf(setTestAside(aside, id, false, { now: NOW }), optionsAt())).toHaveLength(1);
  });

  test('move the forecast the right way', () => {
    const top = (p: Painting) => {
      const { learned } = learn(evidenceOf(p, optionsAt()));
      return topLaid(assessPainting(p, { ...optionsAt(), learned }).passages[0]!.base)!;
    };
    const before = top(laid).windows!.touchDry.p50!;
    expect(top(touch(laid, 0.1, 'wet')).windows!.touchDry.p50!).toBeGreaterThan(before);
    expect(top(touch(laid, 5.5, 'touch-dry')).windows!.touchDry.p50!).toBeLessThan(before);
  });

  test('two tabs that both touched lose nothing', () => {
    const merged = mergePaintings(
      laid,
      touch(laid, 5),
      noteBother(touch(laid, 4, 'tacky'), 'too blue', null, making()),
    );
    expect(touchedEvents(merged).map((t) => t.finding)).toEqual(['wet', 'tacky']);
    expect(openBothers(merged)).toHaveLength(1);
  });
});

const newPaintingPassages = (p: Painting) => p.coats[1]!.passageIds;

test('a coat laid over it never hastens the film below', () => {
  const alone = lay(newPainting(), 0, 6);
  const covered = lay(alone, 1, 4);
  const through = (p: Painting, i: number) =>
    assessPainting(p, optionsAt()).passages[0]!.base.layers[i]!.windows!.throughDry.p50!;
  expect(through(covered, 0)).toBeGreaterThanOrEqual(through(alone, 0));
});

test('an air that is followed and never changes says what the closed form says', () => {
  const p = lay(lay(newPainting(), 0, 6), 1, 2);
  const told = (air: boolean) =>
    assessPainting(p, {
      ...optionsAt(),
      ...(air ? { air: constantAir(STUDIO_HANDBOOK.constants, REFERENCE_CLIMATE) } : {}),
    }).passages.map((x) => x.base.layers.map((l) => [l.state, l.windows, l.times]));
  expect(told(true)).toEqual(told(false));
});

describe('what painters keep beside the film', () => {
  test('corrections change the film: redrawn and oiled out are coats of their own', () => {
    const laid = lay(newPainting(), 0, 3);
    const passageId = laid.passages[0]!.id;
    const correct = (kind: AddedCorrection) =>
      recordNewCoat(
        laid,
        correctionCoat(kind, `c-${kind}`, [passageId]),
        NOW,
        optionsAt(),
        making(),
      );
    const oiled = correct('oiled-out');
    const top = topLaid(assessPainting(oiled, optionsAt()).passages[0]!.base)!;
    expect(top.film).toMatchObject({ role: 'oiling-out', laidAtMs: NOW_MS });
    expect(top.thicknessUm).toBeCloseTo(2, 6);
    const redrawn = correct('redrawn');
    expect(
      topLaid(assessPainting(redrawn, optionsAt()).passages[0]!.base)!.film.asLaid.material,
    ).toBe('graphite');
    // What was planned comes after it.
    expect(oiled.coats[1]!.role).toBe('oiling-out');
  });

  test('gates of the stages, what bothers, and rework against the plan', () => {
    const p = laidOut();
    expect(gatesOf(p).map((g) => g.id)).toContain('block-shadows');
    const passed = passGate(p, 'block-shadows', true, { now: NOW });
    expect(gatesOf(passed).find((g) => g.id === 'block-shadows')!.passedAt).toBe(NOW);
    expect(
      gatesOf(passGate(passed, 'block-shadows', false, { now: NOW })).every(
        (g) => g.passedAt === null,
      ),
    ).toBe(true);
    const bothered = noteBother(p, ' the edge of the jar ', null, making());
    expect(openBothers(bothered)[0]!.text).toBe('the edge of the jar');
    expect(
      openBothers(settleBother(bothered, openBothers(bothered)[0]!.id, true, { now: NOW })),
    ).toEqual([]);
    const passageId = p.passages[0]!.id;
    const scraped = reduceFilm(
      lay(p, 0, 2),
      { passageId, spotName: null, at: NOW, how: 'scraped', left: 'half' },
      making(),
    );
    expect(reworkOf(scraped, passageId)).toMatchObject({ laid: 1, reworked: 1 });
  });
});

describe('back after a break', () => {
  const limits = STUDIO_HANDBOOK.constants;
  const standing = (p: Painting, nowMs = NOW_MS) =>
    standingOf(assessPainting(p, optionsAt(nowMs)), nowMs, limits);

  test('a short break is none; so is a painting without paint', () => {
    expect(standing(newPainting())).toBeNull();
    expect(standing(lay(newPainting(), 0, 6))).toBeNull();
  });

  test('tells what is there, what was lost for blending, the last mixes and what was to come', () => {
    const p = noteBother(lay(newPainting(), 0, 20), 'the wall is too warm', null, making());
    const told = standing(p)!;
    expect(told.daysAway).toBeCloseTo(20, 1);
    expect(told.passages.every((x) => x.lostForBlending)).toBe(true);
    expect(told.passages[0]!.next!.id).toBe(p.coats[1]!.id);
    expect(told.lastMixes.map((e) => e.coatId)).toEqual([p.coats[0]!.id]);
    expect(told.bothers).toHaveLength(1);
    expect(told.oilOut).toBe('if-dull');
  });

  test('a starved film asks to be oiled out once it is dry; a wet one must wait', () => {
    const base: Painting = { ...newPainting(), ground: { kind: 'chalk-glue', coats: 6 } };
    const starved: Painting = {
      ...base,
      coats: base.coats.map((c, i) =>
        i === 0 ? { ...c, recipe: recipe([tube('raw-umber')], 0, [], 8) } : c,
      ),
    };
    expect(standing(lay(starved, 0, 30))!.oilOut).toBe('likely');
    const slow: Painting = {
      ...base,
      coats: base.coats.map((c, i) =>
        i === 0 ? { ...c, recipe: recipe([tube('ivory-black', 1, 'poppy')], 0, [], 400) } : c,
      ),
    };
    expect(standing(lay(slow, 0, 8))!.oilOut).toBe('wait');
  });
});
