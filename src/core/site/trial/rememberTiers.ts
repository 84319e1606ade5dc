import type { Day } from '../../units/day';
import type { EarlierTier, Fitting, Site, Tray } from '../stand/Site';
import type { Trial } from './Trial';

/** As many settings are remembered; the oldest go. */
export const MOST_EARLIER = 500;

/** How a tier is set, and what stands there. */
export type Setting = Omit<EarlierTier, 'tierId' | 'until'>;

/** How all tiers are set, by their ids. */
export function settingsOf({ stands, timers }: Pick<Site, 'stands' | 'timers'>): ReadonlyMap<string, Setting> {
  const lit = new Map(timers.map((p) => [p.id, p.lit_min]));
  return new Map(
    stands.flatMap((s) => s.tiers.map(({ id, timerId, fittings, trays }) => [id, { lit_min: lit.get(timerId) ?? 0, fittings, trays }])),
  );
}

/** What of a lamp decides its light; what is known of the very lamp follows from elsewhere. */
const ofLamp = ({ lampId, x, y, face, turn, tilt = 0, travel, dim = 1 }: Fitting) => [lampId, x, y, face, turn, tilt, travel, dim];

/** What of a tray decides its light and that of its neighbours. */
const ofTray = (y: Tray) => [y.id, y.length, y.width, y.height, y.x, y.y, y.turned, y.risers, y.riserHeight, y.coverId, y.batchId];

/** Whether two settings of a tier give the same light. */
export const isSameSetting = (a: Setting, b: Setting): boolean =>
  a.lit_min === b.lit_min &&
  (a.fittings === b.fittings || JSON.stringify(a.fittings.map(ofLamp)) === JSON.stringify(b.fittings.map(ofLamp))) &&
  (a.trays === b.trays || JSON.stringify(a.trays.map(ofTray)) === JSON.stringify(b.trays.map(ofTray)));

/** Whether a trial ran, and had begun, before a day and until it. */
const ranUntil = (day: Day, { starts, ended }: Trial): boolean => starts < day && (ended ?? day) >= day;

/**
 * Writes down how tiers were set whenever a change sets them otherwise while trays of a trial stand there that began before today: what
 * these have been given till today goes by it. The first setting of a day counts as that of the days before, the last one from then on; one
 * that comes back on the same day leaves nothing. A site in which nothing is to be written is given back itself.
 *
 * @param before  the site up to now
 * @param day     today
 */
export function rememberTiers(before: Site, after: Site, day: Day): Site {
  if (before.stands === after.stands && before.timers === after.timers) return after;
  const ids = new Set(
    after.trials.flatMap((t) => (t.ended === null && t.starts < day ? t.trays.flatMap((row) => (row.had ? [] : (row.trayId ?? []))) : [])),
  );
  if (ids.size === 0) return after;
  const [was, is] = [settingsOf(before), settingsOf(after)];
  const written = new Map(after.earlier.flatMap((e) => (e.until === day ? [[e.tierId, e] as const] : [])));
  const fresh: EarlierTier[] = [];
  const back = new Set<EarlierTier>();
  for (const [tierId, now] of is) {
    const then = was.get(tierId);
    if (!then || then === now || ![...then.trays, ...now.trays].some((y) => ids.has(y.id))) continue;
    const first = written.get(tierId);
    if (first && isSameSetting(first, now)) back.add(first);
    else if (!first && !isSameSetting(then, now)) fresh.push({ tierId, until: day, ...then, fittings: then.fittings.map(bare) });
  }
  if (fresh.length === 0 && back.size === 0) return after;
  const earlier = [...after.earlier.filter((e) => !back.has(e) && after.trials.some((t) => ranUntil(e.until, t))), ...fresh];
  return { ...after, earlier: earlier.slice(-MOST_EARLIER) };
}

function bare(fitting: Fitting): Fitting {
  const { own, ...rest } = fitting;
  return own ? rest : fitting;
}

/** Forgets that tiers were set otherwise before a day: they had been so for longer, as was found out since. */
export const asAllAlong =
  (until: Day, tierIds: readonly string[]) =>
  (site: Site): Site => ({ ...site, earlier: site.earlier.filter((e) => e.until !== until || !tierIds.includes(e.tierId)) });
