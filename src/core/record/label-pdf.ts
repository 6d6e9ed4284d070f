import { rgb } from 'pdf-lib';
import { begun, INK, LEAD, linesOf, MM, type About } from './faces';
import { qrModules } from './qr';

/** Width and height of a label for the back, mm. */
export const LABEL = { w: 105, h: 74 } as const;

/** A label for the back of a picture: the short record in words, and as a code beside it. */
export async function labelPdf(
  input: About & { lines: readonly string[]; code: string },
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
