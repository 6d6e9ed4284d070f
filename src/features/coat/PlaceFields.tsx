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
  const { draft, set, checked } = editor;
  const laid = (id: string) => editor.laidOn.includes(id);
  return (
    <View>
      <Field
        label="Name of the coat"
        value={draft.name}
        onChangeText={(name) => set({ name })}
        error={checked.problem('name')}
      />
      <Choice
        label="Role"
        options={COAT_ROLES.map((key) => ({ key, name: ROLE_NAME[key] }))}
        value={draft.role}
        onChange={(role) => {
          const application = ROLE_APPLICATION[role];
          const material = ROLE_MATERIAL[role] ?? null;
          const typicalUm = material
            ? MATERIALS[material].typicalUm
            : APPLICATIONS[application].typicalUm;
          // A name that was only carried over from another coat gives way to what this one is.
          const carried = draft.name.endsWith(CARRIED_OVER);
          const name = material && carried ? capital(ROLE_NAME[role]) : draft.name;
          set({ role, name, application, material, thicknessUm: String(typicalUm) });
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
      {checked.problem('passageIds') ? (
        <Notice tone="refusal">{checked.problem('passageIds')}</Notice>
      ) : null}
      <SpotFields
        spot={draft.spot}
        onChange={(spot) => set({ spot })}
        nameProblem={checked.problem('spot.name')}
        shareProblem={checked.problem('spot.share')}
      />
    </View>
  );
}
