import '@/pieces/zod-settings';
import { z } from 'zod';

const servedSchema = z.object({ demo: z.boolean() });

/** Whether the server says that it was started for the demo. */
export const isDemo = (answer: unknown): boolean =>
  servedSchema.safeParse(answer).data?.demo ?? false;
