import { SCHOOLS } from './schools';
import type { SchoolKey, SchoolVerdict } from './types';

/** How a pair is talked about: names of the two films and whether the upper is still to come. */
export interface PairNames {
  lower: string;
  upper: string;
  upperPlanned: boolean;
}

const FALLS: Record<SchoolKey, string> = {
  'added-oil': 'has less oil added than',
  'total-oil': 'is leaner than',
  'binder-excess': 'has less spare binder than',
  'slow-over-fast': 'dries faster than',
  'constant-alkyd': 'has less alkyd medium than',
  'thick-over-thin': 'is much thinner than',
};

/** [when it is more, when it is the same within what can be measured] */
const RISES: Record<SchoolKey, [string, string]> = {
  'added-oil': ['has more oil added than', 'has as much oil added as'],
  'total-oil': ['is fatter than', 'is as fat as'],
  'binder-excess': ['has more spare binder than', 'has as much spare binder as'],
  'slow-over-fast': ['dries slower than', 'dries about as fast as'],
  'constant-alkyd': ['keeps the alkyd medium of', 'keeps the alkyd medium of'],
  'thick-over-thin': ['is thicker than', 'is thick enough for'],
};

/** A difference that a reader of the figures would see. */
const SEEN = 0.005;
const rises = (v: SchoolVerdict): string =>
  RISES[v.school][v.upper === null || v.upper - (v.lower ?? 0) > SEEN ? 0 : 1];

const lower = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1);

/** A verdict as one sentence a painter would say. */
export function verdictSentence(v: SchoolVerdict, names: PairNames): string {
  const up = `The ${names.upperPlanned ? 'planned ' : ''}${lower(names.upper)}`;
  const below = `the ${lower(names.lower)} it ${names.upperPlanned ? 'will lie' : 'lies'} on`;
  const low = `the ${lower(names.lower)} below`;
  switch (v.reason) {
    case 'rises':
      return `${up} ${rises(v)} ${below}.`;
    case 'falls':
      return v.verdict === 'caution' &&
        v.school !== 'slow-over-fast' &&
        v.school !== 'thick-over-thin'
        ? `${up} ${FALLS[v.school]} ${below}, by a little.`
        : `${up} ${FALLS[v.school]} ${below}.`;
    case 'equal-more-solvent':
      return `${up} has no more oil added than ${below}, and more spirits.`;
    case 'lean-stain':
      return `${up} ${FALLS[v.school]} ${low}, but that one is a thin stain and dry through: it holds in practice.`;
    case 'within-uncertainty':
      return `Too close to call: different tubes, and nobody knows their oil that exactly.`;
    case 'underbound':
      return `${up} has too little binder for its pigments.`;
    case 'underbound-below':
      return `${low.charAt(0).toUpperCase()}${low.slice(1)} has too little binder: what lies on it comes off with it.`;
    case 'lower-through-dry':
      return `${up} may go on: ${low} is dry through by then.`;
    case 'thin-fat-glaze':
      return `${up} is thin but fat, on touch-dry paint: a glaze, and let off.`;
    case 'over-cap':
      return `${up} or ${low} has more than a quarter of alkyd medium.`;
    case 'thin-glaze-over-cap':
      return `${up} is mostly medium, but thin enough for a glaze.`;
    case 'alkyd-over-undry-oil':
      return `${up} holds alkyd; ${low} is plain oil and not dry through.`;
    case 'lower-not-touch-dry':
      return `${up} goes on before ${low} is touch-dry.`;
    case 'no-alkyd':
      return 'No alkyd in these two; this school says nothing.';
    case 'acrylic-below':
      return `Acrylic below counts as ground; oil may lie on it.`;
    case 'not-paint':
      return `Fat over lean does not apply here: ${up} or ${low} is not oil paint.`;
    case 'acrylic-over-oil':
      return `${up} is acrylic: it does not hold on oil, ever. Use oil from here on.`;
    case 'oil-unknown':
      return `Cannot be judged until the oil of ${low} is known.`;
  }
}

/** The figures behind the sentence: "66 % oil over 76 %". Empty when the school has none. */
export function figuresSentence(v: SchoolVerdict): string {
  if (v.upper === null || v.lower === null) return '';
  const { format } = SCHOOLS[v.school];
  const unit: Record<SchoolKey, string> = {
    'added-oil': ' parts added',
    'total-oil': ' oil',
    'binder-excess': ' spare',
    'slow-over-fast': '',
    'constant-alkyd': ' medium',
    'thick-over-thin': '',
  };
  return `${format(v.upper)}${unit[v.school]} over ${format(v.lower)}.`;
}
