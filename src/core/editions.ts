/**
 * Which edition of each document this program writes. An older one is brought up by steps (formats/documents.ts);
 * one of a later edition is left alone. They stand apart from the schemas so that a document can be begun without them.
 */
export const PAINTING_SCHEMA_VERSION = 5;
export const CABINET_SCHEMA_VERSION = 1;
export const SESSION_SCHEMA_VERSION = 1;
export const CLIMATE_MONTH_VERSION = 1;
export const PLAN_RECORD_VERSION = 1;
export const STUDIO_SCHEMA_VERSION = 3;
