/** Writes the icons of the installed app, public/icon-*.png, from public/favicon.svg. Run: node scripts/app-icons.mjs */
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { chromium } from '@playwright/test';
import { ensureChromium, ROOT } from './setup.mjs';

const WALL = '#e9e9e8';
/** Systems cut a maskable icon to a shape of their own: the drawing stays within the middle. */
const ICONS = [
  { name: 'icon-192', size: 192, share: 0.86 },
  { name: 'icon-512', size: 512, share: 0.86 },
  { name: 'icon-maskable-512', size: 512, share: 0.6 },
];

const drawing = readFileSync(path.join(ROOT, 'public/favicon.svg')).toString('base64');
const browser = await chromium.launch({ executablePath: ensureChromium(), args: ['--no-sandbox'] });
for (const { name, size, share } of ICONS) {
  const page = await browser.newPage({ viewport: { width: size, height: size } });
  await page.setContent(
    `<body style="margin:0;height:${size}px;display:grid;place-items:center;background:${WALL}"><img width="${Math.round(size * share)}" src="data:image/svg+xml;base64,${drawing}"></body>`,
  );
  await page.waitForFunction(() => document.images[0]?.complete);
  writeFileSync(path.join(ROOT, `public/${name}.png`), await page.screenshot());
  await page.close();
}
await browser.close();
