import { View } from 'react-native';
import { COAT_ROLES, type Painting } from '@/core/painting';
import { APPLICATIONS } from '@/data/applications';
import { Choice, ManyChoice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Stepper } from '@/ui/Stepper';
import { space } from '@/ui/tokens';
import { ROLE_APPLICATION } from './draft';
import { ROLE_NAME } from './names';
import type { CoatEditor } from './useCoatEditor';

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
          set({ role, application, thicknessUm: String(APPLICATIONS[application].typicalUm) });
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
      <Choice
        label="How much of them"
        options={[
          { key: 'all', name: 'all of it' },
          { key: 'spot', name: 'a spot' },
        ]}
        value={draft.spot.on ? 'spot' : 'all'}
        onChange={(key) =>
          set({
            spot: { ...draft.spot, on: key === 'spot', name: draft.spot.name || 'highlights' },
          })
        }
      />
      {draft.spot.on ? (
        <View
          style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.m, alignItems: 'flex-end' }}
        >
          <View style={{ flexGrow: 1, flexBasis: 160 }}>
            <Field
              label="The spot"
              value={draft.spot.name}
              onChangeText={(name) => set({ spot: { ...draft.spot, name } })}
              error={checked.problem('spot.name')}
            />
          </View>
          <View style={{ marginBottom: space.m }}>
            <Stepper
              label="Its share of the passage"
              unit="%"
              step={5}
              min={1}
              max={100}
              text={draft.spot.sharePct}
              onChangeText={(sharePct) => set({ spot: { ...draft.spot, sharePct } })}
              error={checked.problem('spot.share')}
            />
          </View>
        </View>
      ) : null}
    </View>
  );
}
