import { BODY_PALETTES, GLAZE_PALETTES, METHODS, type CoatTemplate } from '@/data/methods';
import type { BinderKey } from '@/data/binders';
import type { MethodKey } from '@/data/method-keys';
import { CoreError } from '../errors';
import { isOilGround } from './ground';
import { changed, FUTURE_SLACK_MS, type Making } from './making';
import { type Coat, type Ground, type Painting, type Support } from './schema';
import { PAINTING_SCHEMA_VERSION } from '../editions';

export interface NewPainting {
  title: string;
  support: Support;
  ground: Ground;
  method: MethodKey;
  passages: { name: string; share: number }[];
  /** What the painter's paints are ground in, where it is not linseed. */
  binder?: BinderKey;
}

function coatFromTemplate(
  template: CoatTemplate,
  passageIds: string[],
  index: number,
  newId: () => string,
): Coat {
  const palettes =
    template.mix === 'body-palettes'
      ? BODY_PALETTES
      : template.mix === 'glaze-palettes'
        ? GLAZE_PALETTES
        : null;
  const mix = palettes
    ? palettes[index % palettes.length]!
    : (template.mix as (typeof BODY_PALETTES)[number]);
  return {
    id: newId(),
    name: template.name,
    role: template.role,
    passageIds,
    recipe: {
      mix,
      medium: template.medium,
      mediumShare: template.mediumShare,
      thicknessUm: template.thicknessUm,
    },
    application: template.application,
    onto: template.onto,
    spot: null,
  };
}

/** A coat of a method with the painter's own paint for linseed paint; acrylic and what is meant in alkyd stay. */
const groundIn = (coat: Coat, binder: BinderKey): Coat =>
  coat.recipe.mix.length === 0
    ? coat
    : {
        ...coat,
        recipe: {
          ...coat.recipe,
          mix: coat.recipe.mix.map((part) =>
            !('own' in part) && part.binder === 'linseed' ? { ...part, binder } : part,
          ),
          // Acrylic takes water, not oil.
          ...(binder === 'acrylic' ? { medium: [], mediumShare: 0 } : {}),
        },
      };

/** The coats that templates lay out on some passages. */
const coatsOf = (templates: CoatTemplate[], ids: string[], newId: () => string): Coat[] =>
  templates.flatMap((template) =>
    template.scope === 'whole'
      ? [coatFromTemplate(template, ids, 0, newId)]
      : ids.map((passageId, i) => coatFromTemplate(template, [passageId], i, newId)),
  );

/**
 * Build a painting by another method from now on. What is laid, in part too, stays; what is still to come is laid out
 * anew, from the first coat of the method that comes after all kinds of coat that are laid.
 */
export function changeMethod(painting: Painting, key: MethodKey, making: Making): Painting {
  requireMethod(painting.ground, key);
  const laidIds = new Set(painting.events.flatMap((e) => (e.kind === 'laid' ? [e.coatId] : [])));
  const laid = painting.coats.filter((c) => laidIds.has(c.id));
  const roles = new Set<string>(laid.map((c) => c.role));
  const method = METHODS[key];
  const reached = method.coats.findLastIndex((template) => roles.has(template.role));
  const ids = painting.passages.map((p) => p.id);
  return changed(painting, making, {
    method: key,
    school: method.school,
    coats: [...laid, ...coatsOf(method.coats.slice(reached + 1), ids, making.newId)],
  });
}

export interface Basics {
  title: string;
  support: Support;
  ground: Ground;
}

/** Change title, support and ground. The films that lie there are judged by them from now on. */
export function changeBasics(
  painting: Painting,
  basics: Basics,
  making: Pick<Making, 'now'>,
): Painting {
  requireMethod(basics.ground, painting.method);
  return changed(painting, making, basics);
}

/** Every pair of passages: until the painter says otherwise, all of them may meet. */
const allPairs = (ids: string[]): [string, string][] =>
  ids.flatMap((a, i) => ids.slice(i + 1).map((b): [string, string] => [a, b]));

