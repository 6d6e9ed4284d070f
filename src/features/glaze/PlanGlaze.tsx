import { nanoid } from '@reduxjs/toolkit';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import type { Recipe } from '@/core/film';
import { placeCoat } from '@/core/painting/coats';
import { coatOver } from '@/core/painting/glaze-target';
import { coatAddress } from '@/features/addresses';
import { changePainting } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Says } from '@/ui/Says';
import { space } from '@/ui/tokens';
import type { Glaze } from './useGlaze';

/** Makes a glaze on the bench a planned coat of its passage; null where it lies over no passage. */
export function usePlanGlaze(
  glaze: Glaze,
): ((recipe: Recipe, kind?: 'glaze' | 'paint') => string) | null {
  const dispatch = useStoreDispatch();
  const { painting, passage } = glaze;
  if (!painting || !passage) return null;
  return (recipe, kind) => {
    const coat = { ...coatOver(passage.passage.id, recipe, kind), id: nanoid(12) };
    dispatch(
      changePainting(
        painting.id,
        `Planned ${kind === 'paint' ? 'a coat' : 'a glaze'} from the bench`,
        (p, making) => placeCoat(p, coat, { where: 'over-laid' }, making),
      ),
    );
    return coat.id;
  };
}

/** What is on the bench becomes the next coat of the passage. */
export function PlanGlaze({ glaze }: { glaze: Glaze }) {
  const router = useRouter();
  const plan = usePlanGlaze(glaze);
  const [last, setPlanned] = useState<string | null>(null);
  const { recipe, painting } = glaze;
  // Taken back, it is not planned any more.
  const planned = painting?.coats.some((c) => c.id === last) ? last : null;
  if (!plan || !recipe || !painting) return null;
  return (
    <View style={{ gap: space.s }}>
      <Action
        title={`Plan it on ${glaze.passage!.passage.name}`}
        kind="primary"
        onPress={() => setPlanned(plan(recipe))}
      />
      <Says>{planned ? 'Planned over what lies there now.' : ''}</Says>
      {planned ? (
        <Action
          title="Open the coat"
          kind="quiet"
          onPress={() => router.push(coatAddress(painting.id, planned))}
        />
      ) : null}
    </View>
  );
}
