import 'reflect-metadata';
import { tables } from '../../core/things/tables/libraryTables';
import { benchStandOf } from '../../core/answer/stand/benchStand';
import { demoSite } from '../site/demoSite';
import { createMeterDesk } from './meterDesk';
import { PRACTICE_TRUTH, practiceWorld } from './practiceWorld';
import { readMeterWorld } from './readMeterWorld';
import { readHeld, streamMeter } from './streamMeter';

const site = demoSite('en-GB');
const stand = benchStandOf(
  site,
  site.stands.find((s) => s.id === 'demo-rack')!,
  tables,
);
const file = practiceWorld(stand, stand.tiers[3]!, 'lux-basic', { ...PRACTICE_TRUTH, sides: 0.6, daylight: 50 });
const codes = (data: unknown) => {
  const result = readMeterWorld(typeof data === 'string' ? data : JSON.stringify(data));
  return result.ok ? [] : result.problems.map((p) => `${p.code} ${p.at}`);
};

test('a tier becomes a world whose lamps and sides are as they really are', () => {
  const world = readMeterWorld(JSON.stringify(file));
  if (!world.ok) throw new Error(JSON.stringify(world.problems));
  const ppf = world.value.scene.lamps.reduce((sum, l) => sum + l.emitters.reduce((s, e) => s + e.ppf, 0), 0);
  expect(ppf).toBeWithin(0.82 * stand.tiers[3]!.lamps.reduce((sum, l) => sum + l.lamp.ppf, 0), { relative: 1e-6 });
  const { faces } = world.value.scene.rooms[0]!;
  expect([faces.left.reflectance, faces.back.reflectance]).toEqual([0.6, 0.6]);
  expect(faces.floor.reflectance).not.toBe(0.6);
  expect(world.value).toMatchObject({ daylight: 50, kindId: 'lux-basic' });
});

test('what is no world is refused by its field', () => {
  expect(codes('{')).toEqual(['file/not-json the end']);
  expect(codes([])).toEqual(['world/not-an-object ']);
  expect(codes({ ...file, kindId: 'crystal' })).toEqual(['world/isIn kindId']);
  expect(codes({ ...file, lampFactor: 1e9, surprise: 1 })).toEqual(
    expect.arrayContaining(['world/max lampFactor', 'world/whitelistValidation surprise']),
  );
  expect(codes({ ...file, scene: { ...file.scene, lamps: [] } })).toEqual(['scene/arrayMinSize scene.lamps']);
  const [lamp] = (file.scene as { lamps: object[] }).lamps;
  const many = (n: number) => ({ ...file, scene: { ...file.scene, lamps: Array.from({ length: n }, (_, i) => ({ ...lamp, id: `l${i}` })) } }); // prettier-ignore
  expect(codes(many(64))).toEqual([]);
  expect(codes(many(65))).toEqual(['scene/arrayMaxSize scene.lamps']);
  expect(codes('x'.repeat(600_000))).toEqual(['file/too-large ']);
});

test('how it is held is read from an address, each mistake named', () => {
  const held = (query: string) => readHeld(new URLSearchParams(query), 'lux-basic');
  expect(held('x=0.1&y=0.2&z=0.3')).toMatchObject({ ok: true, value: { x: 0.1, range: null, lampsOn: true } });
  expect(held('x=0&y=0&z=0&range=2000&lamps=off')).toMatchObject({ ok: true, value: { range: 2000, lampsOn: false } });
  const wrong = held('x=far&y=99&range=7');
  expect(wrong.ok ? [] : wrong.problems.map((p) => `${p.code} ${p.at}`)).toEqual([
    'meter/place x',
    'meter/place y',
    'meter/place z',
    'meter/range range',
  ]);
});

test('the desk keeps what was put last, and forgets the longest unused', () => {
  let n = 0;
  const desk = createMeterDesk(() => `m${n++}`);
  const world = readMeterWorld(JSON.stringify({ ...file, scene: { ...file.scene, tiers: [] } }));
  if (!world.ok) throw new Error();
  const first = desk.put(world.value);
  for (let i = 0; i < 23; i++) desk.put(world.value);
  expect(desk.get(first)).toBeDefined(); // used: now the newest
  desk.put(world.value);
  expect(desk.get(first)).toBeDefined();
  expect(desk.get('m1')).toBeUndefined();
});

test('a meter streams its display as server-sent events until nobody listens', async () => {
  const meter = {
    kindId: 'lux-basic',
    sample: (at_ms: number) => Promise.resolve({ at_ms, value: 850, unit: 'lx' as const, range: 2000, auto: true }),
    setRange: () => Promise.resolve(),
    close: () => Promise.resolve(),
  };
  const gone = new AbortController();
  const reader = streamMeter(meter, gone.signal).getReader();
  const texts: string[] = [];
  for (let i = 0; i < 2; i++) texts.push(new TextDecoder().decode((await reader.read()).value));
  for (const text of texts) {
    expect(text).toMatch(/^data: \{.*\}\n\n$/);
    expect(JSON.parse(text.slice(6))).toMatchObject({ value: 850, unit: 'lx' });
  }
  gone.abort();
  await reader.cancel();
});
