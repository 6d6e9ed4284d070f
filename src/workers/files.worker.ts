import '@/pieces/zod-settings';
import { expose } from 'comlink';
import { FILES } from './files';

expose(FILES);
