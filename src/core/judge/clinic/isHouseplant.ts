import type { Circumstances } from './Circumstances';

/** Plants that are kept rather than raised: nothing of what befalls seedlings befalls them, and they answer in weeks. */
export const isHouseplant = ({ stage, ageDays, crop }: Pick<Circumstances, 'stage' | 'ageDays' | 'crop'>): boolean =>
  stage === 'maintenance' || /houseplant|succulent|carnivorous/.test(crop.group) || (ageDays ?? 0) > 150;
