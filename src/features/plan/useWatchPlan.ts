import { useEffect } from 'react';
import { useStoreDispatch } from '@/store/hooks';
import { planLeftAlone, planWatched } from '@/store/planned';

/** Says that a screen of the plan is open: then it is made at once when something has changed. */
export function useWatchPlan(): void {
  const dispatch = useStoreDispatch();
  useEffect(() => {
    dispatch(planWatched());
    return () => void dispatch(planLeftAlone());
  }, [dispatch]);
}
