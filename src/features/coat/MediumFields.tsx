import { useState } from 'react';
import { View } from 'react-native';
import type { CabinetMedium } from '@/core/cabinet';
import { byVolume } from '@/core/quantity';
import { IngredientLines, type IngredientDraft } from '@/features/IngredientLines';
import { numberOf } from '@/forms';
import { MediumPicker } from '@/features/MediumPicker';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import type { RecipeEditor } from './recipe-editor';

const USUAL_SHARE = 0.1;

/** The medium in parts, and its share of the whole. */
export function MediumFields({ editor }: { editor: RecipeEditor }) {
  const { form, setRecipe } = editor;
  const { mix, medium, mediumShare, mediumName } = editor.draft.recipe;
  const [picking, setPicking] = useState(false);
  const shareFor = (lines: IngredientDraft[]) =>
    // Without ingredients there is no share to speak of; with the first ones a usual share is set.
    lines.length === 0 && mix.length > 0
      ? { mediumShare: 0 }
      : lines.length > 0 && numberOf(mediumShare) === 0
        ? { mediumShare: USUAL_SHARE }
        : {};
  // Once it is changed it is no longer the one of the cabinet.
  const change = (lines: IngredientDraft[]) =>
    editor.changeRecipe(({ mediumName: _name, ...recipe }) => ({
      ...recipe,
      medium: lines,
      ...shareFor(lines),
    }));
  const take = (chosen: CabinetMedium) => {
    const lines = byVolume(chosen.parts, chosen.by);
    setRecipe({ medium: lines, mediumName: chosen.name, ...shareFor(lines) });
    setPicking(false);
  };
  const problem = form.problem('recipe.medium');
  return (
    <View style={{ gap: space.s }}>
      <Heading>Medium, in parts</Heading>
      {mediumName ? <Text tone="ink2">{mediumName}</Text> : null}
      <Action
        title="A medium of the cabinet"
        onPress={() => setPicking(true)}
        style={{ alignSelf: 'flex-start' }}
      />
      <IngredientLines
        lines={medium}
        onChange={change}
        binding={(i) => ({
          parts: form.number(`recipe.medium.${i}.parts`, 'parts'),
          solids: form.number(`recipe.medium.${i}.solidsWtPct`, 'number', 'absent'),
        })}
      />
      <Stepper
        label="Medium, share of the whole mixture"
        unit="%"
        step={5}
        min={0}
        max={100}
        {...form.number('recipe.mediumShare', 'percent')}
      />
      {problem ? <Notice tone="refusal">{problem}</Notice> : null}
      {picking ? <MediumPicker onPick={take} onClose={() => setPicking(false)} /> : null}
    </View>
  );
}
