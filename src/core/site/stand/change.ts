import { litBetween, mostLit, offAt, type LitTimes } from '../../units/LitTimes';
import type { Span } from '../../units/Span';
import type { StageName } from '../../things/crop/Crop';
import type { Lamp } from '../../things/lamp/Lamp';
import type { Metres, Radians } from '../../units/quantities';
import type { Container } from '../../things/container/Container';
import { MINUTES_PER_DAY } from '../../units/clock';
import { faceSizeOf, outlineOf } from './footprint';
import { hangerOf, type HangerKind } from './Hanger';
import { UNDATED } from './bare';
import { ON_THE_FLOOR, sizesOf } from './plain';
import type { Batch, Fitting, Site, Stand, Tier, Tray } from './Site';

/** What a hand does on the bench: each takes a site and gives the next. Whatever is moved by hand is no longer laid out by numbers. */
export type Change = (site: Site) => Site;
type Ids = () => string;

export const withTier =
  (tierId: string, change: (tier: Tier) => Tier): Change =>
  (site) => ({
    ...site,
    stands: site.stands.map((s) =>
      s.tiers.some((t) => t.id === tierId)
        ? { ...s, autoArranged: false, tiers: s.tiers.map((t) => (t.id === tierId ? change(t) : t)) }
        : s,
    ),
  });

const withStandOf =
  (standId: string, change: (stand: Stand) => Stand): Change =>
  (site) => ({
    ...site,
    stands: site.stands.map((s) => (s.id === standId ? { ...change(s), autoArranged: false } : s)),
  });

/** Changes the named lamps of a tier, each by itself. */
export const changeFittings = (tierId: string, ids: readonly string[], change: (f: Fitting) => Partial<Fitting>): Change =>
  withTier(tierId, (t) => ({ ...t, fittings: t.fittings.map((f) => (ids.includes(f.id) ? { ...f, ...change(f) } : f)) }));

/** Changes the named trays of a tier, each by itself. */
export const changeTrays = (tierId: string, ids: readonly string[], change: (t: Tray) => Partial<Tray>): Change =>
  withTier(tierId, (t) => ({ ...t, trays: t.trays.map((y) => (ids.includes(y.id) ? { ...y, ...change(y) } : y)) }));

/** Moves lamps and trays of a tier sideways and to the back. Trays stay on their shelf. */
export function moveThings(tierId: string, ids: readonly string[], dx: Metres, dy: Metres): Change {
  return (site) =>
    changeFittings(tierId, ids, (f) => ({ x: f.x + dx, y: f.y + dy }))(
      changeTrays(tierId, ids, (t) => ({ x: t.x + dx, y: t.y + dy }))(site),
    );
}

/** Another lamp of a tier, hung by what the tier offers. */
export const addFitting = (tierId: string, lamp: Lamp, at: { x: Metres; y: Metres; face: Metres; turn?: Radians }, id: string): Change =>
  withTier(tierId, (t) => ({
    ...t,
    fittings: [...t.fittings, { id, lampId: lamp.id, turn: 0, hanger: t.fittings[0]?.hanger ?? hangerOf(usualHanger(t)), ...at }],
  }));

const usualHanger = (tier: Tier): HangerKind => (tier.enclosure.faces.ceiling === 'open' ? 'cord' : 'chain');

/** Another tray on a tier, with a batch of its own. */
export const addTray =
  (
    tierId: string,
    container: Container,
    crop: { cropId: string; stage: StageName },
    at: { x: Metres; y: Metres; turned?: boolean },
    ids: Ids,
  ): Change =>
  (site) => {
    const batch: Batch = { id: ids(), ...crop, height: null, ...UNDATED };
    const tray: Tray = { id: ids(), turned: false, ...ON_THE_FLOOR, ...sizesOf(container), ...at, batchId: batch.id };
    return withTier(tierId, (t) => ({ ...t, trays: [...t.trays, tray] }))({ ...site, batches: [...site.batches, batch] });
  };

/** Takes lamps and trays away, and the batches that nothing holds any more. */
export const removeThings =
  (ids: readonly string[]): Change =>
  (site) =>
    withoutUnused({
      ...site,
      stands: site.stands.map((s) =>
        s.tiers.some((t) => [...t.fittings, ...t.trays].some((thing) => ids.includes(thing.id)))
          ? {
              ...s,
              autoArranged: false,
              tiers: s.tiers.map((t) => ({
                ...t,
                fittings: t.fittings.filter((f) => !ids.includes(f.id)),
                trays: t.trays.filter((y) => !ids.includes(y.id)),
              })),
            }
          : s,
      ),
    });

