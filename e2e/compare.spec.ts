import { expect, test } from '@playwright/test';
import { axe } from './axe';
import { go } from './go';

/** Lamps bought for the same light: what they cost over the years, on one's own tier. */

test.describe('lamps compared', () => {
  test.use({ baseURL: `http://localhost:${process.env.E2E_DEMO_PORT}` });

  test('kinds are made equal in light over a tier; with prices typed, the money over the years says which costs least', async ({
    page,
  }) => {
    await page.goto('/lamps/compare');
    const rows = page.getByTestId('compared');
    await expect(rows.first()).toContainText('kWh', { timeout: 60_000 });
    // The price of the tubes is of long ago, and says so; they fall short of the leeks' target.
    await expect(rows.filter({ hasText: 'T5' })).toContainText('check it');
    await expect(rows.filter({ hasText: 'T5' })).toContainText('falls short of');
    const headline = page.getByRole('heading', { name: /costs least/ });
    await expect(headline).toBeVisible();
    const before = await headline.textContent();
    const price = page.getByRole('textbox', { name: /^Price of one LED linkable bar/ });
    await price.fill('2');
    await price.press('Enter');
    await expect(headline).not.toHaveText(before!);
    await expect(headline).toContainText('LED linkable bar');
    // Played with: dearer power costs more, a shorter day needs as many lamps or more; one press takes both back.
    const years = rows.filter({ hasText: 'LED linkable bar' }).getByRole('cell').nth(9);
    const money = async () => Number((await years.textContent())!.replace(/[^\d.]/g, ''));
    const cost = await money();
    const power = page.getByRole('slider', { name: 'Power costs' });
    await power.focus();
    for (let i = 0; i < 10; i++) await power.press('ArrowRight');
    await expect.poll(money).toBeGreaterThan(cost * 1.1);
    const day = page.getByRole('slider', { name: 'A day of no more than' });
    await day.focus();
    await day.press('Home');
    await expect(day).toHaveAttribute('aria-valuetext', /^\d+ h/);
    await page.getByRole('button', { name: /^As it is/ }).click();
    await expect.poll(money).toBeCloseTo(cost, 1);
    await page.reload();
    await expect(price).toHaveValue('2');
    await page.getByRole('button', { name: /^Remove T5/ }).click();
    await expect(rows).toHaveCount(2);
    const { violations } = await axe(page, 'light').analyze();
    expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([]);
  });
});

test.describe('what the lamps can serve', () => {
  test.use({ baseURL: `http://localhost:${process.env.E2E_DEMO_PORT}` });

  test('tiers are held against crops; a press tells what one mole more takes, and what the saved shelf days are worth', async ({
    page,
  }) => {
    await page.goto('/lamps/capacity');
    const rows = page.getByTestId('capacity-row');
    await expect(rows.first()).toContainText('Map-room rack, tier 1', { timeout: 60_000 });
    await expect(page.getByRole('row', { name: /^Trays that have enough/ })).toContainText(/\d+ of \d+/);
    await page.getByRole('button', { name: 'Add a crop' }).click();
    await page.getByRole('combobox').last().fill('basil');
    await page
      .getByRole('option', { name: /^Basil/ })
      .first()
      .click();
    await expect(page.getByRole('columnheader', { name: /^Basil/ })).toBeVisible();
    const cell = page.getByRole('button', { name: /^Map-room rack, tier 5, Celery: enough/ });
    await cell.press('Enter');
    const more = page.getByTestId('more-light');
    await expect(more).toContainText('A longer day: 14 h', { timeout: 30_000 });
    await expect(more).toContainText('One more lamp (LED shop light');
    const worth = more.getByRole('textbox', { name: /place is worth/ });
    await worth.fill('0,5');
    await worth.press('Enter');
    await expect(more).toContainText(/2 trays: saves \S+–\S+, costs/);
    const { violations } = await axe(page, 'light').analyze();
    expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([]);
    await page.getByRole('button', { name: 'Close this' }).click();
    await expect(cell).toBeFocused();
  });
});

