import { z } from 'zod';
import type { Block, Drawing, Shape } from '@/core/record/blocks';

/** What goes to the worker that makes pages. Checked on its side; what comes back is bytes. */
const shape: z.ZodType<Shape> = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('rect'),
    x: z.number(),
    y: z.number(),
    w: z.number(),
    h: z.number(),
    fill: z.string(),
    line: z.string().optional(),
  }) as never,
  z.object({
    kind: z.literal('line'),
    x1: z.number(),
    y1: z.number(),
    x2: z.number(),
    y2: z.number(),
    width: z.number(),
    colour: z.string(),
  }),
  z.object({
    kind: z.literal('text'),
    x: z.number(),
    y: z.number(),
    text: z.string(),
    size: z.number(),
    anchor: z.enum(['start', 'middle', 'end']).optional(),
    strong: z.boolean().optional(),
  }) as never,
]);
const drawing: z.ZodType<Drawing> = z.object({
  name: z.string(),
  widthMm: z.number(),
  heightMm: z.number(),
  shapes: z.array(shape),
});
const block: z.ZodType<Block> = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('title'), text: z.string(), below: z.string() }),
  z.object({ kind: z.literal('heading'), text: z.string() }),
  z.object({ kind: z.literal('text'), text: z.string() }),
  z.object({ kind: z.literal('note'), text: z.string() }),
  z.object({
    kind: z.literal('table'),
    head: z.array(z.string()),
    widths: z.array(z.number()),
    rows: z.array(z.array(z.string())),
  }),
  z.object({ kind: z.literal('drawing'), drawing }),
  z.object({ kind: z.literal('photo'), id: z.string(), caption: z.string() }),
]);

const bytes: z.ZodType<Uint8Array> = z.custom<Uint8Array>((value) => value instanceof Uint8Array);
const about = {
  title: z.string(),
  author: z.string(),
  fonts: z.object({ text: bytes, strong: bytes }),
  nowMs: z.number(),
};

export const pagesRequestSchema = z.object({
  ...about,
  blocks: z.array(block),
  photos: z.array(z.tuple([z.string(), bytes])),
  attached: z.object({ name: z.string(), json: z.string() }).nullable(),
});
export type PagesRequest = z.infer<typeof pagesRequestSchema>;

export const labelRequestSchema = z.object({
  ...about,
  lines: z.array(z.string()),
  code: z.string(),
});
export type LabelRequest = z.infer<typeof labelRequestSchema>;

export const bytesSchema = bytes;