/** Throws `ground-refused` where a method cannot begin on a ground. */
function requireMethod(ground: Ground, key: MethodKey): void {
  const method = METHODS[key];
  if (method.ground && ground.kind !== method.ground) {
    throw new CoreError(
      'ground-refused',
      'ground',
      `"${method.name}" begins on an old painting. Choose that as the ground, or another method.`,
    );
  }
  if (isOilGround(ground) && key === 'acrylic-under') {
    const what = ground.kind === 'old-painting' ? 'old oil paint' : 'an oil or alkyd ground';
    throw new CoreError(
      'ground-refused',
      'method',
      `Acrylic does not hold on ${what}. Choose a method that is oil from the first stroke.`,
    );
  }
}

/** A ground of the same kind on another support: when it was laid is not known, or, where it must be, it is laid now. */
function groundAnew(ground: Ground, now: string): Ground {
  switch (ground.kind) {
    case 'acrylic-gesso':
    case 'chalk-glue': {
      const { laidAt: _then, ...rest } = ground;
      return rest;
    }
    case 'oil-ground':
    case 'alkyd-ground':
      return { ...ground, laidAt: now };
    default:
      return ground;
  }
}

/**
 * A painting begun from a study, at another size: the same passages, method and coats, nothing laid, and a link to where
 * it comes from.
 */
export function fromStudy(
  study: Painting,
  { title, widthMm }: { title: string; widthMm: number },
  making: Making,
): Painting {
  const scale = widthMm / study.support.widthMm;
  const ids = new Map(study.passages.map((p) => [p.id, making.newId()]));
  const here = (id: string): string => ids.get(id)!;
  return {
    schemaVersion: PAINTING_SCHEMA_VERSION,
    id: making.newId(),
    revision: 0,
    createdAt: making.now,
    updatedAt: making.now,
    title: title.trim(),
    support: {
      ...study.support,
      widthMm,
      heightMm: Math.round(study.support.heightMm * scale),
    },
    ground: groundAnew(study.ground, making.now),
    method: study.method,
    school: study.school,
    passages: study.passages.map((p) => ({ ...p, id: here(p.id) })),
    touches: study.touches.map(([a, b]): [string, string] => [here(a), here(b)]),
    coats: study.coats.map(({ overruled: _o, enough: _e, minutes: _m, ...coat }) => ({
      ...coat,
      id: making.newId(),
      passageIds: coat.passageIds.map(here),
    })),
    events: [],
    study: { paintingId: study.id, title: study.title, scale },
  };
}

/** A new painting with its coats laid out by the method. The caller validates the result by `paintingSchema`. */
export function startPainting(input: NewPainting, making: Making): Painting {
  const method = METHODS[input.method];
  requireMethod(input.ground, input.method);
  const since =
    input.ground.kind === 'old-painting'
      ? input.ground.paintedAt
      : 'laidAt' in input.ground
        ? input.ground.laidAt
        : undefined;
  if (since && Date.parse(since) > Date.parse(making.now) + FUTURE_SLACK_MS) {
    throw new CoreError(
      'date-in-future',
      'ground',
      'The ground was laid in the future. Give a day up to today.',
    );
  }
  const passages = input.passages.map((p) => ({
    id: making.newId(),
    name: p.name.trim(),
    share: p.share,
  }));
  const ids = passages.map((p) => p.id);
  const { binder } = input;
  const laidOut = coatsOf(method.coats, ids, making.newId);
  const coats = binder ? laidOut.map((coat) => groundIn(coat, binder)) : laidOut;
  return {
    schemaVersion: PAINTING_SCHEMA_VERSION,
    id: making.newId(),
    revision: 0,
    createdAt: making.now,
    updatedAt: making.now,
    title: input.title.trim(),
    support: input.support,
    ground: input.ground,
    method: input.method,
    school: method.school,
    passages,
    touches: allPairs(ids),
    coats,
    events: [],
  };
}
