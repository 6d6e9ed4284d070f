import { format } from 'date-fns/format';
import { OPTICS_BENCH } from '@/data/optics-bench';
import type { ScreenColour } from '@/core/optics';
import type { ColourSource } from '@/core/optics/composition';

/** Where a colour comes from, as it is told beside it: never more than is known. */
export function sourceWords({ kind, at }: ColourSource): string {
  if (kind === 'guess')
    return 'Nobody said what colour this stuff is: it only stands for its kind.';
  if (kind === 'swatch' && at)
    return `From your swatch of ${format(new Date(at), 'd MMMM')}. Usually within one or two just noticeable steps; one mix in ten is further off.`;
  return 'Estimate from tables. Your tube may be half or double as strong: mix a test.';
}

/** What the screen leaves out; null where it shows the colour. */
export const screenWords = ({ shown, off }: ScreenColour): string | null =>
  !shown && off > OPTICS_BENCH.gamutWarnDe
    ? `More colourful than this screen can show (off by ${off.toFixed(0)} steps).`
    : null;
