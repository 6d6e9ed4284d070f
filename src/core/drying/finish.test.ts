import { HANDBOOK_CONSTANTS, STUDIO_CONSTANTS } from '@/data/constants';
import {
  DAY_MS,
  dryingClock,
  finishWindows,
  REFERENCE_CLIMATE,
  varnishDoseDays,
  type RecoatRule,
} from '.';

const LAID = Date.UTC(2026, 0, 1);
const clock = dryingClock(STUDIO_CONSTANTS, 'oil', REFERENCE_CLIMATE, LAID, null);
const days = (ms: number | null) => (ms! - LAID) / DAY_MS;
const windows = (touch: number, through: number, rule: RecoatRule = 'recoat') =>
  finishWindows(
    STUDIO_CONSTANTS,
    { touch: { median: touch, sigma: 0.45 }, through: { median: through, sigma: 0.6 } },
    clock,
    rule,
  );

// Section 8 of the sheet: three times through-dry, half a year to two years; 15, 42.4, 120 and 1342 d through. From memory.
test.each([
  [15, 182],
  [42.4, 182],
  [120, 360],
  [1342, 730],
])('T19: through-dry %f d takes a natural varnish after %i d', (through, expected) => {
  expect(varnishDoseDays(HANDBOOK_CONSTANTS, 'resin-varnish', through)).toBeCloseTo(expected, 0);
  expect(days(windows(4, through).varnishTraditional.p50)).toBeCloseTo(expected, 0);
});

test('modern resin at through-dry, two weeks at least; retouch at one and a half times touch-dry', () => {
  expect(days(windows(2, 6).varnishModern.p50)).toBeCloseTo(14, 6);
  expect(days(windows(4, 40).varnishModern.p50)).toBeCloseTo(40, 6);
  expect(days(windows(4, 40).retouch.p50)).toBeCloseTo(6, 6);
});

test('the next coat by the school: touch-dry, 1.3 of it, or through-dry', () => {
  expect(days(windows(4, 40, 'touch-dry').recoat.p50)).toBeCloseTo(4, 6);
  expect(days(windows(4, 40, 'recoat').recoat.p50)).toBeCloseTo(5.2, 6);
  expect(days(windows(4, 40, 'through-dry').recoat.p50)).toBeCloseTo(40, 6);
});

test('every window grows with its chance, and in the cold', () => {
  const w = windows(4, 40);
  for (const key of ['recoat', 'retouch', 'varnishModern', 'varnishTraditional'] as const) {
    const { p10, p25, p50, p75, p90 } = w[key];
    const all = [p10, p25, p50, p75, p90].map((x) => x!);
    expect([...all].sort((a, b) => a - b)).toEqual(all);
  }
  const frost = dryingClock(
    STUDIO_CONSTANTS,
    'oil',
    { ...REFERENCE_CLIMATE, temperatureC: -1 },
    LAID,
    null,
  );
  const never = finishWindows(
    STUDIO_CONSTANTS,
    { touch: { median: 4, sigma: 0.4 }, through: { median: 20, sigma: 0.6 } },
    frost,
    'recoat',
  );
  expect(never.recoat.p50).toBeNull();
});
