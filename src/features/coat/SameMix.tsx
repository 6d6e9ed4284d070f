import { useState } from 'react';
import { View } from 'react-native';
import type { Coat, Painting } from '@/core/painting';
import { Action } from '@/ui/Action';
import { Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import type { CoatEditor } from './useCoatEditor';

const AT_ONCE = 3;

/** Coats of this painting with a mix of their own, what was laid last first; each mix once. */
function mixesOf(painting: Painting, exceptId: string): { coat: Coat; name: string }[] {
  const lastLaid = new Map<string, string>();
  for (const e of painting.events) if (e.kind === 'laid') lastLaid.set(e.coatId, e.at);
  const when = (c: Coat) => lastLaid.get(c.id) ?? '';
  const seen = new Set<string>();
  return painting.coats
    .filter((c) => c.id !== exceptId && c.recipe.mix.length > 0)
    .sort((a, b) => when(b).localeCompare(when(a)))
    .filter((c) => {
      const key = JSON.stringify([c.recipe.mix, c.recipe.medium, c.recipe.mediumShare]);
      return !seen.has(key) && seen.add(key);
    })
    .map((coat) => {
      const names = painting.passages
        .filter((p) => coat.passageIds.includes(p.id))
        .map((p) => p.name);
      return {
        coat,
        name: names.length === painting.passages.length ? coat.name : `${coat.name}, ${names[0]}`,
      };
    });
}

/** The mix of another coat, in one tap. */
export function SameMix({ editor, painting }: { editor: CoatEditor; painting: Painting }) {
  const [all, setAll] = useState(false);
  const mixes = mixesOf(painting, editor.draft.id);
  if (mixes.length === 0) return null;
  const take = ({ recipe }: Coat) =>
    editor.form.set(
      (d) => ({ ...d, recipe: { ...recipe, thicknessUm: d.recipe.thicknessUm } }),
      'recipe.mix',
    );
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.xs, alignItems: 'center' }}>
      <Text size="small" tone="ink2">
        Same mix as
      </Text>
      {(all ? mixes : mixes.slice(0, AT_ONCE)).map(({ coat, name }) => (
        <Action
          key={coat.id}
          title={name}
          label={`${name}: the same mix`}
          kind="quiet"
          onPress={() => take(coat)}
        />
      ))}
      {!all && mixes.length > AT_ONCE ? (
        <Action title="More …" label="More … mixes" kind="quiet" onPress={() => setAll(true)} />
      ) : null}
    </View>
  );
}
