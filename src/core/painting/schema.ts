import { z } from 'zod';
import { idSchema, revisionSchema } from '../id-schema';
import { APPLICATION_KEYS, LEFT_FRACTION, REMOVAL_TOOLS, type Left } from '@/data/applications';
import { FINDINGS } from '@/data/learning';
import { METHOD_KEYS } from '@/data/method-keys';
import { RULE_KEYS } from '../rules/records';
import { recipeSchema } from '../film/recipe';
import { SCHOOL_KEYS } from '../schools';
import { PAINTING_SCHEMA_VERSION } from '../editions';
import { accountsSchema } from '../costs/schema';
import { finishingSchema } from '../finish/schema';
import { BOTHER_KINDS, BOTHER_WEIGHTS, QUARTERS } from '../finish/vocabulary';
import { lookingSchema } from '../looking/schema';
import { deadlineSchema } from './deadline-schema';
import {
  COAT_ROLES,
  FINENESS,
  GROUND_WHITES,
  HOW_REDUCED,
  OLD_SURFACES,
  ONTO,
  SIZES,
  SUPPORT_KINDS,
} from './vocabulary';

/** A painter makes at most eight (`PASSAGES_MAX`); two tabs that each made some may come to more between them. */
const PASSAGES_KEPT = 16;

const id = idSchema();
const timestamp = z.iso.datetime({
  error: 'Must be a date and time such as 2026-02-17T10:15:00.000Z.',
});

const SIDE_MIN_MM = 20;
const SIDE_MAX_MM = 20000;
const side = z
  .number({ error: 'Must be a number.' })
  .min(SIDE_MIN_MM, { error: 'A side must be at least 2 cm.' })
  .max(SIDE_MAX_MM, { error: 'A side must be at most 20 m.' });
export const supportSchema = z.object({
  kind: z.enum(SUPPORT_KINDS),
  widthMm: side,
  heightMm: side,
  /** Panels: sized on faces and edges. Absent: taken to be. */
  sealed: z.boolean().optional(),
});

const gessoCoats = z
  .number({ error: 'The number of coats must be a number.' })
  .int({ error: 'The number of coats must be whole.' })
  .min(1, { error: 'At least one coat of gesso.' })
  .max(12, { error: 'At most 12 coats of gesso.' });
/** When a ground was finished, where the painter knows. */
const finishedAt = timestamp.optional();
/** Sanded or polished until it has no tooth. */
const smooth = z.boolean().optional();
/** What it was tinted with, in the painter's words. */
const tint = z.string().trim().max(60, { error: 'At most 60 letters.' }).optional();

export const groundSchema = z.discriminatedUnion(
  'kind',
  [
    z.object({
      kind: z.literal('acrylic-gesso'),
      coats: gessoCoats,
      laidAt: finishedAt,
      smooth,
      tint,
    }),
    z.object({
      kind: z.literal('chalk-glue'),
      coats: gessoCoats,
      laidAt: finishedAt,
      smooth,
      tint,
    }),
    z.object({
      kind: z.literal('oil-ground'),
      laidAt: timestamp,
      white: z.enum(GROUND_WHITES).optional(),
      smooth,
      tint,
    }),
    z.object({ kind: z.literal('alkyd-ground'), laidAt: timestamp, smooth, tint }),
    z.object({
      kind: z.literal('old-painting'),
      paintedAt: timestamp,
      surface: z.enum(OLD_SURFACES).optional(),
      /** Whether there may be lead, or zinc, in it. */
      lead: z.boolean().optional(),
      zinc: z.boolean().optional(),
    }),
    z.object({ kind: z.literal('bare'), size: z.enum(SIZES) }),
  ],
  {
    error:
      'The ground must be acrylic gesso, chalk-glue, an oil or alkyd ground, an old painting, or bare support with its size.',
  },
);

const share = z
  .number({ error: 'The share must be a number.' })
  .positive({ error: 'The share must be above 0 %.' })
  .max(1, { error: 'The share cannot be over 100 %.' });

const name = z
  .string()
  .trim()
  .min(1, { error: 'Needs a name.' })
  .max(60, { error: 'At most 60 letters.' });

export const passageSchema = z.object({ id, name, share });

export const spotSchema = z.object({ name, share });

/** A rule the painter goes against, knowingly: which, why, and when that was decided. */
export const overruleSchema = z.object({
  rule: z.enum(RULE_KEYS),
  reason: z
    .string()
    .trim()
    .min(3, { error: 'Say why, in a few words.' })
    .max(300, { error: 'At most 300 letters.' }),
  at: timestamp,
});

