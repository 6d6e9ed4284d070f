import { chromaOf, de2000, filmOfTubes, hueOf, labOfHex, type Lab } from '.';
import { glazeOnPhoto } from './on-photo';
import type { Pixels, Place } from './read-patches';

/** Half one colour with brush marks, half another. */
function photo(left: string, right: string): Pixels {
  const [width, height] = [80, 40];
  const data = new Uint8ClampedArray(4 * width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const hex = x < 40 ? left : right;
      const mark = (x + y) % 7 === 0 ? 0.85 : 1;
      [1, 3, 5].forEach(
        (i, c) => (data[4 * (y * width + x) + c] = mark * parseInt(hex.slice(i, i + 2), 16)),
      );
      data[4 * (y * width + x) + 3] = 255;
    }
  return { data, width, height };
}
const LEFT: Place[] = [
  [0, 0],
  [0.5, 0],
  [0.5, 1],
  [0, 1],
];
const at = ({ data, width }: Pixels, x: number, y: number) => [
  ...data.slice(4 * (y * width + x), 4 * (y * width + x) + 3),
];

test('a yellow glaze on a blue passage turns it green there, and nowhere else', () => {
  const made = photo('#5f8fc4', '#b0a090');
  const yellow = filmOfTubes({ 'hansa-yellow-medium': 1 }, 19);
  const told = glazeOnPhoto(made, LEFT, yellow)!;
  expect(hueOf(told.after)).toBeGreaterThan(95);
  expect(hueOf(told.after)).toBeLessThan(190);
  expect(at(told.pixels, 60, 20)).toEqual(at(made, 60, 20));
  expect(at(told.pixels, 20, 20)).not.toEqual(at(made, 20, 20));
  // Marks stay marks: what was darker is darker still.
  const lum = (p: number[]) => 0.2126 * p[0]! + 0.7152 * p[1]! + 0.0722 * p[2]!;
  expect(lum(at(told.pixels, 7, 0))).toBeLessThan(lum(at(told.pixels, 8, 0)));
  // The photo itself is untouched.
  expect(at(made, 20, 20)).toEqual([0x5f, 0x8f, 0xc4]);
});

test('no film changes hardly anything, and white lifts black to a cool grey', () => {
  const made = photo('#7a6a55', '#7a6a55');
  const none = glazeOnPhoto(made, LEFT, filmOfTubes({}, 0))!;
  expect(de2000(none.after, none.before)).toBeLessThan(1.5);
  const dark = photo('#1c1a1a', '#1c1a1a');
  const veil = glazeOnPhoto(dark, LEFT, filmOfTubes({ 'titanium-white': 1.2 }, 8.8))!;
  expect(veil.after[0]).toBeGreaterThan(veil.before[0] + 25);
  expect(veil.after[2]).toBeLessThan(-1);
  expect(chromaOf(veil.after)).toBeLessThan(15);
});

test('an outline that holds nothing gives nothing', () => {
  const made = photo('#808080', '#808080');
  expect(glazeOnPhoto(made, [[0, 0]], filmOfTubes({}, 1))).toBeNull();
  const grey: Lab = labOfHex('#808080');
  expect(grey[0]).toBeGreaterThan(50);
});
