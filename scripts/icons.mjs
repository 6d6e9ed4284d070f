/**
 * Writes src/ui/icons.ts and src/ui/desk-icons.ts: the paths of the icons in use, out of @mdi/js. The bundler cannot shake that
 * package (7,000 icons, 2.7 MB), so only what is named here ships. Run: node scripts/icons.mjs
 */
import * as mdi from '@mdi/js';
import { writeFileSync } from 'node:fs';

/** On every screen: the frame, notices, the bars. */
const FRAME = [
  'mdiAlertOutline',
  'mdiBottleTonicOutline',
  'mdiCalendarWeek',
  'mdiCogOutline',
  'mdiDotsGrid',
  'mdiFingerprint',
  'mdiImageFrame',
  'mdiInformationOutline',
  'mdiPaletteOutline',
  'mdiTimerOutline',
  'mdiWeatherSunset',
];
/** On some. */
const DESK = [
  'mdiArrowLeft',
  'mdiCalendar',
  'mdiCheck',
  'mdiChevronRight',
  'mdiClose',
  'mdiDrag',
  'mdiMagnify',
  'mdiMinus',
  'mdiPlus',
  'mdiTuneVariant',
];

const name = (key) => key.replace(/^mdi(.)/, (_, first) => first.toLowerCase()) + 'Icon';
/** Two files, so that Today does not wait for the pictures of other screens. */
const write = (file, keys) =>
  writeFileSync(
    new URL(`../src/ui/${file}`, import.meta.url),
    `/** Icon paths of Material Design Icons (Apache 2.0), written by scripts/icons.mjs. Do not edit by hand. */\n${keys
      .map((key) => `export const ${name(key)} =\n  '${mdi[key]}';`)
      .join('\n')}\n`,
  );
write('icons.ts', FRAME);
write('desk-icons.ts', DESK);
