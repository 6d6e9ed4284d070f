import { useMemo, useState } from 'react';
import { acrylicRate, dryingRate, quantileOf, type LogNormal } from '@/core/drying';
import {
  addCoat,
  assessPainting,
  changeCoat,
  DEADLINE_QUANTILE,
  isLaid,
  verdictOf,
  type Coat,
  type Layer,
  type Painting,
} from '@/core/painting';
import { figuresSentence, limitSentence, verdictSentence, type Verdict } from '@/core/schools';
import { nanoid } from '@reduxjs/toolkit';
import { useAssessOptions, useNow } from '@/store/hooks';
import { checkDraft, draftOf, newDraft, type CheckedDraft, type CoatDraft } from './draft';

export interface LivePassage {
  passageId: string;
  name: string;
  layer: Layer;
  verdict: Verdict | null;
  sentence: string;
  figures: string;
}

export interface Live {
  /** The coat as it lies on its first passage; null while the draft is wrong. */
  layer: Layer | null;
  passages: LivePassage[];
  cautions: string[];
  /** Days it takes in the studio's climate, 50 % and 90 %; null when drying stands still. */
  touchDays: [number, number] | null;
  throughDays: [number, number] | null;
}

const NOTHING: Live = {
  layer: null,
  passages: [],
  cautions: [],
  touchDays: null,
  throughDays: null,
};

/** The painting with the draft in it, so that figures and verdicts are those of its place. */
function withDraft(
  painting: Painting,
  coat: Coat,
  isNew: boolean,
  afterId: string | null,
): Painting {
  const making = { now: painting.updatedAt };
  return isNew
    ? addCoat(painting, coat, afterId, making)
    : changeCoat(painting, coat, true, making);
}

/** Doses as days of this studio. */
function daysOf(dose: LogNormal, rate: number): [number, number] | null {
  return rate === 0 ? null : [dose.median / rate, quantileOf(dose, DEADLINE_QUANTILE) / rate];
}

function liveOf(
  painting: Painting,
  coat: Coat,
  options: Parameters<typeof assessPainting>[1],
): Live {
  const passages = assessPainting(painting, options).passages.flatMap(
    ({ passage, base, spots }) => {
      const stacks = coat.spot
        ? spots.filter((s) => s.layers.some((l) => l.film.coatIds.includes(coat.id)))
        : [base];
      return stacks.flatMap((stack): LivePassage[] => {
        const layer = stack.layers.find((l) => l.film.coatIds.includes(coat.id));
        if (!layer) return [];
        const v = verdictOf(layer, painting.school);
        const names = {
          lower: layer.pair?.againstName ?? '',
          upper: layer.film.name,
          upperPlanned: layer.planned,
        };
        return [
          {
            passageId: passage.id,
            name: passage.name,
            layer,
            verdict: v?.verdict ?? null,
            sentence: v
              ? verdictSentence(v, names)
              : 'First film here, or one with what it goes into.',
            figures: v ? figuresSentence(v) : '',
          },
        ];
      });
    },
  );
  const layer = passages[0]?.layer ?? null;
  if (!layer) return NOTHING;
  const { constants } = options.handbook;
  const rate =
    layer.times.kind === 'acrylic'
      ? acrylicRate(constants, options.climate)
      : dryingRate(constants, options.climate);
  return {
    layer,
    passages,
    cautions: layer.limits.map(limitSentence),
    touchDays: daysOf(layer.times.touch, rate),
    throughDays: daysOf(layer.times.through, rate),
  };
}

export interface CoatEditor {
  draft: CoatDraft;
  set(change: Partial<CoatDraft>): void;
  checked: CheckedDraft;
  live: Live;
  isNew: boolean;
  laidOn: string[];
  correctRecord: boolean;
  setCorrectRecord(on: boolean): void;
}

export function useCoatEditor(
  painting: Painting,
  coatId: string,
  passageId: string | null,
  afterId: string | null,
): CoatEditor {
  const options = useAssessOptions(useNow());
  const existing = painting.coats.find((c) => c.id === coatId);
  const isNew = existing === undefined;
  const [draft, setDraft] = useState<CoatDraft>(() =>
    existing ? draftOf(existing) : newDraft(painting, passageId, afterId, nanoid(12)),
  );
  const [correctRecord, setCorrectRecord] = useState(false);
  const checked = useMemo(() => checkDraft(draft), [draft]);
  const live = useMemo(() => {
    if (!checked.coat) return NOTHING;
    return liveOf(withDraft(painting, checked.coat, isNew, afterId), checked.coat, options);
  }, [painting, checked, isNew, afterId, options]);
  return {
    draft,
    set: (change) => setDraft((d) => ({ ...d, ...change })),
    checked,
    live,
    isNew,
    laidOn: existing ? existing.passageIds.filter((id) => isLaid(painting, existing, id)) : [],
    correctRecord,
    setCorrectRecord,
  };
}
