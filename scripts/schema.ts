/** Writes the published JSON Schema of what is exported: npx tsx scripts/schema.ts. A test holds the files to the schemas. */
import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import { cabinetSchema } from '../src/core/cabinet/schema';
import { climateMonthSchema } from '../src/core/climate/readings-schema';
import { studioSchema } from '../src/core/formats/studio-schema';
import { paintingSchema } from '../src/core/painting/schema';
import { planRecordSchema } from '../src/core/plan-record/schema';
import { sessionSchema } from '../src/core/session/schema';

const SCHEMAS = {
  painting: paintingSchema,
  session: sessionSchema,
  cabinet: cabinetSchema,
  climate: climateMonthSchema,
  plan: planRecordSchema,
  studio: studioSchema,
};

/** Every published schema as its file holds it, by name. */
export const published = (): Record<string, string> =>
  Object.fromEntries(
    Object.entries(SCHEMAS).map(([name, schema]) => [
      `${name}.schema.json`,
      `${JSON.stringify({ title: `Tawny Hour: ${name}`, ...z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }) })}\n`,
    ]),
  );

if (process.argv[1]?.endsWith('schema.ts')) {
  const folder = path.resolve('docs/schema');
  mkdirSync(folder, { recursive: true });
  for (const [name, text] of Object.entries(published()))
    writeFileSync(path.join(folder, name), text);
}
