import { INGREDIENTS } from '@/data/ingredients';
import { SCHOOLS, type SchoolKey } from '../schools';
import type { Repair } from './types';
import type { WishAnswer } from './wish';

const WORDS: [number, string][] = [
  [0.25, 'A quarter of a part'],
  [0.5, 'Half a part'],
  [0.75, 'Three quarters of a part'],
  [1, 'One part'],
  [1.25, 'One and a quarter parts'],
  [1.5, 'One and a half parts'],
  [1.75, 'One and three quarter parts'],
  [2, 'Two parts'],
];

const amount = (parts: number): string =>
  WORDS.find(([value]) => Math.abs(value - parts) < 1e-6)?.[1] ??
  `${Number(parts.toFixed(2))} parts`;

/** What to do, as one sentence: "Half a part more stand oil brings it to 77 %." */
export function repairSentence(repair: Repair, school: SchoolKey): string {
  const figure =
    repair.figureAfter === null
      ? ''
      : ` brings it to ${SCHOOLS[school].format(repair.figureAfter)}`;
  const share = `${Math.round(repair.changed.recipe.mediumShare * 100)} %`;
  switch (repair.kind) {
    case 'add-oil': {
      const name = INGREDIENTS[repair.ingredient!].name;
      const of = repair.partsOf === 'paint' ? ` to the paint` : '';
      return `${amount(repair.parts!)} more ${name}${of}${figure}.`;
    }
    case 'more-medium':
      return `More of its medium, ${share} of the whole,${figure}.`;
    case 'leaner-below':
      return `Or keep the ${repair.changed.name.toLowerCase()} below to ${share} medium.`;
    case 'less-medium':
      return `Less of its medium, ${share} of the whole,${figure}.`;
    case 'wait-through-dry':
      return `Wait until what lies below is dry through; then it holds in practice.`;
    case 'thicker':
      return `Lay it ${Math.round(repair.changed.recipe.thicknessUm)} µm thick.`;
    case 'thinner':
      return `Lay it ${Math.round(repair.changed.recipe.thicknessUm)} µm thin.`;
    case 'other-order':
      return 'Lay it before the coat it was meant to lie on; then both hold.';
  }
}

/** The words of the button that carries the cure out. */
export function repairAction(repair: Repair, school: SchoolKey): string {
  switch (repair.kind) {
    case 'more-medium':
      return `More medium, ${Math.round(repair.changed.recipe.mediumShare * 100)} %`;
    case 'add-oil':
      if (school === 'constant-alkyd') return `Add ${INGREDIENTS[repair.ingredient!].name}`;
      return repair.figureAfter === null
        ? 'Fatten it'
        : `Fatten it to ${SCHOOLS[school].format(repair.figureAfter)}`;
    case 'leaner-below':
      return 'Thin the coat below';
    case 'wait-through-dry':
      return 'Wait until dry through';
    case 'less-medium':
      return `Less medium, ${Math.round(repair.changed.recipe.mediumShare * 100)} %`;
    case 'thicker':
      return 'Lay it thicker';
    case 'thinner':
      return 'Lay it thinner';
    case 'other-order':
      return 'Change the order';
  }
}

const share = (m: number): string => `${Math.round(m * 1000) / 10} %`;

/** What a wish in time comes to, as one sentence. */
export function wishSentence({ lever, changed, ingredient }: WishAnswer): string {
  const { recipe } = changed;
  const name = ingredient ? INGREDIENTS[ingredient].name : '';
  const own = recipe.medium.find((p) => p.ingredient === ingredient);
  const total = recipe.medium.reduce((s, p) => s + p.parts, 0) || 1;
  const ofWhole = own ? (recipe.mediumShare * own.parts) / total : 0;
  switch (lever) {
    case 'as-it-is':
      return 'It does so as it is.';
    case 'thickness':
      return `Lay it ${Math.round(recipe.thicknessUm)} µm thick.`;
    case 'medium':
      return `Its medium to ${share(recipe.mediumShare)} of the whole.`;
    case 'slow-oil':
    case 'alkyd':
    case 'clove-oil':
      return `Add ${name}, ${share(ofWhole)} of the whole.`;
  }
}
