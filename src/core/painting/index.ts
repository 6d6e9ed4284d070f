export { assessPainting } from './assess';
export {
  againstOf,
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
export { isOnEasel, restsUntilMs } from './easel';
export { coatOf, type Making } from './making';
export { gessoThicknessUm, groundReadyAtMs, isOilGround } from './ground';
export { mergePaintings } from './merge';
export type { Film } from './reduce';
export type {
  Coat,
  CoatRole,
  Ground,
  HowReduced,
  LaidEvent,
  Onto,
  Overrule,
  Painting,
  PaintingEvent,
  Passage,
  ReducedEvent,
  TouchedEvent,
  Bother,
  Easel,
  Spot,
  Support,
} from './schema';
export {
  areaCm2,
  CLOTH,
  COAT_ROLES,
  FINENESS,
  GROUND_WHITES,
  HOW_REDUCED,
  isCouch,
  OLD_SURFACES,
  SIZES,
  ONTO,
  SUPPORT_KINDS,
} from './vocabulary';
export { PAINTING_SCHEMA_VERSION } from '../editions';
export {
  isBegun,
  isLaid,
  laidEvents,
  laidShare,
  sameSpot,
  shareToLay,
  plannedCoats,
  siteKey,
  sitesOf,
  unlaidPassages,
  type Site,
} from './sites';
