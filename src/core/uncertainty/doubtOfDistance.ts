import type { Doubt } from './Band';

/**
 * How much an error of a centimetre in the distance changes the mean light.
 *
 * @param nearer   mean PPFD with the canopy 1 cm nearer to the lamp
 * @param here     mean PPFD as planned, > 0
 * @param farther  mean PPFD with the canopy 1 cm farther away
 */
export function doubtOfDistance(nearer: number, here: number, farther: number): Doubt {
  const change = (value: number) => (here > 0 ? Math.abs(value / here - 1) : 0);
  return { why: 'distance', low: change(farther), high: change(nearer), source: 'computed: the leaves 1 cm lower or higher than stated' };
}
