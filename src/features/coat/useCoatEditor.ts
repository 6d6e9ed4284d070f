import { useMemo, useState } from 'react';
import { openDose, quantileOf, type LogNormal } from '@/core/drying';
import {
  assessPainting,
  DEADLINE_QUANTILE,
  isLaid,
  type Coat,
  type Layer,
  type Painting,
  type SiteStack,
} from '@/core/painting';
import { daysToReach } from '@/core/painting/days';
import { coatSchema } from '@/core/painting/schema';
import { changeCoat, placeCoat, type CoatPlace } from '@/core/painting/coats';
import { gravestByRule, toldLayer, type ToldLayer } from '@/core/tell';
import { stops, type Finding } from '@/core/rules';
import type { RuleKey } from '@/core/rules/records';
import { nowIso } from '@/store/clock';
import { nanoid } from '@reduxjs/toolkit';
import { useAssessOptions, useNow } from '@/store/hooks';
import { useForm, type Form } from '@/forms';
import type { MaterialKey } from '@/data/materials';
import {
  asMaterial,
  asPaint,
  newCoat,
  paintPartOf,
  withColours,
  type CoatDraft,
  type PaintPart,
} from './draft';

export interface LivePassage extends ToldLayer {
  passageId: string;
  name: string;
  layer: Layer;
  stack: SiteStack;
}

export interface Live {
  /** The coat as it lies on its first passage; null while the draft is wrong. */
  layer: Layer | null;
  passages: LivePassage[];
  /** The cut through its first passage, with the draft in it. */
  stack: SiteStack | null;
  /** What the rules say, over all passages, each rule once with its gravest finding. */
  findings: Finding[];
  /** Days it takes in the studio's climate, 50 % and 90 %; null when drying stands still. */
  touchDays: [number, number] | null;
  /** Days for which it is open: at even odds, and with nine chances in ten; null for what is no oil paint. */
  openDays: [number, number] | null;
  throughDays: [number, number] | null;
}

const NOTHING: Live = {
  layer: null,
  passages: [],
  stack: null,
  findings: [],
  touchDays: null,
  openDays: null,
  throughDays: null,
};

/** The painting as it would be kept, so that figures and verdicts are those of its place. */
function withDraft(
  painting: Painting,
  coat: Coat,
  { isNew, place, correctRecord }: { isNew: boolean; place: CoatPlace; correctRecord: boolean },
): Painting {
  const making = { now: painting.updatedAt };
  return isNew
    ? placeCoat(painting, coat, place, making)
    : changeCoat(painting, coat, correctRecord, making);
}

/** Doses as days from now in this studio: at even odds, and as surely as is asked. */
function daysOf(
  kind: Layer['times']['kind'],
  dose: LogNormal,
  options: Parameters<typeof assessPainting>[1],
  safe = DEADLINE_QUANTILE,
): [number, number] | null {
  const half = daysToReach(kind, quantileOf(dose, 0.5), options);
  const sure = daysToReach(kind, quantileOf(dose, safe), options);
  return half === null || sure === null ? null : [half, sure];
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
        return [
          {
            passageId: passage.id,
            name: passage.name,
            layer,
            stack,
            ...toldLayer(layer, painting.school),
          },
        ];
      });
    },
  );
  const layer = passages[0]?.layer ?? null;
  if (!layer) return NOTHING;
  const { kind } = layer.times;
  return {
    layer,
    passages,
    stack: passages[0]!.stack,
    findings: gravestByRule(passages.flatMap((p) => p.layer.findings)),
    touchDays: daysOf(kind, layer.times.touch, options),
    openDays:
      kind === 'oil'
        ? daysOf(
            kind,
            openDose(options.handbook.constants, layer.times),
            options,
            1 - DEADLINE_QUANTILE,
          )
        : null,
    throughDays: daysOf(kind, layer.times.through, options),
  };
}

type Thickness = CoatDraft['recipe']['thicknessUm'];

