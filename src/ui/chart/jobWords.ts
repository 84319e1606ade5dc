import type { ClockChange } from '@/core/units/clockChanges';
import type { ChartLimit, TrayDay } from '@/core/plan/hang/HangChart';
import type { VisitJobs } from '@/core/site/hang/KeptChart';
import type { BenchLamp, BenchStand, BenchTier, BenchTray } from '@/core/answer/stand/benchStand';
import { FULL } from '@/core/things/lamp/dimming';
import type { Share } from '@/core/units/quantities';
import { timersOf } from '@/core/plan/timer/servedBy';
import { showHours } from '@/core/units/clock';
import { showLength, type LengthUnit } from '@/core/units/length';
import type { ToldIn } from '../bench/moveWords';
import { riserWords, stepWords, trayName } from '../bench/benchWords';
import { timerName, timesWords } from '../hours/timerWords';
import { shadeWords } from '../daylight/shadeWords';
import { percent } from '../verdict/words';

/** One thing to do on a visit, in words, and on which tier; null for what belongs to the stand. */
export interface JobWords {
  readonly key: string;
  readonly tier: number | null;
  readonly words: string;
}

const COUNT = ['no', 'the', 'both', 'all three', 'all four', 'all five', 'all six'];

/** What is to be done on a visit, tier by tier from the top, then the timers. What has gone from the stand is left out. */
export function jobsOf(visit: VisitJobs, stand: BenchStand, { lengthUnit: unit, clock }: ToldIn): JobWords[] {
  const lamps = stand.tiers.flatMap((t) => [...lampJobs(visit, t, unit), ...dimJobs(visit, t, unit)]);
  const risers = visit.risers.flatMap((j): JobWords[] => {
    const found = trayOf(stand, j.trayId);
    if (!found) return [];
    const left = j.to === 0 ? 'on the shelf' : `on ${riserWords(j.to)}`;
    const taken = j.from - j.to;
    const out =
      taken > 0 ? `${taken === 1 ? 'one riser' : `${taken} risers`} out` : `${-taken === 1 ? 'one riser' : `${-taken} risers`} in`;
    return [{ key: `r${j.trayId}`, tier: found.tier.number, words: `${trayName(found.tray)}: ${out}, then ${left}` }];
  });
  const timers = timersOf(stand);
  const hours = visit.hours.flatMap((j): JobWords[] => {
    const timer = timers.find((t) => t.id === j.timerId);
    if (!timer) return [];
    return [
      {
        key: `h${j.timerId}`,
        tier: null,
        words: `${timerName(timer, timers.length === 1)}: ${timesWords({ ...j, pause: timer.pause }, clock)}${j.lit_min > 0 ? `, ${showHours(j.lit_min)}` : ''}`,
      },
    ];
  });
  return [...[...lamps, ...risers].sort((a, b) => (a.tier ?? 99) - (b.tier ?? 99)), ...hours];
}

/** Lamps of a tier that go by the same steps are told as one. */
function lampJobs(visit: VisitJobs, tier: BenchTier, unit: LengthUnit): JobWords[] {
  const groups = new Map<string, { of: BenchLamp[]; faces: Set<string> }>();
  for (const job of visit.lamps) {
    const lamp = tier.lamps.find((l) => l.fitting.id === job.fittingId);
    if (!lamp) continue;
    const steps = stepWords(lamp.fitting.hanger, job.steps, unit);
    const known = groups.get(steps) ?? { of: [], faces: new Set() };
    groups.set(steps, { of: [...known.of, lamp], faces: known.faces.add(showLength(job.face, unit)) });
  }
  return [...groups].map(([steps, { of, faces }]) => ({
    key: of[0]!.fitting.id,
    tier: tier.number,
    words: `${whichWords(of, tier, unit)} ${steps}, ${faces.size === 1 ? 'face' : 'faces'} ${[...faces].join(' and ')} above the shelf`,
  }));
}

/** Which lamps of a tier: all of them, those of a kind, or where each of some is. */
function whichWords(of: readonly BenchLamp[], { lamps }: BenchTier, unit: LengthUnit): string {
  const n = of.length;
  if (n === lamps.length) return `${COUNT[n] ?? `all ${n}`} ${n === 1 ? 'lamp' : 'lamps'}`;
  const [{ lamp }] = of as [BenchLamp];
  const isKind = lamps.every((l) => (l.lamp.id === lamp.id) === of.includes(l));
  if (isKind) return n === 1 ? lamp.name : `${n} × ${lamp.name}`;
  const at = ({ fitting }: BenchLamp) => `${showLength(fitting.x, unit)} from the left and ${showLength(fitting.y, unit)} from the front`;
  return `${n} of ${lamps.length} lamps (${of.map(at).join('; ')})`;
}

