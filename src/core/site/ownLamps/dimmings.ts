import { dimmedTo, FULL, LEAST_SETTING, settingsOf, type Dimmer } from '../../things/lamp/dimming';
import type { Share } from '../../units/quantities';
import type { Fitting } from '../stand/Site';

/** A setting to which all lamps of a tier can be put together, how many times as bright as now they are then, and what share of their full power they draw. */
export interface Dimming {
  readonly to: Share;
  readonly by: number;
  readonly draw: Share;
}

/** The settings that the lamps of a tier have together, that of now among them, the brightest first; none where one of them has no dimmer, or they differ. */
export function dimmingsOf(fittings: readonly Fitting[]): Dimming[] {
  const dimmer = fittings[0]?.own?.dimmer;
  const set = fittings[0]?.dim ?? FULL;
  if (!dimmer || !fittings.every((f) => (f.dim ?? FULL) === set && sameDimmer(f.own?.dimmer, dimmer))) return [];
  const now = dimmedTo(dimmer, set).light;
  // Of lamps that are dark nothing can be told by how many times they would be brighter.
  if (now <= 0) return [];
  return [...new Set([...settingsOf(dimmer), set])]
    .filter((to) => to >= LEAST_SETTING || to === set)
    .sort((a, b) => b - a)
    .map((to) => {
      const { light, draw } = dimmedTo(dimmer, to);
      return { to, by: light / now, draw };
    })
    .filter(({ by }) => by > 0);
}

/** A fitting with its dimmer turned; left as it is where no setting is given. */
export const dimmedFitting = ({ dim = FULL, ...rest }: Fitting, to: Share = dim): Fitting => (to === FULL ? rest : { ...rest, dim: to });

const sameDimmer = (a: Dimmer | null | undefined, b: Dimmer): boolean =>
  a === b || JSON.stringify([a?.steps, a?.points]) === JSON.stringify([b.steps, b.points]);
