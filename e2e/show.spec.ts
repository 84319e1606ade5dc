import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { axe } from './axe';
import { go } from './go';

/** A stand shown to somebody: as a link whose data no server sees, and as pictures. With the demo. */
test.use({ baseURL: `http://localhost:${process.env.E2E_DEMO_PORT}`, permissions: ['clipboard-read', 'clipboard-write'] });

test('a link opens as a view, and a copy of it can be kept', async ({ page, browser }) => {
  await page.goto('/stands/demo-sill/bench');
  await page.getByRole('button', { name: 'Stand', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Copy a link to show it' }).click();
  await expect(page.getByText('The link is copied.').first()).toBeVisible();
  const link = await page.evaluate(() => navigator.clipboard.readText());
  const asked: string[] = [];
  const other = await (await browser.newContext({ baseURL: `http://localhost:${process.env.E2E_PORT}`, locale: 'en-GB' })).newPage();
  other.on('request', (r) => asked.push(r.url()));
  const hash = new URL(link).hash;
  await other.goto(`/show${hash}`);
  await expect(other.getByRole('heading', { name: 'North-east sill', level: 1 })).toBeVisible();
  await expect(other.getByRole('row', { name: /^Rex begonia/ })).toHaveCount(2);
  await expect(other.getByRole('row', { name: /^Rex begonia.* \d[\d.]*–[\d.]+ [\d.]+–\d/ })).toHaveCount(2);
  // Nothing of it was asked of the server.
  expect(asked.some((url) => url.includes(hash.slice(4, 40)))).toBe(false);
  const { violations } = await axe(other, 'light').analyze();
  expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([]);
  await go(other, '/stands');
  await expect(other.getByRole('button', { name: /^North-east sill/ })).toHaveCount(0);
  await other.goto(`/show${hash}`);
  await other.getByRole('button', { name: 'Keep a copy' }).click();
  await expect(other.getByRole('heading', { name: 'Bench: North-east sill' })).toBeAttached();
  // A link that was cut on the way says so.
  await go(other, '/settings');
  await other.goto(`/show${hash.slice(0, -50)}`);
  await expect(other.getByText('Ask for the link again')).toBeVisible();
});

test('bench, map and season go out as pictures', async ({ page }) => {
  await page.goto('/stands/demo-rack/bench');
  await expect(page.getByTestId('tray-map').first()).toBeVisible();
  const saved = async (press: () => Promise<void>) => {
    const [download] = await Promise.all([page.waitForEvent('download'), press()]);
    return { name: download.suggestedFilename(), bytes: readFileSync(await download.path()) };
  };
  const menu = (item: string) => async () => {
    await page.getByRole('button', { name: 'Stand', exact: true }).click();
    await page.getByRole('menuitem', { name: item }).click();
  };
  const png = await saved(menu('Save the picture as PNG'));
  expect(png.name).toBe('map-room-rack.png');
  expect([...png.bytes.subarray(0, 4)]).toEqual([0x89, 0x50, 0x4e, 0x47]);
  // Wider than a few hundred points, and no empty sheet.
  expect(png.bytes.readUInt32BE(16)).toBeGreaterThan(900);
  expect(png.bytes.length).toBeGreaterThan(40_000);
  const svg = (await saved(menu('Save the picture as SVG'))).bytes.toString();
  expect(svg.startsWith('<svg xmlns="http://www.w3.org/2000/svg"')).toBe(true);
  expect(svg).toContain('<image href="data:image/png');
  expect(svg).not.toMatch(/href="(?!data:|#)/);
  const map = await saved(() => page.getByRole('button', { name: 'Save the map as SVG' }).click());
  expect(map.bytes.toString()).toContain('<image');
  await go(page, '/season');
  await page.getByRole('button', { name: 'Export', exact: true }).click();
  const season = await saved(() => page.getByRole('button', { name: 'Save the season as SVG' }).click());
  expect(season.bytes.toString()).toContain('Celery');
});
