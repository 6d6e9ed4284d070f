import { useMemo } from 'react';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { plannedCoats, type Painting } from '@/core/painting';
import {
  needsOf,
  shoppingList,
  type CoatNeed,
  type Losses,
  type ShoppingList,
} from '@/core/quantity';
import { useMoney } from '@/features/costs/money-words';
import { usePaintsNow } from '@/features/usePaintsNow';

/** The next coat of every passage, or everything still to be laid. */
export type Scope = 'next' | 'all';

const EMPTY: ShoppingList = { lines: [], ingredients: [], costMinor: 0, costIncomplete: false };

/** What a painting takes, and what of it is missing. Null losses: nothing is reckoned. */
export function useNeeds(
  painting: Painting,
  scope: Scope,
  losses: Losses | null,
): { needs: CoatNeed[]; list: ShoppingList } {
  const paints = usePaintsNow();
  const { digits } = useMoney();
  const canvasFactor = losses?.canvasFactor ?? 0;
  const wasteFactor = losses?.wasteFactor ?? 0;
  return useMemo(() => {
    if (canvasFactor < 1 || wasteFactor < 1) return { needs: [], list: EMPTY };
    const next = new Map(
      painting.passages.map((p) => [p.id, plannedCoats(painting, p.id)[0]?.id ?? null]),
    );
    const needs = needsOf(
      STUDIO_HANDBOOK,
      painting,
      { canvasFactor, wasteFactor },
      (coat, passageId) => scope === 'all' || next.get(passageId) === coat.id,
    );
    return { needs, list: shoppingList(STUDIO_HANDBOOK, needs, paints, digits) };
  }, [painting, scope, canvasFactor, wasteFactor, paints, digits]);
}
