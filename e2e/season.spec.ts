import { axe } from './axe';
import ICAL from 'ical.js';
import { typeDate } from './dates';
import { go } from './go';
import { expect, test, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';

/** Crops, dates, plans, the hang chart and what goes out of it, as a person would use them. */

test.use({ baseURL: `http://localhost:${process.env.E2E_DEMO_PORT}`, timezoneId: 'Europe/Lisbon' });

// A chart is worked out anew several times in some of these, on whatever machine; none depends on another.
test.describe.configure({ timeout: 300_000, mode: 'parallel' });

const visits = (page: Page) => page.getByTestId('visit');
async function openChart(page: Page) {
  await page.goto('/hours/chart');
  await expect(page.getByTestId('chart-summary')).toBeVisible({ timeout: 120_000 });
}
const settled = (page: Page) => expect(page.getByText('Working it out again…')).toHaveCount(0, { timeout: 120_000 });
async function openTray(page: Page, name: string) {
  await go(page, '/crops');
  await page.getByRole('combobox').fill(name);
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: `${name}, Map-room rack` }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(name);
}

test('the chart says what to do on which visit; a visit that is done moves the lamps, and can be undone', async ({ page }) => {
  await openChart(page);
  const first = visits(page).first();
  await expect(first).toContainText('today');
  await expect(first).toContainText(/lamps .* (up|down), face/);
  const before = await visits(page).count();
  await first.getByRole('button', { name: 'All done' }).press('Enter');
  // It is gone at once, though the chart without it takes a while.
  await expect(visits(page).first()).not.toContainText('today', { timeout: 2000 });
  await expect(page.getByRole('heading', { level: 1 })).toBeFocused();
  await settled(page);
  await expect(visits(page).first()).not.toContainText('today');
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await settled(page);
  await expect(visits(page).first()).toContainText('today');
  await expect(visits(page)).toHaveCount(before);
});

test('a chart that is put up is held against what a late word changes; the rest is worked out again', async ({ page }) => {
  await openChart(page);
  await page.getByRole('button', { name: 'Use this chart' }).click();
  await expect(page.getByText(/The chart that you put up on .* still holds/)).toBeVisible();
  await openTray(page, 'Leek');
  const height = page.getByRole('textbox', { name: 'leaf tops above the compost' });
  await height.fill('16 cm');
  await height.press('Enter');
  await expect(page.getByRole('list', { name: 'Written down' })).toContainText('16 cm tall');
  await openChart(page);
  await expect(page.getByTestId('chart-changes')).toContainText(/Changed since you put it up/, { timeout: 120_000 });
  await expect(page.getByTestId('chart-changes')).toContainText('(was:');
  // It is still there after a reload.
  await page.reload();
  await expect(page.getByTestId('chart-changes')).toBeVisible({ timeout: 120_000 });
});

test('who comes weekly, or goes away, gets another chart; before a trip it says what to do', async ({ page }) => {
  await openChart(page);
  await expect(page.getByTestId('trip')).toContainText('Before leaving');
  const summary = await page.getByTestId('chart-summary').textContent();
  await page.getByRole('radio', { name: 'weekly', exact: true }).click();
  await expect(page.getByTestId('chart-summary')).not.toHaveText(summary!, { timeout: 120_000 });
  await page.getByRole('button', { name: 'Delete this trip' }).click();
  await expect(page.getByTestId('trip')).toHaveCount(0, { timeout: 120_000 });
  await page.getByRole('button', { name: 'A trip' }).click();
  await expect(page.getByTestId('trip')).toBeVisible({ timeout: 120_000 });
  await page.getByText(/By the return on/).click();
  await expect(page.getByTestId('trip')).toContainText('taller');
});

