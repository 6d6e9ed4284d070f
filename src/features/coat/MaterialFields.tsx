import { View } from 'react-native';
import { MATERIAL_KEYS, MATERIALS, type MaterialKey } from '@/data/materials';
import { Choice } from '@/ui/Choice';
import { Heading } from '@/ui/Text';
import { space } from '@/ui/tokens';
import type { CoatEditor } from './useCoatEditor';

const KINDS = [
  { key: 'paint', name: 'paint, mixed' },
  { key: 'other', name: 'drawing, pastel, tempera, varnish …' },
] as const;

/** Whether the coat is paint, or something that is laid as it comes. */
export function MaterialFields({ editor }: { editor: CoatEditor }) {
  const { form } = editor;
  const { recipe } = editor.draft;
  const material = recipe.material ?? null;
  const take = (chosen: MaterialKey) =>
    form.put('recipe', editor.asMaterial(chosen, MATERIALS[chosen].typicalUm));
  return (
    <View>
      <Heading style={{ marginBottom: space.s }}>What it is</Heading>
      <Choice
        label="What it is"
        hideLabel
        options={[...KINDS]}
        value={material === null ? 'paint' : 'other'}
        onChange={(key) =>
          key === 'paint'
            ? form.put('recipe', editor.asPaint(recipe.thicknessUm))
            : take(material ?? 'charcoal')
        }
      />
      {material !== null ? (
        <Choice
          label="Material"
          options={MATERIAL_KEYS.map((key) => ({ key, name: MATERIALS[key].name }))}
          value={material}
          onChange={take}
        />
      ) : null}
    </View>
  );
}
