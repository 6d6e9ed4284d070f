/**
 * Text without halves of letters: what was cut through a letter of two halves (UTF-16) has the sign for it in its place.
 * Codes and pages cannot be made of halves.
 */
export const wellFormed = (text: string): string =>
  text.replace(/[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/g, '\uFFFD');
