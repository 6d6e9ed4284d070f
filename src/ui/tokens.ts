/** Colour, space and type of the interface. Paint colours are data and never stand here. */
export const colour = {
  wall: '#E9E9E8',
  sheet: '#F8F8F7',
  well: '#D6D6D5',
  rule: '#C6C6C4',
  night: '#5F5F5D',
  ink: '#2A211D',
  ink2: '#574E49',
  tawny: '#8F4A16',
  brick: '#8C2B22',
  onTawny: '#FFFFFF',
} as const;

export const space = { xs: 4, s: 8, m: 12, l: 16, xl: 20, xxl: 24, huge: 32 } as const;
export const radius = { s: 6, m: 12, l: 20 } as const;
export const hairline = 1;
/** Fingers with paint on them. */
export const TARGET = 48;
/** From here on two panes and a rail. */
export const WIDE_FROM = 900;

/** Ours, a face of the same measure while it is on its way (scripts/build/fonts.mjs), and what every machine has. */
export const font = {
  heading: '"Vollkorn Medium", "Vollkorn Medium Fallback", Georgia, serif',
  text: '"Source Sans 3", "Source Sans 3 Fallback", Arial, sans-serif',
  strong: '"Source Sans 3 SemiBold", "Source Sans 3 SemiBold Fallback", Arial, sans-serif',
} as const;

/** Size and line height. */
export const type = {
  small: { fontSize: 15, lineHeight: 20 },
  body: { fontSize: 17, lineHeight: 24 },
  large: { fontSize: 20, lineHeight: 27 },
  title: { fontSize: 26, lineHeight: 34 },
  figure: { fontSize: 40, lineHeight: 46 },
} as const;
export type TypeSize = keyof typeof type;
