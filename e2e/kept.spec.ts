import { expect, test } from '@playwright/test';

test.use({ baseURL: `http://localhost:${process.env.E2E_DEMO_PORT}` });

test('what the browser does not give out is left alone, said, and there again the next time', async ({ page, context }) => {
  await page.goto('/settings');
  const price = page.getByRole('textbox', { name: 'price per kWh' });
  await price.fill('0.41');
  await price.press('Enter');
  await page.reload();
  await expect(price).toHaveValue('0.41');
  const broken = await context.newPage();
  await broken.addInitScript(() => {
    IDBObjectStore.prototype.get = () => {
      throw new DOMException('The disk does not answer.', 'UnknownError');
    };
  });
  await broken.goto('/settings');
  await expect(broken.getByRole('alert').filter({ hasText: 'did not give out what it keeps' })).toBeVisible();
  await broken.getByRole('textbox', { name: 'price per kWh' }).fill('0.77');
  await broken.keyboard.press('Enter');
  const download = broken.waitForEvent('download');
  await broken.getByRole('button', { name: 'Save what is here as a file' }).click();
  expect((await download).suggestedFilename()).toBe('copper-noon.json');
  await broken.close();
  await page.reload();
  await expect(price).toHaveValue('0.41');
});

test('no more is put up than can be read back, and that is said', async ({ page }) => {
  await page.goto('/bench');
  await expect(page.getByTestId('stand-line')).toContainText('5 of 5 tiers');
  const more = page.getByRole('button', { name: 'Add a tier on top' });
  for (let i = 0; i < 15; i++) await more.click();
  await expect(page.getByTestId('stand-line')).toContainText('20 tiers');
  await more.click();
  await expect(page.getByText('No more than 20 tiers on a stand can be kept. Nothing has changed.', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByTestId('stand-line')).toContainText('20 tiers');
});
