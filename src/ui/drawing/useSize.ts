import { useLayoutEffect, useRef, useState } from 'react';

/** The size of an element in pixels, followed as it changes. */
export function useSize<E extends HTMLElement>() {
  const ref = useRef<E>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return;
    const watcher = new ResizeObserver(([entry]) => {
      if (entry) setSize({ width: Math.floor(entry.contentRect.width), height: Math.floor(entry.contentRect.height) });
    });
    watcher.observe(element);
    return () => watcher.disconnect();
  }, []);
  return { ref, ...size };
}
