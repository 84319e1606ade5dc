import type { Radians } from '../../units/quantities';

const RAD = Math.PI / 180;

/**
 * How much the air lifts the sun at sea level, by its height without air.
 *
 * Source: NOAA Global Monitoring Laboratory, solar calculation details (after Meeus 1998, ch. 16).
 */
export function refractionOf(elevation: Radians): Radians {
  const el = elevation / RAD;
  if (el > 85) return 0;
  const tan = Math.tan(elevation);
  const seconds =
    el > 5
      ? 58.1 / tan - 0.07 / tan ** 3 + 0.000086 / tan ** 5
      : el > -0.575
        ? 1735 + el * (-518.2 + el * (103.4 + el * (-12.79 + el * 0.711)))
        : -20.774 / tan;
  return (seconds / 3600) * RAD;
}
