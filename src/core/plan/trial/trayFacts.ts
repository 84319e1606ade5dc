import type { TrayInPlace } from '../../answer/bench/traysInPlace';
import type { TrayFacts, TrayHad } from '../../site/trial/Trial';
import type { Dli } from '../../units/quantities';

/** How a tray stands where it is drawn. */
export function trayFactsOf({ tier, tray }: TrayInPlace): TrayFacts {
  const faces = tier.lamps.map((l) => l.fitting.face);
  return {
    cropId: tray.crop.id,
    sown: tray.batch.sown,
    tierId: tier.tier.id,
    lamps: [...new Set(tier.lamps.map((l) => l.lamp.id))],
    distance: faces.length > 0 ? Math.min(...faces) - tray.canopy : null,
    hours: tier.hours,
    coverId: tray.tray.coverId,
    containerId: tray.tray.containerId,
  };
}

/** The mean dose of a tray that is gone, or whose trial is over; null where it was there for no day. */
export const dliOfHad = ({ mol_per_m2, days }: TrayHad): Dli | null => (days > 0 ? mol_per_m2 / days : null);
