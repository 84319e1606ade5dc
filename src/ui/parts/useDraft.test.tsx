/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { useDraft } from './useDraft';

test('what was chosen is there again on coming back, apart for each place, and what nobody chose begins anew', () => {
  const first = renderHook(() => useDraft('crops', () => ['tomato']));
  expect(first.result.current[0]).toEqual(['tomato']);
  act(() => first.result.current[1](['tomato', 'basil']));
  expect(first.result.current[0]).toEqual(['tomato', 'basil']);
  first.unmount();
  expect(renderHook(() => useDraft('crops', () => ['leek'])).result.current[0]).toEqual(['tomato', 'basil']);
  expect(renderHook(() => useDraft('stage', () => 'seedling')).result.current[0]).toBe('seedling');
});

test('the value stays the same thing from drawing to drawing until it changes', () => {
  const { result, rerender } = renderHook(() => useDraft('same', () => [1, 2]));
  const before = result.current[0];
  rerender();
  expect(result.current[0]).toBe(before);
});
