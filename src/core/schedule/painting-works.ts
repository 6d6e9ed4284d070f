import { PLAN_ODDS } from '@/data/plan';
import { dryingTimes, quantileOf } from '../drying';
import { filmOfRecipe, thicknessOf } from '../film';
import {
  topLaid,
  type AssessOptions,
  type Layer,
  type PaintingAssessment,
} from '../painting/layer';
import { DEADLINE_QUANTILE } from '../painting/pair';
import type { Importance, Milestone } from '../painting/deadline';
import { testsState } from '../finish/tests';
import { restsUntilMs } from '../painting/easel';
import { sameSpot } from '../painting/sites';
import { isCouch } from '../painting/vocabulary';
import { stops } from '../rules';
import type { Pace } from '../session/pace';
import type { Films } from './plan-films';
import { asIfFree } from './stage-dose';
import type { Lag, LagStage, PlanGoal, PlanWork, Wet, WorkWindow } from './problem';
import { deadlineOf, edgeBetween, makesEdges, needsDrySide } from '../painting/edges';
import { mayBeRedone } from '../session/habits';
import type { Step } from './steps';

export interface PlanInput {
  assessments: PaintingAssessment[];
  assess: AssessOptions;
  pace: Pace;
  windows: WorkWindow[];
  /** Where the painter wants works to begin, ms, and what they are kept out of. */
  pins: Record<string, number>;
  keptOut: Record<string, WorkWindow[]>;
  /** Chance that a coat on a passage is done over. */
  redo: number;
}

/** A coat that no wait helps: a rule refuses it. */
export interface Refusal {
  stepId: string;
  rule: string;
}

/** Stages by what is put on: a varnish has its own waits. */
function stageFor(step: Step, painting: PaintingAssessment['painting']): LagStage {
  const material = step.coat.recipe.material;
  if (material === 'resin-varnish') return 'varnish-traditional';
  if (material === 'synthetic-varnish' || material === 'waterborne-varnish')
    return 'varnish-modern';
  if (step.coat.onto === 'through-dry') return 'through-dry';
  return deadlineOf(painting).stage;
}

/** How the films below the topmost are waited for: only a varnish looks so deep. */
const BELOW: Partial<Record<LagStage, LagStage>> = {
  'varnish-modern': 'varnish-modern-below',
  'varnish-traditional': 'varnish-traditional-below',
};

const WEIGHT: Record<Importance, number> = {
  'may-slip': PLAN_ODDS.maySlipWeight,
  usual: 1,
  first: PLAN_ODDS.firstWeight,
};
const MILESTONE_STAGE: Record<Milestone, LagStage> = {
  'touch-dry': 'touch-dry',
  photographed: 'touch-dry',
  hung: 'recoat',
  travel: 'travel',
  varnished: 'varnish-modern',
};

/** Films that the painter put on, each once: two places may share one. */
const onceEach = (layers: Layer[]): Layer[] =>
  layers.filter(
    (layer, i) =>
      layer.film.coatIds.length > 0 &&
      layer.clock &&
      layers.findIndex((other) => other.film.key === layer.film.key) === i,
  );

/** No step is done over in more scenarios than this. */
const MOST_REDONE = 0.9;

/** Builds the works of one painting. */
export class PaintingWorks {
  readonly works: PlanWork[] = [];
  readonly refused: Refusal[] = [];
  /** What comes to lie on top of a passage: the last coat of all of it, and the spots laid since. */
  private readonly lastOn = new Map<string, Step[]>();
  /** All that comes on a passage, spots among it, in order. */
  private readonly allOn = new Map<string, Step[]>();
  private readonly painting: PaintingAssessment['painting'];
  private readonly planning;
  private readonly steps: Step[];

  constructor(
    private readonly assessment: PaintingAssessment,
    private readonly input: PlanInput,
    private readonly films: Films,
    steps: Step[],
  ) {
    this.painting = assessment.painting;
    this.planning = deadlineOf(this.painting);
    this.steps = steps;
  }

