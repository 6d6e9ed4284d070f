import { expose } from 'comlink';
import '@/pieces/zod-settings';
import { SOLVER } from './solver';

expose(SOLVER);
