import { METAL_CAUTIONS, GOVERNS } from '@/data/cautions';
import { VARNISH_TEST_WORDS } from '@/data/finish';
import { MATERIALS } from '@/data/materials';
import { METHODS } from '@/data/methods';
import { tubePigments } from '../cabinet/tube-names';
import { pigmentRow } from '../cabinet/paints';
import type { StudioAir } from '../drying';
import { finishingOf } from '../finish/edit';
import type { Handbook } from '../handbook';
import type { Swatches } from '../optics/composition';
import { SUPPORT_NAME, groundName } from '../painting/names';
import type { Layer, PaintingAssessment } from '../painting/layer';
import { topLaid } from '../painting/layer';
import type { LaidEvent, Painting } from '../painting/schema';
import { laidEvents } from '../painting/sites';
import { lossesOf } from '../quantity/shopping';
import { paintNeeded } from '../quantity/paint-needed';
import { findingSentence } from '../rules/wording';
import { SCHOOLS } from '../schools';
import { laidCm2 } from '../session/pace';
import { findingsByRule, toldLayer } from '../tell';
import type { Block } from './blocks';
import { columnsDrawing, sectionDrawing } from './section';
import { mediumWords, mixWords } from './words';

export interface RecordOptions {
  handbook: Handbook;
  swatches: Swatches;
  air: StudioAir;
  nowMs: number;
  /** A day as the reader writes it. */
  day(ms: number): string;
  /** Pictures to put in, oldest first. */
  photos?: readonly { id: string; takenAt: string }[];
}

const cm = (mm: number): string => String(Number((mm / 10).toFixed(1)));

/** "40 × 50 cm", height first as museums write it. */
export const sizeText = ({ support }: Pick<Painting, 'support'>): string =>
  `${cm(support.heightMm)} × ${cm(support.widthMm)} cm (height × width)`;

/** First and last day that something was laid; null for a bare ground. */
export function madeBetween(painting: Painting): { fromMs: number; toMs: number } | null {
  const times = laidEvents(painting).map((e) => Date.parse(e.at));
  return times.length === 0 ? null : { fromMs: Math.min(...times), toMs: Math.max(...times) };
}

const madeWords = (painting: Painting, day: RecordOptions['day']): string => {
  const made = madeBetween(painting);
  if (!made) return 'nothing laid yet';
  const [from, to] = [day(made.fromMs), day(made.toMs)];
  return from === to ? from : `${from} to ${to}`;
};

const namesOf = (painting: Painting, ids: readonly string[]): string =>
  ids.length === painting.passages.length && ids.length > 1
    ? 'all'
    : ids.map((id) => painting.passages.find((p) => p.id === id)?.name ?? id).join(', ');

/** The film that an entry is part of, as it lies now; null where it was taken off. */
const layerOf = ({ passages }: PaintingAssessment, event: LaidEvent): Layer | null =>
  passages
    .flatMap(({ base, spots }) => [base, ...spots])
    .flatMap(({ layers }) => layers)
    .find((l) => !l.planned && l.film.coatIds.includes(event.coatId)) ?? null;

function coatRows(assessment: PaintingAssessment, options: RecordOptions): string[][] {
  const { painting } = assessment;
  return laidEvents(painting)
    .sort((a, b) => a.at.localeCompare(b.at))
    .map((event) => {
      const layer = layerOf(assessment, event);
      const area = laidCm2(painting, event);
      const needed =
        event.recipe.material === undefined && area > 0
          ? paintNeeded(options.handbook, event.recipe, area, lossesOf(options.handbook, painting))
          : null;
      return [
        options.day(Date.parse(event.at)),
        `${event.name}${event.spot ? ` (${event.spot.name})` : ''}; ${namesOf(painting, event.passageIds)}${event.intoWet ? '; into the wet' : ''}`,
        mixWords(event.recipe),
        mediumWords(event.recipe),
        `${event.recipe.thicknessUm} µm${needed ? `, ${needed.wetMl.toFixed(1)} ml` : ''}`,
        layer ? layer.state : 'taken off',
      ];
    });
}

const TOOK: Record<string, string> = {
  wiped: 'wiped back',
  scraped: 'scraped down',
  sanded: 'sanded',
  'painted-out': 'painted out',
};

