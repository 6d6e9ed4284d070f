import type { SuggestedWork } from '@/core/today/suggest';

export const REASON: Record<SuggestedWork['reason'], (work: SuggestedWork) => string> = {
  'open-paint': (w) => `${w.coat.name} first: the paint below is still open.`,
  'soft-edge': (w) => `${w.coat.name} first: the neighbour of its soft edge is still open.`,
  planned: (w) => `${w.coat.name} first: it is planned for today.`,
  'longest-wait': (w) => `${w.coat.name} first: it has the longest wait.`,
  'same-medium': (w) => `${w.coat.name} first: its medium is on the palette.`,
  fits: (w) => `${w.coat.name} first.`,
  'dries-within': (w) => `${w.coat.name} on what dries within these hours.`,
};

export const keyOf = (w: SuggestedWork): string =>
  `${w.cluster.row.painting.id}|${w.coat.id}|${w.cluster.passages.map((p) => p.id).join()}`;
/** What is built on coats of these hours. */
export const dryWords = ({ reason, waitMinutes }: SuggestedWork): string => {
  if (reason !== 'dries-within') return '';
  return waitMinutes > 0 ? ` (${waitMinutes} min later, once it is dry)` : ' (dry by then)';
};
/** A couch and the paint that goes into it are one work. */
export const nameOf = ({ coat, into }: SuggestedWork): string =>
  [coat, ...into].map((c) => c.name).join(', into it ');
export const passagesOf = (w: SuggestedWork): string => {
  const names = w.cluster.whole
    ? 'whole surface'
    : w.cluster.passages.map((p) => p.name).join(', ');
  const { spotName, rest } = w.cluster.row;
  return `${names}${spotName ? `, ${spotName}` : ''}${rest ? ', the rest' : ''}`;
};

/** The painter's order where it was changed; what is new comes last. */
export function reordered(works: SuggestedWork[], order: string[]): SuggestedWork[] {
  const place = (w: SuggestedWork): number => {
    const i = order.indexOf(keyOf(w));
    return i === -1 ? order.length : i;
  };
  return order.length === 0 ? works : [...works].sort((a, b) => place(a) - place(b));
}
