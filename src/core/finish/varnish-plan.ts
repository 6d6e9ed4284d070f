import { FINISH, FINISH_OF_SHEEN } from '@/data/finish';
import type { Sheen } from '@/data/finish-keys';
import { MATERIALS } from '@/data/materials';
import type { Constants } from '@/data/constants';
import { DAY_MS, finishWindows } from '../drying';
import { latest } from '../drying/windows';
import type { StudioAir } from '../drying';
import { changeOf, labOf, seen, valueOfLab, type Lab } from '../optics';
import type { Swatches } from '../optics/composition';
import { stackLook } from '../painting/look';
import { assessPainting } from '../painting/assess';
import { topLaid, type AssessOptions, type PaintingAssessment } from '../painting/layer';
import type { Coat, Painting } from '../painting/schema';
import { varnishWait } from '../painting/varnish';
import { isSunk } from '../painting/sunk';
import { areaCm2 } from '../painting/vocabulary';
import { findingsByRule, type ToldFinding } from '../tell/findings';
import { capital } from '../looking/tell';
import type { VarnishPlan } from './schema';
import type { TestsState } from './tests';
import type { FinalVarnish } from './vocabulary';

/** One place of the picture: which film is waited for, and from when each varnish may go on, at nine chances in ten. */
export interface PlaceWait {
  passageId: string;
  passageName: string;
  spotName: string | null;
  slowest: string | null;
  retouchMs: number | null;
  finalMs: number | null;
  /** Its surface is dull: oiled out or given retouch varnish before it is judged. */
  sunk: boolean;
}

/** Where and when a picture takes a varnish, place by place; the last of them decides. */
export function placeWaits(
  { passages }: PaintingAssessment,
  constants: Constants,
  material: FinalVarnish,
): PlaceWait[] {
  const key = material === 'resin-varnish' ? 'varnishTraditional' : 'varnishModern';
  return passages.flatMap(({ passage, base, spots }) =>
    [base, ...spots].flatMap((stack): PlaceWait[] => {
      const top = topLaid(stack);
      if (!top) return [];
      const waits = stack.layers
        .filter((l) => !l.planned && l.times.kind === 'oil' && l.clock)
        .map((layer) => ({
          layer,
          w: finishWindows(constants, layer.times, layer.clock!, 'touch-dry'),
        }));
      const finalMs = latest(waits.map(({ w }) => w[key].p90));
      const slowest = waits.find(({ w }) => w[key].p90 === finalMs);
      const topWait = waits.find(({ layer }) => layer === top);
      return [
        {
          passageId: passage.id,
          passageName: passage.name,
          spotName: stack.site.spotName,
          slowest: slowest?.layer.film.name ?? null,
          retouchMs: topWait ? topWait.w.retouch.p90 : 0,
          finalMs,
          sunk: isSunk(
            { composition: top.composition, lossFraction: top.film.lossFraction },
            constants,
          ),
        },
      ];
    }),
  );
}

/** A varnish as a coat over the whole picture. */
export const varnishCoat = (
  painting: Painting,
  { material, coats }: Pick<VarnishPlan, 'material' | 'coats'>,
  id: string,
): Coat => ({
  id,
  name: capital(MATERIALS[material].name),
  role: 'varnish',
  passageIds: painting.passages.map((p) => p.id),
  recipe: {
    mix: [],
    medium: [],
    mediumShare: 0,
    thicknessUm: MATERIALS[material].typicalUm * coats,
    material,
  },
  application: 'brush-coat',
  onto: 'through-dry',
  spot: null,
});

export interface VarnishOutlook {
  places: PlaceWait[];
  /** From then on the tests are worth making, ms; null where drying stands still. */
  finalMs: number | null;
  retouchMs: number | null;
  tests: TestsState;
  /** What the rules say to this varnish over what lies there, each once, with the passages. */
  findings: ToldFinding[];
  /** A rule forbids it. */
  refused: boolean;
}

