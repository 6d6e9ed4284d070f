import { deflateSync } from 'node:zlib';
import crc32 from 'crc-32';
import { coat, made, NOW_MS, openWith, paint, tube } from './imported';
import { expect, openPlace, savedFile, stored, test } from './studio';

/** Colour through the coats, from a studio that is imported: the wedge, the search, swatches, strings, a photo. */

const STAND_OIL = [{ ingredient: 'stand-oil' as const, parts: 1 }];
const UNDERPAINTING = coat(
  'Underpainting',
  paint(60, [tube('titanium-white'), { ...tube('raw-umber'), parts: 0.4 }]),
  { role: 'underpainting' },
);
const GLAZE = coat('Blue glaze', paint(12, [tube('ultramarine-blue')], STAND_OIL, 0.85), {
  role: 'glaze',
  application: 'glaze',
});
const picture = made('Grey Jars, with "blue"', [
  { is: UNDERPAINTING, ago: 60 },
  { is: GLAZE, ago: null, on: 'jars' },
]);
/** The mix of its glaze on the bench, as it is kept while it is tried. */
const GLAZE_DRAFT = `draft:glaze:${picture.coats[1]!.id}`;
const GLAZE_BENCH = `/bench/glaze?painting=${picture.id.replaceAll('"', '%22')}`;

test.beforeEach(async ({ page }) => {
  await page.clock.install({ time: new Date(NOW_MS) });
  await page.goto('/');
});

test('the coat editor shows every passage before and after, and leads to the bench', async ({
  page,
}) => {
  await openWith(page, picture);
  await page.getByRole('link', { name: /^jars, Grey Jars/ }).click();
  await page.getByRole('button', { name: 'Edit the coat' }).click();
  const look = page.getByRole('img', { name: /^jars: value \d\.\d before, \d\.\d after/ });
  await expect(look).toHaveAccessibleName(/darker.*turns blue|darker.*cooler/);
  await page.getByRole('button', { name: 'Try its thickness on the bench' }).click();
  const slider = page.getByRole('slider', { name: 'Thickness of the film' });
  await expect(slider).toHaveAttribute('aria-valuenow', '12');
  // The wedge is the control: keys and finger move it, and what is said moves with it.
  await slider.focus();
  await page.keyboard.press('PageUp');
  await expect(slider).toHaveAttribute('aria-valuenow', '17');
  await expect(slider).toHaveAttribute('aria-valuetext', /^17 µm, jars: .*darker/);
  const box = (await slider.boundingBox())!;
  await page.mouse.click(box.x + box.width * 0.95, box.y + 20);
  expect(Number(await slider.getAttribute('aria-valuenow'))).toBeGreaterThan(50);
  // What was tried stays over a reload.
  await expect
    .poll(async () => JSON.stringify((await stored(page))[GLAZE_DRAFT] ?? null))
    .toMatch(/"thicknessUm":5\d/);
  await page.reload();
  await expect(slider).toHaveAttribute('aria-valuenow', /5\d/);
  await page.getByRole('radio', { name: /^over wall/ }).click();
  await expect(page.getByRole('img', { name: /^wall: value/ })).toBeVisible();
});

