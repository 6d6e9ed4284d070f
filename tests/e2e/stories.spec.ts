import { expect, startPainting, stored, test } from './studio';
import type { Page } from '@playwright/test';

/** Days at the easel as they really go, from an empty studio. Taps are counted where they are promised. */
const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

interface Kept {
  title: string;
  passages: { name: string; share: number }[];
  coats: { name: string; passageIds: string[] }[];
  events: { kind: string; spot: { name: string } | null; intoWet?: boolean; except?: string[] }[];
}
const painting = async (page: Page): Promise<Kept> =>
  Object.entries(await stored(page)).find(([key]) => key.startsWith('painting:'))![1] as Kept;

/** Taps from here on. */
function counted(page: Page) {
  let taps = 0;
  return {
    async tap(role: 'button' | 'radio' | 'checkbox' | 'link', name: string | RegExp) {
      taps += 1;
      await page.getByRole(role, { name }).first().click();
    },
    taps: () => taps,
  };
}

const section = async (page: Page, passage: string): Promise<void> => {
  await page.getByRole('link', { name: `${passage}: open the section` }).click();
  await expect(page.getByRole('tab', { name: passage })).toBeVisible();
};

test.beforeEach(async ({ page }) => {
  await page.clock.install({ time: new Date('2026-02-10T18:00:00Z') });
});

test('a sky is done in two evenings, and its half and its rest are two films', async ({ page }) => {
  await startPainting(page, 'Two Evenings', /Direct start/);
  await section(page, 'jars');
  const { tap, taps } = counted(page);
  await tap('button', 'Lay it');
  await tap('radio', 'half');
  await tap('button', 'Laid now');
  expect(taps()).toBeLessThanOrEqual(4);
  await expect(page.getByRole('tab', { name: 'part 1, 50 %' })).toBeVisible();
  // The rest stays planned: in Today, and under the hand.
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(
    page.getByRole('link', { name: /^jars, Two Evenings: bare, takes the rest of the block-in/ }),
  ).toBeVisible();
  await page.clock.fastForward(2 * DAY_MS);
  await page.getByRole('link', { name: /^jars, Two Evenings: bare/ }).click();
  await page.getByRole('button', { name: 'Lay the rest' }).click();
  await page.getByRole('button', { name: 'Laid now' }).click();
  await expect.poll(async () => (await painting(page)).events.length).toBe(2);
  expect((await painting(page)).events.map((e) => e.spot?.name ?? null)).toEqual(['part 1', null]);
  // Corrected: it was laid the evening before, into what was still open, and the two are one.
  await page
    .getByRole('button', { name: /^Laid block-in, .*: correct/ })
    .first()
    .click();
  await page.getByLabel('Day and time').fill('10 Feb 2026, 18:40');
  await page.getByRole('button', { name: 'Keep the correction' }).click();
  await expect(page.getByText(/one with the part before/)).toBeVisible();
  await expect(page.getByRole('tab', { name: 'part 1, 50 %' })).toHaveCount(0);
});

test('a forgotten coat is entered four days later, under the one that went into it', async ({
  page,
}) => {
  await startPainting(page, 'Forgotten', /Direct start/);
  await section(page, 'jars');
  await page.getByRole('button', { name: 'Overpainting, planned' }).click();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await page.getByRole('button', { name: 'Laid now' }).click();
  await page.clock.fastForward(4 * DAY_MS);
  await page.getByRole('button', { name: 'Block-in, planned' }).click();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await page.getByRole('radio', { name: 'earlier' }).click();
  await page.getByLabel('Day and time').fill('10 Feb 2026, 16:00');
  await page.getByRole('button', { name: 'Laid then' }).click();
  await expect(page.getByRole('button', { name: /^Block-in \+ overpainting, / })).toBeVisible();
  await expect(page.getByText('Laid overpainting, into the wet')).toBeVisible();
  // A year that was mistyped is asked about before it is kept.
  await page.getByRole('button', { name: /^Laid block-in, .*: correct/ }).click();
  await page.getByLabel('Day and time').fill('10 Feb 2016, 16:00');
  await page.getByRole('button', { name: 'Keep the correction' }).click();
  await expect(page.getByText('That is 10 years ago. Is it meant so?')).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
});

