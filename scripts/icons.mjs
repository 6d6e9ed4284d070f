/**
 * Writes src/ui/icons.ts: the paths of the icons in use, out of @mdi/js. The bundler cannot shake that
 * package (7,000 icons, 2.7 MB), so only what is named here ships. Run: node scripts/icons.mjs
 */
import * as mdi from '@mdi/js';
import { writeFileSync } from 'node:fs';

const USED = [
  'mdiAlertOutline',
  'mdiBottleTonicOutline',
  'mdiPaletteOutline',
  'mdiArrowLeft',
  'mdiCheck',
  'mdiChevronRight',
  'mdiClose',
  'mdiCogOutline',
  'mdiImageFrame',
  'mdiInformationOutline',
  'mdiMinus',
  'mdiPlus',
  'mdiTuneVariant',
  'mdiWeatherSunset',
  'mdiFingerprint',
  'mdiTimerOutline',
  'mdiDotsGrid',
];

const name = (key) => key.replace(/^mdi(.)/, (_, first) => first.toLowerCase()) + 'Icon';
const lines = USED.map((key) => `export const ${name(key)} =\n  '${mdi[key]}';`);
writeFileSync(
  new URL('../src/ui/icons.ts', import.meta.url),
  `/** Icon paths of Material Design Icons (Apache 2.0), written by scripts/icons.mjs. Do not edit by hand. */\n${lines.join('\n')}\n`,
);
