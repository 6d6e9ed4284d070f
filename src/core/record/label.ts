import { GOVERNS } from '@/data/cautions';
import { MATERIALS } from '@/data/materials';
import { pigmentRow } from '../cabinet/paints';
import { tubePigments } from '../cabinet/tube-names';
import { SUPPORT_NAME, groundName } from '../painting/names';
import type { Painting } from '../painting/schema';
import { laidEvents } from '../painting/sites';
import { metalsIn } from './metals';
import { sizeText } from './dossier';
import { madeBetween } from './options';

/** What a QR code of ordinary print on a label can hold and still be read: version 20, low correction; bytes. */
export const LABEL_MOST_BYTES = 800;

const bytes = (text: string): number => new TextEncoder().encode(text).length;

/** The short record, line by line, the most needed first: what a label says and its code holds. It is text, no address. */
export function labelLines(
  painting: Painting,
  day: (ms: number) => string,
  painter = '',
): string[] {
  const laid = laidEvents(painting);
  const made = madeBetween(painting);
  const varnish = laid.filter((e) => e.role === 'varnish').at(-1);
  const codes = new Set(
    laid
      .flatMap((e) => e.recipe.mix.flatMap(tubePigments))
      .flatMap(({ pigment }) => {
        const ci = pigmentRow(pigment)?.ci.split(' ')[0];
        return ci ? [ci] : [];
      }),
  );
  const metals = metalsIn(
    laid.map((e) => e.recipe),
    painting.ground,
  );
  return [
    painting.title,
    ...(painter ? [painter] : []),
    sizeText(painting),
    made ? `${day(made.fromMs)} to ${day(made.toMs)}` : 'not begun',
    `Oil, ${groundName(painting.ground)} on ${SUPPORT_NAME[painting.support.kind]}`,
    varnish?.recipe.material
      ? `Varnish: ${MATERIALS[varnish.recipe.material].name}, ${day(Date.parse(varnish.at))}`
      : 'Not varnished',
    ...(metals.length > 0 ? [`Holds ${metals.join(', ')}. ${GOVERNS}`] : []),
    ...(codes.size > 0 ? [`Pigments: ${[...codes].sort().join(' ')}`] : []),
    ...laid
      .filter((e) => e.role !== 'varnish')
      .sort((a, b) => a.at.localeCompare(b.at))
      .map((e) => `${day(Date.parse(e.at))} ${e.name}`),
  ];
}

/** The text of the code: as many of the lines as it holds, whole ones. */
export function labelText(lines: readonly string[]): string {
  const out: string[] = [];
  for (const line of lines) {
    if (bytes([...out, line].join('\n')) > LABEL_MOST_BYTES) break;
    out.push(line);
  }
  return out.join('\n');
}
