/** How a section is drawn on paper: mm and points. A choice of form, not of paint. */
export const SECTION = {
  widthMm: 174,
  heightMm: 70,
  groundMm: 4,
  labelGap: 4.2,
  /** A stack thinner than this is not blown up to the whole height. */
  leastUm: 60,
  barMostMm: 14,
  bars: [5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000],
  text: 8.5,
  small: 7,
  ink: '#2b2622',
} as const;
/** The thinnest film that still can be seen. */
export const HAIR_UM = 2;
