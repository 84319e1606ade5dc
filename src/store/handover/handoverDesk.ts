import { MOST_BUNDLE_BYTES } from './bundle';

/** Holds what is handed over until it is fetched, once, or its time is up. In memory alone; it cannot read what it holds. */
export interface HandoverDesk {
  /** @returns the name under which it can be fetched; null when there is no room for it now */
  put(bytes: Uint8Array<ArrayBuffer>): string | null;
  /** Hands it out and forgets it; null where there is none, not any more, or too late. */
  take(id: string): Uint8Array<ArrayBuffer> | null;
}

export const HELD_MINUTES = 10;
const MOST_HELD = 6;

export function createHandoverDesk(newId: () => string, now_ms: () => number = Date.now): HandoverDesk {
  const held = new Map<string, { readonly bytes: Uint8Array<ArrayBuffer>; readonly until: number }>();
  const tidy = () => {
    for (const [id, { until }] of held) if (until <= now_ms()) held.delete(id);
  };
  return {
    put(bytes) {
      tidy();
      if (held.size >= MOST_HELD || bytes.length > MOST_BUNDLE_BYTES) return null;
      const id = newId();
      held.set(id, { bytes, until: now_ms() + HELD_MINUTES * 60_000 });
      return id;
    },
    take(id) {
      tidy();
      const found = held.get(id);
      held.delete(id);
      return found?.bytes ?? null;
    },
  };
}
