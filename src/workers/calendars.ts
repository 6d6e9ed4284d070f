import { busyOf } from '@/core/formats/calendar-in';
import { reply, type Reply } from './protocol';

/** The jobs of the worker that reads calendars. */
export const CALENDARS = {
  busy: (text: string, fromMs: number, toMs: number): Reply =>
    reply(() => busyOf(text, fromMs, toMs)),
};
export type Calendars = typeof CALENDARS;
