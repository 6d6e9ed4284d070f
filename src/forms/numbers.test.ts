import fc from 'fast-check';
import { parseNumber } from '@/core/formats/number-text';
import { CODECS, type CodecKey } from './numbers';

// ISO 80000-1, 7.3.1: the decimal sign is a comma or a point, thousands are set apart by a small space; from memory.
test.each([
  ['42,5', 42.5],
  ['42.5', 42.5],
  [' 1 234,5 ', 1234.5],
  ['1\u202f234.5', 1234.5],
  ["1'234.5", 1234.5],
  ['1.234,5', 1234.5],
  ['1,234.5', 1234.5],
  ['−3', -3],
  ['.5', 0.5],
  ['5.', 5],
  ['1e3', 1000],
])('"%s" is read as %s', (text, value) => {
  expect(parseNumber(text)).toBe(value);
});

test.each(['', ' ', 'ten', '1,2,3', '1.2.3', '5 ml', '--2', 'Infinity', '0x10'])(
  '"%s" is no number',
  (text) => {
    expect(parseNumber(text)).toBeNaN();
  },
);

// The inch is 25.4 mm exactly (international yard and pound agreement, 1959).
test.each([
  ['inch', '20', 508],
  ['inch', '16 1/2', 419.1],
  ['inch', '16½', 419.1],
  ['inch', '1/2', 12.7],
  ['inch', '50 cm', 500],
  ['cm', '50', 500],
  ['cm', '16,5', 165],
  ['cm', '20 in', 508],
  ['cm', '20"', 508],
  ['cm', '1.2 m', 1200],
  ['cm', '450 mm', 450],
  ['inch', '3/0', NaN],
] as const)('a length in %s: "%s"', (units, text, mm) => {
  const read = CODECS[units].read(text);
  if (Number.isNaN(mm)) expect(read).toBeNaN();
  else expect(read).toBeCloseTo(mm, 9);
});

test.each([
  ['18:30', 1110],
  ['18.30', 1110],
  ['1830', 1110],
  ['9', 540],
  ['0:05', 5],
  ['24:00', 1440],
])('a time of day: "%s"', (text, minutes) => {
  expect(CODECS.clock.read(text)).toBe(minutes);
});

test.each(['24:01', '25:00', '12:60', 'noon', '', '-1'])('"%s" is no time of day', (text) => {
  expect(CODECS.clock.read(text)).toBeNaN();
});

test('percent are read without a last digit of their own', () => {
  for (const [text, share] of [
    ['12.3', 0.123],
    ['0,7', 0.007],
    ['29', 0.29],
    ['57', 0.57],
  ] as const)
    expect(CODECS.percent.read(text)).toBe(share);
});

test('what a codec shows it can read again, to the digits that are shown', () => {
  const keys = Object.keys(CODECS) as CodecKey[];
  fc.assert(
    fc.property(
      fc.constantFrom(...keys),
      fc.double({ min: 0, max: 1000, noNaN: true }),
      (key, value) => {
        const of = key === 'clock' ? Math.round(value) : value;
        const shown = CODECS[key].show(of);
        expect(CODECS[key].show(CODECS[key].read(shown))).toBe(shown);
      },
    ),
  );
});
