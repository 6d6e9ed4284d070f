import { useState } from 'react';
import { View } from 'react-native';
import type { CabinetMedium } from '@/core/cabinet';
import { byVolume } from '@/core/quantity';
import { IngredientLines, type IngredientDraft } from '@/features/IngredientLines';
import { MediumPicker } from '@/features/MediumPicker';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import type { CoatEditor } from './useCoatEditor';

const tidy = (value: number): string => String(Number(value.toFixed(3)));
const USUAL_SHARE = '10';

/** The medium in parts, and its share of the whole. */
export function MediumFields({ editor }: { editor: CoatEditor }) {
  const { draft, set, checked } = editor;
  const [picking, setPicking] = useState(false);
  const shareFor = (lines: IngredientDraft[]) =>
    // Without ingredients there is no share to speak of; with the first ones a usual share is set.
    lines.length === 0 && draft.mix.length > 0
      ? { sharePct: '0' }
      : lines.length > 0 && Number(draft.sharePct) === 0
        ? { sharePct: USUAL_SHARE }
        : {};
  const change = (medium: IngredientDraft[]) =>
    set({ medium, mediumName: null, ...shareFor(medium) });
  const take = (medium: CabinetMedium) => {
    const lines = byVolume(medium.parts, medium.by).map((p) => ({ ...p, parts: tidy(p.parts) }));
    set({ medium: lines, mediumName: medium.name, ...shareFor(lines) });
    setPicking(false);
  };
  const problem = checked.problem('recipe.medium');
  return (
    <View style={{ gap: space.s }}>
      <Heading>Medium, in parts</Heading>
      {draft.mediumName ? <Text tone="ink2">{draft.mediumName}</Text> : null}
      <Action
        title="A medium of the cabinet"
        onPress={() => setPicking(true)}
        style={{ alignSelf: 'flex-start' }}
      />
      <IngredientLines
        lines={draft.medium}
        onChange={change}
        problem={(i) => checked.problem(`recipe.medium.${i}.parts`)}
      />
      <Stepper
        label="Medium, share of the whole mixture"
        unit="%"
        step={5}
        min={0}
        max={100}
        text={draft.sharePct}
        onChangeText={(sharePct) => set({ sharePct })}
        error={checked.problem('recipe.mediumShare')}
      />
      {problem ? <Notice tone="refusal">{problem}</Notice> : null}
      {picking ? <MediumPicker onPick={take} onClose={() => setPicking(false)} /> : null}
    </View>
  );
}
