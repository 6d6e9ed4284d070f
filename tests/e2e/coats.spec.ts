import { expect, savedFile, startPainting, stored, test } from './studio';

interface Kept {
  coats: { id: string; name: string; recipe: { mix: { pigment: string; binder: string }[] } }[];
  school: string;
  touches: unknown[];
}
const painting = async (page: Parameters<typeof stored>[0]): Promise<Kept> =>
  Object.entries(await stored(page)).find(([key]) => key.startsWith('painting:'))![1] as Kept;

test('a coat is planned like the last one, moved, given another binder, and taken out again', async ({
  page,
}) => {
  await startPainting(page, 'Planning', /Direct start/);
  const names = async () => (await painting(page)).coats.map((c) => c.name);
  const before = await names();
  await page.getByRole('button', { name: 'Add a coat' }).click();
  await page.getByLabel('Name of the coat').fill('Veil');
  await expect(page.getByRole('button', { name: 'Keep' })).toBeDisabled();
  await page
    .getByRole('button', { name: /: the same mix$/ })
    .first()
    .click();
  await page
    .getByRole('button', { name: /^Binder of .*: linseed, change/ })
    .first()
    .click();
  await page.getByRole('radio', { name: 'walnut' }).click();
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByRole('link', { name: /^Veil, the whole surface, planned/ })).toBeVisible();
  await expect.poll(names).toEqual([...before, 'Veil']);
  expect((await painting(page)).coats.at(-1)!.recipe.mix[0]!.binder).toBe('walnut');

  // Put in order by keys on its handle, or dragged by it.
  const handle = page.getByRole('button', { name: /^Move Veil/ });
  await handle.press('ArrowUp');
  await expect.poll(async () => (await names()).indexOf('Veil')).toBe(before.length - 1);
  await handle.press('ArrowUp');
  await expect.poll(async () => (await names()).indexOf('Veil')).toBe(before.length - 2);
  await page.getByRole('link', { name: /^Veil/ }).click();
  await expect.poll(names).not.toEqual([...before, 'Veil']);
  await page.getByRole('button', { name: 'Out of the plan' }).click();
  await expect(page.getByRole('link', { name: /^Veil/ })).toHaveCount(0);
  await expect.poll(names).toEqual(before);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: /^Veil/ })).toBeVisible();
});

test('another school is followed: its rule is told and its measure drawn', async ({ page }) => {
  await startPainting(page, 'Schools', /Oil underpainting/);
  await expect(page.getByRole('radio', { name: 'Added oil' })).toBeChecked();
  await page.getByRole('radio', { name: 'Spare binder' }).click();
  await expect(
    page.getByText(/at least as much binder beyond what its pigments need/),
  ).toBeVisible();
  await expect(page.getByText('width: binder beyond need')).toBeVisible();
  await expect.poll(async () => (await painting(page)).school).toBe('binder-excess');
});

test('where schools part, the section names the ones that see it otherwise', async ({ page }) => {
  await startPainting(page, 'Parting', /Oil underpainting/);
  await page.getByRole('link', { name: 'jars: open the section' }).click();
  await page.getByRole('button', { name: 'Body colour, planned' }).click();
  await expect(page.getByRole('heading', { name: /has (more|as much) oil added/ })).toBeVisible();
  await page.getByRole('button', { name: 'Figures' }).click();
  const table = page.getByRole('table', { name: 'Figures of the films' });
  await expect(table.getByRole('row', { name: /Body colour .*\d+/ })).toBeVisible();
  await expect(table.getByRole('row')).toHaveCount(6);
});

test('acrylic over oil is refused in words while the coat is edited', async ({ page }) => {
  await startPainting(page, 'Never', /Direct start/);
  await page.getByRole('link', { name: /^Overpainting, jars/ }).click();
  for (const name of ['stand oil', 'mineral spirits'])
    await page.getByRole('button', { name: `Take out ${name}` }).click();
  for (const name of ['Titanium white', 'Yellow ochre', 'Burnt sienna']) {
    await page.getByRole('button', { name: `Binder of ${name}: linseed, change` }).click();
    await page.getByRole('radio', { name: 'acrylic' }).click();
  }
  await expect(page.getByText(/is acrylic: it does not hold on oil, ever/).first()).toBeVisible();
});

test('over an old painting: acrylic is ruled out, the first film cannot be judged, the couch takes the paint', async ({
  page,
}) => {
  await page.goto('/paintings/new');
  await page.getByLabel('Title').fill('Over');
  await page.getByRole('radio', { name: /Oil over an old oil painting/ }).click();
  await expect(page.getByRole('radio', { name: 'old oil painting', exact: true })).toBeChecked();
  await page.getByLabel('Last painted on, about').fill('2019-04-01');
  await page.getByRole('radio', { name: /Acrylic underpainting/ }).click();
  await expect(page.getByText(/Acrylic does not hold on oil/)).toBeVisible();
  await page.getByRole('radio', { name: /Oil over an old oil painting/ }).click();
  await page.getByRole('button', { name: 'Lay out the coats' }).click();
  await page.getByRole('link', { name: 'subject: open the section' }).click();
  await page.getByRole('button', { name: 'Block-in, planned' }).click();
  await expect(
    page.getByRole('heading', { name: /until the oil of the old painting below is known/ }),
  ).toBeVisible();
  // The couch is laid first, then the paint goes into it.
  await page.getByRole('button', { name: 'Lay it' }).click();
  await expect(page.getByRole('dialog', { name: 'Lay couch' })).toBeVisible();
  await page.getByRole('button', { name: 'Laid now' }).click();
  await expect(page.getByRole('button', { name: 'Couch, open' })).toBeVisible();
  await page.getByRole('button', { name: 'Block-in, planned' }).click();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await expect(page.getByRole('radio', { name: 'into the wet' })).toBeChecked();
  await page.getByRole('button', { name: 'Laid now' }).click();
  await expect(page.getByRole('button', { name: 'Block-in, open' })).toBeVisible();
});

