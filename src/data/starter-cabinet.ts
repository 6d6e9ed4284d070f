import type { BinderKey } from './binders';
import type { IngredientKey } from './ingredients';

/** A usual palette of a painter in oil, and two acrylics for under it. Common practice, no source. */
export const STARTER_PAINTS: { pigment: string; binder?: BinderKey; name?: string }[] = [
  { pigment: 'titanium-white' },
  { pigment: 'lead-white' },
  { pigment: 'yellow-ochre' },
  { pigment: 'raw-sienna' },
  { pigment: 'burnt-sienna' },
  { pigment: 'raw-umber' },
  { pigment: 'burnt-umber' },
  { pigment: 'venetian-red-ochre' },
  { pigment: 'transparent-oxide-yellow' },
  { pigment: 'transparent-oxide-red' },
  { pigment: 'cadmium-yellow' },
  { pigment: 'cadmium-red' },
  { pigment: 'quinacridone-rose' },
  { pigment: 'ultramarine-blue' },
  { pigment: 'cobalt-blue' },
  { pigment: 'viridian' },
  { pigment: 'terre-verte' },
  { pigment: 'ivory-black' },
  { pigment: 'yellow-ochre', binder: 'acrylic', name: 'Yellow ochre, acrylic' },
  { pigment: 'burnt-sienna', binder: 'acrylic', name: 'Burnt sienna, acrylic' },
];

/** Mediums of the trade, parts by volume. Mayer, Doerner; common practice; from memory. */
export const STARTER_MEDIUMS: {
  key: string;
  name: string;
  parts: [IngredientKey, number][];
}[] = [
  {
    key: 'lean',
    name: 'Lean painting medium',
    parts: [
      ['linseed-refined', 1],
      ['mineral-spirits', 3],
    ],
  },
  {
    key: 'half',
    name: 'Half and half',
    parts: [
      ['linseed-refined', 1],
      ['mineral-spirits', 1],
    ],
  },
  {
    key: 'stand',
    name: 'Stand oil glaze',
    parts: [
      ['stand-oil', 2],
      ['mineral-spirits', 1],
    ],
  },
  {
    key: 'classic',
    name: 'Stand oil, damar, turpentine 1:1:5',
    parts: [
      ['stand-oil', 1],
      ['damar-varnish', 1],
      ['turpentine', 5],
    ],
  },
  { key: 'alkyd', name: 'Alkyd glazing medium', parts: [['alkyd-medium', 1]] },
  { key: 'alkyd-gel', name: 'Alkyd gel', parts: [['alkyd-gel', 1]] },
  {
    key: 'couch',
    name: 'Couch for oiling out',
    parts: [
      ['linseed-refined', 1],
      ['mineral-spirits', 2],
    ],
  },
  { key: 'wax', name: 'Cold wax', parts: [['cold-wax', 1]] },
];
