export {
  filmEvidenceSchema,
  testEvidenceSchema,
  type FilmEvidence,
  type TestEvidence,
} from './evidence';
export { featuresOf, paintFactor, STUDIO_FACTOR, type Features } from './features';
export { factorsSay, learnedSchema, learnedTimes, type Learned } from './learned';
