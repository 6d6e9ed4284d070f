import type { z } from 'zod';
import { CoreError } from '../errors';
import { issuesOf } from '../issues';
import { CABINET_SCHEMA_VERSION, cabinetSchema, type Cabinet } from '../cabinet/schema';
import { PAINTING_SCHEMA_VERSION, paintingSchema, type Painting } from '../painting/schema';
import { migrate, type MigrationSteps } from './migrate';
import { CLIMATE_MONTH_VERSION, climateMonthSchema, type ClimateMonth } from '../climate/readings';
import { SESSION_SCHEMA_VERSION, sessionSchema, type Session } from '../session/schema';
import { PLAN_RECORD_VERSION, planRecordSchema, type PlanRecord } from '../plan-record/record';
import { STUDIO_SCHEMA_VERSION, studioSchema, type Studio } from './studio';

/**
 * Steps from older versions. Version 2 of a painting only allows more: own tubes, other materials, more
 * grounds and supports, overruled rules; what version 1 said means the same. Version 3 adds touch tests, what
 * bothers, gates and reasons; version 4 the date it is due and how it is planned.
 */
export const PAINTING_STEPS: MigrationSteps = {
  1: (painting) => painting,
  2: (painting) => painting,
  3: (painting) => painting,
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
/** The first thing wrong, as "field: sentence". */
export function firstIssue(error: z.ZodError): { where: string; message: string } {
  const [issue] = issuesOf(error);
  return { where: issue?.where || 'document', message: issue?.message ?? 'unreadable' };
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
