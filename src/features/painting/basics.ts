import { assessPainting, type AssessOptions, type Ground, type Painting } from '@/core/painting';
import { changeBasics, type Basics } from '@/core/painting/start';
import { toldLayer } from '@/core/tell';
import {
  NEW_PAINTING,
  newPaintingOf,
  type GroundChoice,
  type NewPaintingForm,
} from '@/features/paintings/new-painting-form';
import { dayInput } from '@/ui/time/words';

const choiceOf = (ground: Ground): GroundChoice =>
  ground.kind === 'bare' ? (ground.size === 'none' ? 'bare' : 'sized') : ground.kind;

const dayOf = (ground: Ground): string => {
  const at =
    ground.kind === 'old-painting' ? ground.paintedAt : 'laidAt' in ground ? ground.laidAt : null;
  return at ? dayInput(Date.parse(at)) : '';
};

/** A painting's title, support and ground as the form that paintings begin with. */
export function basicsForm(painting: Painting): NewPaintingForm {
  const { support, ground } = painting;
  const old = ground.kind === 'old-painting' ? ground : null;
  return {
    ...NEW_PAINTING,
    title: painting.title,
    support: support.kind,
    widthMm: support.widthMm,
    heightMm: support.heightMm,
    sealed: support.sealed ?? true,
    ground: choiceOf(ground),
    gessoCoats: 'coats' in ground ? ground.coats : NEW_PAINTING.gessoCoats,
    groundDay: dayOf(ground),
    smooth: 'smooth' in ground ? (ground.smooth ?? false) : false,
    tint: 'tint' in ground ? (ground.tint ?? '') : '',
    white: ground.kind === 'oil-ground' ? (ground.white ?? 'titanium') : NEW_PAINTING.white,
    oldSurface: old?.surface ?? NEW_PAINTING.oldSurface,
    oldLead: old?.lead ?? false,
    oldZinc: old?.zinc ?? false,
    size: ground.kind === 'bare' && ground.size === 'glue' ? 'glue' : 'acrylic',
    method: painting.method,
    passages: painting.passages,
  };
}

/** What the form says of a painting. What was not touched stays to the letter, its hour of the day too. */
export function basicsOf(painting: Painting, form: NewPaintingForm): Basics {
  const was = newPaintingOf(basicsForm(painting));
  const now = newPaintingOf(form);
  const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
  return {
    title: form.title,
    support: same(was.support, now.support) ? painting.support : now.support,
    ground: same(was.ground, now.ground) ? painting.ground : now.ground,
  };
}

/** What is said of laid films otherwise than before, each once. */
export function judgedOtherwise(
  painting: Painting,
  basics: Basics,
  options: AssessOptions,
): string[] {
  const said = (p: Painting) =>
    new Map(
      assessPainting(p, options).passages.flatMap(({ passage, base, spots }) =>
        [base, ...spots].flatMap((stack) =>
          stack.layers
            .filter((l) => !l.planned)
            .map((l) => {
              const { headline } = toldLayer(l, p.school);
              const rules = l.findings.filter((f) => f.severity !== 'note').map((f) => f.rule);
              const where = `${passage.name}${stack.site.spotName ? `, ${stack.site.spotName}` : ''}: ${l.film.name}`;
              return [where, { headline, judged: [headline, ...rules].join('|') }] as const;
            }),
        ),
      ),
    );
  const before = said(painting);
  const after = said(changeBasics(painting, basics, { now: painting.updatedAt }));
  return [...after].flatMap(([where, { headline, judged }]) =>
    before.get(where)?.judged === judged ? [] : [`${where}. ${headline}`],
  );
}
