import { growthOf } from '@/core/site/growth/growthOf';
import type { BenchTray } from '@/core/answer/stand/benchStand';
import type { Day } from '@/core/units/day';
import { dayWords, daysWords } from '../season/dayWords';
import { stageWords } from '../verdict/words';

/** How far along a tray is, by its dates. */
export function ageWords({ batch, crop, stage }: Pick<BenchTray, 'batch' | 'crop' | 'stage'>, today: Day): string {
  const growth = growthOf(batch, crop, today);
  if (!growth) return `${stageWords(stage)}; no date yet`;
  if (growth.phase === 'left') return `left on ${dayWords(batch.leaves!)}`;
  if (growth.phase === 'before')
    return growth.expected && growth.expected.from !== growth.expected.to
      ? `sown; up ${dayWords(growth.expected.from)} to ${dayWords(growth.expected.to)}`
      : `sown; up about ${dayWords(growth.emergence)}`;
  return `${stageWords(growth.stage)}, ${daysWords(growth.age)} ${crop.germination ? 'since emergence' : 'here'}`;
}
