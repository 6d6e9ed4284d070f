import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { parse as parseCsv } from 'csv-parse/sync';
import fc from 'fast-check';
import jsQR from 'jsqr';
import sharp from 'sharp';
import { splitCsv } from '@/features/climate/climate-csv';
import { constantAir, REFERENCE_CLIMATE } from '../drying';
import { exportFile, readExport } from '../formats/export';
import { STUDIO_HANDBOOK } from '../handbook';
import { NO_SWATCHES } from '../optics/composition';
import { assessPainting } from '../painting';
import { layCoat } from '../painting/events';
import { touchFilm } from '../painting/touch';
import type { Painting } from '../painting/schema';
import { beginSession, endSession, pause, resume, type Session } from '../session';
import { refusal } from '../tests/refusal';
import { part, recipe, tube } from '../tests/recipes';
import { DAY, making, NOW_MS, optionsAt, stackOf } from '../tests/paintings';
import { noteVarnishTest } from '../finish/edit';
import { climateCsv, coatsCsv, logCsv, testsCsv } from './csv';
import { readTable } from './csv-in';
import { recordBlocks, sizeText } from './dossier';
import type { RecordOptions } from './options';
import { LABEL_MOST_BYTES, labelLines, labelText } from './label';
import { linesOf } from './faces';
import { labelPdf } from './label-pdf';
import { recordPdf } from './pdf';
import { jsonInPdf } from './pdf-in';
import { planBlocks } from './plan-page';
import { qrModules } from './qr';
import { columnsDrawing, sectionDrawing } from './section';
import { jsonInSvg, svgOf } from './svg';

jest.setTimeout(60_000);

const iso = (day: number): string => new Date(NOW_MS + day * DAY).toISOString();
const FACES = 'node_modules/@expo-google-fonts/source-sans-3';
const fonts = {
  text: new Uint8Array(readFileSync(`${FACES}/400Regular/SourceSans3_400Regular.ttf`)),
  strong: new Uint8Array(readFileSync(`${FACES}/600SemiBold/SourceSans3_600SemiBold.ttf`)),
};

function made(): Painting {
  let p = stackOf(
    [
      recipe([tube('lead-white'), tube('raw-umber', 0.5)], 0.2, [part('mineral-spirits')], 20),
      recipe([tube('titanium-white')], 0.2, [part('stand-oil'), part('damar-varnish')], 40),
    ],
    [{ name: '=Tone, "thin"' }, { name: 'Größe & <Licht>' }],
  );
  p = { ...p, title: 'Jars, one; two' };
  const passageIds = p.passages.map((x) => x.id);
  p = layCoat(
    p,
    { coatId: 'c0', passageIds, at: iso(0), spot: null, intoWet: false },
    making(iso(30)),
  );
  p = layCoat(
    p,
    { coatId: 'c1', passageIds, at: iso(20), spot: null, intoWet: false },
    making(iso(30)),
  );
  p = touchFilm(
    p,
    { passageId: passageIds[0]!, spotName: null, at: iso(25), finding: 'tacky', twistMarks: true },
    making(iso(30)),
  );
  return noteVarnishTest(
    p,
    { at: iso(29), test: 'swab', passed: false, where: 'white' },
    making(iso(30)),
  );
}
const painting = made();
const assessment = assessPainting(painting, optionsAt(NOW_MS + 30 * DAY));
const options: RecordOptions = {
  handbook: STUDIO_HANDBOOK,
  swatches: NO_SWATCHES,
  air: constantAir(STUDIO_HANDBOOK.constants, REFERENCE_CLIMATE),
  nowMs: NOW_MS + 30 * DAY,
  day: (ms) => new Date(ms).toISOString().slice(0, 10),
};
const json = JSON.stringify(exportFile('painting', [painting], null, iso(30)));

/** By another reader: what text is on which page, how many paths, which fonts and whether they are embedded. */
function read(bytes: Uint8Array) {
  const told = spawnSync(process.execPath, ['src/core/tests/read-pdf.mjs'], {
    input: bytes,
    encoding: 'utf8',
    timeout: 30_000,
    maxBuffer: 50_000_000,
  });
  if (told.status !== 0) throw new Error(told.stderr);
  const { pages, info } = JSON.parse(told.stdout) as {
    pages: { text: string; paths: number }[];
    info: Record<string, unknown>;
  };
  return { pages, info, all: pages.map((p) => p.text).join(' ') };
}

