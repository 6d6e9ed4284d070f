import type { LaidEvent, Painting, PaintingEvent } from '@/core/painting';
import type { Left, RemovalTool } from '@/data/applications';

const HOW = {
  wiped: 'Wiped',
  scraped: 'Scraped',
  sanded: 'Sanded',
  'painted-out': 'Painted out',
} as const;
const LEFT: Record<Left, string> = {
  all: 'all of it left',
  half: 'half left',
  trace: 'a trace left',
  nothing: 'clean',
};
const TOOL: Record<RemovalTool, string> = {
  rag: 'with a rag',
  finger: 'with the finger',
  'wipe-out-tool': 'with the wipe-out tool',
  brush: 'with a brush',
  knife: 'with a knife',
};

function laidWords(event: LaidEvent): string {
  const what = event.more
    ? `More of ${event.name.toLowerCase()}`
    : `Laid ${event.name.toLowerCase()}`;
  const spot = event.spot ? `, ${event.spot.name} ${Math.round(event.spot.share * 100)} %` : '';
  return `${what}${event.intoWet ? ', into the wet' : ''}${spot}${event.joins ? ', one with the part before' : ''}`;
}

/** An entry of the record in words. */
export function entryWords(event: PaintingEvent): string {
  if (event.kind === 'laid') return laidWords(event);
  if (event.kind === 'touched')
    return `Touched: ${event.finding}${event.spotName ? `, ${event.spotName}` : ''}${event.setAside ? ', set aside' : ''}`;
  return [
    HOW[event.how],
    ...(event.how === 'painted-out' ? [] : [LEFT[event.left]]),
    ...(event.tool ? [TOOL[event.tool]] : []),
    ...(event.spotName ? [event.spotName] : []),
  ].join(', ');
}

/** Where it was done. */
export const entryPlace = (painting: Painting, event: PaintingEvent): string => {
  const ids = event.kind === 'laid' ? event.passageIds : [event.passageId];
  return painting.passages
    .filter((p) => ids.includes(p.id))
    .map((p) => p.name)
    .join(', ');
};
