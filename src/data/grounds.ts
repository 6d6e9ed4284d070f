import type { Confidence } from './constants';

/** How a ground takes oil from the first coat and what that does to its drying. */
export interface GroundBehaviour {
  name: string;
  /** Thickness of drying oil that the ground drinks, um. */
  oilUptakeUm: number;
  touchFactor: number;
  absorbent: boolean;
  source: string;
  confidence: Confidence;
}

export const ABSORBING_SURFACES = ['oil-or-alkyd', 'acrylic', 'chalk-glue'] as const;
export type AbsorbingSurface = (typeof ABSORBING_SURFACES)[number];

const SOURCE =
  'judgement; absorbent grounds shorten drying and leave the first coat leaner: Mayer; Doerner; from memory';

export const GROUND_BEHAVIOUR: Record<AbsorbingSurface, GroundBehaviour> = {
  'oil-or-alkyd': {
    name: 'oil or alkyd ground',
    oilUptakeUm: 0,
    touchFactor: 1,
    absorbent: false,
    source: SOURCE,
    confidence: 'low',
  },
  acrylic: {
    name: 'acrylic ground',
    oilUptakeUm: 2,
    touchFactor: 0.9,
    absorbent: true,
    source: SOURCE,
    confidence: 'low',
  },
  'chalk-glue': {
    name: 'chalk-glue ground',
    oilUptakeUm: 6,
    touchFactor: 0.8,
    absorbent: true,
    source: SOURCE,
    confidence: 'low',
  },
};

/** Dry thickness of one coat of acrylic gesso: 100 um wet at 40 % volume solids. */
export const GESSO_COAT_DRY_UM = {
  value: 40,
  unit: 'um',
  source: 'spread of 10 m2 per litre; from memory',
  confidence: 'medium' as Confidence,
};

/** A titanium oil ground: lean, one or two knife coats. */
export const OIL_GROUND = {
  pigmentVolumeConcentration: 0.45,
  dryThicknessUm: 80,
  source:
    'oil grounds are ground leaner than tube paint, 1-3 coats of 30-80 um; judgement on practice; from memory',
  confidence: 'low' as Confidence,
};

/** An alkyd ground: one or two brushed coats. */
export const ALKYD_GROUND = {
  pigmentVolumeConcentration: 0.45,
  dryThicknessUm: 60,
  source: 'as the oil ground, brushed thinner; judgement on practice; from memory',
  confidence: 'low' as Confidence,
};

/** The white an oil ground is made with. */
export const GROUND_WHITE_PIGMENT = {
  titanium: 'titanium-white',
  lead: 'lead-white',
  zinc: 'zinc-white',
} as const;
