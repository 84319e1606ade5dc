import { expose, wrap } from 'comlink';
import { onTheWay } from './onTheWay';

/** What is told on the way to an answer, over real channels. */

const rest = (ms: number) => new Promise((done) => setTimeout(done, ms));

describe('on the way', () => {
  const { port1, port2 } = new MessageChannel();
  let late: Promise<unknown> = Promise.resolve();
  expose(
    {
      async count(to: number, told: (done: number) => void) {
        for (let i = 1; i <= to; i++) await told(i);
        return to;
      },
      // As a processor that has much to do may order it: the answer overtakes what was told before it.
      overtaken(told: (done: number) => Promise<void>) {
        late = rest(5).then(() => told(1));
        return 'answer';
      },
      fails(told: (done: number) => Promise<void>) {
        late = rest(5).then(() => told(1));
        throw new Error('no light');
      },
    },
    port1,
  );
  const remote = wrap<{
    count(to: number, told: (done: number) => void): number;
    overtaken(told: (done: number) => void): string;
    fails(told: (done: number) => void): string;
  }>(port2);
  afterAll(() => {
    port1.close();
    port2.close();
  });

  it('is told in order', async () => {
    const heard: number[] = [];
    expect(
      await onTheWay(
        (n: number) => heard.push(n),
        (told) => remote.count(3, told),
      ),
    ).toBe(3);
    expect(heard).toEqual([1, 2, 3]);
  });

  it('is not told after the answer, nor after a failure', async () => {
    const heard: number[] = [];
    const told = (n: number) => void heard.push(n);
    expect(await onTheWay(told, (t) => remote.overtaken(t))).toBe('answer');
    await late;
    await expect(onTheWay(told, (t) => remote.fails(t))).rejects.toThrow('no light');
    await late;
    expect(heard).toEqual([]);
  });
});
