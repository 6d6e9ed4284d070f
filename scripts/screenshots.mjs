/** Refreshes docs/screenshots from the demo studio on the real build. Run: node scripts/screenshots.mjs */
import { spawn } from 'node:child_process';
import path from 'node:path';
import { chromium } from '@playwright/test';
import { CHROMIUM_ARGS } from '../bench/served.mjs';
import { ensureBuilt, ensureChromium, ROOT } from './setup.mjs';

const PORT = '4391';
const SIZES = { phone: { width: 390, height: 844 }, wide: { width: 1280, height: 800 } };

const quinces = async (page) => {
  await page.getByRole('link', { name: /^quinces, Quinces on Slate/ }).click();
  await page.getByText('What was done here').waitFor();
  // The worker finds the cure a moment later.
  await page.getByText('Working out the cure').waitFor({ state: 'hidden' });
};
/** By way of the studio's own page, as on a phone. */
async function inStudio(page, name) {
  await page.getByRole('link', { name: 'Studio', exact: true }).click();
  await page
    .getByRole('navigation', { name: 'Studio' })
    .getByRole('link', { name, exact: true })
    .click();
  await page.waitForTimeout(1500);
}

/** What is done with a picture that is nearly there. */
async function onQuinces(page, name) {
  await page.getByRole('link', { name: 'Paintings' }).click();
  await page.getByRole('link', { name: 'Quinces on Slate' }).click();
  await page.getByRole('link', { name, exact: true }).click();
  await page.waitForTimeout(1500);
}

const VIEWS = [
  { name: 'today', sizes: ['phone', 'wide'], go: async () => {} },
  {
    name: 'painting',
    sizes: ['phone', 'wide'],
    go: async (page) => {
      await page.getByRole('link', { name: 'Paintings' }).click();
      await page.getByRole('link', { name: 'Quinces on Slate' }).click();
    },
  },
  { name: 'section', sizes: ['phone', 'wide'], go: quinces },
  {
    name: 'look',
    sizes: ['phone', 'wide'],
    go: async (page) => {
      await page.getByRole('link', { name: 'Paintings' }).click();
      await page.getByRole('link', { name: 'Quinces on Slate' }).click();
      await page.getByRole('link', { name: 'Look', exact: true }).click();
      await page
        .getByRole('heading', { name: /^Slate is about/ })
        .first()
        .waitFor();
      await page.waitForTimeout(1500);
    },
  },
  {
    name: 'finish',
    sizes: ['phone'],
    go: async (page) => {
      await onQuinces(page, 'Finish');
      await page.getByRole('radio', { name: 'when to stop' }).click();
    },
  },
  { name: 'record', sizes: ['phone'], go: (page) => onQuinces(page, 'The record') },
  { name: 'costs', sizes: ['phone'], go: (page) => onQuinces(page, 'Time and money') },
  { name: 'air', sizes: ['phone'], go: (page) => inStudio(page, 'Air of the room') },
  {
    name: 'cabinet',
    sizes: ['phone'],
    go: (page) => inStudio(page, 'Cabinet'),
  },
  {
    name: 'bench',
    sizes: ['phone'],
    go: (page) => page.getByRole('link', { name: 'Bench' }).click(),
  },
  {
    name: 'glaze',
    sizes: ['phone'],
    go: async (page) => {
      await page.getByRole('link', { name: 'Bench' }).click();
      await page.getByRole('link', { name: 'Glaze', exact: true }).click();
      await page.getByRole('button', { name: 'A passage' }).click();
      await page
        .getByRole('radiogroup', { name: 'Quinces on Slate' })
        .getByRole('radio', { name: 'wall' })
        .click();
      await page.getByRole('slider').press('PageDown');
    },
  },
  {
    name: 'plan',
    sizes: ['phone', 'wide'],
    go: async (page) => {
      await page.getByRole('link', { name: 'Plan', exact: true }).click();
      await page.getByText('This plan stands.').waitFor();
      await page.waitForTimeout(1500);
    },
  },
  {
    name: 'touch',
    sizes: ['phone'],
    go: async (page) => {
      await page.getByRole('link', { name: 'Touch', exact: true }).click();
      await page.getByRole('radio', { name: /^tacky/ }).click();
      await page.getByRole('button', { name: 'Note it' }).click();
      await page.waitForTimeout(1500);
    },
  },
  {
    name: 'session',
    sizes: ['phone'],
    go: async (page) => {
      await page.getByRole('button', { name: 'Begin', exact: true }).click();
      await page.getByRole('button', { name: /^Put out/ }).click();
    },
  },
];

if (!ensureBuilt()) process.exit(1);
const server = spawn(process.execPath, ['--import', 'tsx', 'server/index.ts', '--demo'], {
  cwd: ROOT,
  env: { ...process.env, PORT },
  stdio: ['ignore', 'pipe', 'inherit'],
});
await new Promise((resolve) => server.stdout.once('data', resolve));
const browser = await chromium.launch({
  executablePath: ensureChromium(),
  args: CHROMIUM_ARGS,
});
try {
  for (const view of VIEWS) {
    for (const size of view.sizes) {
      const context = await browser.newContext({
        viewport: SIZES[size],
        locale: 'en-GB',
        timezoneId: 'Europe/Berlin',
      });
      const page = await context.newPage();
      await page.goto(`http://127.0.0.1:${PORT}/`);
      await page.getByRole('heading', { name: 'Takes a coat now' }).waitFor();
      await view.go(page);
      await page.waitForTimeout(700);
      await page.screenshot({ path: path.join(ROOT, `docs/screenshots/${view.name}-${size}.png`) });
      await context.close();
    }
  }
} finally {
  await browser.close();
  server.kill();
}
