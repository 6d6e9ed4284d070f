import { z } from 'zod';
import { CoreError } from '../errors';
import { constantAir } from '../drying/air';
import { REFERENCE_CLIMATE } from '../drying';
import { climateSchema } from '../drying/climate-schema';
import { readPainting, readSession } from '../formats/documents';
import { exportFile } from '../formats/export';
import { STUDIO_HANDBOOK } from '../handbook';
import { NO_SWATCHES } from '../optics/composition';
import { assessPainting } from '../painting';
import { coatsCsv, logCsv, testsCsv } from '../record/csv';
import { recordBlocks } from '../record/dossier';
import { labelLines, labelText } from '../record/label';
import type { Fonts } from '../record/faces';
import { labelPdf } from '../record/label-pdf';
import { recordPdf } from '../record/pdf';
import { planBlocks } from '../record/plan-page';
import { columnsDrawing } from '../record/section';
import { svgOf } from '../record/svg';
import type { DefineVerb } from './define';

const file = z.string().min(1).max(400).nullable().default(null);

/** record: a painting -> its pages, tables and section. Files are written where paths are given. */
export const recordVerb = (define: DefineVerb) =>
  define({
    name: 'record',
    summary:
      'a painting -> its record: PDF, label, plan for the wall, CSV, SVG, the text of the code',
    input: z.object({
      painting: z.unknown(),
      sessions: z.array(z.unknown()).default([]),
      climate: climateSchema.default(REFERENCE_CLIMATE),
      now: z.iso.datetime(),
      painter: z.string().max(120).default(''),
      pdf: file.describe('where the pages of the record go'),
      label: file.describe('where the label for the back goes'),
      plan: file.describe('where the plan for the wall goes'),
    }),
    output: z.object({
      coatsCsv: z.string(),
      testsCsv: z.string(),
      logCsv: z.string(),
      svg: z.string(),
      code: z.string().describe('what the QR code of the label holds'),
      written: z.array(z.string()),
    }),
    run: (input, around) => {
      const painting = readPainting(input.painting);
      const sessions = input.sessions.map(readSession);
      const nowMs = Date.parse(input.now);
      const day = (ms: number): string => new Date(ms).toISOString().slice(0, 10);
      const options = {
        handbook: STUDIO_HANDBOOK,
        climate: input.climate,
        nowMs,
        swatches: NO_SWATCHES,
        air: constantAir(STUDIO_HANDBOOK.constants, input.climate),
        day,
      };
      const assessment = assessPainting(painting, options);
      const lines = labelLines(painting, day, input.painter);
      const code = labelText(lines);
      const json = JSON.stringify(exportFile('painting', [painting], null, input.now));
      const written: string[] = [];
      const write = (path: string | null, made: (fonts: Fonts) => Promise<Uint8Array>): void => {
        if (path === null) return;
        if (!around?.file)
          throw new CoreError('range', 'pdf', 'No file can be written here. Leave the paths out.');
        around.file(path, made);
        written.push(path);
      };
      const about = { title: painting.title, author: input.painter, nowMs };
      write(input.pdf, (fonts) =>
        recordPdf({
          ...about,
          fonts,
          blocks: recordBlocks(assessment, options),
          attached: { name: 'record.tawny.json', json },
        }),
      );
      write(input.plan, (fonts) =>
        recordPdf({ ...about, fonts, blocks: planBlocks(assessment, options) }),
      );
      write(input.label, (fonts) => labelPdf({ ...about, fonts, lines, code }));
      return {
        coatsCsv: coatsCsv([painting]),
        testsCsv: testsCsv([painting]),
        logCsv: logCsv(sessions, (id) => (id === painting.id ? painting.title : '')),
        svg: svgOf(columnsDrawing(assessment, NO_SWATCHES), json),
        code,
        written,
      };
    },
  });
