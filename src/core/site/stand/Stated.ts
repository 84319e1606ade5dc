/**
 * What a person has said of their household that no drawing shows, for the cautions that depend on it. Each is the name of a fact
 * of the caution table without its group.
 */
export const STATED = [
  'children',
  'pets',
  'misting',
  'storesChemicals',
  'lightSpill',
  'extensionLead',
  'stripsInSeries',
  'outletProtected',
] as const;
export type Stated = (typeof STATED)[number];
