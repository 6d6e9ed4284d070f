import fontkit from '@pdf-lib/fontkit';
import { wellFormed } from './well-formed';
import { PDFDocument, rgb, type PDFFont, type RGB } from 'pdf-lib';

/** Faces that are embedded, as TrueType. */
export interface Fonts {
  text: Uint8Array;
  strong: Uint8Array;
}
/** What every paper says of itself. */
export interface About {
  title: string;
  /** Whoever painted it; empty where nobody said. */
  author: string;
  fonts: Fonts;
  nowMs: number;
}

export const MM = 72 / 25.4;
export const LEAD = 1.32;

/** A colour as the page writes it. @param hex #rrggbb */
export const colourOf = (hex: string): RGB => {
  const v = parseInt(hex.slice(1), 16);
  return rgb(((v >> 16) & 255) / 255, ((v >> 8) & 255) / 255, (v & 255) / 255);
};
export const INK = colourOf('#2b2622');

/** Control characters have no shape; a letter that the font lacks is written as a box by it, never lost silently. */
export const printable = (text: string): string =>
  wellFormed(text).replace(/[\u0000-\u001f\u007f]+/g, ' ');

/** Words broken into lines of a width; a word that is wider than the line is cut where it must be. */
export function linesOf(text: string, width: number, measure: (s: string) => number): string[] {
  const out: string[] = [];
  let line = '';
  for (const word of printable(text).split(' ')) {
    const tried = line === '' ? word : `${line} ${word}`;
    if (measure(tried) <= width) {
      line = tried;
      continue;
    }
    if (line !== '') out.push(line);
    line = word;
    while (measure(line) > width && line.length > 1) {
      // By halving: a measure of a long word is not cheap.
      let [fits, over] = [1, line.length];
      while (over - fits > 1) {
        const middle = (fits + over) >> 1;
        if (measure(line.slice(0, middle)) <= width) fits = middle;
        else over = middle;
      }
      // Never through a letter of two halves.
      if (/[\uD800-\uDBFF]/.test(line[fits - 1]!)) fits += fits > 1 ? -1 : 1;
      out.push(line.slice(0, fits));
      line = line.slice(fits);
    }
  }
  out.push(line);
  return out;
}

/** Widths letter by letter, each measured once: shaping a whole line for every word of it takes most of the time. */
function measurer(font: PDFFont): (text: string, size: number) => number {
  const widths = new Map<string, number>();
  return (text, size) => {
    let sum = 0;
    for (const letter of text) {
      let width = widths.get(letter);
      if (width === undefined) widths.set(letter, (width = font.widthOfTextAtSize(letter, 1)));
      sum += width;
    }
    return sum * size;
  };
}

/** A face with its measure. */
export interface Face {
  font: PDFFont;
  widthOf(text: string, size: number): number;
}

/** A document with what it says of itself, and its faces embedded. */
export async function begun({ title, author, fonts, nowMs }: About) {
  const doc = await PDFDocument.create();
  doc.registerFontkit(fontkit);
  doc.setTitle(printable(title), { showInWindowTitleBar: true });
  if (author) doc.setAuthor(printable(author));
  doc.setProducer('Tawny Hour');
  doc.setCreator('Tawny Hour');
  doc.setLanguage('en');
  doc.setCreationDate(new Date(nowMs));
  doc.setModificationDate(new Date(nowMs));
  const face = async (bytes: Uint8Array): Promise<Face> => {
    // Whole: the subsetter of the package drops the shapes of letters and leaves their widths.
    // Without ligatures, whose widths are not those of their letters.
    const font = await doc.embedFont(bytes, { features: { liga: false } });
    return { font, widthOf: measurer(font) };
  };
  return { doc, text: await face(fonts.text), strong: await face(fonts.strong) };
}
