import ICAL from 'ical.js';
import type { Page } from '@playwright/test';
import { expect, openDemo, openPlace, savedFile, stored, test } from './studio';

const LOFT = 'The Net Loft, Evening';

/** The demo studio at a fixed moment, its plan settled. */
async function planned(page: Page, now: string): Promise<void> {
  await page.clock.install({ time: new Date(now) });
  await openDemo(page);
  await openPlace(page, 'Plan');
  await settled(page);
}

const settled = (page: Page) => expect(page.getByText('This plan stands.')).toBeVisible();
const side = async (page: Page, name: string) =>
  page
    .getByRole('navigation', { name: 'Of the plan' })
    .getByRole('link', { name: new RegExp(`^${name}`) })
    .click();

interface Plan {
  pins: { id: string; at: string }[];
  last: { id: string; at: string }[];
}
const record = async (page: Page): Promise<Plan> =>
  ((await stored(page))['plan:plan'] as Plan | undefined) ?? { pins: [], last: [] };

/** The chance of the painting's date, 0 to 20, as it is told in a part of the screen. */
async function inTwenty(page: Page, part: string): Promise<number> {
  const told = page.getByRole('region', { name: part });
  await expect(told).toContainText(/\d+ in 20|almost sure/);
  const text = (await told.textContent()) ?? '';
  return text.includes('almost sure') ? 20 : Number(/(\d+) in 20/.exec(text)![1]);
}

test('three paintings planned, a session moved and held, a fortnight lost, the plan heals', async ({
  page,
  viewport,
}) => {
  test.skip(viewport!.width > 900, 'The same at both sizes.');
  const foot = 'What the plan says';
  await planned(page, '2026-02-17T09:00:00Z');
  for (const title of ['Quinces on Slate', 'The Ropewalk', LOFT])
    await expect(page.getByRole('region', { name: title, exact: true })).toBeVisible();
  const before = await inTwenty(page, foot);
  expect(before).toBeGreaterThan(10);
  // By when the first coat must be on.
  await expect(page.getByText(/Tone by (today|\w{3} \d+)/).first()).toBeVisible();
  // A lane tells its next step.
  await page
    .getByRole('region', { name: LOFT, exact: true })
    .getByRole('button', { name: /^rafters: Tone/ })
    .click();
  await expect(page.getByText(/rafters/).last()).toBeVisible();

  await side(page, 'Sessions');
  const first = page
    .getByRole('group')
    .filter({ has: page.getByRole('button', { name: 'Later' }) });
  await expect(first.first()).toBeVisible();
  const was = await first.first().getAttribute('aria-label');
  await first.first().getByRole('button', { name: 'Later' }).click();
  // Held where it was put, and kept.
  await expect.poll(async () => (await record(page)).pins.length).toBeGreaterThan(0);
  await settled(page);
  // Planned anew: what is held stands where it is held.
  await expect
    .poll(async () => {
      const { pins: held, last: works } = await record(page);
      return held.every((pin) => works.find((w) => w.id === pin.id)?.at === pin.at);
    })
    .toBe(true);
  const { pins } = await record(page);
  await expect(page.getByRole('button', { name: 'Held …' }).first()).toBeVisible();
  expect(new Date(pins[0]!.at).toISOString() > '2026-02-17T20:00').toBe(true);
  expect(was).toMatch(/Tuesday 17 February/);
  // Taken back, nothing is held.
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect.poll(async () => (await record(page)).pins.length).toBe(0);
  await settled(page);

  await side(page, 'Hours');
  await page.getByLabel('First day').fill('2026-02-18');
  await page.getByLabel('Last day').fill('2026-03-03');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText('Away: 18 Feb 2026 to 3 Mar 2026', { exact: true })).toBeVisible();
  await side(page, 'Film');
  await settled(page);
  // The odds fall, and no work stands in the days away.
  await expect.poll(() => inTwenty(page, foot)).toBeLessThan(before);
  await settled(page);
  await expect
    .poll(async () => {
      const { last: works } = await record(page);
      return works.filter((w) => w.at > '2026-02-17T23:00' && w.at < '2026-03-03T23:00').length;
    })
    .toBe(0);
  expect((await record(page)).last.length).toBeGreaterThan(20);
});

