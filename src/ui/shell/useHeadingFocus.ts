import { usePathname } from 'next/navigation';
import { useEffect, useRef } from 'react';
import { focusHeadingWhenDrawn } from './focusHeading';

/** On a change of place the heading has the focus, so that keys and screen readers begin there; the first place keeps the browser's. */
export function useHeadingFocus(): void {
  const path = usePathname();
  const before = useRef(path);
  useEffect(() => {
    if (before.current === path) return;
    before.current = path;
    // A tab that was pressed keeps the focus: its neighbours are the next keys.
    if (document.activeElement?.closest('nav[aria-label="This stand"], nav[data-tabs]')) return;
    return focusHeadingWhenDrawn();
  }, [path]);
}
