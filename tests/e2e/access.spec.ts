import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, openDemo, openPlace, test } from './studio';

interface Screen {
  name: string;
  /** Stands otherwise on a wide screen, and is looked at there too. */
  wide?: true;
  go: (page: Page) => Promise<unknown>;
}

const SCREENS: Screen[] = [
  { name: 'today', wide: true, go: () => Promise.resolve() },
  { name: 'paintings', go: (page) => page.getByRole('link', { name: 'Paintings' }).click() },
  {
    name: 'painting',
    go: async (page) => {
      await page.getByRole('link', { name: 'Paintings' }).click();
      await page.getByRole('link', { name: 'Quinces on Slate' }).click();
      await expect(page.getByText(/A coat pinches in/)).toBeVisible();
    },
  },
  {
    name: 'section with figures',
    wide: true,
    go: async (page) => {
      await page.getByRole('link', { name: /^quinces, Quinces on Slate/ }).click();
      await page.getByRole('button', { name: 'Figures' }).click();
    },
  },
  {
    name: 'laying',
    wide: true,
    go: async (page) => {
      await page.getByRole('link', { name: /^quinces, Quinces on Slate/ }).click();
      await page.getByRole('button', { name: 'Lay it' }).click();
      await expect(page.getByRole('button', { name: 'Laid now' })).toBeVisible();
    },
  },
  {
    name: 'coat editor',
    wide: true,
    go: async (page) => {
      await page.getByRole('link', { name: /^quinces, Quinces on Slate/ }).click();
      await page.getByRole('button', { name: 'Edit the coat' }).click();
      await expect(page.getByText('Mix, in parts')).toBeVisible();
    },
  },
  {
    name: 'section with all schools',
    go: async (page) => {
      await page.getByRole('link', { name: /^quinces, Quinces on Slate/ }).click();
      await page.getByRole('button', { name: 'All schools' }).click();
    },
  },
  {
    name: 'a wish in time',
    go: async (page) => {
      await page.getByRole('link', { name: /^quinces, Quinces on Slate/ }).click();
      await page.getByRole('button', { name: 'Open until, dry by …' }).click();
      await expect(page.getByRole('dialog')).toBeVisible();
    },
  },
  {
    name: 'choosing a paint',
    go: async (page) => {
      await page.getByRole('link', { name: /^quinces, Quinces on Slate/ }).click();
      await page.getByRole('button', { name: 'Edit the coat' }).click();
      await page.getByRole('button', { name: 'Add a paint' }).click();
      await expect(page.getByRole('heading', { name: 'Used last' })).toBeVisible();
    },
  },
  { name: 'cabinet', go: (page) => openPlace(page, 'Cabinet') },
  {
    name: 'a paint of the cabinet',
    wide: true,
    go: async (page) => {
      await openPlace(page, 'Cabinet');
      await page.getByRole('link', { name: /^Lead white/ }).click();
      await expect(page.getByText(/Lead builds up/)).toBeVisible();
    },
  },
  { name: 'bench', wide: true, go: (page) => page.getByRole('link', { name: 'Bench' }).click() },
  ...['Glaze', 'Strings', 'Paint', 'Oiling out', 'Grid'].map((name) => ({
    name: `bench, ${name.toLowerCase()}`,
    go: async (page: Page) => {
      await page.getByRole('link', { name: 'Bench' }).click();
      await page.getByRole('link', { name, exact: true }).click();
      await expect(page.getByRole('link', { name: `${name}, here` })).toBeVisible();
    },
  })),
  {
    name: 'touch',
    go: async (page) => {
      await openPlace(page, 'Touch');
      await page.getByRole('radio', { name: /^tacky/ }).click();
    },
  },
  ...['Climate', 'What it has learned', 'Session log'].map((name) => ({
    name: name.toLowerCase(),
    go: async (page: Page) => {
      await openPlace(page, 'Studio');
      await page
        .getByRole('navigation', { name: 'Studio' })
        .getByRole('link', { name, exact: true })
        .click();
      await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
    },
  })),
  {
    name: 'back after a break',
    go: async (page) => {
      await page.getByRole('link', { name: 'Paintings' }).click();
      await page.getByRole('link', { name: 'Brick Kiln, First Frost' }).click();
      await expect(page.getByRole('region', { name: 'After the break' })).toBeVisible();
    },
  },
  {
    name: 'the plan',
    wide: true,
    go: async (page) => {
      await openPlace(page, 'Plan');
      await expect(page.getByText('This plan stands.')).toBeVisible();
    },
  },
  {
    name: 'date and waits',
    wide: true,
    go: async (page) => {
      await openPlace(page, 'Plan');
      await page.getByRole('link', { name: 'Date and waits of The Net Loft, Evening' }).click();
      await expect(page.getByRole('heading', { name: 'Edges' })).toBeVisible();
    },
  },
  {
    name: 'look',
    wide: true,
    go: async (page) => {
      await page.getByRole('link', { name: 'Paintings' }).click();
      await page.getByRole('link', { name: 'Quinces on Slate' }).click();
      await page.getByRole('link', { name: 'Look', exact: true }).click();
      await expect(page.getByRole('heading', { name: /^Slate is about/ }).first()).toBeVisible();
    },
  },
  { name: 'settings', go: (page) => openPlace(page, 'Settings') },
  {
    name: 'about',
    go: async (page) => {
      await page.getByRole('link', { name: 'Paintings' }).click();
      await page.getByRole('link', { name: 'The Ropewalk' }).click();
      await page.getByRole('link', { name: /About this painting/ }).click();
    },
  },
  {
    name: 'new painting',
    go: async (page) => {
      await page.getByRole('link', { name: 'Paintings' }).click();
      await page.getByRole('button', { name: 'Start a painting' }).click();
    },
  },
  // Last: from here on a session runs.
  {
    name: 'a session that runs',
    wide: true,
    go: async (page) => {
      await page.getByRole('button', { name: 'Begin', exact: true }).click();
      await expect(page.getByRole('timer')).toBeVisible();
    },
  },
  {
    name: 'the end of a session',
    go: async (page) => {
      await page.getByRole('button', { name: 'Back to the session' }).click();
      await page.getByRole('button', { name: 'End', exact: true }).click();
      await expect(page.getByRole('dialog')).toBeVisible();
    },
  },
];

