import { differenceCiede2000, lab65, p3 as toP3, rgb, toGamut } from 'culori';
import fc from 'fast-check';
import { CIE_WEIGHTS } from '@/data/cie-more';
import {
  changeOf,
  chromaOf,
  changeWords,
  colourWords,
  de2000,
  flat,
  hexOf,
  hueOf,
  labOf,
  labOfHex,
  screenColour,
  seen,
  valueOfLab,
  valueOfY,
  warmthOf,
  whiteOf,
  xyzOf,
  xyzOfLab,
  yOfValue,
  type Lab,
} from '.';
import { smoothestSpectrum } from './smoothest';
import { BANDS_NM } from './spectrum';
import { hexToLinear, linearToHex } from './srgb';

// CIE 15, 10 nm weights; and the standard whites of the 5 nm tables (from memory), which they come near.
test.each([
  ['D65/2', [95.017, 100, 108.813], [95.047, 100, 108.883]],
  ['D65/10', [94.825, 100, 107.381], [94.811, 100, 107.304]],
  ['D50/2', [96.391, 100, 82.45], [96.422, 100, 82.521]],
  ['A/2', [109.831, 100, 35.546], [109.85, 100, 35.585]],
  ['C/2', [98.045, 100, 118.102], [98.074, 100, 118.232]],
] as const)('the white of %s', (key, own, standard) => {
  const white = whiteOf(CIE_WEIGHTS[key]);
  own.forEach((v, i) => expect(Math.abs(white[i]! - v)).toBeLessThan(0.005));
  standard.forEach((v, i) => expect(Math.abs(white[i]! - v)).toBeLessThan(0.15));
  // A flat spectrum is neutral in every light.
  const [, a, b] = labOf(flat(0.4), CIE_WEIGHTS[key]);
  expect(Math.hypot(a, b)).toBeLessThan(1e-9);
});

test('lightness of greys, and back from Lab', () => {
  expect(labOf(flat(0.184187))[0]).toBeCloseTo(50, 3);
  expect(labOf(flat(0.5))[0]).toBeCloseTo(76.069, 3);
  const lab: Lab = [40, -20, 35];
  const xyz = xyzOfLab(lab);
  expect(xyz).toHaveLength(3);
  expect(labOf(seen(flat(0), 'gloss-included'))[0]).toBeCloseTo(23.67, 2);
});

// sRGB: IEC 61966-2-1. Reference library: culori (npm culori 4).
test('sRGB and Lab agree with culori on random colours', () => {
  const red = labOfHex('#ff0000');
  [53.24, 80.09, 67.2].forEach((v, i) => expect(Math.abs(red[i]! - v)).toBeLessThan(0.02));
  const channel = fc.integer({ min: 0, max: 255 });
  fc.assert(
    fc.property(channel, channel, channel, (r, g, b) => {
      const hex = `#${[r, g, b].map((v) => v.toString(16).padStart(2, '0')).join('')}`;
      const its = lab65(hex)!;
      const ours = labOfHex(hex);
      [its.l, its.a, its.b].forEach((v, i) => expect(Math.abs(v - ours[i]!)).toBeLessThan(0.03));
      expect(hexOf(ours)).toBe(hex);
      expect(linearToHex(hexToLinear(hex))).toBe(hex);
    }),
  );
});

// Sharma, Wu & Dalal, Color Res. Appl. 30 (2005), pairs from memory.
test.each<[Lab, Lab, number]>([
  [[50, 2.6772, -79.7751], [50, 0, -82.7485], 2.0425],
  [[50, -1.3802, -84.2814], [50, 0, -82.7485], 1],
  [[50, 0, 0], [50, -1, 2], 2.3669],
  [[50, 2.49, -0.001], [50, -2.49, 0.0009], 7.1792],
  [[50, 2.49, -0.001], [50, -2.49, 0.0011], 7.2195],
  [[50, 2.5, 0], [50, 0, -2.5], 4.3065],
  [[50, 2.5, 0], [73, 25, -18], 27.1492],
  [[50, 2.5, 0], [61, -5, 29], 22.8977],
  [[50, 2.5, 0], [56, -27, -3], 31.903],
  [[50, 2.5, 0], [58, 24, 15], 19.4535],
  [[60.2574, -34.0099, 36.2677], [60.4626, -34.1751, 39.4387], 1.2644],
  [[22.7233, 20.0904, -46.694], [23.0331, 14.973, -42.5619], 2.0373],
  [[2.0776, 0.0795, -1.135], [0.9033, -0.0636, -0.5514], 0.9082],
])('CIEDE2000 of the published pair %j %j', (one, other, de) => {
  expect(Math.abs(de2000(one, other) - de)).toBeLessThan(1e-4);
  expect(de2000(other, one)).toBeCloseTo(de2000(one, other), 9);
});

