import CRC32 from 'crc-32';

/**
 * A document as it stands in storage. It begins with a seal: the edition of the schemas that accepted it when it was
 * written, and a check sum over all that follows. A document whose seal holds was accepted by these very schemas and
 * has not changed since: it is taken as it is, so that opening a studio does not wait for the schemas. Every other
 * (older, torn, written by hand) goes through them.
 */

/**
 * Counted up with every change of what a stored document may be; a test (seal.test.ts) fails where a schema has
 * changed and this has not.
 */
export const SEAL_EDITION = 10;

const OPENING = '{"sealed":"';
const sumOf = (rest: string): string => (CRC32.str(rest) >>> 0).toString(16).padStart(8, '0');

/** The text of a document that the schemas have accepted, with its seal as first field. */
export const seal = (document: object): string => sealText(JSON.stringify(document));

/** The same of a document that is text already; it has at least one field. */
export function sealText(json: string): string {
  const rest = `",${json.slice(1)}`;
  return `${OPENING}${SEAL_EDITION}.${sumOf(rest)}${rest}`;
}

/** The document, where its seal holds; null where it has none, an older one, or the text was changed. */
export function unseal(text: string): object | null {
  if (!text.startsWith(OPENING)) return null;
  const end = text.indexOf('"', OPENING.length);
  if (end === -1) return null;
  const rest = text.slice(end);
  if (text.slice(OPENING.length, end) !== `${SEAL_EDITION}.${sumOf(rest)}`) return null;
  const { sealed: _seal, ...document } = JSON.parse(text) as Record<string, unknown>;
  return document;
}
