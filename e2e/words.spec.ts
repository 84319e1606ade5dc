import { expect, test } from '@playwright/test';
import { axe } from './axe';

test.use({ baseURL: `http://localhost:${process.env.E2E_DEMO_PORT}` });

test('a word is explained where it stands, and all of them on a page that can be searched', async ({ page }) => {
  await page.goto('/check');
  await page.getByRole('button', { name: 'DLI: what is it?' }).click();
  await expect(page.getByText('daily light integral')).toBeVisible();
  await page.getByRole('link', { name: 'All words' }).click();
  await expect(page).toHaveURL(/\/words#dli$/);
  await expect(page.getByRole('heading', { name: 'Words and reasons' })).toBeVisible();
  await page.getByRole('searchbox', { name: 'Search' }).fill('beam');
  await expect(page.getByRole('status').filter({ hasText: 'words' })).toHaveText(/^\d of \d+ words$/);
  await expect(page.getByText('How wide a lamp spreads its light')).toBeVisible();
  await page.getByRole('searchbox', { name: 'Search' }).fill('');
  const { violations } = await axe(page, 'light').analyze();
  expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([]);
});

test('the small pictures answer by keyboard: the bucket fills, the beam narrows', async ({ page }) => {
  await page.goto('/words');
  await page.getByRole('slider', { name: 'PPFD' }).fill('300');
  await expect(page.getByText('300 × 14 × 0.0036')).toContainText('15.1 mol/m²/day: in the range of most seedlings');
  const edge = page.getByText(/the edge gets \d+ % of the middle/);
  const share = async () => Number(/gets (\d+) %/.exec((await edge.textContent())!)![1]);
  const wide = await share();
  await page.getByRole('slider', { name: 'Beam angle' }).focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowLeft');
  await expect.poll(share).toBeLessThan(wide);
});
