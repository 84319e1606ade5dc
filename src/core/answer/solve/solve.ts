import type { Stage } from '../../things/crop/Crop';
import type { Daylight } from '../../site/stand/Daylight';
import { clearDayOf, daylightAtSpots, daylightDli, strongestBeside, usualPeakOf, type LightDay } from '../../judge/dli/LightDay';
import { MOL_SECONDS } from '../../judge/dli/dli';
import type { Spots } from '../../judge/dli/Spots';
import type { Dli, Hours, Metres, Ppfd, Share } from '../../units/quantities';
import type { HardLimits } from '../../judge/verdict/hardLimits';
import { scorches } from '../../judge/verdict/scorch';
import { lossOf, shareInBand } from '../../judge/verdict/loss';
import { atDistance, type AtDistance, type Profile } from './Profile';

/** What a person holds fast; the rest is solved. Strength and dose are means over the plants. */
export type Fixed =
  | { readonly what: 'nothing' }
  | { readonly what: 'distance'; readonly distance: Metres }
  | { readonly what: 'hours'; readonly hours: Hours }
  | { readonly what: 'strength'; readonly ppfd: Ppfd }
  | { readonly what: 'dose'; readonly dli: Dli };

/** A limit that keeps every setting from suiting, and how far beyond it one would have to go. */
export type Limit =
  /** Even at its best distance and longest the weakest spot gets this share of the least dose, and the mean of the tray that. */
  | { readonly why: 'lamp-too-weak'; readonly share: number; readonly meanShare: number }
  /** Even at its farthest and shortest the strongest spot gets this many times the most that is good. */
  | { readonly why: 'lamp-too-strong'; readonly times: number }
  /** Where the dose is right in the middle, the edge gets this share of the least. */
  | { readonly why: 'tray-wider-than-light'; readonly share: number }
  /** It would suit at this many hours, more than the crop bears. */
  | { readonly why: 'hours-beyond-crop'; readonly hours: Hours }
  /** It would suit this near, nearer than the lamp's heat allows. */
  | { readonly why: 'heat'; readonly distance: Metres }
  /** It would suit at this strength, more than the leaves bear. */
  | { readonly why: 'leaf-ceiling'; readonly ppfd: Ppfd }
  /** The sun alone is so strong when the sky is clear that it scorches leaves: no lamp mends it. */
  | { readonly why: 'sun-too-strong'; readonly ppfd: Ppfd };

/** One setting and what it gives. */
export interface Setting {
  readonly distance: Metres;
  readonly hours: Hours;
  readonly weakest: Dli;
  readonly mean: Dli;
  readonly strongest: Dli;
  /** Of the leaf area, how much is in the crop's band. */
  readonly shareInBand: Share;
}

export interface Solution {
  /**
   * Settings that put the whole tray into the crop's band; null when there are none. Any of these distances goes with any of these
   * hours: what suits only together with one another is left out.
   */
  readonly distances: { readonly from: Metres; readonly to: Metres } | null;
  readonly hours: { readonly from: Hours; readonly to: Hours } | null;
  /** The best of them, or, when there are none, the one that comes nearest. */
  readonly best: Setting;
  readonly limits: readonly Limit[];
}

/** What the lamps have to keep to, daylight taken off already. */
interface Bounds {
  readonly hoursMin: Hours;
  readonly hoursMax: Hours;
  readonly ppfdMax: Ppfd;
  readonly nearest: Metres;
}

/** What is asked: the crop's stage and what may not be done to it, the daylight, and how near the leaves may come to the lamp. */
export interface SolveTask {
  readonly stage: Stage;
  readonly limits: HardLimits;
  readonly daylight: Daylight | null;
  readonly clearance: Metres;
}

/** A stage as the lamps see it, that burn along with the daylight. */
function leftFor({ stage, limits, daylight, clearance }: SolveTask): { stage: Stage; bounds: Bounds } {
  if (!daylight || daylight.dli <= 0)
    return { stage, bounds: { hoursMin: stage.hoursMin, hoursMax: limits.longestDay, ppfdMax: limits.strongest, nearest: clearance } };
  const less = (dose: Dli) => Math.max(0, dose - daylight.dli);
  const byDay = (daylight.to_min - daylight.from_min) / 60;
  return {
    stage: { ...stage, dliMin: less(stage.dliMin), dliTarget: Math.max(0.01, less(stage.dliTarget)), dliMax: less(stage.dliMax) },
    bounds: {
      hoursMin: byDay >= stage.hoursMin ? PIN : stage.hoursMin,
      hoursMax: limits.longestDay,
      ppfdMax: Math.max(0, limits.strongest - usualPeakOf(daylight)),
      nearest: clearance,
    },
  };
}

