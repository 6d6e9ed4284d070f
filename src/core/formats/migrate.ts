import { CoreError } from '../errors';

/** One step: a document of version n becomes one of version n + 1. Keyed by n. */
export type MigrationSteps = Record<
  number,
  (document: Record<string, unknown>) => Record<string, unknown>
>;

/**
 * Bring a stored document up to `current`, one version at a time.
 * Throws `document-too-new` for a version from a later edition of the program, `document-unreadable`
 * when the version is missing or no step leads on.
 */
export function migrate(
  raw: unknown,
  current: number,
  steps: MigrationSteps,
  what: string,
): Record<string, unknown> {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) {
    throw new CoreError('document-unreadable', what, `${what} is not a document of this program.`);
  }
  let doc = raw as Record<string, unknown>;
  const version = doc.schemaVersion;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    throw new CoreError(
      'document-unreadable',
      `${what}.schemaVersion`,
      `${what} has no schemaVersion. It was not written by this program.`,
    );
  }
  if (version > current) {
    throw new CoreError(
      'document-too-new',
      `${what}.schemaVersion`,
      `${what} has version ${version}; this edition reads up to ${current}. Update the program and open it again.`,
    );
  }
  for (let v = version; v < current; v++) {
    const step = steps[v];
    if (!step) {
      throw new CoreError(
        'document-unreadable',
        `${what}.schemaVersion`,
        `${what} has version ${v}, from which nothing leads on.`,
      );
    }
    doc = { ...step(doc), schemaVersion: v + 1 };
  }
  return doc;
}
