import { useEffect, useState } from 'react';

const SIGNS = ['pointermove', 'pointerdown', 'touchstart', 'keydown', 'wheel', 'scroll'] as const;

/** Whether a hand has been on the page since it was opened: from then on nothing may move away under it. */
export function useTouched(): boolean {
  const [isTouched, setTouched] = useState(false);
  useEffect(() => {
    const end = new AbortController();
    const touched = () => {
      setTouched(true);
      end.abort();
    };
    for (const sign of SIGNS) window.addEventListener(sign, touched, { signal: end.signal, passive: true });
    return () => end.abort();
  }, []);
  return isTouched;
}
