import { useState } from 'react';
import type { CabinetMedium } from '@/core/cabinet';
import { ingredientFigures, type MediumPart } from '@/core/film';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { batchOf, byVolume, fromMl, toMl, type Batch, type Unit } from '@/core/quantity';
import type { IngredientKey } from '@/data/ingredients';
import { parseNumber } from '@/forms';

/** How the lines are read and typed: in parts of a batch, or as amounts that make the batch. */
export const MEASURES = ['parts', 'ml', 'g', 'tsp', 'drops'] as const;
export type Measure = (typeof MEASURES)[number];
export const MEASURE_NAMES: Record<Measure, string> = {
  parts: 'parts',
  ml: 'ml',
  g: 'grams',
  tsp: 'teaspoons',
  drops: 'drops',
};

export interface BenchLine {
  ingredient: IngredientKey;
  solidsWtPct?: number | undefined;
  /** As typed, in the chosen measure. */
  amount: string;
}

const tidy = (value: number): string => String(Number(value.toFixed(2)));

const partOf = ({ ingredient, solidsWtPct }: BenchLine): Omit<MediumPart, 'parts'> =>
  solidsWtPct === undefined ? { ingredient } : { ingredient, solidsWtPct };

/** Lines as parts by volume; null while a number is missing. */
function partsOf(lines: BenchLine[], measure: Measure): MediumPart[] | null {
  const parts = lines.map((line): MediumPart => {
    const part = partOf(line);
    const amount = parseNumber(line.amount);
    return {
      ...part,
      parts:
        measure === 'parts'
          ? amount
          : toMl(STUDIO_HANDBOOK, amount, measure, ingredientFigures(part).densityGPerMl),
    };
  });
  return parts.length > 0 && parts.every((p) => p.parts > 0) ? parts : null;
}

/** The same parts in another measure. */
function inMeasure(parts: MediumPart[], ml: number, measure: Measure): BenchLine[] {
  const total = parts.reduce((s, p) => s + p.parts, 0);
  const smallest = Math.min(...parts.map((p) => p.parts));
  return parts.map(({ parts: share, ...part }) => {
    const own = (share / total) * ml;
    return {
      ...part,
      amount: tidy(
        measure === 'parts'
          ? share / smallest
          : fromMl(STUDIO_HANDBOOK, own, measure as Unit, ingredientFigures(part).densityGPerMl),
      ),
    };
  });
}

const USUAL_ML = '50';

export interface MediumBench {
  name: string | null;
  lines: BenchLine[];
  measure: Measure;
  /** How much to make, as typed; only asked for in parts. */
  ml: string;
  /** Null while the amounts do not make a medium. */
  batch: Batch | null;
  parts: MediumPart[] | null;
  setLines(lines: BenchLine[]): void;
  setMeasure(measure: Measure): void;
  setMl(ml: string): void;
  take(medium: CabinetMedium): void;
  takeParts(parts: MediumPart[], ml: number, name: string | null): void;
}

/** A medium on the bench; it runs both ways, from parts to amounts and back. */
export function useMediumBench(first: CabinetMedium | null): MediumBench {
  const [name, setName] = useState(first?.name ?? null);
  const [measure, setMeasureOnly] = useState<Measure>('parts');
  const [ml, setMl] = useState(USUAL_ML);
  const [lines, setLines] = useState<BenchLine[]>(() =>
    first ? inMeasure(byVolume(first.parts, first.by), Number(USUAL_ML), 'parts') : [],
  );
  const parts = partsOf(lines, measure);
  const total =
    measure === 'parts' ? parseNumber(ml) : (parts?.reduce((s, p) => s + p.parts, 0) ?? NaN);
  const batch = parts && total > 0 ? batchOf(STUDIO_HANDBOOK, parts, total) : null;
  const takeParts = (taken: MediumPart[], takenMl: number, takenName: string | null) => {
    setName(takenName);
    setMl(tidy(takenMl));
    setLines(inMeasure(taken, takenMl, measure));
  };
  return {
    name,
    lines,
    measure,
    ml,
    batch,
    parts,
    setLines: (next) => {
      setLines(next);
      setName(null);
    },
    setMeasure: (next) => {
      if (batch && parts) {
        setLines(inMeasure(parts, batch.ml, next));
        setMl(tidy(batch.ml));
      }
      setMeasureOnly(next);
    },
    setMl,
    take: (medium) =>
      takeParts(byVolume(medium.parts, medium.by), batch?.ml ?? Number(USUAL_ML), medium.name),
    takeParts,
  };
}
