import type { HeightDoubt } from '@/core/site/growth/doubtOfHeight';

/** Why a height is questioned before it is saved. */
export const heightDoubtWords = (doubt: HeightDoubt, height: string): string =>
  doubt === 'dated-ahead'
    ? `${height} is dated ahead of today. Check the day above.`
    : `${height} is more than twice as high as this crop grows. Check the number and its unit.`;
