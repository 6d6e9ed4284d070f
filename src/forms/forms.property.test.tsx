import { act, renderHook } from '@testing-library/react';
import fc from 'fast-check';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import type { z } from 'zod';
import { cabinetMediumSchema } from '@/core/cabinet/schema';
import { coatSchema } from '@/core/painting/schema';
import { deadlineSchema } from '@/core/painting/deadline-schema';
import { exceptionSchema, workingHoursSchema } from '@/core/plan-record/schema';
import { sessionSchema } from '@/core/session/schema';
import {
  aCabinetMedium,
  aCabinetPaint,
  aCoat,
  aMoment,
  aName,
  anException,
  aPaintingLike,
  aPlanning,
  aShare,
  someWorkingHours,
} from '@/core/tests/arbitraries';
import { newPainting } from '@/core/tests/paintings';
import { paintFormSchema } from '@/features/cabinet/paint-draft';
import { particularsOf, particularsSchema } from '@/features/painting/particulars';
import { NEW_PAINTING, newPaintingFormSchema } from '@/features/paintings/new-painting-form';
import { layingFormSchema } from '@/features/record/laying-form';
import { correctionSchema } from '@/features/session/correction';
import { createStore } from '@/store/store';
import { at, withAt } from './draft';
import type { CodecKey } from './numbers';
import { useForm, type Form } from './useForm';

/** A field of a form and something else that may be typed into it. */
interface FieldCase {
  path: string;
  /** How it is typed; text where it is no number. */
  as: CodecKey | 'text' | 'moment' | 'choice';
  typed: string | boolean;
  /** What it is while it is empty, where it may be. */
  empty?: null;
  /** What the document then holds. */
  holds: unknown;
}

interface Case<T extends object> {
  name: string;
  schema: (document: T) => z.ZodType<T>;
  documents: fc.Arbitrary<T>;
  /** Fields that this document has in its form. */
  fields: (document: T) => FieldCase[];
}

const painting = newPainting();
const passageIds = painting.passages.map((p) => p.id);

const of = <T extends object>(made: Case<T>): Case<object> => made as unknown as Case<object>;

