import { z } from 'zod';
import { CoreError } from '@/core/errors';
import {
  GROUND_WHITES,
  OLD_SURFACES,
  SUPPORT_KINDS,
  type Ground,
  type Making,
  type Painting,
} from '@/core/painting';
import { paintingSchema } from '@/core/painting/schema';
import { PASSAGES_MAX } from '@/core/painting/vocabulary';
import { startPainting, type NewPainting } from '@/core/painting/start';
import type { BinderKey } from '@/data/binders';
import { METHOD_KEYS } from '@/data/method-keys';
import { METHODS } from '@/data/methods';
import { numberOf, type Form } from '@/forms';
import { nowMs } from '@/store/clock';

/** A painting that is about to be laid out, as one form. */

export const GROUND_CHOICES = [
  'acrylic-gesso',
  'chalk-glue',
  'oil-ground',
  'alkyd-ground',
  'old-painting',
  'bare',
  'sized',
] as const;
export type GroundChoice = (typeof GROUND_CHOICES)[number];

/** Why there is no painting in oil on these. */
export const GROUND_REFUSED: Partial<Record<GroundChoice, string>> = {
  bare: 'Oil on bare cloth or wood is refused: its acids rot the fibres and the support drinks the binder. Size and ground it first.',
};

/** Grounds counted in coats, grounds that carry a day, and those for which the day may stay unknown. */
export const COUNTED: ReadonlySet<GroundChoice> = new Set(['acrylic-gesso', 'chalk-glue']);
export const DATED: ReadonlySet<GroundChoice> = new Set([
  'oil-ground',
  'alkyd-ground',
  'old-painting',
]);
/** Grounds that acrylic does not hold on. */
const OILY: ReadonlySet<GroundChoice> = DATED;
export const PANELS: ReadonlySet<string> = new Set(['wood-panel', 'fibreboard-panel']);

const above0 = (what: string) =>
  z.number({ error: `${what} must be a number.` }).positive({ error: `${what} must be above 0.` });

/** What is wrong with the sum of the shares, in %; null when it is right or a share is no number yet. */
export function sharesProblem(passages: { share: number }[]): string | null {
  const total = passages.reduce((s, p) => s + p.share, 0) * 100;
  if (!Number.isFinite(total) || Math.abs(total - 100) <= 1) return null;
  return `The shares make ${Number(total.toFixed(1))} %; they must make 100 %.`;
}

export const newPaintingFormSchema = z
  .object({
    title: z
      .string()
      .trim()
      .min(1, { error: 'Give it a title; it can change later.' })
      .max(120, { error: 'At most 120 letters.' }),
    support: z.enum(SUPPORT_KINDS),
    widthMm: above0('The width'),
    heightMm: above0('The height'),
    ground: z.enum(GROUND_CHOICES),
    gessoCoats: z.number({ error: 'Between 1 and 12 whole coats of gesso.' }),
    groundDay: z.string(),
    smooth: z.boolean(),
    /** What the ground was tinted with; empty: nothing. */
    tint: z.string().trim().max(60, { error: 'At most 60 letters.' }).optional(),
    sealed: z.boolean(),
    white: z.enum(GROUND_WHITES),
    oldSurface: z.enum(OLD_SURFACES),
    oldLead: z.boolean(),
    oldZinc: z.boolean(),
    size: z.enum(['glue', 'acrylic']),
    method: z.enum(METHOD_KEYS),
    passages: z
      .array(
        z.object({
          id: z.string(),
          name: z
            .string()
            .trim()
            .min(1, { error: 'Name the passage.' })
            .max(60, { error: 'At most 60 letters.' }),
          share: above0('The share'),
        }),
      )
      .min(1, { error: 'At least one passage.' })
      .max(PASSAGES_MAX, { error: `At most ${PASSAGES_MAX} passages.` }),
  })
  .superRefine((form, ctx) => {
    const issue = (path: (string | number)[], message: string) =>
      ctx.addIssue({ code: 'custom', path, message });
    const refused = GROUND_REFUSED[form.ground];
    if (refused) issue(['ground'], refused);
    const coats = form.gessoCoats;
    if (COUNTED.has(form.ground) && (!Number.isInteger(coats) || coats < 1 || coats > 12)) {
      issue(['gessoCoats'], 'Between 1 and 12 whole coats of gesso.');
    }
    if (DATED.has(form.ground) || (COUNTED.has(form.ground) && form.groundDay.trim() !== '')) {
      const ms = Date.parse(form.groundDay);
      if (Number.isNaN(ms)) issue(['groundDay'], 'Give the day, about.');
      else if (ms > nowMs()) issue(['groundDay'], 'That day is still to come.');
    }
    const sum = sharesProblem(form.passages);
    if (sum) issue(['passages'], sum);
    form.passages.forEach((p, i) => {
      const same = form.passages.findIndex(
        (q) => q.name.trim().toLowerCase() === p.name.trim().toLowerCase(),
      );
      if (p.name.trim() !== '' && same !== i)
        issue(['passages', i, 'name'], 'Another passage has this name.');
    });
    const needs = METHODS[form.method].ground;
    if (needs && form.ground !== needs)
      issue(['method'], 'This method begins on an old painting: choose that as the ground.');
    if (form.method === 'acrylic-under' && OILY.has(form.ground)) {
      issue(
        ['method'],
        'Acrylic does not hold on oil. Choose an oil method, or an acrylic ground.',
      );
    }
  });

