import { wrongInBoth } from './axe';
import { go } from './go';
import { expect, test, type Locator, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';

/** The bench, as a person works at it: build a stand, move things, read the light, take advice. */

const stage = (page: Page) => page.getByRole('region', { name: /^The drawing/ });
const lampOn = (page: Page, tier: number) =>
  stage(page)
    .getByRole('button', { name: new RegExp(`^Lamp: .*tier ${tier},`) })
    .first();
const trayOn = (page: Page, tier: number) =>
  stage(page)
    .getByRole('button', { name: new RegExp(`^Tray: .*tier ${tier},`) })
    .first();
const dose = async (page: Page, which: string) => Number(await page.getByTestId(`dose-${which}`).textContent());
/** The mean DLI of one of the trays of the tier that is chosen. */
async function inTray(page: Page, name: string): Promise<number> {
  await page.getByRole('radio', { name }).click();
  await expect(page.getByRole('radio', { name })).toBeChecked();
  return dose(page, 'mean');
}
const settled = (page: Page) => expect(page.getByText('Calculating light…')).toHaveCount(0);

async function beginRack(page: Page, tiers: number) {
  await page.goto('/bench');
  await page.getByRole('button', { name: 'New stand', exact: true }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('radio', { name: /Wire rack/ }).click();
  for (let n = 4; n > tiers; n--) await sheet.getByRole('button', { name: 'tiers: one fewer' }).click();
  await sheet.getByRole('button', { name: 'Add this stand' }).click();
  await expect(page.getByRole('textbox', { name: 'Name of this stand' })).toHaveValue('Wire rack');
}

/** Drags something by the mouse from its middle to a place, in steps as a hand does. */
async function drag(page: Page, from: Locator, to: { x: number; y: number }) {
  const box = (await from.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 8, box.y + box.height / 2 + 2, { steps: 3 });
  await page.mouse.move(to.x, to.y, { steps: 12 });
  await page.mouse.up();
}

const middleOf = async (page: Page, tier: number) => {
  const word = (await page.getByTestId(`tier-${tier}`).boundingBox())!;
  const canvas = (await stage(page).boundingBox())!;
  return { x: canvas.x + canvas.width / 2 + 5, y: word.y + 40 };
};

async function fill(page: Page, tier: number) {
  await page.getByLabel('Find a lamp').fill('linkable bar 1.2 24');
  await drag(page, page.getByRole('button', { name: /LED linkable bar 1.2 m, white, 24 W/ }), await middleOf(page, tier));
  await page.getByRole('radio', { name: 'trays and pots' }).click();
  await page.getByLabel('Find a tray').fill('72');
  await drag(page, page.getByRole('button', { name: /72/ }).last(), await middleOf(page, tier));
}

test('a rack is built by mouse; dragging its lamp changes dose and verdict to what the other door answers', async ({ page }, info) => {
  await beginRack(page, 3);
  await fill(page, 2);
  await expect(lampOn(page, 2)).toBeVisible();
  await expect(trayOn(page, 2)).toBeVisible();
  await settled(page);
  const before = await dose(page, 'strongest');
  const words = await page.getByTestId('tier-2').textContent();
  const lamp = (await lampOn(page, 2).boundingBox())!;
  await drag(page, lampOn(page, 2), { x: lamp.x + lamp.width / 2, y: lamp.y + lamp.height / 2 + 22 });
  await expect.poll(() => dose(page, 'strongest')).toBeGreaterThan(before * 1.1);
  await settled(page);
  expect(words).not.toBe('');
  await page.getByRole('radio', { name: 'µmol/m²/s' }).click();

  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page
      .getByRole('button', { name: 'Stand', exact: true })
      .click()
      .then(() => page.getByRole('menuitem', { name: 'Save its scene for scripts' }).click()),
  ]);
  const file = info.outputPath('scene.json');
  await download.saveAs(file);
  const answer = await page.request.post('/api/field', {
    data: readFileSync(file, 'utf8'),
    headers: { 'content-type': 'application/json' },
  });
  expect(answer.ok()).toBe(true);
  type Said = { answer: { trays: { weakest: { ppfd: number }; strongest: { ppfd: number }; mean: { value: number } }[] } };
  const [tray] = ((await answer.json()) as Said).answer.trays;
  const k = 16 * 0.0036;
  await expect.poll(() => dose(page, 'strongest')).toBeCloseTo(tray!.strongest.ppfd * k, 0);
  expect(Math.abs((await dose(page, 'strongest')) - tray!.strongest.ppfd * k)).toBeLessThan(0.1);
  expect(Math.abs((await dose(page, 'weakest')) - tray!.weakest.ppfd * k)).toBeLessThan(0.1);
  expect(Math.abs((await dose(page, 'mean')) - tray!.mean.value * k)).toBeLessThan(0.1);

  // One drag is one step, and the stand is there after a reload.
  await page.getByRole('button', { name: 'Undo: move on the bench' }).click();
  await expect.poll(() => dose(page, 'strongest')).toBeCloseTo(before, 1);
  await page.getByRole('button', { name: 'Redo: move on the bench' }).click();
  await page.waitForTimeout(500);
  await page.reload();
  await expect(lampOn(page, 2)).toBeVisible();
});

