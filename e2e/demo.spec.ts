import { expect, test } from '@playwright/test';

test.use({ baseURL: `http://localhost:${process.env.E2E_DEMO_PORT}` });

test('the demo is there at the first visit, problems included', async ({ page }) => {
  await page.goto('/stands');
  await expect(page.getByRole('listitem').filter({ hasText: 'Map room · celery' })).toContainText(
    'The middle is right, the edges will stretch.',
  );
  await expect(page.getByRole('listitem').filter({ hasText: 'Map room · physalis' })).toContainText('Too strong in the middle');
  await expect(page.getByRole('listitem').filter({ hasText: 'Map room · leek' })).toContainText(
    'Good: the whole tray is in the target range.',
  );
  await page.getByRole('button', { name: /^Map room · celery/ }).click();
  await expect(page.getByTestId('calibration')).toContainText('By 4 readings the lamp gives 94 %');
  await expect(page.getByText('This lamp can’t give that. Likely:')).toBeVisible();
  await page.getByRole('link', { name: 'Stands', exact: true }).click();
  await page.getByRole('button', { name: /^Map room · leek/ }).click();
  await expect(page.getByTestId('verdict')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Crop: Leek/ })).toBeVisible();
});