/** A passage while it is typed. */
type PassageDraft = NewPaintingFields['draft']['passages'][number];

const NEW_SHARE = 0.1;
/** Sums of shares without the dust of floating point. */
const clean = (share: number): number => Math.round(1e6 * share) / 1e6;

/** The largest passage gives so much, or gets it where it is negative: all of them stay all of the surface. */
function taken(passages: PassageDraft[], share: number): PassageDraft[] {
  const of = (p: PassageDraft): number => numberOf(p.share) || 0;
  const largest = passages.reduce((a, b) => (of(b) > of(a) ? b : a));
  return passages.map((p) => (p === largest ? { ...p, share: clean(of(p) - share) } : p));
}

/** One passage more, cut out of the largest: a tenth of the surface, or half of the largest where that is small. */
export function withAnother(passages: PassageDraft[], id: string): PassageDraft[] {
  const largest = Math.max(0, ...passages.map((p) => numberOf(p.share) || 0));
  const share = clean(Math.min(NEW_SHARE, largest / 2)) || NEW_SHARE;
  return [...(largest > share ? taken(passages, share) : passages), { id, name: '', share }];
}

/** Without one of several passages; the largest of the others gets what it had. */
export function withoutPassage(passages: PassageDraft[], id: string): PassageDraft[] {
  const gone = passages.find((p) => p.id === id);
  const others = passages.filter((p) => p.id !== id);
  return gone ? taken(others, -(numberOf(gone.share) || 0)) : passages;
}

/** All alike, in whole per cent; the first has what is left over. */
export function evenShares(passages: PassageDraft[]): PassageDraft[] {
  const share = Math.floor(100 / passages.length);
  const first = 100 - share * (passages.length - 1);
  return passages.map((p, i) => ({ ...p, share: (i === 0 ? first : share) / 100 }));
}

export type NewPaintingForm = z.infer<typeof newPaintingFormSchema>;
export type NewPaintingFields = Form<NewPaintingForm>;

export const NEW_PAINTING: NewPaintingForm = {
  title: '',
  support: 'canvas',
  widthMm: 500,
  heightMm: 400,
  ground: 'acrylic-gesso',
  gessoCoats: 4,
  groundDay: '',
  smooth: false,
  tint: '',
  sealed: true,
  white: 'titanium',
  oldSurface: 'matt',
  oldLead: false,
  oldZinc: false,
  size: 'acrylic',
  method: 'oil-under-glaze',
  passages: [
    { id: 'first', name: 'subject', share: 0.4 },
    { id: 'second', name: 'background', share: 0.6 },
  ],
};

function groundOf(form: NewPaintingForm): Ground {
  const day = form.groundDay.trim() === '' ? null : new Date(form.groundDay).toISOString();
  const smooth = {
    ...(form.smooth ? { smooth: true } : {}),
    ...(form.tint?.trim() ? { tint: form.tint.trim() } : {}),
  };
  switch (form.ground) {
    case 'oil-ground':
      return { kind: 'oil-ground', laidAt: day!, white: form.white, ...smooth };
    case 'alkyd-ground':
      return { kind: 'alkyd-ground', laidAt: day!, ...smooth };
    case 'old-painting':
      return {
        kind: 'old-painting',
        paintedAt: day!,
        surface: form.oldSurface,
        lead: form.oldLead,
        zinc: form.oldZinc,
      };
    case 'bare':
      return { kind: 'bare', size: 'none' };
    case 'sized':
      return { kind: 'bare', size: form.size };
    case 'acrylic-gesso':
    case 'chalk-glue':
      return {
        kind: form.ground,
        coats: form.gessoCoats,
        ...(day === null ? {} : { laidAt: day }),
        ...smooth,
      };
  }
}

export function newPaintingOf(form: NewPaintingForm): NewPainting {
  return {
    title: form.title,
    support: {
      kind: form.support,
      widthMm: form.widthMm,
      heightMm: form.heightMm,
      ...(PANELS.has(form.support) && !form.sealed ? { sealed: false } : {}),
    },
    ground: groundOf(form),
    method: form.method,
    passages: form.passages.map(({ name, share }) => ({ name, share })),
  };
}

/** The painting, or the sentence that says what the core objects to. */
export function buildPainting(
  form: NewPaintingForm,
  making: Making,
  binder?: BinderKey,
): Painting | string {
  try {
    const painting = startPainting(
      { ...newPaintingOf(form), ...(binder ? { binder } : {}) },
      making,
    );
    const checked = paintingSchema.safeParse(painting);
    return checked.success ? checked.data : checked.error.issues[0]!.message;
  } catch (error) {
    if (error instanceof CoreError) return error.message;
    throw error;
  }
}
