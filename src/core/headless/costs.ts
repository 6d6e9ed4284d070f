import { z } from 'zod';
import { pictureAccount } from '../costs/accounts';
import { hoursOf } from '../costs/hours';
import { minorSchema, percentSchema } from '../costs/schema';
import { readCabinet, readPainting, readSession } from '../formats/documents';
import { STUDIO_HANDBOOK } from '../handbook';
import type { DefineVerb } from './define';

const minor = z.number().int();
const hours = z.array(z.object({ key: z.string(), minutes: z.number() }));

/** costs: a picture, its log and the cabinet -> hours, materials, what an hour of it brings. */
export const costsVerb = (define: DefineVerb) =>
  define({
    name: 'costs',
    summary: 'a picture, its log and the cabinet -> hours, materials, what an hour of it brings',
    input: z.object({
      painting: z.unknown(),
      study: z.unknown().nullable().default(null),
      sessions: z.array(z.unknown()).default([]),
      cabinet: z.unknown().nullable().default(null),
      now: z.iso.datetime(),
      perHourMinor: minorSchema.nullable().default(null),
      commissionPct: percentSchema.default(0),
      digits: z.int().min(0).max(4).default(2).describe('decimal places of the currency'),
    }),
    output: z.object({
      minutes: z.number(),
      byKind: hours,
      byPassage: hours,
      paint: z.array(z.object({ paint: z.string(), ml: z.number(), minor: minor.nullable() })),
      paintMinor: minor,
      paintIncomplete: z.boolean(),
      otherMinor: minor,
      feesMinor: minor,
      studyMinor: minor,
      costMinor: minor,
      netMinor: minor.nullable().describe('of the sale, after commission and cost'),
      perHourMinor: minor.nullable(),
      neededMinor: minor.nullable().describe('the price that a wanted rate needs'),
    }),
    run: (input) => {
      const painting = readPainting(input.painting);
      const study = input.study === null ? undefined : readPainting(input.study);
      const sessions = input.sessions.map(readSession);
      const nowMs = Date.parse(input.now);
      const account = pictureAccount(painting, {
        handbook: STUDIO_HANDBOOK,
        paints: input.cabinet === null ? [] : readCabinet(input.cabinet).paints,
        sessions,
        paintings: study ? { [study.id]: study } : {},
        nowMs,
        digits: input.digits,
        perHourMinor: input.perHourMinor ?? undefined,
        commissionPct: input.commissionPct,
      });
      const { byKind, byPassage } = hoursOf(painting, sessions, nowMs);
      return {
        minutes: account.minutes,
        byKind,
        byPassage,
        paint: account.paint.map((p) => ({
          paint: p.paint?.name ?? p.key,
          ml: p.ml,
          minor: p.minor,
        })),
        paintMinor: account.paintMinor,
        paintIncomplete: account.paintIncomplete,
        otherMinor: account.otherMinor,
        feesMinor: account.feesMinor,
        studyMinor: account.study?.minor ?? 0,
        costMinor: account.costMinor,
        netMinor: account.sale?.netMinor ?? null,
        perHourMinor: account.sale?.perHourMinor ?? account.asked?.perHourMinor ?? null,
        neededMinor: account.neededMinor,
      };
    },
  });
