import type { VarnishTest } from './finish-keys';
import { lowRow } from './rows';

/** The tests before a final varnish: what every judgement of a varnish asks. How they are made is told in finish.ts. */
export const TEST_NAMES: Record<VarnishTest, string> = {
  twist: 'Thumb twist',
  nail: 'Thumbnail',
  swab: 'Swab',
  cut: 'Cut',
  tissue: 'Tissue',
};

/** Tests without which no final varnish is told to be agreed on; the others add to them. */
export const NEEDED_TESTS: readonly VarnishTest[] = ['twist', 'nail', 'swab'];

export const RETEST_ROW = lowRow(
  30,
  'd',
  'a failed test is repeated after a month: judgement on practice',
);
export const RETEST_DAYS = RETEST_ROW.value;
