import type { Crop, Stage } from '../../things/crop/Crop';
import { heightAt } from '../../things/crop/heightAt';
import type { Dli, Metres, Share } from '../../units/quantities';
import type { Received } from '../dli/LightDay';
import { breachesOf, depthTooLong, type HardLimits } from '../verdict/hardLimits';
import { LEGGY_FROM, stretchOf } from './stretchOf';

/** One plant, and what its days have made of it. */
export interface Plant {
  /** Days since it came up. */
  readonly age: number;
  readonly height: Metres;
  /** Days of growth that it has made, each at most one. */
  readonly grown: number;
  /** What too much has done to it; from one on it is burnt. */
  readonly harm: number;
  /** mol/m² that were short of the least dose, all days together. */
  readonly missed: Dli;
}

/** The light of one day at one plant. */
export interface PlantDay extends Pick<Received, 'litPpfd' | 'noonPpfd' | 'clearDli' | 'photoperiod' | 'sunHours'> {
  readonly dli: Dli;
  /** How far into the heat of a lamp its tip is, as a share of the clearance; 0: clear of it. */
  readonly heat: Share;
}

export const PLANT_STATES = ['sound', 'leggy', 'behind', 'burnt'] as const;
export type PlantState = (typeof PLANT_STATES)[number];

/** A seedling on the day it comes up. */
export const sprout = (crop: Crop): Plant => ({ age: 0, height: heightAt(crop, 0), grown: 0, harm: 0, missed: 0 });

/** A plant that was raised well up to an age. */
export const raisedTo = (crop: Crop, age: number): Plant => ({ age, height: heightAt(crop, age), grown: age, harm: 0, missed: 0 });

/**
 * Harm of one day, as a share of what burns a plant. Twice the strongest PPFD burns in a day, a tenth over it in ten; twice the
 * largest dose in two; an hour over the longest day in twenty days, in ten where continuous light is known to injure, in forty
 * where it hardly does. Hot air burns at once where a leaf is half way into it. Signs and their order: brief of too much light
 * (bleaching from the top, tip burn); the rates are our estimates, for practice only.
 */
const HARM = { strength: 1, dose: 0.5, hour: 0.05, heat: 2 } as const;
const INJURY = { high: 2, some: 1, low: 0.5, unknown: 1 } as const;

/** A plant with less growth than this share of its days is behind. */
const BEHIND: Share = 0.85;

/**
 * A plant one day later. In height it grows as its crop's curve does, longer in too little light (see stretchOf); in growth it
 * makes a day for a day from the least dose of its stage on, less in proportion below: growth follows the dose nearly evenly
 * until it is enough (Faust et al. 2005, HortScience 40:645–649; the corner at the least dose is ours).
 */
export function plantAfter(plant: Plant, day: PlantDay, crop: Crop, stage: Stage, limits: HardLimits): Plant {
  const usual = Math.max(0, heightAt(crop, plant.age + 1) - heightAt(crop, plant.age));
  const over = {
    strength: Math.max(0, ...breachesOf(day, limits).map((b) => (b.why === 'day-too-long' ? 0 : b.ppfd / b.most - 1))),
    dose: Math.max(0, day.dli / stage.dliMax - 1),
    hours: depthTooLong(day, limits),
  };
  const harm =
    HARM.strength * over.strength +
    HARM.dose * over.dose +
    HARM.hour * INJURY[crop.continuousLightInjury ?? 'unknown'] * over.hours +
    HARM.heat * day.heat;
  return {
    age: plant.age + 1,
    height: plant.height + usual * stretchOf(crop, stage, day.dli),
    grown: plant.grown + Math.min(1, stage.dliMin > 0 ? day.dli / stage.dliMin : 1),
    harm: plant.harm + harm,
    missed: plant.missed + Math.max(0, stage.dliMin - day.dli),
  };
}

/** What has become of a plant; the worst first. One that is a day old has had no time to go wrong. */
export function stateOf(plant: Plant, crop: Crop): PlantState {
  if (plant.harm >= 1) return 'burnt';
  if (plant.height >= LEGGY_FROM * heightAt(crop, plant.age)) return 'leggy';
  return plant.age > 0 && plant.grown < BEHIND * plant.age ? 'behind' : 'sound';
}
