import { chromaOf, de2000, hueOf, opaqueLab, tablePaintOf } from '.';
import { mixer, pairMixer } from './mixer';
import { labOfMix, neutralise, reachAt, stringOf, whiteAdded, type Mix } from './strings';

const mix = (parts: Record<string, number>): Mix =>
  Object.entries(parts).map(([key, p]) => ({ paint: tablePaintOf(key), parts: p }));
const shadow = mix({ 'burnt-umber': 1, 'ultramarine-blue': 1 });
const light = mix({ 'titanium-white': 9, 'yellow-ochre': 1 });

const steps = (told: ReturnType<typeof stringOf>) => {
  if ('turnsAt' in told) throw new Error('no string');
  return told.steps;
};

// Check values computed twice, independently.
test('a string even in lightness takes far from even shares', () => {
  const shares = steps(stringOf([shadow, light], 7, 'lightness')).map((s) => s.shares[1]!);
  [0, 0.0995, 0.2951, 0.6154, 0.8624, 0.9661, 1].forEach((s, i) =>
    expect(Math.abs(shares[i]! - s)).toBeLessThan(0.002),
  );
});

test('a string even along the way in CIEDE2000', () => {
  const told = stringOf([shadow, light], 5, 'difference');
  const shares = steps(told).map((s) => s.shares[1]!);
  [0, 0.258, 0.721, 0.944, 1].forEach((s, i) =>
    expect(Math.abs(shares[i]! - s)).toBeLessThan(0.004),
  );
  expect('length' in told && Math.abs(told.length - 67.9)).toBeLessThan(0.3);
});

test('from a shadow through a colour to white, and where lightness turns round', () => {
  const three = steps(stringOf([shadow, mix({ 'cadmium-red': 1 }), light], 5, 'lightness'));
  expect(three.map((s) => s.shares.reduce((a, b) => a + b, 0))).toEqual(
    three.map(() => expect.closeTo(1, 9)),
  );
  const L = three.map((s) => s.lab[0]);
  for (let i = 2; i < 5; i++) expect(L[i]! - L[i - 1]!).toBeCloseTo(L[1]! - L[0]!, 1);
  expect(stringOf([light, shadow, light], 5, 'lightness')).toMatchObject({
    turnsAt: expect.closeTo(1, 1),
  });
});

// Common practice, no source: orange against ultramarine; figures from the check values.
test('what neutralises an orange tint', () => {
  const orange = mix({ 'cadmium-orange': 0.3, 'titanium-white': 0.7 });
  const candidates = ['cadmium-red', 'ultramarine-blue', 'yellow-ochre'].map((k) =>
    mix({ [k]: 1 }),
  );
  const [best] = neutralise(orange, candidates);
  expect(best!.index).toBe(1);
  expect(Math.abs(best!.share - 0.257)).toBeLessThan(0.01);
  expect(Math.abs(best!.chroma - 2.8)).toBeLessThan(0.15);
});

test('white turns a red and takes its chroma; a touch of a warm neighbour turns it back', () => {
  const told = whiteAdded(
    mix({ 'cadmium-red': 1 }),
    mix({ 'titanium-white': 1 }),
    0.8,
    ['cadmium-orange', 'ultramarine-blue'].map((k) => mix({ [k]: 1 })),
  );
  expect(told.change.warmth).toBeLessThan(-8);
  expect(hueOf(told.to)).toBeLessThan(hueOf(told.from));
  expect(told.back[0]).toMatchObject({ index: 0 });
  expect(Math.abs(hueOf(told.back[0]!.lab) - hueOf(told.from))).toBeLessThan(2);
  expect(told.back[0]!.chromaLost).toBeGreaterThan(5);
});

test('a palette without a blue reaches no blue', () => {
  const warm = ['titanium-white', 'yellow-ochre', 'cadmium-red', 'ivory-black'].map(tablePaintOf);
  const reach = reachAt(warm, 50);
  const most = (from: number, to: number) => Math.max(...reach.slice(from / 10, to / 10));
  expect(most(20, 80)).toBeGreaterThan(40);
  expect(most(250, 300)).toBeLessThan(8);
  const withBlue = reachAt([...warm, tablePaintOf('ultramarine-blue')], 50);
  expect(Math.max(...withBlue.slice(25, 30))).toBeGreaterThan(40);
  expect(de2000(labOfMix(light), labOfMix(shadow))).toBeGreaterThan(50);
  expect(chromaOf(labOfMix(light))).toBeGreaterThan(5);
});

test('the quick way through a mixture is the film of its composition', () => {
  const paints = ['titanium-white', 'alizarin-crimson', 'yellow-ochre'].map(tablePaintOf);
  const quick = mixer(paints);
  for (const amounts of [
    [1, 0, 0],
    [0, 1, 0],
    [3, 0.2, 1],
    [0.3, 2, 0.01],
  ]) {
    const slow = opaqueLab(paints.map((paint, i) => ({ paint, um: amounts[i]! })));
    expect(de2000(quick(amounts), slow)).toBeLessThan(1e-6);
    const pair = pairMixer(paints[0]!, paints[1]!);
    for (const share of [0, 0.3, 1]) {
      expect(de2000(pair(share), quick([1 - share, share, 0]))).toBeLessThan(1e-6);
    }
    // Only the ratio counts.
    expect(de2000(quick(amounts.map((a) => 7 * a)), slow)).toBeLessThan(1e-6);
  }
});

test('a tube that holds a crowding white beside another pigment is mixed the general way', () => {
  const tinted = { pigments: { 'titanium-white': 0.3, 'raw-umber': 0.1 } };
  const red = tablePaintOf('cadmium-red');
  const pair = pairMixer(tinted, red);
  for (const share of [0.1, 0.5])
    expect(
      de2000(
        pair(share),
        opaqueLab([
          { paint: tinted, um: 1 - share },
          { paint: red, um: share },
        ]),
      ),
    ).toBeLessThan(1e-6);
});
