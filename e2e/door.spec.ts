import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';

/** The door for scripts, asked as a script would. */

test('a scene is answered, and what is wrong is named by its field', async ({ request }) => {
  const scene = JSON.parse(readFileSync('docs/examples/shelf.json', 'utf8')) as { lamps: { x_m: unknown }[] };
  const good = await request.post('/api/field', { data: scene });
  expect(good.status()).toBe(200);
  const said = (await good.json()) as { ok: boolean; answer: { points: { ppfd: { value: number } }[] } };
  expect(said.ok).toBe(true);
  expect(said.answer.points[0]!.ppfd.value).toBeGreaterThan(20);
  scene.lamps[0]!.x_m = 'left';
  const bad = await request.post('/api/field', { data: scene });
  expect(bad.status()).toBe(400);
  expect(await bad.json()).toMatchObject({
    ok: false,
    problems: expect.arrayContaining([expect.objectContaining({ at: 'lamps[0].x_m', code: 'scene/isNumber' })]),
  });
  const huge = await request.post('/api/field', { data: `"${'x'.repeat(2_100_000)}"`, headers: { 'content-type': 'application/json' } });
  expect(huge.status()).toBe(413);
});
