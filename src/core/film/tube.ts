import { EXTENDER_KEY } from '@/data/extender';
import { BINDERS, type BinderKey } from '@/data/binders';
import { pigmentOf, type Handbook, type Pigment } from '../handbook';
import type { OwnTube, TubePart } from './recipe';
import { remember } from '../remember';

/** What a tube of paint is made of, as the calculation needs it. Volumes per volume of tube paint. */
export interface TubePaint {
  /** Tubes with the same key are the same paint. */
  key: string;
  binder: BinderKey;
  /** Pigment and extender by key; sums with `binderVolume` to 1. */
  pigments: Record<string, number>;
  binderVolume: number;
  /** Drying factor of each pigment and its share of the tube's colouring matter. */
  speeds: { pigment: Pigment; share: number; factor: number }[];
  makeUpUnknown: boolean;
  /** Aluminium stearate, share of the paint; 0 where it is as usual. */
  stearate: number;
}

/** ml of binder per ml of pigment in a usual tube of it. */
function binderPerPigment(pigment: Pigment, binder: BinderKey): number {
  const binderMl = pigment.tubeOilWtPct / BINDERS[binder].densityGPerMl;
  const pigmentMl = (100 - pigment.tubeOilWtPct) / pigment.densityGPerMl;
  return binderMl / pigmentMl;
}

/** Volume shares of the solids of a tube, extender among them. */
function solidsOf(own: OwnTube): [key: string, share: number][] {
  const total = own.pigments.reduce((s, p) => s + p.parts, 0);
  const coloured = own.pigments.map((p): [string, number] => [
    p.pigment,
    (p.parts / total) * (1 - own.extenderShare),
  ]);
  return own.extenderShare > 0 ? [...coloured, [EXTENDER_KEY, own.extenderShare]] : coloured;
}

function ownPaint(handbook: Handbook, own: OwnTube): TubePaint {
  const solids = solidsOf(own).map(([key, share]): [Pigment, number] => [
    pigmentOf(handbook, key),
    share,
  ]);
  // Without a figure from the painter every pigment brings the oil of its own usual tube.
  const grams = solids.reduce((s, [p, share]) => s + share * p.densityGPerMl, 0);
  const binderRatio =
    own.oilWtPct === null
      ? solids.reduce((s, [p, share]) => s + share * binderPerPigment(p, own.binder), 0)
      : (grams * own.oilWtPct) / (100 - own.oilWtPct) / BINDERS[own.binder].densityGPerMl;
  const total = 1 + binderRatio;
  const pigments: Record<string, number> = {};
  for (const [p, share] of solids) pigments[p.key] = (pigments[p.key] ?? 0) + share / total;
  return {
    key: `own:${own.id}`,
    binder: own.binder,
    pigments,
    binderVolume: binderRatio / total,
    // An extender is no colour; it takes no part in how fast the paint dries.
    speeds: solids
      .filter(([p]) => p.key !== EXTENDER_KEY)
      .map(([pigment, share]) => ({
        pigment,
        share: share / (1 - own.extenderShare),
        factor: own.dryingFactor ?? pigment.dryingFactor,
      })),
    makeUpUnknown: own.makeUpUnknown,
    stearate: (own.stearateWtPct ?? 0) / 100,
  };
}

/** Names a tube of the table: pigment and binder. */
export const tubeKey = (pigment: string, binder: BinderKey): string => `${pigment}|${binder}`;

/** Tubes of the table are the same for every recipe of a handbook. */
const tableTubes = remember('table tubes', (_handbook: Handbook) => new Map<string, TubePaint>());

function tablePaint(handbook: Handbook, pigmentKey: string, binder: BinderKey): TubePaint {
  const key = tubeKey(pigmentKey, binder);
  const known = tableTubes(handbook);
  const paint = known.get(key) ?? readTable(handbook, pigmentKey, binder);
  known.set(key, paint);
  return paint;
}

function readTable(handbook: Handbook, pigmentKey: string, binder: BinderKey): TubePaint {
  const pigment = pigmentOf(handbook, pigmentKey);
  const ratio = binderPerPigment(pigment, binder);
  return {
    key: tubeKey(pigmentKey, binder),
    binder,
    pigments: { [pigmentKey]: 1 / (1 + ratio) },
    binderVolume: ratio / (1 + ratio),
    speeds: [{ pigment, share: 1, factor: pigment.dryingFactor }],
    makeUpUnknown: false,
    stearate: 0,
  };
}

/**
 * One tube, split by volume. Oil by weight becomes volume with the density of the tube's own binder.
 * Throws `unknown-pigment`.
 */
export const tubePaint = (
  handbook: Handbook,
  part: { own: OwnTube } | { pigment: string; binder: BinderKey },
): TubePaint =>
  'own' in part ? ownPaint(handbook, part.own) : tablePaint(handbook, part.pigment, part.binder);

/** What a tube of a mix is ground in. */
export const binderOfPart = (part: TubePart) => ('own' in part ? part.own.binder : part.binder);