/** The lamps' hours around the middle of the daylight. */
const dayWith = (hours: Hours, daylight: Daylight | null): LightDay => {
  const lit_min = hours * 60;
  return { on_min: daylight ? (daylight.from_min + daylight.to_min - lit_min) / 2 : 0, lit_min, pause: null, daylight };
};

/** Timers move in quarters of an hour. */
const PIN: Hours = 0.25;

/**
 * Distances and hours that put the weakest and the strongest spot of a tray into the crop's band.
 *
 * At each distance of the profile the hours that suit are an interval with a closed form,
 *
 *     max(h_min, DLI_min / (k · weakest))  ≤  h  ≤  min(h_max, DLI_max / (k · strongest)),   k = 0.0036
 *
 * provided the strongest spot stays under the leaf's ceiling beside the usual noon, and a clear day by itself does not scorch; daylight is taken off the doses and the ceiling first, where it comes from
 * one side at nine spots of the tray each by itself. Hours are then put on the timer's quarters.
 *
 * @param profile   from very near (below the heat clearance too, so that heat can be named as the limit) to far
 * Checked against brute force over distances and hours in solve.test.ts.
 */
export function solve(profile: Profile, asked: SolveTask, fixed: Fixed): Solution {
  const { stage, bounds } = leftFor(asked);
  const candidates = candidatesOf(profile, fixed);
  const suiting = scorches(clearDayOf(asked), asked.limits) ? [] : settingsWithin(candidates, asked, bounds, fixed);
  if (suiting.length > 0) {
    const best = suiting
      .map((s) => bestOf(s, asked, stage, fixed))
      .reduce((a, b) => (scoreOf(b, stage, fixed) < scoreOf(a, stage, fixed) ? b : a));
    // The band that holds the best setting, not what lies beyond a gap.
    const { distances, hours } = rectangleAround(runAround(suiting, candidates, best.distance), best);
    return { distances, hours, best: withDaylight(best, asked.daylight), limits: [] };
  }
  const nearest = candidates.filter((c) => c.distance >= bounds.nearest - 1e-9);
  const best = closest(nearest.length > 0 ? nearest : candidates, asked, stage, bounds, fixed);
  return {
    distances: null,
    hours: null,
    best: withDaylight(best, asked.daylight),
    limits: limitsOf(candidates, asked, stage, bounds, fixed),
  };
}

/** Distances at which the lamps may hang, given the hours that the person has chosen; null where these are too long for the crop. */
export function suitingDistances(profile: Profile, asked: SolveTask, hours: Hours): { from: Metres; to: Metres } | null {
  // Fewer hours than usual are not wrong in themselves.
  const stage = { ...asked.stage, hoursMin: Math.min(asked.stage.hoursMin, hours) };
  return solve(profile, { ...asked, stage }, { what: 'hours', hours }).distances;
}

/** Doses of a setting are told with the daylight in them. */
const withDaylight = (s: Setting, daylight: Daylight | null): Setting => {
  const more = daylight?.dli ?? 0;
  return more > 0 ? { ...s, weakest: s.weakest + more, mean: s.mean + more, strongest: s.strongest + more } : s;
};

/**
 * The largest stretch of distances and hours around the best setting of which every pair suits. Hours shrink as distances are
 * added: of all the stretches the one that leaves most room for both.
 */
function rectangleAround(
  run: readonly Suiting[],
  best: Setting,
): { distances: { from: Metres; to: Metres }; hours: { from: Hours; to: Hours } } {
  const at = run.findIndex((s) => s.at.distance === best.distance);
  let found = { i: at, j: at, from: run[at]!.from, to: run[at]!.to };
  let most = -Infinity;
  for (let i = at; i >= 0; i--) {
    let [from, to] = [-Infinity, Infinity];
    for (let k = i; k <= at; k++) [from, to] = [Math.max(from, run[k]!.from), Math.min(to, run[k]!.to)];
    for (let j = at; j < run.length; j++) {
      [from, to] = [Math.max(from, run[j]!.from), Math.min(to, run[j]!.to)];
      if (from > best.hours + 1e-9 || to < best.hours - 1e-9) break;
      // A range of one pin or one mark still has some room.
      const room = (Math.log(run[j]!.at.distance / run[i]!.at.distance) + Math.log(STEP_OF_ROOM)) * (to - from + PIN);
      if (room > most) [most, found] = [room, { i, j, from, to }];
    }
  }
  return {
    distances: { from: run[found.i]!.at.distance, to: run[found.j]!.at.distance },
    hours: { from: found.from, to: found.to },
  };
}

/** A single distance counts as much room as from one candidate to the next. */
const STEP_OF_ROOM = 1.03;

interface Suiting {
  readonly at: AtDistance;
  readonly from: Hours;
  readonly to: Hours;
}

