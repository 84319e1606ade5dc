import type { Ageing } from '../../things/lamp/ageing';
import { ageingOf } from '../../site/ownLamps/ageingOf';
import type { Tier } from '../../site/stand/Site';
import type { BenchLamp } from './benchStand';

/** The age of the lamps of a kind: as doubtful as of the one of which least is known. */
export function leastKnown(tier: Tier, lamps: readonly BenchLamp[], lampId: string): Ageing {
  const ages = lamps.filter((l) => l.lamp.id === lampId).map((l) => ageingOf(tier, l.fitting));
  return ages.find((a) => a.used_h === null) ?? ages[0] ?? tier.ageing;
}
