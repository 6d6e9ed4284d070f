import type { SwatchPatch } from '@/core/cabinet';
import type { Lab } from '@/core/optics';
import { readColour } from '@/core/optics/wanted';
import { parseNumber } from '@/core/formats/number-text';

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

export interface PatchTexts {
  colours: Partial<Record<PatchKey, string>>;
  /** Share of the tube in the tint, %; um of the film; tube in the film, %. */
  tintPct: string;
  um: string;
  tubePct: string;
  white: string;
}

export const USUAL_TEXTS: PatchTexts = {
  colours: {},
  tintPct: '10',
  um: '25',
  tubePct: '50',
  white: 'titanium-white',
};

export const labText = (lab: Lab): string => lab.map((v) => v.toFixed(1)).join(' ');

const shareOf = (text: string): number | null => {
  const share = parseNumber(text) / 100;
  return share > 0 && share <= 1 ? share : null;
};

/** The patches of a kit; null while one of them is not read, or a figure is none. */
export function patchesOf(
  kit: Kit,
  texts: PatchTexts,
  whiteId: string | null,
): SwatchPatch[] | null {
  const tint = shareOf(texts.tintPct);
  const tube = shareOf(texts.tubePct);
  const um = parseNumber(texts.um);
  const out: SwatchPatch[] = [];
  for (const key of KITS[kit]) {
    const lab = readColour(texts.colours[key] ?? '');
    if (!lab) return null;
    const finish = 'oil-gloss' as const;
    if (key === 'masstone') out.push({ laid: { kind: 'masstone' }, lab, finish });
    else if (key === 'tint') {
      if (tint === null) return null;
      out.push({
        laid: {
          kind: 'tint',
          share: tint,
          white: texts.white,
          ...(whiteId !== null && { whiteId }),
        },
        lab,
        finish,
      });
    } else {
      if (tube === null || !(um >= 1 && um <= 500)) return null;
      const below = key === 'on-white' ? ('chart-white' as const) : ('black' as const);
      out.push({ laid: { kind: 'film', um, tubeShare: tube, below }, lab, finish });
    }
  }
  return out;
}

/** "tint of 10 %", "25 µm over white". */
export function laidWords(laid: SwatchPatch['laid']): string {
  if (laid.kind === 'masstone') return 'masstone';
  if (laid.kind === 'tint') return `tint of ${Math.round(laid.share * 100)} %`;
  return `${laid.um} µm over ${laid.below === 'black' ? 'black' : 'white'}`;
}
