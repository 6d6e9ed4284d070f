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
export { layCoat, reduceFilm, withoutEvent, type Laying, type Reducing } from './events';
export { coatOf, type Making } from './making';
export {
  addCoat,
  changeCoat,
  changeParticulars,
  followSchool,
  moveCoat,
  removeCoat,
  type Particulars,
} from './plan';
export { startPainting, type NewPainting } from './start';
export { gessoThicknessUm } from './ground';
export { mergePaintings } from './merge';
export { groundNotes } from './notes';
export type { Film } from './reduce';
export {
  areaCm2,
  COAT_ROLES,
  coatSchema,
  groundSchema,
  HOW_REDUCED,
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
  type Painting,
  type PaintingEvent,
  type Passage,
  type ReducedEvent,
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
