import fc from 'fast-check';
import { isLitAt, mostLit } from '../../units/LitTimes';
import { dayFrom } from '../../units/day';
import { createSimulatedPlug, isLit } from './simulatedPlug';

const DAY = dayFrom(2027, 2, 10);
const at = (h: number, m = 0) => 60 * h + m;

/** A plug and a world whose time the test lets pass. */
function plugAt(minute: number) {
  let now = 0;
  const plug = createSimulatedPlug(DAY, minute, () => now);
  return { plug, pass: (minutes: number) => (now += minutes * 60_000), live: async () => (await plug.state()).on };
}

test('it switches when its schedule says, also past midnight', async () => {
  const { plug, pass, live } = plugAt(at(5, 59));
  await plug.setSchedule([{ from: DAY, on_min: at(6), lit_min: at(20), pause: null }]);
  expect(await live()).toBe(false);
  pass(1);
  expect(await live()).toBe(true);
  pass(at(19, 59));
  expect(await plug.state()).toMatchObject({ day: DAY + 1, minute: at(1, 59), on: true });
  pass(1);
  expect(await live()).toBe(false);
});

test('a dated schedule changes its hours on its days', async () => {
  const { plug, pass, live } = plugAt(at(12));
  await plug.setSchedule([{ from: DAY + 2, on_min: at(6), lit_min: at(4), pause: null }, { from: DAY, on_min: at(6), lit_min: at(10), pause: null }]); // prettier-ignore
  expect(await live()).toBe(true);
  pass(2 * 1440);
  expect(await plug.state()).toMatchObject({ on: false, entry: { lit_min: at(4) } });
});

test('a clock that remembers goes on through a power failure', async () => {
  const { plug, pass, live } = plugAt(at(10));
  await plug.setSchedule([{ from: DAY, on_min: at(6), lit_min: at(14), pause: null }]);
  await plug.setPower(false);
  expect(await live()).toBe(false);
  pass(120);
  await plug.setPower(true);
  expect(await plug.state()).toMatchObject({ on: true, minute: at(12), clockLost: false });
});

test('one that does not begins at midnight, keeps the wrong hours and says so, until it is set', async () => {
  const { plug, pass, live } = plugAt(at(10));
  await plug.setSchedule([{ from: DAY, on_min: at(6), lit_min: at(14), pause: null }]);
  await plug.setRemembers(false);
  await plug.setPower(false);
  pass(30);
  await plug.setPower(true);
  expect(await plug.state()).toMatchObject({ day: DAY, minute: 0, on: false, clockLost: true });
  pass(at(6));
  // Half past four in the afternoon outside; the lamps think it is six in the morning.
  expect(await live()).toBe(true);
  await plug.setClock(DAY, at(16, 30));
  expect(await plug.state()).toMatchObject({ minute: at(16, 30), on: true, clockLost: false });
});

test('time can be let run faster, and no slower than the world', async () => {
  const { plug, pass } = plugAt(0);
  await plug.setSpeed(600);
  pass(1);
  expect((await plug.state()).minute).toBe(600);
  await expect(plug.setSpeed(0)).rejects.toThrow('1 … 10000');
});

test('over a day a plug is live for as many minutes as its schedule says', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1439 }), fc.integer({ min: 0, max: 1440 }), fc.boolean(), (on_min, long, pauses) => {
      const pause = pauses ? { from_min: at(22), to_min: at(2) } : null;
      const times = { on_min, lit_min: Math.min(long, mostLit(pause)), pause };
      const schedule = [{ from: DAY - 5, ...times }];
      const minutes = Array.from({ length: 1440 }, (_, m) => m);
      const lit = minutes.filter((m) => isLit(schedule, DAY, m));
      expect(lit).toEqual(minutes.filter((m) => isLitAt(times, m)));
      expect(lit).toHaveLength(times.lit_min);
    }),
  );
});