test('a glaze is looked for, planned, seen in the section, and laid', async ({ page }) => {
  await openWith(page, picture);
  await page.goto(`${GLAZE_BENCH}&passage=${picture.passages[1]!.id}`);
  await page.getByRole('button', { name: 'Less: Values lighter' }).click();
  await page.getByRole('button', { name: 'More: Warmer', exact: true }).click({ clickCount: 4 });
  await page.getByRole('button', { name: 'Look for it' }).click();
  await expect(page.getByRole('heading', { name: /reach/ })).toBeVisible();
  await expect(page.getByText(/^In values: .* jars \(now /).first()).toBeVisible();
  await page.getByRole('button', { name: 'Plan it', exact: true }).first().click();
  await expect(page.getByRole('button', { name: 'Planned' })).toBeVisible();
  await openPlace(page, 'Today');
  await page.getByRole('link', { name: /^wall, Grey Jars/ }).click();
  await expect(page.getByText('Glaze', { exact: true }).first()).toBeVisible();
  await expect(
    page.getByText(/^Value \d\.\d with it, its colour an estimate from tables\./),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await page.getByRole('button', { name: 'Laid now' }).click();
  await expect
    .poll(async () => {
      const doc = (await stored(page))[`painting:${picture.id}`] as typeof picture;
      return doc.events.filter((e) => e.kind === 'laid').length;
    })
    .toBe(2);
});

test('no glaze lightens: the mix to paint it with is told', async ({ page }) => {
  await openWith(page, picture);
  await page.goto(`${GLAZE_BENCH}&passage=${picture.passages[1]!.id}`);
  await page.getByRole('radio', { name: 'by figures' }).click();
  const field = page.getByLabel('#rrggbb, or L* a* b*', { exact: true });
  await field.fill('95, 2');
  await expect(page.getByText('Write it as #8f4a16, or as 52 18 30.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Look for it' })).toBeDisabled();
  await field.fill('93 0 6');
  await page.getByRole('button', { name: 'Less: Medium at most, share of the mixture' }).click();
  await page.getByRole('radio', { name: 'three' }).click();
  await page.getByRole('button', { name: 'Look for it' }).click();
  await expect(page.getByRole('heading', { name: /^Paint it|reach it/ }).first()).toBeVisible();
});

test('a paint is calibrated by its swatches, goes by them everywhere, and is undone', async ({
  page,
}) => {
  await openWith(page, picture);
  await page.goto('/cabinet');
  await page
    .getByRole('link', { name: /^Burnt sienna, PBr7/ })
    .first()
    .click();
  await expect(page.getByText(/^By general data for its pigment/)).toBeVisible();
  await page.getByRole('button', { name: 'Read my swatches' }).click();
  const sheet = page.getByRole('dialog', { name: /^Swatches of Burnt sienna/ });
  await sheet.getByLabel(/^masstone, opaque/).fill('26,5 20 20,5');
  await expect.poll(async () => JSON.stringify(await stored(page))).toContain('26,5 20 20,5');
  // Half read and interrupted: it waits.
  await page.goto('/cabinet');
  await page
    .getByRole('link', { name: /^Burnt sienna, PBr7/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Read my swatches' }).click();
  await expect(sheet.getByLabel(/^masstone, opaque/)).toHaveValue('26,5 20 20,5');
  await sheet.getByLabel(/^tint in white/).fill('68 19.5 19');
  await expect(sheet.getByText(/times stronger than usual/)).toBeVisible();
  await sheet.getByRole('button', { name: 'Go by these swatches' }).click();
  await expect(page.getByText('By your swatches of 10 March 2026.')).toBeVisible();
  // Beside the list, as on a wide screen, the paint has no address of its own: it is opened again.
  await page.goto('/cabinet');
  await page
    .getByRole('link', { name: /^Burnt sienna, PBr7/ })
    .first()
    .click();
  await expect(page.getByText('By your swatches of 10 March 2026.')).toBeVisible();
  await page.getByRole('button', { name: /^Go by the table/ }).click();
  await expect(page.getByText(/^By general data for its pigment/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('By your swatches of 10 March 2026.')).toBeVisible();
  // Patches of another paint are doubted, and the table stays.
  await page.getByRole('button', { name: 'Read new swatches' }).click();
  await sheet.getByLabel(/^masstone, opaque/).fill('20 20 -60');
  await sheet.getByLabel(/^tint in white/).fill('60 5 -45');
  await expect(sheet.getByText(/do not hang together/)).toBeVisible();
  await expect(sheet.getByRole('button', { name: 'Go by these swatches' })).toBeDisabled();
});

test('a string is put on the palette of the session, and leaves as files', async ({ page }) => {
  await openWith(page, picture);
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByRole('timer')).toBeVisible();
  await page.goto('/bench/strings');
  await expect(
    page.getByRole('img', { name: 'A string of 7 steps, value 1.3 to 8.5' }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Less: Steps' }).click();
  await expect(page.getByRole('img', { name: /^A string of 6 steps/ })).toBeVisible();
  await page.getByRole('button', { name: 'Put it on the palette' }).click();
  await expect(page.getByText('6 mixes are on the palette of this session.')).toBeVisible();
  const gpl = await savedFile(page, 'GPL file of the string');
  expect(gpl.text.split('\n').filter((l) => /^\s*\d+\s+\d+\s+\d+\t/.test(l))).toHaveLength(6);
  const csv = await savedFile(page, 'CSV file of the string');
  expect(csv.text.split('\r\n')[0]).toContain('parts_of_100,ml');
  expect((await savedFile(page, 'SVG file of the string')).text).toContain('<svg');
  expect((await savedFile(page, 'ASE file of the string')).bytes.subarray(0, 4).toString()).toBe(
    'ASEF',
  );
  await page.goto('/session');
  await expect(page.getByText('Step 6, value 8.5')).toBeVisible();
});

/** A PNG of one colour, as small as one can be made; PNG specification, W3C. */
function png(width: number, height: number, [r, g, b]: [number, number, number]): Buffer {
  const chunk = (type: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(type), data]);
    const out = Buffer.alloc(8);
    out.writeUInt32BE(data.length, 0);
    out.writeInt32BE(crc32.buf(body), 4);
    return Buffer.concat([out.subarray(0, 4), body, out.subarray(4)]);
  };
  const head = Buffer.alloc(13);
  head.writeUInt32BE(width, 0);
  head.writeUInt32BE(height, 4);
  head.set([8, 2, 0, 0, 0], 8);
  const row = Buffer.from([0, ...Array.from({ length: width }, () => [r, g, b]).flat()]);
  const pixels = Buffer.concat(Array.from({ length: height }, () => row));
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', head),
    chunk('IDAT', deflateSync(pixels)),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

test('the coat is shown on a photo of the passage; a broken file is refused in words', async ({
  page,
}) => {
  await openWith(page, picture);
  await page.goto(`${GLAZE_BENCH}&passage=${picture.passages[0]!.id}`);
  const choose = async (name: string, buffer: Buffer) => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: /^A(nother)? photo$/ }).click();
    await (await chooser).setFiles({ name, mimeType: 'image/png', buffer });
  };
  await choose('broken.png', Buffer.from('no picture'));
  await expect(page.getByText(/That file is no picture/)).toBeVisible();
  await choose('grey.png', png(60, 40, [120, 118, 116]));
  const photo = page.getByRole('application', { name: /^The photo of the picture/ });
  await photo.scrollIntoViewIfNeeded();
  const box = (await photo.boundingBox())!;
  for (const [x, y] of [
    [0.1, 0.1],
    [0.9, 0.1],
  ] as const)
    await photo.click({ position: { x: box.width * x, y: box.height * y } });
  // The third corner by keys: the cross begins in the middle.
  await photo.focus();
  for (let i = 0; i < 5; i++) await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/A picture of the change, not of the colour/)).toBeVisible();
  await page.getByRole('radio', { name: 'half as thick again' }).click();
  await expect(page.getByText(/darker/).last()).toBeVisible();
});

test('the map of values stands on the painting', async ({ page }) => {
  await openWith(page, picture);
  await page.goto(`/paintings/${encodeURIComponent(picture.id)}`);
  const table = page.getByRole('table', { name: 'Value of each passage' });
  await expect(table.getByRole('rowheader')).toHaveText(['wall', 'jars']);
  await expect(table.getByText('as it is')).toBeVisible();
});
