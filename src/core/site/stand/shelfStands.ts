import type { Site } from './Site';

/** The stands of a household that are there: quick checks that were kept are questions, and count only where there is nothing else. */
export const shelfStands = ({ stands }: Pick<Site, 'stands'>): Site['stands'] => {
  const drawn = stands.filter((s) => !s.autoArranged);
  return drawn.length > 0 ? drawn : stands;
};
