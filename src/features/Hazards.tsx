import { pigmentRow, shortPigmentName } from '@/core/cabinet';
import { GOVERNS, METAL_CAUTIONS } from '@/data/cautions';
import { PIGMENT_NOTES } from '@/data/pigment-notes';
import { Notice } from '@/ui/Notice';
import { listed } from '@/ui/words';

/** Metals that call for a caution wherever the paint is chosen: those with one. */
const isGrave = (metal: string): boolean => metal in METAL_CAUTIONS;

const once = (sentences: string[]): string[] => [...new Set(sentences.filter((s) => s !== ''))];

/** The usual cautions of some pigments, where the choice is made: one line for all that hold the same metals. */
export function Hazards({ pigments }: { pigments: string[] }) {
  const rows = [...new Set(pigments)].map(pigmentRow).filter((row) => row !== undefined);
  const byMetals = new Map<string, typeof rows>();
  for (const row of rows) {
    if (!row.metals.some(isGrave)) continue;
    const metals = listed(row.metals);
    byMetals.set(metals, [...(byMetals.get(metals) ?? []), row]);
  }
  return (
    <>
      {[...byMetals].map(([metals, holders]) => {
        const names = holders.map((row) => shortPigmentName(row.key));
        const told = once(holders.map((row) => PIGMENT_NOTES[row.key]?.hazard_note ?? ''));
        const usual = holders[0]!.metals.flatMap((m) => METAL_CAUTIONS[m] ?? []);
        return (
          <Notice key={metals}>
            {[
              `${listed(names)} ${names.length === 1 ? 'holds' : 'hold'} ${metals}: ${told.join('; ')}.`,
              ...usual,
              GOVERNS,
            ].join(' ')}
          </Notice>
        );
      })}
    </>
  );
}
