import { createCache, type Cache } from '../../light/scene/Cache';

/** What earlier charts worked out and the next one may need again: after a change only what it touches is computed. */
export interface ChartMemory {
  /** The light of a tier's own lamps at one height on the points of a tray, by the height of its leaves. */
  readonly rows: Cache;
  /** The settled light of a tier's own lamps as they hang. */
  readonly fields: Cache;
  /** The engine's light on the trays of a whole stand. */
  readonly maps: Cache;
}

/** Rows of some five stands, fields of about two, and maps of about as many charts: some 25 MB at most. */
export const createChartMemory = (): ChartMemory => ({ rows: createCache(512), fields: createCache(12), maps: createCache(48) });
