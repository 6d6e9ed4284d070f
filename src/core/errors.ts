/** Stable codes of everything the core refuses; interface text comes from `message`, tests and callers use `code`. */
export type CoreErrorCode =
  | 'parts-negative'
  | 'mix-empty'
  | 'medium-empty'
  | 'medium-share-range'
  | 'thickness-range'
  | 'unknown-pigment'
  | 'acrylic-with-oil'
  | 'size-range'
  | 'temperature-range'
  | 'humidity-range'
  | 'date-in-future'
  | 'date-invalid'
  | 'unknown-key'
  | 'unknown-coat'
  | 'invalid-coat'
  | 'no-estimate'
  | 'unknown-passage'
  | 'not-covered'
  | 'nothing-there'
  | 'paint-has-set'
  | 'spot-share-range'
  | 'spot-name-empty'
  | 'name-taken'
  | 'range'
  | 'order'
  | 'document-not-json'
  | 'document-unreadable'
  | 'document-too-new'
  | 'not-keepable'
  | 'corners'
  | 'ground-refused'
  | 'volume-range'
  | 'target-range'
  | 'area-range'
  | 'unknown-paint'
  | 'unknown-medium'
  | 'plan-unreadable'
  | 'plan-circle';

/** A refusal that says what was wrong, where, and what to do. Thrown for misuse; nothing has changed when it is. */
export class CoreError extends Error {
  constructor(
    readonly code: CoreErrorCode,
    /** The field or thing the message is about, e.g. "mix.0.parts". */
    readonly where: string,
    message: string,
  ) {
    super(message);
    this.name = 'CoreError';
  }
}
