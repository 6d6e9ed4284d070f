import type { PigmentNotes } from './pigment-notes';
import type { PigmentRow } from './pigments-schema';

/**
 * Two paints of old pictures and recipe books, kept so that the rules against them can speak. Estimates
 * from memory, low: nobody should plan with them.
 */
const LOW = { density: 'low', oil_absorption: 'low', drying_time_factor: 'low' } as const;

export const HISTORIC_PIGMENTS: PigmentRow[] = [
  {
    key: 'verdigris',
    ci: 'PG20',
    name: 'Verdigris (copper acetate)',
    class: 'inorganic',
    density_g_cm3: 1.88,
    oil_absorption_g_per_100g: 32,
    drying_time_factor: 0.6,
    drier_class: 'fast',
    transparency: 'transparent',
    metals: ['copper'],
    tube_oil_wt_pct: 38,
    reactive_zinc: false,
  },
  {
    key: 'bitumen',
    ci: 'NBk6',
    name: 'Bitumen (asphaltum)',
    class: 'organic',
    density_g_cm3: 1.1,
    oil_absorption_g_per_100g: 60,
    drying_time_factor: 4,
    drier_class: 'very-slow',
    transparency: 'transparent',
    metals: [],
    tube_oil_wt_pct: 50,
    reactive_zinc: false,
  },
];

export const HISTORIC_NOTES: Record<string, PigmentNotes> = {
  verdigris: {
    ranges: {
      density_g_cm3: [1.8, 2.0],
      oil_absorption_g_per_100g: [25, 45],
      drying_time_factor: [0.4, 0.9],
      tube_oil_wt_pct: [32, 45],
    },
    hazard_note: 'copper compound: harmful if swallowed, irritates eyes; do not breathe dust',
    film_note: 'Darkens and browns in oil; reacts with sulfide pigments.',
    confidence: LOW,
    sources: 'Artists’ Pigments series; Gettens & Stout; from memory',
    compilations: 1,
    tube_oil_source: 'judgement; from memory',
  },
  bitumen: {
    ranges: {
      density_g_cm3: [1.0, 1.2],
      oil_absorption_g_per_100g: [40, 90],
      drying_time_factor: [2, 10],
      tube_oil_wt_pct: [40, 60],
    },
    hazard_note: 'may hold cancer-causing tars: nitrile gloves, no heating, no skin contact',
    film_note: 'Never dries: wrinkles and crawls for ever, whatever lies on it.',
    confidence: LOW,
    sources: 'Carlyle, The Artist’s Assistant; from memory',
    compilations: 1,
    tube_oil_source: 'judgement; from memory',
  },
};
