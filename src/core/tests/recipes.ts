import type { BinderKey } from '@/data/binders';
import type { IngredientKey } from '@/data/ingredients';
import type { OwnTube, Recipe } from '../film';

/** Short hands for recipes in tests. */
export const tube = (pigment: string, parts = 1, binder: BinderKey = 'linseed') => ({
  pigment,
  parts,
  binder,
});
export const part = (ingredient: IngredientKey, parts = 1) => ({ ingredient, parts });

export const recipe = (
  mix: Recipe['mix'],
  mediumShare = 0,
  medium: Recipe['medium'] = [],
  thicknessUm = 50,
): Recipe => ({ mix, medium, mediumShare, thicknessUm });

/** 6 titanium : 2 ochre : 1 cadmium red, the flesh of the trade checks. */
export const FLESH = [tube('titanium-white', 6), tube('yellow-ochre', 2), tube('cadmium-red', 1)];
export const ALKYD = [part('alkyd-medium')];

/** A tube of the painter's own. */
export const own = ({
  pigment = 'titanium-white',
  parts = 1,
  ...over
}: Partial<OwnTube> & {
  pigment?: string;
  parts?: number;
} = {}): Recipe['mix'][number] => ({
  parts,
  own: {
    id: `own-${pigment}`,
    name: 'My own',
    pigments: [{ pigment, parts: 1 }],
    binder: 'linseed',
    extenderShare: 0,
    oilWtPct: null,
    dryingFactor: null,
    makeUpUnknown: false,
    ...over,
  },
});
