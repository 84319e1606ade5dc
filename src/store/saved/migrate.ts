import { AS_NEW } from '../../core/lamp/ageing';
import { IN_THE_OPEN } from '../../core/stand/Enclosure';

/** The version of the file that is written today. */
export const VERSION = 3;

/**
 * Brings the file of an older version up to today's, step by step. What is not as the older version promised is left as
 * it is, for the reader to name.
 *
 *     1 → 2: a tier has readings; there were none before.
 *     2 → 3: a tier has sides and its lamps an age; it stood in the open before, under lamps of unknown age.
 */
export function migrate(data: Record<string, unknown>): Record<string, unknown> {
  const second = data.version === 1 ? toVersion2(data) : data;
  return second.version === 2 ? toVersion3(second) : second;
}

const toVersion2 = (data: Record<string, unknown>) => withTiers({ ...data, version: 2 }, (tier) => ({ readings: [], ...tier }));

function toVersion3(data: Record<string, unknown>): Record<string, unknown> {
  const { width, depth, height, faces } = IN_THE_OPEN;
  const enclosure = { width_m: width, depth_m: depth, height_m: height, faces };
  return withTiers({ ...data, version: 3 }, (tier) => ({ enclosure, ageing: AS_NEW, ...tier }));
}

/** Changes every tier that looks like one. */
function withTiers(
  data: Record<string, unknown>,
  change: (tier: Record<string, unknown>) => Record<string, unknown>,
): Record<string, unknown> {
  const ofStand = (stand: unknown) =>
    isObject(stand) && Array.isArray(stand.tiers)
      ? { ...stand, tiers: stand.tiers.map((t: unknown) => (isObject(t) ? change(t) : t)) }
      : stand;
  return { ...data, stands: Array.isArray(data.stands) ? data.stands.map(ofStand) : data.stands };
}

const isObject = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null && !Array.isArray(value);
