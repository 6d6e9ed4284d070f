import { View } from 'react-native';
import { COAT_ROLES, unlaidPassages, type Painting } from '@/core/painting';
import { correctionCoat } from '@/core/painting/corrections';
import { APPLICATIONS } from '@/data/applications';
import { MATERIALS } from '@/data/materials';
import { SpotFields } from '@/features/SpotFields';
import { Choice, ManyChoice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { nameForRole, ROLE_APPLICATION, ROLE_MATERIAL } from './draft';
import { ROLE_NAME } from './names';
import type { CoatEditor } from './useCoatEditor';

/** What the coat is called, what it is for, and where it goes. */
export function PlaceFields({ editor, painting }: { editor: CoatEditor; painting: Painting }) {
  const { form, draft, set } = editor;
  const laid = (id: string) => editor.laidOn.includes(id);
  return (
    <View>
      {editor.isNew ? <Belongs editor={editor} painting={painting} /> : null}
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
          const name = nameForRole(draft.name, draft.role, role);
          const recipe = material
            ? editor.asMaterial(material, thicknessUm)
            : role === 'oiling-out' && draft.recipe.mix.length === 0
              ? correctionCoat('oiled-out', draft.id, draft.passageIds).recipe
              : editor.asPaint(thicknessUm);
          set({ role, name, application, recipe });
          if (editor.isNew && role === 'varnish') editor.setPlace({ where: 'last' });
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

/** Where a new coat belongs in the list. */
function Belongs({ editor, painting }: { editor: CoatEditor; painting: Painting }) {
  const { place, setPlace, draft, set } = editor;
  const planned = painting.coats.filter((c) => unlaidPassages(painting, c).length > 0);
  const key = place.where === 'over-laid' ? (draft.onto === 'wet' ? 'wet' : 'over') : place.where;
  return (
    <>
      <Choice
        label="Where it belongs"
        options={[
          { key: 'over', name: 'over what is laid now' },
          { key: 'wet', name: 'into the wet' },
          ...(planned.length > 0
            ? [
                { key: 'before' as const, name: 'before a planned coat' },
                { key: 'after' as const, name: 'after a planned coat' },
                { key: 'last' as const, name: 'last of all' },
              ]
            : []),
        ]}
        value={key}
        onChange={(where) => {
          const wet = where === 'wet';
          if (wet || draft.onto === 'wet') set({ onto: wet ? 'wet' : 'touch-dry' });
          setPlace(
            where === 'before' || where === 'after'
              ? { where, coatId: planned[0]!.id }
              : where === 'last'
                ? { where: 'last' }
                : { where: 'over-laid' },
          );
        }}
      />
      {place.where === 'before' || place.where === 'after' ? (
        <Choice
          label={place.where === 'before' ? 'Before' : 'After'}
          options={planned.map((c) => ({ key: c.id, name: c.name }))}
          value={place.coatId}
          onChange={(coatId) => setPlace({ where: place.where as 'before', coatId })}
        />
      ) : null}
    </>
  );
}
