/** The fonts of the app: only the letters that can occur, as woff2, and fallbacks of the same measure. */
import { createHash } from 'node:crypto';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { createFontStack } from '@capsizecss/core';
import { entireMetricsCollection } from '@capsizecss/metrics/entireMetricsCollection';
import subsetFont from 'subset-font';

const require = createRequire(import.meta.url);
const { sourceSans3, vollkorn, arial, georgia } = entireMetricsCollection;

/** Latin with accents, the signs of our words and figures, and the punctuation between them. */
const range = (from, to) =>
  String.fromCodePoint(...Array.from({ length: to - from + 1 }, (_, i) => from + i));
export const LETTERS = `${range(0x20, 0x7e)}${range(0xa0, 0x17f)}‐‑‒–—‘’‚“”„†•…‰′″‹›⁄€₂−≈≠≤≥→←ΔΛλµμΩ`;

/** What our text asks for: spacing, accents, ligatures, and the two kinds of figures. */
const FEATURES = ['kern', 'liga', 'ccmp', 'locl', 'mark', 'mkmk', 'lnum', 'tnum'];

/** As `font` in src/ui/tokens.ts names them; a test holds the two together. */
export const FONTS = [
  {
    family: 'Source Sans 3',
    package: '@expo-google-fonts/source-sans-3',
    file: '400Regular/SourceSans3_400Regular.ttf',
    metrics: sourceSans3,
    fallback: arial,
    locals: ['Arial', 'ArialMT', 'Liberation Sans', 'Helvetica'],
  },
  {
    family: 'Source Sans 3 SemiBold',
    package: '@expo-google-fonts/source-sans-3',
    file: '600SemiBold/SourceSans3_600SemiBold.ttf',
    metrics: sourceSans3.variants['600'],
    fallback: arial.variants['700'] ?? arial,
    locals: ['Arial Bold', 'Arial-BoldMT', 'Liberation Sans Bold', 'Helvetica Bold'],
  },
  {
    family: 'Vollkorn Medium',
    package: '@expo-google-fonts/vollkorn',
    file: '500Medium/Vollkorn_500Medium.ttf',
    metrics: vollkorn.variants['500'],
    fallback: georgia,
    locals: ['Georgia', 'Liberation Serif', 'Times New Roman'],
  },
];

/** A face from the reader's own machine, stretched to the measure of ours, so that nothing moves when ours comes. */
function fallbackFace({ family, metrics, fallback, locals }) {
  const { fontFaces } = createFontStack([{ ...metrics, familyName: family }, fallback]);
  const src = locals.map((name) => `local('${name}')`).join(', ');
  return fontFaces.replace(/src: [^;]+;/, `src: ${src};`);
}

/** Write the fonts into `<dist>/fonts` and give the style rules that name them. */
export async function writeFonts(dist) {
  const folder = path.join(dist, 'fonts');
  mkdirSync(folder, { recursive: true });
  const rules = [];
  for (const font of FONTS) {
    const ttf = readFileSync(require.resolve(`${font.package}/${font.file}`));
    const woff2 = await subsetFont(ttf, LETTERS, {
      targetFormat: 'woff2',
      keepFeatures: FEATURES,
      noHinting: true,
    });
    const hash = createHash('md5').update(woff2).digest('hex');
    const name = `${font.family.toLowerCase().replaceAll(' ', '-')}-${hash}.woff2`;
    writeFileSync(path.join(folder, name), woff2);
    rules.push(
      `@font-face {\n  font-family: "${font.family}";\n  src: url("/fonts/${name}") format("woff2");\n  font-display: swap;\n}`,
      fallbackFace(font),
    );
  }
  return rules.join('\n');
}

/** The faces of saved pages: TrueType, which is what a PDF embeds; fetched when a page is first made. */
/** A title may be Greek or Russian: on paper no other face of the machine stands in. */
const PAGE_LETTERS = LETTERS + range(0x370, 0x3ff) + range(0x400, 0x4ff);

const PAGE_FONTS = {
  'pages-text.ttf': '400Regular/SourceSans3_400Regular.ttf',
  'pages-strong.ttf': '600SemiBold/SourceSans3_600SemiBold.ttf',
};

/** Write them into `<dist>/fonts`. No visit loads them: whoever saves a page does. */
export async function writePageFonts(dist) {
  const folder = path.join(dist, 'fonts');
  for (const [name, file] of Object.entries(PAGE_FONTS)) {
    const ttf = readFileSync(require.resolve(`@expo-google-fonts/source-sans-3/${file}`));
    const cut = await subsetFont(ttf, PAGE_LETTERS, { targetFormat: 'truetype', noHinting: true });
    writeFileSync(path.join(folder, name), cut);
  }
}
