import { z } from 'zod';
import { CoreError } from '../errors';
import { issuesOf } from '../issues';
import { CABINET_SCHEMA_VERSION, cabinetSchema, type Cabinet } from '../cabinet/schema';
import { PAINTING_SCHEMA_VERSION, paintingSchema, type Painting } from '../painting/schema';
import { migrate, type MigrationSteps } from './migrate';
import { STUDIO_SCHEMA_VERSION, studioSchema, type Studio } from './studio';

/**
 * Steps from older versions. Version 2 of a painting only allows more: own tubes, other materials, more
 * grounds and supports, overruled rules; what version 1 said means the same. Version 3 adds touch tests, what
 * bothers, gates and reasons.
 */
export const PAINTING_STEPS: MigrationSteps = {
  1: (painting) => painting,
  2: (painting) => painting,
};
export const STUDIO_STEPS: MigrationSteps = {};
const CABINET_STEPS: MigrationSteps = {};
/** The first edition had no cabinet. */
const EXPORT_STEPS: MigrationSteps = { 1: (file) => ({ ...file, cabinet: null }) };

export const EXPORT_SCHEMA_VERSION = 2;
export const EXPORT_FORMAT = 'tawny-hour';

/** The first thing wrong, as "field: sentence". */
export function firstIssue(error: z.ZodError): { where: string; message: string } {
  const [issue] = issuesOf(error);
  return { where: issue?.where || 'document', message: issue?.message ?? 'unreadable' };
}

function parse<T>(schema: z.ZodType<T>, document: unknown, what: string): T {
  const result = schema.safeParse(document);
  if (result.success) return result.data;
  const { where, message } = firstIssue(result.error);
  throw new CoreError(
    'document-unreadable',
    where,
    `${what}: the field "${where}" cannot be read. ${message}`,
  );
}

/** A painting document of any known version. Throws CoreError naming the field. */
export const readPainting = (raw: unknown): Painting =>
  parse(
    paintingSchema,
    migrate(raw, PAINTING_SCHEMA_VERSION, PAINTING_STEPS, 'The painting'),
    'The painting',
  );

export const readStudio = (raw: unknown): Studio =>
  parse(
    studioSchema,
    migrate(raw, STUDIO_SCHEMA_VERSION, STUDIO_STEPS, 'The studio'),
    'The studio',
  );

export const readCabinet = (raw: unknown): Cabinet =>
  parse(
    cabinetSchema,
    migrate(raw, CABINET_SCHEMA_VERSION, CABINET_STEPS, 'The cabinet'),
    'The cabinet',
  );

/** What is exported: one painting, or the whole studio with its settings. */
export interface ExportFile {
  format: typeof EXPORT_FORMAT;
  schemaVersion: number;
  exportedAt: string;
  kind: 'painting' | 'studio';
  studio: Studio | null;
  cabinet: Cabinet | null;
  paintings: Painting[];
}

const envelopeSchema = z.object({
  format: z.literal(EXPORT_FORMAT, { error: 'This file was not written by Tawny Hour.' }),
  schemaVersion: z.literal(EXPORT_SCHEMA_VERSION),
  exportedAt: z.iso.datetime({
    error: 'Must be a date and time such as 2026-02-17T10:15:00.000Z.',
  }),
  kind: z.enum(['painting', 'studio']),
  studio: z.unknown(),
  cabinet: z.unknown(),
  paintings: z.array(z.unknown()).max(2000),
});

export const exportFile = (
  kind: ExportFile['kind'],
  paintings: Painting[],
  studio: Studio | null,
  exportedAt: string,
  cabinet: Cabinet | null = null,
): ExportFile => ({
  format: EXPORT_FORMAT,
  schemaVersion: EXPORT_SCHEMA_VERSION,
  exportedAt,
  kind,
  studio,
  cabinet,
  paintings,
});

const within = (prefix: string, read: () => Painting): Painting => {
  try {
    return read();
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    const where = `${prefix}.${error.where}`;
    throw new CoreError(error.code, where, error.message.replace(`"${error.where}"`, `"${where}"`));
  }
};

/**
 * Read an exported file. Everything in it is checked before anything is given back, so a bad file
 * changes nothing. Throws `document-not-json`, `document-unreadable`, `document-too-new`, each naming
 * the field.
 */
export function readExport(text: string): ExportFile {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    throw new CoreError(
      'document-not-json',
      'file',
      'The file is not JSON. Choose a file that was exported from Tawny Hour.',
    );
  }
  const envelope = parse(
    envelopeSchema,
    migrate(raw, EXPORT_SCHEMA_VERSION, EXPORT_STEPS, 'The file'),
    'The file',
  );
  const paintings = envelope.paintings.map((p, i) =>
    within(`paintings.${i}`, () => readPainting(p)),
  );
  const ids = paintings.map((p) => p.id);
  const twice = ids.findIndex((x, i) => ids.indexOf(x) !== i);
  if (twice !== -1) {
    throw new CoreError(
      'document-unreadable',
      `paintings.${twice}.id`,
      `The file: the field "paintings.${twice}.id" names a painting that the file holds already.`,
    );
  }
  return {
    ...envelope,
    paintings,
    studio:
      envelope.studio === null || envelope.studio === undefined
        ? null
        : readStudio(envelope.studio),
    cabinet:
      envelope.cabinet === null || envelope.cabinet === undefined
        ? null
        : readCabinet(envelope.cabinet),
  };
}