export interface CoatEditor {
  form: Form<Coat>;
  draft: CoatDraft;
  /** Change some of its fields; `field` names what was changed, for undo. */
  set(change: Partial<CoatDraft>, field?: string): void;
  setRecipe(change: Partial<CoatDraft['recipe']>, field?: string): void;
  changeRecipe(change: (recipe: CoatDraft['recipe']) => CoatDraft['recipe']): void;
  /** Its recipe as something that is laid as it comes; what it was mixed from is remembered. */
  asMaterial(material: MaterialKey, thicknessUm: Thickness): CoatDraft['recipe'];
  /** Its recipe as paint: as it is, or as it was mixed before. */
  asPaint(thicknessUm: Thickness): CoatDraft['recipe'];
  live: Live;
  isNew: boolean;
  laidOn: string[];
  nowMs: number;
  /** Give a reason for going against a rule; null takes it back. */
  overrule(rule: RuleKey, reason: string | null): void;
  /** What a rule refuses has to be overruled first; the record of what was laid is kept whatever it says. */
  mayKeep: boolean;
  correctRecord: boolean;
  setCorrectRecord(on: boolean): void;
  /** Where a new coat belongs. */
  place: CoatPlace;
  setPlace(place: CoatPlace): void;
}

export function useCoatEditor(
  painting: Painting,
  coatId: string,
  passageId: string | null,
  afterId: string | null,
  asRecord = false,
): CoatEditor {
  const nowMs = useNow();
  const options = useAssessOptions();
  const existing = painting.coats.find((c) => c.id === coatId);
  const isNew = existing === undefined;
  const [fresh] = useState(() => newCoat(painting, passageId, afterId, nanoid(12)));
  const draftKey = existing ? existing.id : `new:${passageId ?? ''}:${afterId ?? ''}`;
  const [place, setPlace] = useState<CoatPlace>(
    afterId !== null
      ? { where: 'after', coatId: afterId }
      : painting.events.some((e) => e.kind === 'laid')
        ? { where: 'over-laid' }
        : { where: 'last' },
  );
  const form = useForm({
    key: `coat:${painting.id}:${draftKey}`,
    schema: coatSchema,
    document: existing ?? fresh,
    isNew,
  });
  const { draft } = form;
  const value = useMemo(() => form.value && withColours(form.value), [form.value]);
  const [paintBefore, setPaintBefore] = useState<PaintPart | null>(null);
  const [correctRecord, setCorrectRecord] = useState(asRecord);
  const live = useMemo(
    () =>
      value
        ? liveOf(withDraft(painting, value, { isNew, place, correctRecord }), value, options)
        : NOTHING,
    [painting, value, isNew, place, correctRecord, options],
  );
  const laidOn = existing ? existing.passageIds.filter((id) => isLaid(painting, existing, id)) : [];
  return {
    form,
    draft,
    set: (change, field) => form.set((d) => ({ ...d, ...change }), field),
    setRecipe: (change, field) =>
      form.set((d) => ({ ...d, recipe: { ...d.recipe, ...change } }), field),
    changeRecipe: (change) => form.set((d) => ({ ...d, recipe: change(d.recipe) })),
    asMaterial(material, thicknessUm) {
      if (draft.recipe.material === undefined) setPaintBefore(paintPartOf(draft.recipe));
      return asMaterial(thicknessUm, material);
    },
    asPaint: (thicknessUm) =>
      draft.recipe.material === undefined
        ? { ...draft.recipe, thicknessUm }
        : asPaint({ ...draft.recipe, thicknessUm }, paintBefore),
    live,
    isNew,
    laidOn,
    nowMs,
    overrule: (rule, reason) =>
      form.set((d) => {
        const others = (d.overruled ?? []).filter((o) => o.rule !== rule);
        return {
          ...d,
          overruled: reason === null ? others : [...others, { rule, reason, at: nowIso() }],
        };
      }),
    mayKeep: laidOn.length > 0 || !live.findings.some(stops),
    correctRecord,
    setCorrectRecord,
    place,
    setPlace,
  };
}
