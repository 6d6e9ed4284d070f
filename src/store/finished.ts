/**
 * A document as it goes into the store: nothing changes it there, it is only ever replaced. Frozen, so that the store
 * need not look through all of it for what might be changed; of two thousand documents that takes longer than to read them.
 */
export const finished = <T extends object>(document: T): Readonly<T> => Object.freeze(document);
