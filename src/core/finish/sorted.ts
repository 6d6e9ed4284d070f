import { DAY_MS } from '../drying/windows';
import { FINISH } from '@/data/finish';
import { laidEvents } from '../painting/sites';
import type { Bother, Painting } from '../painting/schema';

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

/** What becomes of a bother: as the painter said, else as it sorts itself. */
export const fateOf = (bother: Bother): FateKind => bother.fate?.kind ?? usualFate(bother);

const RANK: Record<FateKind, number> = { coat: 0, again: 1, leave: 2 };

/** The open bothers, sorted: what a coat mends first, then what is looked at again, then what is left; the gravest first. */
export function sortedBothers(painting: Painting): SortedBother[] {
  const laid = laidEvents(painting);
  return (painting.bothers ?? [])
    .filter((b) => b.doneAt === null)
    .map((bother): SortedBother => {
      const fate = fateOf(bother);
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
