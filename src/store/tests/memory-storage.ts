import type { Storage } from '../storage';

/** A store in memory, for tests, that can be made to fail with a reason. */
export function memoryStorage() {
  const data = new Map<string, string>();
  let failing: string | null = null;
  const write = (change: () => void): Promise<void> => {
    if (failing) return Promise.reject(new Error(failing));
    change();
    return Promise.resolve();
  };
  const storage: Storage = {
    getItem: (key) => Promise.resolve(data.get(key) ?? null),
    setItem: (key, value) => write(() => data.set(key, value)),
    removeItem: (key) => write(() => data.delete(key)),
    getAllKeys: () => Promise.resolve([...data.keys()]),
    getMany: (keys) =>
      Promise.resolve(Object.fromEntries(keys.map((k) => [k, data.get(k) ?? null]))),
    setMany: (entries) => write(() => Object.entries(entries).forEach(([k, v]) => data.set(k, v))),
    removeMany: (keys) => write(() => keys.forEach((k) => data.delete(k))),
    reopen: () => undefined,
  };
  return { data, storage, fail: (reason: string | null) => (failing = reason) };
}