/** Dimmers of a tier that are turned alike are told as one. */
function dimJobs(visit: VisitJobs, tier: BenchTier, unit: LengthUnit): JobWords[] {
  const here = visit.dims.filter((j) => tier.lamps.some((l) => l.fitting.id === j.fittingId));
  const turns = [...new Set(here.map((j) => turnWords(j.from, j.to)))];
  return turns.map((turn) => {
    const alike = here.filter((j) => turnWords(j.from, j.to) === turn);
    const of = tier.lamps.filter((l) => alike.some((j) => j.fittingId === l.fitting.id));
    return { key: `d${alike[0]!.fittingId}`, tier: tier.number, words: `${whichWords(of, tier, unit)} ${turn}` };
  });
}

const turnWords = (from: Share, to: Share): string =>
  to === FULL ? 'turned up to full light' : to > from ? `turned up to ${percent(to)}` : `dimmed to ${percent(to)}`;

export function trayOf(stand: BenchStand, trayId: string): { tier: BenchTier; tray: BenchTray } | null {
  for (const tier of stand.tiers) {
    const tray = tier.trays.find((y) => y.tray.id === trayId);
    if (tray) return { tier, tray };
  }
  return null;
}

const SAYS: Readonly<Record<TrayDay['says'], string>> = {
  suits: 'in range',
  short: 'too little light',
  much: 'too much light',
  uneven: 'uneven',
  long: 'too long a day',
  hot: 'too near the lamp',
  rest: 'no light needed',
};
export const sayWords = (says: TrayDay['says']): string => SAYS[says];

/** What stands in the way of a tray, and what would help. @param curtained  a net curtain hangs at its window */
export function chartLimitWords(
  { says, bound, otherHours }: Pick<ChartLimit, 'says' | 'bound' | 'otherHours'>,
  curtained: boolean,
): string {
  if (says === 'long') return 'Its light lasts longer than it tolerates. Use fewer hours, or a timer of its own.';
  const ofTimer = otherHours === 'own' ? ' on a timer of its own' : '';
  /** What would help, other hours before it where they would. */
  const orHours = (rest: string) => (otherHours ? `a ${says === 'short' ? 'longer' : 'shorter'} photoperiod${ofTimer}, or ${rest}` : rest);
  switch (bound) {
    case 'rhythm':
      return 'The plants grow out of range between visits. Visit more often.';
    case 'shared':
      return says === 'short'
        ? `The other trays on this tier need another lamp height. Use ${orHours('a riser under this tray')}, or move it to another place.`
        : 'The other trays on this tier need another lamp height. Move this tray to another place.';
    case 'sun':
      return `On clear days the sun alone is too strong for its leaves. ${shadeWords(curtained)} protects them.`;
    case 'sun-dose':
      return `Daylight alone brings more than it can use. ${shadeWords(curtained)} helps.`;
    case 'fixed':
      if (says === 'uneven') return 'The lamp is fixed and its light too uneven here: move the tray, or add a lamp.';
      return says === 'short'
        ? `The lamp is fixed. Use ${orHours('a riser under the tray')}.`
        : 'The lamp is fixed and the tray cannot go lower.';
    case 'ceiling':
      if (says === 'uneven')
        return 'The lamp can go no higher, where its light would be more even: spread the lamps, or use more and weaker ones.';
      return says === 'hot'
        ? 'The plants will be too tall for this tier and the lamp cannot go higher. Transplant, move or remove them before then.'
        : `The lamp can go no higher. Use ${orHours('fewer or weaker lamps')}.`;
    case 'heat':
      return `The lamp is at its minimum distance. Use ${orHours('white walls or a stronger lamp')}.`;
    case null:
      if (says === 'uneven') return 'Its light is too uneven for any height: move the lamp over it, or add one.';
      if (says === 'hot') return 'No height keeps its leaves clear of the lamp. Move the tray to another place.';
      if (says === 'short') return `No height gives enough light in these hours. Use ${orHours('more or stronger lamps')}.`;
      return `No height gives so little in these hours. Use ${orHours('fewer or weaker lamps')}.`;
  }
}

/** What a change of the clocks means for plug timers, which do not know of it. */
export const clockChangeWords = ({ by_min }: ClockChange): string =>
  `Clocks go ${by_min > 0 ? 'forward' : 'back'} by ${showHours(Math.abs(by_min))}. Set every plug timer ${by_min > 0 ? 'ahead' : 'back'} by as much, or the lamps come on ${by_min > 0 ? 'later' : 'earlier'} than planned.`;
