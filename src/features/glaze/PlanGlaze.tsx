import { nanoid } from '@reduxjs/toolkit';
import { useRouter } from 'expo-router';
import { useDeferredValue, useMemo, useState } from 'react';
import { View } from 'react-native';
import type { Recipe } from '@/core/film';
import { placeCoat } from '@/core/painting/coats';
import { coatOver, objectionTo, tryOver } from '@/core/glaze/for-passage';
import { coatAddress } from '@/features/addresses';
import { changePainting } from '@/store/actions';
import { useAssessOptions, useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Says } from '@/ui/Says';
import { Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import type { Glaze } from './useGlaze';

/** Makes a glaze on the bench a planned coat of its passage; null where it lies over no passage. */
export function usePlanGlaze(
  { painting, passage }: Pick<Glaze, 'painting' | 'passage'>,
  from = 'from the bench',
): ((recipe: Recipe, kind?: 'glaze' | 'paint') => string) | null {
  const dispatch = useStoreDispatch();
  if (!painting || !passage) return null;
  return (recipe, kind) => {
    const coat = { ...coatOver(passage.passage.id, recipe, kind), id: nanoid(12) };
    dispatch(
      changePainting(
        painting.id,
        `Planned ${kind === 'paint' ? 'a coat' : 'a glaze'} ${from}`,
        (p, making) => placeCoat(p, coat, { where: 'over-laid' }, making),
      ),
    );
    return coat.id;
  };
}

/** What is said against the glaze as the next coat of its passage; null where it holds, or lies over none. */
function useObjection({ painting, passage, recipe }: Glaze): string | null {
  const options = useAssessOptions();
  // The whole painting is judged with it: behind the finger that moves the thickness.
  const asked = useDeferredValue(recipe);
  return useMemo(() => {
    if (!painting || !passage || !asked) return null;
    const tried = tryOver(painting, coatOver(passage.passage.id, asked), options);
    return tried && objectionTo(tried);
  }, [painting, passage, asked, options]);
}

/** What is on the bench becomes the next coat of the passage. */
export function PlanGlaze({ glaze }: { glaze: Glaze }) {
  const router = useRouter();
  const plan = usePlanGlaze(glaze);
  const objection = useObjection(glaze);
  const [last, setLast] = useState<{ id: string; recipe: Recipe } | null>(null);
  const { recipe, painting } = glaze;
  // Taken back, it is not planned any more; another mix is another coat.
  const planned = painting?.coats.some((c) => c.id === last?.id) ? last : null;
  if (!plan || !recipe || !painting) return null;
  return (
    <View style={{ gap: space.s }}>
      <Says>
        <Text strong tone={objection ? 'brick' : 'ink'}>
          {objection ?? 'It holds over what lies there now.'}
        </Text>
      </Says>
      <Action
        title={`Plan it on ${glaze.passage!.passage.name}`}
        kind="primary"
        disabled={planned?.recipe === recipe}
        onPress={() => setLast({ id: plan(recipe), recipe })}
      />
      <Says>{planned ? <Text>Planned over what lies there now.</Text> : null}</Says>
      {planned ? (
        <Action
          title="Open the coat"
          kind="quiet"
          onPress={() => router.push(coatAddress(painting.id, planned.id))}
        />
      ) : null}
    </View>
  );
}
