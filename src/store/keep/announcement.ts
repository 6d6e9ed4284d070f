import '@/pieces/zod-settings';
import { z } from 'zod';

const announcementSchema = z.object({ keys: z.array(z.string().max(400)).max(10_000) });

/** The keys that another tab says it has changed; none where it says something else. */
export const announcedKeys = (message: unknown): string[] =>
  announcementSchema.safeParse(message).data?.keys ?? [];
