import { expose, transfer } from 'comlink';
import type { DrawnMap } from '@/core/looking/maps';
import '@/pieces/zod-settings';
import { looker } from './looking-solver';
import { pixelsOfJpeg } from './picture-pixels';

const jobs = looker(pixelsOfJpeg);
expose({
  ...jobs,
  // Pixels are handed over, not copied.
  async map(raw: unknown) {
    const reply = await jobs.map(raw);
    return reply.ok ? transfer(reply, [(reply.value as DrawnMap).rgba.buffer]) : reply;
  },
});
