import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';

/** Whether the page is being printed, so that the sheet is drawn only then. */
export function usePrinting(): boolean {
  const [printing, setPrinting] = useState(false);
  useEffect(() => {
    const media = window.matchMedia('print');
    // The browser prints right after the event: the sheet must be there when the handler returns.
    const begin = () => flushSync(() => setPrinting(true));
    const end = () => setPrinting(false);
    const change = () => (media.matches ? begin() : end());
    window.addEventListener('beforeprint', begin);
    window.addEventListener('afterprint', end);
    media.addEventListener('change', change);
    return () => {
      window.removeEventListener('beforeprint', begin);
      window.removeEventListener('afterprint', end);
      media.removeEventListener('change', change);
    };
  }, []);
  return printing;
}
