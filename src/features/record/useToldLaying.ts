import { useMemo } from 'react';
import type { Coat, Painting, Spot } from '@/core/painting';
import { toldLaying, type ToldLaying } from '@/core/tell/laying';
import { useAssessOptions } from '@/store/hooks';

/** What is to be said of a laying; judged anew only when what it is judged from has changed, not with every second. */
export function useToldLaying(
  painting: Painting,
  coat: Coat,
  passageIds: string[],
  spot: Spot | null,
  atMs: number,
): ToldLaying {
  const options = useAssessOptions();
  // Passages are told by their names: the list is often made anew.
  const names = JSON.stringify(passageIds);
  return useMemo(
    () =>
      toldLaying(
        painting,
        { coat, passageIds: JSON.parse(names) as string[], spot, atMs },
        options,
      ),
    [painting, coat, names, spot, atMs, options],
  );
}