const CASES: Case<object>[] = [
  of({
    name: 'coat',
    schema: () => coatSchema,
    documents: aCoat(passageIds),
    fields: (coat) => [
      { path: 'name', as: 'text', typed: 'Second glaze, cool', holds: 'Second glaze, cool' },
      { path: 'why', as: 'text', typed: 'to push it back', holds: 'to push it back' },
      { path: 'recipe.thicknessUm', as: 'micrometres', typed: '42,5', holds: 42.5 },
      ...(coat.recipe.material === undefined
        ? [
            { path: 'recipe.mediumShare', as: 'percent' as const, typed: '12.3', holds: 0.123 },
            { path: 'recipe.mix.0.parts', as: 'parts' as const, typed: '1,5', holds: 1.5 },
            { path: 'recipe.medium.0.parts', as: 'parts' as const, typed: '3', holds: 3 },
          ]
        : []),
      ...(coat.spot
        ? [{ path: 'spot.share', as: 'percent' as const, typed: '7', holds: 0.07 }]
        : []),
    ],
  }),
  of({
    name: 'paint',
    schema: () => paintFormSchema,
    documents: aCabinetPaint,
    fields: () => [
      { path: 'name', as: 'text', typed: 'Warm white, large', holds: 'Warm white, large' },
      { path: 'extenderShare', as: 'percent', typed: '15', holds: 0.15 },
      { path: 'tubeMl', as: 'millilitres', typed: '40', holds: 40 },
      { path: 'left', as: 'percent', typed: '62,5', holds: 0.625 },
      { path: 'price', as: 'money', typed: '12,90', holds: 12.9, empty: null },
      { path: 'oilWtPct', as: 'number', typed: '31.25', holds: 31.25, empty: null },
      { path: 'dryingFactor', as: 'number', typed: '0,8', holds: 0.8, empty: null },
      { path: 'pigments.0.parts', as: 'parts', typed: '2.5', holds: 2.5 },
    ],
  }),
  of({
    name: 'medium',
    schema: () => cabinetMediumSchema,
    documents: aCabinetMedium,
    fields: () => [
      { path: 'name', as: 'text', typed: 'Fat, slow', holds: 'Fat, slow' },
      { path: 'parts.0.parts', as: 'parts', typed: '0,333', holds: 0.333 },
    ],
  }),
  of({
    name: 'dates',
    schema: () => deadlineSchema,
    documents: aPlanning,
    fields: () => [
      {
        path: 'dueAt',
        as: 'moment',
        typed: '2027-03-04T17:00',
        holds: new Date('2027-03-04T17:00').toISOString(),
      },
      { path: 'handOnStick', as: 'choice', typed: true, holds: true },
    ],
  }),
  of({
    name: 'hours',
    schema: () => workingHoursSchema,
    documents: someWorkingHours.filter((h) => (h.week[2]?.[0]?.from ?? 0) < 1439),
    fields: (h) => [
      ...(h.week[2]?.[0]
        ? [{ path: 'week.2.0.to', as: 'clock' as const, typed: '24:00', holds: 1440 }]
        : []),
      { path: 'daylightOnly', as: 'choice', typed: false, holds: false },
    ],
  }),
  of({
    name: 'days away',
    schema: () => exceptionSchema,
    documents: anException.filter((e) => e.kind === 'away'),
    fields: () => [{ path: 'to', as: 'text', typed: '2031-01-01', holds: '2031-01-01' }],
  }),
  of({
    name: 'laying',
    schema: () => layingFormSchema,
    documents: fc.record({
      chosen: fc.subarray(passageIds),
      spot: fc.option(fc.record({ name: aName, share: aShare })),
      wet: fc.option(fc.boolean()),
      when: fc.record({
        when: fc.constantFrom('now' as const, 'hour' as const, 'earlier' as const),
        typed: aMoment.map((m) => m.slice(0, 16)),
      }),
      more: fc.constantFrom(0.5, 1),
    }),
    fields: (laying) => [
      { path: 'wet', as: 'choice', typed: true, holds: true },
      ...(laying.spot
        ? [{ path: 'spot.share', as: 'percent' as const, typed: '33', holds: 0.33 }]
        : []),
    ],
  }),
  of({
    name: 'a new painting',
    schema: () => newPaintingFormSchema,
    documents: fc
      .record({ title: aName, widthMm: aShare, heightMm: aShare })
      .map(({ title, widthMm, heightMm }) => ({
        ...NEW_PAINTING,
        title,
        widthMm: 20 + widthMm * 1000,
        heightMm: 20 + heightMm * 1000,
      })),
    fields: () => [
      { path: 'title', as: 'text', typed: 'Harbour, late', holds: 'Harbour, late' },
      { path: 'widthMm', as: 'cm', typed: '62,5', holds: 625 },
      { path: 'heightMm', as: 'inch', typed: '16 1/2', holds: 16.5 * 25.4 },
      { path: 'gessoCoats', as: 'number', typed: '3', holds: 3 },
    ],
  }),
  of({
    name: 'particulars of a painting',
    schema: () => particularsSchema(painting),
    documents: aPaintingLike(painting).map((p) => particularsOf(p)),
    fields: () => [
      { path: 'title', as: 'text', typed: 'The Net Loft, again', holds: 'The Net Loft, again' },
      { path: 'passages.1.name', as: 'text', typed: 'far shore, left', holds: 'far shore, left' },
    ],
  }),
  of({
    name: 'correction of a session',
    schema: () => correctionSchema(Date.parse('2031-03-05T10:00')),
    documents: fc
      .record({ note: aName, goal: aName, hours: fc.nat({ max: 7 }) })
      .map(
        ({ note, goal, hours }) =>
          [note, goal, Date.parse('2031-03-04T08:00') + hours * 3.6e6] as const,
      )
      .map(([note, goal, ms]) => ({ note, goal, startedAt: new Date(ms + 123).toISOString() }))
      .map(({ note, goal, startedAt }) => ({
        startedAt,
        endedAt: new Date(Date.parse(startedAt) + 5_400_123).toISOString(),
        goal,
        reached: 'partly' as const,
        note,
      })),
    fields: () => [
      { path: 'goal', as: 'text', typed: 'the hands, only', holds: 'the hands, only' },
      {
        path: 'endedAt',
        as: 'moment',
        typed: '2031-03-04T17:00',
        holds: new Date('2031-03-04T17:00').toISOString(),
      },
    ],
  }),
];