  private stacksOf(passageId: string) {
    const found = this.assessment.passages.find((p) => p.passage.id === passageId)!;
    return [found.base, ...found.spots];
  }

  /** The film a coat will be on a passage. */
  private layerOf(coatId: string, passageId: string): Layer | null {
    for (const stack of this.stacksOf(passageId))
      for (const layer of stack.layers)
        if (layer.planned && layer.film.coatIds.includes(coatId)) return layer;
    return null;
  }

  /** A copy of a painting has coats and passages of the same ids; their films are not the same. */
  private key(...parts: string[]): string {
    return [this.painting.id, ...parts].join('|');
  }

  private filmOf(step: Step, passageId: string): number | null {
    const layer = this.layerOf(step.coat.id, passageId);
    return layer ? this.films.place(this.key(step.coat.id, passageId), layer) : null;
  }

  /** The same coat by itself, before anything goes into it. */
  private aloneFilm(step: Step, passageId: string): number | null {
    const layer = this.layerOf(step.coat.id, passageId);
    if (!layer) return null;
    const { handbook, climate } = this.input.assess;
    const film = filmOfRecipe(handbook, step.coat.recipe);
    const under = { surface: layer.film.surface, cure: 1 };
    const times = dryingTimes(handbook, film, thicknessOf(film), under, climate);
    return this.films.place(this.key(step.coat.id, passageId, 'alone'), layer, times);
  }

  private lag(
    after: string | null,
    film: number | null,
    stage: LagStage,
    had: number,
    asked?: number,
  ): Lag {
    if (film === null || stage === 'order')
      return { after, film: null, stage: 'order', dose: 0, had: 0 };
    // Between coats through-dry is waited for at its median, as elsewhere, unless the painter chose it for every coat;
    // a date asks for its own chance of both.
    const chance = asked ?? this.planning.chance;
    const throughChance = asked ?? (this.planning.stage === 'through-dry' ? chance : 0.5);
    return { after, film, stage, dose: this.films.dose(film, stage, chance, throughChance), had };
  }

  /** What lies on top of a passage, or of a spot of it, already: films that the painter put on. */
  private laidOn(passageId: string, spotName: string | null, everywhere: boolean): Layer[] {
    const [base, ...spots] = this.stacksOf(passageId);
    const own = spots.find((s) => sameSpot(s.site.spotName, spotName));
    const stacks = everywhere ? [base!, ...spots] : [own ?? base!];
    return onceEach(stacks.flatMap((stack) => topLaid(stack) ?? []));
  }

  /**
   * What a varnish waits for below the topmost films, laid and planned: a thin glaze is dry long before the knife coat
   * under it. @param covered something planned comes to lie on all that is laid
   */
  private deepLags(passageId: string, covered: boolean, top: LagStage, chance?: number): Lag[] {
    const stage = BELOW[top];
    if (!stage) return [];
    const { constants } = this.input.assess.handbook;
    const laid = this.stacksOf(passageId).flatMap(({ layers }) =>
      layers.filter((l) => !l.planned).slice(0, covered ? undefined : -1),
    );
    const onTop = this.lastOn.get(passageId) ?? [];
    const below = (this.allOn.get(passageId) ?? []).filter(
      (step) =>
        !onTop.includes(step) && this.layerOf(step.coat.id, passageId)?.times.kind === 'oil',
    );
    return [
      ...onceEach(laid)
        .filter((film) => film.times.kind === 'oil')
        .map((film) =>
          this.lag(
            null,
            this.placed(passageId, film),
            stage,
            asIfFree(
              constants,
              film.times.touch.median,
              film.clock!.doseAt(this.input.assess.nowMs),
            ),
            chance,
          ),
        ),
      ...below.map((step) =>
        this.lag(step.workIds.at(-1)!, this.filmOf(step, passageId), stage, 0, chance),
      ),
    ];
  }

