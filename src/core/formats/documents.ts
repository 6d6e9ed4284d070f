import type { z } from 'zod';
import { CoreError } from '../errors';
import { issuesOf } from '../issues';
import { cabinetSchema, type Cabinet } from '../cabinet/schema';
import { CABINET_SCHEMA_VERSION } from '../editions';
import { paintingSchema, type Painting } from '../painting/schema';
import { PAINTING_SCHEMA_VERSION } from '../editions';
import { migrate, type MigrationSteps } from './migrate';
import { CLIMATE_MONTH_VERSION } from '../editions';
import { climateMonthSchema, type ClimateMonth } from '../climate/readings-schema';
import { sessionSchema, type Session } from '../session/schema';
import { SESSION_SCHEMA_VERSION } from '../editions';
import { PLAN_RECORD_VERSION } from '../editions';
import { planRecordSchema, type PlanRecord } from '../plan-record/schema';
import { STUDIO_SCHEMA_VERSION } from '../editions';
import { studioSchema, type Studio } from './studio-schema';

interface OldCoat {
  id: string;
  spot: unknown;
  passageIds: string[];
}
interface OldEvent {
  kind: string;
  coatId?: string;
  passageIds?: string[];
  spot?: unknown;
}

/** Until version 4 a coat of a whole passage was done when it was laid on a spot of it. */
function doneBySpots(painting: Record<string, unknown>): Record<string, unknown> {
  const { coats, events } = painting as { coats?: unknown; events?: unknown };
  // What is not as it should be is told by the schema, after this.
  if (!Array.isArray(coats) || !Array.isArray(events)) return painting;
  const laid = (events as OldEvent[]).filter((e) => e.kind === 'laid');
  return {
    ...painting,
    coats: (coats as OldCoat[]).map((coat) => {
      if (coat.spot !== null || !Array.isArray(coat.passageIds)) return coat;
      const enough = coat.passageIds.filter((id) => {
        const here = laid.filter((e) => e.coatId === coat.id && e.passageIds?.includes(id));
        return here.length > 0 && here.every((e) => e.spot !== null);
      });
      return enough.length > 0 ? { ...coat, enough } : coat;
    }),
  };
}

/**
 * Steps from older versions. Version 2 of a painting only allows more: own tubes, other materials, more
 * grounds and supports, overruled rules; what version 1 said means the same. Version 3 adds touch tests, what
 * bothers, gates and reasons; version 4 the date it is due and how it is planned. Version 5 lays coats in parts: what
 * was laid on a spot only, and was done by that, says so now.
 */
export const PAINTING_STEPS: MigrationSteps = {
  1: (painting) => painting,
  2: (painting) => painting,
  3: (painting) => painting,
  4: doneBySpots,
};
/** Version 2 follows the air over time; version 3 may tell degrees Fahrenheit and name one binder for all paints. */
export const STUDIO_STEPS: MigrationSteps = {
  1: (studio) => ({
    ...studio,
    dayNight: null,
    followReadings: true,
    loggerOn: false,
    forgotten: [],
  }),
  2: (studio) => studio,
};
const CABINET_STEPS: MigrationSteps = {};
/** The schemas that read what is stored. */
const SCHEMAS = {
  painting: paintingSchema,
  session: sessionSchema,
  cabinet: cabinetSchema,
  climate: climateMonthSchema,
  plan: planRecordSchema,
  studio: studioSchema,
} as const;

/** The first thing wrong, as "field: sentence". */
export function firstIssue(error: z.ZodError): { where: string; message: string } {
  const [issue] = issuesOf(error);
  return { where: issue?.where || 'document', message: issue?.message ?? 'unreadable' };
}

/** A place in a document as a painter would name it: "passages.3.name" is "passage 4, name". */
export const placeInWords = (where: string): string =>
  where
    .split('.')
    .reduce<string[]>((words, part) => {
      const last = words.pop();
      if (last === undefined) return [part];
      return /^\d+$/.test(part)
        ? [...words, `${last.replace(/(?<=[^s])s$/, '')} ${Number(part) + 1}`]
        : [...words, last, part];
    }, [])
    .join(', ');

/** Why a document of this edition could not be read again if it were kept; null where it could. */
export function whyNotKept(kind: keyof typeof SCHEMAS, document: unknown): string | null {
  const result = SCHEMAS[kind].safeParse(document);
  if (result.success) return null;
  const { where, message } = firstIssue(result.error);
  return `${placeInWords(where)}: ${message}`;
}

/** Read a document by its schema, or refuse it, naming the field. */
export function parse<T>(schema: z.ZodType<T>, document: unknown, what: string): T {
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

/** Settings of any known edition. Throws a CoreError that says what is wrong, or `document-too-new`. */
export const readStudio = (raw: unknown): Studio =>
  parse(
    studioSchema,
    migrate(raw, STUDIO_SCHEMA_VERSION, STUDIO_STEPS, 'The studio'),
    'The studio',
  );

/** A session of any known edition. Throws a CoreError that says what is wrong, or `document-too-new`. */
export const readSession = (raw: unknown): Session =>
  parse(sessionSchema, migrate(raw, SESSION_SCHEMA_VERSION, {}, 'The session'), 'The session');

/**
 * What was said of the weeks to come, of any known edition. Throws a CoreError that says what is wrong, or
 * `document-too-new`.
 */
export const readPlanRecord = (raw: unknown): PlanRecord =>
  parse(planRecordSchema, migrate(raw, PLAN_RECORD_VERSION, {}, 'The plan'), 'The plan');

/** A month of readings of any known edition. Throws a CoreError that says what is wrong, or `document-too-new`. */
export const readClimateMonth = (raw: unknown): ClimateMonth =>
  parse(climateMonthSchema, migrate(raw, CLIMATE_MONTH_VERSION, {}, 'The climate'), 'The climate');

/** A cabinet of any known edition. Throws a CoreError that says what is wrong, or `document-too-new`. */
export const readCabinet = (raw: unknown): Cabinet =>
  parse(
    cabinetSchema,
    migrate(raw, CABINET_SCHEMA_VERSION, CABINET_STEPS, 'The cabinet'),
    'The cabinet',
  );
