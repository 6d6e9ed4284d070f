import '@/pieces/zod-settings';
import { expose } from 'comlink';
import { PAPERS } from './papers-solver';

expose(PAPERS);
