import { expect, test, type Page } from '@playwright/test';
import { axe } from './axe';
import { go } from './go';

/** Trays compared: the design held against itself, what was measured, what it shows and what not. */

const type = async (page: Page, label: string, text: string) => {
  const field = page.getByLabel(label, { exact: true });
  await field.fill(text);
  await field.press('Enter');
};

test('a trial from nothing: its faults, its trays dealt out, its result, kept over a reload', async ({ page }) => {
  await page.goto('/season/trials');
  await page.getByRole('button', { name: 'New trial' }).click();
  const faults = page.getByTestId('design-fault');
  await expect(faults.filter({ hasText: 'The end is not fixed' })).toBeVisible();
  await type(page, 'Name', 'Fine mix or coarse');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Fine mix or coarse');
  await page.getByLabel('What is compared').selectOption('Seed mix');
  // Both arms have the same mix: there is nothing to compare.
  await expect(faults.filter({ hasText: 'do not differ in what you compare' })).toBeVisible();
  await type(page, 'Mix of A', 'fine');
  await type(page, 'Mix of B', 'coarse');
  await expect(faults.filter({ hasText: 'do not differ in what you compare' })).toHaveCount(0);
  await type(page, 'DLI of A', '11');
  await type(page, 'DLI of B', '15');
  await expect(faults.filter({ hasText: 'One arm gets 1.36 times the light of another' })).toBeVisible();
  await type(page, 'DLI of B', '11.5');
  await expect(faults).toHaveCount(1);

  const trays = page.getByRole('list', { name: 'Trays of the trial' }).getByRole('listitem');
  await expect(trays).toHaveCount(8);
  await page.getByRole('button', { name: 'Assign at random' }).click();
  const arms = await trays.getByLabel('Arm', { exact: true }).evaluateAll((all) => all.map((s) => (s as HTMLSelectElement).value));
  expect(arms.filter((a) => a === 'A')).toHaveLength(4);
  // Coarse mix, shorter stems: 30 to 33 against 40 to 43 mm; the exact p of four against four is 2/70.
  let [a, b] = [0, 0];
  for (let i = 0; i < 8; i++) {
    const field = trays.nth(i).getByLabel(/^Values of/);
    await field.fill(arms[i] === 'A' ? `${40 + a++}` : `${30 + b++}`);
    await field.press('Enter');
  }
  await expect(page.getByTestId('shows')).toContainText('changed is 10 mm lower than as usual');
  await expect(page.getByTestId('shows')).toContainText(
    'Chance alone gives such a difference in 2.86 % of trials: too rarely to be the likely reason.',
  );
  await expect(page.getByRole('button', { name: 'Assign at random' })).toBeDisabled();
  // What can't be read stays in the field, with the reason.
  const first = trays.first().getByLabel(/^Values of/);
  await first.fill('41 fortytwo');
  await first.press('Enter');
  await expect(page.getByText(/^Numbers with spaces between them/)).toBeVisible();
  await first.press('Escape');
  await page.reload();
  await expect(page.getByTestId('shows')).toContainText('changed is 10 mm lower');
  const { violations } = await axe(page, 'light').analyze();
  expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([]);
  await page.setViewportSize({ width: 390, height: 844 });
  await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test.describe('the demo', () => {
  test.use({ baseURL: `http://localhost:${process.env.E2E_DEMO_PORT}` });

  test('has a trial with faults in its design that are pointed out, and one that has ended and shows something', async ({ page }) => {
    await page.goto('/season/trials');
    await page.getByRole('link', { name: /^Celery with and without the mat/ }).click();
    // The two trays stand on one tier, and get very different light: the plan knows.
    await expect(page.getByTestId('design-fault').filter({ hasText: /^One arm gets 1\.\d times the light/ })).toBeVisible({
      timeout: 60_000,
    });
    await expect(page.getByTestId('shows')).toContainText('With one tray in an arm nothing can be said of why');
    await expect(page.getByText('Light leaks between the arms')).toHaveCount(0); // a mat is compared, not the light
    await page.getByRole('button', { name: 'Give all arms the same DLI' }).click();
    await expect(page.getByText('Two arms share a tier and its lamps.')).toBeVisible({ timeout: 60_000 });
    await page.getByText('The wrong analysis, plant by plant').click();
    await expect(page.getByText(/^With every plant taken for a repeat/)).toBeVisible();
    await page.getByRole('link', { name: 'Trials', exact: true }).first().click();
    await page.getByRole('link', { name: /^Lettuce at 11 or 15 mol/ }).click();
    await expect(page.getByRole('heading', { name: 'The design can answer' })).toBeVisible();
    await expect(page.getByTestId('shows')).toContainText('in 3.13 % of trials: too rarely');
    await page.getByText('Three cups: can anybody taste it?').click();
    await expect(page.getByText(/^By chance alone one in three names it\. p = 0\.607: this can be chance\.$/)).toBeVisible();
  });

  test('lets its trays change places on the bench, but never to another arm where the place is what is compared', async ({ page }) => {
    await page.goto('/season/trials/demo-trial-mat');
    const row = (code: string) =>
      page
        .getByRole('list', { name: 'Trays of the trial' })
        .getByRole('listitem')
        .filter({ hasText: new RegExp(`^${code}`) });
    const dose = async (code: string) => Number(/([\d.]+) mol/.exec(await row(code).innerText())?.[1]);
    await expect(row('K7')).toContainText('so far', { timeout: 60_000 });
    // Its lamps were hung higher on the way: until then the trays had more. Where only the drawing was put right, they did not.
    const onTheWay = page.getByRole('region', { name: 'Changed on the way' });
    await expect(onTheWay).toContainText(/tier \d: lamps 4 cm higher since/);
    const soFar = async () => Number(/(\d+) so far/.exec(await row('K7').innerText())?.[1]);
    const counted = await soFar();
    await onTheWay.getByRole('button', { name: /^It was so all along/ }).click();
    await expect(onTheWay).toHaveCount(0);
    await expect.poll(soFar, { timeout: 60_000 }).toBeLessThan(counted);
    await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
    await expect.poll(soFar, { timeout: 60_000 }).toBe(counted);
    const [k7, m3] = [await dose('K7'), await dose('M3')];
    expect(k7).toBeGreaterThan(1.5 * m3);
    const job = page.getByRole('list', { name: 'Jobs of today' }).getByRole('listitem').filter({ hasText: 'change places' });
    await page.getByLabel('Trays of an arm change places').selectOption('Every 3 days');
    await go(page, '/today');
    await expect(page.getByRole('list', { name: 'Jobs of today' })).toContainText('Check the water of Leek');
    // One tray to an arm, and the mat lies where the tray stands: there is nowhere to go.
    await expect(job).toHaveCount(0);
    await go(page, '/season/trials/demo-trial-mat');
    await page.getByLabel('What is compared').selectOption('Seed mix');
    await go(page, '/today');
    await job.getByRole('checkbox').click();
    await expect(page.getByText('Done. The bench shows the new places.').first()).toBeVisible();
    await go(page, '/season/trials/demo-trial-mat');
    await expect.poll(() => dose('K7'), { timeout: 60_000 }).toBeCloseTo(m3, 0);
    await expect.poll(() => dose('M3')).toBeCloseTo(k7, 0);
    await expect(onTheWay).toContainText('trays moved');
    // Ended, it keeps what each tray had been given, whatever becomes of the tray.
    await page.getByRole('button', { name: 'End the trial today' }).click();
    await expect(row('K7')).toContainText('in all', { timeout: 60_000 });
    const had = /(\d+) in all/.exec(await row('K7').innerText())![1]!;
    await page.goto('/season/trials/demo-trial-mat');
    await expect(row('K7')).toContainText(`${had} in all`);
    await page.getByRole('button', { name: 'Go on with it' }).click();
    await expect(row('K7')).toContainText('so far');
  });
});

test('a feed is divided by its nitrogen and its ceilings, for the can that is there; a bare number of an EC meter is asked for its unit', async ({
  page,
}) => {
  await page.goto('/season/feed');
  await page.getByLabel('It is').selectOption('A powder');
  for (const e of ['N', 'P', 'K']) await type(page, `${e} on the label`, '20');
  await type(page, 'Nitrogen', '50');
  await type(page, 'Your can', '4');
  // 50 mg/l of a powder of 20 % are a quarter of a gram a litre.
  await expect(page.getByTestId('dose')).toHaveText('1 g into your can of 4 L');
  await type(page, 'At most, phosphorus', '10');
  await expect(page.getByText(/^Phosphorus would pass the ceiling: this is 46 %/)).toBeVisible();
  // A label says it in its own words; a spoon of powder weighs what nobody knows.
  await page.getByLabel('By', { exact: true }).selectOption('What the label says');
  await type(page, 'Dose on the label', '1 tsp/gal');
  await expect(page.getByText(/^A spoon of powder weighs more or less/)).toBeVisible();
  await type(page, 'Dose on the label', '1 g in 10 L');
  await expect(page.getByTestId('dose')).toHaveText('0.4 g into your can of 4 L');
  // It is there again the next time.
  await page.goto('/season/feed');
  await expect(page.getByTestId('dose')).toHaveText('0.4 g into your can of 4 L');
  await type(page, 'Your can', '1 gal');
  await expect(page.getByTestId('dose')).toHaveText('0.379 g into your can of 3.79 L');
  await type(page, 'Reading with its unit', '450');
  await expect(page.getByText(/^Type the unit too/)).toBeVisible();
  await type(page, 'Reading with its unit', '450 ppm (500)');
  await expect(page.getByText('0.9 mS/cm')).toBeVisible();
  await type(page, 'Reading with its unit', '1,200 µS/cm');
  await expect(page.getByText('1.2 mS/cm, with water')).toBeVisible();
  await type(page, 'Reading with its unit', '1500 mS/cm');
  await expect(page.getByText(/too much for any feed\. If the meter showed µS\/cm/)).toBeVisible();
  const { violations } = await axe(page, 'light').analyze();
  expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([]);
});