test('a rack is built and worked by keyboard alone', async ({ page }) => {
  await page.goto('/bench');
  const press = async (name: RegExp | string, role: 'button' | 'radio' | 'textbox' = 'button') => {
    const target = page.getByRole(role, { name }).first();
    await target.focus();
    await page.keyboard.press('Enter');
  };
  await press('New stand');
  await page.getByRole('radio', { name: /Bookshelf/ }).focus();
  await page.keyboard.press('Space');
  await press('Add this stand');
  await page.getByTestId('tier-1').focus();
  await page.keyboard.press('Enter');
  await page.getByLabel('Find a lamp').focus();
  await page.keyboard.type('shop 0.6');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(lampOn(page, 1)).toBeVisible();
  await page.getByRole('radio', { name: 'trays and pots' }).focus();
  await page.keyboard.press('Space');
  await page.getByLabel('Find a tray').focus();
  await page.keyboard.type('half');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(trayOn(page, 1)).toBeVisible();
  await settled(page);

  // Arrows: down by what it hangs from, sideways by centimetres; Alt and an arrow carries it to the next tier.
  const before = await dose(page, 'strongest');
  await lampOn(page, 1).focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect.poll(() => dose(page, 'strongest')).toBeGreaterThan(before);
  const label = await lampOn(page, 1).getAttribute('aria-label');
  await page.keyboard.press('Shift+ArrowRight');
  await expect(lampOn(page, 1)).not.toHaveAttribute('aria-label', label!);
  await page.keyboard.press('Alt+ArrowDown');
  await expect(lampOn(page, 2)).toBeVisible();
  await page.keyboard.press('Alt+ArrowUp');
  await expect(lampOn(page, 1)).toBeVisible();
  // Up it goes only as far as the board above it lets it.
  await lampOn(page, 1).focus();
  for (let i = 0; i < 20; i++) await page.keyboard.press('Shift+ArrowUp');
  await settled(page);
  await expect(page.getByText(/too high for the shelf above/)).toHaveCount(0);

  // Copied to another tier, duplicated, taken away, brought back.
  await lampOn(page, 1).focus();
  await page.keyboard.press('Control+c');
  await page.getByTestId('tier-3').focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Control+v');
  await expect(lampOn(page, 3)).toBeVisible();
  await lampOn(page, 3).focus();
  await page.keyboard.press('Delete');
  await expect(lampOn(page, 3)).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(lampOn(page, 3)).toBeVisible();
  // Going past a thing changes nothing; Enter chooses it, and once more leads to its panel.
  await page.keyboard.press('Escape');
  await trayOn(page, 1).focus();
  await expect(trayOn(page, 1)).toHaveAttribute('aria-pressed', 'false');
  await page.keyboard.press('Enter');
  await expect(trayOn(page, 1)).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'The chosen tray' }).locator(':focus')).toHaveCount(1);
  // A tray is lifted onto a riser.
  await trayOn(page, 1).focus();
  await page.keyboard.press('ArrowUp');
  await expect(trayOn(page, 1)).toHaveAttribute('aria-label', /on one riser/);
});