function candidatesOf(profile: Profile, fixed: Fixed): AtDistance[] {
  if (fixed.what === 'distance') return [atDistance(profile, fixed.distance)];
  if (fixed.what === 'strength') {
    // The mean falls with distance: the one distance that gives this strength, or the end that comes nearest.
    const i = profile.findIndex((p) => p.mean <= fixed.ppfd);
    if (i <= 0) return [profile[i === 0 ? 0 : profile.length - 1]!];
    const [a, b] = [profile[i - 1]!, profile[i]!];
    const t = Math.log(a.mean / fixed.ppfd) / Math.log(a.mean / b.mean);
    return [atDistance(profile, a.distance * (b.distance / a.distance) ** t)];
  }
  return [...profile];
}

/**
 * Hours from which the weakest spot has enough, and up to which the strongest has not too much; where daylight comes from one side
 * each of the nine spots by itself, as far under and over as the weakest and the strongest of all spots are.
 */
function hoursFor(at: AtDistance, { stage, daylight }: SolveTask): Span {
  const more = daylightDli({ daylight });
  const sky = at.nine && more > 0 ? daylight?.course?.nine : undefined;
  const [under, above] = sky ? [Math.min(...at.nine!) - at.weakest, at.strongest - Math.max(...at.nine!)] : [0, 0];
  const spots = sky
    ? at.nine!.map((lamps, i) => ({ low: lamps - under, high: lamps + above, sky: more * sky[i]! }))
    : [{ low: at.weakest, high: at.strongest, sky: more }];
  const hours = (dose: Dli, lamps: Ppfd) => dose / (MOL_SECONDS * Math.max(0, lamps));
  return {
    // Where daylight alone is enough, none.
    from: Math.max(...spots.map((s) => (s.sky >= stage.dliMin ? 0 : hours(stage.dliMin - s.sky, s.low)))),
    to: Math.min(...spots.map((s) => hours(stage.dliMax - s.sky, s.high))),
  };
}

/** The strongest spot of lamps and a usual noon, less that noon in the mean of the tray. */
function strengthOf(at: AtDistance, { daylight }: SolveTask): Ppfd {
  if (!daylight || daylight.dli <= 0) return at.strongest;
  const peak = usualPeakOf(daylight);
  return strongestBeside(at, peak, daylight.course?.nine) - peak;
}

interface Span {
  readonly from: Hours;
  readonly to: Hours;
}

/** Doses of the lamps at a setting, and of daylight what a spot gets more or less of it than the mean. */
function dosesAt(at: AtDistance, hours: Hours, { daylight }: SolveTask): Spots<Dli> {
  const k = hours * MOL_SECONDS;
  const more = daylightAtSpots(at, dayWith(hours, daylight));
  return {
    weakest: at.weakest * k + more.weakest - more.mean,
    mean: at.mean * k,
    strongest: at.strongest * k + more.strongest - more.mean,
  };
}

function settingsWithin(candidates: readonly AtDistance[], asked: SolveTask, bounds: Bounds, fixed: Fixed): Suiting[] {
  const found: Suiting[] = [];
  for (const at of candidates) {
    if (at.distance < bounds.nearest - 1e-9 || strengthOf(at, asked) > bounds.ppfdMax) continue;
    const suits = hoursFor(at, asked);
    let from = Math.max(bounds.hoursMin, suits.from);
    let to = Math.min(bounds.hoursMax, suits.to);
    if (fixed.what === 'hours') {
      if (fixed.hours < from - 1e-9 || fixed.hours > to + 1e-9) continue;
      from = to = fixed.hours;
    } else if (fixed.what === 'dose') {
      const hours = fixed.dli / (MOL_SECONDS * at.mean);
      if (hours < from || hours > to) continue;
      from = to = hours;
    } else {
      from = Math.ceil(from / PIN - 1e-9) * PIN;
      to = Math.floor(to / PIN + 1e-9) * PIN;
    }
    if (from <= to) found.push({ at, from, to });
  }
  return found;
}

function settingAt(at: AtDistance, hours: Hours, asked: SolveTask): Setting {
  const share = shareInBand(at, asked.stage, dayWith(hours, asked.daylight));
  return { distance: at.distance, hours, ...dosesAt(at, hours, asked), shareInBand: share };
}

function bestOf({ at, from, to }: Suiting, asked: SolveTask, stage: Stage, fixed: Fixed): Setting {
  const wish = fixed.what === 'dose' ? fixed.dli : stage.dliTarget;
  const hours = wish / (MOL_SECONDS * at.mean);
  return settingAt(at, Math.min(to, Math.max(from, from === to ? from : Math.round(hours / PIN) * PIN)), asked);
}

/** Nearest to the crop's best dose; among equals the more even, then the fewer hours. Lower is better. */
function scoreOf(s: Setting, stage: Stage, fixed: Fixed): number {
  const wish = fixed.what === 'dose' ? fixed.dli : stage.dliTarget;
  return Math.abs(Math.log(s.mean / wish)) - 0.3 * (s.weakest / s.strongest) + 0.1 * (s.hours / stage.hoursMax);
}

