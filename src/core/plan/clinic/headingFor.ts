import type { BenchTier, BenchTray } from '../../answer/stand/benchStand';
import { judgeTray } from '../../answer/bench/judgeTray';
import type { TrayLight } from '../../answer/bench/BenchQuestion';
import { plantAfter, stateOf, type Plant, type PlantState } from '../../judge/growth/Plant';
import type { Received } from '../../judge/dli/LightDay';
import type { Certainty } from '../../judge/uncertainty/certainty';
import { hardLimitsOf } from '../../judge/verdict/hardLimits';
import { heightAt } from '../../things/crop/heightAt';
import type { Crop, Stage } from '../../things/crop/Crop';
import { stays } from '../../things/crop/stays';
import type { Share } from '../../units/quantities';
import { receivedAtNinths } from './circumstancesOf';

/** A tray that goes wrong if nothing is changed, and before it shows. */
export interface Heading {
  readonly trayId: string;
  readonly towards: Exclude<PlantState, 'sound'>;
  /** Days from now until it shows. */
  readonly days: number;
  /** Of the nine places of the tray those where it happens. */
  readonly places: readonly number[];
  /** How much of the least dose the worst place gets; over the largest for burning. */
  readonly share: Share;
  readonly certainty: Certainty;
}

/** As far ahead as it is looked: the next stage has other needs, and weather and hands change things. */
const AHEAD_days = 14;

/**
 * Whether a tray is heading for trouble: its plants grown on from as they are by the light that each of its nine places gets today, hour
 * for hour, by the growth model of judge/growth. What shows already is not foretold.
 *
 * @returns null for plants without an age, for those that stay, and where all goes well
 */
export function headingFor(tier: BenchTier, tray: BenchTray, light: TrayLight): Heading | null {
  const { batch, crop } = tray;
  const age = batch.age;
  if (age === undefined || age < 0 || stays(crop)) return null;
  const usual = heightAt(crop, age);
  const start: Plant = { age, height: Math.min(tray.plantHeight, usual * 1.29), grown: age, harm: 0, missed: 0 };
  const nine = receivedAtNinths(tray, light);
  const found = nine.map((got) => firstTrouble(start, got, crop, batch.plan));
  const first = found.filter((f) => f !== null).sort((a, b) => a.days - b.days)[0];
  if (!first) return null;
  const places = found.flatMap((f, i) => (f && f.towards === first.towards && f.days <= first.days + 2 ? [i] : []));
  const stage = stageAt(crop, age);
  const share =
    first.towards === 'burnt'
      ? Math.max(...places.map((p) => nine[p]!.mean)) / stage.dliMax
      : Math.min(...places.map((p) => nine[p]!.mean)) / stage.dliMin;
  return {
    trayId: tray.tray.id,
    towards: first.towards,
    days: first.days,
    places,
    share,
    certainty: judgeTray(tier, tray, light).verdict.certainty,
  };
}

function firstTrouble(start: Plant, got: Received, crop: Crop, plan: BenchTray['batch']['plan']) {
  let plant = start;
  for (let days = 1; days <= AHEAD_days; days++) {
    const stage = stageAt(crop, plant.age);
    plant = plantAfter(plant, { ...got, dli: got.mean, heat: 0 }, crop, stage, hardLimitsOf(stage, crop, plan, plant.age));
    const state = stateOf(plant, crop);
    if (state !== 'sound') return { towards: state, days };
  }
  return null;
}

const stageAt = (crop: Crop, age: number): Stage => crop.stages.findLast((s) => (s.fromDay ?? 0) <= age) ?? crop.stages[0]!;
