import { axe } from './axe';
import { expect, test, type Page } from '@playwright/test';

test.use({ baseURL: `http://localhost:${process.env.E2E_DEMO_PORT}` });

test.beforeEach(async ({ page }) => {
  await page.goto('/hours');
  await expect(page.getByTestId('best-times').first()).toBeVisible();
});

const timer = (page: Page, name: string) => page.getByRole('region', { name, exact: true });

test('one timer of two tiers is set so that it serves all its trays, keeps quiet, and says who is short-changed', async ({ page }) => {
  const card = timer(page, 'Timer of tiers 4 and 5');
  await expect(card.getByRole('table')).toContainText('Snapdragon');
  await expect(card.getByTestId('best-times')).toContainText('Best for all of them: 05:00 to 21:00, 16 h');
  await expect(card.getByTestId('timer-limit')).toContainText('at most 16 h a day');
  await expect(card.getByTestId('best-times')).toContainText(/Sage: still too little. With these hours \d+ % more light would do/);
  await card.getByRole('button', { name: 'Set 05:00 to 21:00' }).click();
  await expect(card.getByLabel('on', { exact: true })).toHaveValue('05:00');
  await expect(card.getByTestId('best-times')).toContainText('as it is set');
  // The bench hangs on the same timer.
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  await page.getByTestId('tier-5').click();
  await expect(page.getByRole('textbox', { name: 'on at' })).toHaveValue('05:00');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('textbox', { name: 'on at' })).toHaveValue('06:00');
});

test('an end of the strip is moved with keys and typed; doses and warnings follow', async ({ page }) => {
  const card = timer(page, 'Timer of tier 1');
  const off = card.getByRole('slider', { name: 'Lamp off, Timer of tier 1' });
  const dose = async () => Number((await card.getByRole('row', { name: /Leek/ }).textContent())!.match(/(\d+\.\d)–/)![1]);
  const before = await dose();
  await off.focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowLeft');
  await expect(off).toHaveAttribute('aria-valuetext', '18:30');
  await expect.poll(async () => (await dose()) / before).toBeCloseTo(13 / 14, 1);
  await card.getByLabel('off', { exact: true }).fill('23:00');
  await card.getByLabel('off', { exact: true }).press('Enter');
  await expect(card).toContainText('1 h of it in the quiet hours');
  await expect(card.getByRole('row', { name: /Leek/ })).toContainText('too long a day');
});

test('quiet hours and the steps of the timers are the household’s: the best times keep to them', async ({ page }) => {
  await page.getByRole('link', { name: 'Change these' }).click();
  await page.getByRole('textbox', { name: 'dark from' }).fill('18:00');
  await page.getByRole('textbox', { name: 'dark from' }).press('Enter');
  await page.getByLabel('Steps of the timers').getByText('of 30').click();
  await page.goBack();
  const card = timer(page, 'Timer of tier 3');
  await expect(card.getByTestId('timer-limit').first()).toContainText('The quiet hours leave no more than 13 h');
  await expect(card.getByTestId('best-times')).toContainText('05:00 to 18:00');
});

test('a pause leaves the lamps off for a while: two blocks, fewer hours, a longest night; the bench says so too', async ({ page }) => {
  const card = timer(page, 'Timer of tier 3');
  await card.getByRole('button', { name: 'Lamps off for a while' }).click();
  const from = card.getByRole('textbox', { name: 'pause from' });
  await from.fill('12:00');
  await from.press('Enter');
  const to = card.getByRole('textbox', { name: 'to', exact: true });
  await to.fill('16:00');
  await to.press('Enter');
  const [on, off] = await Promise.all(['on', 'off'].map((name) => card.getByRole('textbox', { name, exact: true }).inputValue()));
  await expect(card.getByTestId('pause-words')).toContainText('Lamps are off for 4 h.');
  const minutes = (clock: string) => 60 * Number(clock.slice(0, 2)) + Number(clock.slice(3));
  const lit = ((minutes(off!) - minutes(on!) + 1440) % 1440) - 240;
  await expect(card).toContainText(`${Math.floor(lit / 60)} h${lit % 60 ? ` ${lit % 60}` : ''} a day`);
  // The best hours keep the pause.
  await expect(card.getByTestId('best-times')).toContainText(/\d\d:\d\d to 12:00 and 16:00 to \d\d:\d\d/);
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  await page.getByTestId('tier-3').click();
  await expect(page.getByText(`${on} to 12:00 and 16:00 to ${off}`)).toBeVisible();
  await page.goBack();
  await card.getByRole('button', { name: 'Remove the pause' }).click();
  await expect(card.getByRole('textbox', { name: 'off', exact: true })).toHaveValue(off!);
  await page.getByRole('button', { name: /^Undo: remove the pause/ }).click();
  await expect(card.getByTestId('pause-words')).toContainText('Lamps are off for 4 h.');
  const { violations } = await axe(page, 'light').analyze();
  expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([]);
});

test('stated daylight is drawn, adds to the dose and leaves less for the lamps, on the bench as well', async ({ page }) => {
  await page.getByRole('combobox', { name: 'Stand' }).selectOption({ label: 'North-east sill' });
  const card = timer(page, 'The timer');
  await expect(card.getByTestId('best-times')).toBeVisible();
  const fern = card.getByRole('row', { name: /fern/i });
  const weakest = async () => Number((await fern.textContent())!.match(/(\d+\.\d+)–/)![1]);
  const before = await weakest();
  // It stands at a window: what that gives counts until something else is stated.
  await expect(card).toContainText(/\d\.\d+ mol\/m²\/day from the window/);
  await card.getByRole('button', { name: 'State it by hand' }).click();
  const state = async (dli: string) => {
    await card.getByRole('textbox', { name: 'daylight' }).fill(dli);
    await card.getByRole('textbox', { name: 'daylight' }).press('Enter');
  };
  await state('4');
  await expect.poll(weakest).toBeGreaterThan(before + 2);
  const bright = await weakest();
  await state('1.5');
  // Lamp and daylight together are held against what a fern needs.
  await expect.poll(async () => Math.abs((await weakest()) - (bright - 2.5))).toBeLessThan(0.11); // both are rounded
  await expect(fern).toContainText('2–7 in');
  await card.getByRole('textbox', { name: 'until' }).fill('1:00');
  await card.getByRole('textbox', { name: 'until' }).press('Enter');
  await expect(card).toContainText('The end time must be after the start time.');
  await page.keyboard.press('Escape');
  await page.reload();
  await page.getByRole('combobox', { name: 'Stand' }).selectOption({ label: 'North-east sill' });
  await expect(timer(page, 'The timer').getByRole('textbox', { name: 'daylight' })).toHaveValue('1.5');
});

test('axe finds nothing wrong with the hours and nothing is wider than a phone', async ({ page }) => {
  await page.waitForTimeout(300);
  const { violations } = await axe(page, 'light').analyze();
  expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target).join(', ')}`)).toEqual([]);
  await page.setViewportSize({ width: 390, height: 844 });
  await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390); // charts follow in a moment
});