test('mistakes are caught while they are made', async ({ page }) => {
  await beginRack(page, 1);
  await fill(page, 1);
  await settled(page);
  await lampOn(page, 1).click();
  const panel = page.getByRole('region', { name: 'The chosen lamp' });
  await panel.getByRole('textbox', { name: 'lamp to leaves' }).fill('2 cm');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Leaves need 4 cm to every side of it/)).toBeVisible();
  await trayOn(page, 1).click({ position: { x: 6, y: 6 } });
  await page.getByRole('region', { name: 'The chosen tray' }).getByRole('textbox', { name: 'from the left' }).fill('3 cm');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/stands 2\d.* over the edge/)).toBeVisible();
  await page.locator('summary', { hasText: 'Size and sides' }).click();
  await page.getByRole('textbox', { name: 'shelf carries' }).fill('2');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/the shelf is stated to carry 2.0 kg/)).toBeVisible();
  await page.getByRole('textbox', { name: 'power strip carries' }).fill('25');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/should carry at most 20 VA/)).toBeVisible();
});

test('n side by side, spread, and several things moved together', async ({ page }) => {
  await beginRack(page, 1);
  await fill(page, 1);
  await lampOn(page, 1).click();
  const panel = page.getByRole('region', { name: 'The chosen lamp' });
  await panel.getByRole('button', { name: 'side by side: one more' }).click();
  await panel.getByRole('button', { name: 'side by side: one more' }).click();
  await expect(lampOn(page, 1)).toHaveAttribute('aria-label', /3 × LED linkable bar/);
  await panel.getByRole('textbox', { name: 'gap' }).fill('5cm');
  await page.keyboard.press('Enter');
  await lampOn(page, 1).focus();
  await page.keyboard.press('Control+a');
  await expect(page.getByRole('heading', { name: '4 things chosen' })).toBeVisible();
  await page.getByRole('button', { name: 'Spread along' }).click();
  await page.getByRole('button', { name: 'Undo: spread evenly' }).click();
  await expect(lampOn(page, 1)).toHaveAttribute('aria-label', /3 × LED linkable bar/);
});