  private placed(passageId: string, top: Layer): number {
    return this.films.place(this.key('laid', passageId, top.film.key), top);
  }

  /** The waits for what lies there already, on a spot or everywhere; none on a ground that is ready. */
  private laidLags(
    passageId: string,
    spotName: string | null,
    stage: LagStage,
    chance?: number,
  ): Lag[] {
    return this.laidOn(passageId, spotName, spotName === null).map((top) =>
      this.lag(
        null,
        this.placed(passageId, top),
        stage,
        top.clock!.doseAt(this.input.assess.nowMs),
        chance,
      ),
    );
  }

  /** The planned steps that a step of all of a passage, or of a spot, goes on there. */
  private under(step: Step, passageId: string): Step[] {
    const there = this.lastOn.get(passageId) ?? [];
    const { spot } = step.coat;
    if (!spot) return there;
    const own = there.find((s) => s.coat.spot && sameSpot(s.coat.spot.name, spot.name));
    const whole = own ?? there.find((s) => s.coat.spot === null);
    return whole ? [whole] : [];
  }

  private put(step: Step, passageId: string): void {
    const { spot } = step.coat;
    const others = (this.lastOn.get(passageId) ?? []).filter(
      (s) => spot && !(s.coat.spot && sameSpot(s.coat.spot.name, spot.name)),
    );
    this.lastOn.set(passageId, [...others, step]);
    this.allOn.set(passageId, [...(this.allOn.get(passageId) ?? []), step]);
  }

  private wetInto(before: Step, passageId: string, sameSitting: boolean): Wet | null {
    const film = this.aloneFilm(before, passageId);
    if (film === null) return null;
    const { chance } = this.planning;
    const { touch } = this.films.toSplit[film]!;
    return {
      after: before.workIds.at(-1)!,
      film,
      dose: this.films.openDose(film, 1 - chance),
      had: 0,
      sameSitting,
      dryDose: quantileOf(touch, chance),
    };
  }

  /** Into paint that is laid already: while it is open. */
  private wetIntoLaid(step: Step, passageId: string): Wet | null {
    const [top] = this.laidOn(passageId, step.coat.spot?.name ?? null, false);
    if (!top) return null;
    const film = this.placed(passageId, top);
    const { touch } = this.films.toSplit[film]!;
    return {
      after: null,
      film,
      dose: this.films.openDose(film, 1 - this.planning.chance),
      had: top.clock!.doseAt(this.input.assess.nowMs),
      sameSitting: false,
      dryDose: quantileOf(touch, this.planning.chance),
    };
  }

  /** What a step waits for on its own passages. */
  private below(step: Step): { lags: Lag[]; wets: Wet[]; notBefore: number } {
    const lags: Lag[] = [];
    const wets: Wet[] = [];
    let notBefore = -Infinity;
    const stage = stageFor(step, this.painting);
    for (const passageId of step.passageIds) {
      const under = this.under(step, passageId);
      // On the last that covers it all; what lies there already is covered by that.
      const covered = under.some((s) => s.coat.spot === null);
      if (step.coat.onto === 'wet') {
        const before = under.at(-1);
        const wet = before
          ? // Into a couch at once; into other paint as long as it is open.
            this.wetInto(before, passageId, isCouch(before.coat.role))
          : this.wetIntoLaid(step, passageId);
        if (wet) {
          wets.push(wet);
          if (!before) notBefore = Math.max(notBefore, this.allowedFrom(step, passageId));
          continue;
        }
      }
      for (const before of under)
        lags.push(this.lag(before.workIds.at(-1)!, this.filmOf(before, passageId), stage, 0));
      lags.push(...this.deepLags(passageId, covered, stage));
      if (covered) continue;
      const laid = this.laidLags(passageId, step.coat.spot?.name ?? null, stage);
      lags.push(...laid);
      if (under.length > 0) continue;
      if (laid.length === 0)
        notBefore = Math.max(notBefore, this.assessment.groundReadyAtMs ?? -Infinity);
      notBefore = Math.max(notBefore, this.allowedFrom(step, passageId));
    }
    return { lags, wets, notBefore };
  }

