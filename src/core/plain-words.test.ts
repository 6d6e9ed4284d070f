import { z } from 'zod';
import { plainWords } from './plain-words';

const said = (schema: z.ZodType, value: unknown): string =>
  schema.safeParse(value, { error: (issue) => plainWords(issue) }).error!.issues[0]!.message;

// Common practice, no source: a message says what is wrong and what may stand there, in words of the trade.
test.each<[z.ZodType, unknown, string]>([
  [z.number(), 'four', 'Must be a number.'],
  [z.number(), NaN, 'Must be a number.'],
  [z.number().int(), 1.5, 'Must be a whole number.'],
  [z.object({ a: z.string() }), {}, 'It is missing.'],
  [z.string().max(3), 'umber', 'At most 3 letters.'],
  [z.array(z.number()).max(1), [1, 2], 'At most 1 entries.'],
  [z.array(z.number()).min(2), [1], 'At least 2 entries.'],
  [z.number().max(100), 101, 'Must be at most 100.'],
  [z.number().min(5), 4, 'Must be at least 5.'],
  [z.enum(['oil', 'tempera']), 'fresco', 'It is none of what can stand here.'],
  [z.strictObject({}), { a: 1 }, 'It holds fields that do not belong there.'],
  [z.string().regex(/^a/), 'b', 'It is not of the right form.'],
])('%# is told without the words of the library', (schema, value, words) => {
  expect(said(schema, value)).toBe(words);
  expect(said(schema, value)).not.toMatch(/expected|received|invalid|string|array|object/i);
});

test('a schema that says it itself is let', () => {
  expect(said(z.number({ error: 'A share in per cent.' }), 'x')).toBe('A share in per cent.');
});
