import { useEffect, useState } from 'react';

/** What a person came for is there by then, ms: our choice. */
const BY_THEN = 2500;

/** Whether a page has come to rest after it was opened, so that work for what may come next takes nothing from what is wanted now. */
export function useRested(): boolean {
  const [isRested, setRested] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setRested(true), BY_THEN);
    return () => clearTimeout(timer);
  }, []);
  return isRested;
}