test.describe('with the demo', () => {
  test.use({ baseURL: `http://localhost:${process.env.E2E_DEMO_PORT}` });

  test.beforeEach(async ({ page }) => {
    await page.goto('/bench');
    await expect(page.getByTestId('stand-line')).toContainText('out of range');
  });

  test('a lamp is tilted by its degrees, seen so from the side, kept, and level again by one undo', async ({ page }) => {
    await page.goto('/stands/demo-landing/bench');
    const verdict = page.getByTestId('verdict').first();
    await expect(verdict).toBeVisible();
    const lamp = page.locator('[data-drawing]').getByRole('button', { name: /^Lamp: LED shop light/ });
    // It hangs over an open shelf, and is in the picture from both sides.
    for (const view of ['side', 'front']) {
      await page.getByRole('radio', { name: view }).click();
      await expect(lamp).toBeInViewport({ ratio: 1 });
    }
    // One tray by its name: which one is worst, and is shown by itself, changes with the daylight of the season.
    await page.getByRole('radio', { name: /^1 Hoya/ }).click();
    await lamp.click();
    await page.getByText('How it hangs').click();
    const tilt = page.getByRole('textbox', { name: 'tilt' });
    const mean = page.getByTestId('dose-mean');
    const level = await mean.textContent();
    await tilt.fill('-40');
    await tilt.press('Enter');
    await expect(page.getByText('cord, tilted 40° to the front').first()).toBeVisible();
    await expect(mean).not.toHaveText(level!);
    await tilt.fill('90');
    await tilt.press('Enter');
    await expect(page.getByText('Enter a number between -75 and 75.')).toBeVisible();
    await tilt.press('Escape');
    await page.getByRole('button', { name: 'Undo: tilt the lamp' }).click();
    await expect(lamp).not.toHaveAttribute('aria-label', /tilted/);
    await page.getByRole('button', { name: 'Redo: tilt the lamp' }).click();
    await page.reload();
    await expect(lamp).toHaveAttribute('aria-label', /tilted 40° to the front/);
  });

  test('a lamp on a rail is set by its way, told so, and its light is the mean over it', async ({ page }) => {
    await page.goto('/stands/demo-landing/bench');
    await page.getByRole('radio', { name: /^1 Hoya/ }).click();
    const mean = page.getByTestId('dose-mean');
    await expect(mean).toBeVisible();
    const still = await mean.textContent();
    const lamp = page.locator('[data-drawing]').getByRole('button', { name: /^Lamp: LED shop light/ });
    await lamp.click();
    await page.getByText('How it hangs').click();
    await page.getByRole('combobox', { name: 'travels' }).selectOption('left to right');
    const over = page.getByRole('textbox', { name: 'over', exact: true });
    await over.fill('30 cm');
    await over.press('Enter');
    await expect(lamp).toHaveAttribute('aria-label', /travels .* from left to right/);
    await expect(page.getByText(/as a lamp passes,/i)).toBeVisible();
    await expect(mean).not.toHaveText(still!);
    await go(page, '/stands/demo-landing/readings');
    await expect(page.getByText('A lamp here travels:')).toBeVisible();
    await page.goBack();
    await page.getByRole('radio', { name: /^1 Hoya/ }).click();
    await lamp.click();
    await page.getByText('How it hangs').click();
    await page.getByRole('combobox', { name: 'travels' }).selectOption('no');
    await expect(lamp).not.toHaveAttribute('aria-label', /travels/);
    await expect(mean).toHaveText(still!);
  });

  test('the rack shows which trays are out of range, and advice is tried and undone with one press', async ({ page }) => {
    await expect(page.getByTestId('tier-1')).toContainText('in range');
    await page.getByTestId('tier-2').click();
    await page.getByRole('radio', { name: /Celery, late/ }).click();
    const offer = page
      .getByTestId('offer')
      .filter({ hasText: /White card on the back/i })
      .first();
    await expect(offer).toBeVisible();
    const [from, to] = /weakest ([\d.]+) → ([\d.]+)/
      .exec((await offer.textContent())!)!
      .slice(1)
      .map(Number);
    expect(to!).toBeGreaterThan(from!);
    const words = (await offer.getByRole('button', { name: /^Try/ }).getAttribute('aria-label'))!.replace('Try: ', '');
    await offer.getByRole('button', { name: /^Try/ }).click();
    await expect(page.getByText('Trying:')).toBeVisible();
    await settled(page);
    await expect.poll(() => dose(page, 'weakest')).toBeGreaterThan(from! + 0.7 * (to! - from!));
    expect(Math.abs((await dose(page, 'weakest')) - to!)).toBeLessThan(0.2);
    await page.getByRole('button', { name: 'Undo this trial' }).click();
    await expect.poll(() => dose(page, 'weakest')).toBeCloseTo(from!, 1);
    // Waved away, it is not offered again.
    await expect(page.getByTestId('offer').first()).toBeVisible();
    await page.getByRole('button', { name: `Dismiss: ${words}` }).click();
    await expect(page.getByRole('heading', { name: 'What would help' })).toBeFocused();
    await expect(page.getByRole('button', { name: `Try: ${words}` })).toHaveCount(0);
  });

  test('the best height and hours are set from the frontier', async ({ page }) => {
    await page.getByTestId('tier-3').click();
    await settled(page);
    await page.locator('summary', { hasText: 'Best distance and hours' }).click();
    await expect(page.getByTestId('setting')).toBeVisible();
    const best = await page.getByTestId('setting').textContent();
    const slider = page.getByRole('slider', { name: 'along the best of them' });
    await slider.focus();
    await page.keyboard.press((await slider.inputValue()) === '0' ? 'End' : 'Home');
    await expect(page.getByTestId('setting')).not.toHaveText(best!);
    // Pressed twice in a hurry, the lamps are moved once: one step back and all is as it was.
    await page.getByRole('button', { name: 'Apply' }).dblclick();
    const undo = page.getByRole('button', { name: 'Undo: set height and hours' });
    await expect(undo).toBeEnabled();
    await undo.click();
    await expect(undo).toHaveCount(0);
  });

  test('plants that have grown tall take light from the lower tray beside them, and it says how much', async ({ page }) => {
    await settled(page);
    const shade = page.getByText(/taller plants beside it take \d+ %/);
    await expect(shade).toHaveCount(0);
    const before = await inTray(page, '2 Sweet pea');
    await trayOn(page, 1).click();
    await page.getByRole('textbox', { name: 'height today' }).fill('18 cm');
    await page.keyboard.press('Enter');
    await settled(page);
    const after = await inTray(page, '2 Sweet pea');
    await expect(shade).toBeVisible();
    expect(after).toBeLessThan(before);
    await page.getByRole('button', { name: /^Undo/ }).first().click();
    await expect(shade).toHaveCount(0);
    await expect.poll(() => dose(page, 'mean')).toBe(before);
  });

  test('any point of the tier is read by the keyboard, with the shares of its lamps', async ({ page }) => {
    await page.getByTestId('tier-2').click();
    await settled(page);
    await page.getByTestId('above').focus();
    await page.keyboard.press('ArrowLeft');
    await expect(page.getByTestId('probe')).toContainText(/mol\/m²\/day at .* from the left/);
    await expect(page.getByTestId('probe')).toContainText(/% lamp 1/);
    await expect(page.getByTestId('probe')).toContainText(/% other tiers/);
  });

  test('a variant is held beside the stand, with what differs', async ({ page }) => {
    const original = page.url();
    await page.getByRole('button', { name: 'Stand', exact: true }).click();
    await page.getByRole('menuitem', { name: 'Make a variant of it' }).click();
    // The copy opens at an address of its own; what is pressed before that is pressed on the original.
    await expect(page).not.toHaveURL(original);
    await expect(page.getByTestId('stand-line')).toContainText('out of range');
    const sides = page.locator('summary', { hasText: 'Size and sides of tier 2' });
    await expect(async () => {
      await page.getByTestId('tier-2').click();
      await expect(sides).toBeVisible({ timeout: 2000 });
    }).toPass();
    await sides.click();
    await page.getByLabel('back', { exact: true }).selectOption('white-card');
    await page.getByRole('button', { name: 'Stand', exact: true }).click();
    await page.getByRole('menuitem', { name: 'Compare with another' }).click();
    const row = page.getByTestId('differences').getByRole('row').filter({ hasText: 'Celery, late' });
    await expect(row).toContainText('→');
    await expect(page.getByTestId('differences').getByRole('row').filter({ hasText: 'Leek' })).not.toContainText('→');
  });

  test('the overview says of every tray whether it is in range, and how certain that is', async ({ page }) => {
    await page.goto('/stands');
    const table = page.getByRole('table', { name: 'Trays of Map-room rack' });
    await expect(table.getByRole('row')).toHaveCount(10);
    await expect(table.getByRole('row').filter({ hasText: 'Leek' })).toContainText('in range');
    await expect(table.getByRole('row').filter({ hasText: 'Celery, late' })).toContainText('39 %');
  });

  test('from the side, measured, and on paper', async ({ page }) => {
    await page.getByRole('radio', { name: 'side', exact: true }).click();
    await expect(page.getByRole('region', { name: 'The drawing: Map-room rack from the side' })).toBeVisible();
    await page.getByRole('button', { name: 'Ruler' }).click();
    const tape = page.getByRole('application', { name: /^Ruler/ });
    const box = (await tape.boundingBox())!;
    await page.mouse.move(box.x + 200, box.y + 100);
    await page.mouse.down();
    await page.mouse.move(box.x + 200, box.y + 300, { steps: 4 });
    await page.mouse.up();
    await expect(tape.getByRole('status')).toContainText(/\d cm/);
    await page.keyboard.press('Escape');
    await expect(tape).toHaveCount(0);
    await settled(page);
    await page.emulateMedia({ media: 'print' });
    const sheet = page.getByTestId('print-sheet');
    await expect(sheet).toContainText('Celery, late');
    await expect(sheet).toContainText('in)');
    await expect(sheet).toContainText('licensed electrician');
  });

  test('axe finds nothing on the bench, light or dark', async ({ page }) => {
    await trayOn(page, 2).click();
    await settled(page);
    expect(await wrongInBoth(page)).toEqual([]);
  });
});

