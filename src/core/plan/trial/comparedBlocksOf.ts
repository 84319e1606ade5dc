import type { Trial } from '../../site/trial/Trial';

/**
 * The blocks of a trial by which its trays are compared: where every tray is in one, and several that hold most of the trays have every
 * arm in them. Of the others, which lost a tray, only those arms are held against each other that are there.
 * A row that is neither measured nor placed yet says nothing against the blocks of the others.
 * Null: it has no blocks, or too few are whole; its trays are compared over all.
 */
export function comparedBlocksOf({ trays: rows, arms }: Pick<Trial, 'trays' | 'arms'>): readonly string[] | null {
  const trays = rows.filter((t) => t.block !== '' || t.values.some((v) => v !== null));
  const blocks = [...new Set(trays.map((t) => t.block))];
  const whole = new Set(blocks.filter((block) => arms.every((arm) => trays.some((t) => t.block === block && t.arm === arm.id))));
  const isMost = trays.filter((t) => whole.has(t.block)).length > trays.length / 2;
  return whole.size > 1 && isMost && !blocks.includes('') ? blocks : null;
}

/** How many trays of two arms stand in each block that holds both. */
export function countsInBlocks(
  { trays }: Pick<Trial, 'trays'>,
  blocks: readonly string[],
  a: string,
  b: string,
): (readonly [number, number])[] {
  const count = (arm: string, block: string) => trays.filter((t) => t.arm === arm && t.block === block).length;
  return blocks.map((block) => [count(a, block), count(b, block)] as const).filter(([inA, inB]) => inA > 0 && inB > 0);
}