describe('the pages', () => {
  test('another reader finds the text, the section as vectors, and the record inside', async () => {
    const blocks = recordBlocks(assessment, options);
    const bytes = await recordPdf({
      title: painting.title,
      author: 'A. N.',
      blocks,
      fonts,
      attached: { name: 'r.json', json },
      nowMs: options.nowMs,
    });
    const { all, pages, info } = read(bytes);
    for (const words of [
      'Jars, one; two',
      '40 × 50 cm',
      'acrylic gesso, 4 coats on canvas',
      'stand oil',
      'Größe & <Licht>',
      'PW1',
      'colour on it',
      'Lead builds up',
    ])
      expect(all.replace(/\s+/g, ' ')).toContain(words);
    expect(pages.length).toBeGreaterThan(1);
    expect(pages.reduce((s, p) => s + p.paths, 0)).toBeGreaterThan(12);
    expect(info.Title).toBe(painting.title);
    const text = Buffer.from(bytes).toString('latin1');
    expect(text.startsWith('%PDF-1.')).toBe(true);
    expect(readExport(await jsonInPdf(bytes)).paintings[0]).toEqual(painting);
  });

  test('its fonts are embedded, and every letter keeps its shape', async () => {
    const letters = 'µm é ÖIildne 0123';
    const bytes = await recordPdf({
      title: 'x',
      author: '',
      blocks: [
        { kind: 'text', text: letters },
        { kind: 'heading', text: 'H' },
      ],
      fonts,
      nowMs: 0,
    });
    const { PDFDocument, PDFDict, PDFName, PDFRawStream, decodePDFRawStream } =
      await import('pdf-lib');
    const { default: fontkit } = await import('@pdf-lib/fontkit');
    const doc = await PDFDocument.load(bytes);
    const named = doc.context
      .enumerateIndirectObjects()
      .flatMap(([, o]) => (o instanceof PDFDict ? [o] : []))
      .filter((d) => d.get(PDFName.of('Type')) === PDFName.of('FontDescriptor'));
    expect(named).toHaveLength(2);
    for (const d of named) {
      const file = d.lookup(PDFName.of('FontFile2'));
      if (!(file instanceof PDFRawStream)) throw new Error('A font is not embedded.');
      const face = fontkit.create(decodePDFRawStream(file).decode()) as unknown as {
        glyphForCodePoint(code: number): { path: { commands: unknown[] } };
      };
      for (const letter of letters.replace(/ /g, ''))
        expect([
          letter,
          face.glyphForCodePoint(letter.codePointAt(0)!).path.commands.length > 3,
        ]).toEqual([letter, true]);
    }
  });

  test('long words, many rows and a photo that is gone take no page with them', async () => {
    const rows = Array.from({ length: 50 }, (_, i) => [`${i}`, 'w'.repeat(300)]);
    const bytes = await recordPdf({
      title: 'x',
      author: '',
      fonts,
      nowMs: 0,
      blocks: [
        { kind: 'table', head: ['a', 'b'], widths: [20, 60], rows },
        { kind: 'photo', id: 'gone', caption: 'the day' },
        { kind: 'text', text: 'the end' },
      ],
    });
    const { all, pages } = read(bytes);
    for (let i = 0; i < 50; i++) expect(all).toContain(`${i} `);
    expect(all).toContain('the photo is not here');
    expect(all).toContain('the end');
    expect(pages.length).toBeLessThan(60);
  });

  test('lines are broken to a width and lose no letter; seeded by fast-check', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), fc.integer({ min: 3, max: 40 }), (text, width) => {
        const lines = linesOf(text, width, (s) => s.length);
        expect(lines.join('').replace(/\s/g, '')).toBe(
          text.replace(/[\u0000-\u001f\u007f]+/g, ' ').replace(/\s/g, ''),
        );
        lines.forEach((l) => expect(l.length).toBeLessThanOrEqual(Math.max(width, 1)));
      }),
    );
  });

  test('the plan for the wall says what is still to come', async () => {
    const open = {
      ...stackOf([recipe([tube('cobalt-blue')], 0, [], 30)], [{ name: 'Sky' }]),
      title: 'Wall',
    };
    const blocks = planBlocks(assessPainting(open, optionsAt()), options);
    const { all, pages } = read(
      await recordPdf({ title: 'Wall', author: '', blocks, fonts, nowMs: 0 }),
    );
    expect(pages).toHaveLength(1);
    for (const words of ['Wall', 'Sky', 'touch-dry', 'Cobalt can sensitise', 'Oily rags'])
      expect(all).toContain(words);
  });
});

