import { createCache, type Cache } from '../../light/scene/Cache';

/** What earlier charts worked out and the next one may need again: after a change only what it touches is computed. */
export interface ChartMemory {
  /** The light of a tier's own lamps at one height on the points of a tray, by the height of its leaves. */
  readonly rows: Cache;
  /** What the light of tiers as they hang is settled from: worked out ahead of the stand's light, and asked once that is there. */
  readonly settled: Cache;
  /** The engine's light on the trays of a whole stand. */
  readonly maps: Cache;
}

/** Rows of some five stands, settled light of about two, and maps of about as many charts as stands: some 40 MB at most. */
export const createChartMemory = (): ChartMemory => ({ rows: createCache(512), settled: createCache(128), maps: createCache(48) });
