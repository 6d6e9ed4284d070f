/**
 * What works with mixes, as one piece: what several pieces share would come with the first page, so the coat editor, the
 * glaze, the strings, the swatches of a tube, looking and finishing, which end in a coat, are one.
 */
export { GlazeScreen } from '@/features/glaze/GlazeScreen';
export { StringsScreen } from '@/features/strings/StringsScreen';
export { SwatchPart } from '@/features/swatches/SwatchPart';
export { LookScreen } from '@/features/look/LookScreen';
export { CoatScreen } from './CoatScreen';
