import { z } from 'zod';
import { SHEENS, VARNISH_TESTS } from '@/data/finish-keys';
import { varnishTestSchema } from '../finish/schema';
import { FINAL_VARNISHES } from '../finish/vocabulary';
import { varnishDays, varnishLooks, varnishMl, varnishOutlook } from '../finish/varnish-plan';
import { STUDIO_HANDBOOK } from '../handbook';
import { NO_SWATCHES } from '../optics/composition';
import { assessPainting } from '../painting';
import { areaCm2 } from '../painting/vocabulary';
import { findingSentence } from '../rules/wording';
import { constantAir } from '../drying/air';
import { optionsOf, paintingOf, stackInputSchema } from './painting-input';
import type { DefineVerb } from './define';
import { iso } from './iso';

const time = z.iso.datetime().nullable();

/** varnish: a stack of laid coats and tests -> when which varnish may be tried, what the rules say, how it looks. */
export const varnishVerb = (define: DefineVerb) =>
  define({
    name: 'varnish',
    summary: 'laid coats and tests -> when which varnish may be tried, how much, how it looks',
    input: stackInputSchema.extend({
      material: z.enum(FINAL_VARNISHES).default('synthetic-varnish'),
      varnishCoats: z.int().min(1).max(4).default(1),
      sheen: z.enum(SHEENS).default('gloss'),
      tests: z
        .array(varnishTestSchema.omit({ id: true }))
        .max(200)
        .default([]),
      size: z
        .object({ widthMm: z.number().min(20).max(20000), heightMm: z.number().min(20).max(20000) })
        .default({ widthMm: 500, heightMm: 400 }),
    }),
    output: z.object({
      retouchFrom: time,
      finalFrom: time.describe('at nine chances in ten, and after a failed test; the tests decide'),
      slowest: z.string().nullable(),
      refused: z.boolean(),
      findings: z.array(z.string()),
      tests: z.array(
        z.object({
          test: z.enum(VARNISH_TESTS),
          needed: z.boolean(),
          state: z.enum(['passed', 'failed', 'missing']),
          repeatFrom: time,
        }),
      ),
      testsAgree: z.boolean(),
      ml: z.object({ least: z.number(), most: z.number() }),
      cm2: z.number(),
      look: z
        .object({ valueNow: z.number(), valueThen: z.number() })
        .nullable()
        .describe('Munsell value of the place, now and under the varnish'),
      airSuits: z.boolean(),
    }),
    run: (input) => {
      const painting = {
        ...paintingOf(input),
        support: { kind: input.support, ...input.size },
        finishing: {
          scans: [],
          answers: [],
          tests: input.tests.map((t, i) => ({ ...t, id: `test-${i}` })),
        },
      };
      const options = optionsOf(input);
      const assessment = assessPainting(painting, options);
      const outlook = varnishOutlook(assessment, options, {
        material: input.material,
        coats: input.varnishCoats,
      });
      const [look] = varnishLooks(assessment, NO_SWATCHES, input.sheen);
      const air = options.air ?? constantAir(STUDIO_HANDBOOK.constants, options.climate);
      return {
        retouchFrom: iso(outlook.retouchMs),
        finalFrom: iso(outlook.finalMs),
        slowest: outlook.places[0]?.slowest ?? null,
        refused: outlook.refused,
        findings: outlook.findings.map(({ finding }) => findingSentence(finding)),
        tests: outlook.tests.each.map(({ test, needed, state, repeatFromMs }) => ({
          test,
          needed,
          state,
          repeatFrom: iso(repeatFromMs),
        })),
        testsAgree: outlook.tests.agree,
        ml: varnishMl(painting.support, input.varnishCoats),
        cm2: areaCm2(painting.support),
        look: look ? { valueNow: look.valueNow, valueThen: look.valueThen } : null,
        airSuits: varnishDays(air, options.nowMs, 1)[0]!.suits,
      };
    },
  });
