import exifr from 'exifr';
import { jpegWithPlace } from './jpeg';
import { expect, openPlace, startPainting, stored, test } from './studio';

const DAY_MS = 86_400_000;
const sessionsOf = async (page: Parameters<typeof stored>[0]) =>
  Object.entries(await stored(page)).flatMap(([key, doc]) =>
    key.startsWith('session:')
      ? [
          doc as {
            works: { done: boolean }[];
            endedAt: string | null;
            reached: string;
            note: string;
            photos: { id: string; width: number; height: number }[];
          },
        ]
      : [],
  );

test('a session in six taps, kept through a reload', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-02-10T09:00:00Z') });
  await startPainting(page, 'Six Taps', /Direct start/);
  await page.getByRole('link', { name: 'Today' }).click();
  await page.getByRole('button', { name: 'Begin', exact: true }).click(); // 1
  await expect(page.getByRole('timer')).toHaveText(/0:00:0/);
  await page.clock.fastForward(40 * 60_000);
  await expect(page.getByRole('timer')).toHaveText(/0:40:/);
  await expect.poll(async () => (await sessionsOf(page)).length).toBe(1);
  await page.reload();
  await expect(page.getByRole('timer')).toHaveText(/0:4\d:/);
  await page.getByRole('button', { name: 'Laid, done' }).click(); // 2
  await expect(page.getByText('done', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'End', exact: true }).click(); // 3
  await expect(page.getByText(/Oily rags.*can catch fire/)).toBeVisible();
  await page.getByRole('radio', { name: 'partly' }).click(); // 4
  await page.getByRole('checkbox', { name: /Rags, gloves and paper/ }).click(); // 5
  await page.getByRole('button', { name: 'End it' }).click(); // 6
  await expect(page.getByRole('heading', { level: 1, name: 'Tuesday 10 February' })).toBeVisible();
  await expect
    .poll(async () => (await sessionsOf(page))[0])
    .toMatchObject({
      reached: 'partly',
      works: expect.arrayContaining([expect.objectContaining({ done: true })]),
    });
  expect((await sessionsOf(page))[0]!.endedAt).not.toBeNull();
  // What was laid is laid.
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(page.getByRole('heading', { name: 'Still open' })).toBeVisible();
});

test('pause, correction, gate, palette; edited and deleted later', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-02-10T09:00:00Z') });
  await startPainting(page, 'Busy Hour', /Direct start/);
  await page.getByRole('link', { name: 'Today' }).click();
  await page.getByRole('button', { name: 'More time' }).click();
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await page.getByRole('checkbox', { name: 'Cast shadows mapped?' }).click();
  await page.getByRole('button', { name: /^Put out/ }).click();
  await expect(page.getByText(/usable till/)).toBeVisible();
  await page.getByRole('button', { name: 'Pause' }).click();
  await page.clock.fastForward(30 * 60_000);
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByRole('timer')).toHaveText(/0:00:/);
  await page.clock.fastForward(10 * 60_000);
  await page.getByRole('button', { name: 'Laid, done' }).click();
  // The next coat is in hand; what was laid before it is still wet.
  await page.getByRole('button', { name: 'Wiped, scraped, painted out' }).click();
  await page.getByRole('radio', { name: 'what lay there before' }).click();
  // Nothing lies on the wall yet: only where something lies can anything be taken off.
  await expect(page.getByRole('radiogroup', { name: 'wall', exact: true })).toHaveCount(0);
  await page.getByRole('radiogroup', { name: 'jars', exact: true }).getByText('a trace').click();
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByRole('button', { name: /^Same again: wiped/ })).toBeVisible();
  await page.getByRole('button', { name: 'End', exact: true }).click();
  await page.getByRole('button', { name: 'End it' }).click();
  await page.getByLabel('Note').fill('north light, cool');
  await page.getByLabel('Goal').click();
  await expect.poll(async () => (await sessionsOf(page))[0]?.note).toBe('north light, cool');
  await page.getByRole('button', { name: 'Delete this session' }).click();
  await expect(page.getByText('No session is noted yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: /Block-in/ })).toBeVisible();
});

test('a photo that tells its place goes in and comes out without it', async ({ page }) => {
  await startPainting(page, 'Pictures', /Direct start/);
  await page.getByRole('link', { name: 'Today' }).click();
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  const picture = await jpegWithPlace(page, 2400, 1200);
  expect(await exifr.gps(picture)).toMatchObject({ latitude: expect.closeTo(48.5, 3) });
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Photo from a file' }).click();
  await (await chooser).setFiles({ name: 'p.jpg', mimeType: 'image/jpeg', buffer: picture });
  await expect(page.getByRole('img', { name: /^Photo/ })).toBeVisible();
  await expect.poll(async () => (await sessionsOf(page))[0]?.photos.length).toBe(1);
  const [session] = await sessionsOf(page);
  const photo = session!.photos[0]!;
  expect([photo.width, photo.height]).toEqual([1600, 800]);
  const src = (await page.getByRole('img', { name: /^Photo/ }).getAttribute('src'))!;
  const kept = Buffer.from(src.slice(src.indexOf(',') + 1), 'base64');
  expect(await exifr.gps(kept)).toBeUndefined();
  expect(await exifr.parse(kept)).toBeUndefined();
  expect(kept.length).toBeLessThan(picture.length + 400_000);
  // What is no picture is refused, and nothing is kept.
  const again = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Photo from a file' }).click();
  await (
    await again
  ).setFiles({ name: 'p.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('not a picture') });
  await expect(page.getByText(/The photo was not kept: That file is no picture/)).toBeVisible();
});

test('two tabs that log at once lose nothing', async ({ page, context }) => {
  await startPainting(page, 'Two Tabs', /Direct start/);
  await page.getByRole('link', { name: 'Today' }).click();
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect.poll(async () => (await sessionsOf(page)).length).toBe(1);
  const other = await context.newPage();
  await other.goto('/session');
  await expect(other.getByRole('timer')).toBeVisible();
  await Promise.all([
    page.getByRole('button', { name: /^Put out/ }).click(),
    other.getByRole('button', { name: 'Pause' }).click(),
  ]);
  await expect
    .poll(async () => (await sessionsOf(page))[0])
    .toMatchObject({ palette: [expect.anything()], pauses: [expect.anything()] });
  await other.close();
});

test('back after a break: where it stands, what is lost for blending, what was to come', async ({
  page,
}) => {
  await page.clock.install({ time: new Date('2026-02-10T09:00:00Z') });
  await startPainting(page, 'Long Away', /Direct start/);
  await page.getByLabel('Something that bothers').fill('the jar leans');
  await page.getByRole('button', { name: 'Note it' }).click();
  await page.getByRole('link', { name: 'jars: open the section' }).click();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await page.getByRole('button', { name: 'Laid now' }).click();
  await page.clock.fastForward(20 * DAY_MS);
  await openPlace(page, 'Paintings');
  await page.getByRole('link', { name: 'Long Away' }).click();
  const back = page.getByRole('region', { name: 'After the break' });
  await expect(back.getByRole('heading', { name: /Untouched for 3 wk/ })).toBeVisible();
  await expect(back.getByText(/Lost for blending: jars was wet/)).toBeVisible();
  await expect(back.getByText('the jar leans')).toBeVisible();
  await expect(back.getByText(/about \d+ ml for that area/)).toBeVisible();
  await expect(back.getByText(/was to come next/).first()).toBeVisible();
  await back.getByRole('button', { name: 'I see' }).click();
  await expect(back).toHaveCount(0);
});
