import { EMPTY_RECORD, meetings } from '@/core/formats/bring-in';
import { NEW_STUDIO } from '@/core/formats';
import { newPainting } from '@/core/tests/paintings';
import { meetingLines } from './meeting-words';

const meet = (...about: Parameters<typeof meetings>) => [...meetings(...about)];

const named = (title: string, id = title) => ({ ...newPainting({ title }), id });
const record = (...paintings: ReturnType<typeof named>[]) => ({
  ...EMPTY_RECORD,
  painting: Object.fromEntries(paintings.map((p) => [p.id, p])),
});

test('says line by line what a file would do, with titles', () => {
  const [a, b] = [named('Quinces'), named('Loft')];
  const here = { ...record(a, b), studio: { studio: NEW_STUDIO } };
  const file = {
    ...record({ ...a, title: 'Quinces, Slate' }, b, named('New One')),
    studio: { studio: { ...NEW_STUDIO, units: 'inch' as const } },
  };
  expect(meetingLines(meet(here, file, here))).toEqual([
    '1 painting (New One): new here',
    '1 painting (Quinces, Slate): gone on in the file',
    'Settings: gone on in the file',
  ]);
  expect(meetingLines(meet(here, here, here))).toEqual([]);
});

test('many are counted, and only some named', () => {
  const many = ['A', 'B', 'C', 'D', 'E', 'F'].map((t) => named(t));
  expect(meetingLines(meet(EMPTY_RECORD, record(...many), null))).toEqual([
    '6 paintings (A, B, C, D, …): new here',
  ]);
});