test('CIEDE2000 agrees with culori on random pairs', () => {
  const difference = differenceCiede2000();
  const lab = fc.tuple(
    fc.double({ min: 0, max: 100, noNaN: true }),
    fc.double({ min: -90, max: 90, noNaN: true }),
    fc.double({ min: -90, max: 90, noNaN: true }),
  );
  const of = ([l, a, b]: Lab) => ({ mode: 'lab65' as const, l, a, b });
  fc.assert(
    fc.property(lab, lab, (one, other) => {
      // At opposite hues, and where there is hardly any hue, the last digit decides which way round it is.
      fc.pre(Math.abs(Math.abs(hueOf(one) - hueOf(other)) - 180) > 1);
      fc.pre(chromaOf(one) > 0.01 && chromaOf(other) > 0.01);
      expect(Math.abs(de2000(one, other) - difference(of(one), of(other)))).toBeLessThan(1e-5);
    }),
  );
});

// ASTM D1535: Y of the Munsell values 1 to 9; from memory, high.
test('Munsell value', () => {
  [1.18, 3.048, 6.391, 11.701, 19.272, 29.301, 41.985, 57.62, 76.696].forEach((y, i) => {
    expect(Math.abs(yOfValue(i + 1) - y)).toBeLessThan(0.002);
    expect(valueOfY(y)).toBeCloseTo(i + 1, 2);
  });
  for (const [L, v] of [
    [20, 1.976],
    [40, 3.929],
    [50, 4.901],
    [60, 5.895],
    [80, 7.945],
    [95, 9.494],
  ] as const)
    expect(Math.abs(valueOfLab([L, 0, 0]) - v)).toBeLessThan(0.005);
});

test('what a screen cannot show is told, and made to fit by chroma alone', () => {
  const strong: Lab = [60, 90, 90];
  const told = screenColour(strong);
  expect(told).toMatchObject({ shown: false });
  expect(told.off).toBeGreaterThan(2);
  const shown = labOfHex(told.hex);
  expect(shown[0]).toBeCloseTo(60, 0);
  // culori's way to the gamut keeps lightness and hue as well, and comes out near.
  const theirs = lab65(toGamut('rgb', 'lch65')({ mode: 'lab65', l: 60, a: 90, b: 90 }))!;
  expect(de2000(shown, [theirs.l, theirs.a, theirs.b])).toBeLessThan(3);
  expect(screenColour([50, 10, 10])).toEqual({
    hex: hexOf([50, 10, 10]),
    p3: null,
    shown: true,
    off: 0,
  });
  // A colour of Display P3 that sRGB lacks is given as it is; reference: culori.
  const green = lab65({ mode: 'p3', r: 0.2, g: 0.9, b: 0.2 })!;
  const wide = screenColour([green.l, green.a, green.b]);
  const [r, g, b] = wide
    .p3!.match(/[\d.]+/g)!
    .slice(1)
    .map(Number) as [number, number, number];
  const back = toP3(green)!;
  [back.r - r, back.g - g, back.b - b].forEach((d) => expect(Math.abs(d)).toBeLessThan(0.01));
  expect(rgb(wide.hex)).toBeDefined();
});

// Ou, Luo, Woodcock & Wright, Color Res. Appl. 29 (2004): the warm pole lies at hue 50; from memory.
test('warmth, and words for a change', () => {
  expect(warmthOf([50, 30, 20])).toBeCloseTo(34.6, 2);
  expect(warmthOf([50, 0, -20])).toBeCloseTo(-15.32, 2);
  expect(colourWords([50, 1, 1])).toBe('neutral');
  expect(colourWords([50, 30, 25])).toBe('clear red');
  expect(changeWords(changeOf([60, 20, 30], [53.4, 22, 30]))).toBe('two thirds of a value darker');
  expect(changeWords(changeOf([60, 0, 0], [60, 3, 6]))).toMatch(/warmer/);
  expect(changeWords(changeOf([60, 40, 40], [60, 20, 20]))).toBe(
    'strongly cooler, strongly duller',
  );
  expect(changeWords(changeOf([60, 4, 4], [60, 4, 4]))).toBe('no change that shows');
});

// Burns, Color Res. Appl. 45 (2020): smoothest spectra; the three figures come out as they were.
test('the smoothest spectrum of a colour', () => {
  for (const [lab, rows] of [
    [
      [60, 20, 40],
      [0.0872, 0.2411, 0.5122],
    ],
    [
      [40, 10, -30],
      [0.2725, 0.1019, 0.0917],
    ],
  ] as const) {
    const r = smoothestSpectrum(lab as unknown as Lab)!;
    labOf(r).forEach((v, i) => expect(v).toBeCloseTo(lab[i]!, 5));
    [450, 550, 650].forEach((nm, i) =>
      expect(Math.abs(r[BANDS_NM.indexOf(nm)]! - rows[i]!)).toBeLessThan(0.001),
    );
  }
  // A colour that no reflectance has.
  expect(smoothestSpectrum([90, 120, -100])).toBeNull();
});

test('a hue that is called otherwise now is told: yellow over blue turns green', () => {
  const change = changeOf([66, 5, -37], [62, -26, 48]);
  expect(changeWords(change)).toMatch(/turns yellow-green/);
  expect(changeOf([60, 20, 30], [55, 20, 30]).turnedTo).toBeNull();
  expect(changeOf([60, 0, 0], [55, 20, 30]).turnedTo).toBeNull();
});

test('luminance is the Y of the observer', () => {
  expect(xyzOf(flat(1))[1]).toBeCloseTo(100, 3);
});
