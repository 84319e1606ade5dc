import { withSides } from '../../light/room/withSides';
import { AS_NEW } from '../../things/lamp/ageing';
import type { Tables } from '../../things/tables/Tables';
import { MINUTES_PER_DAY } from '../../units/clock';
import { asOf } from '../../answer/stand/asOf';
import { benchStandOf, lampOf, type BenchStand } from '../../answer/stand/benchStand';
import type { Fitting, Site, Stand, Tier } from '../../site/stand/Site';
import type { Start } from './Exercise';
import type { Session, TrayRun } from './Session';

/**
 * The stands of an exercise as they really are on its day: where the person has put lamps and trays and what the timers are set to, but
 * with the lamps, sides, clocks and heights of the truth. Lamps that were not there at the start, nor lay in the cupboard, stay dark.
 *
 * @param site  as the person has it
 */
export function trueStands(site: Site, start: Start, session: Session, tables: Tables): BenchStand[] {
  const { truth } = start;
  const left = new Map<string, number>();
  for (const { lampId, count } of allLamps(start.site)) left.set(lampId, (left.get(lampId) ?? 0) + count);
  /** A lamp that the exercise has, as long as there are any. */
  const isThere = ({ lampId }: Fitting): boolean => {
    const count = left.get(lampId) ?? 0;
    left.set(lampId, count - 1);
    return count > 0;
  };
  const asBuilt = new Map(start.site.stands.flatMap((s) => s.tiers.map((t) => [t.id, t] as const)));
  const stands = site.stands.flatMap((s): Stand[] => {
    const built = start.site.stands.find((b) => b.id === s.id);
    const tiers = s.tiers.flatMap((t): Tier[] => {
      const tier = asBuilt.get(t.id);
      if (!tier) return [];
      const { width, depth, enclosure, daylight } = tier;
      return [{ ...t, width, depth, enclosure, daylight, ageing: { ...AS_NEW, used_h: 0 }, readings: [], fits: [], fittings: t.fittings.filter(isThere) }]; // prettier-ignore
    });
    return built && tiers.length > 0 ? [{ ...s, shelf: built.shelf, window: built.window, tiers }] : [];
  });
  const lag = Math.round((session.today - session.clockSet) * truth.lag_min);
  const late = (m: number) => (m + lag + MINUTES_PER_DAY) % MINUTES_PER_DAY;
  const plain: Site = {
    ...site,
    stands,
    place: start.site.place,
    climate: start.site.climate,
    windows: start.site.windows,
    timeZone: start.site.timeZone,
    crops: start.site.crops,
    lamps: trueLamps(start, tables),
    timers: site.timers.map((p) => ({
      ...p,
      on_min: late(p.on_min),
      pause: p.pause && { from_min: late(p.pause.from_min), to_min: late(p.pause.to_min) },
    })),
  };
  const lit = asOf(plain, session.today, tables);
  const heights = new Map(Object.values(session.trays).map((run) => [run.batchId, heightOf(run)]));
  const grown: Site = { ...lit, batches: lit.batches.map((b) => ({ ...b, height: heights.get(b.id) ?? b.height })) };
  return grown.stands.map((stand) => {
    const bench = benchStandOf(grown, stand, tables);
    if (truth.sides === null) return bench;
    return { ...bench, tiers: bench.tiers.map((t) => ({ ...t, room: t.room && withSides(t.room, truth.sides!) })) };
  });
}

/** Hung and spare. */
const allLamps = (site: Site) => [
  ...site.spares,
  ...site.stands.flatMap((s) => s.tiers.flatMap((t) => t.fittings.map(({ lampId }) => ({ lampId, count: 1 })))),
];

/** The lamps of an exercise, each as bright as it really is. */
export const trueLamps = ({ site, truth }: Start, tables: Tables) =>
  [...new Set(allLamps(site).map((l) => l.lampId))].map((id) => {
    const lamp = lampOf(site, id, tables);
    return { ...lamp, ppf: lamp.ppf * (truth.lamps[id] ?? 1) };
  });

/** Mean height of the plants of a tray; 0 before they come up. */
export const heightOf = ({ plants }: TrayRun): number =>
  plants.length === 0 ? 0 : plants.reduce((sum, p) => sum + p.height, 0) / plants.length;
