import { useMemo } from 'react';
import { INGREDIENTS, type IngredientKey } from '@/data/ingredients';
import { shortPigmentName } from '@/core/cabinet';
import type { Conflict } from '@/core/learn/learn';
import { explain, explanationSentence, type Explanation } from '@/core/learn/explain';
import { NOTHING_LEARNED } from '@/core/learn/learn';
import type { Painting, TouchedEvent } from '@/core/painting';
import { touchedEvents } from '@/core/painting/touch';
import { useNow, usePaintings, useStoreSelector } from '@/store/hooks';

/** One test in the list of evidence. */
export interface TestRow {
  painting: Painting;
  test: TouchedEvent;
  passageName: string;
  /** Set when the rest of what is known makes it unlikely. */
  conflict: Conflict | null;
}

export interface LearnedView {
  nowMs: number;
  sentence: string;
  explanation: Explanation;
  rows: TestRow[];
  problem: string | null;
  nameOf(factor: string): string;
}

const OTHER_NAMES: Record<string, string> = {
  alkyd: 'alkyd',
  'over-wet': 'films on wet paint',
  'damp-air': 'films in damp air',
  'dry-air': 'films in dry air',
  light: 'films out of the daylight',
  'unknown-oil': 'paints of unknown make',
  'medium:alkyd': 'alkyd medium',
  'medium:resin': 'resin medium',
  'medium:wax': 'wax medium',
};

/** What a factor is called; paints of the painter's own by the name on the tube. */
export function factorName(factor: string, paintings: Painting[]): string {
  const [key, old] = factor.split('#') as [string, string | undefined];
  const name = OTHER_NAMES[key] ?? named(key, paintings);
  return old === undefined ? name : `${name} (before it was forgotten)`;
}

function named(key: string, paintings: Painting[]): string {
  const [kind, what] = [key.slice(0, key.indexOf(':')), key.slice(key.indexOf(':') + 1)];
  if (kind === 'medium') return INGREDIENTS[what as IngredientKey]?.name.toLowerCase() ?? what;
  if (what.startsWith('own:')) {
    const id = what.slice('own:'.length);
    for (const painting of paintings)
      for (const event of painting.events)
        if (event.kind === 'laid')
          for (const part of event.recipe.mix)
            if ('own' in part && part.own.id === id) return part.own.name;
    return 'a paint of your own';
  }
  const [pigment, binder] = what.split('|') as [string, string];
  const short = shortPigmentName(pigment).toLowerCase();
  return binder === 'linseed' ? short : `${short} in ${binder}`;
}

export function useLearned(): LearnedView {
  const nowMs = useNow();
  const paintings = usePaintings();
  const { learned, conflicts, problem } = useStoreSelector((state) => state.learned);
  return useMemo(() => {
    const explanation = explain(learned ?? NOTHING_LEARNED, nowMs);
    const nameOf = (factor: string) => factorName(factor, paintings);
    const rows = paintings
      .flatMap((painting) =>
        touchedEvents(painting).map((test): TestRow => ({
          painting,
          test,
          passageName: [
            painting.passages.find((p) => p.id === test.passageId)?.name ?? '',
            test.spotName,
          ]
            .filter(Boolean)
            .join(': '),
          conflict: conflicts.find((c) => c.testId === test.id) ?? null,
        })),
      )
      .sort((a, b) => b.test.at.localeCompare(a.test.at));
    return {
      nowMs,
      explanation,
      sentence: explanationSentence(explanation, nameOf),
      rows,
      problem,
      nameOf,
    };
  }, [learned, conflicts, problem, nowMs, paintings]);
}
