import type { CabinetMedium } from '@/core/cabinet';
import { mediumFigures } from '@/core/film';
import { byVolume } from '@/core/quantity';
import { INGREDIENTS } from '@/data/ingredients';
import { recentMediums } from '@/features/tubes';
import { usePaintings, useStoreSelector } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Sheet } from '@/ui/Sheet';

const tidy = (value: number): string => String(Number(value.toFixed(2)));

/** "1 linseed oil : 3 mineral spirits; 25 % stays". */
export function mediumWords(medium: Pick<CabinetMedium, 'parts' | 'by'>): string {
  const parts = medium.parts
    .map((p) => `${tidy(p.parts)} ${INGREDIENTS[p.ingredient].name}`)
    .join(' : ');
  const { solidsVolumeFraction } = mediumFigures(byVolume(medium.parts, medium.by));
  return `${parts}${medium.by === 'weight' ? ' by weight' : ''}; ${Math.round(solidsVolumeFraction * 100)} % stays`;
}

/** One of the painter's own mediums. */
export function MediumPicker({
  onPick,
  onClose,
}: {
  onPick: (medium: CabinetMedium) => void;
  onClose: () => void;
}) {
  const recent = recentMediums(usePaintings());
  const place = (m: CabinetMedium) => {
    const i = recent.indexOf(m.name);
    return i === -1 ? recent.length : i;
  };
  const mediums = useStoreSelector((state) => state.cabinet.mediums)
    .filter((m) => !m.archived)
    .sort((a, b) => place(a) - place(b));
  return (
    <Sheet name="Choose a medium" onClose={onClose}>
      <Choice
        label="Mediums of the cabinet"
        stacked
        options={mediums.map((m) => ({ key: m.id, name: m.name, blurb: mediumWords(m) }))}
        value={null}
        onChange={(id) => onPick(mediums.find((m) => m.id === id)!)}
      />
      <Action title="Cancel" kind="quiet" onPress={onClose} />
    </Sheet>
  );
}