const TRIED = 'varnish-that-is-tried';

/**
 * Everything that decides when this varnish may go on this picture. The rules are those that any coat meets: they are
 * asked of the varnish as the next coat of every passage.
 */
export function varnishOutlook(
  assessment: PaintingAssessment,
  options: AssessOptions,
  plan: Pick<VarnishPlan, 'material' | 'coats'>,
): VarnishOutlook {
  const { painting } = assessment;
  const places = placeWaits(assessment, options.handbook.constants, plan.material);
  // Of the whole picture the one answer, which the list of what waits for its varnish gives too.
  const wait = varnishWait(assessment, options.handbook.constants);
  const laidOnly = {
    ...painting,
    coats: [
      ...painting.coats.filter((c) =>
        painting.events.some((e) => e.kind === 'laid' && e.coatId === c.id),
      ),
      varnishCoat(painting, plan, TRIED),
    ],
  };
  const findings = findingsByRule(
    assessPainting(laidOnly, options).passages.flatMap(({ passage, base }) =>
      base.layers
        .filter((l) => l.film.coatIds.includes(TRIED))
        .flatMap((l) => l.findings.map((finding) => ({ finding, where: passage.name }))),
    ),
  );
  return {
    places,
    finalMs: plan.material === 'resin-varnish' ? wait.traditionalMs : wait.modernMs,
    retouchMs: latest(places.map((p) => p.retouchMs)),
    tests: wait.tests,
    findings,
    refused: findings.some(({ finding }) => finding.severity === 'forbid'),
  };
}

/** ml of varnish for all coats on a picture, from thinly to generously brushed. */
export function varnishMl(
  support: PaintingAssessment['painting']['support'],
  coats: number,
): { least: number; most: number } {
  const cm2 = areaCm2(support);
  const ml = (um: number): number => (coats * cm2 * um) / 10_000;
  return { least: ml(FINISH.varnishWetLeastUm), most: ml(FINISH.varnishWetMostUm) };
}

/** How a place looks now and under the varnish. */
export interface VarnishLook {
  passageId: string;
  name: string;
  now: Lab;
  then: Lab;
  valueNow: number;
  valueThen: number;
  change: ReturnType<typeof changeOf>;
}

/**
 * What a varnish does to the look: the surface's own light goes, so that darks deepen and colours gain; lights hardly
 * move. The resin is taken to be clear; what yellows later is not foretold.
 */
export function varnishLooks(
  { painting, passages }: PaintingAssessment,
  swatches: Swatches,
  sheen: Sheen,
): VarnishLook[] {
  const finish = FINISH_OF_SHEEN[sheen];
  return passages.flatMap(({ passage, base }) => {
    if (!topLaid(base)) return [];
    const { now } = stackLook(base, painting, swatches);
    const then = labOf(seen(now.inner, finish));
    return [
      {
        passageId: passage.id,
        name: passage.name,
        now: now.lab,
        then,
        valueNow: valueOfLab(now.lab),
        valueThen: valueOfLab(then),
        change: changeOf(now.lab, then),
      },
    ];
  });
}

/** Whether the air of a day suits varnishing: dry and not cold. Dust is another matter: swept the day before. */
export interface VarnishDay {
  ms: number;
  temperatureC: number;
  relativeHumidityPct: number;
  suits: boolean;
}

/** The first day from a moment on whose air suits, among the days that are looked at; each with its air. */
export function varnishDays(air: StudioAir, fromMs: number, days: number): VarnishDay[] {
  return Array.from({ length: days }, (_, i) => {
    const ms = fromMs + i * DAY_MS;
    const { temperatureC, relativeHumidityPct } = air.meanBetween(ms, ms + DAY_MS);
    return {
      ms,
      temperatureC,
      relativeHumidityPct,
      suits: temperatureC >= FINISH.varnishLeastC && relativeHumidityPct <= FINISH.varnishMostRhPct,
    };
  });
}
