import { View } from 'react-native';
import { COAT_ROLES, type Painting } from '@/core/painting';
import { APPLICATIONS } from '@/data/applications';
import { MATERIALS } from '@/data/materials';
import { SpotFields } from '@/features/SpotFields';
import { Choice, ManyChoice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { CARRIED_OVER, ROLE_APPLICATION, ROLE_MATERIAL } from './draft';
import { ROLE_NAME } from './names';
import type { CoatEditor } from './useCoatEditor';

const capital = (word: string): string => `${word.charAt(0).toUpperCase()}${word.slice(1)}`;

/** What the coat is called, what it is for, and where it goes. */
export function PlaceFields({ editor, painting }: { editor: CoatEditor; painting: Painting }) {
  const { form, draft, set } = editor;
  const laid = (id: string) => editor.laidOn.includes(id);
  return (
    <View>
      <Field label="Name of the coat" {...form.text('name')} />
      <Choice
        label="Role"
        options={COAT_ROLES.map((key) => ({ key, name: ROLE_NAME[key] }))}
        value={draft.role}
        onChange={(role) => {
          const application = ROLE_APPLICATION[role];
          const material = ROLE_MATERIAL[role] ?? null;
          const thicknessUm = material
            ? MATERIALS[material].typicalUm
            : APPLICATIONS[application].typicalUm;
          // A name that was only carried over from another coat gives way to what this one is.
          const carried = draft.name.endsWith(CARRIED_OVER);
          const name = material && carried ? capital(ROLE_NAME[role]) : draft.name;
          const recipe = material
            ? editor.asMaterial(material, thicknessUm)
            : editor.asPaint(thicknessUm);
          set({ role, name, application, recipe });
        }}
      />
      <ManyChoice
        label="Passages it covers"
        options={painting.passages.map((p) => ({
          key: p.id,
          name: laid(p.id) ? `${p.name}, laid` : p.name,
        }))}
        values={draft.passageIds}
        // A passage on which it lies already cannot be taken out of it.
        onChange={(ids) =>
          set({
            passageIds: painting.passages
              .map((p) => p.id)
              .filter((id) => ids.includes(id) || laid(id)),
          })
        }
      />
      {form.problem('passageIds') ? (
        <Notice tone="refusal">{form.problem('passageIds')}</Notice>
      ) : null}
      <SpotFields
        spot={draft.spot}
        onChange={(spot) => set({ spot })}
        name={form.text('spot.name')}
        share={form.number('spot.share', 'percent')}
      />
    </View>
  );
}
