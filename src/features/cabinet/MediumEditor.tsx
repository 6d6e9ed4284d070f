import { nanoid } from '@reduxjs/toolkit';
import { useState } from 'react';
import { View } from 'react-native';
import { putMedium, type CabinetMedium } from '@/core/cabinet';
import { cabinetMediumSchema } from '@/core/cabinet/schema';
import { mediumFigures } from '@/core/film';
import { byVolume } from '@/core/quantity';
import { Figure, Figures } from '@/features/Figures';
import { IngredientLines } from '@/features/IngredientLines';
import { FormState } from '@/forms';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Heading } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { useEntryEdit, type EntryEdit } from './useEntryEdit';

const newMedium = (): CabinetMedium => ({
  id: nanoid(12),
  name: '',
  by: 'volume',
  parts: [
    { ingredient: 'linseed-refined', parts: 1 },
    { ingredient: 'mineral-spirits', parts: 1 },
  ],
  archived: false,
});

/** @param medium null for a new one */
export function useMediumEdit(
  medium: CabinetMedium | null,
  onDone: () => void,
): EntryEdit<CabinetMedium> {
  const [fresh] = useState(newMedium);
  return useEntryEdit({
    kind: 'medium',
    schema: cabinetMediumSchema,
    entry: medium,
    fresh,
    put: putMedium,
    onDone,
  });
}

/** One medium of the cabinet: a recipe in parts, and what stays of it. */
export function MediumRecipe({ edit: { form } }: { edit: EntryEdit<CabinetMedium> }) {
  const figures = form.value ? mediumFigures(byVolume(form.value.parts, form.value.by)) : null;
  const problem = form.problem('parts');
  return (
    <View style={{ gap: space.l }}>
      <FormState form={form} />
      <Field label="Name" {...form.text('name')} />
      <Choice
        label="Parts are measured by"
        options={[
          { key: 'volume', name: 'volume' },
          { key: 'weight', name: 'weight' },
        ]}
        value={form.draft.by}
        onChange={(by) => form.put('by', by)}
      />
      <View style={{ gap: space.s }}>
        <Heading>Ingredients</Heading>
        <IngredientLines
          lines={form.draft.parts}
          onChange={(lines) => form.put('parts', lines)}
          binding={(i) => ({
            parts: form.number(`parts.${i}.parts`, 'parts'),
            solids: form.number(`parts.${i}.solidsWtPct`, 'number', 'absent'),
          })}
        />
        {problem ? <Notice tone="refusal">{problem}</Notice> : null}
      </View>
      {figures ? (
        <Figures>
          <Figure
            name="stays"
            value={`${Math.round(figures.solidsVolumeFraction * 100)} %`}
            note="by volume; the rest is vapour"
          />
          <Figure
            name="stays"
            value={`${Math.round(figures.solidsWeightFraction * 100)} %`}
            note="by weight"
          />
          <Figure
            name="oil"
            value={`${Math.round(figures.oilOfSolids * 100)} %`}
            note="of what stays, by volume"
          />
          <Figure name="density" value={figures.densityGPerMl.toFixed(3)} note="g to the ml" />
        </Figures>
      ) : null}
    </View>
  );
}
