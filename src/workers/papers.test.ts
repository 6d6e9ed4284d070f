import { readFileSync } from 'node:fs';
import { exportFile, readExport } from '@/core/formats/export';
import { touchFilm } from '@/core/painting/touch';
import { layCoat } from '@/core/painting/events';
import { coatsCsv, testsCsv } from '@/core/record/csv';
import { svgOf } from '@/core/record/svg';
import { isoDaysAgo, making, NOW, NOW_MS, stackOf } from '@/core/tests/paintings';
import { recipe, tube } from '@/core/tests/recipes';
import { bytesSchema } from './papers-protocol';
import { PAPERS } from './papers-solver';
import { unpack } from './protocol';

jest.setTimeout(60_000);

const FACES = 'node_modules/@expo-google-fonts/source-sans-3';
const fonts = {
  text: new Uint8Array(readFileSync(`${FACES}/400Regular/SourceSans3_400Regular.ttf`)),
  strong: new Uint8Array(readFileSync(`${FACES}/600SemiBold/SourceSans3_600SemiBold.ttf`)),
};
const about = { title: 'Jars, one', author: '', fonts, nowMs: NOW_MS };

function laid() {
  const p = stackOf([recipe([tube('titanium-white')], 0, [], 50)]);
  const passageIds = p.passages.map((x) => x.id);
  const once = layCoat(
    p,
    { coatId: 'c0', passageIds, at: isoDaysAgo(5), spot: null, intoWet: false },
    making(),
  );
  return touchFilm(
    once,
    {
      passageId: passageIds[0]!,
      spotName: null,
      at: isoDaysAgo(2),
      finding: 'tacky',
      twistMarks: false,
    },
    making(),
  );
}
const painting = laid();
const json = JSON.stringify(exportFile('painting', [painting], null, NOW));
const nothing = { paintings: [], sessions: [] };
const file = (...parts: BlobPart[]) => new Blob(parts);
const record = async (blob: Blob, here: Parameters<typeof PAPERS.record>[1] = nothing) =>
  (await PAPERS.record(blob, here, NOW)) as
    | { ok: true; value: { json: string; bad: { line: number; problem: string }[] } }
    | { ok: false; code: string; message: string };

test('pages that were made are read again as the record they carry', async () => {
  const made = await PAPERS.pages({
    ...about,
    blocks: [{ kind: 'title', text: 'Jars', below: '' }],
    photos: [],
    attached: { name: 'r.json', json },
  });
  const bytes = unpack(bytesSchema, made);
  const back = await record(file(bytes as BlobPart));
  expect(back.ok && readExport(back.value.json).paintings[0]).toEqual(painting);
});

test('a drawing and tables are told from each other by how they begin', async () => {
  const svg = svgOf({ name: 'x', widthMm: 1, heightMm: 1, shapes: [] }, json);
  const drawn = await record(file(svg));
  expect(drawn.ok && readExport(drawn.value.json).paintings).toHaveLength(1);
  const lost = { ...painting, events: painting.events.slice(0, 1) };
  const table = await record(file(testsCsv([painting])), { paintings: [lost], sessions: [] });
  expect(table.ok && readExport(table.value.json).paintings[0]!.events).toEqual(painting.events);
  const strange = await record(file(coatsCsv([painting])), nothing);
  expect(strange.ok && strange.value.bad[0]!.problem).toMatch(
    /is not here. Take its record in first/,
  );
});

test('what carries no record, and what is no request, is refused as data with its words', async () => {
  const bare = await record(file('<svg xmlns="http://www.w3.org/2000/svg"/>'));
  expect(bare).toMatchObject({ ok: false, code: 'document-unreadable' });
  expect(!bare.ok && bare.message).toMatch(/carries no record/);
  const torn = await record(file('%PDF-1.7 and nothing more'));
  expect(!torn.ok && torn.message).toMatch(/carries no record/);
  const words = await record(file('once upon a time'));
  expect(!words.ok && words.message).toMatch(/no table of log, tests or coats/);
  expect(await PAPERS.pages({ ...about, blocks: 'none' })).toMatchObject({ ok: false });
  expect(await PAPERS.label({ ...about, lines: ['x'] })).toMatchObject({ ok: false });
});

test('odd letters make a page all the same: other alphabets, signs that no face has, halves of letters', async () => {
  const odd = ['Ёлки, Άνοιξη', '🎨 in a title', '\ud83c', '\u0000\u202e', 'ﬃ'];
  const made = await PAPERS.pages({
    ...about,
    title: odd.join(' '),
    blocks: odd.map((text) => ({ kind: 'text', text })),
    photos: [],
    attached: null,
  });
  expect(unpack(bytesSchema, made).length).toBeGreaterThan(1000);
  const label = await PAPERS.label({ ...about, title: odd[1], lines: odd, code: odd.join('\n') });
  expect(unpack(bytesSchema, label).length).toBeGreaterThan(1000);
});
