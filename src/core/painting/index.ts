export { assessPainting } from './assess';
export {
  liftsAt,
  nextPlanned,
  openAt,
  stairWidth,
  topLaid,
  verdictOf,
  type AssessOptions,
  type Layer,
  type PaintingAssessment,
  type PairAssessment,
  type PassageAssessment,
  type SiteStack,
} from './layer';
export { DEADLINE_QUANTILE, PLANNING_QUANTILE } from './pair';
export { coatOf, type Making } from './making';
export { gessoThicknessUm, groundReadyAtMs, isOilGround } from './ground';
export { mergePaintings } from './merge';
export type { Film } from './reduce';
export {
  areaCm2,
  COAT_ROLES,
  coatSchema,
  groundSchema,
  GROUND_WHITES,
  HOW_REDUCED,
  OLD_SURFACES,
  SIZES,
  ONTO,
  PAINTING_SCHEMA_VERSION,
  paintingSchema,
  passageSchema,
  spotSchema,
  SUPPORT_KINDS,
  supportSchema,
  type Coat,
  type CoatRole,
  type Ground,
  type HowReduced,
  type LaidEvent,
  type Onto,
  type Overrule,
  type Painting,
  type PaintingEvent,
  type Passage,
  type ReducedEvent,
  type TouchedEvent,
  type Bother,
  type Spot,
  type Support,
} from './schema';
export {
  isLaid,
  laidEvents,
  plannedCoats,
  siteKey,
  sitesOf,
  unlaidPassages,
  type Site,
} from './sites';
