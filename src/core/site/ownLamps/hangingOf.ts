import type { Hours } from '../../units/quantities';
import type { Day } from '../../units/day';
import type { Fitting, Site, Stand, Tier } from '../stand/Site';
import type { HungLamp, OwnLamp } from '../lamp/OwnLamp';

/** Where a lamp of one's own hangs. */
export interface Hanging {
  readonly stand: Stand;
  readonly tier: Tier;
  readonly fitting: Fitting;
  /** That its timer burns on a day. */
  readonly hours: Hours;
}

/** Where each lamp of one's own hangs; those that lie in the cupboard or are retired are left out. A fitting is one lamp only. */
export function hangingsOf(site: Pick<Site, 'stands' | 'timers' | 'ownLamps'>): ReadonlyMap<string, Hanging> {
  const wanted = new Map<string, OwnLamp>();
  for (const own of site.ownLamps)
    if (own.fittingId !== null && own.retired === null && !wanted.has(own.fittingId)) wanted.set(own.fittingId, own);
  const found = new Map<string, Hanging>();
  if (wanted.size === 0) return found;
  const hours = new Map(site.timers.map((p) => [p.id, p.lit_min / 60]));
  for (const stand of site.stands)
    for (const tier of stand.tiers)
      for (const fitting of tier.fittings) {
        const own = wanted.get(fitting.id);
        if (own?.lampId === fitting.lampId) found.set(own.id, { stand, tier, fitting, hours: hours.get(tier.timerId) ?? 0 });
      }
  return found;
}

/** Hours that a lamp has burned at the beginning of a day, by its timer as it is now. @returns null where nobody knows */
export const burnedBy = ({ counted }: Pick<OwnLamp, 'counted'>, hoursADay: Hours, day: Day): Hours | null =>
  counted && counted.hours + Math.max(0, day - counted.on) * hoursADay;

/**
 * Writes down what lamps have burned whenever a change gives them other hours from now on: a timer that is set otherwise, a lamp that is
 * hung up, taken down or moved. A site in which nothing is to be written is given back itself.
 *
 * @param before  the site up to now
 * @param day     today
 */
export function countBurned(before: Site, after: Site, day: Day): Site {
  if (after.ownLamps.length === 0 || before.ownLamps.length === 0) return after;
  if (before.stands === after.stands && before.timers === after.timers && before.ownLamps === after.ownLamps) return after;
  const [was, is] = [hangingsOf(before), hangingsOf(after)];
  const known = new Map(before.ownLamps.map((own) => [own.id, own]));
  let changed = false;
  const ownLamps = after.ownLamps.map((own): OwnLamp => {
    const old = known.get(own.id);
    // What the person has just typed stands as typed.
    if (!old?.counted || own.counted !== old.counted) return own;
    const hours = was.get(own.id)?.hours ?? 0;
    if (hours === (is.get(own.id)?.hours ?? 0)) return own;
    changed = true;
    return { ...own, counted: { hours: burnedBy(old, hours, day)!, on: Math.max(day, old.counted.on) } };
  });
  return changed ? { ...after, ownLamps } : after;
}

/** How many lamps of each kind lie in the cupboard: counted by kind, and those that are things of their own. */
export function sparesOf(site: Site): { readonly lampId: string; readonly count: number }[] {
  const counts = new Map(site.spares.map((s) => [s.lampId, s.count]));
  for (const own of lyingOf(site)) counts.set(own.lampId, (counts.get(own.lampId) ?? 0) + 1);
  return [...counts].map(([lampId, count]) => ({ lampId, count }));
}

/** Lamps of one's own that hang nowhere and are not retired. */
export function lyingOf(site: Pick<Site, 'stands' | 'timers' | 'ownLamps'>): OwnLamp[] {
  if (site.ownLamps.length === 0) return [];
  const hung = hangingsOf(site);
  return site.ownLamps.filter((own) => own.retired === null && !hung.has(own.id));
}

/** Tells every fitting what is known of its lamp on a day; a site in which nothing changes is given back itself. */
export function knowOwnLamps(site: Site, day: Day): Site {
  const hung = hangingsOf(site);
  const byFitting = new Map(site.ownLamps.flatMap((own) => (hung.has(own.id) ? [[hung.get(own.id)!.fitting.id, own] as const] : [])));
  let changed = false;
  const stands = site.stands.map((stand) => {
    let mine = false;
    const tiers = stand.tiers.map((tier) => {
      if (tier.fittings.every((f) => f.own === undefined && !byFitting.has(f.id))) return tier;
      const fittings = tier.fittings.map((f) => known(f, byFitting.get(f.id), hung, day));
      if (fittings.every((f, i) => f === tier.fittings[i])) return tier;
      mine = true;
      return { ...tier, fittings };
    });
    if (!mine) return stand;
    changed = true;
    return { ...stand, tiers };
  });
  return changed ? { ...site, stands } : site;
}

function known(fitting: Fitting, own: OwnLamp | undefined, hung: ReadonlyMap<string, Hanging>, day: Day): Fitting {
  if (!own) {
    if (fitting.own === undefined) return fitting;
    const bare = { ...fitting };
    delete bare.own;
    return bare;
  }
  const next = asHung(own, burnedBy(own, hung.get(own.id)!.hours, day));
  const { id, used_h, drawn, dimmer, channels, rating, weight_kg } = next;
  const was = fitting.own;
  const same =
    was?.id === id &&
    was.used_h === used_h &&
    was.drawn === drawn &&
    was.dimmer === dimmer &&
    was.channels === channels &&
    was.rating === rating &&
    was.weight_kg === weight_kg;
  return same ? fitting : { ...fitting, own: next };
}

/** What a fitting has to know of its lamp. */
export const asHung = ({ id, drawn, dimmer, channels, rating, weight_kg }: OwnLamp, used_h: Hours | null): HungLamp => ({
  id,
  used_h,
  drawn,
  dimmer,
  channels,
  rating,
  weight_kg,
});
