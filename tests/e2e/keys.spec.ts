import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { expect, openDemo, openPlace, startPainting, test } from './studio';

const ADDRESSES = JSON.parse(readFileSync('demo/addresses.json', 'utf8')) as string[];

/** What has the focus, as a reader would say it. */
const inHand = (page: Page) =>
  page.evaluate(() => {
    const e = document.activeElement as HTMLElement | null;
    return e === null || e === document.body
      ? 'nothing'
      : `${e.getAttribute('role') ?? e.tagName.toLowerCase()}: ${e.getAttribute('aria-label') ?? (e.textContent || e.outerHTML.slice(0, 300))}`;
  });
const key = async (page: Page, ...names: string[]) => {
  for (const name of names) await page.keyboard.press(name);
};

test('each screen takes the focus at its heading, and names the page', async ({ page }) => {
  await startPainting(page, 'By Keys', /Direct start/);
  await expect(page).toHaveTitle('By Keys · Tawny Hour');
  await page.getByRole('link', { name: 'jars: open the section' }).focus();
  await key(page, 'Enter');
  await expect.poll(() => inHand(page)).toMatch(/^heading: By Keys/);
  await expect(page).toHaveTitle('jars · By Keys · Tawny Hour');
  // A passage further along stays in hand, though it has an address of its own.
  await page.getByRole('tab', { name: 'jars' }).focus();
  await key(page, 'ArrowRight');
  await expect.poll(() => inHand(page)).toBe('tab: wall');
  await expect(page).toHaveTitle('wall · By Keys · Tawny Hour');
  await key(page, 'Home');
  await expect.poll(() => inHand(page)).toBe('tab: jars');
  await openPlace(page, 'Today');
  await expect(page).toHaveTitle(/^\w+day.* · Tawny Hour$/);
});

test('Space and arrows work in groups; a dialog gives the focus back', async ({ page }) => {
  await startPainting(page, 'By Keys', /Direct start/);
  await page.getByRole('link', { name: 'jars: open the section' }).click();
  const lay = page.getByRole('button', { name: 'Lay it' });
  await lay.focus();
  await key(page, 'Enter');
  const dialog = page.getByRole('dialog');
  await expect(dialog).toBeVisible();
  // Nothing that can be stopped at is without a name, all the way round.
  const stops: string[] = [];
  for (let i = 0; i < 14; i++) {
    await key(page, 'Tab');
    stops.push(await inHand(page));
  }
  expect(stops.filter((s) => /: <|^nothing$/.test(s))).toEqual([]);
  await dialog.getByRole('radio', { name: 'now' }).focus();
  await key(page, 'ArrowRight');
  await expect(dialog.getByRole('radio', { name: 'an hour ago' })).toBeChecked();
  await key(page, 'ArrowLeft');
  await expect(dialog.getByRole('radio', { name: 'now' })).toBeChecked();
  await dialog.getByRole('radio', { name: 'a part or spot' }).focus();
  await key(page, ' ');
  await expect(dialog.getByRole('radio', { name: 'a part or spot' })).toBeChecked();
  await key(page, 'Escape');
  await expect(dialog).toHaveCount(0);
  await expect.poll(() => inHand(page)).toBe('button: Lay it');
});

test('the first stop leads past the places', async ({ page }) => {
  await startPainting(page, 'By Keys', /Direct start/);
  await openPlace(page, 'Paintings');
  // Not before the screen stands: until then there is no heading to be led to.
  await expect(page.getByRole('heading', { level: 1, name: 'Paintings' })).toBeVisible();
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.getByRole('link', { name: 'To the content' }).focus();
  await expect(page.getByRole('link', { name: 'To the content' })).toBeInViewport();
  await key(page, 'Enter');
  await expect.poll(() => inHand(page)).toMatch(/^heading: Paintings/);
});

test('by keys alone, every stop of every screen has a name', async ({ page }, info) => {
  await openDemo(page);
  // Half of the screens at each size: what stands on them is the same, its order alone differs.
  const half = info.project.name === 'wide' ? 1 : 0;
  for (const address of ADDRESSES.filter((_, i) => i % 2 === half)) {
    await page.goto(address);
    await expect(page).not.toHaveTitle('Tawny Hour');
    const stops: string[] = [];
    // Round to the first again, or as far as a painter would go.
    for (let i = 0; i < 30; i++) {
      await key(page, 'Tab');
      const stop = await inHand(page);
      if (stop === 'nothing' || (i > 0 && stop === stops[0])) break;
      stops.push(stop);
    }
    expect(stops.length, address).toBeGreaterThan(5);
    expect(
      stops.filter((s) => /: <|: $/.test(s)),
      address,
    ).toEqual([]);
  }
});

test.describe('enlarged four times', () => {
  test.use({ viewport: { width: 320, height: 200 } });

  test('the content keeps at least half of the height, and every page has its own title', async ({
    page,
  }, info) => {
    test.skip(info.project.name === 'wide', 'One size, whatever the screen is otherwise.');
    await openDemo(page);
    const titles = new Map<string, string>();
    for (const address of ADDRESSES) {
      await page.goto(address);
      await expect(page).not.toHaveTitle('Tawny Hour');
      const title = await page.title();
      expect([address, titles.get(title)]).toEqual([address, undefined]);
      titles.set(title, address);
      const share = await page.evaluate(() => {
        const scrolls = [...document.querySelectorAll('[role="main"] *')].filter(
          (e) => /auto|scroll/.test(getComputedStyle(e).overflowY) && e.clientWidth > 200,
        );
        return Math.max(...scrolls.map((e) => e.clientHeight)) / window.innerHeight;
      });
      expect(share, address).toBeGreaterThanOrEqual(0.5);
    }
  });
});