test('a session is dragged, and nudged with the keys', async ({ page, viewport }) => {
  test.skip(viewport!.width < 900, 'On a phone sessions are moved in their list.');
  await planned(page, '2026-02-17T09:00:00Z');
  expect(await inTwenty(page, `Odds of ${LOFT}`)).toBeGreaterThan(10);
  const chip = page.getByRole('button', { name: /^Tue 24 18:00.*Arrow keys move it/ });
  // On a busy machine a plan that arrives in the middle of a drag draws anew what is in the hand.
  await expect(async () => {
    const box = (await chip.boundingBox({ timeout: 2000 }))!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width * 1.6, box.y + box.height / 2, { steps: 4 });
    await page.mouse.up();
    await expect
      .poll(async () => (await record(page)).pins.length, { timeout: 4000 })
      .toBeGreaterThan(0);
  }).toPass({ timeout: 30_000 });
  const dropped = (await record(page)).pins[0]!.at;
  expect(dropped.slice(0, 10)).toBe('2026-02-25');
  // The plan has been made anew with it there: until then what is in the hand may be drawn anew.
  await expect
    .poll(async () => {
      const { pins, last } = await record(page);
      return last.some((w) => w.id === pins[0]!.id && w.at === pins[0]!.at);
    })
    .toBe(true);
  await settled(page);
  const held = page.getByRole('button', { name: /^Wed 25( Feb)? 18:00.*Arrow keys move it/ });
  await held.focus();
  await page.keyboard.press('ArrowRight');
  await expect.poll(async () => (await record(page)).pins[0]!.at.slice(0, 10)).toBe('2026-02-26');
});

test('what if: two plans side by side, and one is kept', async ({ page, viewport }) => {
  test.skip(viewport!.width > 900, 'The same at both sizes.');
  await planned(page, '2026-02-17T09:00:00Z');
  await side(page, 'What if');
  await page.getByRole('radio', { name: 'one more day a week' }).click();
  await page.getByRole('radio', { name: 'Friday' }).click();
  await page.getByRole('button', { name: 'Try it' }).click();
  const table = page.getByRole('table', { name: 'Two plans side by side' });
  await expect(table).toBeVisible();
  await expect(table.getByRole('row', { name: /^sessions/ })).toBeVisible();
  await page.getByRole('button', { name: 'Keep this plan' }).click();
  await side(page, 'Hours');
  await expect(page.getByRole('radio', { name: /^Friday, 10:00 to/ })).toBeVisible();
});

test('not this week, a date, and an edge', async ({ page, viewport }) => {
  test.skip(viewport!.width > 900, 'The same at both sizes.');
  await planned(page, '2026-02-17T09:00:00Z');
  await side(page, 'Sessions');
  await page.getByRole('button', { name: 'More …' }).first().click();
  await page.getByRole('button', { name: 'Not this week' }).click();
  await expect(page.getByText(/^Kept .* out of a week\.$/)).toBeVisible();
  await settled(page);
  await expect
    .poll(async () => {
      const doc = (await stored(page))['plan:plan'] as { waits: { id: string }[] } & Plan;
      const waiting = doc.waits.map((w) => w.id);
      const theirs = doc.last.filter((w) => waiting.includes(w.id));
      // Monday of the next week, 00:00 in Berlin.
      return theirs.length > 0 && theirs.every((w) => w.at >= '2026-02-22T23:00');
    })
    .toBe(true);
  await side(page, 'Film');
  await page.getByRole('link', { name: 'Date and waits of Quinces on Slate' }).click();
  await page.getByRole('button', { name: 'Set a date' }).click();
  await page.getByRole('radio', { name: 'dry to be shipped' }).click();
  await page
    .getByRole('radiogroup', { name: /quinces and/ })
    .first()
    .getByRole('radio', { name: 'soft' })
    .click();
  await page.getByRole('button', { name: 'Back' }).click();
  await settled(page);
  await expect(
    page.getByRole('region', { name: 'Quinces on Slate', exact: true }).getByText(/^due/),
  ).toBeVisible();
});

interface Event {
  uid: string;
  fromMs: number;
  toMs: number;
  rings: boolean;
}

/** Read by another library than the one that wrote it. */
const events = (text: string): Event[] =>
  new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent').map((c) => {
    const event = new ICAL.Event(c);
    return {
      uid: event.uid,
      fromMs: event.startDate.toJSDate().getTime(),
      toMs: event.endDate.toJSDate().getTime(),
      rings: c.getFirstSubcomponent('valarm') !== null,
    };
  });

