import { usePathname } from 'next/navigation';
import { useEffect, useRef } from 'react';
import { focusHeading } from './focusHeading';

/** On a change of place the heading has the focus, so that keys and screen readers begin there; the first place keeps the browser's. */
export function useHeadingFocus(): void {
  const path = usePathname();
  const before = useRef(path);
  useEffect(() => {
    if (before.current === path) return;
    before.current = path;
    // The place draws itself first.
    const timer = setTimeout(() => {
      // A tab that was pressed keeps the focus: its neighbours are the next keys.
      if (document.activeElement?.closest('nav[aria-label="This stand"], nav[data-tabs]')) return;
      focusHeading();
    }, 50);
    return () => clearTimeout(timer);
  }, [path]);
}