test('what is taken away takes its light along, and everything can be undone to the beginning', async ({ page }) => {
  await beginRack(page, 1);
  await fill(page, 1);
  await settled(page);
  await lampOn(page, 1).click();
  await page.keyboard.press('Delete');
  await expect(page.getByTestId('verdict')).toContainText('No light reaches the leaves.');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(lampOn(page, 1)).toBeVisible();
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: /^Undo/ }).first().click();
  // The stand itself is undone: the others are shown.
  await expect(page).toHaveURL(/\/stands$/);
  await expect(page.getByRole('button', { name: /^First set-up/ })).toBeVisible();
  await page.getByRole('button', { name: 'Redo: begin a stand' }).click();
  await expect(page.getByRole('button', { name: /^Wire rack/ })).toBeVisible();
});

test('quiet hours and lamps in the cupboard are kept, and advice goes by them', async ({ page }) => {
  await page.goto('/settings');
  await page.getByRole('button', { name: 'Keep 22:00 to 06:00 dark' }).click();
  await page.getByRole('textbox', { name: 'until' }).fill('7');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'until' })).toHaveValue('07:00');
  await page.getByRole('button', { name: 'Add a spare lamp: Add a lamp' }).click();
  await page.getByRole('dialog').getByRole('combobox').fill('linkable bar 1.2 24 white');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /LED linkable bar 1.2 m, white, 24 W: one more/ }).click();
  await page.waitForTimeout(500);
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'dark from' })).toHaveValue('22:00');
  await go(page, '/bench');
  // The first set-up is too little light: the spare lamp is what helps without buying.
  const offer = page
    .getByTestId('offer')
    .filter({ hasText: /Hang up the spare LED linkable bar/ })
    .first();
  await expect(offer).toBeVisible();
  await offer.getByRole('button', { name: /^Try/ }).click();
  await expect(lampOn(page, 1)).toBeVisible();
  await page.getByRole('button', { name: 'Apply', exact: true }).click();
  await expect(page.getByText('Trying:')).toHaveCount(0);
});

test('tiers share a timer or have one of their own, and their sizes are typed in either world', async ({ page }) => {
  await beginRack(page, 3);
  await page.getByTestId('tier-2').click();
  await page.getByRole('combobox', { name: 'timer' }).selectOption('new');
  await page.getByRole('textbox', { name: 'for', exact: true }).fill('12');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('tier-2')).toContainText('12 h');
  await expect(page.getByTestId('tier-1')).toContainText('16 h');
  await page.locator('summary', { hasText: 'Size and sides of tier 2' }).click();
  await page.getByRole('textbox', { name: 'clear height' }).fill('18in');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'clear height' })).toHaveValue('45.7 cm');
  await page.getByRole('button', { name: '1 notch lower' }).click();
  await expect(page.getByRole('textbox', { name: 'clear height' })).toHaveValue('43.2 cm');
  await page.getByRole('button', { name: 'Delete tier 2' }).click();
  await expect(page.getByTestId('tier-3')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo: delete tier 2' }).click();
  await expect(page.getByTestId('tier-3')).toBeVisible();
});
