import 'reflect-metadata';
import { chromium, type Page } from '@playwright/test';
import { spawn, spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { dayFrom } from '../src/core/units/day';
import type { Logged } from '../src/core/site/stand/Logged';
import type { Site } from '../src/core/site/stand/Site';
import { exportSite } from '../src/store/files/exportSite';
import { mergeSite } from '../src/store/files/mergeSite';
import { demoSite } from '../src/store/site/demoSite';
import { CHROMIUM } from '../test/chromium';

/**
 * How long it takes until the first screen stands, and until a change is written, with years of data: `npm run bench:kept`.
 * 300 stands and set-ups with 6 000 readings and 20 000 entries of the journal, in a real browser on the production build.
 */
const STANDS = 300;
const READINGS = 6000;
const ENTRIES = 20_000;
const ROUNDS = 9;

function yearsOfData(): Site {
  const demo = demoSite('en-GB', dayFrom(2027, 2, 20));
  let site = demo;
  while (site.stands.length < STANDS) site = mergeSite(site, demo);
  site = { ...site, stands: site.stands.slice(0, STANDS) };
  const usual = demo.stands.flatMap((s) => s.tiers.flatMap((t) => t.readings));
  const tiers = site.stands.flatMap((s) => s.tiers);
  const each = Math.ceil(READINGS / tiers.length);
  let n = 0;
  const filled = () => Array.from({ length: Math.min(each, READINGS - n) }, () => ({ ...usual[n % usual.length]!, id: `bench-${n++}` }));
  const perBatch = Math.ceil(ENTRIES / site.batches.length);
  let e = 0;
  const entry = (): Logged => {
    const i = e++;
    const noted = i % 3 > 0;
    const at = { id: `entry-${i}`, day: dayFrom(2027, 2, 20) - (i % 700), height: null, stage: null };
    return noted ? { ...at, what: 'note', text: `Note number ${i}` } : { ...at, what: 'watered' };
  };
  const entries = () => Array.from({ length: Math.min(perBatch, ENTRIES - e) }, entry);
  return {
    ...site,
    stands: site.stands.map((s) => ({ ...s, tiers: s.tiers.map((t) => ({ ...t, readings: filled() })) })),
    batches: site.batches.map((b) => ({ ...b, log: entries() })),
  };
}

const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[values.length >> 1]!;
const say = (what: string, values: readonly number[]) =>
  console.log(`${what}: ${Math.round(median(values))} ms (${Math.round(Math.min(...values))}–${Math.round(Math.max(...values))})`);

/** From the start of the navigation until a place has drawn its heading. */
async function firstScreen(page: Page, url: string): Promise<number> {
  await page.goto(url, { waitUntil: 'commit' });
  await page.locator('main h1').first().waitFor({ state: 'attached' });
  return page.evaluate(() => performance.now());
}

async function main(): Promise<void> {
  const next = 'node_modules/next/dist/bin/next';
  if (spawnSync('npm', ['run', 'build'], { stdio: 'ignore' }).status !== 0) throw new Error('it does not build');
  const port = 4397;
  const server = spawn(process.execPath, [next, 'start', '-p', String(port)]);
  await new Promise<void>((ready) => server.stdout.on('data', (text) => /Ready/i.test(String(text)) && ready()));
  const browser = await chromium.launch(CHROMIUM);
  const page = await browser.newPage();
  const at = (path: string) => `http://localhost:${port}${path}`;
  const few: number[] = [];
  for (let i = 0; i < ROUNDS; i++) few.push(await firstScreen(page, at('/settings')));
  const file = join(tmpdir(), 'copper-noon-years.json');
  const text = exportSite(yearsOfData());
  writeFileSync(file, text);
  await page.goto(at('/settings/data'));
  await page.getByLabel('File to open').setInputFiles(file);
  await page
    .getByText(/^30[01] set-ups/)
    .first()
    .waitFor({ timeout: 60_000 });
  await page.waitForTimeout(2000);
  const many: number[] = [];
  for (let i = 0; i < ROUNDS; i++) many.push(await firstScreen(page, at('/settings')));
  await page.waitForTimeout(2000);
  const written: number[] = [];
  for (let i = 0; i < ROUNDS; i++) {
    const price = `0.${300 + i}`;
    const field = page.getByRole('textbox', { name: 'price per kWh' });
    await field.fill(price);
    const from = Date.now();
    await field.press('Enter');
    await page.waitForFunction(async (wanted) => {
      const db = await new Promise<IDBDatabase>((done) => {
        const open = indexedDB.open('copper-noon');
        open.onsuccess = () => done(open.result);
      });
      const kept = await new Promise<{ value: { site: { text: string } } }>((done) => {
        const get = db.transaction('workspace').objectStore('workspace').get('site');
        get.onsuccess = () => done(get.result as never);
      });
      db.close();
      return (JSON.parse(kept.value.site.text) as { price_per_kWh: number }).price_per_kWh === Number(wanted);
    }, price); // prettier-ignore
    written.push(Date.now() - from);
  }
  const journal: number[] = [];
  const searched: number[] = [];
  for (let i = 0; i < ROUNDS; i++) {
    journal.push(await firstScreen(page, at('/today/journal')));
    const box = page.getByRole('searchbox', { name: 'Search' });
    await box.waitFor();
    const from = Date.now();
    await box.fill(`number ${1000 + i} `);
    await page.getByText(/^\d+ of \d+ entries$/).waitFor();
    searched.push(Date.now() - from);
  }
  console.log(`${STANDS} stands and set-ups, ${READINGS} readings, ${ENTRIES} entries: ${(text.length / 1e6).toFixed(1)} MB as a file`);
  say('first screen, one set-up', few);
  say('first screen, all of it', many);
  say('a change is written after', written);
  say('the journal stands after', journal);
  say('a search through it is done after', searched);
  await browser.close();
  server.kill();
}

void main();
