import type { LitTimes } from '../../units/LitTimes';
import type { LightSpread } from '../../judge/dli/LightSpread';
import type { Day } from '../../units/day';
import type { TrayDay } from './HangChart';
import type { TierCourse, CourseSetting } from './TierCourse';

/** How everything is set between two visits. */
export interface BetweenVisits {
  readonly from: Day;
  readonly tiers: ReadonlyMap<TierCourse, CourseSetting>;
  readonly timers: ReadonlyMap<string, LitTimes>;
}

export const timesOf = (stretch: BetweenVisits, course: TierCourse): LitTimes => stretch.timers.get(course.tier.timer.id)!;

/** The light of the lamps on the trays of a course on a day, as the engine has it. */
export type EngineLight = (course: TierCourse, day: Day) => (tray: number) => LightSpread;

/** How the trays are on a day; their light from the engine where there is one, else as the tables have it. */
export const allDays = (courses: readonly TierCourse[], stretch: BetweenVisits, day: Day, engine?: EngineLight): TrayDay[] =>
  courses.flatMap((c) => c.daysOf(stretch.tiers.get(c)!, day, timesOf(stretch, c), engine?.(c, day)));
