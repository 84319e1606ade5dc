import { runningCost } from '../cost/runningCost';
import { tables } from '../library/tables';
import type { BenchAnswer } from '../bench/BenchQuestion';
import type { Hours, Metres, Share } from '../quantities';
import { benchStandOf } from '../stand/benchStand';
import { faultsOf } from '../stand/faults';
import { rememberTiers } from '../stand/rememberTiers';
import type { Site } from '../stand/Site';
import { applyMove } from './applyMove';
import { missOf } from './missOf';
import { hoursOf } from './movesFor';
import { roughJudge } from './roughLight';

/** Which tier's height and hours are to be set best. */
export interface SettingsQuestion {
  readonly site: Site;
  readonly standId: string;
  readonly tierId: string;
  readonly answer: BenchAnswer;
}

/** One height and one day for a tier, and what they give. */
export interface TierSetting {
  /** Steps up from where the lamps hang now. */
  readonly steps: number;
  readonly lift: Metres;
  readonly hours: Hours;
  readonly on_min: number;
  /** Of the area of all trays of the tier, each by its own crop. */
  readonly shareInBand: Share;
  /** Weakest over strongest of the tray that is least even. */
  readonly evenness: Share;
  /** Mean dose over the best dose, the mean over the trays. */
  readonly doseOfBest: number;
  readonly costPerMonth: number;
  readonly miss: number;
}

export interface SettingsFor {
  readonly all: readonly TierSetting[];
  readonly best: TierSetting | null;
  readonly now: TierSetting | null;
}

/** As far as lamps are moved, m. */
const REACH: Metres = 0.3;

/**
 * Every height that the lamps of a tier can have and every day that its crops bear, with what each gives: the best one, and
 * the frontier between evenness, dose and cost.
 *
 * The best has the largest share of leaf area in band; among those within one per cent of it the least miss, then the least cost.
 */
export function settingsFor({ site, standId, tierId, answer }: SettingsQuestion): SettingsFor {
  const look = rememberTiers();
  const standIn = (s: Site) =>
    benchStandOf(
      s,
      s.stands.find((x) => x.id === standId)!,
      tables,
      look,
    );
  const now = standIn(site);
  const judge = roughJudge(now, answer);
  const tier = now.tiers.find((t) => t.tier.id === tierId)!;
  const trayIds = new Set(tier.trays.map((y) => y.tray.id));
  const stages = new Map(tier.trays.map((y) => [y.tray.id, y.stage]));
  const step = Math.max(0, ...tier.tier.fittings.map((f) => (f.hanger.kind === 'fixed' ? 0 : f.hanger.step)));
  if (trayIds.size === 0 || tier.lamps.length === 0) return { all: [], best: null, now: null };
  const power = tier.lamps.reduce((sum, l) => sum + l.lamp.power, 0);
  const before = new Set(faultsOf(now).map((f) => f.why + f.thingId));
  // Steps finer than a centimetre are put together.
  const stride = step > 0 ? Math.max(1, Math.round(0.01 / step)) : 1;
  const most = step > 0 ? Math.floor(REACH / (step * stride)) : 0;
  const days = [
    { on_min: tier.programme.on_min, lit_min: tier.programme.lit_min },
    ...hoursOf(tier.programme, now, site).flatMap((m) => (m.do === 'hours' ? [{ on_min: m.on_min, lit_min: m.lit_min }] : [])),
  ];
  const all: TierSetting[] = [];
  let current: TierSetting | null = null;
  for (let i = -most; i <= most; i++) {
    const steps = i * stride;
    const hung = applyMove(site, { do: 'hang', tierId, steps });
    if (faultsOf(standIn(hung)).some((f) => !before.has(f.why + f.thingId))) continue;
    for (const [j, day] of days.entries()) {
      const stand = standIn(j === 0 ? hung : applyMove(hung, { do: 'hours', programmeId: tier.programme.id, ...day }));
      const fares = judge({ ...stand, tiers: stand.tiers.filter((t) => t.tier.id === tierId) });
      const area = fares.reduce((sum, f) => sum + f.area, 0);
      const setting: TierSetting = {
        steps,
        lift: steps * step,
        hours: day.lit_min / 60,
        on_min: day.on_min,
        shareInBand: fares.reduce((sum, f) => sum + f.area * f.shareInBand, 0) / area,
        evenness: Math.min(...fares.map((f) => (f.strongest > 0 ? f.weakest / f.strongest : 0))),
        doseOfBest: fares.reduce((sum, f) => sum + f.mean / stages.get(f.trayId)!.dliTarget, 0) / fares.length,
        costPerMonth: runningCost(power, day.lit_min / 60, site.price_per_kWh).perMonth,
        miss: missOf(stand, fares, trayIds),
      };
      if (steps === 0 && j === 0) current = setting;
      all.push(setting);
    }
  }
  const top = Math.max(...all.map((s) => s.shareInBand));
  const near = all.filter((s) => s.shareInBand >= top - 0.01);
  const best = near.reduce((a, b) => (b.miss + 0.002 * b.costPerMonth < a.miss + 0.002 * a.costPerMonth ? b : a));
  return { all, best, now: current };
}

export type Against = 'cost' | 'evenness';

/**
 * Settings that no other beats both in the share of leaf area in band and in the other thing: the even ones, or the cheap
 * ones. From the cheapest, or the least even, on.
 */
export function frontierOf(all: readonly TierSetting[], against: Against): TierSetting[] {
  const other = (s: TierSetting) => (against === 'cost' ? -s.costPerMonth : s.evenness);
  const sorted = [...all].sort((a, b) => other(b) - other(a) || b.shareInBand - a.shareInBand || a.miss - b.miss);
  const kept: TierSetting[] = [];
  for (const s of sorted) if (kept.length === 0 || s.shareInBand > kept[kept.length - 1]!.shareInBand + 1e-9) kept.push(s);
  return against === 'cost' ? kept : kept.reverse();
}
