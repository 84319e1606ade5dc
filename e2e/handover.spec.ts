import { expect, test, type Page } from '@playwright/test';

/** Planned at the table, logged at the rack: from one browser to another and back, with edits on both sides. */

const demo = `http://localhost:${process.env.E2E_DEMO_PORT}`;
test.use({ baseURL: demo, timezoneId: 'Europe/Lisbon' });

async function sage(page: Page) {
  await page.goto('/today/journal');
  await page.getByRole('link', { name: 'Sage' }).first().click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Sage');
}
async function note(page: Page, text: string) {
  await sage(page);
  await page.getByRole('textbox', { name: 'In your own words' }).fill(text);
  await page.getByRole('button', { name: 'Add note' }).click();
  await expect(page.getByRole('list', { name: 'Written down' })).toContainText(text);
}
async function code(page: Page): Promise<string> {
  await page.goto('/settings/data');
  await page.getByRole('button', { name: 'To another device' }).click();
  await expect(page.getByRole('img', { name: 'Code to be scanned by the other device' })).toBeVisible();
  return page.getByRole('textbox', { name: 'Address' }).inputValue();
}

test('there and back: nothing lost, nothing twice; a used, foreign or damaged address is refused', async ({ page, browser }) => {
  await note(page, 'planned at the table');
  const address = await code(page);
  await expect(page.getByText('This server answers this computer only')).toBeVisible();

  const phone = await (
    await browser.newContext({ baseURL: demo, viewport: { width: 390, height: 844 }, timezoneId: 'Europe/Lisbon', locale: 'en-GB' })
  ).newPage();
  await phone.goto(address);
  await phone.getByRole('button', { name: 'Use it instead of what is here' }).click();
  await expect(phone.getByText('You have what the other device has.').first()).toBeVisible();
  expect(phone.url()).not.toContain('#');

  // Both go on: a note here, a note and a tick there.
  await note(phone, 'seen at the rack');
  await note(page, 'thought of later');
  const back = await code(phone);
  await page.goto(back);
  await page.getByRole('button', { name: 'Put together' }).click();
  await expect(page.getByText('What was done on both devices is put together.').first()).toBeVisible();
  await sage(page);
  const written = page.getByRole('list', { name: 'Written down' });
  for (const text of ['planned at the table', 'seen at the rack', 'thought of later'])
    await expect(written.getByRole('listitem').filter({ hasText: text })).toHaveCount(1);

  // It works once, whole, and with its own key.
  await page.goto('about:blank');
  await page.goto(back);
  await expect(page.getByRole('main').getByRole('alert')).toContainText('A code works once, for ten minutes');
  const third = await code(phone);
  await page.goto('about:blank');
  await page.goto(`${third.slice(0, -43)}${'A'.repeat(43)}`);
  await expect(page.getByRole('main').getByRole('alert')).toContainText('Make a new code on the other device');
  await page.goto('about:blank');
  await page.goto('/settings/data/receive');
  await expect(page.getByRole('main').getByRole('alert')).toContainText('This address has no key in it');
  await phone.context().close();
});

test('the door takes sealed bytes from its own pages alone', async ({ request }) => {
  const post = (headers: Record<string, string>, data: Buffer) => request.post('/api/handover', { headers, data });
  const bytes = { 'Content-Type': 'application/octet-stream' };
  expect((await post({ 'Content-Type': 'application/json' }, Buffer.alloc(100))).status()).toBe(415);
  expect((await post({ ...bytes, Origin: 'http://elsewhere.example' }, Buffer.alloc(100))).status()).toBe(403);
  expect((await post(bytes, Buffer.alloc(10))).status()).toBe(400);
  expect((await post(bytes, Buffer.alloc(61_000_000))).status()).toBe(413);
  expect((await request.get('/api/handover/none')).status()).toBe(404);
  expect(await (await request.get('/api/handover')).json()).toEqual({ ok: true, hosts: [], minutes: 10 });
});
