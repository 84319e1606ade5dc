import type { Stage } from '../crop/Crop';
import { lightBandOf, type LightBand } from '../dose/lightBand';
import { MOL_SECONDS } from '../dose/dli';
import type { AreaStats } from '../light/field/statsOver';
import type { Hours, Share } from '../quantities';
import { banded, type Banded, type Doubt } from '../uncertainty/Band';

/** What the light does to a tray, in one word; the sentences are made in `ui/`. */
export type Says = 'dark' | 'in-range' | 'edge-dim' | 'all-dim' | 'spot-strong' | 'all-strong' | 'dim-and-strong';

/** How sure that word is, given the band of uncertainty. */
export type Certainty = 'sure' | 'likely' | 'open';

export interface Verdict {
  readonly says: Says;
  readonly certainty: Certainty;
  readonly weakest: Banded;
  readonly mean: Banded;
  readonly strongest: Banded;
  readonly band: LightBand;
  /** The strongest spot is over the leaf's ceiling though its dose is not. */
  readonly strengthBinds: boolean;
  readonly hoursTooLong: boolean;
  readonly hoursTooShort: boolean;
  readonly shareInBand: Share;
}

/**
 * Judges a tray by its weakest and its strongest spot against what the crop asks.
 *
 * Doses in mol m⁻² d⁻¹. `certainty`: sure when both ends of the band say the same, likely when one end does, open otherwise.
 */
export function judge(stats: AreaStats, shareInBand: Share, stage: Stage, hours: Hours, doubts: readonly Doubt[]): Verdict {
  const k = hours * MOL_SECONDS;
  const band = lightBandOf(stage, hours);
  const dose = (ppfd: number) => banded(ppfd * k, doubts);
  const [weakest, mean, strongest] = [dose(stats.weakest.ppfd), dose(stats.mean), dose(stats.strongest.ppfd)];
  const highDose = band.high * k;
  const word = (side: 'value' | 'low' | 'high') => wordFor(weakest[side], mean[side], strongest[side], stage.dliMin, highDose);
  const says = word('value');
  const agreeing = [word('low'), word('high')].filter((w) => w === says).length;
  return {
    says,
    certainty: agreeing === 2 ? 'sure' : agreeing === 1 ? 'likely' : 'open',
    weakest,
    mean,
    strongest,
    band,
    strengthBinds: band.highBy === 'strength' && stats.strongest.ppfd > stage.ppfdMax,
    hoursTooLong: hours > stage.hoursMax,
    hoursTooShort: hours > 0 && hours < stage.hoursMin,
    shareInBand,
  };
}

function wordFor(weakest: number, mean: number, strongest: number, low: number, high: number): Says {
  if (strongest <= 0) return 'dark';
  if (strongest < low) return 'all-dim';
  if (weakest > high) return 'all-strong';
  if (weakest < low && strongest > high) return 'dim-and-strong';
  if (weakest < low) return mean < low ? 'all-dim' : 'edge-dim';
  if (strongest > high) return mean > high ? 'all-strong' : 'spot-strong';
  return 'in-range';
}
