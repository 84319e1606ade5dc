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

test('a huge question keeps nobody else waiting, and ends when whoever asked goes', async ({ request, baseURL }) => {
  const diodes = { columns: 20, rows: 20 };
  const lamps = Array.from({ length: 12 }, (_, i) => ({ id: `l${i}`, kind: 'rect', x_m: i / 10, y_m: 0.5, z_m: 0.05, length_m: 0.4, width_m: 0.4, beam_deg: 60, ppf_umol_per_s: 50, diodes })); // prettier-ignore
  const large = {
    format: 'copper-noon/scene',
    version: 1,
    lamps,
    ask: { maps: [{ x0_m: 0, x1_m: 3, y0_m: 0, y1_m: 3, z_m: 0, cell_m: 0.01 }] },
  };
  const gone = new AbortController();
  const asked = fetch(`${baseURL}/api/field`, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(large), signal: gone.signal }); // prettier-ignore
  expect((await request.get('/api/plug/none')).status()).toBe(404);
  // The huge one is still being worked out: else its answer would be here.
  gone.abort();
  await expect(asked).rejects.toThrow();
  // The next one has its turn at once, not after the work that nobody waits for.
  const next = await request.post('/api/field', { data: JSON.parse(readFileSync('docs/examples/shelf.json', 'utf8')) as object });
  expect(next.status()).toBe(200);
  const tooMuch = { ...large, lamps: lamps.map((l) => ({ ...l, diodes: { columns: 40, rows: 40 } })), ask: { maps: [{ ...large.ask.maps[0]!, x1_m: 5, y1_m: 5 }] } }; // prettier-ignore
  const refused = await request.post('/api/field', { data: tooMuch });
  expect(refused.status()).toBe(400);
  expect(await refused.json()).toMatchObject({ problems: [{ code: 'scene/too-much-work', at: 'ask' }] });
});

test('pages from elsewhere and what is no JSON are refused, and nothing hostile is a fault of the server', async ({ request }) => {
  const scene = readFileSync('docs/examples/shelf.json', 'utf8');
  const post = (headers: Record<string, string>, path = '/api/field', data = scene) => request.post(path, { data, headers });
  const json = { 'content-type': 'application/json' };
  expect((await post({ ...json, origin: 'http://elsewhere.example' })).status()).toBe(403);
  expect((await post({ ...json, 'sec-fetch-site': 'cross-site' })).status()).toBe(403);
  expect((await post({ 'content-type': 'text/plain' })).status()).toBe(415);
  for (const path of ['/api/field', '/api/meter', '/api/plug'])
    for (const data of [
      '',
      'null',
      '[]',
      '{',
      '{"tiers":[[]]}',
      '{"format":"copper-noon/scene","version":1,"tiers":[[]]}',
      '{"lamps":null}',
      `{"a":${'['.repeat(5000)}`,
    ]) {
      // prettier-ignore
      const said = await post(json, path, data);
      expect([path, data.slice(0, 40), said.status()]).toEqual([path, data.slice(0, 40), 400]);
      expect(((await said.json()) as { problems: unknown[] }).problems.length).toBeGreaterThan(0);
    }
  const plug = (await (await post(json, '/api/plug', '{"day":"2027-02-13","minute":480}')).json()) as { id: string };
  for (const order of ['{"schedule":[[]]}', '{"speed":"x"}', '{"clock":[]}', '[]'])
    expect((await request.patch(`/api/plug/${plug.id}`, { data: order, headers: json })).status()).toBe(400);
  expect((await request.patch(`/api/plug/${plug.id}`, { data: '{"speed":null}', headers: json })).status()).toBe(200);
  for (const path of ['/tray/%E0%A4%A', '/tray/%00', '/tray/none', '/%2e%2e/%2e%2e/etc', '/api/meter/none', '/api/meter/none?x=NaN'])
    expect([path, (await request.get(path)).status() < 500]).toEqual([path, true]);
});

test('scripts say that the browser may read all of them at once', async ({ request }) => {
  const page = await (await request.get('/check')).text();
  const scripts = [...new Set(page.match(/\/_next\/static\/chunks\/[\w-]+\.js/g))];
  expect(scripts.length).toBeGreaterThan(10);
  for (const script of scripts) expect(await (await request.get(script)).text()).toMatch(/^\/\/# allFunctionsCalledOnLoad\n/);
});
