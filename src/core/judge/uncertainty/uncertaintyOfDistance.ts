import type { Uncertainty } from './Band';

/** How exactly a lamp is hung over leaves: half-width of a nine-in-ten band, cm. Our estimate, by tape over uneven leaves. */
export const HAND_ERROR_cm = 1;

/** By how much of itself the light at a spot grows when the leaves are a centimetre nearer, and falls when they are farther. */
export interface PerCentimetre {
  readonly nearer: number;
  readonly farther: number;
}

/** @param here  PPFD as planned; @param nearer  with the leaves 1 cm nearer to the lamp; @param farther  1 cm farther away */
export const perCentimetre = (nearer: number, here: number, farther: number): PerCentimetre =>
  here > 0 ? { nearer: nearer / here - 1, farther: 1 - farther / here } : { nearer: 0, farther: 0 };

/** The same as a doubt to be shown: how much an error of a centimetre in the distance changes the mean light. */
export const uncertaintyOfDistance = ({ nearer, farther }: PerCentimetre): Uncertainty => ({
  why: 'distance',
  low: Math.abs(farther),
  high: Math.abs(nearer),
  source: 'computed: the leaves 1 cm lower or higher than stated',
});
