import { View } from 'react-native';
import { numberOf } from '@/forms';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Stepper } from '@/ui/Stepper';
import { Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import type { CoatEditor } from './useCoatEditor';

const MOST = 8;

/** Several colours laid wet in one sitting: each with its share of the area; the film is all of them together. */
export function Colours({
  editor,
  at,
  onChoose,
}: {
  editor: CoatEditor;
  at: number;
  onChoose: (at: number) => void;
}) {
  const { form, draft, setRecipe } = editor;
  const { colours, mix } = draft.recipe;
  if (!colours)
    return mix.length === 0 ? null : (
      <Action
        title="Several colours in this sitting"
        kind="quiet"
        style={{ alignSelf: 'flex-start' }}
        onPress={() =>
          setRecipe(
            {
              colours: [
                { name: 'light', share: 0.5, mix },
                { name: 'dark', share: 0.5, mix },
              ],
            },
            'recipe.colours',
          )
        }
      />
    );
  const total = colours.reduce((sum, c) => sum + (numberOf(c.share) || 0), 0);
  const even = (list: typeof colours) =>
    list.map((c) => ({ ...c, share: Math.round(100 / list.length) / 100 }));
  const one = () => {
    const { colours: _several, ...single } = draft.recipe;
    form.set((d) => ({ ...d, recipe: { ...single, mix: colours[at]!.mix } }), 'recipe.colours');
  };
  return (
    <View style={{ gap: space.s }}>
      <Choice
        label="Colours of this sitting"
        options={colours.map((c, i) => ({ key: String(i), name: String(c.name) || `${i + 1}` }))}
        value={String(at)}
        onChange={(key) => onChoose(Number(key))}
      />
      <View
        style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.m, alignItems: 'flex-end' }}
      >
        <View style={{ flexGrow: 1, flexBasis: 140 }}>
          <Field label="Name of this colour" {...form.text(`recipe.colours.${at}.name`)} />
        </View>
        <View style={{ marginBottom: space.m }}>
          <Stepper
            label="Its share of the area"
            unit="%"
            step={5}
            min={1}
            max={100}
            {...form.number(`recipe.colours.${at}.share`, 'percent')}
          />
        </View>
      </View>
      {Math.abs(total - 1) > 0.02 ? (
        <Notice>{`The shares make ${Math.round(total * 100)} %; the film is reckoned by their ratio.`}</Notice>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.s }}>
        {colours.length < MOST ? (
          <Action
            title="Another colour"
            onPress={() => {
              setRecipe(
                {
                  colours: even([
                    ...colours,
                    { ...colours[at]!, name: `colour ${colours.length + 1}` },
                  ]),
                },
                'recipe.colours',
              );
              onChoose(colours.length);
            }}
          />
        ) : null}
        {colours.length > 2 ? (
          <Action
            title="Without this one"
            kind="quiet"
            onPress={() => {
              setRecipe({ colours: even(colours.filter((_, i) => i !== at)) }, 'recipe.colours');
              onChoose(0);
            }}
          />
        ) : null}
        <Action title="This one only" kind="quiet" onPress={one} />
      </View>
      <Text size="small" tone="ink2">
        {`The mix of ${String(colours[at]!.name)}:`}
      </Text>
    </View>
  );
}
