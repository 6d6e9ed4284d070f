import { busyOf } from '@/core/formats/calendar-in';
import { reply, replyLater, type Reply } from './protocol';
import { readStudioFile } from './studio-file';

/** The jobs of the worker that reads what comes from outside. */
export const FILES = {
  busy: (text: string, fromMs: number, toMs: number): Reply =>
    reply(() => busyOf(text, fromMs, toMs)),
  studio: (file: Blob): Promise<Reply> => replyLater(() => readStudioFile(file)),
};
export type Files = typeof FILES;