function opened<T extends object>(schema: z.ZodType<T>, document: T) {
  const store = createStore();
  const wrapper = ({ children }: { children: ReactNode }) => (
    <Provider store={store}>{children}</Provider>
  );
  const { result, unmount } = renderHook(() => useForm({ key: 'form', schema, document }), {
    wrapper,
  });
  return { result, store, unmount, wrapper };
}

function kept<T extends object>(form: Form<T>): T | null {
  let out: T | null = null;
  act(() => void form.keep((value) => (out = value)));
  return out;
}

function typeInto(form: Form<object>, { path, as, typed }: FieldCase): void {
  act(() => {
    if (typeof typed === 'boolean') form.put(path, typed);
    else if (as === 'text' || as === 'choice') form.text(path).onChangeText(typed);
    else if (as === 'moment') form.moment(path).onChangeText(typed);
    else form.number(path, as).onChangeText(typed);
  });
}

const RUNS = { numRuns: 25 };

describe.each(CASES)('form of a $name', ({ schema, documents, fields }) => {
  test('opened and kept, nothing has changed', () => {
    fc.assert(
      fc.property(documents, (document) => {
        const { result, unmount } = opened(schema(document), document);
        expect(result.current.dirty).toBe(false);
        expect(kept(result.current)).toEqual(document);
        unmount();
      }),
      RUNS,
    );
  });

  test('one field changed and kept, only that field has changed', () => {
    fc.assert(
      fc.property(documents, fc.nat(), (document, pick) => {
        const all = fields(document);
        const field = all[pick % all.length]!;
        const { result, unmount } = opened(schema(document), document);
        const { path, as, empty } = field;
        // What is typed as it was shown is no change: 32.95 % is shown as 33, and stays 32.95.
        const same =
          typeof field.holds === 'number' &&
          result.current.number(path, as as CodecKey, empty).text === field.typed;
        typeInto(result.current, field);
        const out = kept(result.current);
        if (same) expect(out).toEqual(document);
        else if (typeof field.holds === 'number') {
          expect(at(out, field.path)).toBeCloseTo(field.holds, 9);
          expect(withAt(out, field.path, at(document, field.path))).toEqual(document);
        } else expect(out).toEqual(withAt(document, field.path, field.holds));
        unmount();
      }),
      RUNS,
    );
  });

  test('a number typed as it is shown is the number that was there, to the last digit', () => {
    fc.assert(
      fc.property(documents, (document) => {
        const { result, unmount } = opened(schema(document), document);
        for (const { path, as, empty } of fields(document)) {
          if (as === 'text' || as === 'moment' || as === 'choice') continue;
          const { text } = result.current.number(path, as, empty);
          act(() => result.current.number(path, as, empty).onChangeText(`${text}0`));
          act(() => result.current.number(path, as, empty).onChangeText(text));
        }
        expect(kept(result.current)).toEqual(document);
        unmount();
      }),
      RUNS,
    );
  });

  test('left half done and opened again, it goes on where it was', () => {
    fc.assert(
      fc.property(documents, fc.nat(), (document, pick) => {
        const all = fields(document);
        const field = all[pick % all.length]!;
        const first = opened(schema(document), document);
        typeInto(first.result.current, field);
        const { draft, dirty } = first.result.current;
        first.unmount();
        const again = renderHook(
          () => useForm({ key: 'form', schema: schema(document), document }),
          { wrapper: first.wrapper },
        );
        expect(again.result.current.draft).toEqual(draft);
        expect(again.result.current.resumedAt !== null).toBe(dirty);
        again.unmount();
      }),
      RUNS,
    );
  });
});

test('the cases cover every schema of a session that is corrected', () => {
  expect(Object.keys(sessionSchema.shape)).toEqual(
    expect.arrayContaining(['goal', 'note', 'reached', 'endedAt']),
  );
});
