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
}

export const STORAGE_NAME = 'tawny-hour';

let opened: Storage | null = null;

/** The one store of this browser: IndexedDB through AsyncStorage. Opened here and nowhere else. */
export const browserStorage = (): Storage => (opened ??= createAsyncStorage(STORAGE_NAME));

/** Tests put a store in memory in its place; null gives the browser's back. */
export function replaceBrowserStorage(storage: Storage | null): void {
  opened = storage;
}
