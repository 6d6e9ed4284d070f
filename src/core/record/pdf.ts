import type { Block } from './blocks';
import { begun, type About } from './faces';
import { PageWriter, SIZE } from './page-writer';

export interface PdfInput extends About {
  blocks: readonly Block[];
  /** JPEGs by id. */
  photos?: ReadonlyMap<string, Uint8Array>;
  /** The same record for a program, carried inside: the page can be read by a person and taken in again. */
  attached?: { name: string; json: string };
}

/** A record as pages of A4: text that can be selected, fonts embedded, drawings as vectors. */
export async function recordPdf(input: PdfInput): Promise<Uint8Array> {
  const { doc, text, strong } = await begun(input);
  const w = new PageWriter(doc, text, strong, input.title);
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
