import { GESSO_COAT_DRY_UM, OIL_GROUND, type AbsorbingSurface } from '@/data/grounds';
import { NOTHING, type Constituents } from '../film';
import { DAY_MS } from '../drying';
import type { Handbook } from '../handbook';
import type { Film } from './reduce';
import type { Ground } from './schema';

export const surfaceOf = (ground: Ground): AbsorbingSurface =>
  ground.kind === 'acrylic-gesso' ? 'acrylic' : 'oil-or-alkyd';

/** Dry thickness of a gesso ground, um. */
export const gessoThicknessUm = (coats: number): number => coats * GESSO_COAT_DRY_UM.value;

function oilGroundConstituents(): Constituents {
  const pigment = OIL_GROUND.dryThicknessUm * OIL_GROUND.pigmentVolumeConcentration;
  return {
    ...NOTHING,
    tubes: { [`${OIL_GROUND.pigment}|ground`]: OIL_GROUND.dryThicknessUm },
    pigments: { [OIL_GROUND.pigment]: pigment },
    tubeOil: { 'linseed-refined': OIL_GROUND.dryThicknessUm - pigment },
  };
}

/** An oil ground is a film with a clock like any other; gesso and old paintings are not judged as films. */
export function groundFilms(ground: Ground): Film[] {
  if (ground.kind !== 'oil-ground') return [];
  return [
    {
      key: 'ground',
      name: 'Oil ground',
      role: 'tone',
      coatIds: [],
      planned: false,
      laidAtMs: Date.parse(ground.laidAt),
      asLaid: oilGroundConstituents(),
      thicknessAsLaidUm: OIL_GROUND.dryThicknessUm,
      surface: null,
      lossFraction: 0,
      reductions: [],
      paintedOut: false,
      merged: false,
    },
  ];
}

/** When the ground takes its first coat: oil grounds wait four weeks at least; gesso and old paint are ready. */
export const groundReadyAtMs = (handbook: Handbook, ground: Ground): number | null =>
  ground.kind === 'oil-ground'
    ? Date.parse(ground.laidAt) + handbook.constants.oilGroundWaitDays * DAY_MS
    : null;
