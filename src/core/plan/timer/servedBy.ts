import type { LitTimes } from '../../units/LitTimes';
import type { TierLight } from '../../answer/bench/BenchQuestion';
import { spotsOf } from '../../answer/check/perCentimetreOf';
import { spreadWith } from '../../judge/dli/spreadOfMap';
import type { BenchStand, BenchTier } from '../../answer/stand/benchStand';
import { plantAreaOf } from '../../site/stand/footprint';
import type { Served } from './solveTimer';

/** A timer of a stand: the tiers that hang on it. */
export interface StandTimer extends LitTimes {
  readonly id: string;
  readonly tiers: readonly BenchTier[];
}

/** The timers of a stand, the highest tier first. */
export function timersOf(stand: BenchStand): StandTimer[] {
  const timers = new Map<string, StandTimer>();
  for (const tier of stand.tiers) {
    const { id, on_min, lit_min, pause } = tier.timer;
    const known = timers.get(id);
    timers.set(id, { id, on_min, lit_min, pause, tiers: [...(known?.tiers ?? []), tier] });
  }
  return [...timers.values()];
}

/** The trays that a timer's lamps shine on, with the light that each gets; those whose light is not known yet are left out. */
export function servedBy(timer: StandTimer, lights: Readonly<Record<string, TierLight>>): Served[] {
  return timer.tiers.flatMap((t) =>
    t.trays.flatMap(({ tray, stage, limits, day }) => {
      const light = lights[t.tier.id]?.trays[tray.id];
      if (!light || t.lamps.length === 0) return [];
      return [
        { trayId: tray.id, stage, limits, light: spreadWith(spotsOf(light.stats), light.map, [plantAreaOf(tray)]), daylight: day.daylight },
      ];
    }),
  );
}

/** What the lamps of a timer draw. */
export const powerOf = (timer: StandTimer): number =>
  timer.tiers.reduce((sum, t) => sum + t.lamps.reduce((watts, l) => watts + l.real.power, 0), 0);
