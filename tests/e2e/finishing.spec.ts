import { readFile } from 'node:fs/promises';
import AxeBuilder from '@axe-core/playwright';
import type { Download, Page } from '@playwright/test';
import { ago, coat, made, making, NOW_MS, openWith, paint, tube } from './imported';
import { layCoat } from '../../src/core/painting/events';
import { importFile, expect, stored, takeIn, test } from './studio';

/** The last tenth of a picture, from a studio that is imported: at both sizes, with axe on every part. */
const body = coat('Body colour', paint(40, [tube('titanium-white'), tube('lead-white')]));
const painting = made('Last, Tenth', [{ is: body, ago: 40 }]);
const AT = `/paintings/${painting.id}`;

const part = (page: Page, name: string) => page.getByRole('radio', { name, exact: true }).click();

async function axe(page: Page, where: string): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  const grave = violations.filter((v) => v.impact === 'serious' || v.impact === 'critical');
  expect
    .soft(
      grave.map((v) => `${v.id}: ${v.nodes[0]!.html.slice(0, 300)}`),
      where,
    )
    .toEqual([]);
  const over = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect.soft([where, over]).toEqual([where, 0]);
}

const bytesOf = async (download: Download): Promise<Buffer> => readFile(await download.path());

test.beforeEach(async ({ page }) => {
  await page.clock.install({ time: new Date(NOW_MS) });
  await page.goto('/');
});

test('looked over, what bothers is sorted and mended, left a week, tested, varnish planned', async ({
  page,
}) => {
  await openWith(page, painting);
  await page.goto(AT);
  await page.getByRole('link', { name: 'Finish', exact: true }).click();
  await page.getByRole('radio', { name: 'in a mirror' }).click();
  await page.getByRole('button', { name: 'Begin looking' }).click();
  await expect(page.getByRole('button', { name: 'The look is over' })).toBeDisabled();
  await axe(page, 'a look');
  for (const square of await page.getByRole('checkbox').all())
    if ((await square.getAttribute('aria-checked')) === 'false') await square.click();
  await page.getByLabel('What bothers').fill('The edge of the jar, left, is too hard');
  await page.getByRole('radio', { name: 'edge', exact: true }).click();
  await page.getByRole('radio', { name: 'it is seen first' }).click();
  await page.getByRole('radio', { name: 'jars', exact: true }).click();
  // Half typed it is there again after a reload, and so is the look.
  await expect.poll(async () => JSON.stringify(await stored(page))).toContain('too hard');
  await page.reload();
  await expect(page.getByLabel('What bothers')).toHaveValue(/too hard/);
  await page.getByRole('button', { name: 'Note it' }).click();
  await page.getByRole('button', { name: 'The look is over' }).click();
  await expect(page.getByText(/One look so far; the last in a mirror/)).toBeVisible();

  await part(page, 'what bothers');
  await expect(page.getByRole('heading', { name: 'A coat mends it' })).toBeVisible();
  await axe(page, 'what bothers');
  await page.getByRole('button', { name: /^Plan a coat/ }).click();
  await expect(page.getByText('Planned.')).toBeVisible();
  await page.getByRole('button', { name: 'Open the coat' }).click();
  await expect(page.getByText('Mix, in parts')).toBeVisible();
  await page.goto(`${AT}/finish`);
  await part(page, 'what bothers');
  await page.getByRole('button', { name: /^Decide otherwise/ }).click();
  await page.getByRole('button', { name: 'So be it' }).click();
  await expect(page.getByRole('heading', { name: 'Leave it' })).toBeVisible();

  await part(page, 'when to stop');
  await page.getByRole('radio', { name: /nothing bothers in two looks/ }).click();
  await expect(
    page.getByText(/One look found nothing to mend. The second counts from 17 Mar 2026/),
  ).toBeVisible();
  await axe(page, 'when to stop');
  // On paper: what it says, without the ways to other pages, and as long as it is.
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden();
  await expect(page.getByRole('heading', { name: 'When to stop' })).toBeVisible();
  await page.emulateMedia({ media: 'screen' });
  await page.getByRole('button', { name: 'Leave it a week' }).click();
  await expect(page.getByText(/^Resting until 17 Mar 2026/)).toBeVisible();
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(
    page.getByRole('link', { name: /^Look again at Last, Tenth, 17 Mar 2026/ }),
  ).toBeVisible();

  await page.goto(`${AT}/finish`);
  await part(page, 'varnish');
  await expect(page.getByRole('heading', { name: /^Final varnish/ })).toBeVisible();
  await page.getByRole('radio', { name: /water-borne/ }).click();
  await expect(page.getByRole('button', { name: 'Plan this varnish' })).toBeDisabled();
  await page.getByRole('radio', { name: /natural resin/ }).click();
  await page.getByRole('button', { name: 'no dent, or it closes: Thumbnail' }).click();
  await page.getByLabel('On which colour or dab').fill('white');
  await page.getByRole('button', { name: 'colour on it: Swab', exact: true }).click();
  await expect(page.getByText(/Swab: failed, 10 Mar 2026 on white/)).toBeVisible();
  await expect(page.getByText(/A test failed: it is repeated from 9 Apr 2026/)).toBeVisible();
  await page.getByRole('button', { name: 'Take the result back: Swab' }).click();
  await expect(page.getByText('Swab: not made yet')).toBeVisible();
  await axe(page, 'varnish');
  await page.getByRole('button', { name: 'Plan this varnish' }).click();
  await expect(page.getByText(/is among the coats of this painting/)).toBeVisible();

  await part(page, 'frame and road');
  await page.getByRole('checkbox', { name: 'Behind glass' }).click();
  await expect(page.getByText(/It stands out by|It goes in/)).toBeVisible();
  await page.getByRole('button', { name: 'It has to travel' }).click();
  await expect(page.getByText(/On that day/)).toBeVisible();
  await axe(page, 'frame and road');
});

