import { useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { drafts, setDraft } from '@/store/drafts';

/**
 * What a person has chosen on a page and belongs to nothing that is kept: it is there again when they come back to the page.
 *
 * @param place  its name among the drafts; what is kept there is plain data
 * @param first  what is chosen before anybody chose
 */
export function useDraft<T>(place: string, first: () => T): readonly [T, (value: T) => void] {
  const text = useStore(drafts, (s) => s.texts[place]);
  const [start] = useState(first);
  const value = useMemo(() => (text === undefined ? start : (JSON.parse(text) as T)), [text, start]);
  return [value, (chosen) => setDraft(place, JSON.stringify(chosen))];
}