describe('the label', () => {
  const lines = labelLines(painting, options.day, 'A. N.');

  test('its code is read by another library, and is text, no address', async () => {
    const code = labelText(lines);
    const modules = qrModules(code);
    const scale = 4;
    const quiet = 4;
    const side = (modules.length + 2 * quiet) * scale;
    const data = new Uint8ClampedArray(side * side * 4).fill(255);
    modules.forEach((row, y) =>
      row.forEach((dark, x) => {
        if (!dark) return;
        for (let j = 0; j < scale; j++)
          for (let i = 0; i < scale; i++) {
            const at = (((y + quiet) * scale + j) * side + (x + quiet) * scale + i) * 4;
            data.fill(0, at, at + 3);
          }
      }),
    );
    const found = jsQR(data, side, side);
    expect(found?.data).toBe(code);
    expect(code).toContain('Jars, one; two');
    expect(code).toContain('Holds lead');
    expect(code).not.toMatch(/https?:/);
  });

  test('a long record is cut by whole lines to what the code holds', () => {
    const long = [
      ...lines,
      ...Array.from({ length: 90 }, (_, i) => `2026-01-01 ä coat of many, ${i}`),
    ];
    const code = labelText(long);
    expect(new TextEncoder().encode(code).length).toBeLessThanOrEqual(LABEL_MOST_BYTES);
    expect(code.split('\n').every((l, i) => l === long[i])).toBe(true);
    expect(qrModules(code).length).toBeLessThanOrEqual(17 + 4 * 20);
  });

  test('printed, its words can be selected and its code is vectors', async () => {
    const bytes = await labelPdf({
      title: 'x',
      author: '',
      fonts,
      nowMs: 0,
      lines,
      code: labelText(lines),
    });
    const { pages } = read(bytes);
    expect(pages).toHaveLength(1);
    expect(pages[0]!.text).toContain('Jars, one; two');
    expect(pages[0]!.paths).toBeGreaterThan(300);
    expect(sizeText(painting)).toBe('40 × 50 cm (height × width)');
  });
});

describe('drawings', () => {
  test('SVG that another program draws, with its record inside', async () => {
    for (const drawing of [
      columnsDrawing(assessment, NO_SWATCHES),
      sectionDrawing(assessment, painting.passages[0]!.id, NO_SWATCHES)!,
    ]) {
      const svg = svgOf(drawing, json);
      const { width, height, format } = await sharp(Buffer.from(svg)).metadata();
      expect(format).toBe('svg');
      expect(width! / height!).toBeCloseTo(drawing.widthMm / drawing.heightMm, 1);
      expect(readExport(jsonInSvg(svg)!).paintings[0]).toEqual(painting);
    }
    expect(jsonInSvg('<svg/>')).toBeNull();
    expect(sectionDrawing(assessment, 'nowhere', NO_SWATCHES)).toBeNull();
  });

  test('films are drawn to scale, the lowest at the bottom', () => {
    const { shapes } = sectionDrawing(assessment, painting.passages[0]!.id, NO_SWATCHES)!;
    const [, tone, top] = shapes.flatMap((s) => (s.kind === 'rect' ? [s] : []));
    const um = assessment.passages[0]!.base.layers.map((l) => l.thicknessUm);
    expect(top!.h / tone!.h).toBeCloseTo(um[1]! / um[0]!, 6);
    expect(top!.y).toBeLessThan(tone!.y);
    expect(shapes.some((s) => s.kind === 'text' && /Größe & <Licht>/.test(s.text))).toBe(true);
  });
});

