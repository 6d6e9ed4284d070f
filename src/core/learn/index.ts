export type { FilmEvidence, TestEvidence } from './evidence';
export { featuresOf, paintFactor, STUDIO_FACTOR, type Features } from './features';
export { factorsSay, learnedTimes, type Learned } from './learned';
