import type { Daylight } from '../../site/stand/Daylight';
import type { Crop, Stage } from '../../things/crop/Crop';
import { middleDayOf } from '../../things/crop/heightAt';
import type { BenchAnswer } from '../../answer/bench/BenchQuestion';
import { lightDayOf, receivedOf, type LightDay } from '../../judge/dli/LightDay';
import { scaled, type LightSpread } from '../../judge/dli/LightSpread';
import { ageingOf } from '../../site/ownLamps/ageingOf';
import { dimmingsOf, type Dimming } from '../../site/ownLamps/dimmings';
import { growthOf } from '../../site/growth/growthOf';
import type { LitTimes } from '../../units/LitTimes';
import { FULL } from '../../things/lamp/dimming';
import { fadedTo } from '../../things/lamp/fading';
import type { Cache } from '../../light/scene/Cache';
import type { Metres } from '../../units/quantities';
import type { BenchTier, BenchTray } from '../../answer/stand/benchStand';
import type { Day } from '../../units/day';
import { AS_TODAY, type SunsOfDays } from './sunsOfDays';
import { hardLimitsOf, type HardLimits } from '../../judge/verdict/hardLimits';
import { BREACH, offTargetOf, wrongIn } from '../../judge/verdict/loss';
import { saysOf, standingOf } from '../../judge/verdict/standing';
import type { ChartMemory } from './ChartMemory';
import type { TrayDay } from './HangChart';
import { lightTableOf, type CanopyRange, type LightTable } from './lightTable';

/** How the lamps of a tier are set: so far up from where they hang now, and their dimmers. */
export interface LampSetting {
  readonly lift: Metres;
  readonly dimming: Dimming;
  /** Its place among all settings of the tier. */
  readonly index: number;
}

/** How a tier is set: its lamps, and so many risers under each tray. */
export interface CourseSetting {
  readonly lamps: LampSetting;
  readonly risers: Readonly<Record<string, number>>;
}

/** What a tray asks for on a day. */
interface TrayState {
  readonly stage: Stage;
  readonly limits: HardLimits;
  readonly age: number;
  readonly phase: 'before' | 'growing' | 'left';
  readonly height: Metres;
  /** It wants its light: it is up, or may be up by tomorrow. */
  readonly needed: boolean;
}

/** Leaves in the heat of a lamp count like a limit that is broken, the deeper the more. */
const IN_HEAT_PER_METRE = 10;
/** A setting this near to the best counts as good as it: lamps are not climbed up to for less. */
export const NEAR = 0.05; // about 5 % of a dose: less than any reading tells; our choice

/** Of lamps that have no dimmer. */
const AS_IT_IS: Dimming = { to: FULL, by: 1, draw: FULL };

/** Beside heights this many settings are enough: together they come within a tenth of any light. */
const BESIDE_HEIGHTS = 6; // our choice

/** So many heights tell whether some hours may be any good: between two of them light changes by less than a band is wide. */
const ROUGH_HEIGHTS = 12; // our choice

/** Every second setting of a dimmer that has many, that of now among them. */
const fewOf = (all: readonly Dimming[]): readonly Dimming[] =>
  all.length <= BESIDE_HEIGHTS ? all : all.filter((d, i) => i % 2 === 0 || d.by === 1);

/** One tier through the days: its trays growing under lamps that fade, and that can be hung otherwise. */
export class TierCourse {
  /** Every height that the lamps can have, from the lowest up, and at each every setting of their dimmers. */
  readonly heights: readonly (readonly LampSetting[])[];
  private readonly lampSettings: readonly LampSetting[];
  /** As the lamps hang and are set now. */
  private readonly lampsNow: LampSetting;
  private readonly states: readonly (readonly TrayState[])[];
  private readonly spreads = new Map<number, LightSpread>();
  private readonly best = new Map<string, number>();
  /** What is wrong with a tray at every setting of the lamps and on every day, by its hours and risers; NaN where nobody has asked yet. */
  private readonly wrongs = new Map<number, Float64Array>();
  private readonly fades: readonly number[];
  /** Of each tray and day the day on which all is as on it, and the plants are tallest: plants that stay ask the same for weeks. */
  private readonly alike: readonly Int32Array[];
  /** Of each day those of all trays of the tier together. */
  private readonly allAlike: readonly string[];
  /** What the engine says of a tray over what the table says, strongest spot by strongest spot. */
  private readonly corrections: number[];
  /** Of the light of each tray, how much comes from other tiers. */
  private readonly spillShares: readonly number[];

  readonly table: LightTable;

