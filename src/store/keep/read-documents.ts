import '@/pieces/zod-settings';
import {
  parse,
  whyNotKept,
  readCabinet,
  readClimateMonth,
  readPainting,
  readPlanRecord,
  readSession,
  readStudio,
} from '@/core/formats/documents';
import type { Kind, Kinds } from './documents';
import { keptDraftSchema } from './draft-schema';
import type { Reader } from './reader';

const READ: { [K in Kind]: (raw: unknown) => Kinds[K] } = {
  studio: readStudio,
  cabinet: readCabinet,
  painting: readPainting,
  session: readSession,
  climate: readClimateMonth,
  plan: readPlanRecord,
  draft: (raw) => parse(keptDraftSchema, raw, 'The draft'),
};

export const reader: Reader = { read: (kind, raw) => READ[kind](raw), whyNotKept };