  /** When the rules let the next coat of a passage go on; what they never do is noted as refused. */
  private allowedFrom(step: Step, passageId: string): number {
    const found = this.layerOf(step.coat.id, passageId)?.findings.filter(stops) ?? [];
    for (const { rule, untilMs } of found)
      if (untilMs === null) this.refused.push({ stepId: step.id, rule });
    return Math.max(-Infinity, ...found.flatMap(({ untilMs }) => untilMs ?? []));
  }

  /** The steps on another passage that make the same edge: the last with the last, the one before with the one before. */
  private partner(step: Step, mine: string, other: string): Step | null {
    const making = (passageId: string) =>
      this.steps.filter((s) => makesEdges(s.coat) && s.passageIds.includes(passageId));
    const ours = making(mine);
    const theirs = making(other);
    const fromTop = ours.length - ours.indexOf(step);
    return theirs[theirs.length - fromTop] ?? null;
  }

  /** What the edges towards its neighbours ask of a step. */
  private beside(step: Step): { lags: Lag[]; wets: Wet[] } {
    const lags: Lag[] = [];
    const wets: Wet[] = [];
    if (!makesEdges(step.coat)) return { lags, wets };
    const place = this.steps.indexOf(step);
    for (const mine of step.passageIds)
      for (const { id: other } of this.painting.passages) {
        if (step.passageIds.includes(other)) continue;
        const edge = edgeBetween(this.painting, mine, other);
        const partner = edge ? this.partner(step, mine, other) : null;
        // The one that comes first in the list of coats goes first.
        if (!edge || !partner || this.steps.indexOf(partner) >= place) continue;
        if (needsDrySide(edge))
          lags.push(this.lag(partner.workIds.at(-1)!, this.filmOf(partner, other), 'touch-dry', 0));
        else {
          // A lost edge is one stroke over both; a soft one wants only the strip along it wet, so it may be another sitting.
          const wet = this.wetInto(partner, other, edge.intent === 'lost');
          if (wet) wets.push(wet);
        }
      }
    return { lags, wets };
  }

  /**
   * Fine work wants a dry place for the hand: one of the neighbours, that which has the least still to come. What comes
   * on it later comes after.
   */
  private handRest(step: Step): Lag[] {
    if (step.coat.role !== 'detail' || this.planning.handOnStick) return [];
    const neighbours = this.painting.touches
      .filter((pair) => pair.some((id) => step.passageIds.includes(id)))
      .map(([a, b]) => (step.passageIds.includes(a) ? b : a))
      .filter((id) => !step.passageIds.includes(id));
    const toCome = (id: string) => (this.lastOn.has(id) ? 1 : 0);
    const rest = [...new Set(neighbours)].sort((a, b) => toCome(a) - toCome(b))[0];
    if (rest === undefined) return [];
    this.restsOn.set(rest, [...(this.restsOn.get(rest) ?? []), step.workIds.at(-1)!]);
    const before = this.lastOn.get(rest)?.at(-1);
    if (before)
      return [this.lag(before.workIds.at(-1)!, this.filmOf(before, rest), 'touch-dry', 0)];
    return this.laidLags(rest, null, 'touch-dry');
  }
  private readonly restsOn = new Map<string, string[]>();

  /** The painter's own order of the passages, where one wants it: after the same kind of coat on the passage before. */
  private inTurn(step: Step): Lag[] {
    if (!this.planning.inOrder) return [];
    const place = ({ passageIds }: Step): number =>
      this.painting.passages.findIndex((p) => passageIds.includes(p.id));
    const before = this.steps
      .slice(0, this.steps.indexOf(step))
      .filter((s) => s.coat.role === step.coat.role && place(s) < place(step))
      .at(-1);
    return before ? [this.lag(before.workIds.at(-1)!, null, 'order', 0)] : [];
  }

