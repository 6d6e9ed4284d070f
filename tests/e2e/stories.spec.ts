import { expect, openPlace, startPainting, stored, test } from './studio';
import type { Page } from '@playwright/test';

/** Days at the easel as they really go, from an empty studio. Taps are counted where they are promised. */
const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

interface Kept {
  title: string;
  passages: { name: string; share: number }[];
  coats: { id: string; name: string; passageIds: string[] }[];
  events: {
    kind: string;
    at: string;
    spot: { name: string } | null;
    intoWet?: boolean;
    except?: string[];
  }[];
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
    async fill(label: string, text: string) {
      taps += 1;
      await page.getByLabel(label, { exact: true }).fill(text);
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

test('a painting of seven passages, a coat of four paints, a highlight on wet paint, a touch: in few taps', async ({
  page,
}) => {
  await page.goto('/');
  const start = counted(page);
  await start.tap('button', 'Start a painting');
  await start.fill('Title', 'Harbour, low tide; a long one, with commas');
  const names = ['sky, upper', 'far hills', 'boats', 'the water', 'jetty', 'nets', 'gulls'];
  for (const [i, name] of names.entries()) {
    if (i > 1) await start.tap('button', 'Another passage');
    await start.fill(`Passage ${i + 1}`, name);
  }
  await start.tap('radio', /Direct start/);
  await start.tap('button', 'Lay out the coats');
  await expect(page.getByRole('heading', { level: 1, name: /^Harbour/ })).toBeVisible();
  expect(start.taps()).toBeLessThanOrEqual(18);
  const { passages } = await painting(page);
  expect(passages.map((p) => p.name)).toEqual(names);
  expect(passages.reduce((sum, p) => sum + p.share, 0)).toBeCloseTo(1, 2);

  const coat = counted(page);
  await coat.tap('button', 'Add a coat');
  for (const paint of [/^Titanium white/, /^Yellow ochre/, /^Burnt sienna/, /^Ultramarine/]) {
    await coat.tap('button', 'Add a paint');
    await page.getByRole('dialog').getByRole('button', { name: paint }).first().click();
    await expect(page.getByRole('dialog')).toHaveCount(0);
  }
  await coat.tap('button', 'Keep');
  // Each paint was one tap more.
  expect(coat.taps() + 4).toBeLessThanOrEqual(14);

  // Laid on the boats, and the last light goes into it while it is wet.
  await section(page, 'boats');
  await page.getByRole('button', { name: 'Lay it', exact: true }).click();
  await page.getByRole('button', { name: 'Laid now' }).click();
  await page.clock.fastForward(HOUR_MS);
  const { coats } = await painting(page);
  await page
    .getByRole('button', { name: new RegExp(`^${coats.at(-1)!.name}, planned`) })
    .first()
    .click();
  const light = counted(page);
  await light.tap('button', 'Lay it');
  await light.tap('radio', 'a part or spot');
  await light.fill('The part, as you call it', 'rim of the hull');
  await light.tap('button', 'Laid now');
  expect(light.taps()).toBe(4);
  await expect.poll(async () => (await painting(page)).events.length).toBe(2);
  expect((await painting(page)).events.at(-1)).toMatchObject({
    intoWet: true,
    spot: { name: 'rim of the hull' },
  });
  await expect(page.getByRole('tab', { name: /^rim of the hull/ })).toBeVisible();

  await page.clock.fastForward(2 * DAY_MS);
  const touch = counted(page);
  await touch.tap('link', 'Touch');
  await touch.tap('radio', /^tacky/);
  await touch.tap('button', 'Note it');
  expect(touch.taps()).toBe(3);
  await expect(page.getByText(/tacky, noted/)).toBeVisible();
  // This morning, not now.
  await page.getByRole('radio', { name: /^wet:/ }).click();
  await page.getByRole('button', { name: /At another hour/ }).click();
  await page.getByRole('radio', { name: 'earlier' }).click();
  await page.getByLabel('Day and time').fill('12 Feb 2026, 8:15');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect
    .poll(async () => (await painting(page)).events.map((e) => e.at))
    .toContain('2026-02-12T07:15:00.000Z');
});

test('a tone is laid too late, and the week that follows moves', async ({ page }) => {
  const planOf = async () =>
    ((await stored(page))['plan:plan'] as { last: { id: string; at: string }[] } | undefined)
      ?.last ?? [];
  await startPainting(page, 'Late Tone', /Oil underpainting/);
  await openPlace(page, 'Plan');
  await expect(page.getByText('This plan stands.')).toBeVisible();
  const [tone] = (await painting(page)).coats;
  const toneAt = async () => (await planOf()).find((w) => w.id.includes(`/${tone!.id}`))?.at ?? '';
  expect((await toneAt()).slice(0, 10)).toBe('2026-02-10');
  const starts = async () => (await planOf()).map((w) => w.at).sort();
  const nextBefore = (await starts()).find((at) => at > '2026-02-11')!;
  // Three evenings pass: it moves on by itself, and what comes after it does.
  await page.clock.fastForward(3 * DAY_MS);
  await expect.poll(toneAt).toMatch(/^2026-02-1[3-6]/);
  const toneMs = Date.parse(await toneAt());
  const nextAfter = (await starts()).find((at) => Date.parse(at) > toneMs + DAY_MS)!;
  expect(nextAfter > nextBefore).toBe(true);
  await page.getByRole('link', { name: 'Paintings' }).click();
  await page.getByRole('link', { name: /^Late Tone/ }).click();
  await section(page, 'jars');
  await page.getByRole('button', { name: 'Lay it', exact: true }).click();
  await page.getByRole('button', { name: 'Laid now' }).click();
  await page.getByRole('link', { name: 'Today' }).click();
  const row = page.getByRole('link', { name: /Late Tone: open till/ });
  await expect(row).toBeVisible();
  await openPlace(page, 'Plan');
  await expect.poll(toneAt).toBe('');
  // Nothing stands before the tone is dry to the touch at the chance that was asked for: not the next evening.
  const [first] = await starts();
  expect(Date.parse(first!) - Date.parse('2026-02-13T18:00:00Z')).toBeGreaterThan(DAY_MS);
});