describe('tables', () => {
  const here = (p: Painting | null, s: Session[] = []) => ({
    paintings: p ? { [p.id]: p } : {},
    sessions: Object.fromEntries(s.map((x) => [x.id, x])),
  });
  const table = (csv: string) =>
    parseCsv(csv, { columns: true, record_delimiter: '\r\n' }) as Record<string, string>[];

  test('another parser reads them, RFC 4180: CRLF, quotes, formulas guarded', () => {
    const rows = table(coatsCsv([painting]));
    expect(rows.map((r) => r.name)).toEqual([`'=Tone, "thin"`, 'Größe & <Licht>']);
    expect(rows[0]!.laid_at).toBe(iso(0));
    expect(rows[0]!.mix).toContain('PW1');
    expect(table(testsCsv([painting]))[0]).toMatchObject({
      finding: 'tacky',
      twist_marks: 'yes',
      painting: 'Jars, one; two',
    });
    expect(coatsCsv([painting]).endsWith('\r\n')).toBe(true);
  });

  test('tests and coats come back where they were lost, and nothing comes twice', () => {
    const lost = {
      ...painting,
      events: painting.events.filter((e) => e.kind !== 'touched'),
      coats: [],
    };
    const tests = readTable(testsCsv([painting]), here(lost), making(iso(31)));
    expect(tests.bad).toEqual([]);
    expect(tests.paintings[0]!.events).toEqual(painting.events);
    const coats = readTable(coatsCsv([painting]), here({ ...lost, events: [] }), making(iso(31)));
    expect(coats.paintings[0]!.coats).toEqual(painting.coats);
    expect(readTable(testsCsv([painting]), here(painting), making()).paintings).toEqual([]);
    expect(readTable(coatsCsv([painting]), here(painting), making()).paintings).toEqual([]);
  });

  test('a row that cannot be read is named by its line and stops no other; a strange table is refused', () => {
    const lost = { ...painting, events: painting.events.slice(0, 2) };
    const csv = testsCsv([painting]).replace('tacky', 'sticky');
    expect(readTable(csv, here(lost), making())).toMatchObject({
      paintings: [],
      bad: [{ line: 2, problem: expect.stringMatching(/finding/) }],
    });
    expect(readTable(testsCsv([painting]), here(null), making()).bad[0]!.problem).toMatch(
      /Jars, one; two/,
    );
    expect(
      readTable(
        coatsCsv([painting]).replace(/"{""mix.*$/m, 'x'),
        here({ ...painting, coats: [] }),
        making(),
      ).bad[0]!.problem,
    ).toMatch(/recipe_json/);
    expect(refusal(() => readTable('a,b\n1,2', here(painting), making()))).toBe(
      'document-unreadable',
    );
  });

  test('the log comes back with its works, stretches and pauses', () => {
    let s = beginSession(
      {
        works: [
          {
            paintingId: painting.id,
            passageIds: ['a', 'b'],
            coatId: 'c0',
            name: 'Tone, thin',
            plannedMinutes: 30,
          },
        ],
        boxMinutes: 90,
        goal: 'say "done"',
      },
      making(iso(0)),
    );
    s = pause(s, making(new Date(NOW_MS + 600_000).toISOString()));
    s = resume(s, making(new Date(NOW_MS + 900_000).toISOString()));
    s = endSession(s, making(new Date(NOW_MS + 3_600_000).toISOString()));
    const csv = logCsv([s], () => painting.title);
    const back = readTable(csv, here(painting), making());
    expect(back.bad).toEqual([]);
    expect(back.sessions[0]).toEqual({ ...s, revision: 0 });
    expect(readTable(csv, here(painting, [s]), making()).sessions).toEqual([]);
    const broken = readTable(csv.replace(s.startedAt, 'yesterday'), here(painting), making());
    expect(broken.bad.length + broken.sessions.length).toBeGreaterThan(0);
  });

  test('readings are hours that the climate page takes in', () => {
    const month = {
      schemaVersion: 1 as const,
      id: '2026-02',
      revision: 0,
      hours: [[Math.floor(NOW_MS / 3_600_000), 19.5, 52, 3]] as [number, number, number, number][],
    };
    const { header, rows } = splitCsv(climateCsv([month]));
    expect(header).toEqual(['time', 'temperature_c', 'relative_humidity_pct']);
    expect(rows).toEqual([['2026-02-17T10:00:00.000Z', '19.5', '52']]);
  });
});

test('what carries no record is refused in words', async () => {
  await expect(jsonInPdf(new TextEncoder().encode('no pdf'))).rejects.toThrow(/carries no record/);
  const bare = await recordPdf({ title: 'x', author: '', blocks: [], fonts, nowMs: 0 });
  await expect(jsonInPdf(bare)).rejects.toThrow(/carries no record/);
});
