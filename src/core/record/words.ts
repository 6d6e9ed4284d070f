import { INGREDIENTS } from '@/data/ingredients';
import { MATERIALS } from '@/data/materials';
import { tubeBinder, tubeCodes, tubeName } from '../cabinet/tube-names';
import type { Recipe } from '../film';

const parts = (value: number): string => String(Number(value.toFixed(2)));

/** A mix as a conservator wants it: each paint with its Colour Index code, binder and parts by volume. */
export function mixWords({ mix, material }: Recipe): string {
  if (material !== undefined) return MATERIALS[material].name;
  if (mix.length === 0) return 'no paint';
  return mix
    .map(
      (part) =>
        `${tubeName(part)} (${[tubeCodes(part), tubeBinder(part)].filter(Boolean).join(', ')}) ${parts(part.parts)}`,
    )
    .join(' + ');
}

/** The medium of a mix, with its share of the wet volume. */
export function mediumWords({ medium, mediumShare, mediumName }: Recipe): string {
  if (medium.length === 0 || mediumShare === 0) return 'none';
  const list = medium.map((m) => `${INGREDIENTS[m.ingredient].name} ${parts(m.parts)}`).join(' : ');
  return `${mediumName ? `${mediumName}: ` : ''}${list}, ${Math.round(mediumShare * 100)} %`;
}
