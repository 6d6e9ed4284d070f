import type { Recipe } from '../film';
import { ALKYD, part, recipe, tube } from './recipes';

/**
 * Eight stacks of the teaching books, as pairs: what lies below, what goes on it, and the days between. Worked
 * by hand from the tube table and the drying model of the handbook set (after Gettens & Stout, Mayer, Patton;
 * from memory).
 */
export interface WorkedPair {
  name: string;
  lower: Recipe;
  /** Share of its oil that a hungry ground took. */
  lowerLoss: number;
  upper: Recipe;
  waitDays: number;
}

const MEDIUM_113 = [part('stand-oil'), part('damar-varnish'), part('mineral-spirits', 3)];
const SPIRITS = [part('mineral-spirits')];
const white = (
  m = 0,
  medium: Recipe['medium'] = [],
  h = 80,
  binder: 'linseed' | 'safflower' | 'alkyd' = 'linseed',
): Recipe => recipe([tube('titanium-white', 1, binder)], m, medium, h);
const one = (key: string, h: number, m = 0, medium: Recipe['medium'] = []): Recipe =>
  recipe([tube(key)], m, medium, h);

const pair = (
  name: string,
  lower: Recipe,
  upper: Recipe,
  waitDays: number,
  lowerLoss = 0,
): WorkedPair => ({ name, lower, lowerLoss, upper, waitDays });

export const WORKED_PAIRS = {
  '1': pair('umber wash, then titanium', one('raw-umber', 20, 1 / 3, SPIRITS), white(), 3),
  '2': pair(
    'lead white, then umber glaze',
    one('lead-white', 80),
    one('raw-umber', 15, 2 / 3, MEDIUM_113),
    7,
  ),
  '3': pair(
    'safflower titanium, then alkyd titanium',
    white(0, [], 80, 'safflower'),
    white(0, [], 80, 'alkyd'),
    14,
  ),
  '4, lower': pair(
    'umber, then titanium, a fifth of alkyd medium',
    one('burnt-umber', 20, 0.2, ALKYD),
    white(0.2, ALKYD, 60),
    2,
  ),
  '4, upper': pair(
    'titanium, then ultramarine, a fifth of alkyd medium',
    white(0.2, ALKYD, 60),
    one('ultramarine-blue', 20, 0.2, ALKYD),
    5,
  ),
  '5': pair(
    'titanium with medium, then bone black neat',
    white(0.2, MEDIUM_113),
    one('ivory-black', 40),
    10,
  ),
  '6': pair(
    'impasto titanium, then alizarin glaze',
    white(0, [], 800),
    one('alizarin-crimson', 15, 0.5, [part('stand-oil'), part('mineral-spirits')]),
    28,
  ),
  '7': pair(
    'umber wash on hungry ground, then cadmium red',
    one('raw-umber', 20, 0.5, SPIRITS),
    one('cadmium-red', 60),
    3,
    0.4,
  ),
  '8': pair(
    'rich ultramarine, then titanium with alkyd',
    one('ultramarine-blue', 50, 0.3, [part('linseed-refined'), part('mineral-spirits')]),
    white(0.2, ALKYD),
    7,
  ),
} as const;
export type WorkedKey = keyof typeof WORKED_PAIRS;
