import type { ApplicationKey } from './applications';
import type { BinderKey } from './binders';
import type { IngredientKey } from './ingredients';
import type { MethodKey } from './method-keys';

/**
 * Ways to build a picture, as coats to lay out. Shared coats cover all passages at once; passage coats
 * are laid out once for every passage, with the palettes taken in turn, so that each can be edited alone.
 * Recipes are common practice, no source; the painter edits them.
 */
type Mix = { parts: number; pigment: string; binder: BinderKey }[];
type Medium = { parts: number; ingredient: IngredientKey }[];

export interface CoatTemplate {
  name: string;
  role:
    | 'tone'
    | 'underpainting'
    | 'block-in'
    | 'overpainting'
    | 'detail'
    | 'glaze'
    | 'scumble'
    | 'oiling-out';
  scope: 'whole' | 'each-passage';
  /** One mix, or palettes taken in turn over the passages. */
  mix: Mix | 'body-palettes' | 'glaze-palettes';
  medium: Medium;
  mediumShare: number;
  application: ApplicationKey;
  thicknessUm: number;
  onto: 'touch-dry' | 'through-dry' | 'wet';
}

export interface Method {
  key: MethodKey;
  name: string;
  blurb: string;
  school: 'added-oil' | 'total-oil' | 'constant-alkyd';
  /** The ground the method needs; null when any will do. */
  ground: 'old-painting' | null;
  coats: CoatTemplate[];
}

const tube = (pigment: string, parts: number, binder: BinderKey = 'linseed') => ({
  parts,
  pigment,
  binder,
});
const part = (ingredient: IngredientKey, parts: number) => ({ parts, ingredient });

/** Body colours, taken in turn over the passages: warm light, cool dark, grey, earth, green. */
export const BODY_PALETTES: Mix[] = [
  [tube('titanium-white', 6), tube('yellow-ochre', 2), tube('burnt-sienna', 1)],
  [tube('titanium-white', 3), tube('ultramarine-blue', 1), tube('burnt-umber', 2)],
  [tube('titanium-white', 6), tube('raw-umber', 1), tube('ivory-black', 1)],
  [tube('titanium-white', 4), tube('venetian-red-ochre', 1), tube('raw-sienna', 1)],
  [tube('titanium-white', 4), tube('terre-verte', 2), tube('yellow-ochre', 1)],
];

export const GLAZE_PALETTES: Mix[] = [
  [tube('transparent-oxide-yellow', 1)],
  [tube('ultramarine-blue', 3), tube('transparent-oxide-red', 1)],
  [tube('terre-verte', 1)],
  [tube('transparent-oxide-red', 1)],
  [tube('viridian', 2), tube('transparent-oxide-yellow', 1)],
];

const LEAN_OIL = [part('linseed-refined', 1), part('mineral-spirits', 1)];
const STAND_LEAN = [part('stand-oil', 1), part('mineral-spirits', 1)];
const STAND_RICH = [part('stand-oil', 2), part('mineral-spirits', 1)];
const ALKYD = [part('alkyd-medium', 1)];

const whole = (coat: Omit<CoatTemplate, 'scope'>): CoatTemplate => ({ ...coat, scope: 'whole' });
const each = (coat: Omit<CoatTemplate, 'scope'>): CoatTemplate => ({
  ...coat,
  scope: 'each-passage',
});

const tone = (over: Partial<CoatTemplate> = {}): CoatTemplate =>
  whole({
    name: 'Tone',
    role: 'tone',
    mix: [tube('burnt-sienna', 2), tube('raw-umber', 1)],
    medium: LEAN_OIL,
    mediumShare: 0.2,
    application: 'stain',
    thicknessUm: 10,
    onto: 'touch-dry',
    ...over,
  });

const glaze = (over: Partial<CoatTemplate> = {}): CoatTemplate =>
  each({
    name: 'Glaze',
    role: 'glaze',
    mix: 'glaze-palettes',
    medium: STAND_LEAN,
    mediumShare: 0.5,
    application: 'glaze',
    thicknessUm: 15,
    onto: 'touch-dry',
    ...over,
  });

