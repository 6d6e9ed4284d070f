import { verdictOf, assessPainting } from '@/core/painting';
import { startPainting } from '@/core/painting/start';
import { INPUT, isoDaysAgo, making, optionsAt } from '@/core/tests/paintings';
import { METHODS } from './methods';

const GROUNDS = [
  { kind: 'acrylic-gesso' as const, coats: 4, laidAt: isoDaysAgo(60) },
  { kind: 'oil-ground' as const, laidAt: isoDaysAgo(90) },
  { kind: 'alkyd-ground' as const, laidAt: isoDaysAgo(60) },
];
const methods = Object.values(METHODS).filter((m) => m.coats.length > 0 && m.ground === null);

describe.each(methods.map((m) => [m.key, m] as const))('%s', (_, method) => {
  const acrylic = method.coats.some(
    ({ mix }) => Array.isArray(mix) && mix.some((t) => t.binder === 'acrylic'),
  );
  const grounds = acrylic ? GROUNDS.slice(0, 1) : GROUNDS;
  test.each(grounds.map((g) => [g.kind, g] as const))(
    'its own coats pass its own school and no rule warns, on %s (common practice, no source)',
    (_kind, ground) => {
      const passages = ['light', 'dark', 'grey', 'earth', 'green'].map((name) => ({
        name,
        share: 0.2,
      }));
      const painting = startPainting({ ...INPUT, method: method.key, ground, passages }, making());
      const told = assessPainting(painting, optionsAt()).passages.flatMap(({ base }) =>
        base.layers.map((layer) => ({
          coat: layer.film.name,
          verdict: verdictOf(layer, painting.school)?.verdict ?? 'ok',
          warned: layer.findings.filter((f) => f.severity !== 'note').map((f) => f.rule),
        })),
      );
      expect(told.length).toBeGreaterThanOrEqual(passages.length);
      expect(
        told.filter(
          ({ verdict, warned }) =>
            !['ok', 'note', 'not-applicable'].includes(verdict) || warned.length > 0,
        ),
      ).toEqual([]);
    },
  );
  test('a coat waits for touch-dry, or goes into the wet', () => {
    expect(method.coats.filter((c) => c.onto === 'through-dry')).toEqual([]);
  });
});
