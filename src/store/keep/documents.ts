import type { Cabinet } from '@/core/cabinet/schema';
import type { ClimateMonth } from '@/core/climate/readings-schema';
import type { Studio } from '@/core/formats/studio-schema';
import type { Painting } from '@/core/painting';
import type { PlanRecord } from '@/core/plan-record/schema';
import type { Session } from '@/core/session/schema';
import type { KeptDraft } from './draft-schema';

/** What is stored, by kind. */
export interface Kinds {
  studio: Studio;
  cabinet: Cabinet;
  painting: Painting;
  session: Session;
  climate: ClimateMonth;
  plan: PlanRecord;
  draft: KeptDraft;
}
export type Kind = keyof Kinds;
/** What the record consists of; a draft is not yet part of it. */
export type DocumentKind = Exclude<Kind, 'draft'>;

/**
 * How documents are called in storage: the settings and the cabinet by their kind; each painting, each session, each
 * month of readings by kind and id. Of plans there is one, "plan:plan".
 */
export const PREFIX: Record<Kind, string> = {
  studio: 'studio',
  cabinet: 'cabinet',
  painting: 'painting:',
  session: 'session:',
  climate: 'climate:',
  plan: 'plan:',
  draft: 'draft:',
};
/** Photos are large: they are read when they are looked at. */
export const PHOTO_PREFIX = 'photo:';

const KINDS = Object.keys(PREFIX) as Kind[];
/** Settings and cabinet: one document each. */
const SINGLE: readonly Kind[] = ['studio', 'cabinet'];

/** What stands under a key; null for photos and for what is not of the record. */
export const kindOf = (key: string): Kind | null =>
  KINDS.find((kind) =>
    SINGLE.includes(kind) ? key === PREFIX[kind] : key.startsWith(PREFIX[kind]),
  ) ?? null;

/** The key of a document. Settings and cabinet have their kind for an id. */
export const keyOf = (kind: Kind, id: string): string =>
  SINGLE.includes(kind) ? PREFIX[kind] : PREFIX[kind] + id;

const NAMES: Record<Kind, string> = {
  studio: 'the settings',
  cabinet: 'the cabinet',
  painting: 'a painting',
  session: 'a session of the log',
  climate: 'a month of readings',
  plan: 'the hours and pins of the plan',
  draft: 'a form that was left half done',
};

/** What a painter calls what stands under a key. */
export function nameOfKey(key: string): string {
  const kind = kindOf(key);
  return kind ? NAMES[kind] : 'something unknown';
}
