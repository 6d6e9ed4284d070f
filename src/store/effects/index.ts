export { keepLogger, type LoggerLine } from './logger';
export { keepPlanned } from './plan';
export { learnFromTests } from './learn';
export { askToPersist } from './persist';
export { sweepPhotos } from './sweep-photos';
export { keepOneSession } from './one-session';
