import { BODY_PALETTES, GLAZE_PALETTES, METHODS, type CoatTemplate } from '@/data/methods';
import type { MethodKey } from '@/data/method-keys';
import { CoreError } from '../errors';
import { isOilGround } from './ground';
import { FUTURE_SLACK_MS, type Making } from './making';
import { type Coat, type Ground, type Painting, type Support } from './schema';
import { PAINTING_SCHEMA_VERSION } from '../editions';

export interface NewPainting {
  title: string;
  support: Support;
  ground: Ground;
  method: MethodKey;
  passages: { name: string; share: number }[];
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

/** Every pair of passages: until the painter says otherwise, all of them may meet. */
const allPairs = (ids: string[]): [string, string][] =>
  ids.flatMap((a, i) => ids.slice(i + 1).map((b): [string, string] => [a, b]));

/** A new painting with its coats laid out by the method. The caller validates the result by `paintingSchema`. */
export function startPainting(input: NewPainting, making: Making): Painting {
  const method = METHODS[input.method];
  if (method.ground && input.ground.kind !== method.ground) {
    throw new CoreError(
      'ground-refused',
      'ground',
      `"${method.name}" begins on an old painting. Choose that as the ground, or another method.`,
    );
  }
  if (isOilGround(input.ground) && input.method === 'acrylic-under') {
    const what = input.ground.kind === 'old-painting' ? 'old oil paint' : 'an oil or alkyd ground';
    throw new CoreError(
      'ground-refused',
      'method',
      `Acrylic does not hold on ${what}. Choose a method that is oil from the first stroke.`,
    );
  }
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
  const coats = method.coats.flatMap((template) =>
    template.scope === 'whole'
      ? [coatFromTemplate(template, ids, 0, making.newId)]
      : ids.map((passageId, i) => coatFromTemplate(template, [passageId], i, making.newId)),
  );
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