async function expectNothingSerious(page: Page, where: string): Promise<void> {
  // Only what is wrong is asked for, and in the page itself: it finds the same in a third of the time.
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode(true)
    .options({ resultTypes: ['violations'] })
    .analyze();
  const serious = violations.filter((v) => v.impact === 'serious' || v.impact === 'critical');
  expect
    .soft(
      serious.map(
        (v) =>
          `${v.id}: ${v.nodes
            .map((n) => n.html)
            .join(' | ')
            .slice(0, 600)}`,
      ),
      where,
    )
    .toEqual([]);
}

/** One opening of the demo serves several screens: each is gone to anew from Today. */
const WALK = 8;
for (let first = 0; first < SCREENS.length; first += WALK) {
  const walk = SCREENS.slice(first, first + WALK);
  test(`axe finds nothing serious on: ${walk.map((s) => s.name).join('; ')}`, async ({
    page,
  }, info) => {
    const here = walk.filter(({ wide }) => wide || info.project.name === 'phone');
    test.skip(here.length === 0);
    await openDemo(page);
    for (const screen of here)
      await test.step(screen.name, async () => {
        if (screen !== here[0]) await page.goto('/');
        await expect(page.getByRole('heading', { name: 'Takes a coat now' })).toBeVisible();
        await screen.go(page);
        await expectNothingSerious(page, screen.name);
      });
  });
}

test('axe finds nothing serious on the sides of the plan', async ({ page }, info) => {
  test.skip(info.project.name === 'wide', 'The same parts at both sizes.');
  await openDemo(page);
  await openPlace(page, 'Plan');
  for (const name of ['Sessions', 'What if', 'Hours', 'Weeks']) {
    await page.getByRole('link', { name, exact: true }).click();
    await expect(page.getByRole('link', { name: `${name}, here` })).toBeVisible();
    await expectNothingSerious(page, name);
  }
});

test('nothing is wider than the screen', async ({ page }) => {
  await openDemo(page);
  for (const path of [
    '/',
    '/paintings',
    '/settings',
    '/paintings/new',
    '/cabinet',
    '/cabinet/paints/new',
    '/cabinet/mediums/new',
    '/bench',
    '/bench/glaze',
    '/bench/strings',
    '/bench/paint',
    '/bench/oiling-out',
    '/bench/grid',
    '/plan',
    '/plan/sessions',
    '/plan/what-if',
    '/plan/hours',
    '/plan/weeks',
  ]) {
    await page.goto(path);
    await expect(page.getByRole('main').getByRole('heading').first()).toBeVisible();
    const over = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    expect([path, over]).toEqual([path, 0]);
  }
});
