import { answerBench } from '../bench/answerBench';
import type { BenchAnswer } from '../bench/BenchQuestion';
import { questionOfStand } from '../bench/questionOfStand';
import { runningCost } from '../cost/runningCost';
import { lightBandOf } from '../dose/lightBand';
import { MOL_SECONDS } from '../dose/dli';
import { shareWithin } from '../light/field/statsOver';
import type { Recall } from '../light/scene/Recall';
import type { Dli, Ppfd, Share } from '../quantities';
import type { BenchStand, BenchTier } from '../stand/benchStand';
import { plantAreaOf } from '../stand/footprint';
import type { Site } from '../stand/Site';
import { missOf, missOfTray } from './missOf';
import type { Fare } from './roughLight';

/** How the trays in question fare, all together. */
export interface Effect {
  /** At the weakest spot of the tray that fares worst, and at the strongest. */
  readonly weakest: Dli;
  readonly strongest: Dli;
  /** Of the area of the trays in question. */
  readonly shareInBand: Share;
  readonly costPerMonth: number;
  readonly miss: number;
  readonly fares: readonly Fare[];
}

/** What all lamps of a stand cost to run for a month. */
export function costOf(stand: BenchStand, site: Site): number {
  return stand.tiers.reduce((sum, t) => sum + runningCost(t.lamps.reduce((w, l) => w + l.lamp.power, 0), t.hours, site.price_per_kWh).perMonth, 0); // prettier-ignore
}

type LightOfTray = { readonly weakest: Ppfd; readonly mean: Ppfd; readonly strongest: Ppfd; share(low: Ppfd, high: Ppfd): Share };
type LightOfTrays = (tier: BenchTier, trayId: string) => LightOfTray | null;

/** The light of trays as an answer of the engine has it, with some more everywhere. */
export const lightOfAnswer =
  (answer: BenchAnswer, more = 0): LightOfTrays =>
  (tier, trayId) => {
    const light = answer.tiers[tier.tier.id]?.trays[trayId];
    const tray = tier.trays.find((y) => y.tray.id === trayId)!;
    return (
      light && {
        weakest: light.stats.weakest.ppfd + more,
        mean: light.stats.mean + more,
        strongest: light.stats.strongest.ppfd + more,
        share: (low, high) => shareWithin(light.map, [plantAreaOf(tray.tray)], low - more, high - more),
      }
    ) ?? null; // prettier-ignore
  };

/** The light after a change: tiers that stay as they were, as they were; the others in full, with the light of other tiers as it was. */
export function lightAfter(now: BenchStand, answer: BenchAnswer, after: BenchStand, recall: Recall): LightOfTrays {
  const made = new Map<string, LightOfTrays>();
  return (tier, trayId) => {
    const was = now.tiers.find((t) => t.tier.id === tier.tier.id);
    if (was?.tier === tier.tier) return lightOfAnswer(answer)(tier, trayId);
    let light = made.get(tier.tier.id);
    if (!light) {
      const question = questionOfStand(after, null);
      const alone = answerBench({ ...question, tiers: question.tiers.filter((t) => t.id === tier.tier.id) }, recall);
      const lights = Object.values(answer.tiers[tier.tier.id]?.trays ?? {});
      const spill = lights.reduce((sum, l) => sum + l.spillShare * l.stats.mean, 0) / (lights.length || 1);
      light = lightOfAnswer(alone, was && tier.hours > 0 ? spill * (was.hours / tier.hours) : 0);
      made.set(tier.tier.id, light);
    }
    return light(tier, trayId);
  };
}

/** How the trays in question fare under the given light. */
export function effectOf(stand: BenchStand, site: Site, light: LightOfTrays, trayIds: ReadonlySet<string>): Effect {
  const fares = stand.tiers.flatMap((t) =>
    t.trays.flatMap(({ tray, stage }): Fare[] => {
      const l = light(t, tray.id);
      if (!l) return [];
      const k = t.hours * MOL_SECONDS;
      const band = lightBandOf(stage, t.hours);
      const area = plantAreaOf(tray);
      return [
        {
          trayId: tray.id,
          weakest: l.weakest * k,
          mean: l.mean * k,
          strongest: l.strongest * k,
          strongestPpfd: l.strongest,
          shareInBand: l.share(band.low, band.high),
          area: (area.x1 - area.x0) * (area.y1 - area.y0),
        },
      ];
    }),
  );
  const asked = fares.filter((f) => trayIds.has(f.trayId));
  const area = asked.reduce((sum, f) => sum + f.area, 0);
  const worst = asked.find((f) => f.trayId === worstOf(stand, fares, trayIds));
  return {
    weakest: worst?.weakest ?? 0,
    strongest: worst?.strongest ?? 0,
    shareInBand: area > 0 ? asked.reduce((sum, f) => sum + f.area * f.shareInBand, 0) / area : 0,
    costPerMonth: costOf(stand, site),
    miss: missOf(stand, fares, trayIds),
    fares,
  };
}

/** The tray in question that is farthest from right. */
export function worstOf(stand: BenchStand, fares: readonly Fare[], trayIds: ReadonlySet<string>): string | null {
  const stages = new Map(stand.tiers.flatMap((t) => t.trays.map((y) => [y.tray.id, y.stage] as const)));
  let worst: { id: string; miss: number } | null = null;
  for (const f of fares) {
    if (!trayIds.has(f.trayId)) continue;
    const miss = missOfTray(f, stages.get(f.trayId)!);
    if (!worst || miss > worst.miss) worst = { id: f.trayId, miss };
  }
  return worst?.id ?? null;
}
