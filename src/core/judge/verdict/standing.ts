import type { Stage } from '../../things/crop/Crop';
import type { Received } from '../dli/LightDay';
import { isTooLong, isTooStrong, type HardLimits } from './hardLimits';
import { scorches } from './scorch';

/** What the light of a day does to a tray, in one word; the sentences are made in `ui/`. */
export type Says = 'dark' | 'in-range' | 'edge-dim' | 'all-dim' | 'spot-strong' | 'all-strong' | 'dim-and-strong' | 'day-too-long';

/** The same in fewer words: for lists, timers and charts. */
export type Standing = 'suits' | 'short' | 'much' | 'uneven' | 'long';

const STANDINGS: Readonly<Record<Says, Standing>> = {
  dark: 'short',
  'all-dim': 'short',
  'edge-dim': 'short',
  'in-range': 'suits',
  'spot-strong': 'much',
  'all-strong': 'much',
  'dim-and-strong': 'uneven',
  'day-too-long': 'long',
};

export const standingOf = (says: Says): Standing => STANDINGS[says];

/** Doses and strengths that are the same but for the last figures of a computer. */
const ROUNDING = 1e-9;

/**
 * Judges what a tray gets in a day by its weakest and its strongest spot: the one judgement that check, bench, hours, chart,
 * plans and overview share. There is no grace at the ends of a band; how sure it is, is told apart from it.
 */
export function saysOf(received: Received, stage: Pick<Stage, 'dliMin' | 'dliMax'>, limits: HardLimits): Says {
  const { weakest, mean, strongest } = received;
  if (strongest <= 0) return 'dark';
  if (isTooLong(received, limits)) return 'day-too-long';
  const dim = (dose: number) => dose < stage.dliMin * (1 - ROUNDING);
  const over = (dose: number) => dose > stage.dliMax * (1 + ROUNDING);
  const strong = over(strongest) || isTooStrong(received.litPpfd, limits) || scorches(received, limits);
  if (dim(strongest)) return strong ? 'dim-and-strong' : 'all-dim';
  if (over(weakest)) return 'all-strong';
  if (dim(weakest)) return strong ? 'dim-and-strong' : dim(mean) ? 'all-dim' : 'edge-dim';
  if (strong) return over(mean) ? 'all-strong' : 'spot-strong';
  return 'in-range';
}
