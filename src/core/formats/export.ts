import { z } from 'zod';
import type { Cabinet } from '../cabinet/schema';
import type { ClimateMonth } from '../climate/readings-schema';
import { CoreError } from '../errors';
import type { Painting } from '../painting/schema';
import type { PlanRecord } from '../plan-record/schema';
import type { Session } from '../session/schema';
import {
  parse,
  readCabinet,
  readClimateMonth,
  readPainting,
  readPlanRecord,
  readSession,
  readStudio,
} from './documents';
import { migrate, type MigrationSteps } from './migrate';
import type { Studio } from './studio-schema';

/** The first edition had no cabinet. */
const EXPORT_STEPS: MigrationSteps = {
  1: (file) => ({ ...file, cabinet: null }),
  2: (file) => ({ ...file, sessions: [], climate: [], photos: [] }),
  3: (file) => ({ ...file, plan: null }),
  4: (file) => ({ ...file, unreadable: [], id: '', lineage: [] }),
  5: (file) => file,
};

export const EXPORT_SCHEMA_VERSION = 6;
export const EXPORT_FORMAT = 'tawny-hour';

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
  /** Working hours, pins, and what the plan has said. */
  plan: PlanRecord | null;
  /** Of this file, and of all that the studio in it descends from; empty in files of older editions. */
  id: string;
  lineage: string[];
  /** What could not be read is carried along as it is. */
  unreadable: UnreadableDocument[];
}

/** A photo without anything but its picture. */
const keptPhotoSchema = z.object({
  id: z.string().min(1).max(80),
  jpeg: z.base64({ error: 'A photo must be a JPEG in base 64.' }),
});
export type KeptPhoto = z.infer<typeof keptPhotoSchema>;

/** A document that the program could not read, with its bytes as they stood in storage. */
const unreadableSchema = z.object({ key: z.string().min(1).max(400), raw: z.string() });
export type UnreadableDocument = z.infer<typeof unreadableSchema>;

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
  plan: z.unknown(),
  id: z.string().max(80),
  lineage: z.array(z.string().max(80)).max(400),
  unreadable: z.array(unreadableSchema).max(20_000),
});

/** An export file of this edition; what is not given is not in it. */
export const exportFile = (
  kind: ExportFile['kind'],
  paintings: Painting[],
  studio: Studio | null,
  exportedAt: string,
  cabinet: Cabinet | null = null,
  log: Partial<
    Pick<ExportFile, 'sessions' | 'climate' | 'photos' | 'plan' | 'unreadable' | 'id' | 'lineage'>
  > = {},
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
  plan: log.plan ?? null,
  id: log.id ?? '',
  lineage: log.lineage ?? [],
  unreadable: log.unreadable ?? [],
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
    plan:
      envelope.plan === null || envelope.plan === undefined
        ? null
        : within('plan', () => readPlanRecord(envelope.plan)),
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
