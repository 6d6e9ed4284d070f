import type { Page } from '@playwright/test';
import { touchFilm } from '../../src/core/painting/touch';
import {
  DAY_MS,
  NOW_MS,
  ago,
  making,
  tube,
  SPIRITS,
  coat,
  paint,
  made,
  openWith,
} from './imported';
import { expect, test } from './studio';

/** What is said of a coat at the chosen moment, in the painter's words; from a studio that is imported. */
const GLAZE = coat(
  'Glaze',
  paint(12, [tube('transparent-oxide-red')], [{ ingredient: 'stand-oil', parts: 1 }, SPIRITS], 0.5),
  { role: 'glaze', application: 'glaze' },
);

const row = (page: Page, name: RegExp) => page.getByRole('link', { name }).first();

test.beforeEach(async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.clock.install({ time: new Date(NOW_MS) });
  await page.goto('/');
});

test('five tacky days on a slow tone: it takes no coat, nothing is called misread, and it is dry by its last touch', async ({
  page,
}) => {
  const tone = coat(
    'Tone',
    paint(25, [tube('raw-sienna', 'poppy'), tube('titanium-white', 'poppy')]),
    { role: 'tone' },
  );
  let painting = made('Slow Tone', [
    { is: tone, ago: 10 },
    { is: coat('Body colour', paint(50)), ago: null },
  ]);
  for (const days of [5, 4, 3, 2, 1])
    for (const passage of painting.passages)
      painting = touchFilm(
        painting,
        {
          passageId: passage.id,
          spotName: null,
          at: ago(days),
          finding: 'tacky',
          twistMarks: false,
        },
        making(ago(days)),
      );
  await openWith(page, painting);
  await expect(row(page, /Slow Tone: tacky/)).toBeVisible();
  await expect(page.getByText('Nothing takes paint in that time', { exact: false })).toBeVisible();
  await row(page, /Slow Tone: tacky/).click();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await expect(
    page.getByText(/Tone is not dry by then: a stroke of body colour would lift it/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(page.getByText(/misread/i)).toHaveCount(0);
  // A fortnight without a touch: now it has had time enough from the last of them.
  await page.clock.fastForward(14 * DAY_MS);
  await expect(row(page, /Slow Tone: (touch|through)-dry, takes the body colour/)).toBeVisible();
});

test('a soft edge: told while the neighbour is open, and two days later as a strip to be wetted', async ({
  page,
}) => {
  const painting = made('Soft Edge', [
    { is: coat('Jars in colour', paint(70)), ago: 0.2, on: 'jars' },
    { is: coat('Wall in colour', paint(60)), ago: null, on: 'wall' },
  ]);
  const [jars, wall] = painting.passages;
  await openWith(page, {
    ...painting,
    planning: {
      dueAt: null,
      milestone: 'touch-dry',
      importance: 'usual',
      stage: 'touch-dry',
      chance: 0.75,
      edges: [{ between: [jars!.id, wall!.id], intent: 'soft' }],
      handOnStick: false,
    },
  });
  await expect(
    row(page, /wall, Soft Edge: bare, takes the wall in colour; soft edge to jars, open till/),
  ).toBeVisible();
  await expect(
    row(page, /jars, Soft Edge: open till .*; its soft edge to wall wants painting by then/),
  ).toBeVisible();
  await expect(
    page.getByText('Wall in colour first: the neighbour of its soft edge is still open.'),
  ).toBeVisible();
  await page.clock.fastForward(4 * DAY_MS);
  await expect(
    row(page, /wall, Soft Edge: bare, .*; soft edge to jars: it has set, wet a strip along it/),
  ).toBeVisible();
});

test('a couch and a glaze are one film in either order of entry, and say the same', async ({
  page,
}) => {
  const body = { is: coat('Body colour', paint(50)), ago: 40 };
  const couch = coat('Couch', paint(2, [], [{ ingredient: 'stand-oil', parts: 1 }, SPIRITS], 1), {
    role: 'oiling-out',
    application: 'rubbed-on',
  });
  const glaze = { ...GLAZE, onto: 'wet' as const };
  await openWith(
    page,
    made('Couch First', [body, { is: couch, ago: 0.1 }, { is: glaze, ago: 0.05 }]),
    made('Glaze First', [body, { is: couch, ago: null }, { is: glaze, ago: 0.05 }]),
    made('Both To Come', [body, { is: couch, ago: null }, { is: glaze, ago: null }]),
  );
  await expect(row(page, /Both To Come: .*takes the couch, into it the glaze/)).toBeVisible();
  await expect(row(page, /Couch First: open till/)).toBeVisible();
  // The couch was forgotten, and is entered afterwards for an hour before the glaze.
  await row(page, /Glaze First: /).click();
  await page.getByRole('button', { name: 'Couch, planned' }).click();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await page.getByRole('checkbox', { name: 'wall' }).click();
  await page.getByRole('radio', { name: 'earlier' }).click();
  await page.getByLabel('Day and time').fill('10 Mar 2026, 16:36');
  await page.getByRole('button', { name: 'Laid then' }).click();
  await page.getByRole('link', { name: 'Today' }).click();
  const told = async (name: RegExp) => {
    const words = (await row(page, name).getAttribute('aria-label'))!.replace(/^.*?: /, '');
    await row(page, name).click();
    await page.getByRole('button', { name: /^Glaze, open/ }).click();
    const said = await page.getByRole('heading', { level: 2 }).first().textContent();
    await page.getByRole('link', { name: 'Today' }).click();
    return { words, said };
  };
  const couchFirst = await told(/Couch First: open till/);
  expect(couchFirst.said).toMatch(/body colour/);
  expect(await told(/Glaze First: open till/)).toEqual(couchFirst);
  // Still to come it is one film as well, and is held to the same.
  await row(page, /Both To Come: /).click();
  await expect(page.getByText(/^The planned .* the body colour/).first()).toBeVisible();
});

test('varnish after a knife coat waits for the knife coat, not for the glaze on it', async ({
  page,
}) => {
  const varnish = coat(
    'Varnish',
    { mix: [], medium: [], mediumShare: 0, thicknessUm: 8, material: 'synthetic-varnish' },
    { role: 'varnish' },
  );
  await openWith(
    page,
    made('Knife', [
      { is: coat('Knife coat', paint(300), { application: 'knife' }), ago: 60 },
      { is: GLAZE, ago: 30 },
      { is: varnish, ago: null },
    ]),
    made('Thin', [
      { is: GLAZE, ago: 60 },
      { is: varnish, ago: null },
    ]),
  );
  await expect(row(page, /Knife: .*varnish is held back until .* by knife coat/)).toBeVisible();
  await expect(row(page, /Thin: .*takes the varnish/)).toBeVisible();
  await row(page, /Knife: /).click();
  await expect(page.getByText(/Varnish too early, knife coat/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await expect(
    page
      .getByRole('dialog')
      .getByText(/Varnish too early/)
      .first(),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  // What lies below says why.
  await page.getByRole('button', { name: /^Knife coat, / }).click();
  await expect(page.getByText(/Thick paint: touch-dry is its skin/)).toBeVisible();
});

test('ready by: from the section, the last safe day of every coat below, with falling odds', async ({
  page,
}) => {
  await openWith(
    page,
    made('Ready By', [
      { is: coat('Tone', paint(12, [tube('raw-umber')]), { role: 'tone' }), ago: null },
      { is: coat('Body colour', paint(40)), ago: null },
      { is: GLAZE, ago: null },
    ]),
  );
  await row(page, /Ready By: bare/).click();
  await page.getByRole('button', { name: /^Glaze, planned/ }).click();
  await page.getByRole('button', { name: 'Ready by …' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('To begin glaze on').fill('20 Apr 2026, 10:00');
  await expect(
    sheet.getByRole('heading', { name: /^Tone by .*; Body colour by .*\.$/ }),
  ).toBeVisible();
  const days = sheet.getByRole('list', { name: 'Body colour, day by day' }).getByRole('listitem');
  await expect(days.filter({ hasText: 'last safe' })).toHaveCount(1);
  // Tomorrow is too soon, and that is said.
  await sheet.getByLabel('To begin glaze on').fill('12 Mar 2026, 10:00');
  await expect(sheet.getByRole('heading', { name: /^Not safely by/ })).toBeVisible();
});