test('the calendar opens elsewhere, at the household’s own time; tables come along', async ({ page }) => {
  await openChart(page);
  // On a machine under load a press may meet the chart while it is drawn anew, and is made once more.
  const saved = async (name: string) => {
    let text = '';
    await expect(async () => {
      const download = page.waitForEvent('download', { timeout: 15_000 });
      await page.getByRole('button', { name, exact: true }).click();
      text = readFileSync(await (await download).path(), 'utf8');
    }).toPass({ timeout: 120_000 });
    return text;
  };
  const root = new ICAL.Component(ICAL.parse(await saved('Calendar')) as unknown[]);
  for (const zone of root.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zone);
  const events = root.getAllSubcomponents('vevent').map((v) => new ICAL.Event(v));
  expect(events.length).toBe(await visits(page).count());
  for (const e of events) {
    const local = new Intl.DateTimeFormat('en-GB', { timeZone: 'Europe/Lisbon', timeStyle: 'short' }).format(e.startDate.toJSDate());
    expect(local).toBe('18:00');
    expect(e.description).toMatch(/Tier \d|Timer/);
  }
  const csv = await saved('CSV');
  expect(csv.split('\r\n')[0]).toBe('day,stand,tier,what,thing,steps,face_m,risers,on_min,lit_min,setting,x_m,y_m');
  expect(csv).toContain(',lamp,');
  const json = JSON.parse(await saved('JSON')) as { format: string; visits: unknown[] };
  expect([json.format, json.visits.length]).toEqual(['copper-noon/hang-chart', events.length]);
});

test('the cards: rack, timers with their pins, and a label for each tray whose code opens that tray', async ({ page }) => {
  await openChart(page);
  await page.emulateMedia({ media: 'print' });
  const cards = page.getByTestId('cards');
  await expect(cards).toContainText('As it hangs on');
  await expect(cards.getByRole('img', { name: /Dial of Timer of tiers 4 and 5/ })).toBeVisible();
  await expect(cards.getByRole('img', { name: /^Code of/ })).toHaveCount(9);
  await expect(cards).toContainText('what to do, until');
  await page.emulateMedia({ media: 'screen' });
  const href = await page.getByRole('link', { name: /^Snapdragon/ }).getAttribute('href');
  await page.goto(href!);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Snapdragon');
  await go(page, '/tray/nobody');
  await expect(page.getByRole('heading', { name: 'Tray not found' })).toBeVisible();
});

test('the season runs on the bench: plants grow, lamps rise, hours step; nothing can be moved on a later day', async ({ page }) => {
  await page.goto('/bench');
  await page.getByRole('button', { name: 'Season' }).click();
  const slider = page.getByRole('slider', { name: 'Day of the season' });
  await expect(slider).toBeEnabled({ timeout: 120_000 });
  const growth = () => page.getByTestId('season-day').textContent();
  const before = await page.getByTestId('tier-1').textContent();
  await slider.focus();
  for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('season-day')).toContainText('in 20 days');
  await expect(page.getByTestId('season-jobs')).toContainText('By the visit of');
  await expect(page.getByTestId('tier-1')).not.toHaveText(before!);
  const day = await growth();
  const tiers = page.getByTestId(/^tier-\d+$/);
  const count = await tiers.count();
  expect(count).toBeGreaterThan(1);
  await page.getByTestId('tier-1').click();
  await page.getByRole('button', { name: /Leek/ }).first().focus();
  await page.keyboard.press('Delete');
  await page.getByRole('button', { name: 'Add a tier on top' }).click();
  expect(await growth()).toBe(day);
  // Nothing came and nothing went, on that day and today.
  await expect(tiers).toHaveCount(count);
  await expect(page.getByRole('button', { name: /Leek/ }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Today', exact: true }).click();
  await expect(tiers).toHaveCount(count);
  await expect(page.getByRole('button', { name: /Leek/ }).first()).toBeVisible();
  await expect(page.getByTestId('season-day')).toContainText('today');
  await page.getByRole('button', { name: 'Show growth over time' }).click();
  await expect(page.getByTestId('season-day')).not.toContainText('today', { timeout: 60_000 });
});

test('a tray is dated, what is seen of it moves its stages, and a plan of hours is chosen by dose, cost and risk', async ({ page }) => {
  await openTray(page, 'Tomatillo');
  await expect(page.getByTestId('tray-age')).toContainText('seedling, 13 days since emergence');
  await page.getByRole('button', { name: 'Potted on' }).click();
  await expect(page.getByTestId('tray-age')).toContainText('growing on');
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('tray-age')).toContainText('seedling');
  await page.getByTestId('plan-dose').getByRole('radio').check();
  await expect(page.getByTestId('plan-dose')).toContainText(/of \d+ days/);
  // What is about the first days is not offered after them.
  await expect(page.getByTestId('plan-day-and-night')).toHaveCount(0);
  await page.reload();
  await expect(page.getByTestId('plan-dose').getByRole('radio')).toBeChecked();
  await page.getByRole('button', { name: 'Clear: sown on' }).click();
  await expect(page.getByTestId('tray-age')).toContainText('no date yet');
  await page.getByRole('button', { name: 'Sown today' }).click();
  await expect(page.getByTestId('tray-age')).toContainText(/sown; up .* to/);
  await expect(page.getByTestId('plan-day-and-night')).toBeVisible();
});

