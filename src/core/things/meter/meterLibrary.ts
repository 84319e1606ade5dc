import type { Share } from '../../units/quantities';
import table from './meters.json';
import type { LightUnit } from '../../units/light';
import type { Source } from '../../units/Source';

/** What a kind of meter counts. */
export type MeterCounts = 'lux' | 'foot-candles' | 'photons' | 'photons-and-far-red';

/** A kind of meter: what it counts, how far it goes, how well it takes slanting light. */
export interface Meter {
  readonly id: string;
  readonly name: string;
  readonly counts: MeterCounts;
  /** Relative accuracy that is usual for it. */
  readonly accuracy: Share;
  /** Of light that comes in 60° off the upright, the share that it misses. */
  readonly missesAt60: Share;
  readonly ranges: readonly number[];
  /** Positions of a switch by which the scale is multiplied; empty: it has none. */
  readonly multipliers: readonly number[];
  readonly resolution: number;
  /** How it is held, and where it misreads. */
  readonly howToHold: readonly string[];
  readonly misreads: readonly string[];
  readonly sources: readonly Source[];
}

/** Light meters of the table; its watt meter is none. */
export const meterLibrary: readonly Meter[] = table.meters
  .filter((row) => row.quantity !== 'power')
  .map((row) => ({
    id: row.id,
    name: row.name,
    counts: countsOf(row),
    accuracy: row.typicalAccuracyPct / 100,
    missesAt60: (row.cosineErrorPctAt60deg ?? 0) / 100,
    ranges: row.ranges,
    multipliers: ('rangeMultipliers' in row ? row.rangeMultipliers : undefined) ?? [],
    resolution: row.resolution,
    howToHold: row.howToHold ?? [],
    misreads: row.misreads ?? [],
    sources: row.sources as readonly Source[],
  }));

const byId = new Map(meterLibrary.map((m) => [m.id, m]));

/** @throws RangeError for an id that the library does not hold: a caller's mistake, since readers let none through */
export function meterOf(id: string): Meter {
  const found = byId.get(id);
  if (!found) throw new RangeError(`no kind of meter is called ${id}`);
  return found;
}

export const isMeter = (id: string): boolean => byId.has(id);

/** The unit that a number without one has on a meter. */
export const unitOfMeter = ({ counts }: Pick<Meter, 'counts'>): LightUnit =>
  counts === 'lux' ? 'lx' : counts === 'foot-candles' ? 'fc' : 'umol';

/**
 * How far a meter of its kind may be off under white light, as a half-width of a nine-in-ten band: its stated accuracy, and
 * half of its error at 60°, which is about what is left in doubt when slanting light is reckoned with.
 */
export const meterErrorOf = ({ accuracy, missesAt60 }: Pick<Meter, 'accuracy' | 'missesAt60'>): Share =>
  Math.hypot(accuracy, missesAt60 / 2);

/** What is left in doubt of a meter that was matched against a known one. */
export const LEFT_BY_MATCHING: Share = 0.05; // our estimate: the known meter's own error, growers’ consensus

function countsOf({ id, unit }: { id: string; unit: string }): MeterCounts {
  if (id === 'quantum-epar') return 'photons-and-far-red';
  if (unit === 'fc') return 'foot-candles';
  return unit.startsWith('lux') ? 'lux' : 'photons';
}
