import type { Crop, Stage } from '../crop/Crop';
import { middleDayOf } from '../crop/heightAt';
import type { BenchAnswer } from '../bench/BenchQuestion';
import { lampShareOf } from '../dose/Daylight';
import { MOL_SECONDS } from '../dose/dli';
import { growthOf } from '../growth/growthOf';
import type { TrayStrength } from '../programme/wishedHours';
import type { Hours, Metres } from '../quantities';
import type { BenchTier, BenchTray } from '../stand/benchStand';
import type { Day } from '../units/day';
import type { TrayDay } from './HangChart';
import { lightTableOf, type CanopyRange, type LightTable } from './lightTable';

/** How a tier is set: its lamps so far up from where they hang now, and so many risers under each tray. */
export interface TierSetting {
  readonly lift: Metres;
  readonly risers: Readonly<Record<string, number>>;
}

/** What a tray asks for on a day. */
interface TrayState {
  readonly stage: Stage;
  readonly age: number;
  readonly phase: 'before' | 'growing' | 'left';
  readonly height: Metres;
  /** It wants its light: it is up, or may be up by tomorrow. */
  readonly needed: boolean;
}

/** Leaves in the heat of a lamp weigh more than any dose that is off, and more the deeper they are in it. */
const IN_HEAT = 10;
const IN_HEAT_PER_METRE = 200;
/** Doses this near to the band count as in it, and a setting this near to the best as good as it, in logarithms: lamps are not climbed up to for less. */
export const NEAR = 0.05; // 5 %: less than any reading tells; our choice

/** One tier through the days: its trays growing under lamps that can be hung otherwise. */
export class TierCourse {
  /** Every height that the lamps can have. */
  readonly lifts: readonly Metres[];
  private readonly states: readonly (readonly TrayState[])[];
  private readonly strengths = new Map<number, TrayStrength>();
  private readonly best = new Map<number, number>();

  readonly table: LightTable;

  /** @param answer  the engine's light of the stand now */
  constructor(
    readonly tier: BenchTier,
    answer: BenchAnswer,
    private readonly from: Day,
    days: number,
  ) {
    const { daylight } = tier.tier;
    this.states = tier.trays.map((y) =>
      Array.from({ length: days }, (_, i) => {
        const state = stateOf(y, from + i);
        // Of an undated tray the daylight is off already.
        return y.batch.sown === null ? state : { ...state, stage: lampShareOf(state.stage, daylight) };
      }),
    );
    this.table = lightTableOf(tier, answer, new Map(tier.trays.map(({ tray }, i) => [tray.id, this.rangeOf(i)])));
    const { table } = this;
    // Steps finer than a centimetre are put together.
    const stride = table.step > 0 ? Math.max(1, Math.round(0.01 / table.step)) * table.step : 0;
    const count = (reach: Metres) => (stride > 0 ? Math.floor((reach + 1e-9) / stride) : 0);
    this.lifts = Array.from({ length: count(-table.lowest) + count(table.highest) + 1 }, (_, i) => (i - count(-table.lowest)) * stride);
  }