  /**
   * @param answer  the engine's light of the stand now
   * @param suns    the daylight of the trays over the days; left out: as on the first of them
   * @param cache  shared by the tiers of a stand: rooms of one size have much in common
   * @param memory  what charts before this one worked out
   */
  constructor(
    readonly tier: BenchTier,
    answer: BenchAnswer,
    private readonly from: Day,
    days: number,
    cache: Cache,
    memory: ChartMemory,
    private readonly suns: SunsOfDays = AS_TODAY,
  ) {
    this.states = tier.trays.map((y) => Array.from({ length: days }, (_, i) => stateOf(y, from + i)));
    this.table = lightTableOf(tier, answer, new Map(tier.trays.map(({ tray }, i) => [tray.id, this.rangeOf(i)])), cache, memory);
    const lamps = tier.lamps.map(({ real, fitting }) => ({ lamp: real, ageing: ageingOf(tier.tier, fitting) }));
    this.fades = Array.from({ length: days }, (_, i) => FADE_STEP * Math.round(fadedTo(lamps, i * tier.hours) / FADE_STEP));
    this.alike = this.states.map((of) =>
      tallestAlike(
        of.map((state, i) => `${keyOf(state)} ${this.fades[i]} ${suns.stretch(from + i)}`),
        of.map((state) => state.height),
      ),
    );
    this.allAlike = this.fades.map((_, i) => this.alike.map((of) => of[i]).join());
    this.corrections = tier.trays.map(() => 1);
    this.spillShares = tier.trays.map(({ tray }) => answer.tiers[tier.tier.id]?.trays[tray.id]?.spillShare ?? 0);
    const { table } = this;
    // Steps finer than a centimetre are put together.
    const stride = table.step > 0 ? Math.max(1, Math.round(0.01 / table.step)) * table.step : 0;
    const count = (reach: Metres) => (stride > 0 ? Math.floor((reach + 1e-9) / stride) : 0);
    const known = dimmingsOf(tier.tier.fittings);
    const below = count(-table.lowest);
    const dimmings = known.length === 0 ? [AS_IT_IS] : table.step > 0 ? fewOf(known) : known;
    this.heights = Array.from({ length: below + count(table.highest) + 1 }, (_, i) =>
      dimmings.map((dimming, k) => ({ lift: (i - below) * stride, dimming, index: i * dimmings.length + k })),
    );
    this.lampSettings = this.heights.flat();
    this.lampsNow = this.heights[below]!.find(({ dimming }) => dimming.by === 1)!;
  }

  get now(): CourseSetting {
    return { lamps: this.lampsNow, risers: Object.fromEntries(this.tier.trays.map(({ tray }) => [tray.id, tray.risers])) };
  }

  /** Between which heights the leaf tops of a tray will be, whatever is done with its risers. */
  private rangeOf(tray: number): CanopyRange {
    const { height, risers, riserHeight } = this.tier.trays[tray]!.tray;
    const heights = this.states[tray]!.map((s) => s.height);
    return { low: height + Math.min(...heights), high: height + risers * riserHeight + Math.max(...heights) };
  }

  state(tray: number, day: Day): TrayState {
    return this.states[tray]![day - this.from]!;
  }

  /** The hours of the lamps, and the daylight on a tray on a day: one and the same for days that are lit alike. */
  day(tray: number, times: LitTimes, day: Day): LightDay {
    return lightDayOf(times, this.daylight(tray, day));
  }

  daylight(tray: number, day: Day): Daylight | null {
    return this.suns.on(this.tier.trays[tray]!, day);
  }

  /** Whether daylight comes to any of its trays. */
  hasSun(day: Day): boolean {
    return this.tier.trays.some((_, i) => this.daylight(i, day) !== null);
  }

  canopy(tray: number, risers: number, day: Day): Metres {
    const { tray: y } = this.tier.trays[tray]!;
    return risers * y.riserHeight + y.height + this.state(tray, day).height;
  }

  /** The light of the lamps on a tray on a day. */
  light(tray: number, lamps: LampSetting, risers: number, day: Day): LightSpread {
    return scaled(this.undimmed(tray, lamps.lift, risers, day), this.strength(tray, lamps, day));
  }

  /** The light on a tray from lamps as bright as at the start; the same place under the same height is looked up once. */
  private undimmed(tray: number, lift: Metres, risers: number, day: Day): LightSpread {
    const canopy = this.canopy(tray, risers, day);
    // Tenths of a millimetre, trays and heights apart from each other.
    const key = (Math.round(canopy * 1e4) * 64 + tray) * 4096 + Math.round((lift - this.table.lowest) * 1000);
    let found = this.spreads.get(key);
    if (!found) this.spreads.set(key, (found = this.table.spreadAt(this.tier.trays[tray]!.tray.id, lift, canopy)));
    return found;
  }

