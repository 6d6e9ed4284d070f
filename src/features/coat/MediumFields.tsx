import { closeIcon } from '@/ui/icons';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { INGREDIENT_KEYS, INGREDIENTS } from '@/data/ingredients';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Icon } from '@/ui/Icon';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { colour, space, TARGET } from '@/ui/tokens';
import type { CoatEditor } from './useCoatEditor';

/** The medium in parts, and its share of the whole. */
export function MediumFields({ editor }: { editor: CoatEditor }) {
  const { draft, set, checked } = editor;
  const [adding, setAdding] = useState(false);
  const replace = (i: number, parts: string) =>
    set({ medium: draft.medium.map((m, n) => (n === i ? { ...m, parts } : m)) });
  const takeOut = (i: number) => {
    const medium = draft.medium.filter((_, n) => n !== i);
    // Without ingredients there is no share to speak of.
    set(medium.length === 0 && draft.mix.length > 0 ? { medium, sharePct: '0' } : { medium });
  };
  const cautions = [
    ...new Set(
      draft.medium.map((m) => INGREDIENTS[m.ingredient].caution).filter((c) => c !== undefined),
    ),
  ];
  const problem = checked.problem('recipe.medium');
  return (
    <View style={{ gap: space.s }}>
      <Heading>Medium, in parts</Heading>
      {draft.medium.map((m, i) => (
        <View key={m.ingredient} style={styles.line}>
          <Text strong style={{ flex: 1 }}>
            {INGREDIENTS[m.ingredient].name}
          </Text>
          <Stepper
            label={`Parts of ${INGREDIENTS[m.ingredient].name}`}
            hideLabel
            step={0.5}
            min={0.5}
            max={99}
            text={m.parts}
            onChangeText={(parts) => replace(i, parts)}
            error={checked.problem(`recipe.medium.${i}.parts`)}
          />
          <Pressable
            accessibilityRole="button"
            aria-label={`Take out ${INGREDIENTS[m.ingredient].name}`}
            onPress={() => takeOut(i)}
            style={styles.out}
          >
            <Icon path={closeIcon} tint={colour.ink2} />
          </Pressable>
        </View>
      ))}
      <Action
        title="Add an ingredient"
        onPress={() => setAdding(true)}
        style={{ alignSelf: 'flex-start' }}
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
      {cautions.map((c) => (
        <Notice key={c}>{c}</Notice>
      ))}
      {adding ? (
        <Sheet name="Choose an ingredient" onClose={() => setAdding(false)}>
          <Choice
            label="Ingredient"
            stacked
            options={INGREDIENT_KEYS.filter(
              (key) => !draft.medium.some((m) => m.ingredient === key),
            ).map((key) => ({ key, name: INGREDIENTS[key].name }))}
            value={null}
            onChange={(ingredient) => {
              set({
                medium: [...draft.medium, { parts: '1', ingredient }],
                ...(Number(draft.sharePct) === 0 ? { sharePct: '10' } : {}),
              });
              setAdding(false);
            }}
          />
        </Sheet>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
    paddingBottom: space.xs,
  },
  out: { width: TARGET, height: TARGET, alignItems: 'center', justifyContent: 'center' },
});
