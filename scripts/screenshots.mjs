import { chromium } from '@playwright/test';
import { spawn } from 'node:child_process';
import { build, freePort, installPackages } from './prepare.mjs';

/** Takes the pictures of the README from the demo: `npm run screenshots`. */

installPackages();
if (!build()) process.exit(1);
const port = await freePort();
const server = spawn(process.execPath, ['node_modules/next/dist/bin/next', 'start', '-p', String(port)], {
  env: { ...process.env, COPPER_NOON_DEMO: '1' },
});
await new Promise((ready) => server.stdout.on('data', (text) => /Ready/i.test(String(text)) && ready()));
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});

async function picture(name, { width = 1280, height = 800, path = '/', setUp, scheme = 'light', media, act } = {}) {
  const page = await browser.newPage({ viewport: { width, height }, locale: 'en-GB', colorScheme: scheme, hasTouch: width < 500 });
  await page.goto(`http://localhost:${port}${path}`);
  await page.getByRole('heading', { level: 1 }).waitFor({ state: 'attached' });
  if (setUp) {
    await page.getByRole('button', { name: /^Set-ups/ }).click();
    await page.getByRole('menuitemradio', { name: setUp }).click();
    await page.mouse.click(5, 5);
  }
  await page.waitForTimeout(900);
  if (act) await act(page);
  if (media) await page.emulateMedia({ media });
  await page.waitForTimeout(600);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
  await page.close();
}

await picture('check');
await picture('check-bulb', { setUp: 'Map room · physalis', scheme: 'dark' });
await picture('check-answer', { setUp: 'Landing shelf · hoyas' });
await picture('readings', { act: (page) => page.getByRole('heading', { name: 'Readings' }).evaluate((e) => e.scrollIntoView()) });
await picture('rules', {
  act: async (page) => {
    await page.getByRole('button', { name: /Rules of thumb/ }).click();
    await page.getByRole('button', { name: /Rules of thumb/ }).evaluate((e) => e.scrollIntoView());
  },
});
await picture('lamp-from-box', {
  act: async (page) => {
    await page.getByRole('button', { name: /^Lamp:/ }).click();
    await page.getByRole('tab', { name: 'From its box' }).click();
  },
});
await picture('place', { setUp: 'Map room · parsley', act: (page) => page.getByRole('button', { name: /^Place:/ }).click() });
await picture('lamp-light', {
  act: async (page) => {
    await page.getByRole('button', { name: /^Lamp:/ }).click();
    await page.getByRole('tab', { name: 'Its light' }).click();
  },
});
await picture('set-ups', { path: '/setups' });
await picture('settings', { path: '/settings' });
await picture('print', { width: 800, height: 1130, media: 'print' });
await picture('phone', { width: 390, height: 844 });
await picture('phone-readings', {
  width: 390,
  height: 844,
  act: (page) => page.getByRole('heading', { name: 'Readings' }).evaluate((e) => e.scrollIntoView()),
});
await browser.close();
server.kill();