  get now(): TierSetting {
    return { lift: 0, risers: Object.fromEntries(this.tier.trays.map(({ tray }) => [tray.id, tray.risers])) };
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

  canopy(tray: number, risers: number, day: Day): Metres {
    const { tray: y } = this.tier.trays[tray]!;
    return risers * y.riserHeight + y.height + this.state(tray, day).height;
  }

  /** The light on a tray; the same place under the same lamps is looked up once. */
  strength(tray: number, lift: Metres, risers: number, day: Day): TrayStrength {
    const canopy = this.canopy(tray, risers, day);
    // Tenths of a millimetre, and trays and lifts apart from each other.
    const key = (Math.round(canopy * 1e4) * 64 + tray) * 4096 + Math.round((lift - this.table.lowest) * 1000);
    let found = this.strengths.get(key);
    if (!found) this.strengths.set(key, (found = this.table.strengthAt(this.tier.trays[tray]!.tray.id, lift, canopy)));
    return found;
  }

  /** How far a tray is from its band on a day; 0 within it. */
  trayMiss(tray: number, lift: Metres, risers: number, day: Day, hours: Hours): number {
    const { stage, needed } = this.state(tray, day);
    if (!needed) return 0;
    const { face, least } = this.table.over(this.tier.trays[tray]!.tray.id, lift);
    const room = face - this.canopy(tray, risers, day) - least;
    const { weakest, strongest } = this.strength(tray, lift, risers, day);
    const k = Math.max(1e-6, hours * MOL_SECONDS);
    const over = (value: number, most: number) => Math.max(0, Math.log(Math.max(1e-9, value) / most));
    return (
      (room < -1e-6 ? IN_HEAT - IN_HEAT_PER_METRE * room : 0) +
      over(stage.dliMin, Math.max(1e-6, weakest * k)) +
      over(strongest * k, stage.dliMax) +
      over(strongest, stage.ppfdMax)
    );
  }

  miss(setting: TierSetting, day: Day, hours: Hours): number {
    return this.tier.trays.reduce((sum, { tray }, i) => sum + this.trayMiss(i, setting.lift, setting.risers[tray.id]!, day, hours), 0);
  }

  /** The least that any setting of the tier misses on a day. */
  leastMiss(day: Day, hours: Hours): number {
    const key = (day - this.from) * 1441 + Math.round(hours * 60);
    let least = this.best.get(key);
    if (least === undefined) {
      least = Math.min(
        ...this.lifts.map((lift) =>
          this.tier.trays.reduce(
            (sum, { tray }, i) => sum + Math.min(...riserChoices(tray.risers).map((r) => this.trayMiss(i, lift, r, day, hours))),
            0,
          ),
        ),
      );
      this.best.set(key, least);
    }
    return least;
  }

  /** Whether a day is as good as it can be. */
  ok(setting: TierSetting, day: Day, hours: Hours): boolean {
    const least = this.leastMiss(day, hours);
    return this.miss(setting, day, hours) <= least + NEAR + Math.min(NEAR, 0.1 * least);
  }

  /** From a day on, the first on which a setting is no longer as good as can be. */
  firstBad(setting: TierSetting, from: Day, until: Day, hours: Hours): Day {
    for (let day = from; day <= until; day++) if (!this.ok(setting, day, hours)) return day;
    return until + 1;
  }

  /** How good a setting is over some days: its misses, and a little for being off the best dose. */
  score(setting: TierSetting, from: Day, to: Day, hours: Hours): number {
    let sum = 0;
    for (let day = from; day <= to; day++) {
      sum += this.miss(setting, day, hours);
      this.tier.trays.forEach(({ tray }, i) => {
        const { stage, needed } = this.state(i, day);
        if (!needed) return;
        const dose = this.strength(i, setting.lift, setting.risers[tray.id]!, day).mean * hours * MOL_SECONDS;
        sum += 0.1 * Math.abs(Math.log(Math.max(1e-6, dose) / stage.dliTarget));
      });
    }
    return sum / (to - from + 1);
  }

  /** For every height of the lamps the risers that suit it best over some days. */
  settings(now: TierSetting, from: Day, to: Day, hours: Hours): TierSetting[] {
    return this.lifts.map((lift) => ({
      lift,
      risers: Object.fromEntries(
        this.tier.trays.map(({ tray }, i) => {
          const worth = (r: number) => {
            let sum = 0;
            for (let day = from; day <= to; day++) sum += this.trayMiss(i, lift, r, day, hours);
            // Risers stay where taking one out gains nothing.
            return sum + 1e-6 * (now.risers[tray.id]! - r);
          };
          const choices = riserChoices(now.risers[tray.id]!);
          return [tray.id, choices.reduce((a, b) => (worth(b) < worth(a) ? b : a))];
        }),
      ),
    }));
  }

  /** How the trays are on a day. */
  daysOf(setting: TierSetting, day: Day, hours: Hours): TrayDay[] {
    return this.tier.trays.map(({ tray }, i): TrayDay => {
      const { stage, phase, height, needed } = this.state(i, day);
      const risers = setting.risers[tray.id]!;
      const { weakest, mean, strongest } = this.strength(i, setting.lift, risers, day);
      const k = hours * MOL_SECONDS;
      const short = weakest * k < stage.dliMin * (1 - NEAR);
      const much = strongest * k > stage.dliMax * (1 + NEAR) || strongest > stage.ppfdMax * (1 + NEAR);
      const { face, least } = this.table.over(tray.id, setting.lift);
      const distance = face - this.canopy(i, risers, day);
      return {
        tierId: this.tier.tier.id,
        trayId: tray.id,
        stage: stage.stage,
        phase,
        height,
        distance,
        weakest: weakest * k,
        mean: mean * k,
        strongest: strongest * k,
        says: !needed ? 'rest' : distance < least - 1e-6 ? 'hot' : short && much ? 'uneven' : short ? 'short' : much ? 'much' : 'suits',
      };
    });
  }
}

/** Risers can be taken out, from the highest down. */
const riserChoices = (now: number): number[] => Array.from({ length: now + 1 }, (_, i) => now - i);

function stateOf({ batch, crop, stage, plantHeight }: BenchTray, day: Day): TrayState {
  const growth = growthOf(batch, crop, day);
  if (!growth) return { stage, age: middleDayOf(crop, stage), phase: 'growing', height: plantHeight, needed: true };
  const { phase, expected, age } = growth;
  return { stage: growth.stage, age, phase, height: growth.height, needed: isNeeded(crop, phase, expected?.from ?? null, day) };
}

/** The lamp is on the day before anything may come up, and from the start over seed that wants light. */
function isNeeded(crop: Crop, phase: TrayState['phase'], mayComeUp: Day | null, day: Day): boolean {
  if (phase !== 'before') return phase === 'growing';
  return crop.germination?.light === 'needs' || (mayComeUp !== null && day >= mayComeUp - 1);
}
