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

/** The bench with its second tier, whose light and advice have been worked out. */
const secondTier = async (page) => {
  await page.getByTestId('tier-2').click();
  await page.getByTestId('offer').first().waitFor();
};
await picture('bench', { path: '/bench', act: secondTier });
await picture('words', {
  path: '/words',
  act: async (page) => {
    await page.getByRole('slider', { name: 'PPFD' }).fill('240');
    await page.locator('#dli').evaluate((e) => e.scrollIntoView());
  },
});
await picture('season-plan', {
  path: '/season',
  act: async (page) => {
    await page.getByRole('button', { name: 'Look for ways out' }).click({ timeout: 60_000 });
    await page.getByRole('region', { name: 'Ways out' }).getByRole('listitem').first().waitFor({ timeout: 60_000 });
  },
});
await picture('phone-today', {
  path: '/today',
  width: 390,
  height: 844,
  act: async (page) => {
    await page.getByText(/^Working out/).waitFor({ state: 'detached', timeout: 60_000 });
    await page.getByRole('checkbox').first().tap();
    await page.waitForTimeout(9500); // until the message at the foot has gone
  },
});
await picture('daylight', {
  path: '/stands/demo-sill/daylight',
  act: async (page) => {
    await page.getByTestId('months').waitFor();
    await page.getByLabel('Month', { exact: true }).fill('5');
    await page.getByLabel('Hour', { exact: true }).fill('460');
  },
});
await picture('check', { path: '/check', act: (page) => page.getByTestId('answer').waitFor({ timeout: 60_000 }) });
/** The readings of one tier of the rack. */
const tierOfRack = (page, n) => page.getByLabel('tier', { exact: true }).selectOption({ index: n - 1 });
const beginWalk = async (page, meter) => {
  await page.getByLabel('Meter', { exact: true }).selectOption(`practice:${meter}`);
  await page.getByRole('button', { name: 'Start measuring' }).click();
};
const shows = (page) => page.waitForFunction(() => Number(document.querySelector('[data-testid=big-digits]')?.placeholder) > 0);
await picture('readings', {
  path: '/readings',
  act: async (page) => {
    await tierOfRack(page, 2);
    await page.getByText('short, 5 points').click();
    await beginWalk(page, 'fc-analogue');
    for (const times of ['× 100', '× 100', '× 1']) {
      await shows(page);
      await page.getByLabel('Times the switch').getByText(times, { exact: true }).click();
      await page.getByRole('button', { name: 'Add reading and continue' }).click();
    }
    await page.getByTestId('doubted').waitFor();
  },
});
await picture('readings-fit', {
  path: '/readings',
  scheme: 'dark',
  act: async (page) => {
    await tierOfRack(page, 4);
    await page.getByRole('tab', { name: 'Fit' }).click();
    await page.mouse.click(400, 700);
  },
});
await picture('hours', { path: '/hours', act: (page) => page.getByTestId('best-times').first().waitFor() });
const chartMade = (page) => page.getByTestId('visit').first().waitFor({ timeout: 120_000 });
await picture('chart', { path: '/hours/chart', act: chartMade });
await picture('tray', {
  path: '/hours/chart',
  act: async (page) => {
    await page.getByRole('link', { name: /^Leek/ }).click();
    await page.getByTestId('plan-dose').waitFor();
    await page.getByTestId('so-far').getByText('a day').waitFor();
  },
});
await picture('clinic', {
  path: '/clinic/demo-case-celery',
  act: (page) => page.getByRole('button', { name: /^middle: .*light$/ }).waitFor({ timeout: 60_000 }),
});
await picture('trial', {
  path: '/season/trials/demo-trial-dose',
  act: (page) => page.getByRole('heading', { name: 'Result' }).evaluate((h) => h.scrollIntoView()),
});
await picture('crops', { path: '/crops', scheme: 'dark' });
await picture('stands', { path: '/stands', act: (page) => page.getByRole('table').nth(2).waitFor() });
await picture('your-data', { path: '/settings/data' });
await picture('lamps', { path: '/lamps' });
await picture('practice', {
  path: '/clinic/practice',
  act: async (page) => {
    await page.getByLabel('number (empty: by chance)').fill('7');
    await page.getByLabel('number (empty: by chance)').press('Enter');
    await page.getByRole('button', { name: 'Start: Two trays, one light' }).click();
    await page.getByRole('button', { name: 'To the end' }).click();
    await page.getByRole('heading', { name: /seedlings sound/ }).waitFor({ timeout: 60_000 });
  },
});
/** A drawn plant beside a label of 10 cm. */
const drawn = (page) =>
  page.evaluate(async () => {
    const canvas = new OffscreenCanvas(900, 1200);
    const g = canvas.getContext('2d');
    const box = (colour, ...at) => {
      g.fillStyle = colour;
      g.fillRect(...at);
    };
    box('#dfd8ca', 0, 0, 900, 1200);
    box('#5b4230', 0, 1000, 900, 200);
    box('#ffffff', 150, 600, 60, 400);
    box('#2f7d46', 520, 720, 14, 280);
    g.fillStyle = '#3a9454';
    for (const [x, y, turn] of [
      [465, 730, 0.35],
      [590, 730, -0.35],
      [475, 820, 0.2],
      [580, 850, -0.2],
    ]) {
      g.beginPath();
      g.ellipse(x, y, 72, 25, turn, 0, 7);
      g.fill();
    }
    const blob = await canvas.convertToBlob({ type: 'image/png' });
    return btoa(String.fromCharCode(...new Uint8Array(await blob.arrayBuffer())));
  });
await picture('phone-photo', {
  path: '/today/journal',
  width: 390,
  height: 844,
  act: async (page) => {
    await page.getByRole('link', { name: 'Sage' }).first().tap();
    await page.getByRole('button', { name: 'Photo', exact: true }).tap();
    const buffer = Buffer.from(await drawn(page), 'base64');
    await page.getByLabel('Picture file').setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer });
    await page.getByRole('button', { name: /^Photo of/ }).tap();
    await page.getByRole('button', { name: 'Measure a plant' }).tap();
    const svg = page.getByRole('application');
    await svg.waitFor();
    const at = await svg.boundingBox();
    for (const [x, y] of [
      [180, 600],
      [180, 1000],
      [527, 1000],
      [527, 720],
    ])
      await page.touchscreen.tap(at.x + (x / 900) * at.width, at.y + (y / 1200) * at.height);
  },
});
await browser.close();
server.kill();
