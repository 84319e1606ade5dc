import { chromium, type Browser, type CDPSession, type Locator, type Page } from '@playwright/test';
import { spawn, spawnSync } from 'node:child_process';
import { CHROMIUM } from '../test/chromium';

/**
 * What a person waits for, in a real browser on the production build: `npm run bench:browser`. Phone size, the processor four times
 * slower: bytes of scripts and seconds until the frame of the page and until the first verdict, with nothing kept; then how still the
 * page stands while a hand drags.
 */
const SLOWER = 4;
const PHONE = { width: 390, height: 844 };
const ROUNDS = 5;
const PORT = 4397;
const at = (path: string) => `http://localhost:${PORT}${path}`;

const middle = (values: readonly number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

async function slowPage(browser: Browser): Promise<{ page: Page; cdp: CDPSession; end(): Promise<void> }> {
  const context = await browser.newContext({ viewport: PHONE, serviceWorkers: 'block', locale: 'en-GB' });
  const page = await context.newPage();
  const cdp = await context.newCDPSession(page);
  await cdp.send('Network.enable');
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  return { page, cdp, end: () => context.close() };
}

/** Opens a page with nothing kept. @returns seconds and kilobytes of scripts until its frame stands, and until what it is opened for */
async function firstVisit(browser: Browser, path: string, wanted: (page: Page) => Locator) {
  const { page, cdp, end } = await slowPage(browser);
  const scripts = new Map<string, number>();
  const urls = new Map<string, string>();
  cdp.on('Network.responseReceived', ({ requestId, response }) => urls.set(requestId, response.url));
  cdp.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (urls.get(requestId)?.includes('.js')) scripts.set(requestId, encodedDataLength);
  });
  const kilobytes = () => [...scripts.values()].reduce((sum, v) => sum + v, 0) / 1000;
  const from = Date.now();
  await page.goto(at(path), { waitUntil: 'commit' });
  await page.getByRole('navigation').first().waitFor();
  const frame =
    (await page.evaluate(() => performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? performance.now())) / 1000;
  await wanted(page).waitFor({ timeout: 60_000 });
  const found = { frame, seconds: (Date.now() - from) / 1000, kilobytes: kilobytes() };
  await end();
  return found;
}

/** Frames while something is dragged, ms. */
async function framesWhile(page: Page, act: () => Promise<void>): Promise<number[]> {
  await page.evaluate(() => {
    const kept = { frames: [] as number[], last: performance.now(), on: true };
    (window as unknown as { kept: typeof kept }).kept = kept;
    const frame = (now: number) => {
      kept.frames.push(now - kept.last);
      kept.last = now;
      if (kept.on) requestAnimationFrame(frame);
    };
    requestAnimationFrame(frame);
  });
  await act();
  return page.evaluate(() => {
    const { kept } = window as unknown as { kept: { frames: number[]; on: boolean } };
    kept.on = false;
    return kept.frames.slice(2);
  });
}

/** Draws a handle to and fro. */
async function draw(page: Page, handle: Locator, way: { dx: number; dy: number }): Promise<void> {
  await handle.scrollIntoViewIfNeeded();
  const box = (await handle.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 1; i <= 60; i++) {
    const t = Math.sin((i / 60) * 2 * Math.PI);
    await page.mouse.move(x + t * way.dx, y + t * way.dy);
    await page.waitForTimeout(8);
  }
  await page.mouse.up();
}

interface Drag {
  readonly name: string;
  readonly path: string;
  readonly handle: (page: Page) => Locator;
  readonly way: { dx: number; dy: number };
}

const DRAGS: readonly Drag[] = [
  {
    name: 'the lamp of the check',
    path: '/check',
    handle: (p) => p.getByRole('slider', { name: 'Distance from lamp to leaves' }),
    way: { dx: 0, dy: 30 },
  },
  { name: 'hours of the check', path: '/check', handle: (p) => p.getByRole('slider', { name: 'Lamp off' }), way: { dx: 40, dy: 0 } },
  {
    name: 'hours of the rack',
    path: '/stands/demo-rack/hours',
    handle: (p) => p.getByRole('slider', { name: /^Lamp off/ }).first(),
    way: { dx: 40, dy: 0 },
  },
  {
    name: 'a tray on the bench',
    path: '/stands/demo-rack/bench',
    handle: (p) => p.getByRole('button', { name: /from above; arrow keys move it/ }).last(),
    way: { dx: 30, dy: 0 },
  },
  {
    name: 'the horizon of a window',
    path: '/stands/demo-sill/daylight',
    handle: (p) => p.getByRole('slider', { name: 'What stands outside, point 6' }),
    way: { dx: 0, dy: 20 },
  },
];

async function main(): Promise<void> {
  const next = 'node_modules/next/dist/bin/next';
  if (!process.argv.includes('--built') && spawnSync('npm', ['run', 'build'], { stdio: 'ignore' }).status !== 0)
    throw new Error('it does not build');
  const server = spawn(process.execPath, [next, 'start', '-p', String(PORT)], { env: { ...process.env, COPPER_NOON_DEMO: '1' } });
  await new Promise<void>((ready) => server.stdout.on('data', (text) => /Ready/i.test(String(text)) && ready()));
  const browser = await chromium.launch(CHROMIUM);
  for (const [name, path, wanted] of [
    ['check: the first verdict', '/check', (p: Page) => p.getByTestId('verdict').first()],
    ['today: its jobs', '/today', (p: Page) => p.getByRole('heading', { level: 1 }).first()],
    ['bench of the rack: its verdict', '/stands/demo-rack/bench', (p: Page) => p.getByTestId('verdict').first()],
  ] as const) {
    const visits: Awaited<ReturnType<typeof firstVisit>>[] = [];
    for (let i = 0; i < ROUNDS; i++) visits.push(await firstVisit(browser, path, wanted));
    const of = (key: 'frame' | 'seconds' | 'kilobytes') => middle(visits.map((v) => v[key]));
    console.log(
      `${name} after ${of('seconds').toFixed(1)} s, the frame of the page after ${of('frame').toFixed(1)} s, ${of('kilobytes').toFixed(0)} kB of scripts`,
    );
  }
  for (const { name, path, handle, way } of DRAGS) {
    const { page, end } = await slowPage(browser);
    await page.goto(at(path));
    await handle(page).waitFor({ timeout: 60_000 });
    await page.waitForTimeout(3000);
    const frames = await framesWhile(page, () => draw(page, handle(page), way));
    const late = frames.filter((f) => f > 33.5).length;
    console.log(
      `dragging ${name}: ${middle(frames).toFixed(1)} ms a frame, longest ${Math.max(...frames).toFixed(0)} ms, ${late} of ${frames.length} over 33 ms`,
    );
    await end();
  }
  await browser.close();
  server.kill();
}

void main();
