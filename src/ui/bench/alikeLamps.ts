import type { BenchLamp } from '@/core/answer/stand/benchStand';
import { travelWords } from './benchWords';

/** Lamps of one kind that hang at one height in one way as one: the last of them, and how many there are. */
export function alikeLamps(lamps: readonly BenchLamp[]): readonly { readonly lamp: BenchLamp; readonly count: number }[] {
  const groups = new Map<string, { lamp: BenchLamp; count: number }>();
  for (const lamp of lamps) {
    const key = `${lamp.lamp.id} ${lamp.fitting.face.toFixed(3)} ${lamp.fitting.hanger.kind} ${lamp.fitting.tilt ?? 0} ${travelWords(lamp.fitting, 'cm') ?? ''}`;
    groups.set(key, { lamp, count: (groups.get(key)?.count ?? 0) + 1 });
  }
  return [...groups.values()];
}
