import { expose } from 'comlink';
import { DEMO_PHOTOS } from './demo-photo';

expose(DEMO_PHOTOS);