test('an advert is read out, held against itself, and corrected by the person', async ({ page }) => {
  await page.goto('/lamps/box');
  await page.getByLabel('What it says').fill('600 W panel, power consumption 98 W, 900 µmol/m²/s');
  await expect(page.getByRole('heading', { name: 'One thing on this box cannot be right' })).toBeVisible();
  await expect(page.getByTestId('box-fault').first()).toContainText('600 W is not what it draws: 98 W is');
  await expect(page.getByTestId('box-fault').nth(1)).toContainText('Over what area?');
  // The PPFD turns out to be the one in the centre; the claim is a slip of the pen.
  await page.getByRole('combobox', { name: 'What 900 µmol/m²/s is' }).selectOption('PPFD in the centre');
  await page.getByRole('button', { name: 'Remove 600 W' }).click();
  await expect(page.getByTestId('box-fault').first()).toContainText('900 µmol/m²/s is one point in the centre');
  // Left and come back to: what was typed still stands.
  await page.getByRole('link', { name: 'Library' }).click();
  await page.getByRole('link', { name: 'Box check' }).click();
  await expect(page.getByLabel('What it says')).toHaveValue('600 W panel, power consumption 98 W, 900 µmol/m²/s');
});

test.describe('money and safety of the demo', () => {
  test.use({ baseURL: `http://localhost:${process.env.E2E_DEMO_PORT}` });

  test('the bill adds up, is held against the meter, and a label is put on one’s own hours', async ({ page }) => {
    await page.goto('/lamps/bill');
    const stand = page.getByTestId('bill-stand').first();
    await expect(stand).toContainText('Map-room rack');
    const perDay = async (row: ReturnType<typeof page.getByRole>) => Number((await row.getByRole('cell').nth(2).textContent())!.trim());
    const sum = await perDay(stand.getByRole('row').first());
    let lines = 0;
    for (const row of (await stand.getByRole('row').all()).slice(1))
      lines += Number((await row.getByRole('cell').nth(3).textContent())!.trim());
    expect(Math.abs(sum - lines)).toBeLessThan(0.06);
    const all = await perDay(page.getByRole('row', { name: /^All/ }));
    await page.getByLabel('It counted').fill(String(all * 7 * 1.5));
    await page.getByLabel('It counted').press('Enter');
    await expect(page.getByText(/More than planned/)).toBeVisible();
    // 2.77 a year on the label at 3 h and 0.11 is a lamp of 23 W: at 16 h and 0.25 it costs 33.57.
    await page.getByLabel('Cost of a year, on the label').fill('2.77');
    await page.getByLabel('Cost of a year, on the label').press('Enter');
    await expect(page.getByText(/^£33\.\d\d a year at 16 h/)).toBeVisible();
    const { violations } = await axe(page, 'light').analyze();
    expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([]);
    // The month of a stand costs the same on the list of stands, cheap hours and all.
    const month = (await stand.getByRole('row').first().getByRole('cell').nth(4).textContent())!.trim();
    expect(month).toMatch(/^£\d+\.\d\d$/);
    await go(page, '/stands');
    await expect(page.getByRole('button', { name: /^Map-room rack/ })).toContainText(`${month} a month`);
  });

  test('a caution is ticked with its day, stays ticked over a reload, and is asked again when something is plugged in', async ({
    page,
  }) => {
    await page.goto('/lamps/safety');
    const gate = page.getByRole('region', { name: /^Map-room rack/ });
    const first = gate.getByRole('checkbox').first();
    await expect(first).not.toBeChecked();
    const ticked = await gate.getByText(/^Checked on/).count();
    await first.check();
    await expect(gate.getByText(/^Checked on/)).toHaveCount(ticked + 1);
    await page.reload();
    await expect(first).toBeChecked();
    const { violations } = await axe(page, 'light').analyze();
    expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([]);
    await page.getByRole('button', { name: /^Undo/ }).waitFor();
    await go(page, '/stands/demo-rack/power');
    await page.getByRole('button', { name: 'Plug in' }).click();
    await go(page, '/lamps/safety');
    await expect(gate.getByText(/something has changed since: check again/).first()).toBeVisible();
    await expect(first).not.toBeChecked();
  });
});
