import { chromium, expect, test } from '@playwright/test';
import { go } from './go';

/** Text set to twice its usual size in the browser: it grows everywhere, and nothing of it is lost to the right. */
test('with text twice as large every place fits the screen', async ({}, info) => {
  const { args = [], ...options } = info.project.use.launchOptions ?? {};
  const browser = await chromium.launch({ ...options, args: [...args, '--blink-settings=defaultFontSize=32'] });
  const page = await browser.newPage({
    viewport: { width: 1280, height: 800 },
    baseURL: `http://localhost:${process.env.E2E_DEMO_PORT}`,
    serviceWorkers: 'block',
  });
  const wide: string[] = [];
  for (const path of [
    '/today',
    '/check',
    '/stands',
    '/stands/demo-rack/bench',
    '/stands/demo-rack/readings',
    '/stands/demo-rack/hours',
    '/stands/demo-sill/daylight',
    '/season',
    '/lamps',
    '/lamps/capacity',
    '/stands/places',
    '/lamps/bill',
    '/clinic',
    '/settings',
  ]) {
    await go(page, path);
    const heading = page.getByRole('heading', { level: 1 });
    await heading.waitFor();
    await page.waitForTimeout(400);
    const { over, body } = await page.evaluate(() => ({
      over: document.documentElement.scrollWidth - innerWidth,
      body: parseFloat(getComputedStyle(document.body).fontSize),
    }));
    expect(body).toBeGreaterThanOrEqual(28);
    if (over > 0) wide.push(`${path}: ${over} px`);
  }
  expect(wide).toEqual([]);
  await browser.close();
});
