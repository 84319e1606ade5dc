import type { PlugState } from '../../core/plan/plug/PlugDriver';
import { watchPlug } from './watchPlug';

const at = (minute: number) => ({ minute }) as PlugState;

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('a plug is looked at every second, and not again before it has answered', async () => {
  const answers: ((s: PlugState) => void)[] = [];
  const told: number[] = [];
  const end = watchPlug({ state: () => new Promise((done) => answers.push(done)) }, (s) => told.push(s.minute), () => told.push(-1)); // prettier-ignore
  await jest.advanceTimersByTimeAsync(5000);
  expect(answers).toHaveLength(1);
  answers[0]!(at(10));
  await jest.advanceTimersByTimeAsync(999);
  expect([told, answers.length]).toEqual([[10], 1]);
  await jest.advanceTimersByTimeAsync(1);
  expect(answers).toHaveLength(2);
  // What answers after the watch has ended is told to nobody, and nothing is asked any more.
  end();
  answers[1]!(at(20));
  await jest.advanceTimersByTimeAsync(5000);
  expect([told, answers.length]).toEqual([[10], 2]);
});

test('a plug that fails is reported once, in words, and left alone', async () => {
  let asked = 0;
  const reasons: string[] = [];
  const failing = { state: () => (asked++ === 0 ? Promise.resolve(at(1)) : Promise.reject(new Error('the plug is not there any more'))) };
  watchPlug(failing, () => undefined, (r) => reasons.push(r)); // prettier-ignore
  await jest.advanceTimersByTimeAsync(10_000);
  expect([asked, reasons]).toEqual([2, ['the plug is not there any more']]);
});

test('nobody is told of a failure once the watch has ended', async () => {
  let fail: (e: Error) => void = () => undefined;
  const reasons: string[] = [];
  const end = watchPlug({ state: () => new Promise((_, no) => (fail = no)) }, () => undefined, (r) => reasons.push(r)); // prettier-ignore
  end();
  fail(new Error('late'));
  await jest.advanceTimersByTimeAsync(2000);
  expect(reasons).toEqual([]);
});
