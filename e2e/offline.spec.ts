import { expect, test } from '@playwright/test';

/** At the rack without a network: the server goes away in the middle of typing, and everything goes on. */

test.use({
  baseURL: `http://localhost:${process.env.E2E_DEMO_PORT}`,
  viewport: { width: 390, height: 844 },
  hasTouch: true,
  serviceWorkers: 'allow',
  timezoneId: 'Europe/Lisbon',
});

test('the network is unplugged while a note is typed: it is kept, all places open, a tray is logged', async ({ page, context }) => {
  await page.goto('/today/journal');
  await expect(page.getByRole('list', { name: 'Entries' })).toBeVisible();
  // All of it is in the browser: the pages, and those of this household's trays and stands.
  const href = (await page.getByRole('link', { name: 'Sage' }).first().getAttribute('href'))!;
  const isKept = (address: string) => page.evaluate(async (a) => (await caches.match(a)) !== undefined, address);
  for (const address of [href, '/stands/demo-sill/bench']) await expect.poll(() => isKept(address), { timeout: 90_000 }).toBe(true);
  await page.getByRole('link', { name: 'Sage' }).first().tap();
  await page.getByRole('textbox', { name: 'In your own words' }).fill('Dry at the rim');
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Add note' }).tap();
  await expect(page.getByRole('list', { name: 'Written down' })).toContainText('Dry at the rim');
  await page.waitForTimeout(500); // longer than a change waits to be written
  await page.reload();
  await expect(page.getByRole('list', { name: 'Written down' })).toContainText('Dry at the rim');
  await page.getByRole('button', { name: 'Watered', exact: true }).tap();

  for (const [place, heading] of [
    ['Check', /./],
    ['Stands', /./],
    ['Season', /./],
    ['Lamps', /./],
    ['Clinic', /./],
    ['Settings', /./],
    ['Today', /./],
  ] as const) {
    await page.getByRole('navigation').getByRole('link', { name: place, exact: true }).tap();
    await expect(page).toHaveURL(new RegExp(place.toLowerCase()));
    await expect(page.getByRole('heading', { level: 1 }).filter({ hasText: heading })).toBeVisible();
  }
  await page.goto('/today/journal');
  await expect(page.getByRole('list', { name: 'Entries' })).toContainText('Sage: Watered');
  // Light is worked out by workers, which come from what is kept as well.
  await page.goto('/stands/demo-sill/bench');
  await expect(page.getByTestId('tray-map').first()).toBeVisible({ timeout: 60_000 });
  await context.setOffline(false);
});

test('on a second visit, with everything kept, light is worked out as on the first', async ({ page }) => {
  await page.goto('/stands/demo-sill/bench');
  await expect(page.getByTestId('tray-map').first()).toBeVisible({ timeout: 60_000 });
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null, undefined, { timeout: 90_000 });
  await page.reload();
  await expect(page.getByTestId('tray-map').first()).toBeVisible({ timeout: 60_000 });
  await page.goto('/clinic');
  await expect(page.getByRole('heading', { name: 'Heading for trouble' })).toBeVisible({ timeout: 60_000 });
});
