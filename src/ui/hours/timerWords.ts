import type { DimmedTimer } from '@/core/plan/timer/dimTimer';
import type { TimerResult, TimerLimit } from '@/core/plan/timer/solveTimer';
import type { StandTimer } from '@/core/plan/timer/servedBy';
import { MINUTES_PER_DAY, showClock, showHours, type ClockForm } from '@/core/units/clock';
import { blocksOf, type LitTimes } from '@/core/units/LitTimes';
import { joined } from '../parts/joined';
import { shadeWords } from '../daylight/shadeWords';
import { percent } from '../verdict/words';

const hours = (h: number) => showHours(Math.round(h * 60));

/** A timer by the tiers that hang on it. */
export function timerName({ tiers }: StandTimer, alone: boolean): string {
  if (alone) return 'The timer';
  const numbers = tiers.map((t) => t.number).sort((a, b) => a - b);
  return `Timer of ${numbers.length === 1 ? 'tier' : 'tiers'} ${numbers.join(', ').replace(/, (\d+)$/, ' and $1')}`;
}

export function timesWords(times: LitTimes, clock: ClockForm): string {
  if (times.lit_min === 0) return 'off all day';
  if (times.lit_min >= MINUTES_PER_DAY) return 'day and night';
  return blocksOf(times)
    .map((b) => `${showClock(b.on_min, clock)} to ${showClock(b.on_min + b.lit_min, clock)}`)
    .join(' and ');
}

const SAYS: Readonly<Record<TimerResult['says'], string>> = {
  suits: 'in range',
  short: 'too little',
  much: 'too much',
  uneven: 'uneven',
  long: 'too long a day',
};
export const saysWords = (says: TimerResult['says']): string => SAYS[says];

const listed = (names: readonly string[]) => joined([...new Set(names)]);

/** What kept a timer from better times. */
export function timerLimitWords(limit: TimerLimit, nameOf: (trayId: string) => string): string {
  switch (limit.why) {
    case 'quiet':
      return `The quiet hours leave no more than ${hours(limit.longest)}.`;
    case 'longest-day':
      return `${nameOf(limit.trayId)}: at most ${hours(limit.hours)} a day.`;
    case 'shortest-day':
      return `${nameOf(limit.trayId)}: at least ${hours(limit.hours)} a day.`;
    case 'crops-disagree':
      return `${nameOf(limit.longId)}: at least ${hours(limit.atLeast)} a day. ${nameOf(limit.shortId)}: at most ${hours(limit.atMost)}. They need timers of their own.`;
    case 'no-common-hours':
      return `No hours suit all of them: ${listed(limit.trayIds.map(nameOf))} would be in range on ${limit.trayIds.length === 1 ? 'a timer of its own' : 'timers of their own'} or in another place.`;
  }
}

/** How many of the trays of a timer are in range. */
export function inRangeWords(results: readonly Pick<TimerResult, 'says'>[]): string {
  const n = results.filter((f) => f.says === 'suits').length;
  if (results.length === 1) return n === 1 ? 'The tray is then in range.' : '';
  return n === results.length ? 'All trays are then in range.' : `${n} of ${results.length} trays are then in range.`;
}

/** Which dimmers are turned to what, as what one would do: "dim tier 4 to 60 %". */
export const turnTiersWords = (tiers: DimmedTimer['tiers'], alone: boolean): string =>
  listed(
    tiers.map(({ tier, dimming: { by, to } }) => {
      const lamps = alone && tiers.length === 1 ? 'the lamps' : `tier ${tier.number}`;
      return by < 1 ? `dim ${lamps} to ${percent(to)}` : `turn ${lamps} up to ${percent(to)}`;
    }),
  );

/** What would cure a tray that these times short-change; null when nothing is wrong with it. */
export function cureWords({ says, alone, tooMuchSun, light }: TimerResult, others: boolean, curtained: boolean): string | null {
  if (says === 'suits') return null;
  if (says === 'long') return 'Fewer hours, or a tier on another timer: it needs more darkness.';
  if (tooMuchSun) return `Daylight alone is too much for it. ${shadeWords(curtained)} helps.`;
  if (says === 'uneven') return 'Its light is too uneven for any hours: move or add a lamp.';
  const ownTimer = alone !== null && others ? `On a timer of its own ${hours(alone)} would do; on this one, ` : null;
  if (light === null && ownTimer) return `${ownTimer}the lamps stay off.`;
  if (light === null) return others ? 'Its lamps stay off for the others: it needs lamps and a timer of its own.' : 'Its lamps are off.';
  if (light > 10 && !ownTimer) return 'The lamps give it less than a tenth of what it needs: move it under them, or add one.';
  const stronger =
    light > 2
      ? `${Math.round(light)} times the light would do`
      : light >= 1
        ? `${percent(light - 1)} more light would do`
        : `${percent(1 - light)} less light would do`;
  return ownTimer
    ? `${ownTimer}${stronger}.`
    : `With these hours ${stronger}: ${light >= 1 ? 'nearer or stronger lamps' : 'raise the lamps'}.`;
}
