/** The thickest film a recipe may have, um: 10 mm, the thickest relief paint holds. */
export const THICKNESS_MAX_UM = 10000;
