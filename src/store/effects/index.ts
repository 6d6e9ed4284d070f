export { keepLogger, type LoggerLine } from './logger';
export { keepPlanned } from './plan';
export { learnFromTests } from './learn';
export { sweepPhotos } from './sweep-photos';
