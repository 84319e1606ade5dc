import type { Place } from '../../sky/outdoors/outdoorsAt';
import type { Climate } from '../../sky/outdoors/climates';
import type { Change } from './change';
import type { AtWindow, SillReading, Window } from '../window/Window';

export const setPlace =
  (place: Place | null): Change =>
  (site) => ({ ...site, place });

export const setClimate =
  (climate: Climate): Change =>
  (site) => ({ ...site, climate });

export const addWindow =
  (window: Window): Change =>
  (site) => ({ ...site, windows: [...site.windows, window] });

export const changeWindow =
  (id: string, change: (window: Window) => Partial<Window>): Change =>
  (site) => ({ ...site, windows: site.windows.map((w) => (w.id === id ? changed(w, change(w)) : w)) });

/** What was measured before another horizon was measured before it. */
function changed(window: Window, change: Partial<Window>): Window {
  const next = { ...window, ...change };
  if (next.horizon === window.horizon) return next;
  return { ...next, readings: next.readings.map((r) => (r.horizonSince ? r : { ...r, horizonSince: true })) };
}

/** Takes a window away; stands that were at it are at none. */
export const dropWindow =
  (id: string): Change =>
  (site) => ({
    ...site,
    windows: site.windows.filter((w) => w.id !== id),
    stands: site.stands.map((s) => (s.window?.windowId === id ? { ...s, window: null } : s)),
  });

/** Puts a stand before a window, or away from all. */
export const standAtWindow =
  (standId: string, window: AtWindow | null): Change =>
  (site) => ({ ...site, stands: site.stands.map((s) => (s.id === standId ? { ...s, window } : s)) });

export const addSillReading = (windowId: string, reading: SillReading): Change =>
  changeWindow(windowId, (w) => ({ readings: [...w.readings, reading] }));

export const dropSillReading = (windowId: string, readingId: string): Change =>
  changeWindow(windowId, (w) => ({ readings: w.readings.filter((r) => r.id !== readingId) }));