/** Minutes of the day of a moment in a zone, by the browser's own tables of zones. */
function minutesIn(ms: number, timeZone: string): number {
  const parts = new Intl.DateTimeFormat('en-GB', {
    timeZone,
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  }).formatToParts(ms);
  const part = (type: string) => Number(parts.find((p) => p.type === type)!.value);
  return part('hour') * 60 + part('minute');
}

// Summer time begins on 29 March 2026 in Berlin (Directive 2000/84/EC), on 8 March in New York (Energy Policy Act of 2005).
for (const [timezoneId, now, change] of [
  ['Europe/Berlin', '2026-03-10T09:00:00Z', '2026-03-29'],
  ['America/New_York', '2026-02-24T14:00:00Z', '2026-03-08'],
] as const)
  test.describe(`in ${timezoneId}`, () => {
    test.use({ timezoneId });
    test('the calendar file has the hours of the studio, before and after the change of the clock', async ({
      page,
      viewport,
    }) => {
      test.skip(viewport!.width > 900, 'The same at both sizes.');
      await planned(page, now);
      await side(page, 'Sessions');
      await settled(page);
      const { name, text } = await savedFile(page, 'Save the calendar file');
      expect(name).toBe('tawny-hour-plan.ics');
      const all = events(text);
      const works = all.filter((e) => e.uid.startsWith('work-'));
      expect(works.length).toBeGreaterThan(20);
      expect(new Set(all.map((e) => e.uid)).size).toBe(all.length);
      expect(works.some((w) => w.fromMs < Date.parse(change))).toBe(true);
      expect(works.some((w) => w.fromMs > Date.parse(change) + 86_400_000)).toBe(true);
      for (const work of works) {
        const from = minutesIn(work.fromMs, timezoneId);
        const to = minutesIn(work.toMs, timezoneId);
        // Evenings from 18:00 to 20:30, Saturdays from 10:00 to 14:00: the hours of the demo studio.
        const inHours = (from >= 1080 && to <= 1230) || (from >= 600 && to <= 840);
        expect(inHours).toBe(true);
        expect(work.rings).toBe(true);
      }
      expect(all.filter((e) => e.uid.startsWith('due-'))).toHaveLength(2);
      expect(all.some((e) => e.uid.startsWith('dry-'))).toBe(true);
    });
  });

test('busy times of a calendar file keep work away; a file that is none is refused', async ({
  page,
  viewport,
}) => {
  test.skip(viewport!.width > 900, 'The same at both sizes.');
  await planned(page, '2026-02-17T09:00:00Z');
  await side(page, 'Hours');
  const choose = async (name: string, text: string) => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Read a calendar file' }).click();
    await (await chooser).setFiles({ name, mimeType: 'text/calendar', buffer: Buffer.from(text) });
  };
  await choose('broken.ics', 'no calendar');
  await expect(page.getByRole('alert')).toContainText(
    'Nothing was changed. This is not a calendar',
  );
  await choose(
    'choir.ics',
    [
      'BEGIN:VCALENDAR',
      'VERSION:2.0',
      'PRODID:-//test//EN',
      'BEGIN:VEVENT',
      'UID:choir',
      'DTSTART:20260217T160000Z',
      'DTEND:20260217T210000Z',
      'RRULE:FREQ=WEEKLY;COUNT=10',
      'SUMMARY:Choir',
      'END:VEVENT',
      'END:VCALENDAR',
    ].join('\r\n'),
  );
  await expect(page.getByText('choir.ics: 10 busy times')).toBeVisible();
  await side(page, 'Sessions');
  await settled(page);
  await expect
    .poll(async () => {
      const { last } = await record(page);
      const tuesdays = last.filter((w) => new Date(w.at).getUTCDay() === 2);
      return last.length > 20 && tuesdays.every((w) => w.at > '2026-04-22');
    })
    .toBe(true);
  // What it was is nobody's business.
  expect(JSON.stringify(await stored(page))).not.toContain('Choir');
});

