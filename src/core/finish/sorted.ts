import { DAY_MS } from '../drying';
import { FINISH } from '@/data/finish';
import { nextPlanned, topLaid, type PaintingAssessment } from '../painting/layer';
import { readiness } from '../today/row';
import { correctionCoat } from '../painting/corrections';
import { laidEvents } from '../painting/sites';
import type { Bother, Coat, CoatRole, Painting } from '../painting/schema';
import type { BotherKind } from './vocabulary';

export const FATES = ['coat', 'again', 'leave'] as const;
export type FateKind = (typeof FATES)[number];

/** A bother in its place of the list: what becomes of it, who said so, and what has been done about it. */
export interface SortedBother {
  bother: Bother;
  fate: FateKind;
  /** The painter said so; else it follows from kind and weight. */
  said: boolean;
  /** When it is looked at again, ms. */
  againMs: number | null;
  /** The coat that is to mend it, and when it was last laid; null where none is planned. */
  coat: { id: string; name: string; laidAt: string | null } | null;
}

const USUAL_WEIGHT = 2;
/** How much it bothers, 1 to 3; 2 where nobody said. */
export const weightOf = ({ weight }: Pick<Bother, 'weight'>): number => weight ?? USUAL_WEIGHT;

/**
 * What becomes of it where nobody has said: what is seen first is mended, what one has to look for is left, dirt is
 * wiped when the film is dry, and the rest is looked at again after a week unless it is drawing or value, which no week
 * mends. Common practice, no source.
 */
export function usualFate({ kind, weight }: Pick<Bother, 'kind' | 'weight'>): FateKind {
  const w = weightOf({ ...(weight === undefined ? {} : { weight }) });
  if (kind === 'dirt') return 'again';
  if (w === 1) return 'leave';
  if (w === 3 || kind === undefined) return 'coat';
  return kind === 'value' || kind === 'drawing' || kind === 'surface' ? 'coat' : 'again';
}

const RANK: Record<FateKind, number> = { coat: 0, again: 1, leave: 2 };

/** The open bothers, sorted: what a coat mends first, then what is looked at again, then what is left; the gravest first. */
export function sortedBothers(painting: Painting): SortedBother[] {
  const laid = laidEvents(painting);
  return (painting.bothers ?? [])
    .filter((b) => b.doneAt === null)
    .map((bother): SortedBother => {
      const fate = bother.fate?.kind ?? usualFate(bother);
      const coatId = bother.fate?.kind === 'coat' ? bother.fate.coatId : null;
      const coat = painting.coats.find((c) => c.id === coatId) ?? null;
      return {
        bother,
        fate,
        said: bother.fate !== undefined,
        againMs:
          fate !== 'again'
            ? null
            : bother.fate?.kind === 'again'
              ? Date.parse(bother.fate.at)
              : Date.parse(bother.at) + FINISH.looksApartDays * DAY_MS,
        coat: coat && {
          id: coat.id,
          name: coat.name,
          laidAt: laid.filter((e) => e.coatId === coat.id).at(-1)?.at ?? null,
        },
      };
    })
    .sort(
      (a, b) =>
        RANK[a.fate] - RANK[b.fate] ||
        weightOf(b.bother) - weightOf(a.bother) ||
        a.bother.at.localeCompare(b.bother.at),
    );
}

/** How often something bothered in all, and how often it was settled. */
export const botherCounts = (painting: Painting): { found: number; closed: number } => {
  const all = painting.bothers ?? [];
  return { found: all.length, closed: all.filter((b) => b.doneAt !== null).length };
};

const ROLE: Record<BotherKind, CoatRole> = {
  value: 'overpainting',
  edge: 'overpainting',
  drawing: 'detail',
  colour: 'glaze',
  surface: 'oiling-out',
  dirt: 'overpainting',
};

const LETTERS = 60;

/**
 * A coat that mends a bother: oiling out for a surface; else the mix that lies on top of the passage, as a spot of it.
 * Null where nothing lies there to repeat: then the painter begins a coat of his own.
 */
export function mendingCoat(
  assessment: PaintingAssessment,
  bother: Bother,
  id: string,
): Coat | null {
  const { painting } = assessment;
  const passageIds = bother.passageId ? [bother.passageId] : painting.passages.map((p) => p.id);
  const name = `Mend: ${bother.text}`.slice(0, LETTERS).trim();
  if (bother.kind === 'surface')
    return { ...correctionCoat('oiled-out', id, passageIds), name, improvised: false };
  const here = assessment.passages.find((p) => p.passage.id === passageIds[0]);
  const last = here && topLaid(here.base);
  const lastCoat = painting.coats.find((c) => last?.film.coatIds.includes(c.id));
  if (!lastCoat || lastCoat.recipe.material !== undefined || lastCoat.recipe.mix.length === 0)
    return null;
  return {
    id,
    name,
    role: bother.kind ? ROLE[bother.kind] : lastCoat.role,
    passageIds,
    recipe: lastCoat.recipe,
    application: lastCoat.application,
    onto: 'touch-dry',
    spot: { name: bother.text.slice(0, LETTERS).trim(), share: FINISH.mendSpotShare },
    fineness: 'fine',
    why: bother.text,
  };
}

/** When a passage takes a coat again, ms; null where drying stands still, 0 where nothing lies there. */
export function takesACoatMs(assessment: PaintingAssessment, passageId: string): number | null {
  const here = assessment.passages.find((p) => p.passage.id === passageId);
  const top = here && topLaid(here.base);
  if (!top) return 0;
  return readiness(nextPlanned(here.base)?.onto ?? null, top);
}
