import { openDose, quantileOf, type DryingTimes } from '../drying';
import type { AssessOptions, Layer } from '../painting/layer';
import type { FilmToSplit } from './film-spread';
import type { LagStage, PlanClockKind } from './problem';
import { stageDose } from './stage-dose';

/** Films of the plan, each film of the paintings once. */
export class Films {
  readonly kinds: PlanClockKind[] = [];
  readonly toSplit: FilmToSplit[] = [];
  private readonly places = new Map<string, number>();

  constructor(
    private readonly assess: AssessOptions,
    private readonly c: AssessOptions['handbook']['constants'],
  ) {}

  place(key: string, layer: Layer, times: DryingTimes = layer.times): number {
    const known = this.places.get(key);
    if (known !== undefined) return known;
    const fromMs = layer.film.laidAtMs ?? this.assess.nowMs;
    const clock = this.assess.air?.clock(times.kind, fromMs, null);
    const toMs = clock?.timeOf(times.touch.median) ?? fromMs;
    this.places.set(key, this.kinds.length);
    this.kinds.push(times.kind === 'acrylic' ? 'acrylic' : times.kind === 'oil' ? 'oil' : 'wall');
    this.toSplit.push({
      openOverTouch: times.openOverTouch,
      touch: times.touch,
      through: times.through,
      // Varnish and the like are not learned: their spread is all their own.
      features: times.kind === 'oil' ? layer.features : {},
      atMs: fromMs,
      weatherSigma: times.kind === 'oil' ? (this.assess.air?.weatherSigma(fromMs, toMs) ?? 0) : 0,
    });
    return this.kinds.length - 1;
  }

  /** Dose by which a film is open no longer, at a chance. */
  openDose(film: number, chance: number): number {
    return quantileOf(openDose(this.c, this.toSplit[film]!), chance);
  }

  dose(film: number, stage: LagStage, chance: number, throughChance: number): number {
    const { touch, through } = this.toSplit[film]!;
    return stageDose(this.c, stage, quantileOf(touch, chance), quantileOf(through, throughChance));
  }
}
