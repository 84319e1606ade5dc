import { MOST_BUNDLE_BYTES } from './bundle';
import { createHandoverDesk } from './handoverDesk';

/** A desk whose clock is set by hand. */
function desk() {
  let now = 1_000_000;
  let n = 0;
  return { ...createHandoverDesk(() => `n${n++}`, () => now), wait: (minutes: number) => void (now += minutes * 60_000) }; // prettier-ignore
}
const bytes = (length: number) => new Uint8Array(length);

test('what lies there can be fetched for ten minutes, and not for eleven', () => {
  const early = desk();
  const id = early.put(bytes(3))!;
  early.wait(9.9);
  expect(early.take(id)).toEqual(bytes(3));
  const late = desk();
  const other = late.put(bytes(3))!;
  late.wait(10);
  expect(late.take(other)).toBeNull();
});

test('it is handed out once, and nobody gets what was never put there', () => {
  const { put, take } = desk();
  const id = put(bytes(1))!;
  expect(take('n7')).toBeNull();
  expect(take(id)).not.toBeNull();
  expect(take(id)).toBeNull();
});

test('six lie there at most; room comes back when one is fetched or its time is up', () => {
  const { put, take, wait } = desk();
  const ids = Array.from({ length: 6 }, () => put(bytes(1))!);
  expect(put(bytes(1))).toBeNull();
  take(ids[0]!);
  expect(put(bytes(1))).not.toBeNull();
  expect(put(bytes(1))).toBeNull();
  wait(10);
  expect(put(bytes(1))).not.toBeNull();
});

test('what is larger than a bundle may be is not held', () => {
  const { put } = desk();
  expect(put(bytes(MOST_BUNDLE_BYTES))).not.toBeNull();
  expect(put(bytes(MOST_BUNDLE_BYTES + 1))).toBeNull();
});
