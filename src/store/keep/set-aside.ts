import CRC32 from 'crc-32';
import { CoreError } from '@/core/errors';
import { kindOf } from './documents';
import type { Reader } from './reader';

/**
 * What nobody can read is moved out of the way, with its bytes, so that its key is free and everything else goes on
 * being kept. It stays until the painter throws it away; where a later edition can read it, it comes back by itself.
 */
const PREFIX = 'set-aside:';
const SUM = /#[0-9a-f]{8}$/;

export const isSetAside = (key: string): boolean => key.startsWith(PREFIX);

/** Where the bytes of a document are set aside: two that differ do not take each other's place. */
export const asideKey = (key: string, raw: string): string =>
  `${PREFIX}${key}#${(CRC32.str(raw) >>> 0).toString(16).padStart(8, '0')}`;

/** The key that what is set aside had. */
export const keyOfAside = (aside: string): string => aside.slice(PREFIX.length).replace(SUM, '');

/** Why a stored text cannot be read, in a painter's words; null when it can. `later`: a later edition wrote it. */
export function whyUnreadable(
  reader: Reader,
  key: string,
  raw: string,
): { message: string; later: boolean } | null {
  const kind = kindOf(key);
  if (!kind) return { message: 'Nobody knows what it is.', later: false };
  try {
    reader.read(kind, JSON.parse(raw));
    return null;
  } catch (error) {
    if (error instanceof CoreError)
      return { message: error.message, later: error.code === 'document-too-new' };
    return { message: 'It is torn: its text ends or breaks where it should not.', later: false };
  }
}
