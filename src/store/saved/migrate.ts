/** The version of the file that is written today. */
export const VERSION = 2;

/**
 * Brings the file of an older version up to today's, step by step. What is not as the older version promised is left as
 * it is, for the reader to name.
 *
 *     1 → 2: a tier has readings; there were none before.
 */
export function migrate(data: Record<string, unknown>): Record<string, unknown> {
  return data.version === 1 ? toVersion2(data) : data;
}

function toVersion2(data: Record<string, unknown>): Record<string, unknown> {
  const withReadings = (tier: unknown) => (isObject(tier) ? { readings: [], ...tier } : tier);
  const withTiers = (stand: unknown) =>
    isObject(stand) && Array.isArray(stand.tiers) ? { ...stand, tiers: stand.tiers.map(withReadings) } : stand;
  return { ...data, version: 2, stands: Array.isArray(data.stands) ? data.stands.map(withTiers) : data.stands };
}

const isObject = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null && !Array.isArray(value);
