import { scaled } from '../../judge/dli/LightSpread';
import type { Dimming } from '../../site/ownLamps/dimmings';
import type { Profile } from './Profile';
import { solve, type SolveTask, type Fixed, type Solution } from './solve';

/** A solution together with the setting of the dimmers; null: as they are set now. */
export interface DimmedSolution extends Solution {
  readonly dimming: Dimming | null;
}

/** So much more of the tray in range is worth turning a dimmer where no setting suits. */
const WORTH_TURNING = 0.05; // our choice

/** Doses that are this near to each other are alike. */
const AS_NEAR = 0.02; // our choice: less than any reading tells

/** The light of the profile with its lamps so many times as bright. */
const brighter = (profile: Profile, by: number): Profile =>
  profile.map((at) => ({ ...scaled(at, by), distance: at.distance, centre: at.centre * by }));

/**
 * Distances, hours and a setting of the dimmers that put a tray into its band. Dimmers stay as they are where that suits; else
 * they are turned to the setting that comes nearest to the wished dose, of those that come as near to the one that is turned
 * least; and where no setting of them suits, to the one with which most of the tray is in range.
 *
 * @param dimmings  the settings that all lamps have together, that of now among them; none: they have no dimmers
 */
export function solveDimmed(profile: Profile, asked: SolveTask, fixed: Fixed, dimmings: readonly Dimming[]): DimmedSolution {
  const now: DimmedSolution = { ...solve(profile, asked, fixed), dimming: null };
  if (now.distances) return now;
  const turned = dimmings
    .filter(({ by }) => by !== 1)
    .sort((a, b) => Math.abs(Math.log(a.by)) - Math.abs(Math.log(b.by)))
    .map((dimming): DimmedSolution => ({ ...solve(brighter(profile, dimming.by), asked, fixed), dimming }));
  const suiting = turned.filter((s) => s.distances);
  const wish = fixed.what === 'dose' ? fixed.dli : asked.stage.dliTarget;
  const off = ({ best }: Solution) => Math.abs(Math.log(best.mean / wish));
  if (suiting.length > 0) return suiting.reduce((a, b) => (off(b) < off(a) - AS_NEAR ? b : a));
  const most = turned.reduce((a, b) => (b.best.shareInBand > a.best.shareInBand ? b : a), now);
  return most.best.shareInBand > now.best.shareInBand + WORTH_TURNING ? most : now;
}
