import type { Share, VoltAmperes, Watts } from '../../units/quantities';
import { apparentPowerOf, apparentPowerOfThing, surges } from './apparentPower';
import type { BenchStand } from '../stand/benchStand';
import type { Plugged } from '../../site/stand/Site';

/**
 * What burns for hours on end may use this share of a rating: the usual allowance for continuous loads.
 * Source: NEC 210.20(A); local rules go first.
 */
export const CONTINUOUS_SHARE: Share = 0.8;

/** One plug in one outlet. */
export interface Plug {
  /** Of the thing, or of the first lamp of a row on one lead. */
  readonly id: string;
  readonly kind: Plugged['kind'] | 'lamps';
  readonly name: string;
  readonly power: Watts;
  /** What it asks of wires: power over power factor. */
  readonly load: VoltAmperes;
  /** It draws a surge when it is switched on. */
  readonly surges: boolean;
  /** The tier of lamps; null for other things. */
  readonly tier: number | null;
}

/** The outlets of one timer, or (null) those that are always live. */
export interface OutletGroup {
  readonly timerId: string | null;
  readonly plugs: readonly Plug[];
  readonly power: Watts;
  readonly load: VoltAmperes;
  /** What its timer carries, and how many outlets it has; null: not stated. */
  readonly rating: Watts | null;
  readonly outlets: number | null;
}

/** A mistake in what is plugged where. */
export type OutletFault =
  | { readonly why: 'overloaded'; readonly timerId: string | null; readonly load: VoltAmperes; readonly allowed: VoltAmperes }
  | { readonly why: 'strip-overloaded'; readonly load: VoltAmperes; readonly allowed: VoltAmperes }
  | { readonly why: 'too-few-outlets'; readonly timerId: string | null; readonly plugs: number; readonly outlets: number }
  /** Roots go cold, or a reservoir stands still, whenever the lamps are off. */
  | { readonly why: 'mat-timed' | 'pump-timed'; readonly thingId: string; readonly timerId: string };

export interface Loads {
  readonly groups: readonly OutletGroup[];
  /** All of it together, on the strip that feeds the stand. */
  readonly power: Watts;
  readonly load: VoltAmperes;
  readonly faults: readonly OutletFault[];
}

/** Adds up what is plugged where on a stand, and finds what is wrong with it. Lamps that can be linked share a lead, tier by tier. */
export function loadsOf(stand: BenchStand): Loads {
  const { plugged, strip, steadyOutlets } = stand.stand;
  const ids = [...new Set(stand.tiers.map((t) => t.timer.id))];
  const things = (timerId: string | null): Plug[] =>
    plugged
      .filter((p) => p.timerId === timerId)
      .map((p) => ({
        id: p.id,
        kind: p.kind,
        name: p.name,
        power: p.power,
        load: apparentPowerOfThing(p),
        surges: p.kind === 'pump',
        tier: null,
      }));
  const groups = ids.map((timerId): OutletGroup => {
    const tiers = stand.tiers.filter((t) => t.timer.id === timerId);
    const { rating, outlets } = tiers[0]!.timer;
    return groupOf(timerId, [...tiers.flatMap(lampPlugs), ...things(timerId)], rating, outlets);
  });
  const steady = groupOf(null, things(null), null, steadyOutlets);
  const all = [...groups, steady];
  const power = all.reduce((sum, g) => sum + g.power, 0);
  const load = all.reduce((sum, g) => sum + g.load, 0);
  return { groups: all, power, load, faults: [...all.flatMap(faultsOfGroup), ...stripFaults(strip, load)] };
}

const sumOf = (plugs: readonly Plug[], of: (p: Plug) => number): number => plugs.reduce((sum, p) => sum + of(p), 0);

function groupOf(timerId: string | null, plugs: readonly Plug[], rating: Watts | null, outlets: number | null): OutletGroup {
  return { timerId, plugs, rating, outlets, power: sumOf(plugs, (p) => p.power), load: sumOf(plugs, (p) => p.load) };
}

function lampPlugs({ lamps, number }: BenchStand['tiers'][number]): Plug[] {
  const rows = new Map<string, Plug>();
  for (const { fitting, lamp } of lamps) {
    // At full light, whatever its dimmer is set to; what was measured counts where it is more than the label says.
    const power = Math.max(lamp.power, fitting.own?.drawn?.power ?? 0);
    const load = Math.max(apparentPowerOf({ ...lamp, power }), fitting.own?.drawn?.load ?? 0);
    const key = lamp.linkable ? lamp.id : fitting.id;
    const row = rows.get(key) ?? { id: fitting.id, kind: 'lamps', name: lamp.name, power: 0, load: 0, surges: surges(lamp), tier: number };
    rows.set(key, { ...row, power: row.power + power, load: row.load + load });
  }
  return [...rows.values()];
}

function faultsOfGroup({ timerId, plugs, load, rating, outlets }: OutletGroup): OutletFault[] {
  const allowed = rating === null ? Infinity : CONTINUOUS_SHARE * rating;
  return [
    ...(load > allowed ? [{ why: 'overloaded', timerId, load, allowed } as const] : []),
    ...(outlets !== null && plugs.length > outlets ? [{ why: 'too-few-outlets', timerId, plugs: plugs.length, outlets } as const] : []),
    ...(timerId === null
      ? []
      : plugs.flatMap((p) => (p.kind === 'mat' || p.kind === 'pump' ? [{ why: `${p.kind}-timed`, thingId: p.id, timerId } as const] : []))),
  ];
}

function stripFaults(strip: VoltAmperes | null, load: VoltAmperes): OutletFault[] {
  const allowed = strip === null ? Infinity : CONTINUOUS_SHARE * strip;
  return load > allowed ? [{ why: 'strip-overloaded', load, allowed }] : [];
}
