import type { BenchAnswer } from '../../answer/bench/BenchQuestion';
import { createCache } from '../../light/scene/Cache';
import type { Hours, Metres, Share } from '../../units/quantities';
import type { BenchStand } from '../../answer/stand/benchStand';
import type { Site } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import { applyMoves } from './applyMove';
import { effectOf, engineAnswer, resultsOf, type Effect, uniformityOf } from './Effect';
import { judgeOf, type QuickSetting } from './judgeOf';
import type { Move } from './Move';

/** Which tier's height and hours are to be set best. */
export interface SettingsQuestion {
  readonly site: Site;
  readonly standId: string;
  readonly tierId: string;
  readonly answer: BenchAnswer;
}

/** One height and one day for a tier, and what they give as the engine has it. */
export interface TierSetting {
  /** What has to be done; nothing for what there is now. */
  readonly moves: readonly Move[];
  readonly lift: Metres;
  /** Setting of the dimmers; null: as it is. */
  readonly dim: Share | null;
  readonly hours: Hours;
  readonly on_min: number;
  /** Of the area of all trays of the tier, each by its own crop. */
  readonly shareInBand: Share;
  /** Minimum over mean of the dose, of the tray that is least even. */
  readonly uniformity: Share;
  /** Mean dose over the best dose, the mean over the trays. */
  readonly dliOfBest: number;
  readonly costPerMonth: number;
  readonly loss: number;
}

export interface SettingsFor {
  readonly all: readonly TierSetting[];
  readonly best: TierSetting | null;
  readonly now: TierSetting | null;
  /** How many were looked at. */
  readonly judged: number;
}

/** Of all settings so many are worked out by the engine: those that rank best by any of what is asked. */
const WORKED_OUT = 14;
/** Shares of leaf area that are as good as each other. */
const AS_GOOD: Share = 0.01;
/** What a cost that is twice as high weighs against the loss. */
const PER_COST = 0.1;

/**
 * Every height that the lamps of a tier can have, every setting of their dimmers and every day that its crops may have, with what each gives: the best one, and
 * the frontier between uniformity, dose and cost. No limit of any tray on the timer is broken, or broken more deeply than now.
 *
 * The best has the largest share of leaf area in band; among those within one per cent of it the least loss, then the least cost.
 */
export function settingsFor({ site, standId, tierId, answer }: SettingsQuestion, tables: Tables): SettingsFor {
  const judge = judgeOf({ site, standId, scope: { of: 'tier', id: tierId }, answer }, tables);
  const tier = judge.now.tiers.find((t) => t.tier.id === tierId);
  if (!tier || judge.trayIds.size === 0 || tier.lamps.length === 0) return { all: [], best: null, now: null, judged: 0 };
  const cache = createCache(1024);
  const stages = new Map(tier.trays.map((y) => [y.tray.id, y.stage]));

  function settingOf(moves: readonly Move[], stand: BenchStand, effect: Effect): TierSetting {
    const own = effect.results.filter((r) => judge.trayIds.has(r.trayId));
    const hang = moves.find((m) => m.do === 'hang');
    const { on_min, lit_min } = stand.tiers.find((t) => t.tier.id === tierId)!.timer;
    return {
      moves,
      lift: hang?.do === 'hang' ? hang.lift : 0,
      dim: moves.find((m) => m.do === 'dim')?.to ?? null,
      hours: lit_min / 60,
      on_min,
      shareInBand: effect.shareInBand,
      uniformity: uniformityOf(own),
      dliOfBest: own.reduce((sum, r) => sum + r.mean / stages.get(r.trayId)!.dliTarget, 0) / own.length,
      costPerMonth: effect.costPerMonth,
      loss: effect.loss + judge.harmOf(judge.before.results, effect.results),
    };
  }

  const now = settingOf([], judge.now, judge.before);
  const all: TierSetting[] = [now];
  for (const { moves } of worthWorkingOut(judge.settings(tierId))) {
    const next = applyMoves(site, moves, tables);
    const stand = judge.standIn(next);
    const results = resultsOf(stand, engineAnswer(stand, cache));
    if (judge.allows(judge.before.results, results)) all.push(settingOf(moves, stand, effectOf(stand, next, results, judge.trayIds)));
  }
  const top = Math.max(...all.map((s) => s.shareInBand));
  const near = all.filter((s) => s.shareInBand >= top - AS_GOOD);
  const price = (s: TierSetting) => s.loss + (now.costPerMonth > 0 ? (PER_COST * s.costPerMonth) / now.costPerMonth : 0);
  return { all, best: near.reduce((a, b) => (price(b) < price(a) ? b : a)), now, judged: judge.judged() };
}

/** A few of many: the best by loss, by the share in band, and along the frontiers, by the quick light. */
function worthWorkingOut(tried: readonly QuickSetting[]): QuickSetting[] {
  const by = (of: (s: QuickSetting) => number, n: number) => [...tried].sort((a, b) => of(a) - of(b)).slice(0, n);
  const along = (of: (s: QuickSetting) => number) => {
    const line = frontier(tried, of);
    // Evenly along the line, its ends among them.
    const n = Math.min(5, line.length);
    return Array.from({ length: n }, (_, i) => line[n === 1 ? 0 : Math.round((i * (line.length - 1)) / (n - 1))]!);
  };
  const wanted = [
    ...by((s) => s.loss, 3),
    ...by((s) => -s.shareInBand + 0.01 * s.loss, 3),
    ...along((s) => -s.costPerMonth),
    ...along((s) => s.uniformity),
  ];
  return [...new Set(wanted)].slice(0, WORKED_OUT);
}

export type Against = 'cost' | 'uniformity';

/**
 * Settings that no other beats both in the share of leaf area in band and in the other thing: the even ones, or the cheap
 * ones. From the cheapest, or the least even, on.
 */
export function frontierOf(all: readonly TierSetting[], against: Against): TierSetting[] {
  const kept = frontier(all, (s) => (against === 'cost' ? -s.costPerMonth : s.uniformity));
  return against === 'cost' ? kept : kept.reverse();
}

/** Those that no other beats both in its share in band and in another thing, of which more is better; the best in that first. */
function frontier<T extends { readonly shareInBand: Share; readonly loss: number }>(all: readonly T[], other: (s: T) => number): T[] {
  const sorted = [...all].sort((a, b) => other(b) - other(a) || b.shareInBand - a.shareInBand || a.loss - b.loss);
  const kept: T[] = [];
  for (const s of sorted) if (kept.length === 0 || s.shareInBand > kept[kept.length - 1]!.shareInBand + 1e-9) kept.push(s);
  return kept;
}
