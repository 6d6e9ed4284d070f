import {
  decodePDFRawStream,
  PDFArray,
  PDFDict,
  PDFDocument,
  PDFName,
  PDFRawStream,
  type PDFObject,
} from 'pdf-lib';
import { CoreError } from '../errors';

const nothing = (): never => {
  throw new CoreError(
    'document-unreadable',
    'file',
    'This page carries no record that can be taken in. Choose a PDF that Tawny Hour has made, or its JSON.',
  );
};

/** The record that a PDF of ours carries inside, as text. Throws `document-unreadable`. */
export async function jsonInPdf(bytes: Uint8Array): Promise<string> {
  const doc = await PDFDocument.load(bytes, { updateMetadata: false }).catch(nothing);
  // A file that is only called a PDF has no catalogue, whatever the types say.
  const catalog = doc.catalog as PDFDict | undefined;
  const names = catalog?.lookupMaybe(PDFName.of('Names'), PDFDict);
  const files = names?.lookupMaybe(PDFName.of('EmbeddedFiles'), PDFDict);
  const pairs = files?.lookupMaybe(PDFName.of('Names'), PDFArray);
  if (!pairs) return nothing();
  for (let i = 1; i < pairs.size(); i += 2) {
    const stream: PDFObject | undefined = pairs
      .lookupMaybe(i, PDFDict)
      ?.lookupMaybe(PDFName.of('EF'), PDFDict)
      ?.lookup(PDFName.of('F'));
    if (stream instanceof PDFRawStream)
      return new TextDecoder().decode(decodePDFRawStream(stream).decode());
  }
  return nothing();
}