/** Lets go of batches and timers that no tier uses; a batch of which something is written down stays for the journal. */
function withoutUnused(site: Site): Site {
  const tiers = site.stands.flatMap((s) => s.tiers);
  const batches = new Set(tiers.flatMap((t) => t.trays.map((y) => y.batchId)));
  const timers = new Set(tiers.map((t) => t.timerId));
  return {
    ...site,
    // What hung on a timer that is gone has no timer any more.
    stands: site.stands.map((s) =>
      s.plugged.some((p) => p.timerId !== null && !timers.has(p.timerId))
        ? { ...s, plugged: s.plugged.map((p) => (timers.has(p.timerId ?? '') ? p : { ...p, timerId: null })) }
        : s,
    ),
    batches: site.batches.filter((b) => batches.has(b.id) || b.log.length > 0),
    timers: site.timers.filter((p) => timers.has(p.id)),
  };
}

/** Lamps and trays as they were taken up, to be put down again elsewhere. */
export interface Clip {
  readonly fittings: readonly Fitting[];
  readonly trays: readonly Tray[];
  readonly batches: readonly Batch[];
}

export function clipOf(site: Site, ids: readonly string[]): Clip {
  const tiers = site.stands.flatMap((s) => s.tiers);
  const trays = tiers.flatMap((t) => t.trays).filter((y) => ids.includes(y.id));
  return {
    fittings: tiers.flatMap((t) => t.fittings).filter((f) => ids.includes(f.id)),
    trays,
    batches: site.batches.filter((b) => trays.some((y) => y.batchId === b.id)),
  };
}

/** Puts a clip down on a tier, a little aside, each tray with a batch of its own; the second value names what is new. */
export function paste(clip: Clip, tierId: string, aside: Metres, ids: Ids): { change: Change; ids: readonly string[] } {
  const fittings = clip.fittings.map((f): Fitting => ({ ...f, id: ids(), y: f.y + aside }));
  const batches: Batch[] = [];
  const trays = clip.trays.map((y): Tray => {
    const batch = { ...clip.batches.find((b) => b.id === y.batchId)!, id: ids() };
    batches.push(batch);
    return { ...y, id: ids(), x: y.x + aside, batchId: batch.id };
  });
  const change: Change = (site) =>
    withTier(tierId, (t) => ({ ...t, fittings: [...t.fittings, ...fittings], trays: [...t.trays, ...trays] }))({
      ...site,
      batches: [...site.batches, ...batches],
    });
  return { change, ids: [...fittings, ...trays].map((thing) => thing.id) };
}

/** Furnishes every empty tier of a stand like one of its tiers, each tray with a batch of its own. */
export const furnishLike =
  (standId: string, tierId: string, ids: Ids): Change =>
  (site) => {
    const stand = site.stands.find((s) => s.id === standId);
    const like = stand?.tiers.find((t) => t.id === tierId);
    if (!stand || !like) return site;
    const clip = clipOf(site, [...like.fittings, ...like.trays].map((thing) => thing.id)); // prettier-ignore
    const empty = stand.tiers.filter((t) => t.fittings.length === 0 && t.trays.length === 0);
    return empty.reduce((s, t) => paste(clip, t.id, 0, ids).change(s), site);
  };

/** Carries things to another tier of any stand; lamps keep their distance from its ceiling where it has one, else their height. */
export const carry =
  (ids: readonly string[], tierId: string, dx: Metres = 0, dy: Metres = 0): Change =>
  (site) => {
    const tiers = site.stands.flatMap((s) => s.tiers);
    const target = tiers.find((t) => t.id === tierId);
    const from = tiers.filter((t) => t.id !== tierId && [...t.fittings, ...t.trays].some((thing) => ids.includes(thing.id)));
    if (!target || from.length === 0) return site;
    const fittings = from.flatMap((t) =>
      t.fittings
        .filter((f) => ids.includes(f.id))
        .map((f) => ({ ...f, x: f.x + dx, y: f.y + dy, face: Math.max(0.02, f.face + target.enclosure.height - t.enclosure.height) })),
    );
    const trays = from.flatMap((t) => t.trays.filter((y) => ids.includes(y.id)).map((y) => ({ ...y, x: y.x + dx, y: y.y + dy })));
    const without = from.reduce<Site>(
      (s, t) =>
        withTier(t.id, (now) => ({
          ...now,
          fittings: now.fittings.filter((f) => !ids.includes(f.id)),
          trays: now.trays.filter((y) => !ids.includes(y.id)),
        }))(s),
      site,
    );
    return withTier(tierId, (t) => ({ ...t, fittings: [...t.fittings, ...fittings], trays: [...t.trays, ...trays] }))(without);
  };