  /** How many times as bright as at the start a tray's light is on a day, however far off the lamps are. */
  private strength(tray: number, { dimming }: LampSetting, day: Day): number {
    // What comes from other tiers is not dimmed along.
    const dimmed = dimming.by + (1 - dimming.by) * this.spillShares[tray]!;
    return this.fades[day - this.from]! * this.corrections[tray]! * dimmed;
  }

  /** The engine found a tray stronger than the table has it: from now on the table is that much stronger. */
  correct(tray: number, by: number): void {
    this.corrections[tray]! *= by;
    this.best.clear();
    this.wrongs.clear();
  }

  /** How far leaves are inside the heat of a lamp, or short of room for air; 0: clear of it. */
  private inHeat(tray: number, { lift }: LampSetting, risers: number, day: Day): Metres {
    const { face, least } = this.table.over(this.tier.trays[tray]!.tray.id, lift);
    const short = least - (face - this.canopy(tray, risers, day));
    return short > 1e-6 ? short : 0;
  }

  /** How much is wrong with a tray on a day; 0 within its band and limits. */
  trayWrong(tray: number, lamps: LampSetting, risers: number, day: Day, times: LitTimes): number {
    if (!this.state(tray, day).needed) return 0;
    const days = this.fades.length;
    const key = ((times.on_min * 1441 + times.lit_min) * 64 + tray) * 64 + risers;
    let known = this.wrongs.get(key);
    if (!known) this.wrongs.set(key, (known = new Float64Array(this.lampSettings.length * days).fill(NaN)));
    // Judged as on the tallest of the days that are alike, so that no leaf comes nearer to a lamp than is said.
    const alike = this.alike[tray]![day - this.from]!;
    const at = lamps.index * days + alike;
    const before = known[at]!;
    return Number.isNaN(before) ? (known[at] = this.workOutWrong(tray, lamps, risers, this.from + alike, times)) : before;
  }

  private workOutWrong(tray: number, lamps: LampSetting, risers: number, day: Day, times: LitTimes): number {
    const { stage, limits } = this.state(tray, day);
    const heat = this.inHeat(tray, lamps, risers, day);
    return (
      (heat > 0 ? BREACH * (0.2 + IN_HEAT_PER_METRE * heat) : 0) +
      wrongIn(this.light(tray, lamps, risers, day), stage, limits, this.day(tray, times, day))
    );
  }

  wrong(setting: CourseSetting, day: Day, times: LitTimes): number {
    return this.tier.trays.reduce((sum, { tray }, i) => sum + this.trayWrong(i, setting.lamps, setting.risers[tray.id]!, day, times), 0);
  }

  /** The least that is wrong with any setting of the tier on a day. */
  leastWrong(day: Day, times: LitTimes): number {
    const key = `${this.allAlike[day - this.from]} ${times.on_min} ${times.lit_min}`;
    const known = this.best.get(key);
    if (known !== undefined) return known;
    let least = Infinity;
    for (const lamps of this.lampSettings) {
      let sum = 0;
      for (let i = 0; i < this.tier.trays.length && sum < least; i++) sum += this.leastAt(i, lamps, day, times);
      least = Math.min(least, sum);
    }
    this.best.set(key, least);
    return least;
  }

  /** The least that is wrong with a tray under lamps as they are set, with as many of its risers as suit it. */
  private leastAt(tray: number, lamps: LampSetting, day: Day, times: LitTimes): number {
    let least = Infinity;
    for (let risers = this.tier.trays[tray]!.tray.risers; risers >= 0; risers--)
      least = Math.min(least, this.trayWrong(tray, lamps, risers, day, times));
    return least;
  }

  /** About the least, by a few of the heights and with all risers or none: for hours that are only looked at. */
  roughlyLeast(day: Day, times: LitTimes): number {
    const stride = Math.max(1, Math.floor(this.heights.length / ROUGH_HEIGHTS));
    let least = Infinity;
    for (let h = 0; h < this.heights.length; h += stride)
      for (const lamps of this.heights[h]!) {
        let sum = 0;
        for (let i = 0; i < this.tier.trays.length && sum < least; i++) {
          if (!this.state(i, day).needed) continue;
          const { risers } = this.tier.trays[i]!.tray;
          sum += Math.min(...[...new Set([risers, 0])].map((r) => this.workOutWrong(i, lamps, r, day, times)));
        }
        least = Math.min(least, sum);
      }
    return least;
  }

  /** Whether a day is as good as it can be. */
  ok(setting: CourseSetting, day: Day, times: LitTimes): boolean {
    const wrong = this.wrong(setting, day, times);
    if (wrong <= NEAR) return true; // whatever the least is
    const least = this.leastWrong(day, times);
    return wrong <= least + NEAR + Math.min(NEAR, 0.1 * least);
  }

  /** From a day on, the first on which a setting is no longer as good as can be. */
  firstBad(setting: CourseSetting, from: Day, until: Day, times: LitTimes): Day {
    for (let day = from; day <= until; day++) if (!this.ok(setting, day, times)) return day;
    return until + 1;
  }