test('any one of strength, hours and dose follows from the other two, and what cannot be is said', async ({ page }) => {
  await openTray(page, 'Snapdragon');
  // The strength is that of its light, once that is known.
  await expect(page.getByTestId('plan-dose')).toBeVisible();
  const fill = async (name: string, value: string) => {
    await page.getByRole('textbox', { name, exact: true }).fill(value);
    await page.getByRole('textbox', { name, exact: true }).press('Enter');
  };
  await fill('PPFD', '200');
  await fill('DLI', '10.08');
  await expect(page.getByTestId('solved')).toHaveText('14 h a day');
  await fill('DLI', '30');
  await expect(page.getByTestId('solved')).toHaveText('16 h a day');
  await expect(page.getByTestId('solved-limit')).toContainText('More hours than it tolerates');
  await page.getByRole('radio', { name: 'DLI', exact: true }).click();
  await fill('PPFD', '200');
  await fill('hours', '10');
  await expect(page.getByTestId('solved')).toHaveText('7.2 mol/m²/day');
});

test('a crop is copied and changed with a reason, chosen for a tray, noted, and kept', async ({ page }) => {
  await page.goto('/crops');
  await page.getByRole('combobox').fill('celery');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Copy and change' }).click();
  const editor = page.getByRole('region', { name: 'Figures of Celery, ours' });
  await editor.getByRole('textbox', { name: 'why it differs' }).fill('a cool room');
  await editor.getByRole('textbox', { name: 'why it differs' }).press('Enter');
  const seedling = editor.getByRole('group', { name: 'seedling' });
  // Bought, it has no days of emergence; undone, it has them again.
  await editor.getByLabel('plants are', { exact: true }).selectOption('bought, and stay');
  await expect(seedling.getByRole('textbox', { name: 'from day' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(seedling.getByRole('textbox', { name: 'from day' })).toBeVisible();
  await seedling.getByRole('textbox', { name: 'best' }).fill('40');
  await seedling.getByRole('textbox', { name: 'best' }).press('Enter');
  await expect(seedling).toContainText('Enter a number between 8 and 16.');
  await seedling.getByRole('textbox', { name: 'best' }).fill('15');
  await seedling.getByRole('textbox', { name: 'best' }).press('Enter');
  await page.getByRole('textbox', { name: 'what you found' }).fill('Stayed short.');
  await page.getByRole('radio', { name: 'came out well' }).click();
  await page.getByRole('button', { name: 'Add note' }).click();
  await go(page, '/bench');
  await page.getByTestId('tier-2').click();
  await page
    .getByRole('button', { name: /Celery, early/ })
    .first()
    .click();
  await page.getByRole('button', { name: /^Crop: / }).click();
  await page.getByRole('dialog').getByRole('combobox').fill('ours');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Crop: Celery, ours/ })).toBeVisible();
  await page.reload();
  await go(page, '/crops');
  await page.getByRole('combobox').fill('ours');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('article')).toContainText('copied from Celery: a cool room');
  await expect(page.getByRole('article')).toContainText('came out well. Stayed short.');
  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByText('This crop is in use').first()).toBeVisible();
});