export const coatSchema = z.object({
  id,
  name,
  role: z.enum(COAT_ROLES),
  passageIds: z.array(id).min(1, { error: 'Choose at least one passage.' }),
  recipe: recipeSchema,
  application: z.enum(APPLICATION_KEYS),
  /** What the film below should be when this goes on. */
  onto: z.enum(ONTO),
  /** Planned as a spot of its passages, not all of them. */
  spot: spotSchema.nullable(),
  overruled: z.array(overruleSchema).max(40).optional(),
  /** Why it is meant, in the painter's words: helps to resist changing everything later. */
  why: z.string().trim().max(300, { error: 'At most 300 letters.' }).optional(),
  /** How long it takes, where the painter knows better than the estimate; min. */
  minutes: z.number().min(5).max(6000).optional(),
  /** Begun and finished without a break, whatever its kind. */
  oneSitting: z.boolean().optional(),
  /** Its passages one by one, not in one go. */
  apart: z.boolean().optional(),
  /** How fine the work in it is, where it is not the usual of its kind: what its minutes are reckoned from. */
  fineness: z.enum(FINENESS).optional(),
  /** Nobody planned it: it came with its laying, as a dab does, and goes when that is taken back. */
  improvised: z.boolean().optional(),
  /** Passages on which a part of it was laid and no more of it is wanted. */
  enough: z.array(id).max(PASSAGES_KEPT).optional(),
});
const LEFT = Object.keys(LEFT_FRACTION) as [Left, ...Left[]];

export const laidEventSchema = z.object({
  id,
  kind: z.literal('laid'),
  at: timestamp,
  coatId: id,
  passageIds: z.array(id).min(1),
  spot: spotSchema.nullable(),
  /** Into the wet coat below: the two are one film. */
  intoWet: z.boolean(),
  /** The painter said himself whether the film below had set: no forecast decides it again. */
  saidWet: z.boolean().optional(),
  /** The parts of this coat laid before it were still open: they are one film with it. */
  joins: z.boolean().optional(),
  /** More of a coat that lies there already. */
  more: z.boolean().optional(),
  /** As it was laid; later changes of the plan do not rewrite it. */
  name,
  role: z.enum(COAT_ROLES),
  recipe: recipeSchema,
  overruled: z.array(overruleSchema).max(40).optional(),
});

export const reducedEventSchema = z.object({
  id,
  kind: z.literal('reduced'),
  at: timestamp,
  passageId: id,
  spotName: z.string().nullable(),
  how: z.enum(HOW_REDUCED),
  left: z.enum(LEFT),
  /** Of a part that had no name before: its share of the passage. */
  share: share.optional(),
  /** Spots and parts of the passage that it left alone. */
  except: z.array(name).max(50).optional(),
  /** What it was taken off with. */
  tool: z.enum(REMOVAL_TOOLS).optional(),
});

/** What the finger found on the top film of a passage or spot. */
export const touchedEventSchema = z.object({
  id,
  kind: z.literal('touched'),
  at: timestamp,
  passageId: id,
  spotName: z.string().nullable(),
  finding: z.enum(FINDINGS, { error: 'Choose what the finger finds from the list.' }),
  /** A thumb twist on a witness dab left a mark: not dry through. */
  twistMarks: z.boolean(),
  /** The painter does not trust it: it teaches nothing, and stays in the record. */
  setAside: z.boolean().optional(),
});

export const eventSchema = z.discriminatedUnion('kind', [
  laidEventSchema,
  reducedEventSchema,
  touchedEventSchema,
]);

/** Something that still bothers; done when the painter says so. */
export const botherSchema = z.object({
  id,
  at: timestamp,
  passageId: id.nullable(),
  text: z
    .string()
    .trim()
    .min(1, { error: 'Say what bothers.' })
    .max(300, { error: 'At most 300 letters.' }),
  doneAt: timestamp.nullable(),
  kind: z.enum(BOTHER_KINDS).optional(),
  weight: z.literal(BOTHER_WEIGHTS).optional(),
  quarter: z.enum(QUARTERS).optional(),
  /** On a photo of it: share of the photo's width and height from its upper left. */
  place: z
    .object({ pictureId: id, x: z.number().min(0).max(1), y: z.number().min(0).max(1) })
    .optional(),
  /** What is to come of it; absent: nobody has said. */
  fate: z
    .discriminatedUnion('kind', [
      z.object({ kind: z.literal('coat'), coatId: id }),
      z.object({ kind: z.literal('leave') }),
      z.object({ kind: z.literal('again'), at: timestamp }),
    ])
    .optional(),
});

/** A question asked before a stage closes, answered yes at a time. */
export const gatePassedSchema = z.object({ id, at: timestamp });

/** Where a picture is when it is not on the easel. */
export const easelSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('resting'), since: timestamp, until: timestamp.nullable() }),
  z.object({ kind: z.literal('finished'), at: timestamp }),
  z.object({
    kind: z.literal('gone'),
    at: timestamp,
    /** To whom or where, in the painter's words. */
    to: z.string().trim().max(120, { error: 'At most 120 letters.' }),
  }),
]);

/** The study that a painting was begun from. */
export const studySchema = z.object({
  paintingId: id,
  title: z.string().trim().max(120),
  /** Length here over length there. */
  scale: z.number().positive().max(100),
});

