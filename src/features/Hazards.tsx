import { pigmentRow, shortPigmentName } from '@/core/cabinet';
import { GOVERNS, METAL_CAUTIONS } from '@/data/cautions';
import { PIGMENT_NOTES } from '@/data/pigment-notes';
import { Notice } from '@/ui/Notice';

/** Metals that call for a caution wherever the paint is chosen. */
const GRAVE = new Set(['lead', 'cadmium', 'cobalt', 'manganese', 'mercury', 'antimony', 'nickel']);

/** The usual cautions of some pigments, where the choice is made: metals named, plain words. */
export function Hazards({ pigments }: { pigments: string[] }) {
  const rows = [...new Set(pigments)].map(pigmentRow).filter((row) => row !== undefined);
  return (
    <>
      {rows
        .filter((row) => row.metals.some((m) => GRAVE.has(m)))
        .map((row) => {
          const metals = row.metals.filter((m) => GRAVE.has(m));
          const usual = metals.map((m) => METAL_CAUTIONS[m]).filter((c) => c !== undefined);
          return (
            <Notice key={row.key}>
              {[
                `${shortPigmentName(row.key)} holds ${row.metals.join(', ')}: ${PIGMENT_NOTES[row.key]?.hazard_note ?? ''}.`,
                ...usual,
                GOVERNS,
              ].join(' ')}
            </Notice>
          );
        })}
    </>
  );
}
