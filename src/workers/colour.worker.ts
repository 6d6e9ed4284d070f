import { expose } from 'comlink';
import '@/pieces/zod-settings';
import { COLOUR_SOLVER } from './colour-solver';

expose(COLOUR_SOLVER);