function runAround(suiting: readonly Suiting[], candidates: readonly AtDistance[], distance: Metres): Suiting[] {
  const place = new Map(candidates.map((c, i) => [c.distance, i]));
  let run: Suiting[] = [];
  for (const s of suiting) {
    const before = run[run.length - 1];
    if (before && place.get(s.at.distance)! !== place.get(before.at.distance)! + 1) {
      if (before.at.distance >= distance) break;
      run = [];
    }
    run.push(s);
  }
  return run;
}

/** What comes nearest when nothing suits: by the loss that advice goes by too, of leaf area out of range and how far it is out. */
function closest(candidates: readonly AtDistance[], asked: SolveTask, stage: Stage, bounds: Bounds, fixed: Fixed): Setting {
  let best: Setting | null = null;
  let least = Infinity;
  for (const at of candidates) {
    const tries =
      fixed.what === 'hours'
        ? [fixed.hours]
        : fixed.what === 'dose'
          ? [Math.min(bounds.hoursMax, Math.max(bounds.hoursMin, fixed.dli / (MOL_SECONDS * at.mean)))]
          : Array.from({ length: Math.floor((bounds.hoursMax - bounds.hoursMin) / PIN + 1e-9) + 1 }, (_, i) => bounds.hoursMin + i * PIN);
    for (const hours of tries) {
      const loss = lossOf(at, asked.stage, asked.limits, dayWith(hours, asked.daylight));
      if (loss < least - 1e-9) [best, least] = [settingAt(at, hours, asked), loss];
    }
  }
  return best ?? settingAt(candidates[0]!, Math.min(bounds.hoursMax, stage.hoursMin), asked);
}

/** Which single limit, let go, would make it possible; and if none would, why the lamp and the tray do not go together. */
function limitsOf(candidates: readonly AtDistance[], asked: SolveTask, stage: Stage, bounds: Bounds, fixed: Fixed): Limit[] {
  const clearDay = clearDayOf(asked);
  if (scorches(clearDay, asked.limits)) return [{ why: 'sun-too-strong', ppfd: clearDay.noonPpfd }];
  const limits: Limit[] = [];
  const without = (change: Partial<Bounds>) => settingsWithin(candidates, asked, { ...bounds, ...change }, fixed);
  const nearer = without({ nearest: 0 });
  if (nearer.length > 0) limits.push({ why: 'heat', distance: nearer[nearer.length - 1]!.at.distance });
  const longer = without({ hoursMax: 24 });
  if (longer.length > 0) limits.push({ why: 'hours-beyond-crop', hours: Math.min(...longer.map((s) => s.from)) });
  const stronger = without({ ppfdMax: Infinity });
  if (stronger.length > 0) limits.push({ why: 'leaf-ceiling', ppfd: Math.min(...stronger.map((s) => strengthOf(s.at, asked))) });
  if (limits.length > 0) return limits;

  const allowed = candidates.filter((c) => c.distance >= bounds.nearest - 1e-9);
  const usable = allowed.length > 0 ? allowed : candidates;
  const longest = fixed.what === 'hours' ? fixed.hours : bounds.hoursMax;
  const shortest = fixed.what === 'hours' ? fixed.hours : bounds.hoursMin;
  const most = usable.map((c) => dosesAt(c, longest, asked));
  const brightest = Math.max(...most.map((d) => d.strongest));
  const bestWeakest = Math.max(...most.map((d) => d.weakest));
  const weak: Limit = {
    why: 'lamp-too-weak',
    share: bestWeakest / stage.dliMin,
    meanShare: Math.max(...most.map((d) => d.mean)) / stage.dliMin,
  };
  const mildest = Math.min(
    ...usable.map((c) => Math.max(dosesAt(c, shortest, asked).strongest / stage.dliMax, strengthOf(c, asked) / bounds.ppfdMax)),
  );
  if (brightest < stage.dliMin) return [weak];
  if (mildest > 1) return [{ why: 'lamp-too-strong', times: mildest }];
  // Somewhere the middle is right: what does the edge get at best while nothing is too strong?
  const edge = Math.max(
    0,
    ...usable.map((c) => {
      const hours = Math.min(longest, hoursFor(c, asked).to);
      return strengthOf(c, asked) > bounds.ppfdMax || hours < shortest ? 0 : dosesAt(c, hours, asked).weakest / stage.dliMin;
    }),
  );
  const wide: Limit = { why: 'tray-wider-than-light', share: edge };
  // Dim at the edge wherever it hangs, and nowhere strong enough to be let burn longer: the lamp is weak as well.
  return bestWeakest < stage.dliMin ? [wide, weak] : [wide];
}
