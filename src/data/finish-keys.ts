/** The tests that decide whether a final varnish may go on. */
export const VARNISH_TESTS = ['twist', 'nail', 'swab', 'cut', 'tissue'] as const;
export type VarnishTest = (typeof VARNISH_TESTS)[number];

export const SHEENS = ['gloss', 'satin', 'matt'] as const;
export type Sheen = (typeof SHEENS)[number];
