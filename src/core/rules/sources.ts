/** Whence the rules come; each record names one of these, or its own. */
export const CONSERVATORS =
  'advice of conservators and handbooks (Mayer; Gettens & Stout); from memory';
export const PRACTICE = 'common practice, no source';
export const JUDGEMENT = 'judgement of this project on practice; no publication gives it';
export const ZINC =
  'Osmond, AICCM Bulletin (2012); Mecklenburg, Tumosa & Vicenzi (2013); from memory';
export const COATINGS = 'Wicks, Jones & Pappas; Patton; from memory';
export const SHEET = 'The safety data sheet and local rules govern.';