test('a mat on the timed side is pointed out and moved; the plug takes the schedule and loses its clock', async ({ page }) => {
  await page.goto('/hours/outlets');
  await expect(page.getByRole('list', { name: 'What is wrong' })).toContainText('Heat mat, tier 5 goes off with the lamps');
  await page.getByRole('button', { name: 'Move to an always-on outlet' }).click();
  await expect(page.getByRole('list', { name: 'What is wrong' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Plug it in', exact: true }).click();
  await page.getByRole('button', { name: /^Give it/ }).click();
  await expect(page.getByTestId('plug-state')).toContainText('05:30 to 19:30');
  await page.getByLabel('its clock remembers').uncheck();
  await page.getByRole('button', { name: 'Simulate a power cut' }).click();
  await expect(page.getByTestId('plug-state')).toContainText('no power');
  await page.getByRole('button', { name: 'Give it power again' }).click();
  await expect(page.getByText('It lost its clock')).toBeVisible();
  await expect(page.getByTestId('plug-state')).toContainText('lamps off');
  await page.getByRole('radio', { name: 'an hour a second' }).click();
  // From midnight on it takes less than six hours of its own to half past five.
  await expect(page.getByTestId('plug-state')).toContainText('lamps on', { timeout: 20_000 });
  await page.getByRole('button', { name: 'Set its clock' }).click();
  await expect(page.getByText('It lost its clock')).toHaveCount(0);
});

test('axe finds nothing wrong with chart, tray, crops and outlets', async ({ page }) => {
  await openTray(page, 'Leek');
  const tray = new URL(page.url()).pathname;
  for (const path of ['/hours/chart', tray, '/crops', '/hours/outlets']) {
    await go(page, path);
    if (path === '/hours/chart') await expect(page.getByTestId('visit').first()).toBeVisible({ timeout: 120_000 });
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.waitForTimeout(1000);
    await page.waitForTimeout(300);
    const { violations } = await axe(page, 'light').analyze();
    expect(violations.map((v) => `${path} ${v.id}: ${v.nodes[0]?.html}`)).toEqual([]);
  }
});

const A_MONTH = '(Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sept?|Oct|Nov|Dec)';
for (const [locale, digits, shown, told] of [
  ['en-GB', '05022027', '05/02/2027', `[a-z]{3} \\d+ ${A_MONTH}\\b`],
  ['en-US', '02052027', '2/5/2027', `[a-z]{3} ${A_MONTH} \\d+\\b`],
  ['de-DE', '05022027', '5.2.2027', `[a-z]{3} \\d+ ${A_MONTH}\\b`],
] as const)
  test.describe(`dates typed in ${locale}`, () => {
    test.use({ locale });
    test('are taken whole, as one step, and never erase what was there while they are typed', async ({ page }) => {
      await openTray(page, 'Tomatillo');
      const field = page.getByRole('group', { name: 'sown on' }).first();
      const before = await field.textContent();
      await typeDate(page, 'sown on', digits);
      await expect(field).toContainText(shown);
      await page.getByRole('heading', { level: 1 }).click();
      await page.keyboard.press('Control+z');
      await expect(field).toHaveText(before!);
      // In a sentence the month is written as a word, where that place writes it.
      await expect(page.getByRole('main')).toContainText(new RegExp(told, 'i'));
    });
  });
