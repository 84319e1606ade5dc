import type { Stage } from '../crop/Crop';
import type { Dli, Ppfd } from '../quantities';
import type { BenchStand } from '../stand/benchStand';
import type { Fare } from './roughLight';

/** Weights of what is wrong with a tray; a place out of band counts like a dose that is off by this factor. */
const OUT_OF_BAND = 1.2;

/**
 * How far a tray is from right: the shortfall at its weakest spot and the excess at its strongest, in logarithms, and the
 * share of its area that is out of band. 0: all of it suits.
 */
export function missOfTray(
  { weakest, strongest, strongestPpfd, shareInBand }: Pick<Fare, 'weakest' | 'strongest' | 'strongestPpfd' | 'shareInBand'>,
  stage: Pick<Stage, 'dliMin' | 'dliMax' | 'ppfdMax'>,
): number {
  const over = (value: Dli | Ppfd, most: number) => Math.max(0, Math.log(Math.max(value, 1e-9) / most));
  return (
    over(stage.dliMin, Math.max(weakest, 1e-6)) +
    Math.max(over(strongest, stage.dliMax), over(strongestPpfd, stage.ppfdMax)) +
    OUT_OF_BAND * (1 - shareInBand)
  );
}

/** The same for the trays that advice is asked for, each weighed by its area, and how far the means are from the crops' best. */
export function missOf(stand: BenchStand, fares: readonly Fare[], trayIds: ReadonlySet<string>): number {
  const trays = new Map(stand.tiers.flatMap((t) => t.trays.map((y) => [y.tray.id, y] as const)));
  let sum = 0, area = 0; // prettier-ignore
  for (const fare of fares) {
    if (!trayIds.has(fare.trayId)) continue;
    const { stage } = trays.get(fare.trayId)!;
    const away = Math.abs(Math.log(Math.max(fare.mean, 1e-6) / stage.dliTarget));
    sum += fare.area * (missOfTray(fare, stage) + 0.1 * away);
    area += fare.area;
  }
  return area > 0 ? sum / area : 0;
}
