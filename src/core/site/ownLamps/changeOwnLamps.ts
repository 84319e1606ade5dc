import type { Day } from '../../units/day';
import { changeFittings, removeThings, type Change } from '../stand/change';
import { shelfStands } from '../stand/shelfStands';
import type { Site } from '../stand/Site';
import { hangingsOf, lyingOf } from './hangingOf';
import type { OwnLamp } from '../lamp/OwnLamp';

/** A lamp of which nothing is known but its kind. */
export const plainOwnLamp = (id: string, lampId: string, name: string): OwnLamp => ({
  id,
  name,
  lampId,
  fittingId: null,
  bought: null,
  paid: null,
  counted: null,
  drawn: null,
  dimmer: null,
  channels: [],
  rating: null,
  weight_kg: null,
  noise: null,
  fault: '',
  retired: null,
});

export const addOwnLamps =
  (lamps: readonly OwnLamp[]): Change =>
  (site) => ({ ...site, ownLamps: [...site.ownLamps, ...lamps] });

export const changeOwnLamp =
  (id: string, by: Partial<OwnLamp>): Change =>
  (site) => ({ ...site, ownLamps: site.ownLamps.map((own) => (own.id === id ? { ...own, ...by } : own)) });

export const removeOwnLamp =
  (id: string): Change =>
  (site) => ({ ...site, ownLamps: site.ownLamps.filter((own) => own.id !== id) });

/** Says which fitting a lamp is, or (null) that it lies in the cupboard; whatever was said to be that fitting lies there from now on. */
export const hangOwnLamp =
  (id: string, fittingId: string | null): Change =>
  (site) => ({
    ...site,
    ownLamps: site.ownLamps.map((own) =>
      own.id === id
        ? { ...own, fittingId, retired: null }
        : fittingId !== null && own.fittingId === fittingId
          ? { ...own, fittingId: null }
          : own,
    ),
  });

/** The lamp is of another kind, or its switch is: so is what hangs where it hangs. */
export const kindOfOwnLamp =
  (id: string, lampId: string): Change =>
  (site) => {
    const hanging = hangingsOf(site).get(id);
    const own = changeOwnLamp(id, { lampId })(site);
    return hanging ? changeFittings(hanging.tier.id, [hanging.fitting.id], () => ({ lampId }))(own) : own;
  };

export const retireOwnLamp = (id: string, day: Day): Change => changeOwnLamp(id, { retired: day, fittingId: null });

/** It is put away for good, and what it hung by with it: nothing hangs in its place any more. */
export const takeDownForGood =
  (id: string, day: Day): Change =>
  (site) => {
    const fittingId = hangingsOf(site).get(id)?.fitting.id;
    const retired = retireOwnLamp(id, day)(site);
    return fittingId === undefined ? retired : removeThings([fittingId])(retired);
  };

/** Nothing hangs in a place any more from which a lamp was taken; where another of one's own has been named there since, that one stays. */
export const leaveEmpty =
  (fittingId: string): Change =>
  (site) =>
    [...hangingsOf(site).values()].some((h) => h.fitting.id === fittingId) ? site : removeThings([fittingId])(site);

/** A new lamp of its kind hangs in its place from a day on, with the same dimmer and switch; it is put away for good. */
export const replaceOwnLamp =
  (id: string, freshId: string, day: Day): Change =>
  (site) => {
    const own = site.ownLamps.find((o) => o.id === id);
    if (!own) return site;
    const { lampId, name, fittingId, dimmer, channels } = own;
    const fresh = { ...plainOwnLamp(freshId, lampId, name), fittingId, dimmer, channels, bought: day, counted: { hours: 0, on: day } };
    return addOwnLamps([fresh])(retireOwnLamp(id, day)(site));
  };

/** Fittings that are not yet lamps of one's own, with the kind of each. */
export function unnamedFittings(site: Site) {
  const hung = new Set([...hangingsOf(site).values()].map((h) => h.fitting.id));
  return shelfStands(site).flatMap((stand) =>
    stand.tiers.flatMap((tier) => tier.fittings.filter((f) => !hung.has(f.id)).map((fitting) => ({ stand, tier, fitting }))),
  );
}

/** Takes a lamp of a kind out of the cupboard to hang it up: of those counted by kind first, else one that is a thing of its own. */
export function takeOut(site: Site, lampId: string, fittingId: string): Site {
  const counted = site.spares.find((s) => s.lampId === lampId)?.count ?? 0;
  if (counted > 0)
    return {
      ...site,
      spares: site.spares.flatMap((s) => (s.lampId !== lampId ? [s] : s.count > 1 ? [{ lampId, count: s.count - 1 }] : [])),
    };
  const own = lyingOf(site).find((o) => o.lampId === lampId);
  return own ? hangOwnLamp(own.id, fittingId)(site) : site;
}
