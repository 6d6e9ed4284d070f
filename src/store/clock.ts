import { nanoid } from '@reduxjs/toolkit';
import type { Making } from '@/core/painting';

/** The one place where the interface reads the clock and draws ids; the core gets both from here. */
export const nowMs = (): number => Date.now();
export const nowIso = (): string => new Date(nowMs()).toISOString();
export const making = (): Making => ({ now: nowIso(), newId: () => nanoid(12) });