test('in a session: half put down and taken up, a wipe across an edge, a dab, the same again', async ({
  page,
}) => {
  await startPainting(page, 'Busy Evening', /Oil underpainting/);
  await page.getByRole('link', { name: 'Today' }).click();
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await page.clock.fastForward(HOUR_MS / 2);
  // The tone is all over; wiped clean on the jars, a trace left on the wall, in one gesture.
  const wipe = counted(page);
  await wipe.tap('button', 'Wiped, scraped, painted out');
  await page
    .getByRole('radiogroup', { name: 'jars', exact: true })
    .getByText('clean', { exact: true })
    .click();
  await page
    .getByRole('radiogroup', { name: 'wall', exact: true })
    .getByText('a trace', { exact: true })
    .click();
  await wipe.tap('button', 'Note it');
  await expect
    .poll(async () => (await painting(page)).events.map((e) => e.kind))
    .toEqual(['laid', 'reduced', 'reduced']);
  await expect(page.getByRole('button', { name: /^Same again: wiped, jars, wall/ })).toBeVisible();
  const dab = counted(page);
  await dab.tap('button', 'A dab');
  await dab.tap('checkbox', 'wall');
  await dab.tap('button', 'Dab now');
  expect(dab.taps()).toBe(3);
  await expect(page.getByRole('button', { name: 'Same again: dab, wall' })).toBeVisible();
  // One step back takes the dab and its work together.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /^Same again: wiped/ })).toBeVisible();
  // Put down is not done: half of another coat, and it can be taken up again.
  await page.getByRole('button', { name: 'Work on something else' }).click();
  await page.getByRole('button', { name: 'Busy Evening', exact: true }).click();
  await page.getByRole('button', { name: /^Body colour: jars/ }).click();
  await page.getByRole('button', { name: 'Take up', exact: true }).last().click();
  await page.getByRole('button', { name: 'Put down' }).click();
  await page.getByRole('button', { name: 'Half of it' }).click();
  const asked = page.getByRole('dialog').getByRole('button', { name: 'Laid now' });
  // On paint that is not ready it says so first.
  if (await asked.isVisible().catch(() => false)) await asked.click();
  await expect(page.getByText(/% laid$/)).toBeVisible();
  await page.getByRole('button', { name: 'End', exact: true }).click();
  await page.getByRole('button', { name: 'End it' }).click();
  await expect(page.getByText(/not finished/).first()).toBeVisible();
});

test('highlights are spots on the dry, a part is repainted, a passage comes in week three', async ({
  page,
}) => {
  await startPainting(page, 'Week Three', /Direct start/);
  await section(page, 'jars');
  await page.getByRole('button', { name: 'Lay it' }).click();
  await page.getByRole('button', { name: 'Laid now' }).click();
  await page.clock.fastForward(20 * DAY_MS);
  // Set paint is scraped, not wiped, on a part of it; the repaint is planned there and nowhere else.
  await page.getByRole('button', { name: /^Block-in, (touch|through)-dry/ }).click();
  await page.getByRole('button', { name: 'Wiped, scraped, painted out' }).click();
  await page.getByRole('radio', { name: 'wiped' }).click();
  await page.getByRole('radio', { name: 'clean' }).click();
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText(/had set by then and does not wipe off/)).toBeVisible();
  await page.getByRole('radio', { name: 'scraped' }).click();
  await page.getByRole('radio', { name: 'a part or spot' }).click();
  await page.getByLabel('The part, as you call it').fill('the lid');
  await page.getByRole('checkbox', { name: 'Plan it there once more' }).click();
  await page.getByRole('button', { name: 'Note it' }).click();
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(
    page.getByRole('link', { name: /^jars: the lid, Week Three: .*takes the block-in again/ }),
  ).toBeVisible();
  // A subject is added; what lay there lies on it.
  await page.getByRole('link', { name: 'Paintings' }).click();
  await page.getByRole('link', { name: 'Week Three' }).click();
  await page.getByRole('link', { name: /About this painting/ }).click();
  await page.getByRole('button', { name: 'Cut one out of it: jars' }).click();
  await page.getByLabel('Its name').fill('spoon');
  await page.getByRole('button', { name: 'Cut it out' }).click();
  await expect
    .poll(async () => (await painting(page)).passages.map((p) => p.name))
    .toEqual(['jars', 'spoon', 'wall']);
  await page.getByRole('button', { name: 'Back' }).click();
  await section(page, 'spoon');
  await expect(page.getByRole('button', { name: /^Block-in, (touch|through)-dry/ })).toBeVisible();
  // Laid on the next passage too in three taps, and again in two.
  const also = counted(page);
  await page.getByRole('tab', { name: 'jars' }).click();
  await page.getByRole('button', { name: /^Block-in, (touch|through)-dry/ }).click();
  await also.tap('button', 'On another passage too');
  await also.tap('radio', 'wall');
  await also.tap('button', 'Laid now');
  expect(also.taps()).toBe(3);
  const again = counted(page);
  await again.tap('button', 'Lay it again');
  await again.tap('button', 'Laid now');
  expect(again.taps()).toBe(2);
  await expect(page.getByText('More of block-in')).toBeVisible();
});

test('a picture is finished, waits for its varnish, and is gone; nothing of it is deleted', async ({
  page,
}) => {
  await startPainting(page, 'Off the Easel', /Direct start/);
  await section(page, 'jars');
  await page.getByRole('button', { name: 'Lay it' }).click();
  await page.getByRole('button', { name: 'Laid now' }).click();
  await page.getByRole('button', { name: 'Back' }).click();
  const put = async (where: string) => {
    await page.getByRole('link', { name: /About this painting/ }).click();
    await page.getByRole('radio', { name: where, exact: true }).click();
    if (where === 'gone') await page.getByLabel('To whom, or where').fill('a friend, by the sea');
    await page.getByRole('button', { name: 'Put it there' }).click();
  };
  await put('finished');
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(page.getByText('Nothing takes a coat now.')).toBeVisible();
  await page
    .getByRole('link', { name: /^Off the Easel: Final varnish: modern resin from/ })
    .click();
  await put('gone');
  await page.getByRole('link', { name: 'Paintings' }).click();
  await expect(page.getByText(/^Gone .*, to a friend, by the sea$/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/^Gone .*, to a friend, by the sea$/)).toBeVisible();
  expect((await painting(page)).events).toHaveLength(1);
});
