import fontkit from '@pdf-lib/fontkit';
import { PDFDocument, rgb, type PDFFont, type PDFImage, type PDFPage, type RGB } from 'pdf-lib';
import type { Block, Drawing } from './blocks';
import { qrModules } from './qr';

/** Faces that are embedded, as TrueType. */
export interface Fonts {
  text: Uint8Array;
  strong: Uint8Array;
}

export interface PdfInput {
  title: string;
  /** Whoever painted it; empty where nobody said. */
  author: string;
  blocks: readonly Block[];
  fonts: Fonts;
  /** JPEGs by id. */
  photos?: ReadonlyMap<string, Uint8Array>;
  /** The same record for a program, carried inside: the page can be read by a person and taken in again. */
  attached?: { name: string; json: string };
  nowMs: number;
}

const MM = 72 / 25.4;
const PAGE = { w: 210 * MM, h: 297 * MM, margin: 18 * MM };
const SIZE = { title: 20, heading: 13, text: 9.5, small: 8, caption: 8 };
const LEAD = 1.32;

const colourOf = (hex: string): RGB => {
  const v = parseInt(hex.slice(1), 16);
  return rgb(((v >> 16) & 255) / 255, ((v >> 8) & 255) / 255, (v & 255) / 255);
};
const INK = colourOf('#2b2622');
const RULE = colourOf('#cfc6b6');

/** Control characters have no shape; a letter that the font lacks is written as a box by it, never lost silently. */
const printable = (text: string): string => text.replace(/[\u0000-\u001f\u007f]+/g, ' ');

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
interface Face {
  font: PDFFont;
  widthOf(text: string, size: number): number;
}

/** Where on which page the next line goes. */
class Writer {
  page!: PDFPage;
  y = 0;

  constructor(
    readonly doc: PDFDocument,
    readonly text: Face,
    readonly strong: Face,
    readonly foot: string,
  ) {
    this.newPage();
  }

  newPage(): void {
    this.page = this.doc.addPage([PAGE.w, PAGE.h]);
    this.y = PAGE.h - PAGE.margin;
  }

  /** Room for so much, on this page or the next. */
  need(height: number): void {
    if (this.y - height < PAGE.margin) this.newPage();
  }

  lines(
    text: string,
    size: number,
    { font, widthOf }: Face,
    x = PAGE.margin,
    width = PAGE.w - 2 * PAGE.margin,
  ): void {
    for (const line of linesOf(text, width, (s) => widthOf(s, size))) {
      this.need(size * LEAD);
      this.y -= size * LEAD;
      this.page.drawText(line, { x, y: this.y, size, font, color: INK });
    }
  }

  rule(): void {
    this.page.drawLine({
      start: { x: PAGE.margin, y: this.y },
      end: { x: PAGE.w - PAGE.margin, y: this.y },
      thickness: 0.5,
      color: RULE,
    });
  }

  table(
    head: readonly string[],
    widths: readonly number[],
    rows: readonly (readonly string[])[],
  ): void {
    const xs = widths.map(
      (_, i) => PAGE.margin + widths.slice(0, i).reduce((s, w) => s + w, 0) * MM,
    );
    const row = (cells: readonly string[], { font, widthOf }: Face) => {
      const broken = cells.map((cell, i) =>
        linesOf(cell, widths[i]! * MM - 4, (s) => widthOf(s, SIZE.small)),
      );
      const height = Math.max(...broken.map((b) => b.length)) * SIZE.small * LEAD;
      // A row taller than a page would never find room: it is begun where it stands.
      if (height < PAGE.h - 2 * PAGE.margin) this.need(height + 4);
      const top = this.y;
      const pages = this.doc.getPageCount();
      broken.forEach((lines, i) => {
        this.y = top;
        for (const line of lines) {
          this.y -= SIZE.small * LEAD;
          if (this.y > PAGE.margin / 2)
            this.page.drawText(line, { x: xs[i]!, y: this.y, size: SIZE.small, font, color: INK });
        }
      });
      if (pages === this.doc.getPageCount()) this.y = top - height - 3;
      this.rule();
      this.y -= 2;
    };
    row(head, this.strong);
    rows.forEach((cells) => row(cells, this.text));
  }

  /** A drawing as vectors, its size kept. */
  drawing({ heightMm, shapes }: Drawing): void {
    this.need(heightMm * MM + 4);
    const top = this.y - 2;
    const at = (x: number, y: number) => ({ x: PAGE.margin + x * MM, y: top - y * MM });
    for (const s of shapes) {
      if (s.kind === 'rect')
        this.page.drawRectangle({
          ...at(s.x, s.y + s.h),
          width: s.w * MM,
          height: s.h * MM,
          color: colourOf(s.fill),
          ...(s.line ? { borderColor: colourOf(s.line), borderWidth: 0.4 } : {}),
        });
      else if (s.kind === 'line')
        this.page.drawLine({
          start: at(s.x1, s.y1),
          end: at(s.x2, s.y2),
          thickness: s.width * MM,
          color: colourOf(s.colour),
        });
      else {
        const { font, widthOf } = s.strong ? this.strong : this.text;
        const words = printable(s.text);
        const width = widthOf(words, s.size);
        const back = s.anchor === 'middle' ? width / 2 : s.anchor === 'end' ? width : 0;
        const { x, y } = at(s.x, s.y);
        this.page.drawText(words, { x: x - back, y, size: s.size, font, color: INK });
      }
    }
    this.y = top - heightMm * MM - 4;
  }

