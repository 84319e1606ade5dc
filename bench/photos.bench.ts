import { chromium, type Page } from '@playwright/test';
import { spawn } from 'node:child_process';
import { statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CHROMIUM } from '../test/chromium';

/**
 * 500 photos out into one file and in again, in a real browser on the production build (`npm run bench:photos`): how long each takes,
 * and the longest that the page stood still meanwhile.
 */
const PHOTOS = 500;

/** Kept photos of a usual size, each with an entry that names it, put where the application keeps them. */
async function fill(page: Page): Promise<void> {
  await page.evaluate(async (count) => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [1600, 1200];
    const pen = canvas.getContext('2d')!;
    for (let i = 0; i < 9000; i++) {
      pen.fillStyle = `hsl(${(i * 37) % 360} 60% 50%)`;
      pen.fillRect((i * 7919) % 1600, (i * 104729) % 1200, 24, 24);
    }
    const jpeg = (side: HTMLCanvasElement) => new Promise<Blob>((done) => side.toBlob((b) => done(b!), 'image/jpeg', 0.85));
    const small = document.createElement('canvas');
    [small.width, small.height] = [240, 180];
    small.getContext('2d')!.drawImage(canvas, 0, 0, 240, 180);
    const [whole, thumb] = [await jpeg(canvas), await jpeg(small)];
    const db = await new Promise<IDBDatabase>((done) => {
      const open = indexedDB.open('copper-noon-photos');
      open.onsuccess = () => done(open.result);
    });
    const store = db.transaction('photos', 'readwrite').objectStore('photos');
    for (let i = 0; i < count; i++) store.put({ id: `bench-${i}`, whole, thumb, width: 1600, height: 1200, kept: new Date().toISOString() }, `bench-${i}`); // prettier-ignore
    await new Promise((done) => (store.transaction.oncomplete = done));
    db.close();
    (window as unknown as { bytes: number }).bytes = whole.size + thumb.size;
  }, PHOTOS);
}

/** The longest that the page stood still while something went on. */
async function stillest(page: Page, what: () => Promise<void>): Promise<{ ms: number; still: number }> {
  await page.evaluate(() => {
    const w = window as unknown as { longest: number; watching: boolean };
    w.longest = 0;
    w.watching = true;
    let last = performance.now();
    const tick = () => {
      const now = performance.now();
      w.longest = Math.max(w.longest, now - last);
      last = now;
      if (w.watching) setTimeout(tick, 0);
    };
    tick();
  });
  const from = Date.now();
  await what();
  const ms = Date.now() - from;
  const still = await page.evaluate(() => {
    const w = window as unknown as { longest: number; watching: boolean };
    w.watching = false;
    return w.longest;
  });
  return { ms, still };
}

async function main(): Promise<void> {
  const port = 4398;
  const server = spawn(process.execPath, ['node_modules/next/dist/bin/next', 'start', '-p', String(port)]);
  await new Promise<void>((ready) => server.stdout.on('data', (text) => /Ready/i.test(String(text)) && ready()));
  const browser = await chromium.launch(CHROMIUM);
  const page = await browser.newPage({ locale: 'en-GB' });
  await page.goto(`http://localhost:${port}/settings/data`);
  await page.getByRole('heading', { name: 'Your data' }).waitFor();
  // A site whose journal names all of them, by the application's own import.
  const { exportSite } = await import('../src/store/files/exportSite');
  const { demoSite } = await import('../src/store/site/demoSite');
  const { logIt } = await import('../src/core/site/growth/changeGrowth');
  const site = Array.from({ length: PHOTOS }, (_, i) => i).reduce(
    (s, i) =>
      logIt(s.batches[i % s.batches.length]!.id, {
        id: `p${i}`,
        day: 20_000 + i,
        what: 'photo',
        height: null,
        stage: null,
        photoId: `bench-${i}`,
      })(s),
    demoSite('en-GB', null),
  );
  await fill(page);
  await page
    .getByLabel('File to open')
    .setInputFiles({ name: 'site.json', mimeType: 'application/json', buffer: Buffer.from(exportSite(site)) });
  await page.getByRole('button', { name: 'Undo', exact: true }).first().waitFor();
  await page.waitForTimeout(1500);
  const path = join(tmpdir(), 'copper-noon-photos.zip');
  const out = await stillest(page, async () => {
    const [download] = await Promise.all([
      page.waitForEvent('download', { timeout: 120_000 }),
      page.getByRole('button', { name: /Export .*photos/ }).click(),
    ]);
    await download.saveAs(path);
  });
  console.log(
    `${PHOTOS} photos out: ${(statSync(path).size / 1e6).toFixed(0)} MB in ${out.ms} ms, the page stood still for ${Math.round(out.still)} ms at most`,
  );
  const other = await (await browser.newContext({ locale: 'en-GB' })).newPage();
  await other.goto(`http://localhost:${port}/settings/data`);
  await other.getByRole('heading', { name: 'Your data' }).waitFor();
  const back = await stillest(other, async () => {
    await other.getByLabel('File to open').setInputFiles(path);
    await other.getByRole('button', { name: 'Undo', exact: true }).first().waitFor({ timeout: 240_000 });
  });
  console.log(`and in: ${back.ms} ms, the page stood still for ${Math.round(back.still)} ms at most`);
  await browser.close();
  server.kill();
}

void main();
