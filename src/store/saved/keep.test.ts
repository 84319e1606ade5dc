import { keep } from './keep';

const later = (ms: number) => new Promise((done) => setTimeout(done, ms));

/** A store that is slow to write, and says how often it was asked and whether two writes ever overlapped. */
function slow(fail = false) {
  const seen = { writes: 0, underWay: 0, overlapped: false, errors: [] as unknown[] };
  const keeper = keep(
    async () => {
      seen.writes++;
      seen.underWay++;
      if (seen.underWay > 1) seen.overlapped = true;
      await later(20);
      seen.underWay--;
      if (fail) throw new Error('full');
    },
    (reason) => seen.errors.push(reason),
    10,
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
  await first;
  await later(60);
  expect(seen).toMatchObject({ writes: 2, overlapped: false });
});

test('before the page goes, what waits is written at once, and nothing when nothing waits', async () => {
  const { seen, keeper } = slow();
  await keeper.flush();
  expect(seen.writes).toBe(0);
  keeper.soon();
  await keeper.flush();
  expect(seen.writes).toBe(1);
});

test('a store that fails is said, and asked again with the next change', async () => {
  const { seen, keeper } = slow(true);
  await keeper.now();
  await keeper.now();
  expect(seen.errors).toHaveLength(2);
});
