import type { Severity } from './severity';
import type { RuleKey } from './records';
import type { Climate, DryingTimes } from '../drying';
import type { Composition, Constituents } from '../film';
import type { Handbook } from '../handbook';
import type { CoatRole, Ground, Onto, Support } from '../painting/schema';
import type { Traits } from './traits';

/** A film as the rules see it. */
export interface RuleFilm {
  key: string;
  name: string;
  role: CoatRole;
  /** As it lies now: after ground loss and removals. */
  kept: Constituents;
  composition: Composition;
  thicknessUm: number;
  /** Of the couch that it went into; 0 without one. */
  couchUm: number;
  times: DryingTimes;
  traits: Traits;
  planned: boolean;
  laidAtMs: number | null;
  onto: Onto | null;
  lossFraction: number;
  sanded: boolean;
  /** Rules the painter goes against here, and why. By name: the schema of a painting knows the rules, not they it. */
  overruled: readonly { rule: string; reason: string }[];
}

/** What lies below a film, summed up on the way up. */
export interface BelowSummary {
  /** Oil or alkyd of any age, ground and old painting among them. */
  oil: boolean;
  /** The film just below, and the nearest that has a body. */
  direct: RuleFilm | null;
  /** Pastel, tempera, varnish, drawing: anything but paint. */
  otherStuff: boolean;
  /** Driers, clove oil, resin, wax, water in any film. */
  additives: boolean;
  body: RuleFilm | null;
  zincForbidden: string | null;
  zincTrace: string | null;
  resin: string | null;
  retouch: string | null;
  finalVarnish: string | null;
  pastel: string | null;
  drier: string | null;
  clove: string | null;
  bitumen: string | null;
  charcoal: string | null;
  graphite: string | null;
  dye: string | null;
  shellac: string | null;
  bleeder: string | null;
}

/** One film in its place. */
export interface RuleSite {
  handbook: Handbook;
  climate: Climate;
  support: Support;
  ground: Ground;
  groundReadyAtMs: number | null;
  /** It covers a large part of the picture. */
  large: boolean;
  film: RuleFilm;
  below: BelowSummary;
  /** Of the film just below when this one goes on. */
  lowerTouchDry: boolean;
  lowerThroughDry: boolean;
  /** Dose the film below has had by then, over its touch-dry dose. */
  lowerTouchRatio: number;
  /** When the laid film below reaches a multiple of its touch-dry dose; null while it is only planned. */
  lowerReaches: ((touchRatio: number) => number | null) | null;
  /** When the laid film with a body below has had a dose, days of its own clock; null: never, or it is only planned. */
  bodyHasHad: (dose: number) => number | null;
  /**
   * Of the laid oil films below, however deep, the one that is last to have had a dose of its own: its name, that dose
   * and when; null where all have had it by the time this one goes on.
   */
  lastToReach: (
    doseOf: (times: DryingTimes) => number,
  ) => { name: string; untilMs: number | null; dose: number } | null;
  trapIndex: number | null;
  /** A test before the varnish that had failed by then and was not made again: which, and when it is worth repeating. */
  failedTest: { name: string; repeatFromMs: number } | null;
  /** The time the film went on; for a planned one, now. */
  atMs: number;
  /** Nothing lies or is planned on it. */
  top: boolean;
  /** It goes into a film that is open: the two become one. */
  intoOpen: boolean;
}

/** That a rule speaks, and how loud. */
export interface Hit {
  severity: Severity;
  /** The other film it is about, if any. */
  about?: string | null;
  /** Waiting until then mends it; absent: no waiting does, or nobody can say. */
  untilMs?: number | null;
  /** The figure behind it. */
  value?: number;
}

export type Predicate = (site: RuleSite) => Hit | null;

export interface Finding {
  rule: RuleKey;
  severity: Severity;
  about: string | null;
  untilMs: number | null;
  value: number | null;
  /** The painter's reason for going against it; null where it stands. */
  overruled: string | null;
}