test('a week is looked back on', async ({ page, viewport }) => {
  test.skip(viewport!.width > 900, 'The same at both sizes.');
  await planned(page, '2026-02-17T09:00:00Z');
  await side(page, 'Weeks');
  await expect(page.getByText(/Said 9 in 10: held \d+ of \d+\./)).toBeVisible();
  // The limit is told while it is typed; nothing is cut off.
  await page.getByLabel('Goal of the week').fill('x'.repeat(301));
  await expect(page.getByText('At most 300 letters.')).toBeVisible();
  await page.getByLabel('Goal of the week').fill('Tone the loft before Friday');
  await page.getByLabel('Goal of the week').blur();
  await expect(page.getByText(/\d+ of \d+ coats laid/)).toBeVisible();
  // A painter who left at once would be asked; a test is not.
  await expect
    .poll(async () => JSON.stringify((await stored(page))['plan:plan']))
    .toContain('Tone the loft');
  await page.clock.setFixedTime(new Date('2026-02-25T09:00:00Z'));
  await page.reload();
  await expect(page.getByText('Tone the loft before Friday')).toBeVisible();
  await expect(page.getByText('From 16 Feb 2026')).toBeVisible();
});

test('two fingers change the weeks in sight, and so do buttons', async ({ page, viewport }) => {
  test.skip(viewport!.width > 900, 'For the hand that holds the phone.');
  await openDemo(page);
  await openPlace(page, 'Plan');
  await expect(page.getByText('five weeks')).toBeVisible();
  await expect(page.getByText('This plan stands.')).toBeVisible();
  const touch = await page.context().newCDPSession(page);
  const fingers = (type: 'touchStart' | 'touchMove' | 'touchEnd', apart: number) =>
    touch.send('Input.dispatchTouchEvent', {
      type,
      touchPoints:
        type === 'touchEnd' ? [] : [-1, 1].map((side) => ({ x: 195 + (side * apart) / 2, y: 480 })),
    });
  await fingers('touchStart', 80);
  await fingers('touchMove', 100);
  await fingers('touchMove', 150);
  await expect(page.getByText('two weeks')).toBeVisible();
  await fingers('touchEnd', 0);
  await page.getByRole('button', { name: 'More weeks' }).click();
  await page.getByRole('button', { name: 'More weeks' }).click();
  await expect(page.getByText('ten weeks')).toBeVisible();
  await fingers('touchStart', 150);
  await fingers('touchMove', 120);
  await fingers('touchMove', 70);
  await expect(page.getByText('half a year')).toBeVisible();
});

test('the hours of the week are drawn, moved and lengthened by a finger, and moved by keys', async ({
  page,
  viewport,
}) => {
  test.skip(viewport!.width > 900, 'For the hand that holds the phone.');
  await openDemo(page);
  await openPlace(page, 'Plan');
  await side(page, 'Hours');
  const bar = (day: string) => page.getByRole('button', { name: new RegExp(`^${day} \\d`) });
  const told = async (day: string) =>
    /\d\d:\d\d to \d\d:\d\d/.exec((await bar(day).getAttribute('aria-label'))!)![0];
  expect(await told('Monday')).toBe('18:00 to 20:30');
  const drag = async (from: number, dx: number) => {
    const box = (await bar('Monday').boundingBox())!;
    const y = box.y + box.height / 2;
    const x = box.x + from * box.width;
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + dx / 2, y, { steps: 2 });
    await page.mouse.move(x + dx, y, { steps: 2 });
    await page.mouse.up();
    return box.width / 2.5;
  };
  // The middle moves all of it, an end moves itself.
  const hour = await drag(0.5, -1);
  await drag(0.5, -2 * hour);
  await expect.poll(() => told('Monday')).toBe('16:00 to 18:30');
  await drag(0.95, hour);
  await expect.poll(() => told('Monday')).toBe('16:00 to 19:30');
  await drag(0.03, hour / 2);
  await expect.poll(() => told('Monday')).toBe('16:30 to 19:30');
  await bar('Monday').press('Shift+ArrowLeft');
  await expect.poll(() => told('Monday')).toBe('16:30 to 19:15');
  // A tap puts two hours where nothing stands; the figures of that day stand below.
  const sunday = (await page.getByRole('radio', { name: /^Sunday/ }).boundingBox())!;
  const track = (await bar('Monday').locator('..').boundingBox())!;
  await page.mouse.click(track.x + ((10 - 6) / 18) * track.width, sunday.y + sunday.height / 2);
  await expect.poll(() => told('Sunday')).toBe('09:00 to 11:00');
  await expect(page.getByLabel('Sunday from')).toHaveValue('09:00');
  await bar('Sunday').press('Delete');
  await expect(bar('Sunday')).toHaveCount(0);
  await page.reload();
  await expect.poll(() => told('Monday')).toBe('16:30 to 19:15');
});
