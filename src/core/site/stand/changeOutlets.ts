import type { Daylight } from './Daylight';
import type { Plugged, Timer, Site, Stand } from './Site';

type Change = (site: Site) => Site;

/** As many things as a stand's file holds. */
export const MOST_PLUGGED = 50;

const withPlugged =
  (standId: string, change: (plugged: readonly Plugged[]) => readonly Plugged[]): Change =>
  (site) => ({ ...site, stands: site.stands.map((s) => (s.id === standId ? { ...s, plugged: change(s.plugged) } : s)) });

/** Plugs something in beside the lamps; there is a limit to what a stand keeps. */
export const addPlugged = (standId: string, thing: Plugged): Change =>
  withPlugged(standId, (all) => (all.length < MOST_PLUGGED ? [...all, thing] : all));

/** Puts it on a timer, or (null) on an outlet that is always live. */
export const movePlugged = (standId: string, id: string, timerId: string | null): Change =>
  withPlugged(standId, (all) => all.map((p) => (p.id === id ? { ...p, timerId } : p)));

export const namePlugged = (standId: string, id: string, name: string): Change =>
  withPlugged(standId, (all) => all.map((p) => (p.id === id ? { ...p, name } : p)));

export const unplug = (standId: string, id: string): Change => withPlugged(standId, (all) => all.filter((p) => p.id !== id));

/** What a timer carries, and how many outlets follow it. */
export const setTimer =
  (timerId: string, change: Partial<Pick<Timer, 'rating' | 'outlets'>>): Change =>
  (site) => ({ ...site, timers: site.timers.map((p) => (p.id === timerId ? { ...p, ...change } : p)) });

/** What comes in by day on the tiers of a timer; null: nothing. */
export const setDaylight =
  (timerId: string, daylight: Daylight | null): Change =>
  (site) => ({
    ...site,
    stands: site.stands.map((s) =>
      s.tiers.some((t) => t.timerId === timerId)
        ? { ...s, tiers: s.tiers.map((t) => (t.timerId === timerId ? { ...t, daylight } : t)) }
        : s,
    ),
  });

/** What the strip of a stand carries, and how many of its outlets are always live. */
export const setStrip =
  (standId: string, change: Partial<Pick<Stand, 'strip' | 'steadyOutlets'>>): Change =>
  (site) => ({ ...site, stands: site.stands.map((s) => (s.id === standId ? { ...s, ...change } : s)) });
