'use client';
import { useMemo } from 'react';
import { BARE_SITE } from '@/core/site/stand/bare';
import type { Site } from '@/core/site/stand/Site';
import { useSite } from '../shell/WorkspaceContext';

/** What of the site decides the light of plants, on any day: the same object for as long as none of that changes. */
export function useLitSite(): Site {
  const { stands, batches, timers, lamps, crops, ownLamps, meters, place, climate, windows, earlier } = useSite((s) => s.site);
  return useMemo(() => {
    const known = { stands, batches, timers, lamps, crops, ownLamps, meters, place, climate, windows, earlier };
    return { ...BARE_SITE, currency: '', price_per_kWh: 0, ...known };
  }, [stands, batches, timers, lamps, crops, ownLamps, meters, place, climate, windows, earlier]);
}
