/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import type { Job } from '@/core/plan/today/Job';
import { useJobsOfToday } from './useJobsOfToday';

const job = (key: string): Job => ({
  key,
  due: 20_000,
  standId: null,
  tierId: null,
  tier: null,
  trayIds: [],
  what: { kind: 'brush' },
  minutes: 1,
});

/** A list under the eyes of a person: what is open, done, and whether it has been there for a while. */
function listOf(open: string, isInView = false) {
  const { result, rerender } = renderHook(
    ({ open, done, isInView }: { open: string; done: string; isInView: boolean }) =>
      useJobsOfToday([...open].map(job), new Set(done), isInView),
    { initialProps: { open, done: '', isInView } },
  );
  return {
    now: (open: string, done = '', isInView = true) => rerender({ open, done, isInView }),
    keys: () => result.current.jobs.map((j) => j.key).join(''),
    isInOrder: () => result.current.isInOrder,
    sort: () => act(() => result.current.putInOrder()),
  };
}

test('what is found while the page opens goes where it belongs in the walk', () => {
  const list = listOf('bd');
  list.now('abcd', '', false);
  expect(list.keys()).toBe('abcd');
  expect(list.isInOrder()).toBe(true);
});

test('what is found later comes at the end, so that nothing moves away under a thumb', () => {
  const list = listOf('bd');
  list.now('bd');
  list.now('abcde');
  expect(list.keys()).toBe('bdace');
  expect(list.isInOrder()).toBe(false);
  // And stays there when more comes, or when one is done.
  list.now('abcdef');
  expect(list.keys()).toBe('bdacef');
  list.now('acdef', 'b');
  expect(list.keys()).toBe('bdacef');
});

test('one press puts the list into the order of the walk; what is done already stands above', () => {
  const list = listOf('bd');
  list.now('abd');
  list.now('ad', 'b');
  expect(list.keys()).toBe('bda');
  list.sort();
  expect(list.keys()).toBe('bad');
  expect(list.isInOrder()).toBe(true);
});

test('what is done stays in its place, and comes back to it when it is undone', () => {
  const list = listOf('abc');
  list.now('ac', 'b');
  expect(list.keys()).toBe('abc');
  expect(list.isInOrder()).toBe(true);
  list.now('abc');
  expect(list.keys()).toBe('abc');
});

test('what is put off goes, and comes back to its place by undo', () => {
  const list = listOf('abc');
  list.now('ac');
  expect(list.keys()).toBe('ac');
  list.now('abc');
  expect(list.keys()).toBe('abc');
});
