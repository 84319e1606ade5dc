import type { Trial } from '../../site/trial/Trial';

/**
 * The blocks of a trial by which its trays are compared: where there are several, every tray is in one, and each holds trays of every arm.
 * Null: it has none, or not everywhere; its trays are compared over all.
 */
export function completeBlocksOf({ trays, arms }: Pick<Trial, 'trays' | 'arms'>): readonly string[] | null {
  const blocks = [...new Set(trays.map((t) => t.block))];
  const isWhole = (block: string) => arms.every((arm) => trays.some((t) => t.block === block && t.arm === arm.id));
  return blocks.length > 1 && !blocks.includes('') && blocks.every(isWhole) ? blocks : null;
}
