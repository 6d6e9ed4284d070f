const LIST = new Intl.ListFormat('en-GB');

/** "raw umber, burnt umber and viridian" */
export const listed = (words: readonly string[]): string => LIST.format(words);
