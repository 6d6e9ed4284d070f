import { hexToLinear, linearToHex, type Bands } from '../optics/srgb';

/** A colour with its name, for the palette files of other programs. Only what sRGB can say leaves in them. */
export interface NamedColour {
  name: string;
  /** "#rrggbb". */
  hex: string;
}

const channels = (hex: string): [number, number, number] =>
  [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16)) as [number, number, number];
/** One line each: no breaks, no tabs, nothing that steers a terminal. */
const line = (text: string): string => text.replace(/[\u0000-\u001f\u007f]+/g, ' ').trim();

/** A palette in the open GPL text form: red, green, blue and a name on every line. */
export function gplOf(title: string, colours: readonly NamedColour[]): string {
  const rows = colours.map(({ name, hex }) => {
    const [r, g, b] = channels(hex).map((v) => String(v).padStart(3, ' '));
    return `${r} ${g} ${b}\t${line(name)}`;
  });
  return [
    'GIMP Palette',
    `Name: ${line(title)}`,
    `Columns: ${colours.length}`,
    '#',
    ...rows,
    '',
  ].join('\n');
}

const COLOUR_ENTRY = 0x0001;
const NORMAL = 2;

/** A palette in the swatch exchange form ASE: blocks of a name in UTF-16 and three floats. Format from memory, checked by reading it back. */
export function aseOf(colours: readonly NamedColour[]): Uint8Array {
  const blocks = colours.map(({ name, hex }) => {
    const letters = [...line(name)].join('');
    const units = Array.from({ length: letters.length }, (_, i) => letters.charCodeAt(i));
    const length = 2 + 2 * (units.length + 1) + 4 + 3 * 4 + 2;
    const block = new DataView(new ArrayBuffer(6 + length));
    let at = 0;
    const u16 = (v: number) => {
      block.setUint16(at, v);
      at += 2;
    };
    u16(COLOUR_ENTRY);
    block.setUint32(at, length);
    at += 4;
    u16(units.length + 1);
    units.forEach(u16);
    u16(0);
    for (const letter of 'RGB ') block.setUint8(at++, letter.charCodeAt(0));
    for (const v of channels(hex)) {
      block.setFloat32(at, v / 255);
      at += 4;
    }
    u16(NORMAL);
    return new Uint8Array(block.buffer);
  });
  const head = new DataView(new ArrayBuffer(12));
  [...'ASEF'].forEach((letter, i) => head.setUint8(i, letter.charCodeAt(0)));
  head.setUint16(4, 1);
  head.setUint16(6, 0);
  head.setUint32(8, blocks.length);
  const out = new Uint8Array(12 + blocks.reduce((sum, b) => sum + b.length, 0));
  out.set(new Uint8Array(head.buffer), 0);
  let at = 12;
  for (const block of blocks) {
    out.set(block, at);
    at += block.length;
  }
  return out;
}

const ESCAPES: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
const xml = (text: string): string => line(text).replace(/[&<>"]/g, (c) => ESCAPES[c]!);

const FIELD = 120;
const HEAD = 30;
const FOOT = 26;
const DARK = 0.18;
const luminance = ([r, g, b]: Bands): number => 0.2126 * r + 0.7152 * g + 0.0722 * b;

/** A string as a drawing: its steps side by side on the neutral grey of the wall, each with its name below. */
export function svgOf(title: string, colours: readonly NamedColour[]): string {
  const width = FIELD * colours.length;
  const height = HEAD + FIELD + FOOT;
  const fields = colours.map(({ name, hex }, i) => {
    const linear = hexToLinear(hex);
    const ink = luminance(linear) < DARK ? '#ffffff' : '#2a211d';
    return `  <g><title>${xml(name)}</title><rect x="${i * FIELD}" y="${HEAD}" width="${FIELD}" height="${FIELD}" fill="${linearToHex(linear)}"/><text x="${i * FIELD + 8}" y="${HEAD + FIELD - 10}" font-size="16" fill="${ink}">${i + 1}</text><text x="${i * FIELD + 4}" y="${height - 8}" font-size="13" fill="#2a211d">${xml(name)}</text></g>`;
  });
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}" font-family="sans-serif">`,
    `  <title>${xml(title)}</title>`,
    `  <rect width="${width}" height="${height}" fill="#e9e9e8"/>`,
    `  <text x="4" y="20" font-size="16" fill="#2a211d">${xml(title)}</text>`,
    ...fields,
    '</svg>',
    '',
  ].join('\n');
}
