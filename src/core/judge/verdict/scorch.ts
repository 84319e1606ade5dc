import type { Dli, Ppfd } from '../../units/quantities';
import type { Stage } from '../../things/crop/Crop';
import type { ClearDay } from '../dli/LightDay';

/**
 * Sun behind glass beyond this many times a leaf's strongest PPFD scorches it on days that bring more than its dose: our convention; the
 * crop table has its ceilings for the light of whole days, and as ±40 %.
 */
const SCORCH = 1.5;

/** Leaves and what they bear: the strongest light of whole days, and the largest dose. */
export interface Bearing {
  readonly strongest: Ppfd;
  readonly dliMax: Dli;
}

/** What a stage bears. */
export const bearingOf = ({ ppfdMax, dliMax }: Pick<Stage, 'ppfdMax' | 'dliMax'>): Bearing => ({ strongest: ppfdMax, dliMax });

/** Daylight beyond which leaves are scorched on days that bring too much as well. */
export const scorchingPpfd = ({ strongest }: Pick<Bearing, 'strongest'>): Ppfd => SCORCH * strongest;

/**
 * Whether the sun of a clear day scorches leaves. An hour of morning sun within its dose harms none; the same strength on a day that brings
 * too much does.
 */
export const scorches = ({ noonPpfd, clearDli }: ClearDay, bearing: Bearing): boolean =>
  noonPpfd > scorchingPpfd(bearing) && clearDli > bearing.dliMax;
