import { usePathname } from 'next/navigation';
import { useEffect, useRef } from 'react';

/** On a change of place the heading has the focus, so that keys and screen readers begin there; the first place keeps the browser's. */
export function useHeadingFocus(): void {
  const path = usePathname();
  const before = useRef(path);
  useEffect(() => {
    if (before.current === path) return;
    before.current = path;
    // The place draws itself first.
    const timer = setTimeout(() => {
      const heading = document.querySelector<HTMLElement>('main h1');
      if (!heading || document.querySelector('[role=dialog]')) return;
      // A tab that was pressed keeps the focus: its neighbours are the next keys.
      if (document.activeElement?.closest('nav[aria-label="This stand"]')) return;
      heading.tabIndex = -1;
      heading.style.outline = 'none';
      heading.focus({ preventScroll: true });
    }, 50);
    return () => clearTimeout(timer);
  }, [path]);
}
