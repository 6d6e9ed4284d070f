import type { RuleKey } from '@/data/rules';
import type { RuleSite } from './types';

/**
 * Rules that can only speak where something rare is about: a first film on the ground, stuff other than paint,
 * additives. Asking them elsewhere would cost time and change nothing; a test asks them all everywhere and compares.
 */
export interface Gate {
  open(site: RuleSite): boolean;
  rules: readonly RuleKey[];
}

const firstFilm: Gate = {
  open: ({ below }) => below.body === null || below.body.key === 'ground',
  rules: [
    'acrylic-ground-fresh',
    'acrylic-ground',
    'chalk-ground',
    'chalk-ground-fresh',
    'oil-ground-fresh',
    'alkyd-ground-fresh',
    'bare-support',
    'smooth-ground',
    'metal-support',
    'unsealed-board',
    'panel-moves',
    'size-moves',
    'old-painting',
    'old-painting-varnished',
    'old-painting-lead',
  ],
};

const otherStuff: Gate = {
  open: ({ film, below }) => film.kept.material !== null || below.otherStuff,
  rules: [
    'gesso-over-oil',
    'waterborne-varnish-over-oil',
    'epoxy-below',
    'retouch-between',
    'retouch-too-early',
    'retouch-twice',
    'varnish-between',
    'varnish-too-early',
    'varnish-sinks',
    'natural-varnish-on-resin',
    'oil-pastel-below',
    'oil-pastel-on-top',
    'oil-stick',
    'tempera-under-oil',
    'tempera-over-oil',
    'aqueous-over-oil',
    'casein-under-oil',
    'household-enamel',
    'household-latex',
    'household-latex-over-oil',
    'shellac',
    'loose-charcoal',
    'graphite',
    'dye-drawing',
  ],
};

const additives: Gate = {
  open: ({ film, below }) => film.traits.additives || below.additives,
  rules: [
    'cobalt-thick',
    'drier-pale-thick',
    'drier-overdose',
    'drier-several-coats',
    'clove-overdose',
    'clove-below',
    'resin-high',
    'balsam-high',
    'wax-high',
    'water-thinned',
    'ordinary-oil-in-water-mixable',
    'water-sensitive',
    'solvent-on-resin',
    'resin-glaze',
  ],
};

const onSomething: Gate = {
  open: ({ below }) => below.direct !== null,
  rules: [
    'on-tacky',
    'trapped',
    'alkyd-over-slow-oil',
    'oil-over-alkyd',
    'slow-oil-below',
    'solvent-lifts',
    'bleeding-colour',
    'oiling-out',
    'oiling-out-tacky',
    'couch-left-to-dry',
    'oil-over-acrylic-paint',
    'resin-below',
    'zinc-trace-below',
  ],
};

export const GATES: readonly Gate[] = [firstFilm, otherStuff, additives, onSomething];
