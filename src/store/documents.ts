import { CoreError } from '@/core/errors';
import type { Cabinet } from '@/core/cabinet';
import type { ClimateMonth } from '@/core/climate/readings';
import {
  readCabinet,
  readClimateMonth,
  readPainting,
  readPlanRecord,
  readSession,
  readStudio,
  type Studio,
} from '@/core/formats';
import type { Painting } from '@/core/painting';
import type { PlanRecord } from '@/core/plan-record/record';
import type { Session } from '@/core/session/schema';
import type { Unreadable } from './saving';

/** How documents are called in storage: one for the studio, one for the cabinet, one for each painting,
 * each session and each month of readings. */
export const STUDIO_KEY = 'studio';
export const CABINET_KEY = 'cabinet';
/** Where a cabinet that nobody could read is kept when a new one takes its place. */
export const SET_ASIDE_KEY = 'set-aside:cabinet';
export const PAINTING_PREFIX = 'painting:';
export const SESSION_PREFIX = 'session:';
export const CLIMATE_PREFIX = 'climate:';
/** Photos are large: they are read when they are looked at. */
export const PHOTO_PREFIX = 'photo:';
/** Of plans there is one, "plan:plan"; kept like the others, so that two tabs merge. */
export const PLAN_PREFIX = 'plan:';
const PREFIXES = [PAINTING_PREFIX, SESSION_PREFIX, CLIMATE_PREFIX, PLAN_PREFIX];
export const isDocumentKey = (key: string): boolean =>
  key === STUDIO_KEY || key === CABINET_KEY || PREFIXES.some((p) => key.startsWith(p));

export interface Documents {
  studio: Studio | null;
  cabinet: Cabinet | null;
  paintings: Painting[];
  sessions: Session[];
  months: ClimateMonth[];
  plans: PlanRecord[];
  unreadable: Unreadable[];
}

/** Read stored documents of any known version. One that cannot be read is named and does not stop the others. */
export function readDocuments(stored: Record<string, string | null>): Documents {
  const out: Documents = {
    studio: null,
    cabinet: null,
    paintings: [],
    sessions: [],
    months: [],
    plans: [],
    unreadable: [],
  };
  for (const [key, raw] of Object.entries(stored)) {
    if (raw === null) continue;
    try {
      if (key === STUDIO_KEY) out.studio = readStudio(JSON.parse(raw));
      else if (key === CABINET_KEY) out.cabinet = readCabinet(JSON.parse(raw));
      else if (key.startsWith(SESSION_PREFIX)) out.sessions.push(readSession(JSON.parse(raw)));
      else if (key.startsWith(CLIMATE_PREFIX)) out.months.push(readClimateMonth(JSON.parse(raw)));
      else if (key.startsWith(PLAN_PREFIX)) out.plans.push(readPlanRecord(JSON.parse(raw)));
      else out.paintings.push(readPainting(JSON.parse(raw)));
    } catch (error) {
      out.unreadable.push({
        key,
        message: error instanceof CoreError ? error.message : 'It is not JSON.',
        raw,
      });
    }
  }
  return out;
}