  /**
   * What the log says of coats done over, asked once for a step, when its last part is laid: one of its passages, where it
   * has several, in as many sittings as that takes.
   */
  private redo(step: Step): Pick<PlanWork, 'redo'> {
    const { redo } = this.input;
    if (redo === 0 || !mayBeRedone(step.coat.role)) return {};
    const film = this.filmOf(step, step.passageIds[0]!);
    if (film === null) return {};
    const passages = step.passageIds.length;
    const parts = step.workIds.length / passages;
    const sittings = Math.max(1, Math.round(parts));
    const chance = Math.min(MOST_REDONE, redo * passages);
    return { redo: { film, chance, sittings, share: parts / sittings } };
  }

  build(): void {
    for (const step of this.steps) {
      const own = this.below(step);
      const side = this.beside(step);
      const lags = [
        ...own.lags,
        ...side.lags,
        ...this.handRest(step),
        ...this.inTurn(step),
        ...step.passageIds.flatMap((id) =>
          (this.restsOn.get(id) ?? [])
            .filter((w) => !step.workIds.includes(w))
            .map((w) => this.lag(w, null, 'order', 0)),
        ),
      ];
      const minutesEach = step.minutes / step.workIds.length;
      step.workIds.forEach((id, k) => {
        const notBefore = Math.max(
          own.notBefore,
          restsUntilMs(this.painting) ?? -Infinity,
          // A varnish does not go on before a test that failed has been made again.
          step.coat.role === 'varnish'
            ? (testsState(this.painting).repeatFromMs ?? -Infinity)
            : -Infinity,
        );
        const keptOut = this.input.keptOut[id] ?? this.input.keptOut[step.id];
        this.works.push({
          id,
          project: this.painting.id,
          slots: Math.max(1, Math.round(minutesEach / PLAN_ODDS.slotMinutes)),
          medium: step.medium,
          lags: k === 0 ? lags : [this.lag(step.workIds[k - 1]!, null, 'order', 0)],
          // An edge is made where two coats end: the last sitting of one with the last of the other.
          wets: [...(k === 0 ? own.wets : []), ...(k === step.workIds.length - 1 ? side.wets : [])],
          pinMs: this.input.pins[id] ?? null,
          notBeforeMs: notBefore === -Infinity ? null : notBefore,
          ...(keptOut ? { notIn: keptOut } : {}),
          ...(k === step.workIds.length - 1 ? this.redo(step) : {}),
        });
      });
      for (const id of step.passageIds) this.put(step, id);
    }
  }

  goal(): PlanGoal | null {
    const { milestone, dueAt } = this.planning;
    const stage = MILESTONE_STAGE[milestone];
    const ends = this.painting.passages.flatMap(({ id }): Lag[] => {
      const last = this.lastOn.get(id) ?? [];
      const covered = last.some((s) => s.coat.spot === null);
      // Where a varnish is planned, it waits for what lies below it.
      const varnished = last.some((s) => stageFor(s, this.painting) in BELOW);
      return [
        ...(covered ? [] : this.laidLags(id, null, stage, DEADLINE_QUANTILE)),
        ...(varnished ? [] : this.deepLags(id, covered, stage, DEADLINE_QUANTILE)),
        ...last.map((step) => {
          // Varnished is done when the varnish is dry; where none is planned, when it may go on.
          const asked =
            milestone === 'varnished' && step.coat.role === 'varnish' ? 'touch-dry' : stage;
          const film = this.filmOf(step, id);
          return this.lag(step.workIds.at(-1)!, film, asked, 0, DEADLINE_QUANTILE);
        }),
      ];
    });
    if (this.steps.length === 0 && dueAt === null) return null;
    return {
      project: this.painting.id,
      dueMs: dueAt === null ? null : Date.parse(dueAt),
      weight: WEIGHT[this.planning.importance],
      ends,
    };
  }
}