  /** How good a setting is over some days: what is wrong with it, and a little for being off the best dose. */
  score(setting: CourseSetting, from: Day, to: Day, times: LitTimes): number {
    let sum = 0;
    for (let day = from; day <= to; day++) {
      sum += this.wrong(setting, day, times);
      this.tier.trays.forEach(({ tray }, i) => {
        const { stage, needed } = this.state(i, day);
        if (!needed) return;
        const { mean } = this.undimmed(i, setting.lamps.lift, setting.risers[tray.id]!, day);
        sum += offTargetOf({ mean: mean * this.strength(i, setting.lamps, day) }, stage, this.day(i, times, day));
      });
    }
    return sum / (to - from + 1);
  }

  /** For every setting of the lamps the risers that suit it best over some days. */
  settings(now: CourseSetting, from: Day, to: Day, times: LitTimes): CourseSetting[] {
    return this.lampSettings.map((lamps) => ({
      lamps,
      risers: Object.fromEntries(
        this.tier.trays.map(({ tray }, i) => {
          const wrong = (r: number) => {
            let sum = 0;
            for (let day = from; day <= to; day++) sum += this.trayWrong(i, lamps, r, day, times);
            // Risers stay where taking one out gains nothing.
            return sum + 1e-6 * (now.risers[tray.id]! - r);
          };
          const choices = riserChoices(now.risers[tray.id]!);
          return [tray.id, choices.reduce((a, b) => (wrong(b) < wrong(a) ? b : a))];
        }),
      ),
    }));
  }

  /**
   * How the trays are on a day.
   *
   * @param lights  the light of the lamps on each tray, from the engine; left out: as the table has it
   */
  daysOf(setting: CourseSetting, day: Day, times: LitTimes, lights?: (tray: number) => LightSpread): TrayDay[] {
    return this.tier.trays.map(({ tray }, i): TrayDay => {
      const { stage, limits, phase, height, needed } = this.state(i, day);
      const risers = setting.risers[tray.id]!;
      const light = lights?.(i) ?? this.light(i, setting.lamps, risers, day);
      const received = receivedOf(light, this.day(i, times, day));
      const { face } = this.table.over(tray.id, setting.lamps.lift);
      const hot = this.inHeat(i, setting.lamps, risers, day) > 0;
      return {
        tierId: this.tier.tier.id,
        trayId: tray.id,
        stage: stage.stage,
        phase,
        height,
        distance: face - this.canopy(i, risers, day),
        ...received,
        says: !needed ? 'rest' : hot ? 'hot' : standingOf(saysOf(received, stage, limits)),
      };
    });
  }
}

/** Lamps fade in steps of this: a quarter of a per cent is less than any meter tells, and days become alike. */
const FADE_STEP = 0.0025; // our choice
/** Plants that grow by less than this between two days are as high on both: no hand hangs a lamp so finely. */
const HEIGHT_STEP: Metres = 0.001; // our choice

/** All that is asked of a state, as text. */
const keyOf = ({ stage, limits, needed, height }: TrayState): string =>
  [stage.stage, limits.longestDay, limits.strongest, needed, Math.round(height / HEIGHT_STEP)].join();

/** Of each day that one with the same key on which plants are tallest. */
function tallestAlike(keys: readonly string[], heights: readonly number[]): Int32Array {
  const tallest = new Map<string, number>();
  keys.forEach((key, i) => {
    const other = tallest.get(key);
    if (other === undefined || heights[i]! > heights[other]!) tallest.set(key, i);
  });
  return Int32Array.from(keys, (key) => tallest.get(key)!);
}

/** Risers can be taken out, from the highest down. */
const riserChoices = (now: number): number[] => Array.from({ length: now + 1 }, (_, i) => now - i);

function stateOf({ batch, crop, stage, limits, plantHeight }: BenchTray, day: Day): TrayState {
  const growth = growthOf(batch, crop, day);
  if (!growth) return { stage, limits, age: middleDayOf(crop, stage), phase: 'growing', height: plantHeight, needed: true };
  const { phase, expected, age } = growth;
  return {
    stage: growth.stage,
    limits: hardLimitsOf(growth.stage, crop, batch.plan, age),
    age,
    phase,
    height: growth.height,
    needed: isNeeded(crop, phase, expected?.from ?? null, day),
  };
}

/** The lamp is on the day before anything may come up, and from the start over seed that wants light. */
function isNeeded(crop: Crop, phase: TrayState['phase'], mayComeUp: Day | null, day: Day): boolean {
  if (phase !== 'before') return phase === 'growing';
  return crop.germination?.light === 'needs' || (mayComeUp !== null && day >= mayComeUp - 1);
}
