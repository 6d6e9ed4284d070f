import { z } from 'zod';
import { REFERENCE_CLIMATE } from '../drying';
import { climateSchema } from '../drying/climate-schema';
import { readPainting } from '../formats/documents';
import { STUDIO_HANDBOOK } from '../handbook';
import { assessPainting } from '../painting';
import { evidenceOf } from '../painting/evidence';
import { learn } from '../learn/learn';
import { today, TODAY_GROUPS } from '../today';
import { USUAL_PACE } from '../session/pace';
import { suggestSession } from '../today/suggest';
import { worthATouch } from '../today/worth';
import { airOf, seriesSchema } from './climate';
import type { DefineVerb } from './define';
import { iso } from './iso';

const time = z.iso.datetime().nullable();

/** today: a studio at a moment, with some hours at hand -> ranked rows and a session. */
export const todayVerb = (define: DefineVerb) =>
  define({
    name: 'today',
    summary: 'paintings, the time and the hours at hand -> what takes a coat, and a session',
    input: z.object({
      paintings: z.array(z.unknown()).min(1, { error: 'Give at least one painting.' }),
      now: z.iso.datetime(),
      hours: z.number().min(0.25).max(24).default(2),
      climate: climateSchema.default(REFERENCE_CLIMATE),
      series: seriesSchema.nullable().default(null),
    }),
    output: z.object({
      rows: z.array(
        z.object({
          group: z.enum(TODAY_GROUPS),
          reason: z.string(),
          painting: z.string(),
          passage: z.string(),
          spot: z.string().nullable(),
          state: z.string(),
          next: z.string().nullable(),
          readyAt: time,
        }),
      ),
      worthATouch: z.array(
        z.object({ painting: z.string(), passage: z.string(), worth: z.number() }),
      ),
      session: z.object({
        works: z.array(
          z.object({
            coat: z.string(),
            painting: z.string(),
            passages: z.array(z.string()),
            minutes: z.number(),
            waitMinutes: z.number().describe('before it, until what was laid is dry enough'),
            part: z.boolean(),
            reason: z.string(),
          }),
        ),
        cleaningMinutes: z.number(),
        spareMinutes: z.number(),
        mediumChanges: z.number(),
      }),
    }),
    run: ({ paintings: raw, now, hours, climate, series }) => {
      const nowMs = Date.parse(now);
      const paintings = raw.map(readPainting);
      const air = series ? { air: airOf(series) } : {};
      const options = { handbook: STUDIO_HANDBOOK, climate, nowMs, ...air };
      const { learned } = learn(paintings.flatMap((p) => evidenceOf(p, options)));
      const groups = today(
        paintings.map((p) => assessPainting(p, { ...options, learned })),
        nowMs,
      );
      const rows = TODAY_GROUPS.flatMap((group) => groups[group]);
      const { works, cleaningMinutes, spareMinutes, mediumChanges } = suggestSession(
        groups,
        hours * 60,
        USUAL_PACE,
        [],
        {
          nowMs,
          rowsAt: (p, atMs) =>
            today([assessPainting(p, { ...options, learned, nowMs: atMs })], atMs),
        },
      );
      return {
        rows: rows.map((row) => ({
          group: row.group,
          reason: row.reason,
          painting: row.painting.title,
          passage: row.passage.name,
          spot: row.spotName,
          state: row.top?.state ?? 'bare',
          next: row.next?.film.name ?? null,
          readyAt: iso(row.readyAtMs),
        })),
        worthATouch: worthATouch(rows, learned, nowMs).map(({ row, worth }) => ({
          painting: row.painting.title,
          passage: row.passage.name,
          worth,
        })),
        session: {
          works: works.map((w) => ({
            coat: w.coat.name,
            painting: w.cluster.row.painting.title,
            passages: w.cluster.passages.map((p) => p.name),
            minutes: w.minutes,
            waitMinutes: w.waitMinutes,
            part: w.part,
            reason: w.reason,
          })),
          cleaningMinutes,
          spareMinutes,
          mediumChanges,
        },
      };
    },
  });