test('record, label, tables and drawings are saved and come back; a sale is reckoned; the air is told', async ({
  page,
}) => {
  const laidTwice = layCoat(
    {
      ...painting,
      coats: [...painting.coats, { ...painting.coats[0]!, id: 'more', name: 'Lights' }],
    },
    {
      coatId: 'more',
      passageIds: painting.passages.map((p) => p.id),
      at: ago(2),
      spot: null,
      intoWet: false,
    },
    making(ago(2)),
  );
  await openWith(page, laidTwice);
  await page.goto(`${AT}/papers`);
  await page.getByLabel('Painted by, on label and record').fill('A. N., painter');
  await axe(page, 'the record');
  const save = async (name: string) => {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name, exact: true }).click();
    return download;
  };
  const record = await save('Save the record');
  expect(record.suggestedFilename()).toBe('last-tenth-record.pdf');
  const pdf = await bytesOf(record);
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  expect((await bytesOf(await save('Save the label'))).subarray(0, 5).toString()).toBe('%PDF-');
  const coats = await bytesOf(await save('Coats'));
  expect(coats.toString()).toContain('"Last, Tenth"');
  const svg = await bytesOf(await save('All passages'));

  // Taken down, it comes back from the page that a person reads.
  await page.goto(`${AT}/about`);
  await page.getByRole('button', { name: 'Take it down' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Take it down' }).click();
  await expect
    .poll(async () => Object.keys(await stored(page)))
    .not.toContain(`painting:${painting.id}`);
  await page.goto('/settings');
  await importFile(page, pdf, 'last-tenth-record.pdf');
  await takeIn(page);
  await page.goto(AT);
  await expect(page.getByRole('heading', { level: 1, name: 'Last, Tenth' })).toBeVisible();
  await page.goto('/settings');
  for (const [name, buffer] of [
    ['columns.svg', svg],
    ['coats.csv', coats],
  ] as const) {
    await importFile(page, buffer, name);
    await expect(page.getByText('Nothing that is not here already.')).toBeVisible();
    await page.getByRole('button', { name: 'Cancel' }).click();
  }
  await importFile(page, Buffer.from('a,b\n1,2'), 'strange.csv');
  await expect(page.getByText(/no table of log, tests or coats/)).toBeVisible();

  await page.goto(`${AT}/costs`);
  await page.getByRole('radio', { name: 'frame', exact: true }).click();
  await page.getByLabel('Amount').fill('24,50');
  await page.getByLabel('Amount').blur();
  await page.getByRole('button', { name: 'Note the cost' }).click();
  await expect(page.getByRole('heading', { name: 'It has cost 24.50' })).toBeVisible();
  await page.getByLabel('Sold to').fill('a visitor, at the spring show');
  await page.getByLabel('Paid by the buyer').fill('600');
  await page.getByLabel('Commission of the gallery, %').fill('40');
  await axe(page, 'time and money');
  await page.getByRole('button', { name: 'Note the sale' }).click();
  await expect(
    page.getByText(/Got 600.00, commission 240.00, cost 24.50: 335.50 are left/),
  ).toBeVisible();

  await page.goto('/money');
  await page.getByLabel('Currency, three letters').fill('eur');
  await page.getByLabel('Currency, three letters').blur();
  await expect(page.getByRole('cell', { name: '€335.50' })).toBeVisible();
  await page.getByRole('button', { name: 'A new brush' }).click();
  await page.getByLabel('Name of the brush').fill('Rigger, the long one');
  await page.getByRole('button', { name: 'Note the brush' }).click();
  await expect(page.getByText('Rigger, the long one, filbert, 10 mm')).toBeVisible();
  await axe(page, 'money');

  await page.goto('/air');
  await page.getByRole('radio', { name: 'turpentine' }).click();
  await expect(
    page.getByRole('heading', { name: /^Turpentine: .* where you stand/ }),
  ).toBeVisible();
  await expect(page.getByText(/the strictest/).first()).toBeVisible();
  await axe(page, 'air');
});