const SHARE_SUM_TOLERANCE = 0.011;

export const paintingSchema = z
  .object({
    schemaVersion: z.literal(PAINTING_SCHEMA_VERSION),
    id,
    /** Counts up with every change; tells two tabs which is newer. */
    revision: revisionSchema,
    createdAt: timestamp,
    updatedAt: timestamp,
    title: z
      .string()
      .trim()
      .min(1, { error: 'Needs a title.' })
      .max(120, { error: 'At most 120 letters.' }),
    support: supportSchema,
    ground: groundSchema,
    method: z.enum(METHOD_KEYS),
    school: z.enum(SCHOOL_KEYS),
    passages: z
      .array(passageSchema)
      .min(1, { error: 'At least one passage.' })
      .max(PASSAGES_KEPT, { error: `At most ${PASSAGES_KEPT} passages.` }),
    /** Pairs of passages that touch each other. */
    touches: z.array(z.tuple([id, id])),
    coats: z.array(coatSchema).max(500),
    events: z.array(eventSchema).max(5000),
    /** What still bothers; absent in paintings of older editions. */
    bothers: z.array(botherSchema).max(500).optional(),
    gates: z.array(gatePassedSchema).max(200).optional(),
    /** When it must be done and how it waits; absent: no date, the usual waits. */
    planning: deadlineSchema.optional(),
    /** Absent: on the easel. */
    easel: easelSchema.optional(),
    study: studySchema.optional(),
    /** Its pictures and what is looked at on them; absent until there is one. */
    looking: lookingSchema.optional(),
    /** Looks over it, stopping, tests before the varnish, frame and journey; absent until something is said. */
    finishing: finishingSchema.optional(),
    /** What it cost, where it was sent, what it brought. */
    accounts: accountsSchema.optional(),
  })
  .superRefine((painting, ctx) => {
    const issue = (path: (string | number)[], message: string) =>
      ctx.addIssue({ code: 'custom', path, message });
    const passages = new Set(painting.passages.map((p) => p.id));
    const total = painting.passages.reduce((s, p) => s + p.share, 0);
    if (Math.abs(total - 1) > SHARE_SUM_TOLERANCE) {
      issue(['passages'], `The shares make ${Math.round(total * 100)} %; they must make 100 %.`);
    }
    const names = painting.passages.map((p) => p.name.toLowerCase());
    names.forEach((n, i) => {
      if (names.indexOf(n) !== i)
        issue(['passages', i, 'name'], `Two passages are called "${n}". Give one another name.`);
    });
    const unknown = (ids: string[]) => ids.find((x) => !passages.has(x));
    if (passages.size !== painting.passages.length)
      issue(['passages'], 'Two passages have the same id.');
    painting.touches.forEach((pair, i) => {
      if (unknown(pair))
        issue(
          ['touches', i],
          `Names the passage "${unknown(pair)}", which the painting does not have.`,
        );
    });
    const coatIds = new Set<string>();
    painting.coats.forEach((coat, i) => {
      if (coatIds.has(coat.id)) issue(['coats', i, 'id'], `Two coats have the id "${coat.id}".`);
      coatIds.add(coat.id);
      const missing = unknown(coat.passageIds);
      if (missing)
        issue(
          ['coats', i, 'passageIds'],
          `Names the passage "${missing}", which the painting does not have.`,
        );
    });
    const eventIds = new Set<string>();
    painting.events.forEach((event, i) => {
      if (eventIds.has(event.id))
        issue(['events', i, 'id'], `Two entries have the id "${event.id}".`);
      eventIds.add(event.id);
      const missing = unknown(event.kind === 'laid' ? event.passageIds : [event.passageId]);
      if (missing)
        issue(['events', i], `Names the passage "${missing}", which the painting does not have.`);
    });
  });

export type Painting = z.infer<typeof paintingSchema>;
export type Passage = z.infer<typeof passageSchema>;
export type Coat = z.infer<typeof coatSchema>;
export type Support = z.infer<typeof supportSchema>;
export type Ground = z.infer<typeof groundSchema>;
export type Spot = z.infer<typeof spotSchema>;
export type PaintingEvent = z.infer<typeof eventSchema>;
export type LaidEvent = z.infer<typeof laidEventSchema>;
export type ReducedEvent = z.infer<typeof reducedEventSchema>;
export type TouchedEvent = z.infer<typeof touchedEventSchema>;
/** What changes the film: a touch does not. */
export type FilmEvent = LaidEvent | ReducedEvent;
export type Easel = z.infer<typeof easelSchema>;
export type Bother = z.infer<typeof botherSchema>;
export type CoatRole = (typeof COAT_ROLES)[number];
export type Overrule = z.infer<typeof overruleSchema>;
export type Onto = (typeof ONTO)[number];
export type HowReduced = ReducedEvent['how'];
