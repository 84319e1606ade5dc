import { dimmedTo, FULL, LEAST_SETTING, settingsOf } from '../../things/lamp/dimming';
import type { Share } from '../../units/quantities';
import type { Fitting } from '../stand/Site';

/** A setting to which all lamps of a tier can be put together, and how many times as bright as now they are then. */
export interface Dimming {
  readonly to: Share;
  readonly by: number;
}

/** The settings that the lamps of a tier have together, the brightest first; none where one of them has no dimmer. */
export function dimmingsOf(fittings: readonly Fitting[]): Dimming[] {
  const dimmer = fittings[0]?.own?.dimmer;
  if (!dimmer || !fittings.every((f) => f.own?.dimmer)) return [];
  const now = dimmedTo(dimmer, fittings[0]!.dim ?? FULL).light;
  return settingsOf(dimmer)
    .filter((to) => to >= LEAST_SETTING)
    .map((to) => ({ to, by: dimmedTo(dimmer, to).light / now }));
}
