import { HAIR_UM, SECTION } from '@/data/section';
import { topLaid, type PaintingAssessment, type SiteStack } from '../painting/layer';
import { stackLook, type StackLook } from '../painting/look';
import { SUPPORT_NAME, groundName } from '../painting/names';
import type { Painting } from '../painting/schema';
import type { Swatches } from '../optics/composition';
import { isBroken } from '../tell';
import { SCHOOLS } from '../schools';
import { stairWidth } from '../painting/layer';
import type { Drawing, Shape } from './blocks';

/** One film of a cut, as it is drawn. */
interface Cut {
  name: string;
  colour: string;
  um: number;
  figure: string;
  broken: boolean;
}

function cutsOf(stack: SiteStack, painting: Painting, look: StackLook): Cut[] {
  const { school } = painting;
  return stack.layers
    .filter((l) => !l.planned)
    .map((layer) => {
      const measure = stairWidth(layer, school);
      return {
        name: layer.film.name,
        colour: (look.films.get(layer.film.key) ?? look.finished).screen.hex,
        um: layer.thicknessUm,
        figure: measure === null ? '' : SCHOOLS[school].format(measure),
        broken: isBroken(layer, school),
      };
    });
}

/** mm of the drawing that a film takes; thinner than a hair none is drawn. */
const tall = (um: number, mmPerUm: number): number => Math.max(HAIR_UM, um) * mmPerUm;

/** Films, the lowest at the bottom, from a base line up. */
function stacked(cuts: readonly Cut[], x: number, w: number, baseY: number, mmPerUm: number) {
  let y = baseY;
  return cuts.map((cut) => {
    const h = tall(cut.um, mmPerUm);
    y -= h;
    const shape: Shape = { kind: 'rect', x, y, w, h, fill: cut.colour, line: SECTION.ink };
    return { cut, shape, y, h };
  });
}

const scaleFor = (cuts: readonly (readonly Cut[])[], heightMm: number): number => {
  const most = Math.max(
    SECTION.leastUm,
    ...cuts.map((stack) => stack.reduce((s, c) => s + Math.max(HAIR_UM, c.um), 0)),
  );
  return heightMm / most;
};

const groundStrip = (look: StackLook, x: number, w: number, y: number): Shape[] => [
  { kind: 'rect', x, y, w, h: SECTION.groundMm, fill: look.ground.screen.hex, line: SECTION.ink },
  {
    kind: 'line',
    x1: x,
    y1: y + SECTION.groundMm + 1,
    x2: x + w,
    y2: y + SECTION.groundMm + 1,
    width: 0.6,
    colour: SECTION.ink,
  },
];

/** A bar of a round length beside films that are to scale. */
function scaleBar(mmPerUm: number, x: number, y: number): Shape[] {
  const um = SECTION.bars.findLast((u) => u * mmPerUm <= SECTION.barMostMm) ?? SECTION.bars[0]!;
  const h = um * mmPerUm;
  return [
    { kind: 'line', x1: x, y1: y - h, x2: x, y2: y, width: 0.5, colour: SECTION.ink },
    { kind: 'text', x: x + 1.5, y, text: `${um} µm`, size: SECTION.small },
  ];
}

/** The cut through one passage, every film with its name, thickness and measure; to scale, hairs apart. */
export function sectionDrawing(
  { painting, passages }: PaintingAssessment,
  passageId: string,
  swatches: Swatches,
): Drawing | null {
  const passage = passages.find((p) => p.passage.id === passageId);
  if (!passage || !topLaid(passage.base)) return null;
  const look = stackLook(passage.base, painting, swatches);
  const cuts = cutsOf(passage.base, painting, look);
  const { widthMm, heightMm, labelGap } = SECTION;
  const baseY = heightMm - SECTION.groundMm - 8;
  const mmPerUm = scaleFor([cuts], baseY - 6);
  const w = widthMm * 0.42;
  const placed = stacked(cuts, 12, w, baseY, mmPerUm);
  // Labels stand beside their films, and are pushed apart where films are thin.
  let floor = Infinity;
  const labels = placed.map(({ cut, y, h }): { at: number; from: number; cut: Cut } => {
    const at = Math.min(y + h / 2 + 1, floor);
    floor = at - labelGap;
    return { at, from: y + h / 2, cut };
  });
  const up = Math.max(0, labelGap - Math.min(Infinity, ...labels.map((l) => l.at)));
  return {
    name: `Section of ${passage.passage.name}`,
    widthMm,
    heightMm,
    shapes: [
      {
        kind: 'text',
        x: 12 + w + 5,
        y: 3.5,
        text: passage.passage.name,
        size: SECTION.text,
        strong: true,
      },
      ...groundStrip(look, 12, w, baseY),
      ...placed.map((p) => p.shape),
      ...labels.flatMap(({ at, from, cut }): Shape[] => [
        {
          kind: 'line',
          x1: 12 + w,
          y1: from,
          x2: 12 + w + 4,
          y2: at + up - 1,
          width: 0.2,
          colour: SECTION.ink,
        },
        {
          kind: 'text',
          x: 12 + w + 5,
          y: at + up,
          text: `${cut.name}, ${cut.um.toFixed(cut.um < 10 ? 1 : 0)} µm${cut.figure ? `, ${cut.figure}` : ''}${cut.broken ? ', breaks the rule' : ''}`,
          size: SECTION.text,
        },
      ]),
      {
        kind: 'text',
        x: 12,
        y: heightMm - 2,
        text: `${groundName(painting.ground)} on ${SUPPORT_NAME[painting.support.kind]}`,
        size: SECTION.small,
      },
      ...scaleBar(mmPerUm, 2, baseY),
    ],
  };
}

/** All passages side by side, to one scale. */
export function columnsDrawing(
  { painting, passages }: PaintingAssessment,
  swatches: Swatches,
): Drawing {
  const { widthMm, heightMm } = SECTION;
  const stacks = passages.map(({ passage, base }) => {
    const look = stackLook(base, painting, swatches);
    return { passage, look, cuts: cutsOf(base, painting, look) };
  });
  const baseY = heightMm - SECTION.groundMm - 8;
  const mmPerUm = scaleFor(
    stacks.map((s) => s.cuts),
    baseY - 4,
  );
  const room = (widthMm - 14) / Math.max(1, stacks.length);
  return {
    name: 'All passages',
    widthMm,
    heightMm,
    shapes: [
      ...stacks.flatMap(({ passage, look, cuts }, i): Shape[] => {
        const x = 14 + i * room;
        const w = room * 0.8;
        return [
          ...groundStrip(look, x, w, baseY),
          ...stacked(cuts, x, w, baseY, mmPerUm).map((p) => p.shape),
          {
            kind: 'text',
            x: x + w / 2,
            y: heightMm - 2,
            // What does not fit its column is cut short, here alone.
            text:
              passage.name.length > w / 1.6
                ? `${passage.name.slice(0, Math.max(3, Math.floor(w / 1.6) - 1))}…`
                : passage.name,
            size: SECTION.small,
            anchor: 'middle',
          },
        ];
      }),
      ...scaleBar(mmPerUm, 2, baseY),
    ],
  };
}
