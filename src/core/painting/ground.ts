import {
  ALKYD_GROUND,
  GESSO_COAT_DRY_UM,
  GROUND_WHITE_PIGMENT,
  OIL_GROUND,
  type AbsorbingSurface,
} from '@/data/grounds';
import { NOTHING, type Constituents } from '../film';
import { DAY_MS } from '../drying';
import type { Handbook } from '../handbook';
import type { Film } from './reduce';
import type { Ground } from './schema';

const SURFACE: Record<Ground['kind'], AbsorbingSurface> = {
  'acrylic-gesso': 'acrylic',
  'chalk-glue': 'chalk-glue',
  'oil-ground': 'oil-or-alkyd',
  'alkyd-ground': 'oil-or-alkyd',
  'old-painting': 'oil-or-alkyd',
  bare: 'acrylic',
};

/** What drinks the oil of the first coat. A sized support is taken as an acrylic ground, an unsized one as chalk. */
export const surfaceOf = (ground: Ground): AbsorbingSurface =>
  ground.kind === 'bare' && ground.size === 'none' ? 'chalk-glue' : SURFACE[ground.kind];

/** Whether the ground is oil or alkyd, old or new: acrylic does not hold on it. */
export const isOilGround = (ground: Ground): boolean => SURFACE[ground.kind] === 'oil-or-alkyd';

/** Dry thickness of a gesso ground, um. */
export const gessoThicknessUm = (coats: number): number => coats * GESSO_COAT_DRY_UM.value;

function groundConstituents(
  ground: Extract<Ground, { kind: 'oil-ground' | 'alkyd-ground' }>,
): Constituents {
  const { dryThicknessUm: h, pigmentVolumeConcentration: pvc } =
    ground.kind === 'oil-ground' ? OIL_GROUND : ALKYD_GROUND;
  const pigment =
    GROUND_WHITE_PIGMENT[ground.kind === 'oil-ground' ? (ground.white ?? 'titanium') : 'titanium'];
  const binder = h * (1 - pvc);
  return {
    ...NOTHING,
    tubes: { [`${pigment}|ground`]: h },
    pigments: { [pigment]: h * pvc },
    ...(ground.kind === 'oil-ground'
      ? { tubeOil: { 'linseed-refined': binder } }
      : { alkydTube: binder }),
  };
}

/** An oil or alkyd ground is a film with a clock like any other; gesso and old paintings are not judged as films. */
export function groundFilm(ground: Ground): Film | null {
  if (ground.kind !== 'oil-ground' && ground.kind !== 'alkyd-ground') return null;
  const asLaid = groundConstituents(ground);
  return {
    key: 'ground',
    name: ground.kind === 'oil-ground' ? 'Oil ground' : 'Alkyd ground',
    role: 'tone',
    coatIds: [],
    planned: false,
    laidAtMs: Date.parse(ground.laidAt),
    asLaid,
    thicknessAsLaidUm: (ground.kind === 'oil-ground' ? OIL_GROUND : ALKYD_GROUND).dryThicknessUm,
    surface: null,
    lossFraction: 0,
    reductions: [],
    paintedOut: false,
    merged: false,
    couchUm: 0,
    overruled: [],
  };
}

/** When the ground was finished; null where nobody wrote it down, and for old paintings. */
export const groundLaidAtMs = (ground: Ground): number | null =>
  'laidAt' in ground && ground.laidAt !== undefined ? Date.parse(ground.laidAt) : null;

/**
 * When the ground takes its first coat: oil grounds wait four weeks at least of lead white, six of another; alkyd a
 * week, gesso a day (three in damp air or after several coats), chalk-glue three; old paint and grounds without a date are ready.
 */
export function groundReadyAtMs(
  handbook: Handbook,
  ground: Ground,
  relativeHumidityPct = handbook.constants.referenceHumidityPct,
): number | null {
  const laid = groundLaidAtMs(ground);
  if (laid === null) return null;
  const c = handbook.constants;
  const days = {
    'oil-ground':
      ground.kind === 'oil-ground' && ground.white === 'lead'
        ? c.oilGroundWaitDays
        : c.oilGroundOtherWhiteWaitDays,
    'alkyd-ground': c.alkydGroundWaitDays,
    'acrylic-gesso':
      ground.kind === 'acrylic-gesso' &&
      (relativeHumidityPct > c.groundDampRhPct || ground.coats >= c.groundSeveralCoats)
        ? c.gessoDampWaitDays
        : c.gessoWaitDays,
    'chalk-glue': c.chalkGroundWaitDays,
    'old-painting': 0,
    bare: 0,
  }[ground.kind];
  return laid + days * DAY_MS;
}
