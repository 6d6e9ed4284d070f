import type { Constants } from '@/data/constants';
import { testsState, type TestsState } from '../finish/tests';
import { finishWindows } from '../drying';
import { latest } from '../drying/windows';
import type { Layer, PaintingAssessment } from './layer';

/** When a finished picture takes its final varnish. */
export interface VarnishWait {
  /** By modern and by natural resin, at 90 %, ms; null where drying stands still. */
  modernMs: number | null;
  traditionalMs: number | null;
  /** A varnish lies on it already. */
  varnished: boolean;
  /** The film that is waited for longest. */
  slowest: string | null;
  /** What the tests say: one that failed is repeated before anything goes on, whatever the tables say. */
  tests: TestsState;
}

/**
 * The wait of a whole picture for its varnish: every film of every passage and spot, the lowest too, since each goes on
 * drying under what covers it. The tests on a witness decide; this says when they are worth making.
 */
export function varnishWait(
  { passages, painting }: PaintingAssessment,
  constants: Constants,
): VarnishWait {
  const tests = testsState(painting);
  const tested = (ms: number | null): number | null =>
    ms === null ? null : Math.max(ms, tests.repeatFromMs ?? 0);
  const layers = passages.flatMap(({ base, spots }) =>
    [base, ...spots].flatMap(({ layers: all }) => all.filter((l) => !l.planned)),
  );
  const varnished = layers.some((l) => l.film.role === 'varnish');
  const oil = layers.filter((l) => l.times.kind === 'oil' && l.clock);
  const waits = oil.map((layer: Layer) => ({
    layer,
    windows: finishWindows(constants, layer.times, layer.clock!, 'touch-dry'),
  }));
  const modern = latest(waits.map((w) => w.windows.varnishModern.p90));
  const slowest = waits.find((w) => w.windows.varnishModern.p90 === modern);
  return {
    modernMs: tested(modern),
    traditionalMs: tested(latest(waits.map((w) => w.windows.varnishTraditional.p90))),
    varnished,
    slowest: slowest?.layer.film.name ?? null,
    tests,
  };
}
