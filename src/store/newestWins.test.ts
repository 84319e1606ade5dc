import { newestWins } from './newestWins';

test('one is asked at a time, then the newest; what fails keeps nobody waiting, and after the end nothing is told', async () => {
  const asked: number[] = [];
  const told: number[] = [];
  const failed: number[] = [];
  const gates: (() => void)[] = [];
  const line = newestWins<number, number>(
    async (q) => {
      asked.push(q);
      await new Promise<void>((then) => gates.push(then));
      if (q === 3) throw new Error('no');
      return q * 10;
    },
    (a) => told.push(a),
    (q) => failed.push(q),
  );
  const next = async () => {
    gates.shift()!();
    await new Promise((then) => setTimeout(then, 0));
  };
  for (const q of [1, 2, 3]) line.put(q);
  expect(asked).toEqual([1]);
  await next();
  expect([asked, told]).toEqual([[1, 3], [10]]);
  line.put(4);
  await next();
  expect([asked, failed]).toEqual([[1, 3, 4], [3]]);
  line.put(5);
  line.stop();
  await next();
  expect([asked, told]).toEqual([[1, 3, 4], [10]]);
});
