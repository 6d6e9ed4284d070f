import { expose } from 'comlink';
import '@/pieces/zod-settings';
import { looker } from './looking-solver';
import { pixelsOfJpeg } from './picture-pixels';

expose(looker(pixelsOfJpeg));
