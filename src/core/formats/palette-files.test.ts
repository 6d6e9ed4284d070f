/** @jest-environment jsdom */
import { aseOf, gplOf, svgOf } from './palette-files';

const COLOURS = [
  { name: 'Step 1, "dark" & <low>', hex: '#211f27' },
  { name: 'Größe\t2\nzwei', hex: '#8f4a16' },
];

test('GPL: a line each, names on one line', () => {
  const text = gplOf('A string, of\ntwo', COLOURS);
  const lines = text.split('\n');
  expect(lines[0]).toBe('GIMP Palette');
  expect(lines[1]).toBe('Name: A string, of two');
  const rows = lines
    .slice(4)
    .filter(Boolean)
    .map((l) => /^\s*(\d+)\s+(\d+)\s+(\d+)\t(.*)$/.exec(l)!);
  expect(rows.map((r) => r.slice(1, 4).map(Number))).toEqual([
    [0x21, 0x1f, 0x27],
    [0x8f, 0x4a, 0x16],
  ]);
  expect(rows[1]![4]).toBe('Größe 2 zwei');
});

/** A reader of its own: big-endian blocks of a name and three floats. */
function readAse(bytes: Uint8Array) {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const letters = (at: number, n: number) => String.fromCharCode(...bytes.slice(at, at + n));
  expect(letters(0, 4)).toBe('ASEF');
  const out: { name: string; rgb: number[] }[] = [];
  let at = 12;
  for (let n = 0; n < view.getUint32(8); n++) {
    const end = at + 6 + view.getUint32(at + 2);
    const size = view.getUint16(at + 6);
    let name = '';
    for (let i = 0; i < size - 1; i++) name += String.fromCharCode(view.getUint16(at + 8 + 2 * i));
    const model = at + 8 + 2 * size;
    expect(letters(model, 4)).toBe('RGB ');
    out.push({
      name,
      rgb: [0, 1, 2].map((i) => Math.round(255 * view.getFloat32(model + 4 + 4 * i))),
    });
    expect(model + 4 + 12 + 2).toBe(end);
    at = end;
  }
  expect(at).toBe(bytes.length);
  return out;
}

test('ASE: read back whole', () => {
  expect(readAse(aseOf(COLOURS))).toEqual([
    { name: COLOURS[0]!.name, rgb: [0x21, 0x1f, 0x27] },
    { name: 'Größe 2 zwei', rgb: [0x8f, 0x4a, 0x16] },
  ]);
  expect(readAse(aseOf([]))).toEqual([]);
});

// Reference library: the XML parser of jsdom (npm).
test('SVG: valid whatever the names hold', () => {
  const text = svgOf('Dark & "light"', COLOURS);
  const drawn = new DOMParser().parseFromString(text, 'image/svg+xml');
  expect(drawn.querySelector('parsererror')).toBeNull();
  expect(drawn.querySelectorAll('g rect')).toHaveLength(2);
  expect(drawn.querySelector('g title')!.textContent).toBe(COLOURS[0]!.name);
});
