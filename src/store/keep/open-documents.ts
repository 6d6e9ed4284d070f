import { unseal } from '@/core/formats/seal';
import type { Unreadable } from '../saving';
import type { Storage } from '../storage';
import { kindOf, PREFIX, type Kind, type Kinds } from './documents';
import type { Reader } from './reader';
import { asideKey, isSetAside, keyOfAside, whyUnreadable } from './set-aside';

/** What storage holds, by kind. */
export type Found = { [K in Kind]: Kinds[K][] };

/**
 * Stored texts as documents: those with a seal as they are, the others by the schemas.
 * @returns what was found, what nobody can read, and the keys of what was set aside and can be read again
 */
export async function openDocuments(
  stored: Record<string, string | null>,
  loadReader: () => Promise<Reader>,
): Promise<{ found: Found; unreadable: Unreadable[]; back: string[] }> {
  const found = Object.fromEntries(
    Object.keys(PREFIX).map((kind) => [kind, []]),
  ) as unknown as Found;
  const take = (kind: Kind, document: unknown) => (found[kind] as unknown[]).push(document);
  const unread: [string, string][] = [];
  for (const [key, raw] of Object.entries(stored)) {
    if (raw === null) continue;
    const sealed = isSetAside(key) ? null : unseal(raw);
    if (sealed) take(kindOf(key)!, sealed);
    else unread.push([key, raw]);
  }
  const unreadable: Unreadable[] = [];
  const back: string[] = [];
  const reader = unread.length > 0 ? await loadReader() : null;
  for (const [key, raw] of unread) {
    const own = isSetAside(key) ? keyOfAside(key) : key;
    const kind = kindOf(own);
    const why = whyUnreadable(reader!, own, raw);
    if (why || !kind) {
      // A draft was never more than half a document: one that cannot be read is passed over.
      if (kind !== 'draft' && why)
        unreadable.push({
          key: own,
          aside: why.later || isSetAside(key) ? key : asideKey(key, raw),
          message: why.message,
          raw,
        });
    } else if (key === own) take(kind, reader!.read(kind, JSON.parse(raw)));
    else if (!(own in stored)) {
      // A later edition can read what an earlier one had set aside.
      take(kind, reader!.read(kind, JSON.parse(raw)));
      back.push(key);
    }
  }
  return { found, unreadable, back };
}

/** Bytes that nobody can read go under a key of their own, so that theirs is free for what can be read. */
export async function setAside(
  storage: Pick<Storage, 'setMany' | 'removeMany'>,
  unreadable: Unreadable[],
  stored: Record<string, string | null>,
): Promise<void> {
  const moved = unreadable.filter((u) => u.aside !== u.key && !(u.aside in stored));
  if (moved.length === 0) return;
  await storage.setMany(Object.fromEntries(moved.map((u) => [u.aside, u.raw])));
  await storage.removeMany(moved.map((u) => u.key));
}
