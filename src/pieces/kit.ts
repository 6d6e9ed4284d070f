import '@/pieces/zod-settings';
/**
 * Stands for what several screens share: the build puts those modules into this module's piece (scripts/metro/pieces.js),
 * and it is loaded before the first of them.
 */
export const KIT = 'kit';
