/**
 * Names that painters use beside those of the pigment table, and mixed tubes of the trade by their usual make-up.
 * Common practice, no source; what is in a tube of a mixed colour differs by maker, and the label says.
 */

/** Other names of a pigment. */
export const OTHER_NAMES: Record<string, string[]> = {
  'lead-white': ['flake white', 'silver white', 'cremnitz white', 'white lead'],
  'titanium-white': ['permanent white'],
  'zinc-white': ['chinese white', 'snow white'],
  'buff-titanium': ['unbleached titanium', 'titan buff'],
  'mixing-white-zinc-free': ['soft mixing white'],
  'yellow-ochre': ['ocher', 'golden ochre', 'roman ochre'],
  'mars-yellow-opaque': ['mars yellow', 'iron oxide yellow'],
  'raw-sienna': ['italian earth', 'terra di siena'],
  'burnt-sienna': ['terra di siena bruciata'],
  'raw-umber': ['cyprus umber'],
  'transparent-oxide-yellow': ['transparent gold ochre', 'transparent mars yellow'],
  'transparent-oxide-red': ['transparent mars red', 'transparent brown'],
  'indian-red': ['caput mortuum', 'mars red', 'english red', 'light red'],
  'venetian-red-ochre': ['terra rosa', 'red earth', 'pompeii red'],
  'lead-tin-yellow': ['giallorino'],
  'cadmium-yellow': ['cad yellow'],
  'cadmium-orange': ['cad orange'],
  'cadmium-red': ['cad red'],
  'nickel-titanate-yellow': ['titanium yellow'],
  'bismuth-vanadate-yellow': ['bismuth yellow'],
  'hansa-yellow-medium': ['arylide yellow', 'primary yellow'],
  'hansa-yellow-light': ['lemon yellow', 'hansa yellow light'],
  'diarylide-indian-yellow': ['indian yellow'],
  'quinacridone-gold': ['quin gold'],
  'naphthol-red': ['primary red', 'scarlet'],
  vermilion: ['cinnabar', 'chinese vermilion'],
  'alizarin-crimson': ['madder lake', 'crimson lake'],
  'rose-madder': ['rose', 'pink madder'],
  'quinacridone-magenta': ['primary magenta', 'permanent magenta'],
  'quinacridone-rose': ['permanent rose', 'rose'],
  'quinacridone-violet': ['permanent alizarin'],
  'perylene-maroon': ['permanent crimson'],
  'ultramarine-blue': ['french ultramarine', 'lazuli blue'],
  'cerulean-blue-stannate': ['coeruleum', 'cerulean'],
  'cerulean-blue-chromite': ['cerulean'],
  'prussian-blue': ['berlin blue', 'milori blue', 'paris blue'],
  'phthalo-blue': ['monestial blue', 'primary cyan', 'heliogen blue'],
  'indanthrone-blue': ['indanthrene', 'delft blue'],
  'phthalo-green-blue-shade': ['monestial green', 'heliogen green'],
  viridian: ['emeraude', 'transparent chromium oxide'],
  'terre-verte': ['green earth', 'verona green'],
  'ivory-black': ['bone black', 'jet'],
  'lamp-black': ['carbon black', 'vine black'],
  'perylene-green-black': ['atrament'],
};

/** Mixed tubes: what they are usually made of, parts by volume of pigment. */
export interface MixedTube {
  key: string;
  name: string;
  pigments: { pigment: string; parts: number }[];
}
const tube = (key: string, name: string, ...pigments: [string, number][]): MixedTube => ({
  key,
  name,
  pigments: pigments.map(([pigment, parts]) => ({ pigment, parts })),
});

export const MIXED_TUBES: MixedTube[] = [
  tube('sap-green', 'Sap green', ['phthalo-green-yellow-shade', 1], ['diarylide-indian-yellow', 2]),
  tube('hookers-green', "Hooker's green", ['phthalo-green-blue-shade', 1], ['raw-sienna', 2]),
  tube(
    'olive-green',
    'Olive green',
    ['raw-umber', 1],
    ['hansa-yellow-medium', 1],
    ['lamp-black', 1],
  ),
  tube(
    'permanent-green',
    'Permanent green',
    ['phthalo-green-blue-shade', 1],
    ['hansa-yellow-light', 3],
  ),
  tube('payne-grey', 'Payne’s grey', ['ultramarine-blue', 2], ['ivory-black', 1]),
  tube('blue-grey', 'Blue grey', ['titanium-white', 4], ['ultramarine-blue', 1], ['lamp-black', 1]),
  tube('neutral-grey', 'Neutral grey', ['titanium-white', 5], ['ivory-black', 1], ['raw-umber', 1]),
  tube('gold-ochre', 'Gold ochre', ['yellow-ochre', 3], ['diarylide-indian-yellow', 1]),
  tube(
    'naples-hue',
    'Naples yellow, mixed',
    ['titanium-white', 6],
    ['yellow-ochre', 2],
    ['cadmium-yellow', 1],
  ),
  tube('flesh', 'Flesh tint', ['titanium-white', 8], ['yellow-ochre', 2], ['cadmium-red', 1]),
  tube('rose-mixed', 'Rose, mixed', ['titanium-white', 3], ['quinacridone-rose', 1]),
  tube('sepia', 'Sepia', ['burnt-umber', 2], ['ivory-black', 1]),
  tube(
    'van-dyke',
    'Van Dyke brown, mixed',
    ['burnt-umber', 2],
    ['ivory-black', 1],
    ['raw-umber', 1],
  ),
  tube('indigo', 'Indigo, mixed', ['phthalo-blue', 1], ['ivory-black', 2]),
  tube(
    'turquoise',
    'Turquoise',
    ['phthalo-blue', 1],
    ['phthalo-green-blue-shade', 1],
    ['titanium-white', 3],
  ),
  tube(
    'royal-blue',
    'King’s blue',
    ['titanium-white', 4],
    ['ultramarine-blue', 1],
    ['cobalt-blue', 1],
  ),
  tube('purple', 'Purple, mixed', ['quinacridone-magenta', 1], ['ultramarine-blue', 1]),
  tube('warm-grey', 'Warm grey', ['titanium-white', 5], ['raw-umber', 2]),
];
