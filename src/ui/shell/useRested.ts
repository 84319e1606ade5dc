import { useEffect, useState } from 'react';

/** What a person came for is there by then, ms: our choice. */
const BY_THEN = 2500;

/** Whether a page has come to rest after it was opened, so that work for what may come next takes nothing from what is wanted now. */
export function useRested(after_ms = BY_THEN): boolean {
  const [isRested, setRested] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setRested(true), after_ms);
    return () => clearTimeout(timer);
  }, [after_ms]);
  return isRested;
}