/** The lamps of one kind that hang in one row across the depth with a lamp, itself included, from the front on. */
export const rowOf = (t: Tier, first: Fitting): readonly Fitting[] =>
  t.fittings
    .filter((f) => f.lampId === first.lampId && Math.abs(f.x - first.x) < 0.01 && Math.abs(f.face - first.face) < 0.01)
    .sort((a, b) => a.y - b.y);

/** So many of a lamp side by side across the depth, with a gap between their edges, centred on the tier. */
export const lampsSideBySide = (tierId: string, fittingId: string, lamp: Lamp, count: number, gap: Metres, ids: Ids): Change =>
  withTier(tierId, (t) => {
    const first = t.fittings.find((f) => f.id === fittingId);
    if (!first) return t;
    const same = rowOf(t, first);
    const pitch = faceSizeOf(lamp).width + gap;
    const row = Array.from({ length: count }, (_, i): Fitting => ({
      ...(same[i] ?? { ...first, id: ids() }),
      x: first.x,
      face: first.face,
      turn: first.turn,
      y: t.depth / 2 + (i - (count - 1) / 2) * pitch,
    }));
    return { ...t, fittings: [...t.fittings.filter((f) => !same.includes(f)), ...row] };
  });

export type Axis = 'x' | 'y';

/** Brings things into line with the first of them. */
export function align(tierId: string, ids: readonly string[], axis: Axis): Change {
  return withTier(tierId, (t) => {
    const first = [...t.fittings, ...t.trays].find((thing) => thing.id === ids[0]);
    if (!first) return t;
    const put = <T extends Fitting | Tray>(thing: T): T => (ids.includes(thing.id) ? { ...thing, [axis]: first[axis] } : thing);
    return { ...t, fittings: t.fittings.map(put), trays: t.trays.map(put) };
  });
}

/** Spreads things evenly over the tier: equal parts of it, each in the middle of its own, in the order in which they stand. */
export function distribute(tierId: string, ids: readonly string[], axis: Axis): Change {
  return withTier(tierId, (t) => {
    const chosen = [...t.fittings, ...t.trays].filter((thing) => ids.includes(thing.id)).sort((a, b) => a[axis] - b[axis]);
    const span = axis === 'x' ? t.width : t.depth;
    const place = new Map(chosen.map((thing, i) => [thing.id, ((i + 0.5) / chosen.length) * span]));
    const put = <T extends Fitting | Tray>(thing: T): T => (place.has(thing.id) ? { ...thing, [axis]: place.get(thing.id)! } : thing);
    return { ...t, fittings: t.fittings.map(put), trays: t.trays.map(put) };
  });
}

/** Turns lamps by a quarter, and trays likewise. */
export function turnThings(tierId: string, ids: readonly string[]): Change {
  return (site) =>
    changeFittings(tierId, ids, (f) => ({ turn: f.turn > 0.1 ? 0 : Math.PI / 2 }))(
      changeTrays(tierId, ids, (t) => ({ turned: !t.turned }))(site),
    );
}

/** A free place for a tray: beside the others, from the left, or the middle when there is none. */
export const freePlace = (tier: Tier, length: Metres, width: Metres): { x: Metres; y: Metres } =>
  placeOn(tier, length, width) ?? { x: tier.width / 2, y: tier.depth / 2 };

