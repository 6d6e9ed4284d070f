import { openBothers } from '../painting/notes-of';
import { plannedCoats } from '../painting/sites';
import type { PaintingAssessment } from '../painting/layer';
import { WAITS_FOR } from '@/data/finish';
import type { Block } from './blocks';
import { sizeText } from './dossier';
import type { RecordOptions } from './options';
import { metalCautions, metalsIn } from './metals';
import { columnsDrawing } from './section';
import { mediumWords, mixWords } from './words';

/** To pin to the wall, one page unless very much is planned: what is still to be laid, passage by passage, with its mix and what it waits for. */
export function planBlocks(
  assessment: PaintingAssessment,
  { swatches, day, nowMs }: Pick<RecordOptions, 'swatches' | 'day' | 'nowMs'>,
): Block[] {
  const { painting } = assessment;
  const rows = painting.passages.flatMap((p) =>
    plannedCoats(painting, p.id).map((c) => [
      p.name,
      `${c.name}${c.spot ? ` (${c.spot.name})` : ''}`,
      mixWords(c.recipe),
      mediumWords(c.recipe),
      `${c.recipe.thicknessUm} µm`,
      WAITS_FOR[c.onto],
    ]),
  );
  const bothers = openBothers(painting);
  const due = painting.planning?.dueAt;
  return [
    {
      kind: 'title',
      text: painting.title,
      below: `${sizeText(painting)}; plan of ${day(nowMs)}${due ? `; due ${day(Date.parse(due))}` : ''}`,
    },
    { kind: 'drawing', drawing: columnsDrawing(assessment, swatches) },
    { kind: 'heading', text: 'Still to be laid' },
    rows.length > 0
      ? {
          kind: 'table',
          head: ['Passage', 'Coat', 'Paint, parts by volume', 'Medium', 'Dry film', 'Goes on'],
          widths: [26, 34, 48, 30, 16, 20],
          rows,
        }
      : { kind: 'text', text: 'Nothing is planned.' },
    ...(bothers.length > 0
      ? ([
          { kind: 'heading', text: 'What still bothers' },
          ...bothers.map((b): Block => ({ kind: 'note', text: b.text })),
        ] satisfies Block[])
      : []),
    ...metalCautions(
      metalsIn(
        painting.coats.map((c) => c.recipe),
        painting.ground,
      ),
    ).map((text): Block => ({ kind: 'note', text })),
    {
      kind: 'note',
      text: 'Oily rags: dry flat, unstacked, outdoors, or under water in a closed metal can.',
    },
  ];
}
