import type { Share } from '../quantities';
import table from './data/meters.json';
import type { Source } from './Source';

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
  readonly resolution: number;
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
    resolution: row.resolution,
    sources: row.sources as readonly Source[],
  }));

function countsOf({ id, unit }: { id: string; unit: string }): MeterCounts {
  if (id === 'quantum-epar') return 'photons-and-far-red';
  if (unit === 'fc') return 'foot-candles';
  return unit.startsWith('lux') ? 'lux' : 'photons';
}