export const METHODS: Record<MethodKey, Method> = {
  'oil-under-glaze': {
    key: 'oil-under-glaze',
    name: 'Oil underpainting, then glazes',
    blurb: 'A brown or grey picture first, body colour over it, glazes last.',
    school: 'added-oil',
    ground: null,
    coats: [
      tone(),
      whole({
        name: 'Underpainting',
        role: 'underpainting',
        mix: [tube('burnt-umber', 3), tube('titanium-white', 1)],
        medium: LEAN_OIL,
        mediumShare: 0.2,
        application: 'scrub-in',
        thicknessUm: 20,
        onto: 'touch-dry',
      }),
      each({
        name: 'Body colour',
        role: 'overpainting',
        mix: 'body-palettes',
        medium: STAND_RICH,
        mediumShare: 0.2,
        application: 'brush-coat',
        thicknessUm: 50,
        onto: 'touch-dry',
      }),
      glaze({ name: 'Glaze 1' }),
      glaze({ name: 'Glaze 2', medium: STAND_RICH }),
    ],
  },
  'acrylic-under': {
    key: 'acrylic-under',
    name: 'Acrylic underpainting, oil over it',
    blurb: 'Drawing and values in acrylic within a day, then oil to the end.',
    school: 'total-oil',
    ground: null,
    coats: [
      tone({
        mix: [tube('burnt-sienna', 2, 'acrylic'), tube('raw-umber', 1, 'acrylic')],
        medium: [part('water', 1)],
        mediumShare: 0.3,
      }),
      whole({
        name: 'Underpainting',
        role: 'underpainting',
        mix: [tube('burnt-umber', 2, 'acrylic'), tube('titanium-white', 1, 'acrylic')],
        medium: [],
        mediumShare: 0,
        application: 'scrub-in',
        thicknessUm: 20,
        onto: 'touch-dry',
      }),
      each({
        name: 'Body colour',
        role: 'overpainting',
        mix: 'body-palettes',
        medium: [],
        mediumShare: 0,
        application: 'brush-coat',
        thicknessUm: 50,
        onto: 'touch-dry',
      }),
      each({
        name: 'Second body colour',
        role: 'overpainting',
        mix: 'body-palettes',
        medium: STAND_LEAN,
        mediumShare: 0.15,
        application: 'brush-coat',
        thicknessUm: 50,
        onto: 'touch-dry',
      }),
      glaze(),
    ],
  },
  'alkyd-three-stage': {
    key: 'alkyd-three-stage',
    name: 'Three stages with an alkyd medium',
    blurb: 'The same quarter of alkyd medium in every coat, never more.',
    school: 'constant-alkyd',
    ground: null,
    coats: [
      whole({
        name: 'Underpainting',
        role: 'underpainting',
        mix: [tube('burnt-umber', 2), tube('titanium-white', 1)],
        medium: ALKYD,
        mediumShare: 0.25,
        application: 'scrub-in',
        thicknessUm: 20,
        onto: 'touch-dry',
      }),
      each({
        name: 'Body colour',
        role: 'overpainting',
        mix: 'body-palettes',
        medium: ALKYD,
        mediumShare: 0.25,
        application: 'brush-coat',
        thicknessUm: 40,
        onto: 'touch-dry',
      }),
      glaze({ medium: ALKYD, mediumShare: 0.25 }),
    ],
  },
  'direct-start': {
    key: 'direct-start',
    name: 'Direct start, glazes to finish',
    blurb: 'Colour from the first coat, no underpainting; glazes at the end.',
    school: 'total-oil',
    ground: null,
    coats: [
      each({
        name: 'Block-in',
        role: 'block-in',
        mix: 'body-palettes',
        medium: [part('mineral-spirits', 1)],
        mediumShare: 0.15,
        application: 'brush-coat',
        thicknessUm: 40,
        onto: 'touch-dry',
      }),
      each({
        name: 'Overpainting',
        role: 'overpainting',
        mix: 'body-palettes',
        medium: STAND_LEAN,
        mediumShare: 0.1,
        application: 'brush-coat',
        thicknessUm: 60,
        onto: 'touch-dry',
      }),
      glaze(),
    ],
  },
  'over-old-oil': {
    key: 'over-old-oil',
    name: 'Oil over an old oil painting',
    blurb: 'A couch of thin oil, then oil from the first stroke; acrylic is ruled out.',
    school: 'total-oil',
    ground: 'old-painting',
    coats: [
      whole({
        name: 'Couch',
        role: 'oiling-out',
        mix: [],
        medium: LEAN_OIL,
        mediumShare: 1,
        application: 'rubbed-on',
        thicknessUm: 2,
        onto: 'touch-dry',
      }),
      each({
        name: 'Block-in',
        role: 'block-in',
        mix: 'body-palettes',
        medium: [],
        mediumShare: 0,
        application: 'brush-coat',
        thicknessUm: 40,
        onto: 'wet',
      }),
      each({
        name: 'Overpainting',
        role: 'overpainting',
        mix: 'body-palettes',
        medium: STAND_LEAN,
        mediumShare: 0.15,
        application: 'brush-coat',
        thicknessUm: 60,
        onto: 'touch-dry',
      }),
      glaze(),
    ],
  },
  'one-sitting': {
    key: 'one-sitting',
    name: 'One sitting, transparent to opaque',
    blurb:
      'A thin wash-in, transparent darks, opaque lights into them, last lights: all while it is wet.',
    school: 'added-oil',
    ground: null,
    coats: [
      whole({
        name: 'Wash-in',
        role: 'tone',
        mix: [tube('burnt-umber', 1)],
        medium: [part('mineral-spirits', 1)],
        mediumShare: 0.3,
        application: 'stain',
        thicknessUm: 8,
        onto: 'touch-dry',
      }),
      each({
        name: 'Transparent darks',
        role: 'block-in',
        mix: [tube('ultramarine-blue', 2), tube('transparent-oxide-red', 1)],
        medium: [],
        mediumShare: 0,
        application: 'scrub-in',
        thicknessUm: 20,
        onto: 'wet',
      }),
      each({
        name: 'Opaque lights',
        role: 'overpainting',
        mix: 'body-palettes',
        medium: [],
        mediumShare: 0,
        application: 'brush-coat',
        thicknessUm: 60,
        onto: 'wet',
      }),
      each({
        name: 'Last lights',
        role: 'detail',
        mix: 'body-palettes',
        medium: [],
        mediumShare: 0,
        application: 'brush-coat',
        thicknessUm: 80,
        onto: 'wet',
      }),
    ],
  },
  'own-way': {
    key: 'own-way',
    name: 'Your own way',
    blurb: 'No coats are laid out; add each as you come to it.',
    school: 'total-oil',
    ground: null,
    coats: [],
  },
};
