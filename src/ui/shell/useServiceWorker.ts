'use client';
import { useEffect } from 'react';
import { Workbox } from 'workbox-window';
import { STAND_PARTS, standPath } from '../stands/places';
import type { Workspace } from '@/store/workspace';
import { newVersion } from './newVersion';
import { say } from './toastStore';

/** Addresses with a name in them are kept once they exist, at most so many. */
const MOST_KEPT = 160;
const PAGES = `copper-noon-pages-${process.env.COPPER_NOON_BUILD}`;

/**
 * Keeps the application in the browser, so that it opens when the server is away. A new version is offered, in passing and in the
 * settings, and never put in by itself: nothing changes under a person's hands.
 */
export function useServiceWorker({ sites, opening }: Pick<Workspace, 'sites' | 'opening'>): void {
  useEffect(() => {
    if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
    const worker = new Workbox('/sw.js');
    let isAskedFor = false;
    worker.addEventListener('waiting', () => {
      const load = () => {
        isAskedFor = true;
        worker.messageSkipWaiting();
      };
      newVersion.setState({ load });
      say('A new version of Copper Noon is ready.', { label: 'Load it', run: load });
    });
    worker.addEventListener('controlling', () => {
      if (isAskedFor) window.location.reload();
    });
    // Not in the first moments, which belong to the picture.
    const begin = setTimeout(() => void worker.register().catch(() => undefined), 3000);
    let wanted = true;
    navigator.serviceWorker.ready
      .then(async () => {
        await new Promise((resolve) => setTimeout(resolve, 2000));
        if (wanted && opening.getState().status === 'open') await keepPages(addressesOf(sites.getState().site), () => wanted);
      })
      .catch(() => undefined);
    return () => {
      wanted = false;
      clearTimeout(begin);
    };
  }, [sites, opening]);
}

function addressesOf(site: ReturnType<Workspace['sites']['getState']>['site']): string[] {
  const name = encodeURIComponent;
  return [
    ...site.stands.flatMap((s) => s.tiers.flatMap((t) => t.trays.map((y) => `/tray/${name(y.id)}`))),
    ...site.stands.flatMap((s) => STAND_PARTS.map(({ part }) => standPath(s.id, part))),
    ...site.clinic.map((c) => `/clinic/${name(c.id)}`),
    ...site.trials.map((t) => `/season/trials/${name(t.id)}`),
  ].slice(0, MOST_KEPT);
}

/** Keeps pages by their address, one after the other; those of other builds go. */
async function keepPages(addresses: readonly string[], isWanted: () => boolean): Promise<void> {
  for (const key of await caches.keys()) if (key.startsWith('copper-noon-pages-') && key !== PAGES) await caches.delete(key);
  const pages = await caches.open(PAGES);
  for (const address of addresses) {
    if (!isWanted()) return;
    if (await pages.match(address)) continue;
    const page = await fetch(address, { headers: { accept: 'text/html' } });
    if (page.ok && !page.redirected) await pages.put(address, page);
  }
}
