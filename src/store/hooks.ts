import { useDispatch, useSelector } from 'react-redux';
import { swatchesOf } from '@/core/cabinet/swatches';
import type { AirRecord, FollowedAir } from '@/core/climate';
import type { Swatches } from '@/core/optics/composition';
import type { AssessOptions, Painting, PaintingAssessment } from '@/core/painting';
import type { SolveRequest } from '@/workers/protocol';
import {
  selectAir,
  selectAirRecord,
  selectAssessment,
  selectAssessments,
  selectNow,
  selectOptions,
  selectPainting,
  selectPaintings,
  selectSolverAir,
} from './select';
import type { Dispatch, State } from './store';

/** The selectors as hooks: what a screen asks for is worked out once for all of them. */

export const useStoreDispatch = () => useDispatch<Dispatch>();
export const useStoreSelector = <T>(select: (state: State) => T): T => useSelector(select);

/** The present, the same on every screen. */
export const useNow = (): number => useStoreSelector(selectNow);
export const useAirRecord = (): AirRecord | null => useStoreSelector(selectAirRecord);
export const useAir = (): FollowedAir | null => useStoreSelector(selectAir);
export const useSolverAir = (): Pick<SolveRequest, 'climate' | 'air' | 'learned'> =>
  useStoreSelector(selectSolverAir);
export const useAssessOptions = (): AssessOptions => useStoreSelector(selectOptions);
export const usePainting = (id: string): Painting | undefined =>
  useStoreSelector((state) => selectPainting(state, id));
export const usePaintings = (): Painting[] => useStoreSelector(selectPaintings);
export const useAssessment = (id: string): PaintingAssessment | null =>
  useStoreSelector((state) => selectAssessment(state, id));
export const useAssessments = (): PaintingAssessment[] => useStoreSelector(selectAssessments);
/** What the painter's swatches say of tubes: colours go by them on every screen. */
export const useSwatches = (): Swatches => useStoreSelector((state) => swatchesOf(state.cabinet));
