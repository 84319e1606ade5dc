/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { dayFrom } from '@/core/units/day';
import type { Site } from '@/core/site/stand/Site';
import { demoSite } from '@/store/site/demoSite';
import { useTodayCharts } from './useTodayCharts';

const TODAY = dayFrom(2027, 2, 20);
const mockSite: { -readonly [K in keyof Site]: Site[K] } = demoSite('en-GB', TODAY);
const mockAsked: string[] = [];
const mockAnswers: (() => void)[] = [];
let mockFails = '';
const mockAsk = (what: string) => (asked: BenchStand | { standId: string }) => {
  mockAsked.push(`${what} ${'stand' in asked ? asked.stand.id : asked.standId}`);
  const isBroken = mockAsked.at(-1) === mockFails;
  return new Promise((done, fail) => mockAnswers.push(() => (isBroken ? fail(new Error('worker died')) : done({ what }))));
};
const mockWorkspace = { lightOfStand: mockAsk('light'), chartOf: mockAsk('chart') };
jest.mock('../shell/WorkspaceContext', () => ({
  useWorkspace: () => mockWorkspace,
  useSite: (of: (s: object) => unknown) => of({ site: mockSite }),
  useSettings: () => ({ timerStep_min: 15 }),
  useToday: () => TODAY,
}));

test('the light of every stand is known before any chart is asked; what is known is not asked again', async () => {
  jest.useFakeTimers();
  const shelves = mockSite.stands.filter((s) => !s.autoArranged).map((s) => s.id);
  const seen = renderHook(() => useTodayCharts());
  const answer = () => act(async () => mockAnswers.splice(0).forEach((done) => done()));
  await act(() => jest.advanceTimersByTimeAsync(300));
  expect(mockAsked).toEqual(shelves.slice(0, 2).map((id) => `light ${id}`));
  expect([seen.result.current.dark, seen.result.current.left]).toEqual([shelves.length, shelves.length]);
  while (mockAsked.length < shelves.length) await answer();
  await answer();
  expect(mockAsked.slice(0, shelves.length)).toEqual(shelves.map((id) => `light ${id}`));
  expect(seen.result.current).toMatchObject({ dark: 0, failed: false });
  expect(seen.result.current.stands.every((s) => s.chart === null)).toBe(true);
  expect(mockAsked.slice(shelves.length).every((a) => a.startsWith('chart'))).toBe(true);
  while (mockAnswers.length > 0) await answer();
  expect(seen.result.current.left).toBe(0);
  expect(seen.result.current.stands.some((s) => s.chart !== null)).toBe(true);
  const before = mockAsked.length;
  seen.unmount();
  const again = renderHook(() => useTodayCharts());
  await act(() => jest.advanceTimersByTimeAsync(300));
  expect([again.result.current.left, mockAsked.length]).toEqual([0, before]);
  jest.useRealTimers();
});

test('a stand whose light or chart fails is told of, and keeps no other waiting', async () => {
  jest.useFakeTimers();
  const shelves = mockSite.stands.filter((s) => !s.autoArranged);
  for (const fails of [`light ${shelves[0]!.id}`, `chart ${shelves[0]!.id}`]) {
    mockFails = fails;
    mockAsked.length = 0;
    // Objects of their own, so that nothing is known of them.
    mockSite.stands = demoSite('en-GB', TODAY).stands;
    const seen = renderHook(() => useTodayCharts());
    await act(() => jest.advanceTimersByTimeAsync(300));
    for (let i = 0; i < 20; i++) await act(async () => mockAnswers.splice(0).forEach((done) => done()));
    expect(mockAsked.filter((a) => a.startsWith('light'))).toHaveLength(shelves.length);
    expect(seen.result.current).toMatchObject({ failed: true, left: 1, dark: fails.startsWith('light') ? 1 : 0 });
    seen.unmount();
  }
  jest.useRealTimers();
});