test('an open couch takes the block-in into the wet, and the two are one film', async ({
  page,
}) => {
  await page.goto('/paintings/new');
  await page.getByLabel('Title').fill('Couch');
  await page.getByRole('radio', { name: /Direct start/ }).click();
  await page.getByRole('button', { name: 'Lay out the coats' }).click();
  await page.getByRole('button', { name: 'Add a coat' }).click();
  await page.getByLabel('Name of the coat').fill('Couch');
  // A couch is oil alone, rubbed on, before the paint that goes into it.
  await page.getByRole('radio', { name: 'oiling-out' }).click();
  await page.getByRole('radio', { name: 'before a planned coat' }).click();
  await page.getByRole('button', { name: 'Keep' }).click();
  await page.getByRole('link', { name: 'subject: open the section' }).click();
  await page.getByRole('button', { name: 'Couch, planned' }).click();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await page.getByRole('button', { name: 'Laid now' }).click();
  await expect(page.getByRole('button', { name: 'Couch, open' })).toBeVisible();
  await page.getByRole('button', { name: 'Block-in, planned' }).click();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await expect(page.getByRole('radio', { name: 'into the wet' })).toBeChecked();
  await page.getByRole('button', { name: 'Laid now' }).click();
  // Named by the paint, not by the couch it went into.
  await expect(page.getByRole('button', { name: 'Block-in, open' })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Couch/ })).toHaveCount(0);
});

test('title, shares and neighbours are changed; one painting goes out as a file', async ({
  page,
}) => {
  await startPainting(page, 'Particulars', /Three stages/);
  await page.getByRole('link', { name: /About this painting/ }).click();
  await page.getByLabel('Title', { exact: true }).fill('Renamed Jars');
  await page.getByRole('textbox', { name: 'Share of passage 1, %' }).fill('55');
  await expect(page.getByText('The shares make 115 %; they must make 100 %.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Keep these changes' })).toBeDisabled();
  await page.getByRole('textbox', { name: 'Share of passage 2, %' }).fill('45');
  await page.getByRole('checkbox', { name: 'jars and wall' }).click();
  await page.getByRole('button', { name: 'Keep these changes' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Renamed Jars' })).toBeVisible();
  await expect.poll(async () => (await painting(page)).touches).toEqual([]);
  await page.getByRole('link', { name: /About this painting/ }).click();
  const file = await savedFile(page, 'Export this painting');
  expect(file.name).toBe('renamed-jars.tawny.json');
  expect(JSON.parse(file.text)).toMatchObject({
    kind: 'painting',
    studio: null,
    paintings: [{ title: 'Renamed Jars' }],
  });
});

test('painted out: a covering coat stands first in the plan of that passage', async ({ page }) => {
  await startPainting(page, 'Covering', /Direct start/);
  await page.getByRole('link', { name: 'wall: open the section' }).click();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await page.getByRole('radio', { name: 'a day ago' }).click();
  await page.getByRole('button', { name: 'Laid then' }).click();
  await page.getByRole('button', { name: /^Block-in, (open|setting|tacky)/ }).click();
  await page.getByRole('button', { name: 'Wiped, scraped, painted out' }).click();
  await page.getByRole('radiogroup', { name: 'It was' }).getByText('painted out').click();
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByRole('button', { name: /^Cover, planned/ })).toBeVisible();
  await page.getByRole('button', { name: /^Painted out, .*: correct/ }).click();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByRole('button', { name: /^Painted out, .*: correct/ })).toHaveCount(0);
});

test('everything can be reached and pressed with keys', async ({ page }) => {
  await startPainting(page, 'Keys', /Direct start/);
  const link = page.getByRole('link', { name: 'jars: open the section' });
  await link.focus();
  await page.keyboard.press('Enter');
  const label = page.getByRole('button', { name: 'Overpainting, planned' });
  await label.focus();
  await page.keyboard.press('Enter');
  await expect(label).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Lay it' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'Lay overpainting' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('an address that leads nowhere says so and leads back', async ({ page }) => {
  for (const path of [
    '/paintings/none',
    '/paintings/none/x',
    '/paintings/none/coats/y',
    '/somewhere',
  ]) {
    await page.goto(path);
    await expect(page.getByRole('heading', { name: 'Not here' })).toBeVisible();
  }
  await page.getByRole('button', { name: 'To the paintings' }).click();
  await expect(page.getByText('Nothing on the easel.')).toBeVisible();
});
