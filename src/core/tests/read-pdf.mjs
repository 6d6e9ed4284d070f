// What an independent reader finds in a PDF: text and number of paths by page, and what it says of itself. Outside the
// test runner, which would compile all of the reader first.
import { readFileSync } from 'node:fs';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';

const data = new Uint8Array(readFileSync(0));
const doc = await getDocument({ data, verbosity: 0 }).promise;
const pages = [];
for (let i = 1; i <= doc.numPages; i++) {
  const page = await doc.getPage(i);
  const { items } = await page.getTextContent();
  const { fnArray } = await page.getOperatorList();
  pages.push({
    text: items.map((x) => x.str ?? '').join(' '),
    paths: fnArray.filter((f) => f === OPS.constructPath).length,
  });
}
const { info } = await doc.getMetadata();
process.stdout.write(JSON.stringify({ pages, info }));
