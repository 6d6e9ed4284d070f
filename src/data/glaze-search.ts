import type { ConstantRow } from './constants';
import { JUDGEMENT, lowRow, valuesOf } from './rows';

/** The search for a glaze, a cover or an opaque mix. */
export const GLAZE_SEARCH_ROWS = {
  leastUm: lowRow(0.02, 'um of tube paint', 'start of the search'),
  mostUm: lowRow(25, 'um of tube paint', 'end of the search'),
  singles: lowRow(20, 'steps', JUDGEMENT),
  pairs: lowRow(7, 'steps each', JUDGEMENT),
  triples: lowRow(4, 'steps each', JUDGEMENT),
  polished: lowRow(8, 'starts of each size', JUDGEMENT),
  polishSteps: lowRow(18, 'steps', JUDGEMENT),
  perPigment: lowRow(0.05, 'DE2000 squared', 'a further paint must earn its place'),
  triplesFrom: lowRow(6, 'paints', 'of the best pairs'),
  /** Shares of a mix that is laid opaque. */
  leastShare: lowRow(0.002, 'share', 'less cannot be measured'),
  tried: lowRow(12, 'answers', 'of different paints, held against the rules'),
  told: lowRow(3, 'answers', 'of those that the rules take'),
  caution: lowRow(0.3, 'DE2000 squared', 'a paint with a metal to heed; breaks ties'),
  askEvery: lowRow(16, 'sets of paints', 'between two looks at the clock'),
} as const satisfies Record<string, ConstantRow>;
export const GLAZE_SEARCH = valuesOf(GLAZE_SEARCH_ROWS);