  photo(image: PDFImage, caption: string): void {
    const width = PAGE.w - 2 * PAGE.margin;
    const scale = Math.min(width / image.width, (110 * MM) / image.height);
    const height = image.height * scale;
    this.need(height + SIZE.caption * 2);
    this.page.drawImage(image, {
      x: PAGE.margin,
      y: this.y - height,
      width: image.width * scale,
      height,
    });
    this.y -= height;
    this.lines(caption, SIZE.caption, this.text);
    this.y -= 6;
  }

  /** Numbers on every page, once it is known how many there are. */
  numbered(): void {
    const pages = this.doc.getPages();
    pages.forEach((page, i) => {
      page.drawText(printable(`${this.foot}   ${i + 1} / ${pages.length}`), {
        x: PAGE.margin,
        y: PAGE.margin / 2,
        size: SIZE.small,
        font: this.text.font,
        color: INK,
      });
    });
  }
}

async function begun({
  title,
  author,
  fonts,
  nowMs,
}: Pick<PdfInput, 'title' | 'author' | 'fonts' | 'nowMs'>) {
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

/** A record as pages of A4: text that can be selected, fonts embedded, drawings as vectors. */
export async function recordPdf(input: PdfInput): Promise<Uint8Array> {
  const { doc, text, strong } = await begun(input);
  const w = new Writer(doc, text, strong, input.title);
  for (const block of input.blocks) {
    switch (block.kind) {
      case 'title':
        w.lines(block.text, SIZE.title, strong);
        w.lines(block.below, SIZE.text, text);
        w.y -= 6;
        break;
      case 'heading':
        // A heading does not stand alone at the foot of a page.
        w.need(SIZE.heading * 3);
        w.y -= 8;
        w.lines(block.text, SIZE.heading, strong);
        w.y -= 2;
        break;
      case 'text':
        w.lines(block.text, SIZE.text, text);
        break;
      case 'note':
        w.lines(`– ${block.text}`, SIZE.text, text);
        break;
      case 'table':
        w.table(block.head, block.widths, block.rows);
        w.y -= 4;
        break;
      case 'drawing':
        w.drawing(block.drawing);
        break;
      case 'photo': {
        const jpeg = input.photos?.get(block.id);
        // A picture that cannot be read takes no page with it.
        const image = jpeg ? await doc.embedJpg(jpeg).catch(() => null) : null;
        if (image) w.photo(image, block.caption);
        else w.lines(`${block.caption}: the photo is not here.`, SIZE.caption, text);
      }
    }
  }
  w.numbered();
  if (input.attached)
    await doc.attach(new TextEncoder().encode(input.attached.json), input.attached.name, {
      mimeType: 'application/json',
      description: 'The same record for Tawny Hour: can be taken in again.',
      creationDate: new Date(input.nowMs),
      modificationDate: new Date(input.nowMs),
    });
  return doc.save();
}

/** Width and height of a label for the back, mm. */
export const LABEL = { w: 105, h: 74 } as const;

/** A label for the back of a picture: the short record in words, and as a code beside it. */
export async function labelPdf(
  input: Pick<PdfInput, 'title' | 'author' | 'fonts' | 'nowMs'> & {
    lines: readonly string[];
    code: string;
  },
): Promise<Uint8Array> {
  const { doc, text, strong } = await begun(input);
  const page = doc.addPage([LABEL.w * MM, LABEL.h * MM]);
  const modules = qrModules(input.code);
  const side = 42 * MM;
  const cell = side / modules.length;
  const [x0, y0] = [(LABEL.w - 47) * MM, (LABEL.h - 47) * MM];
  modules.forEach((row, y) =>
    row.forEach((dark, x) => {
      if (dark)
        page.drawRectangle({
          x: x0 + x * cell,
          y: y0 + side - (y + 1) * cell,
          // A little over the edge, or hairs of paper show between them.
          width: cell * 1.03,
          height: cell * 1.03,
          color: rgb(0, 0, 0),
        });
    }),
  );
  let y = LABEL.h * MM - 5 * MM;
  const besideMm = LABEL.w - 55;
  input.lines.forEach((line, i) => {
    const { font, widthOf } = i === 0 ? strong : text;
    const size = i === 0 ? 12 : 8;
    const beside = y > y0 - 2 * MM;
    const width = (beside ? besideMm : LABEL.w - 10) * MM;
    for (const part of linesOf(line, width, (s) => widthOf(s, size))) {
      y -= size * LEAD;
      // What has no room on the paper is in the code.
      if (y > 4 * MM) page.drawText(part, { x: 5 * MM, y, size, font, color: INK });
    }
  });
  return doc.save();
}
