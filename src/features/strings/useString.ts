import { useMemo } from 'react';
import { z } from 'zod';
import type { Recipe } from '@/core/film';
import { heapOf } from '@/core/session';
import { APPLICATIONS } from '@/data/applications';
import { de2000, opaqueLab, valueOfLab, type Lab } from '@/core/optics';
import {
  amountsOfString,
  mixOfStep,
  opticalMix,
  type TubeAmount,
} from '@/core/optics/string-amounts';
import { stringOf, type Mix } from '@/core/optics/strings';
import { useRecipeForm } from '@/features/coat/useRecipeForm';
import { useForm, type Form } from '@/forms';
import { useSwatches } from '@/store/hooks';

const MOST_STEPS = 25;
const stringSchema = z.object({
  steps: z
    .number({ error: 'Steps must be a number.' })
    .int({ error: 'Steps must be whole.' })
    .min(2, { error: 'At least two steps.' })
    .max(MOST_STEPS, { error: `At most ${MOST_STEPS} steps.` }),
  even: z.enum(['lightness', 'difference']),
  three: z.boolean(),
  areaCm2: z
    .number({ error: 'The area must be a number of cm².' })
    .positive({ error: 'The area must be above 0 cm².' })
    .max(4e6, { error: 'At most 400 m².' }),
  um: z
    .number({ error: 'Thickness must be a number of µm.' })
    .min(1, { error: 'At least 1 µm.' })
    .max(1000, { error: 'At most 1 mm.' }),
});
export type StringForm = z.infer<typeof stringSchema>;
const USUAL: StringForm = {
  steps: 7,
  even: 'lightness',
  three: false,
  areaCm2: 500,
  um: APPLICATIONS['brush-coat'].typicalUm,
};

const mixed = (...mix: [pigment: string, parts: number][]): { recipe: Recipe } => ({
  recipe: heapOf(mix.map(([pigment, parts]) => ({ pigment, parts, binder: 'linseed' }))),
});
const SHADOW = mixed(['burnt-umber', 1], ['ultramarine-blue', 1]);
const MIDDLE = mixed(['burnt-sienna', 1]);
const LIGHT = mixed(['titanium-white', 9], ['yellow-ochre', 1]);

export interface StringRow {
  lab: Lab;
  value: number;
  /** CIEDE2000 between the step asked for and what its rounded parts make. */
  off: number;
  tubes: TubeAmount[];
  mix: Recipe['mix'];
}

/** The string on the bench: its two or three mixes, how many steps, and what comes of it. */
export function useString() {
  const swatches = useSwatches();
  const form: Form<StringForm> = useForm({
    key: 'string',
    schema: stringSchema,
    document: USUAL,
    isNew: true,
  });
  const from = useRecipeForm('string:from', SHADOW);
  const through = useRecipeForm('string:through', MIDDLE);
  const to = useRecipeForm('string:to', LIGHT);
  const { three } = form.draft;
  const asked = form.value;
  const mixes = useMemo(
    () => [from.recipe, ...(three ? [through.recipe] : []), to.recipe].map((r) => r?.mix ?? null),
    [from.recipe, through.recipe, to.recipe, three],
  );
  const made = useMemo(() => {
    const whole = mixes.filter((m): m is Recipe['mix'] => m !== null && m.length > 0);
    if (!asked || whole.length !== mixes.length) return null;
    const optical: Mix[] = whole.map((mix) => opticalMix(mix, swatches));
    const string = stringOf(optical, asked.steps, asked.even);
    if ('turnsAt' in string) return { turnsAt: valueOfLab(string.lab), rows: [] };
    const amounts = amountsOfString(whole, string.steps, { areaCm2: asked.areaCm2, um: asked.um });
    const rows = string.steps.map((step, i): StringRow => {
      const mix = mixOfStep(whole, step.shares);
      const parts = opticalMix(mix, swatches);
      const total = parts.reduce((sum, p) => sum + p.parts, 0);
      const its = opaqueLab(parts.map((p) => ({ paint: p.paint, um: p.parts / total })));
      return {
        lab: step.lab,
        value: valueOfLab(step.lab),
        off: de2000(its, step.lab),
        tubes: amounts[i]!,
        mix,
      };
    });
    return { turnsAt: null, rows };
  }, [mixes, asked, swatches]);
  return { form, from, through, to, made, first: from.recipe?.mix ?? null };
}
export type StringBench = ReturnType<typeof useString>;
