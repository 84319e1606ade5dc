/** The parts of a stand, each at an address of its own. */
export const STAND_PARTS = [
  { part: 'bench', label: 'Bench' },
  { part: 'readings', label: 'Readings' },
  { part: 'hours', label: 'Hours' },
  { part: 'hanging', label: 'Hanging' },
  { part: 'daylight', label: 'Daylight' },
  { part: 'power', label: 'Power' },
] as const;
export type StandPart = (typeof STAND_PARTS)[number]['part'];

/** Where a part of a stand is. */
export const standPath = (id: string, part: StandPart = 'bench'): string => `/stands/${encodeURIComponent(id)}/${part}`;

/** Opens the list of stands with the sheet for a new one. */
export const NEW_STAND_HASH = '#new';
