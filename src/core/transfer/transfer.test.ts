import fc from 'fast-check';
import { CoreError } from '../errors';
import { fitDesign, gridOf, projectorDistance, thrownWidth } from '.';

const near = (value: number, expected: number) => expect(value).toBeCloseTo(expected, 6);

describe('a design on a support', () => {
  // By hand: 20 x 30 cm onto 60 x 80 cm.
  test('cropped it is three times as large, and loses 1.67 cm at top and bottom', () => {
    const t = fitDesign({ width: 20, height: 30 }, { width: 60, height: 80 }, 'crop');
    near(t.scale, 3);
    near(t.used.y, 5 / 3);
    near(t.used.height, 80 / 3);
    expect([t.placed.width, t.placed.height]).toEqual([60, 80]);
    expect(t.exact).toBe(false);
  });

  test('whole it is two and two thirds as large, with margins of 3.33 cm left and right', () => {
    const t = fitDesign({ width: 20, height: 30 }, { width: 60, height: 80 }, 'margins');
    near(t.scale, 8 / 3);
    near(t.placed.x, (60 - 160 / 3) / 2);
    near(t.placed.width, 160 / 3);
    expect([t.used.width, t.used.height]).toEqual([20, 30]);
  });

  test('of equal proportions nothing is lost either way', () => {
    for (const fit of ['crop', 'margins'] as const) {
      const t = fitDesign({ width: 12, height: 9 }, { width: 80, height: 60 }, fit);
      expect(t.exact).toBe(true);
      near(t.used.width, 12);
      near(t.placed.height, 60);
    }
  });

  test('what is used, times the scale, is what is placed, and lies inside both (seed printed)', () => {
    const side = fc.double({ min: 0.5, max: 500, noNaN: true });
    fc.assert(
      fc.property(side, side, side, side, fc.constantFrom('crop', 'margins'), (a, b, c, d, fit) => {
        const t = fitDesign({ width: a, height: b }, { width: c, height: d }, fit as 'crop');
        const eps = 1e-9 * (c + d + a + b);
        return (
          Math.abs(t.used.width * t.scale - t.placed.width) < eps &&
          Math.abs(t.used.height * t.scale - t.placed.height) < eps &&
          t.used.x >= -eps &&
          t.used.x + t.used.width <= a + eps &&
          t.placed.y >= -eps &&
          t.placed.y + t.placed.height <= d + eps
        );
      }),
    );
  });
});

describe('the grid', () => {
  test('eight cells along the longer side, square, with their lines on both', () => {
    const t = fitDesign({ width: 16, height: 12 }, { width: 80, height: 60 }, 'crop');
    const g = gridOf(t, 8);
    expect([g.columns, g.rows]).toEqual([8, 6]);
    expect(g.cell).toEqual({ design: 2, support: 10 });
    expect(g.vertical.map((l) => l.support)).toEqual([0, 10, 20, 30, 40, 50, 60, 70, 80]);
    expect(g.horizontal.map((l) => l.design)).toEqual([0, 2, 4, 6, 8, 10, 12]);
  });

  test('a last row that is cut ends at the edge', () => {
    const t = fitDesign({ width: 10, height: 7 }, { width: 100, height: 70 }, 'crop');
    const g = gridOf(t, 4);
    expect(g.rows).toBe(3);
    near(g.horizontal.at(-1)!.support, 70);
    near(g.horizontal.at(-2)!.support, 50);
  });

  test('margins shift the lines on the support', () => {
    const t = fitDesign({ width: 10, height: 10 }, { width: 30, height: 20 }, 'margins');
    const g = gridOf(t, 2);
    expect(g.vertical.map((l) => l.support)).toEqual([5, 15, 25]);
  });
});

test('a projector of throw ratio 1.5 stands 135 cm from a picture 90 cm wide', () => {
  // Definition of the throw ratio: distance over width; common knowledge.
  near(projectorDistance(1.5, 90), 135);
  near(thrownWidth({ width: 20, height: 30 }, 3), 60);
});

test.each([
  ['no width', () => fitDesign({ width: 0, height: 3 }, { width: 3, height: 3 }, 'crop')],
  ['no number', () => fitDesign({ width: 3, height: 3 }, { width: NaN, height: 3 }, 'crop')],
  [
    'half a cell',
    () => gridOf(fitDesign({ width: 1, height: 1 }, { width: 1, height: 1 }, 'crop'), 1.5),
  ],
  ['a throw ratio of nothing', () => projectorDistance(0, 10)],
])('refused: %s', (_, f) => {
  expect(f).toThrow(CoreError);
});
