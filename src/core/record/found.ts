import { GOVERNS } from '@/data/cautions';
import { VARNISH_TEST_WORDS } from '@/data/finish';
import { MATERIALS } from '@/data/materials';
import { finishingOf } from '../finish/edit';
import type { PaintingAssessment } from '../painting/layer';
import { topLaid } from '../painting/layer';
import type { Painting } from '../painting/schema';
import { laidEvents } from '../painting/sites';
import { findingSentence } from '../rules/wording';
import { SCHOOLS } from '../schools';
import { findingsByRule, toldLayer } from '../tell';
import type { Block } from './blocks';
import { metalCautions, metalsIn } from './metals';
import { madeBetween, namesOf, type RecordOptions } from './options';

const TOOK: Record<string, string> = {
  wiped: 'wiped back',
  scraped: 'scraped down',
  sanded: 'sanded',
  'painted-out': 'painted out',
};

/** What was wiped, scraped, sanded or painted out. */
export function removalLines(painting: Painting, day: RecordOptions['day']): Block[] {
  return painting.events.flatMap((e): Block[] =>
    e.kind === 'reduced'
      ? [
          {
            kind: 'text',
            text: `${day(Date.parse(e.at))}: ${namesOf(painting, [e.passageId])}${e.spotName ? ` (${e.spotName})` : ''} ${TOOK[e.how]}, left: ${e.left}.`,
          },
        ]
      : [],
  );
}

/** What the school and the rules say of what lies there, with what was overruled and why. */
export function verdictLines({ painting, passages }: PaintingAssessment): Block[] {
  // Each film once where it lies: of a spot only what does not lie on the passage as a whole.
  const laid = passages.flatMap(({ passage, base, spots }) => {
    const below = new Set(base.layers.map((l) => l.film.key));
    return [
      ...base.layers.map((layer) => ({ where: passage.name, layer })),
      ...spots.flatMap(({ site, layers }) =>
        layers
          .filter((layer) => !below.has(layer.film.key))
          .map((layer) => ({ where: `${passage.name}, ${site.spotName}`, layer })),
      ),
    ].filter(({ layer }) => !layer.planned);
  });
  const lines = laid.flatMap(({ where, layer }) =>
    layer.pair === null
      ? []
      : [`${where}, ${layer.film.name}: ${toldLayer(layer, painting.school).sentence}`],
  );
  const told = findingsByRule(
    laid.flatMap(({ where, layer }) => layer.findings.map((finding) => ({ finding, where }))),
  ).map(
    ({ finding, where }) =>
      `${findingSentence(finding)} (${where.join('; ')})${finding.overruled === null ? '' : ` Overruled, because: ${finding.overruled}`}`,
  );
  return [
    { kind: 'text', text: `Judged by: ${SCHOOLS[painting.school].name}.` },
    ...[...lines, ...told].map((text): Block => ({ kind: 'text', text })),
  ];
}

/** What the finger and the tests before the varnish found. */
export function testRows(painting: Painting, day: RecordOptions['day']): string[][] {
  const touched = painting.events.flatMap((e) =>
    e.kind === 'touched'
      ? [
          {
            at: e.at,
            row: [
              day(Date.parse(e.at)),
              `${namesOf(painting, [e.passageId])}${e.spotName ? ` (${e.spotName})` : ''}`,
              'finger',
              `${e.finding}${e.twistMarks ? '; a thumb twist marks' : ''}${e.setAside ? '; set aside' : ''}`,
            ],
          },
        ]
      : [],
  );
  const varnish = finishingOf(painting).tests.map((t) => ({
    at: t.at,
    row: [
      day(Date.parse(t.at)),
      t.where || 'witness',
      VARNISH_TEST_WORDS[t.test].name.toLowerCase(),
      t.passed ? VARNISH_TEST_WORDS[t.test].passes : VARNISH_TEST_WORDS[t.test].fails,
    ],
  }));
  return [...touched, ...varnish].sort((a, b) => a.at.localeCompare(b.at)).map((t) => t.row);
}

/** The air it dried in. */
export function airLines(painting: Painting, { air, nowMs, day }: RecordOptions): Block[] {
  const made = madeBetween(painting);
  if (!made) return [];
  const { temperatureC, relativeHumidityPct, light } = air.meanBetween(made.fromMs, nowMs);
  return [
    {
      kind: 'text',
      text: `From ${day(made.fromMs)} to ${day(nowMs)} on the mean ${temperatureC.toFixed(1)} °C and ${relativeHumidityPct.toFixed(0)} % relative humidity; light: ${light}.`,
    },
  ];
}

/** The metals and materials that whoever cleans, sands or treats it has to know of. */
export function cautionLines(assessment: PaintingAssessment): Block[] {
  const laid = laidEvents(assessment.painting);
  const resin = assessment.passages
    .flatMap(({ base, spots }) => [base, ...spots])
    .some((stack) => (topLaid(stack)?.film.asLaid.resin ?? 0) > 0);
  const varnish = laid.filter((e) => e.role === 'varnish').at(-1);
  const told = [
    ...metalCautions(
      metalsIn(
        laid.map((e) => e.recipe),
        assessment.painting.ground,
      ),
    ),
    ...(resin
      ? ['A top film holds natural resin: solvents of a varnish removal attack it. Test first.']
      : []),
    ...(laid.some((e) =>
      e.recipe.mix.some((p) => ('own' in p ? p.own.binder : p.binder) === 'water-mixable'),
    )
      ? [
          'Water-mixable oil was used: it may stay sensitive to water. Test before any aqueous cleaning.',
        ]
      : []),
    varnish?.recipe.material
      ? `Varnish: ${MATERIALS[varnish.recipe.material].name}.`
      : 'No final varnish is recorded.',
    GOVERNS,
  ];
  return told.map((text): Block => ({ kind: 'note', text }));
}
