import 'reflect-metadata';
import { createPlugDesk } from './plugDesk';
import { MAX_PLUG_BYTES, obey, readPlugClock, readPlugOrder, writePlug } from './readPlug';

const codes = (result: ReturnType<typeof readPlugOrder>) => (result.ok ? [] : result.problems.map((p) => `${p.code} ${p.at}`));

test('a plug on the desk takes a schedule, is told the time, and says how it is', async () => {
  let now = 0;
  const desk = createPlugDesk(() => 'a', () => now); // prettier-ignore
  const clock = readPlugClock('{ "day": "2027-02-10", "minute": 600 }');
  if (!clock.ok) throw new Error('refused');
  const plug = desk.get(desk.put(clock.value))!;
  const order = readPlugOrder('{ "schedule": [{ "from": "2027-02-10", "on_min": 540, "lit_min": 120 }], "speed": 60 }');
  if (!order.ok) throw new Error('refused');
  await obey(plug, order.value);
  expect(writePlug(await plug.state())).toMatchObject({
    day: '2027-02-10',
    minute: 600,
    on: true,
    speed: 60,
    entry: { from: '2027-02-10' },
  });
  now = 60_000;
  expect(writePlug(await plug.state())).toMatchObject({ minute: 660, on: false });
  expect(desk.get('b')).toBeUndefined();
});

test('what is not understood is refused by its place, and nothing else of it done', () => {
  expect(codes(readPlugOrder('{ "speed": 0, "surprise": 1 }')).sort()).toEqual(['plug/min speed', 'plug/whitelistValidation surprise']);
  expect(codes(readPlugOrder('{ "schedule": [{ "from": "2027-02-30", "on_min": 1440, "lit_min": 60 }] }')).sort()).toEqual(['plug/isDay schedule[0].from', 'plug/max schedule[0].on_min']); // prettier-ignore
  expect(codes(readPlugOrder('[1]'))).toEqual(['plug/not-an-object ']);
  expect(codes(readPlugOrder('{'))[0]).toMatch(/^file\/not-json/);
  expect(codes(readPlugOrder('{ "schedule": [[]] }'))).toEqual(['file/list-in-list schedule[0]']);
  expect(MAX_PLUG_BYTES).toBeLessThan(100_000);
});

test('what is null is not said, and changes nothing', async () => {
  const desk = createPlugDesk(() => 'a', () => 0); // prettier-ignore
  const plug = desk.get(desk.put({ day: '2027-02-10', minute: 600 }))!;
  const order = readPlugOrder('{ "speed": null, "remembers": null, "powered": null, "clock": null, "schedule": null }');
  if (!order.ok) throw new Error('refused');
  const before = await plug.state();
  await obey(plug, order.value);
  expect(await plug.state()).toEqual(before);
});

test('the desk keeps the plugs that were used last', () => {
  let n = 0;
  const desk = createPlugDesk(() => `p${n++}`, () => 0); // prettier-ignore
  const clock = { day: '2027-02-10', minute: 0 };
  const first = desk.put(clock);
  for (let i = 0; i < 150; i++) desk.put(clock);
  expect(desk.get(first)).toBeDefined();
  for (let i = 0; i < 199; i++) desk.put(clock);
  expect(desk.get(first)).toBeDefined();
  desk.put(clock);
  expect(desk.get('p1')).toBeUndefined();
});

test('a plug that is told to forget has lost its clock after a power cut; one that remembers has not', async () => {
  for (const remembers of [true, false]) {
    const desk = createPlugDesk(() => 'a', () => 0); // prettier-ignore
    const plug = desk.get(desk.put({ day: '2027-02-10', minute: 600 }))!;
    const told = async (order: object) => {
      const read = readPlugOrder(JSON.stringify(order));
      if (!read.ok) throw new Error('refused');
      await obey(plug, read.value);
    };
    await told({ remembers });
    await told({ powered: false });
    await told({ powered: true });
    expect((await plug.state()).clockLost).toBe(!remembers);
  }
});
