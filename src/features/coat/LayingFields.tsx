import { View } from 'react-native';
import { ONTO, type Painting } from '@/core/painting';
import { APPLICATION_KEYS, APPLICATIONS } from '@/data/applications';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Stepper } from '@/ui/Stepper';
import { Heading } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { ONTO_NAME } from './names';
import { TimeFields } from './TimeFields';
import type { CoatEditor } from './useCoatEditor';

/** How it is put on, how thick, and on what. */
export function LayingFields({ editor, painting }: { editor: CoatEditor; painting: Painting }) {
  const { form, draft, set } = editor;
  const { rangeUm } = APPLICATIONS[draft.application];
  return (
    <View>
      <Heading style={{ marginBottom: space.s }}>How it is put on</Heading>
      <Choice
        label="Applied as"
        hideLabel
        options={APPLICATION_KEYS.map((key) => ({ key, name: APPLICATIONS[key].name }))}
        value={draft.application}
        onChange={(application) =>
          set({
            application,
            recipe: { ...draft.recipe, thicknessUm: APPLICATIONS[application].typicalUm },
          })
        }
      />
      <View style={{ marginBottom: space.m }}>
        <Stepper
          label={`Dry thickness, usually ${rangeUm[0]} to ${rangeUm[1]} µm`}
          unit="µm"
          step={draft.application === 'rubbed-on' ? 1 : 5}
          min={1}
          max={10000}
          {...form.number('recipe.thicknessUm', 'micrometres')}
        />
      </View>
      <Choice
        label="It goes on"
        options={ONTO.map((key) => ({ key, name: ONTO_NAME[key] }))}
        value={draft.onto}
        onChange={(onto) => set({ onto })}
      />
      <TimeFields editor={editor} painting={painting} />
      <Field label="Why, for the day you come back to it" {...form.text('why')} />
    </View>
  );
}
