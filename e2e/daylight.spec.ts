import { axe } from './axe';
import { expect, test, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';

/** What a window gives: from nothing stated to a year, drawn, measured and counted. */

const demo = `http://localhost:${process.env.E2E_DEMO_PORT}`;
const row = (page: Page, month: string) => page.getByTestId('months').getByRole('row', { name: new RegExp(`^${month}`) });
const meanOf = async (page: Page, month: string) => Number(await row(page, month).getByRole('cell').nth(2).textContent());

test('a sill gets its place and window, and its year follows what is said of it', async ({ page }) => {
  await page.goto(`${demo}/stands/demo-rack/daylight`);
  // The household has a place; this stand is at no window yet.
  await page.getByRole('button', { name: 'A new window' }).click();
  await expect(row(page, 'Jun')).toBeVisible();
  const before = await meanOf(page, 'Jun');
  expect(before).toBeGreaterThan(0);
  await page.getByRole('button', { name: 'Change the window' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('looks to').fill('N');
  await sheet.getByLabel('looks to').press('Enter');
  await sheet.getByLabel('looks to').fill('sideways');
  await sheet.getByLabel('looks to').press('Enter');
  await expect(sheet).toContainText('A compass point such as NE, or degrees from north: 90 is east.');
  await sheet.getByLabel('looks to').fill('N');
  await sheet.getByLabel('looks to').press('Enter');
  await sheet.getByRole('button', { name: 'Done' }).click();
  await expect.poll(() => meanOf(page, 'Jun')).toBeLessThan(before);
  await page.reload();
  await expect(page.getByText('looks north:')).toBeVisible();
});

test('the skyline is moved with keys, takes light away, and comes back with undo', async ({ page }) => {
  await page.goto(`${demo}/stands/demo-sill/daylight`);
  await expect(page.getByTestId('daylight-answer')).toContainText(/Right from daylight alone/);
  const before = await meanOf(page, 'Jun');
  // The edge of the house: what is raised there stands before the morning sun.
  const dot = page.getByRole('slider', { name: 'What stands outside, point 6' });
  const was = await dot.getAttribute('aria-valuenow');
  await dot.focus();
  for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowUp');
  await expect(dot).toHaveAttribute('aria-valuenow', String(Number(was) + 24));
  await expect.poll(() => meanOf(page, 'Jun')).toBeLessThan(before);
  for (let i = 0; i < 12; i++) await page.keyboard.press('Control+z');
  await expect.poll(() => meanOf(page, 'Jun')).toBe(before);
});

test('the sun wanders with the hour and the month, and its patch with it', async ({ page }) => {
  await page.goto(`${demo}/stands/demo-sill/daylight`);
  const moment = page.getByTestId('moment');
  await page.getByLabel('Month', { exact: true }).fill('5');
  await page.getByLabel('Hour', { exact: true }).fill('440');
  await expect(moment).toContainText('21 June, 07:20');
  await expect(moment).toContainText('up in the east');
  await expect(page.getByTestId('patch')).toBeVisible();
  await page.getByLabel('Hour', { exact: true }).fill('60');
  await expect(moment).toContainText('the sun is down');
  await expect(page.getByTestId('patch')).toHaveCount(0);
  // By keyboard too.
  await page.getByLabel('Month', { exact: true }).press('ArrowRight');
  await expect(moment).toContainText('21 July');
});

test('a pair of readings under a grey sky moves the window; one alone is kept and told why it does not count', async ({ page }) => {
  await page.goto(`${demo}/stands/demo-landing/daylight`);
  await expect(row(page, 'Jun')).toBeVisible();
  const before = await meanOf(page, 'Jun');
  await page.getByRole('button', { name: 'Add a reading' }).click();
  const sheet = page.getByRole('dialog');
  await expect(sheet.getByTestId('correction')).toContainText('As computed');
  const add = async (inside: string, outside: string) => {
    await sheet.getByLabel('at the leaves').fill(inside);
    await sheet.getByLabel('at the leaves').press('Enter');
    await sheet.getByLabel('outdoors').fill(outside);
    await sheet.getByLabel('outdoors').press('Enter');
    await sheet.getByRole('button', { name: 'Add the reading' }).click();
  };
  await sheet.getByRole('radio', { name: 'changing' }).click();
  await add('900', '');
  await expect(sheet.getByRole('listitem').first()).toContainText('a reading alone says more of the weather');
  await sheet.getByRole('radio', { name: 'closed grey' }).click();
  // In the dark of any hour a pair can't be told from a sunny one by its brightness alone: so little light passes at any time.
  await add('2', '40');
  await expect(sheet.getByTestId('correction')).toContainText(
    /let through \d+ % of what was computed.*known to about ±\d+ %, by one reading/,
  );
  await sheet.getByRole('button', { name: 'Done' }).click();
  await expect.poll(() => meanOf(page, 'Jun')).not.toBe(before);
});

test('what suits a place is ranked, and the best of one’s places for a plant is told in numbers', async ({ page }) => {
  await page.goto(`${demo}/stands/demo-sill/daylight`);
  const suits = page.getByRole('region', { name: 'What suits this place' });
  const months = async () => (await suits.getByText(/^\d+ months?$/).allTextContents()).map((t) => parseInt(t, 10));
  await expect.poll(async () => (await months()).length).toBeGreaterThan(4);
  const ranked = await months();
  expect(ranked).toEqual([...ranked].sort((a, b) => b - a));
  await page.getByRole('button', { name: /^The best of my places for/ }).click();
  const places = page.getByTestId('places-for').getByRole('listitem');
  // Two stands, and three free places before each of two windows.
  await expect(places).toHaveCount(8);
  await expect(places.first()).toContainText(/mol in the darkest month, .* in the brightest/);
});

test('the door says what the screen says, and names what is wrong', async ({ request }) => {
  const question = JSON.parse(readFileSync('docs/examples/window.json', 'utf8')) as { place: { latitude_deg: number } };
  const good = await request.post(`${demo}/api/daylight`, { data: question, headers: { origin: demo } });
  expect(good.status()).toBe(200);
  const said = (await good.json()) as { places: { months: { mean_mol_per_m2_d: number }[] }[] };
  expect(said.places[0]!.months).toHaveLength(12);
  question.place.latitude_deg = 91;
  const bad = await request.post(`${demo}/api/daylight`, { data: question, headers: { origin: demo } });
  expect(bad.status()).toBe(400);
  expect(await bad.json()).toMatchObject({ ok: false, problems: [{ at: 'place.latitude_deg' }] });
});

test('a first household types its place, is told what can’t be, and needs no device for it', async ({ page }) => {
  await page.goto('/settings');
  await page.getByLabel('latitude').fill('91');
  await page.getByLabel('latitude').press('Enter');
  await expect(page.getByText(/90 at most/)).toBeVisible();
  await page.getByLabel('latitude').fill('54°12′ N');
  await page.getByLabel('latitude').press('Enter');
  await expect(page.getByLabel('latitude')).toHaveValue('54.20° N');
  await page.getByLabel('sunshine').selectOption('dry');
  await page.reload();
  await expect(page.getByLabel('latitude')).toHaveValue('54.20° N');
  await expect(page.getByLabel('sunshine')).toHaveValue('dry');
});

test('axe finds nothing wrong with daylight and nothing is wider than a phone', async ({ page }) => {
  await page.goto(`${demo}/stands/demo-sill/daylight`);
  await expect(row(page, 'Jun')).toBeVisible();
  await page.waitForTimeout(300);
  const { violations } = await axe(page, 'light').analyze();
  expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target).join(', ')}`)).toEqual([]);
  await page.setViewportSize({ width: 390, height: 844 });
  await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test('places at home: every tier and free places before the windows, best first for any plant, on a map and in a list', async ({
  page,
}) => {
  await page.goto(`${demo}/stands`);
  await page.getByRole('link', { name: /^Places at home/ }).click();
  const rows = page.getByTestId('home-place');
  await expect(rows.first()).toBeVisible({ timeout: 40_000 });
  const inRange = async () => (await rows.allTextContents()).map((t) => Number(/(\d+) months?$/.exec(t)![1]));
  const before = await inRange();
  expect(before).toEqual([...before].sort((a, b) => b - a));
  expect(before.length).toBeGreaterThan(10);
  await expect(page.getByTestId('home-map').getByRole('listitem')).toHaveCount(before.length);
  await page.getByRole('button', { name: /^Plant/ }).click();
  await page.getByRole('dialog').getByRole('combobox').fill('lettuce');
  await page.getByRole('option', { name: /^Lettuce/ }).click();
  await expect(page).toHaveURL(/plant=lettuce/);
  await page.getByRole('combobox', { name: 'Stage' }).selectOption('seedling');
  await expect(page).toHaveURL(/stage=seedling/);
  await expect(page.getByText('needs').first()).toBeVisible();
  await expect(rows.filter({ hasText: 'Map-room rack' }).first()).toContainText(/Lamps \d/);
  await expect.poll(inRange).not.toEqual(before);
  const { violations } = await axe(page, 'light').analyze();
  expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([]);
  await page.setViewportSize({ width: 390, height: 844 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0);
});