/** A free place for a tray; null when there is none. */
export function placeOn(tier: Tier, length: Metres, width: Metres): { x: Metres; y: Metres } | null {
  const taken = tier.trays.map(outlineOf);
  for (let y = width / 2; y + width / 2 <= tier.depth + 1e-6; y += Math.max(0.05, width))
    for (let x = length / 2; x + length / 2 <= tier.width + 1e-6; x += 0.01) {
      const [x0, x1, y0, y1] = [x - length / 2, x + length / 2, y - width / 2, y + width / 2];
      const clash = taken.some((r) => x0 < r.x1 - 1e-6 && r.x0 < x1 - 1e-6 && y0 < r.y1 - 1e-6 && r.y0 < y1 - 1e-6);
      // One row of trays stands in the middle of the depth.
      if (!clash) return { x, y: 2 * width > tier.depth ? tier.depth / 2 : y };
    }
  return null;
}

/** Another tier on top, like the highest one but empty. */
export const addTier = (standId: string, id: string): Change =>
  withStandOf(standId, (s) => ({
    ...s,
    tiers: [{ ...s.tiers[0]!, id, fittings: [], trays: [], readings: [], fits: [], rotation: null }, ...s.tiers],
  }));

/** Takes a tier away with all that is on it; the last one stays. */
export const removeTier =
  (standId: string, tierId: string): Change =>
  (site) =>
    withoutUnused(withStandOf(standId, (s) => (s.tiers.length > 1 ? { ...s, tiers: s.tiers.filter((t) => t.id !== tierId) } : s))(site));

export const changeStand = (standId: string, change: Partial<Pick<Stand, 'name' | 'kind' | 'shelf' | 'strip'>>): Change =>
  withStandOf(standId, (s) => ({ ...s, ...change }));

/** The sizes of a tier, kept in step with what is around it. */
export const sizeTier = (tierId: string, size: Partial<{ width: Metres; depth: Metres; height: Metres }>): Change =>
  withTier(tierId, (t) => {
    const { width = t.width, depth = t.depth, height = t.enclosure.height } = size;
    const [dx, dy] = [(width - t.width) / 2, (depth - t.depth) / 2];
    const kept = <T extends Fitting | Tray>(thing: T): T => ({ ...thing, x: thing.x + dx, y: thing.y + dy });
    return {
      ...t,
      width,
      depth,
      enclosure: { ...t.enclosure, width, depth, height },
      fittings: t.fittings.map(kept),
      trays: t.trays.map(kept),
    };
  });

/** On and length of a timer's day, in whole minutes; the lamps may burn past midnight. */
export const setTimes =
  (timerId: string, on_min: number, lit_min: number): Change =>
  (site) => ({
    ...site,
    timers: site.timers.map((p) => (p.id === timerId ? { ...p, ...timesWithin(on_min, lit_min, p.pause) } : p)),
  });

/** Times in whole minutes, within what a pause leaves of the day. */
function timesWithin(on_min: number, lit_min: number, pause: Span | null): LitTimes {
  const on = ((Math.round(on_min) % MINUTES_PER_DAY) + MINUTES_PER_DAY) % MINUTES_PER_DAY;
  return { on_min: on, lit_min: Math.min(mostLit(pause), Math.max(0, Math.round(lit_min))), pause };
}

/** A stretch of the day in which a timer's lamps stay off, or null: none. They go on and off for the day as before. */
export const setPause =
  (timerId: string, pause: Span | null): Change =>
  (site) => ({
    ...site,
    timers: site.timers.map((p) =>
      p.id === timerId ? { ...p, ...timesWithin(p.on_min, litBetween(p.on_min, offAt(p), pause, p.lit_min), pause) } : p,
    ),
  });

/** Plugs a tier into a timer: one that there is, or a new one that begins with the hours it has now. */
export const plugInto =
  (tierId: string, timerId: string): Change =>
  (site) => {
    const now = site.stands.flatMap((s) => s.tiers).find((t) => t.id === tierId);
    const hours = site.timers.find((p) => p.id === now?.timerId);
    if (!hours) return site;
    const timers = site.timers.some((p) => p.id === timerId) ? site.timers : [...site.timers, { ...hours, id: timerId }];
    return withoutUnused(withTier(tierId, (t) => ({ ...t, timerId }))({ ...site, timers }));
  };

/** Changes the batch of a tray: what grows, how far along it is, how tall. */
export const changeBatch =
  (batchId: string, change: Partial<Omit<Batch, 'id'>>): Change =>
  (site) => ({ ...site, batches: site.batches.map((b) => (b.id === batchId ? { ...b, ...change } : b)) });
