import { converter, differenceCiede2000, wcagLuminance } from 'culori';
import { PIGMENT_ROWS } from '@/data/pigments';
import { CLEAR_MEDIUM, mixColour } from '.';
import { hexToLinear, linearToHex } from './srgb';

const difference = differenceCiede2000();

test('a pigment alone is its masstone', () => {
  for (const row of PIGMENT_ROWS)
    expect(difference(mixColour({ [row.key]: 3 }), row.masstone_srgb)).toBeLessThan(1.5);
});

test('white lightens, black darkens, and nothing is clear medium', () => {
  const umber = wcagLuminance(mixColour({ 'raw-umber': 1 }));
  expect(wcagLuminance(mixColour({ 'raw-umber': 1, 'titanium-white': 3 }))).toBeGreaterThan(umber);
  expect(wcagLuminance(mixColour({ 'raw-umber': 1, 'ivory-black': 1 }))).toBeLessThan(umber);
  expect(mixColour({})).toBe(CLEAR_MEDIUM);
});

// Common practice, no source: blue and yellow pigments make green, not the grey of averaged sRGB.
test('phthalo blue and arylide yellow make a green', () => {
  const hex = mixColour({ 'phthalo-blue': 1, 'hansa-yellow-light': 4 });
  const [r, g, b] = [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16)) as [
    number,
    number,
    number,
  ];
  expect(g).toBeGreaterThan(r);
  expect(g).toBeGreaterThan(b);
});

// Reference library: culori, https://culorijs.org (npm culori 4), for IEC 61966-2-1.
test('sRGB to linear and back agrees with culori and round-trips every masstone', () => {
  const lrgb = converter('lrgb');
  for (const { masstone_srgb: hex } of PIGMENT_ROWS) {
    const { r, g, b } = lrgb(hex)!;
    hexToLinear(hex).forEach((v, i) => expect(v).toBeCloseTo([r, g, b][i]!, 6));
    expect(linearToHex(hexToLinear(hex))).toBe(hex);
  }
});
