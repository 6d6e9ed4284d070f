import { PIGMENT_NOTES } from '@/data/pigment-notes';
import type { OwnTube } from '../film';
import { pigmentRow } from './paints';

export interface Hazard {
  /** The metals of the paint that can harm, named. */
  metals: string[];
  notes: string[];
}

/** What the table says of the dangers of a paint's pigments. */
export function hazardOf(tube: Pick<OwnTube, 'pigments'>): Hazard {
  const rows = tube.pigments.map((p) => pigmentRow(p.pigment)).filter((r) => r !== undefined);
  return {
    metals: [...new Set(rows.flatMap((r) => r.metals))],
    notes: [...new Set(rows.map((r) => PIGMENT_NOTES[r.key]?.hazard_note ?? ''))],
  };
}
