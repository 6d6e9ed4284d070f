import { swatchesOf } from '@/core/cabinet/swatches';
import { followedAir } from '@/core/climate';
import { CoreError } from '@/core/errors';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { glazeForPassage } from '@/core/glaze/for-passage';
import { targetRequestSchema } from './colour-protocol';
import { reply, type Reply } from './protocol';

/** The job of the colour worker: decode, call the core, encode; tells how far it is. */
export const COLOUR_SOLVER = {
  target: (raw: unknown, onProgress?: (share: number) => unknown): Reply =>
    reply(() => {
      const { climate, air, learned, nowMs, cabinet, ...request } = targetRequestSchema.parse(raw);
      const options = {
        handbook: STUDIO_HANDBOOK,
        climate,
        learned,
        nowMs,
        ...(air ? { air: followedAir(STUDIO_HANDBOOK.constants, air) } : {}),
      };
      const { mediumName, ...rest } = request;
      const found = glazeForPassage(
        { ...rest, ...(mediumName !== undefined && { mediumName }) },
        options,
        swatchesOf(cabinet),
        (share) => {
          void onProgress?.(share);
          return false;
        },
      );
      if (!found)
        throw new CoreError(
          'unknown-passage',
          'passage',
          'That passage is not there any more. Choose another one.',
        );
      return found;
    }),
};
