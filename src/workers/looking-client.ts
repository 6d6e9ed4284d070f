import { proxy } from 'comlink';
import {
  cornersReplySchema,
  lookReplySchema,
  mapReplySchema,
  stepReplySchema,
  type CornersReply,
  type CornersRequest,
  type LookReply,
  type LookRequest,
  type MapReply,
  type MapRequest,
  type StepReply,
  type StepRequest,
} from './looking-protocol';
import type { Looker } from './looking-solver';
import { unpack } from './protocol';
import { runner } from './runner';

const workers = runner<Looker>(
  () => new Worker(new URL('./looking.worker', window.location.href)),
  async () => {
    const [{ looker }, { pixelsOfJpeg }] = await Promise.all([
      import('./looking-solver'),
      import('./picture-pixels'),
    ]);
    return looker(pixelsOfJpeg);
  },
);

/** Everything that a photo of the picture tells. Rejects with the reason when it cannot be looked at. */
export const lookAt = async (
  request: LookRequest,
  onProgress: (share: number) => void,
): Promise<LookReply> =>
  unpack(
    lookReplySchema,
    await workers.run((jobs) =>
      jobs.look(request, typeof Worker === 'undefined' ? onProgress : proxy(onProgress)),
    ),
  );

/** A picture on its support, as it is drawn. */
export const drawMap = async (request: MapRequest): Promise<MapReply> =>
  unpack(mapReplySchema, await workers.run((jobs) => jobs.map(request)));

/** Where the corners of a picture are on its photo. */
export const findCorners = async (request: CornersRequest): Promise<CornersReply> =>
  unpack(cornersReplySchema, await workers.run((jobs) => jobs.corners(request)));

/** One photo of a row, held against the one before. */
export const lookStep = async (request: StepRequest): Promise<StepReply> =>
  unpack(stepReplySchema, await workers.run((jobs) => jobs.step(request)));

/** Whatever it is at is dropped; the next look begins in a new worker. */
export const stopLooking = (): void => workers.stop();
