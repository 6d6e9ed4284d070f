import { isBroken, objects, pairNames, toldLayer } from '@/core/tell';
import { useMemo, useState } from 'react';
import {
  verdictOf,
  type Layer,
  type Painting,
  type PassageAssessment,
  type SiteStack,
} from '@/core/painting';
import type { Repair } from '@/core/repair';
import type { Finding } from '@/core/rules';
import {
  figuresSentence,
  SCHOOL_KEYS,
  SCHOOLS,
  verdictSentence,
  type SchoolKey,
  type Verdict,
} from '@/core/schools';

import { useSolved, type Solved } from '@/features/useSolved';
import { solveRepairs } from '@/workers/client';
import { useAssessment, useNow, usePainting, useSolverAir } from '@/store/hooks';

/** Another school that sees the pair differently. */
export interface Dissent {
  school: SchoolKey;
  name: string;
  verdict: Verdict;
  sentence: string;
  figures: string;
}

export interface LayerView {
  layer: Layer;
  /** What is said of it, as a heading. */
  sentence: string;
  figures: string;
  broken: boolean;
  dissents: Dissent[];
  findings: Finding[];
  repairs: Repair[];
  /** Repairs are being worked out. */
  solving: boolean;
  /** Why no repair could be worked out. */
  failure: string | null;
}

const PASSES: ReadonlySet<Verdict> = new Set(['ok', 'note']);

/** Schools of the other mind: the chosen one passes and they refuse, or the other way round. */
function dissentsOf(layer: Layer, school: SchoolKey): Dissent[] {
  const chosen = verdictOf(layer, school);
  if (!chosen || !layer.pair) return [];
  return SCHOOL_KEYS.filter((key) => key !== school)
    .map((key) => layer.pair!.bySchool[key])
    .filter((v) =>
      PASSES.has(chosen.verdict)
        ? objects(v.verdict)
        : objects(chosen.verdict) && PASSES.has(v.verdict),
    )
    .map((v) => ({
      school: v.school,
      name: SCHOOLS[v.school].name,
      verdict: v.verdict,
      sentence: verdictSentence(v, pairNames(layer, v.school)),
      figures: figuresSentence(v),
    }));
}

function layerView(painting: Painting, layer: Layer, solved: Solved<Repair[]>): LayerView {
  const { sentence, figures, broken } = toldLayer(layer, painting.school);
  return {
    layer,
    sentence,
    figures,
    broken,
    dissents: dissentsOf(layer, painting.school),
    findings: layer.findings,
    repairs: solved.value ?? [],
    solving: solved.pending,
    failure: solved.failure,
  };
}

/** The layer to speak of when none was chosen: the one that breaks the rule, else the next to come, else the top. */
const defaultLayer = (stack: SiteStack, school: SchoolKey): Layer | null =>
  stack.layers.find((l) => isBroken(l, school)) ??
  stack.layers.find((l) => l.planned) ??
  stack.layers.at(-1) ??
  null;

export interface SectionView {
  painting: Painting;
  passages: PassageAssessment[];
  passage: PassageAssessment;
  stack: SiteStack;
  spotName: string | null;
  chooseSpot(name: string | null): void;
  chosen: LayerView | null;
  choose(key: string): void;
  nowMs: number;
}

const STEADY_MS = 600_000;

/** Solved only for the one layer that is spoken of, and away from the screen: a repair is many assessments. */
function useRepairs(painting: Painting | undefined, coatId: string | undefined, nowMs: number) {
  const around = useSolverAir();
  // Paint does not move in a few minutes, and an answer should stand still while it is read.
  const askedMs = Math.floor(nowMs / STEADY_MS) * STEADY_MS;
  const ask = useMemo(
    () =>
      painting && coatId
        ? () =>
            solveRepairs({ painting, coatId, school: painting.school, ...around, nowMs: askedMs })
        : null,
    [painting, coatId, around, askedMs],
  );
  return useSolved(ask);
}

export function useSectionView(id: string, passageId: string): SectionView | null {
  const nowMs = useNow();
  const painting = usePainting(id);
  const assessment = useAssessment(id);
  const [spotName, chooseSpot] = useState<string | null>(null);
  const [chosenKey, choose] = useState<string | null>(null);
  const passage = assessment?.passages.find((p) => p.passage.id === passageId) ?? null;
  const stack = passage?.spots.find((s) => s.site.spotName === spotName) ?? passage?.base ?? null;
  const layer =
    stack && painting
      ? (stack.layers.find((l) => l.film.key === chosenKey) ?? defaultLayer(stack, painting.school))
      : null;
  const coatId =
    layer?.planned && painting && isBroken(layer, painting.school)
      ? layer.film.coatIds.at(-1)
      : undefined;
  const solved = useRepairs(painting, coatId, nowMs);
  if (!assessment || !painting || !passage || !stack) return null;
  return {
    painting,
    passages: assessment.passages,
    passage,
    stack,
    spotName: stack.site.spotName,
    chooseSpot,
    chosen: layer ? layerView(painting, layer, solved) : null,
    choose,
    nowMs,
  };
}
