import { z } from 'zod';
import { CoreError } from '../errors';
import { issuesOf } from '../issues';
import { CABINET_SCHEMA_VERSION, cabinetSchema, type Cabinet } from '../cabinet/schema';
import { PAINTING_SCHEMA_VERSION, paintingSchema, type Painting } from '../painting/schema';
import { migrate, type MigrationSteps } from './migrate';
import { CLIMATE_MONTH_VERSION, climateMonthSchema, type ClimateMonth } from '../climate/readings';
import { SESSION_SCHEMA_VERSION, sessionSchema, type Session } from '../session/schema';
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
/** Version 2 follows the air over time. */
export const STUDIO_STEPS: MigrationSteps = {
  1: (studio) => ({
    ...studio,
    dayNight: null,
    followReadings: true,
    loggerOn: false,
    forgotten: [],
  }),
};
const CABINET_STEPS: MigrationSteps = {};
/** The first edition had no cabinet. */
const EXPORT_STEPS: MigrationSteps = {
  1: (file) => ({ ...file, cabinet: null }),
  2: (file) => ({ ...file, sessions: [], climate: [], photos: [] }),
};

export const EXPORT_SCHEMA_VERSION = 3;
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

export const readSession = (raw: unknown): Session =>
  parse(sessionSchema, migrate(raw, SESSION_SCHEMA_VERSION, {}, 'The session'), 'The session');

export const readClimateMonth = (raw: unknown): ClimateMonth =>
  parse(climateMonthSchema, migrate(raw, CLIMATE_MONTH_VERSION, {}, 'The climate'), 'The climate');

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
  /** The log of the studio, its readings, and its photos as JPEG in base 64. */
  sessions: Session[];
  climate: ClimateMonth[];
  photos: KeptPhoto[];
}

/** A photo without anything but its picture. */
const keptPhotoSchema = z.object({
  id: z.string().min(1).max(80),
  jpeg: z.base64({ error: 'A photo must be a JPEG in base 64.' }),
});
export type KeptPhoto = z.infer<typeof keptPhotoSchema>;

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
  sessions: z.array(z.unknown()).max(50_000),
  climate: z.array(z.unknown()).max(2400),
  photos: z.array(keptPhotoSchema).max(20_000),
});

export const exportFile = (
  kind: ExportFile['kind'],
  paintings: Painting[],
  studio: Studio | null,
  exportedAt: string,
  cabinet: Cabinet | null = null,
  log: Partial<Pick<ExportFile, 'sessions' | 'climate' | 'photos'>> = {},
): ExportFile => ({
  format: EXPORT_FORMAT,
  schemaVersion: EXPORT_SCHEMA_VERSION,
  exportedAt,
  kind,
  studio,
  cabinet,
  paintings,
  sessions: log.sessions ?? [],
  climate: log.climate ?? [],
  photos: log.photos ?? [],
});

const within = <T>(prefix: string, read: () => T): T => {
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
    sessions: envelope.sessions.map((s, i) => within(`sessions.${i}`, () => readSession(s))),
    climate: envelope.climate.map((c, i) => within(`climate.${i}`, () => readClimateMonth(c))),
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