function removalLines(painting: Painting, day: RecordOptions['day']): Block[] {
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

function verdictLines({ painting, passages }: PaintingAssessment): Block[] {
  const lines = passages.flatMap(({ passage, base }) =>
    base.layers
      .filter((l) => !l.planned && l.pair !== null)
      .map((l) => `${passage.name}, ${l.film.name}: ${toldLayer(l, painting.school).sentence}`),
  );
  const told = findingsByRule(
    passages.flatMap(({ passage, base, spots }) =>
      [base, ...spots].flatMap(({ layers }) =>
        layers
          .filter((l) => !l.planned)
          .flatMap((l) => l.findings.map((finding) => ({ finding, where: passage.name }))),
      ),
    ),
  ).map(
    ({ finding, where }) =>
      `${findingSentence(finding)} (${where.join(', ')})${finding.overruled === null ? '' : ` Overruled, because: ${finding.overruled}`}`,
  );
  return [
    { kind: 'text', text: `Judged by: ${SCHOOLS[painting.school].name}.` },
    ...[...lines, ...told].map((text): Block => ({ kind: 'text', text })),
  ];
}

function testRows(painting: Painting, day: RecordOptions['day']): string[][] {
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

function airLines(painting: Painting, { air, nowMs, day }: RecordOptions): Block[] {
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
function cautionLines(assessment: PaintingAssessment): Block[] {
  const laid = laidEvents(assessment.painting);
  const metals = new Set(
    laid
      .flatMap((e) => e.recipe.mix.flatMap(tubePigments))
      .flatMap(({ pigment }) => pigmentRow(pigment)?.metals ?? []),
  );
  const { ground } = assessment.painting;
  if (ground.kind === 'oil-ground' && ground.white === 'lead') metals.add('lead');
  if (ground.kind === 'old-painting' && ground.lead) metals.add('lead');
  const resin = assessment.passages.some(({ base }) => {
    const top = topLaid(base);
    return top !== null && top.film.asLaid.resin > 0;
  });
  const varnish = laid.filter((e) => e.role === 'varnish').at(-1);
  const told = [
    ...[...metals].flatMap((m) => METAL_CAUTIONS[m] ?? []),
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

/** The whole record of a picture: what it is on, what was laid and when, what was found, what was decided. */
export function recordBlocks(assessment: PaintingAssessment, options: RecordOptions): Block[] {
  const { painting, passages } = assessment;
  const { day } = options;
  const tests = testRows(painting, day);
  const removed = removalLines(painting, day);
  const sections = passages.flatMap(({ passage }): Block[] => {
    const drawing = sectionDrawing(assessment, passage.id, options.swatches);
    return drawing ? [{ kind: 'drawing', drawing }] : [];
  });
  const laid = laidEvents(painting).length > 0;
  return [
    {
      kind: 'title',
      text: painting.title,
      below: `${sizeText(painting)}; ${madeWords(painting, day)}`,
    },
    { kind: 'heading', text: 'Support and ground' },
    {
      kind: 'text',
      text: `${groundName(painting.ground)} on ${SUPPORT_NAME[painting.support.kind]}. Method: ${METHODS[painting.method].name}.`,
    },
    {
      kind: 'text',
      text: `Passages: ${painting.passages.map((p) => `${p.name} ${Math.round(p.share * 100)} %`).join(', ')}.`,
    },
    { kind: 'heading', text: 'Coats' },
    laid
      ? {
          kind: 'table',
          head: ['Day', 'Coat and where', 'Paint, parts by volume', 'Medium', 'Dry film', 'Now'],
          widths: [20, 38, 50, 32, 20, 18],
          rows: coatRows(assessment, options),
        }
      : { kind: 'text', text: 'Nothing has been laid yet.' },
    ...removed,
    ...(laid
      ? ([
          { kind: 'heading', text: 'Section' },
          { kind: 'drawing', drawing: columnsDrawing(assessment, options.swatches) },
          ...sections,
          { kind: 'heading', text: 'Fat over lean, and what stands against it' },
          ...verdictLines(assessment),
        ] satisfies Block[])
      : []),
    ...(tests.length > 0
      ? ([
          { kind: 'heading', text: 'Tests' },
          {
            kind: 'table',
            head: ['Day', 'Where', 'Test', 'Found'],
            widths: [22, 52, 34, 66],
            rows: tests,
          },
        ] satisfies Block[])
      : []),
    { kind: 'heading', text: 'Air' },
    ...airLines(painting, options),
    {
      kind: 'text',
      text: 'What is said of drying is reckoned from tables with wide error, and from the tests above.',
    },
    { kind: 'heading', text: 'For whoever treats it' },
    ...cautionLines(assessment),
    ...(options.photos && options.photos.length > 0
      ? ([
          { kind: 'heading', text: 'Photos' },
          ...options.photos.map(({ id, takenAt }): Block => ({
            kind: 'photo',
            id,
            caption: day(Date.parse(takenAt)),
          })),
        ] satisfies Block[])
      : []),
  ];
}
