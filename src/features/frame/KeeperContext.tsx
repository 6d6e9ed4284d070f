import { createContext, useContext } from 'react';
import type { Keeper } from '@/store/keep/keeper';

const KeeperContext = createContext<Keeper | null>(null);
export const KeeperProvider = KeeperContext.Provider;

export function useKeeper(): Keeper {
  const keeper = useContext(KeeperContext);
  if (!keeper)
    throw new Error(
      'useKeeper is used outside KeeperProvider. Wrap the screen in the Studio component.',
    );
  return keeper;
}
