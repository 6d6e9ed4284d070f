import { STUDIO_HANDBOOK } from '@/core/handbook';
import { isOnEasel, type Painting, type PaintingAssessment } from '@/core/painting';
import { varnishWait } from '@/core/painting/varnish';
import { dayMonthYear } from '@/ui/time/words';

/** Where a picture is, in words. */
export function easelWords({ easel }: Pick<Painting, 'easel'>, nowMs: number): string {
  if (!easel || isOnEasel({ easel }, nowMs)) return 'On the easel';
  const day = (at: string) => dayMonthYear(Date.parse(at));
  if (easel.kind === 'resting')
    return easel.until ? `Resting until ${day(easel.until)}` : 'Resting';
  if (easel.kind === 'finished') return `Finished ${day(easel.at)}`;
  return `Gone ${day(easel.at)}${easel.to ? `, to ${easel.to}` : ''}`;
}

/** When a finished picture takes its varnish: the day is worth a test, and the test decides. */
export function varnishWords(assessment: PaintingAssessment, nowMs: number): string {
  const { modernMs, traditionalMs, varnished, slowest } = varnishWait(
    assessment,
    STUDIO_HANDBOOK.constants,
  );
  if (varnished) return 'Varnished';
  if (slowest === null) return 'Nothing on it waits for varnish';
  if (modernMs === null || traditionalMs === null) return 'It does not dry in this air';
  const ready = (ms: number) => (ms <= nowMs ? 'now' : `from ${dayMonthYear(ms)}`);
  return `Final varnish: modern resin ${ready(modernMs)}, natural resin ${ready(traditionalMs)}, if a test on a witness agrees`;
}
