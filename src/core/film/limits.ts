/** The thickest film a recipe may have, um: 10 mm, the thickest relief paint holds. */
export const THICKNESS_MAX_UM = 10000;

/** Parts of a mix or medium are at most so many; only their ratio counts. */
export const PARTS_MAX = 1000;
