'use client';
import { useSyncExternalStore } from 'react';

/** From this width on answers stand beside the picture: Tailwind's `lg`. */
const WIDE = '(min-width: 1024px)';

const subscribe = (told: () => void) => {
  const media = window.matchMedia?.(WIDE);
  media?.addEventListener('change', told);
  return () => media?.removeEventListener('change', told);
};

/** Whether answers have room beside the picture, so that they need not stand above or below it. */
export const useIsWide = (): boolean =>
  useSyncExternalStore(
    subscribe,
    () => window.matchMedia?.(WIDE).matches ?? true,
    () => true,
  );
