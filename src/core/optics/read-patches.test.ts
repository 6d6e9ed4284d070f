import { de2000, labOfHex, linearOf, type Lab } from '.';
import { againstCard, readPatch, toneError, type Pixels, type Place } from './read-patches';

/** A made photo: patches on a ground, seen through a camera with its own exposure and white balance. */
function photo(
  patches: { lab: Lab; at: readonly [number, number, number, number] }[],
  gain: readonly [number, number, number],
): Pixels {
  const [width, height] = [200, 100];
  const data = new Uint8ClampedArray(4 * width * height);
  const encode = (v: number) => {
    const c = Math.min(1, Math.max(0, v));
    return Math.round(255 * (c <= 0.0031308 ? c * 12.92 : 1.055 * c ** (1 / 2.4) - 0.055));
  };
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const here = patches.find(({ at: [l, t, r, b] }) => x >= l && x < r && y >= t && y < b);
      const linear = linearOf(here?.lab ?? [30, 0, 0]);
      linear.forEach((v, c) => (data[4 * (y * width + x) + c] = encode(v * gain[c]!)));
      data[4 * (y * width + x) + 3] = 255;
    }
  return { data, width, height };
}
const box = (l: number, t: number, r: number, b: number): Place[] => [
  [l / 200, t / 100],
  [r / 200, t / 100],
  [r / 200, b / 100],
  [l / 200, b / 100],
];
const CARD: Lab = [49.6, 0, 0];

test('a patch against the grey card comes out whatever the exposure and white balance', () => {
  const sienna: Lab = [45, 30, 35];
  const made = photo(
    [
      { lab: CARD, at: [10, 10, 60, 90] },
      { lab: sienna, at: [80, 20, 140, 80] },
    ],
    [1.15, 0.9, 0.75],
  );
  const card = readPatch(made, box(10, 10, 60, 90))!;
  const patch = readPatch(made, box(80, 20, 140, 80))!;
  expect(de2000(againstCard(patch, card)!, sienna)).toBeLessThan(1);
  expect(patch.clipped).toBe(0);
  // The edge is left out: corners a little too far out read the same.
  const wide = readPatch(made, box(78, 18, 142, 82))!;
  expect(de2000(againstCard(wide, card)!, sienna)).toBeLessThan(1);
});

test('clipped channels, corners that hold nothing and a black card are told', () => {
  const bright = photo([{ lab: labOfHex('#ffffff'), at: [0, 0, 200, 100] }], [1.5, 1.5, 1.5]);
  expect(readPatch(bright, box(10, 10, 60, 90))!.clipped).toBe(1);
  expect(readPatch(bright, box(10, 10, 10, 10))).toBeNull();
  expect(readPatch(bright, [[0, 0]])).toBeNull();
  const black = { linear: [0, 0, 0] as [number, number, number], clipped: 1, pixels: 9 };
  expect(againstCard(readPatch(bright, box(10, 10, 60, 90))!, black)).toBeNull();
});

test('a second grey tells of a bent tone curve', () => {
  const grey = (y: number) => ({
    linear: [y, y, y] as [number, number, number],
    clipped: 0,
    pixels: 9,
  });
  // Munsell values 4.86 and 8: Y of ASTM D1535.
  expect(toneError(grey(0.5762), grey(0.1815), 8)).toBeLessThan(0.02);
  expect(toneError(grey(0.7), grey(0.1815), 8)).toBeGreaterThan(0.1);
});
