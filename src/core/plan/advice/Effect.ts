import { answerBench } from '../../answer/bench/answerBench';
import type { BenchAnswer } from '../../answer/bench/BenchQuestion';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import type { Tariff } from '../../judge/cost/pricesOf';
import { lampsAMonth } from '../buying/bill';
import type { Received } from '../../judge/dli/LightDay';
import type { LightSpread } from '../../judge/dli/LightSpread';
import { spreadOfMap } from '../../judge/dli/spreadOfMap';
import type { Cache } from '../../light/scene/Cache';
import type { Share } from '../../units/quantities';
import type { BenchStand, BenchTray } from '../../answer/stand/benchStand';
import { plantAreaOf, plantedAreaOf } from '../../site/stand/footprint';
import type { Breach } from '../../judge/verdict/hardLimits';
import { lightOn, lossOf, shareInBand } from '../../judge/verdict/loss';
import { shareInBandOf } from '../../judge/verdict/shareOfMap';
import { saysOf, type Says } from '../../judge/verdict/standing';
import type { LightOfTray } from './quickLight';

/** What one tray gets. */
export interface TrayResult extends Received {
  readonly trayId: string;
  readonly says: Says;
  readonly breaches: readonly Breach[];
  readonly shareInBand: Share;
  readonly loss: number;
  readonly area: number;
}

/** What the trays in question get, all together. */
export interface Effect {
  /** Of the area of the trays in question. */
  readonly shareInBand: Share;
  readonly costPerMonth: number;
  /** Of the trays in question together, each tray alike however small. */
  readonly loss: number;
  /** Of all trays of the stand. */
  readonly results: readonly TrayResult[];
}

/** What all lamps of a stand cost to run for a month, at the prices of their hours. */
export const costOf = (stand: BenchStand, site: Tariff): number => lampsAMonth(site, stand.tiers);

/** The light of a whole stand in full, spill between its tiers included: the same as is on the screen once it stands like that. */
export const engineAnswer = (stand: BenchStand, cache: Cache): BenchAnswer => answerBench(questionOfStand(stand, null), cache);

/** Minimum over mean of the dose, of the tray that is least even. */
export const uniformityOf = (results: readonly Pick<TrayResult, 'weakest' | 'mean'>[]): Share =>
  Math.min(...results.map((r) => (r.mean > 0 ? r.weakest / r.mean : 0)));

/** The result of one tray by a light. @param share  of its area in band; left out: by the spread */
export function trayResultOf(tray: BenchTray, light: LightSpread, share?: Share): TrayResult {
  const { stage, limits, day } = tray;
  const on = lightOn(light, limits, day);
  const { received, breaches } = on;
  return {
    trayId: tray.tray.id,
    ...received,
    says: saysOf(received, stage, limits),
    breaches,
    shareInBand: share ?? shareInBand(light, stage, day, on.doses),
    loss: lossOf(light, stage, limits, day, on),
    area: plantedAreaOf(tray.tray),
  };
}

/** The results of all trays of a stand by a quick light. */
export const resultsBy = (stand: BenchStand, light: LightOfTray): TrayResult[] =>
  stand.tiers.flatMap((t) => t.trays.map((y) => trayResultOf(y, light(t, y))));

/** The results of all trays of a stand as the engine has its light. */
export const resultsOf = (stand: BenchStand, answer: BenchAnswer): TrayResult[] =>
  stand.tiers.flatMap((t) =>
    t.trays.flatMap((y) => {
      const light = answer.tiers[t.tier.id]?.trays[y.tray.id];
      if (!light) return [];
      const area = [plantAreaOf(y.tray)];
      return [trayResultOf(y, spreadOfMap(light.map, area), shareInBandOf(light.map, area, y.stage, y.day))];
    }),
  );

/** What the trays in question get, all together. */
export function effectOf(stand: BenchStand, site: Tariff, results: readonly TrayResult[], trayIds: ReadonlySet<string>): Effect {
  const asked = results.filter((f) => trayIds.has(f.trayId));
  const area = asked.reduce((sum, f) => sum + f.area, 0);
  return {
    shareInBand: area > 0 ? asked.reduce((sum, f) => sum + f.area * f.shareInBand, 0) / area : 0,
    costPerMonth: costOf(stand, site),
    loss: lossOfAll(asked),
    results,
  };
}

export const lossOfAll = (results: readonly TrayResult[]): number => results.reduce((sum, f) => sum + f.loss, 0);

/** The result that is farthest from right. */
export const worstOf = (results: readonly TrayResult[]): TrayResult | undefined =>
  results.reduce<TrayResult | undefined>((a, b) => (a && a.loss >= b.loss ? a : b), undefined);
