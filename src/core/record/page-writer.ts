import type { PDFDocument, PDFImage, PDFPage } from 'pdf-lib';
import type { Drawing } from './blocks';
import { colourOf, INK, LEAD, linesOf, MM, printable, type Face } from './faces';

/** A4, in points. */
const PAGE = { w: 210 * MM, h: 297 * MM, margin: 18 * MM };
export const SIZE = { title: 20, heading: 13, text: 9.5, small: 8, caption: 8 };
const RULE = colourOf('#cfc6b6');

/** Where on which page the next line goes. */
export class PageWriter {
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
      const step = SIZE.small * LEAD;
      const count = Math.max(...broken.map((lines) => lines.length));
      // Kept together where a page can hold it; what is longer goes on over the page, line by line.
      if (count * step + 4 < PAGE.h - 2 * PAGE.margin) this.need(count * step + 4);
      for (let k = 0; k < count; k++) {
        this.need(step);
        this.y -= step;
        broken.forEach((lines, i) => {
          const line = lines[k];
          if (line !== undefined)
            this.page.drawText(line, {
              x: xs[i]!,
              y: this.y,
              size: SIZE.small,
              font,
              color: INK,
            });
        });
      }
      this.y -= 3;
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
