import { METHODS } from '@/data/methods';
import { SUPPORT_NAME, groundName } from '../painting/names';
import type { PaintingAssessment } from '../painting/layer';
import type { LaidEvent, Painting } from '../painting/schema';
import { laidEvents, sameSpot } from '../painting/sites';
import { lossesOf } from '../quantity/shopping';
import { paintNeeded } from '../quantity/paint-needed';
import { laidCm2 } from '../session/pace';
import type { Block } from './blocks';
import { columnsDrawing, sectionDrawing } from './section';
import { mediumWords, mixWords } from './words';

import { airLines, cautionLines, removalLines, testRows, verdictLines } from './found';
import { madeBetween, namesOf, type RecordOptions } from './options';

const cm = (mm: number): string => String(Number((mm / 10).toFixed(1)));

/** "40 × 50 cm", height first as museums write it. */
export const sizeText = ({ support }: Pick<Painting, 'support'>): string =>
  `${cm(support.heightMm)} × ${cm(support.widthMm)} cm (height × width)`;

const madeWords = (painting: Painting, day: RecordOptions['day']): string => {
  const made = madeBetween(painting);
  if (!made) return 'nothing laid yet';
  const [from, to] = [day(made.fromMs), day(made.toMs)];
  return from === to ? from : `${from} to ${to}`;
};

/** What has become of an entry where it was laid, each state once: it may be dry here, wet there and scraped off elsewhere. */
function nowWords({ passages }: PaintingAssessment, event: LaidEvent): string {
  const states = passages
    .filter(({ passage }) => event.passageIds.includes(passage.id))
    .flatMap(({ base, spots }) =>
      event.spot === null
        ? [base]
        : spots.filter(({ site }) => sameSpot(site.spotName, event.spot!.name)),
    )
    .map(
      ({ layers }): string =>
        layers.find((l) => !l.planned && l.film.coatIds.includes(event.coatId))?.state ??
        'taken off',
    );
  return states.length === 0 ? 'taken off' : [...new Set(states)].join(', ');
}

function coatRows(assessment: PaintingAssessment, options: RecordOptions): string[][] {
  const { painting } = assessment;
  return laidEvents(painting)
    .sort((a, b) => a.at.localeCompare(b.at))
    .map((event) => {
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
        nowWords(assessment, event),
      ];
    });
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
