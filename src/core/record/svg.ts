import type { Drawing, Shape } from './blocks';

const escaped = (text: string): string =>
  text
    // What no XML may hold.
    .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g, '')
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;');

const MM_PER_POINT = 25.4 / 72;
const n = (value: number): string => String(Number(value.toFixed(3)));

function shapeSvg(shape: Shape): string {
  if (shape.kind === 'rect')
    return `<rect x="${n(shape.x)}" y="${n(shape.y)}" width="${n(shape.w)}" height="${n(shape.h)}" fill="${shape.fill}"${shape.line ? ` stroke="${shape.line}" stroke-width="0.15"` : ''}/>`;
  if (shape.kind === 'line')
    return `<line x1="${n(shape.x1)}" y1="${n(shape.y1)}" x2="${n(shape.x2)}" y2="${n(shape.y2)}" stroke="${shape.colour}" stroke-width="${n(shape.width)}"/>`;
  return `<text x="${n(shape.x)}" y="${n(shape.y)}" font-size="${n(shape.size * MM_PER_POINT)}" text-anchor="${shape.anchor ?? 'start'}"${shape.strong ? ' font-weight="600"' : ''}>${escaped(shape.text)}</text>`;
}

const OPENS = '<metadata id="tawny-hour">';
const CLOSES = '</metadata>';

/** The record that a drawing of ours carries for a program; null in any other. */
export function jsonInSvg(svg: string): string | null {
  const from = svg.indexOf(OPENS);
  const to = svg.indexOf(CLOSES, from);
  if (from === -1 || to === -1) return null;
  return svg
    .slice(from + OPENS.length, to)
    .replaceAll('&quot;', '"')
    .replaceAll('&gt;', '>')
    .replaceAll('&lt;', '<')
    .replaceAll('&amp;', '&');
}

/**
 * A drawing as a file of its own; sizes in mm. SVG 1.1, W3C.
 * @param json the record it is drawn from, carried along for a program
 */
export const svgOf = (
  { name, widthMm, heightMm, shapes }: Drawing,
  json: string | null = null,
): string =>
  [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(widthMm)}mm" height="${n(heightMm)}mm" viewBox="0 0 ${n(widthMm)} ${n(heightMm)}" font-family="'Source Sans 3', Arial, sans-serif" fill="#2b2622" role="img">`,
    `<title>${escaped(name)}</title>`,
    ...(json === null ? [] : [`${OPENS}${escaped(json)}${CLOSES}`]),
    ...shapes.map(shapeSvg),
    '</svg>',
    '',
  ].join('\n');
