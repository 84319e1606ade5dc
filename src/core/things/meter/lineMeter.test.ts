import { createLineMeter, type LineWire } from './lineMeter';

/** A double of the device: it holds a light, switches ranges, and can fall silent or talk nonsense. */
function doubleOf(lux: () => number, mood: { silent?: boolean; nonsense?: string } = {}): LineWire & { readonly heard: string[] } {
  const heard: string[] = [];
  let range: number | null = null;
  return {
    heard,
    send: (line) => {
      heard.push(line);
      const asked = /^RANGE (AUTO|\d+)$/.exec(line)?.[1];
      if (asked) range = asked === 'AUTO' ? null : Number(asked);
      return Promise.resolve();
    },
    receive: () => {
      if (mood.silent) return Promise.reject(new Error('nothing came'));
      if (mood.nonsense) return Promise.resolve(mood.nonsense);
      const top = range ?? [200, 2000, 20000, 200000].find((r) => lux() <= r)!;
      return Promise.resolve(`VALUE ${lux() > top ? 'OVER' : Math.round(lux())} RANGE ${top}${range === null ? ' AUTO' : ''}\r\n`);
    },
    close: () => Promise.resolve(void heard.push('closed')),
  };
}

test('a reading comes with its unit and range', async () => {
  const meter = createLineMeter(
    'lux-basic',
    doubleOf(() => 8130),
  );
  expect(await meter.sample(5)).toEqual({ at_ms: 5, unit: 'lx', value: 8130, range: 20000, auto: true });
});

test('on a range that is too low it shows nothing, and back on its own choice all', async () => {
  const meter = createLineMeter(
    'lux-basic',
    doubleOf(() => 8130),
  );
  await meter.setRange(2000);
  expect(await meter.sample(0)).toMatchObject({ value: null, range: 2000, auto: false });
  await meter.setRange(null);
  expect(await meter.sample(0)).toMatchObject({ value: 8130, auto: true });
  await expect(meter.setRange(500)).rejects.toThrow('no range of 500; it has 200, 2000, 20000, 200000');
});

test.each([
  [{ silent: true }, 'nothing came'],
  [{ nonsense: 'HELLO' }, 'which is no reading'],
  [{ nonsense: 'VALUE 10 RANGE 77' }, 'does not have'],
  [{ nonsense: 'VALUE -5 RANGE 2000' }, 'which is no reading'],
])('%o is an error, never a reading', async (mood, reason) => {
  await expect(
    createLineMeter(
      'lux-basic',
      doubleOf(() => 1, mood),
    ).sample(0),
  ).rejects.toThrow(reason);
});

test('it lets go of the wire', async () => {
  const wire = doubleOf(() => 1);
  await createLineMeter('fc-digital', wire).close();
  expect(wire.heard).toEqual(['closed']);
});
