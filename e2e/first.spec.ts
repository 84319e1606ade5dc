import { expect, test } from '@playwright/test';
import { go } from './go';

/** A first visit, by each way in: three choices, and something useful at the end; closed once, it never comes back. */

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

const steps = 'First steps';

test('I have a lamp: from nothing to a verdict in three choices, kept over a reload', async ({ page }) => {
  await page.goto('/');
  const bar = page.getByRole('region', { name: steps });
  await bar.getByRole('button', { name: 'I have a lamp' }).tap();
  await bar.getByRole('button', { name: 'Choose your lamp' }).tap();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('combobox', { name: 'Lamps' }).fill('clamp');
  await page.keyboard.press('Enter');
  await sheet.getByRole('button', { name: 'Done' }).tap();
  await bar.getByRole('button', { name: 'Choose the tray or pot' }).tap();
  await sheet.getByRole('button', { name: 'Done' }).tap();
  await page.waitForTimeout(500); // longer than a change waits to be written
  await page.reload();
  await bar.getByRole('button', { name: 'Choose the plants' }).tap();
  await sheet.getByRole('combobox').first().fill('basil');
  await page.keyboard.press('Enter');
  await sheet.getByRole('button', { name: 'Done' }).tap();
  await expect(bar.getByRole('status')).toContainText('what the plants get, and what to change');
  await expect(page.getByRole('button', { name: /^Lamp: 1 × .*clamp/ })).toBeVisible();
  await expect(page.getByTestId('verdict')).not.toBeEmpty();
  await bar.getByRole('button', { name: 'Close first steps' }).tap();
  await expect(bar).toHaveCount(0);
  await page.waitForTimeout(500);
  await page.reload();
  await expect(page.getByRole('button', { name: /^Crop: Basil/ })).toBeVisible();
  await expect(bar).toHaveCount(0);
});

test('I have seeds: the way ends at the sowing dates', async ({ page }) => {
  await page.goto('/');
  const bar = page.getByRole('region', { name: steps });
  await bar.getByRole('button', { name: 'I have seeds' }).tap();
  for (const step of ['Choose the plants', 'Choose the tray or pot', 'Choose your lamp']) {
    await bar.getByRole('button', { name: step }).tap();
    await page.getByRole('dialog').getByRole('button', { name: 'Done' }).tap();
  }
  await bar.getByRole('link', { name: 'Plan when to sow' }).tap();
  await expect(page).toHaveURL(/\/season$/);
});

test('I have a sick plant: the way ends at its case in the clinic', async ({ page }) => {
  await page.goto('/');
  const bar = page.getByRole('region', { name: steps });
  await bar.getByRole('button', { name: 'I have a sick plant' }).tap();
  for (const step of ['Choose the plants', 'Choose the tray or pot', 'Choose your lamp']) {
    await bar.getByRole('button', { name: step }).tap();
    await page.getByRole('dialog').getByRole('button', { name: 'Done' }).tap();
  }
  await bar.getByRole('button', { name: 'Show what is wrong' }).tap();
  await expect(page).toHaveURL(/\/clinic\//);
  await expect(page.getByRole('heading', { name: 'What is wrong?' })).toBeVisible();
});

test.describe('with stands of one’s own', () => {
  test.use({ baseURL: `http://localhost:${process.env.E2E_DEMO_PORT}` });

  test('a plant that stands nowhere yet is set up from the clinic, and its case begins', async ({ page }) => {
    await page.goto('/clinic');
    await page.getByRole('button', { name: 'A plant that is not here' }).tap();
    await expect(page).toHaveURL(/\/check$/);
    const bar = page.getByRole('region', { name: steps });
    await bar.getByRole('button', { name: 'Choose the plants' }).tap();
    await page.getByRole('dialog').getByRole('combobox').first().fill('basil');
    await page.keyboard.press('Enter');
    await page.getByRole('dialog').getByRole('button', { name: 'Done' }).tap();
    for (const step of ['Choose the tray or pot', 'Choose your lamp']) {
      await bar.getByRole('button', { name: step }).tap();
      await page.getByRole('dialog').getByRole('button', { name: 'Done' }).tap();
    }
    await bar.getByRole('button', { name: 'Show what is wrong' }).tap();
    await expect(page).toHaveURL(/\/clinic\/.+/);
    await expect(page.getByRole('heading', { level: 1 })).toContainText(/Basil|What is wrong/);
    // The steps are over, and do not come back by themselves.
    await go(page, '/check');
    await expect(page.getByRole('button', { name: /^Crop: Basil/ })).toBeVisible();
    await expect(bar).toHaveCount(0);
  });
});
