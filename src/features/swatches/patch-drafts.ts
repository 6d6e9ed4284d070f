import { z } from 'zod';
import type { SwatchPatch } from '@/core/cabinet';
import type { Lab } from '@/core/optics';
import { readColour } from '@/core/optics/wanted';

/** Patches as they are being read. */

export const PATCHES = ['masstone', 'tint', 'on-white', 'on-black'] as const;
export type PatchKey = (typeof PATCHES)[number];
export const PATCH_NAME: Record<PatchKey, string> = {
  masstone: 'masstone, opaque',
  tint: 'tint in white',
  'on-white': 'film over white',
  'on-black': 'film over black',
};

/** Which patches are laid: the cheapest good set first. */
export const KITS = {
  pair: ['masstone', 'tint'],
  film: ['on-white', 'on-black'],
  all: ['masstone', 'tint', 'on-white', 'on-black'],
} as const satisfies Record<string, readonly PatchKey[]>;
export type Kit = keyof typeof KITS;

const LEAST_UM = 1;
const MOST_UM = 500;
const share = z
  .number('Say how much, in %.')
  .gt(0, 'More than 0 % of the tube is in it.')
  .max(1, 'At most 100 %.');

/** What is being read: kept as it was left, over a reload too. */
export const readingSchema = z.object({
  kit: z.enum(['pair', 'film', 'all']),
  colours: z.partialRecord(z.enum(PATCHES), z.string().max(60)),
  /** Share of the tube in the tint, by volume; in the film. */
  tint: share,
  tube: share,
  /** Of the dry film, µm. */
  um: z
    .number('Say how thick the dry film is, in µm.')
    .min(LEAST_UM, `At least ${LEAST_UM} µm.`)
    .max(MOST_UM, `At most ${MOST_UM} µm.`),
  /** A white of the cabinet; null is titanium, as usual. */
  whiteId: z.string().nullable(),
});
export type Reading = z.infer<typeof readingSchema>;

export const USUAL_READING: Reading = {
  kit: 'pair',
  colours: {},
  tint: 0.1,
  tube: 0.5,
  um: 25,
  whiteId: null,
};

export const labText = (lab: Lab): string => lab.map((v) => v.toFixed(1)).join(' ');

/** The patches of a kit; null while one of them is not read. */
export function patchesOf({
  kit,
  colours,
  tint,
  tube,
  um,
  whiteId,
}: Reading): SwatchPatch[] | null {
  const laidAs = (key: PatchKey): SwatchPatch['laid'] => {
    if (key === 'masstone') return { kind: 'masstone' };
    if (key === 'tint')
      return {
        kind: 'tint',
        share: tint,
        white: 'titanium-white',
        ...(whiteId !== null && { whiteId }),
      };
    return {
      kind: 'film',
      um,
      tubeShare: tube,
      below: key === 'on-white' ? 'chart-white' : 'black',
    };
  };
  const patches: SwatchPatch[] = [];
  for (const key of KITS[kit]) {
    const lab = readColour(colours[key] ?? '');
    if (!lab) return null;
    patches.push({ laid: laidAs(key), lab, finish: 'oil-gloss' });
  }
  return patches;
}

/** "tint of 10 %", "25 µm over white". */
export function laidWords(laid: SwatchPatch['laid']): string {
  if (laid.kind === 'masstone') return 'masstone';
  if (laid.kind === 'tint') return `tint of ${Math.round(laid.share * 100)} %`;
  return `${laid.um} µm over ${laid.below === 'black' ? 'black' : 'white'}`;
}
