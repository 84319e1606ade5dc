import type { Day } from '../../units/day';
import type { Batch, EarlierTier, Fitting, Site, Tier, Tray } from '../stand/Site';

/** As many settings are remembered; the oldest go. */
export const MOST_EARLIER = 1000;
/** Nothing looks further back. */
const KEPT_days = 400; // our choice: a year of a houseplant, and a little

/** How a tier is set, and what stands there. */
export interface TierState {
  readonly lit_min: number;
  readonly fittings: readonly Fitting[];
  readonly trays: readonly Tray[];
}

export const settingOf = ({ timerId, fittings, trays }: Tier, timers: Site['timers']): TierState => ({
  lit_min: timers.find((p) => p.id === timerId)?.lit_min ?? 0,
  fittings,
  trays,
});

/** Less than a tenth of a millimetre is no change. */
const rounded = (values: readonly unknown[]) => values.map((v) => (typeof v === 'number' ? Math.round(v * 1e4) / 1e4 : v));

/** What of a lamp decides its light; what is known of the very lamp follows from elsewhere. */
const ofLamp = ({ lampId, x, y, face, turn, tilt = 0, travel, dim = 1 }: Fitting) => rounded([lampId, x, y, face, turn, tilt, travel, dim]);
/** What of a tray decides its light and that of its neighbours. */
const ofTray = (y: Tray) => rounded([y.id, y.length, y.width, y.height, y.x, y.y, y.turned, y.risers, y.riserHeight, y.coverId, y.batchId]);

/** What of two settings is the same. */
const SAME: { readonly [K in keyof TierState]: (a: TierState[K], b: TierState[K]) => boolean } = {
  lit_min: (a, b) => a === b,
  fittings: (a, b) => a === b || JSON.stringify(a.map(ofLamp)) === JSON.stringify(b.map(ofLamp)),
  trays: (a, b) => a === b || JSON.stringify(a.map(ofTray)) === JSON.stringify(b.map(ofTray)),
};

/** Since when somebody follows a batch: its sowing or its first note; null: nobody does. */
const followedSince = ({ sown, log }: Batch): Day | null => sown ?? (log.length > 0 ? Math.min(...log.map((l) => l.day)) : null);

/**
 * Writes down how tiers were set whenever a change sets them otherwise while plants stand there that somebody has followed for a day or
 * more, or trays of a trial: what these have been given goes by it. The first setting of a day counts as that of the days before, the last
 * one from then on; what comes back on the same day leaves nothing. A site in which nothing is to be written is given back itself.
 *
 * @param before  the site up to now
 * @param day     today
 */
export function noteSettings(before: Site, after: Site, day: Day): Site {
  if (before.stands === after.stands && before.timers === after.timers) return after;
  const was = new Map(before.stands.flatMap((s) => s.tiers.map((t) => [t.id, t])));
  const batches = new Set(
    after.batches.flatMap((b) => {
      const since = followedSince(b);
      return since !== null && since < day ? [b.id] : [];
    }),
  );
  const running = after.trials.filter((t) => t.ended === null && t.starts < day);
  const trays = new Set(running.flatMap((t) => t.trays.flatMap((row) => (row.had ? [] : (row.trayId ?? [])))));
  const isFollowed = (y: Tray) => batches.has(y.batchId) || trays.has(y.id);
  const written = new Map<string, EarlierTier>();
  for (const tier of after.stands.flatMap((s) => s.tiers)) {
    const old = was.get(tier.id);
    if (!old || (old === tier && before.timers === after.timers) || ![...old.trays, ...tier.trays].some(isFollowed)) continue;
    const first = after.earlier.find((e) => e.tierId === tier.id && e.until === day);
    const entry = whatWas(first, settingOf(old, before.timers), settingOf(tier, after.timers));
    if (JSON.stringify(entry) !== JSON.stringify(first ? settingIn(first) : {}))
      written.set(tier.id, { tierId: tier.id, until: day, ...entry });
  }
  if (written.size === 0) return after;
  const kept = after.earlier.filter((e) => e.until > day - KEPT_days && !(e.until === day && written.has(e.tierId)));
  const fresh = [...written.values()].filter((e) => Object.keys(settingIn(e)).length > 0);
  return { ...after, earlier: [...kept, ...fresh].slice(-MOST_EARLIER) };
}

/** What was otherwise at the beginning of a day than it is now, by what was written down on that day and what has changed just now. */
function whatWas(first: EarlierTier | undefined, then: TierState, now: TierState): Partial<TierState> {
  const pick = <K extends keyof TierState>(key: K, bare: (value: TierState[K]) => TierState[K]): Partial<TierState> => {
    const value = (first?.[key] as TierState[K] | undefined) ?? then[key];
    return SAME[key](value, now[key]) ? {} : { [key]: bare(value) };
  };
  return { ...pick('lit_min', (v) => v), ...pick('fittings', (list) => list.map(asKept)), ...pick('trays', (list) => list) };
}

const settingIn = ({ lit_min, fittings, trays }: EarlierTier): Partial<TierState> => ({
  ...(lit_min === undefined ? {} : { lit_min }),
  ...(fittings && { fittings }),
  ...(trays && { trays }),
});

/** A lamp without what is never kept of it. */
function asKept(fitting: Fitting): Fitting {
  if (!fitting.own) return fitting;
  const bare = { ...fitting };
  delete bare.own;
  return bare;
}

/** Forgets that tiers were set otherwise before a day: they had been so for longer, as was found out since. */
export const asAllAlong =
  (until: Day, tierIds: readonly string[]) =>
  (site: Site): Site => ({ ...site, earlier: site.earlier.filter((e) => e.until !== until || !tierIds.includes(e.tierId)) });
