import type { Crop, Stage } from '../../things/crop/Crop';
import { stays } from '../../things/crop/stays';
import type { Hours } from '../../units/quantities';

export type SchoolId = 'steady' | 'stepping' | 'day-and-night' | 'computed';

/** One way to set the hours of a stage, as growers do it. */
export interface School {
  readonly id: SchoolId;
  /** Hours at its start, and those that it comes to. */
  readonly first: Hours;
  readonly then: Hours;
  /** `refused` where the crop is known to be injured, `warned` where it may be or nobody knows. */
  readonly standing: 'offered' | 'warned' | 'refused';
  /** The work behind a warning or refusal; null for growers' consensus. */
  readonly source: string | null;
}

/** Days of day-and-night light that schools of it keep to. */
export const DAY_AND_NIGHT_DAYS = { from: 3, to: 5 } as const; // growers' consensus; longer injures tomato and aubergine, Hillman 1956

/**
 * The schools of hours for a stage; of plants that stay, which have no first days, those that are the same every day.
 *
 * @param steady    hours as they are set now
 * @param computed  hours that give the best dose at the present distance, or come nearest to it
 */
export function schoolsOf(crop: Crop, stage: Stage, steady: Hours, computed: Hours): School[] {
  const injury = crop.continuousLightInjury;
  const plain = { standing: 'offered', source: null } as const;
  const kept: School = { id: 'steady', first: steady, then: steady, ...plain };
  const worked: School = { id: 'computed', first: computed, then: computed, ...plain };
  if (stays(crop)) return [kept, worked];
  return [
    kept,
    { id: 'stepping', first: stage.hoursMax, then: stage.hoursMin, ...plain },
    {
      id: 'day-and-night',
      first: 24,
      then: computed,
      standing: injury === 'high' || injury === 'some' ? 'refused' : injury === 'low' ? 'offered' : 'warned',
      source: crop.continuousLightInjurySource,
    },
    worked,
  ];
}
