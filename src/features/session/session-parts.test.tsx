import { render } from '@testing-library/react';
import { factorName } from '@/features/learn/useLearned';
import { newPainting } from '@/core/tests/paintings';
import { own, recipe } from '@/core/tests/recipes';
import { layCoat } from '@/core/painting/events';
import { isoDaysAgo, making, NOW, NOW_MS } from '@/core/tests/paintings';
import { correctionSchema } from './correction';
import { TimeBoxBar } from './TimeBoxBar';
import { timer } from './useSession';

test.each([
  [0, false, '0:00'],
  [59.99, false, '0:59'],
  [125, false, '2:05'],
  [0.5, true, '0:00:30'],
  [-3, false, '0:00'],
])('%f minutes read as a timer', (minutes, seconds, expected) =>
  expect(timer(minutes, seconds)).toBe(expected),
);

test('the time box: what was worked is filled, what is meant is dashed, and an overrun still fits', () => {
  const bar = (elapsed: number) =>
    render(
      <TimeBoxBar
        width={300}
        box={60}
        elapsed={elapsed}
        parts={[
          { key: 'a', worked: 20, planned: 30, paint: '#804020' },
          { key: 'b', worked: 0, planned: 30, paint: '#405060' },
        ]}
      />,
    ).container;
  const widthOf = (c: HTMLElement, fill: string) =>
    Number(c.querySelector(`rect[fill="${fill}"]`)!.getAttribute('width'));
  expect(widthOf(bar(20), '#804020')).toBeGreaterThan(90);
  expect(widthOf(bar(20), '#405060')).toBe(0);
  expect(bar(20).querySelectorAll('rect[stroke-dasharray]')).toHaveLength(2);
  expect(widthOf(bar(120), '#804020')).toBeLessThan(widthOf(bar(20), '#804020'));
});

test('factors are called as the painter calls them', () => {
  const base = newPainting();
  const coats = base.coats.map((c, i) =>
    i === 0 ? { ...c, recipe: recipe([own({ name: 'Slate grey' })]) } : c,
  );
  const painting = layCoat(
    { ...base, coats },
    { coatId: coats[0]!.id, passageIds: coats[0]!.passageIds, at: NOW, spot: null, intoWet: false },
    making(),
  );
  const name = (factor: string) => factorName(factor, [painting]);
  expect(name('paint:own:own-titanium-white')).toBe('Slate grey');
  expect(name('paint:own:gone')).toBe('a paint of your own');
  expect(name('paint:raw-umber|linseed')).toBe('raw umber');
  expect(name('paint:raw-umber|walnut')).toBe('raw umber in walnut');
  expect(name('medium:stand-oil')).toBe('stand oil');
  expect(name('paint:raw-umber|linseed#before')).toMatch(/before it was forgotten/);
});

test('an end that cannot be meant is asked about, in words, and nothing is kept', () => {
  const ends = (endedAt: string | null) =>
    correctionSchema(NOW_MS).safeParse({
      startedAt: isoDaysAgo(0.25),
      endedAt,
      goal: '',
      reached: null,
      note: '',
    }).error?.issues[0]?.message ?? null;
  expect([ends(null), ends(isoDaysAgo(0.1))]).toEqual([null, null]);
  expect(ends(isoDaysAgo(0.3))).toMatch(/before it begins/);
  expect(ends('2098-02-17T10:00:00.000Z')).toMatch(/still to come\. Look at the day and the year/);
  const long = correctionSchema(NOW_MS).safeParse({
    startedAt: isoDaysAgo(5),
    endedAt: isoDaysAgo(3),
    goal: '',
    reached: null,
    note: '',
  });
  expect(long.error?.issues[0]?.message).toMatch(/longer than a day/);
});
