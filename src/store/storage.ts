import { createAsyncStorage } from '@react-native-async-storage/async-storage';

/** The part of AsyncStorage that is used. `setMany` is one transaction: all of it or nothing. */
export interface Storage {
  getItem(key: string): Promise<string | null>;
  setItem(key: string, value: string): Promise<void>;
  removeItem(key: string): Promise<void>;
  getAllKeys(): Promise<string[]>;
  getMany(keys: string[]): Promise<Record<string, string | null>>;
  setMany(entries: Record<string, string>): Promise<void>;
  removeMany(keys: string[]): Promise<void>;
  /** Let go of a connection that the browser may have closed: what is asked next opens another. */
  reopen(): void;
}

export const STORAGE_NAME = 'tawny-hour';

/** IndexedDB through AsyncStorage, with a connection that can be made anew. */
function openBrowser(): Storage {
  let handle = createAsyncStorage(STORAGE_NAME);
  return {
    getItem: (key) => handle.getItem(key),
    setItem: (key, value) => handle.setItem(key, value),
    removeItem: (key) => handle.removeItem(key),
    getAllKeys: () => handle.getAllKeys(),
    getMany: (keys) => handle.getMany(keys),
    setMany: (entries) => handle.setMany(entries),
    removeMany: (keys) => handle.removeMany(keys),
    reopen() {
      // AsyncStorage keeps one connection a name for as long as the page lives, also one that the browser has closed
      // (site data cleared). It tells names apart as objects: the same name as another object is another connection
      // to the same database.
      handle = createAsyncStorage(Object(STORAGE_NAME) as string);
    },
  };
}

let opened: Storage | null = null;

/** The one store of this browser. Opened here and nowhere else. */
export const browserStorage = (): Storage => (opened ??= openBrowser());

/** Tests put a store in memory in its place; null gives the browser's back. */
export function replaceBrowserStorage(storage: Storage | null): void {
  opened = storage;
}
