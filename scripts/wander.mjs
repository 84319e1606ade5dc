import { chromium } from '@playwright/test';
import { spawn } from 'node:child_process';
import { build, freePort, installPackages } from './prepare.mjs';

/*
 * Wanders through the demo as somebody would who presses and types whatever there is: `npm run wander -- --seed 7 --steps 300`. Prints what
 * went wrong, each with the steps that led there: errors of the page, the error boundary, what is no number, pages wider than the
 * window. Even seeds have a laptop, odd ones a phone; the language goes by the seed as well. `--built` takes the build that is there.
 */

const args = process.argv.slice(2);
const option = (name, other) => (args.includes(`--${name}`) ? Number(args[args.indexOf(`--${name}`) + 1]) : other);
const [seed, steps] = [option('seed', 1), option('steps', 300)];

installPackages();
if (!args.includes('--built') && !build()) process.exit(1);
const port = await freePort();
const server = spawn(process.execPath, ['node_modules/next/dist/bin/next', 'start', '-p', String(port)], {
  env: { ...process.env, COPPER_NOON_DEMO: '1' },
});
await new Promise((ready) => server.stdout.on('data', (text) => /Ready/i.test(String(text)) && ready()));

/** Mulberry32, so that a seed takes the same way everywhere. */
let state = seed;
function random() {
  state = (state + 0x6d2b79f5) | 0;
  let t = Math.imul(state ^ (state >>> 15), 1 | state);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
}
const oneOf = (list) => list[Math.floor(random() * list.length)];

const PLACES = [
  '/today',
  '/today/journal',
  '/today/away',
  '/check',
  '/stands',
  '/stands/compare',
  '/stands/places',
  '/season',
  '/season/list',
]
  .concat([
    '/season/crops',
    '/season/trials',
    '/season/feed',
    '/lamps',
    '/lamps/library',
    '/lamps/capacity',
    '/lamps/compare',
    '/lamps/box',
  ])
  .concat(['/lamps/bill', '/lamps/safety', '/clinic', '/clinic/practice', '/settings', '/settings/data', '/words'])
  .concat(['bench', 'readings', 'hours', 'hanging', 'daylight', 'power'].map((part) => `/stands/demo-rack/${part}`))
  .concat(['/stands/demo-sill/bench', '/stands/demo-sill/daylight', '/stands/demo-landing/bench', '/stands/demo-landing/daylight']);
const TYPED = ['0', '12', '-3', '1e9', '12,5', 'abc', '', '3 ft', '07:30', '99999', '½'];
const KEYS = ['Control+z', 'Control+y', 'Escape', '?', 'Control+k'];
const THINGS =
  'button:visible:not([disabled]), a[href^="/"]:visible, [role=tab]:visible, [role=radio]:visible, [role=option]:visible, ' +
  '[role=menuitem]:visible, [role=slider]:visible, input:visible, select:visible, textarea:visible, summary:visible';
/** Things that have gone or are covered by the time that a hand gets there are no fault of the page. */
const TOO_LATE = /Timeout|intercepts|detached|not attached|not visible|not an? <|Execution context|Cannot read properties of null/;
const WRONG = /went wrong|could not be worked out|\bNaN\b|\bundefined\b|\[object/;

const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});
const context = await browser.newContext({
  viewport: seed % 2 === 1 ? { width: 390, height: 844 } : { width: 1280, height: 800 },
  locale: ['en-GB', 'de-DE', 'en-US'][seed % 3],
  serviceWorkers: 'block',
  reducedMotion: 'reduce',
});
const page = await context.newPage();
const way = [];
const found = new Map();
const note = (what) => {
  const text = String(what).slice(0, 300);
  if (!found.has(text)) found.set(text, [page.url(), ...way.slice(-6)]);
};
page.on('pageerror', (e) => note(`error of the page: ${e.message}`));
page.on('console', (m) => m.type() === 'error' && !/404|ERR_ABORTED/.test(m.text()) && note(`console: ${m.text()}`));

async function press(thing) {
  const { tag, type, role, name, values } = await thing.evaluate(
    (n) => ({
      tag: n.tagName,
      type: n.type,
      role: n.getAttribute('role'),
      name: (n.getAttribute('aria-label') || n.textContent || '').trim().slice(0, 50),
      values: n.tagName === 'SELECT' ? [...n.options].filter((o) => !o.disabled).map((o) => o.value) : null,
    }),
    null,
    { timeout: 1500 },
  );
  // What opens windows of the system waits for a person.
  if (type === 'file' || /print|share|camera|scan/i.test(name)) return;
  way.push(`${role ?? tag.toLowerCase()} “${name}”`);
  if (values) return thing.selectOption(oneOf(values), { timeout: 1500 });
  if (role === 'slider' || type === 'range') {
    await thing.focus({ timeout: 1500 });
    for (let k = 0; k < 3; k++) await page.keyboard.press(oneOf(['ArrowRight', 'ArrowLeft', 'Home', 'End', 'PageUp']));
  } else if (tag === 'TEXTAREA' || (tag === 'INPUT' && !['checkbox', 'radio'].includes(type))) {
    const text = oneOf(TYPED);
    way.push(`typed “${text}”`);
    await thing.fill(text, { timeout: 1500 });
    await page.keyboard.press(oneOf(['Enter', 'Tab']));
  } else await thing.click({ timeout: 1500 });
}

const go = async (path) => {
  way.push(`went to ${path}`);
  await page.goto(`http://localhost:${port}${path}`);
  await page.waitForTimeout(700);
};
await go('/today');
for (let i = 0; i < steps; i++) {
  try {
    if (random() < 0.08) await go(oneOf(PLACES));
    const things = await page.locator(THINGS).all();
    if (things.length > 0) await press(oneOf(things));
    if (random() < 0.06) await page.keyboard.press(oneOf(KEYS));
    await page.waitForTimeout(120);
    const [text, over] = await page.evaluate(() => [
      document.body.innerText.slice(0, 4000),
      document.documentElement.scrollWidth - document.documentElement.clientWidth,
    ]);
    const wrong = text.match(new RegExp(`.{0,60}(?:${WRONG.source}).{0,60}`));
    if (wrong) note(`on the page: ${wrong[0]}`);
    if (over > 1) note(`wider than the window by ${over} px: ${new URL(page.url()).pathname}`);
  } catch (e) {
    if (!TOO_LATE.test(String(e))) note(`step: ${e}`);
  }
}
for (const [what, steps] of found) console.log(`${what}\n    ${steps.join('\n    ')}`);
console.log(`seed ${seed}: ${steps} steps, ${found.size} things went wrong`);
await browser.close();
server.kill();
process.exit(found.size > 0 ? 1 : 0);
