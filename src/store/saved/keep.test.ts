import { keep } from './keep';

// A clock of its own: how fast a machine is, is no test.
beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());
const rest = (ms: number) => new Promise((done) => setTimeout(done, ms));
const later = (ms: number) => jest.advanceTimersByTimeAsync(ms);
/** What is to end, with the time that it takes. */
async function ended(what: Promise<unknown>) {
  let isOver = false;
  void what.finally(() => (isOver = true));
  while (!isOver) await later(1);
}

/** A store that is slow to write, and says how often it was asked and whether two writes ever overlapped. */
function slow(store = { full: false }) {
  const seen = { writes: 0, underWay: 0, overlapped: false, errors: [] as unknown[] };
  const keeper = keep(
    async () => {
      seen.writes++;
      seen.underWay++;
      if (seen.underWay > 1) seen.overlapped = true;
      await rest(20);
      seen.underWay--;
      if (store.full) throw new Error('full');
    },
    (reason) => seen.errors.push(reason),
    { quiet_ms: 10, latest_ms: 50, again_ms: 30 },
  );
  return { seen, keeper };
}

test('many changes in a moment are one write', async () => {
  const { seen, keeper } = slow();
  for (let i = 0; i < 20; i++) keeper.soon();
  await later(60);
  expect(seen.writes).toBe(1);
});

test('a change during a write is written after it, never at the same time', async () => {
  const { seen, keeper } = slow();
  const first = keeper.now();
  void keeper.now();
  void keeper.now();
  await ended(first);
  await later(60);
  expect(seen).toMatchObject({ writes: 2, overlapped: false });
});

test('before the page goes, what waits is written at once, and nothing when nothing waits', async () => {
  const { seen, keeper } = slow();
  await ended(keeper.flush());
  expect(seen.writes).toBe(0);
  keeper.soon();
  await ended(keeper.flush());
  expect(seen.writes).toBe(1);
});

test('changes without a pause are written all the same', async () => {
  const { seen, keeper } = slow();
  const held = setInterval(() => keeper.soon(), 4);
  await later(300);
  clearInterval(held);
  expect(seen.writes).toBeGreaterThan(1);
  await ended(keeper.flush());
  expect(keeper.unwritten()).toBe(false);
});

test('a store that fails is said, and asked again without being told', async () => {
  const store = { full: true };
  const { seen, keeper } = slow(store);
  await ended(keeper.now());
  expect(seen.errors).toHaveLength(1);
  expect(keeper.unwritten()).toBe(true);
  store.full = false;
  await later(200);
  expect(seen.writes).toBe(2);
  expect(keeper.unwritten()).toBe(false);
});

test('at the end what waits is written, and nothing more, not even again', async () => {
  const store = { full: false };
  const { seen, keeper } = slow(store);
  keeper.soon();
  await ended(keeper.end());
  expect(seen.writes).toBe(1);
  keeper.soon();
  await later(60);
  expect(seen.writes).toBe(1);
  const failing = slow({ full: true });
  failing.keeper.soon();
  await ended(failing.keeper.end());
  await later(100);
  expect(failing.seen.writes).toBe(1);
});

test('what changes while a write fails is written after its own moment of quiet, not after the long wait', async () => {
  let writes = 0;
  const keeper = keep(
    async () => {
      writes++;
      await rest(20);
      if (writes === 1) throw new Error('full');
    },
    () => undefined,
    { quiet_ms: 40, latest_ms: 80, again_ms: 60_000 },
  );
  const first = keeper.now();
  keeper.soon();
  await ended(first);
  await later(300);
  expect(writes).toBe(2);
  expect(keeper.unwritten()).toBe(false);
});
