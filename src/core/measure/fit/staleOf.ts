import { maintenance } from '../../things/lamp/ageing';
import type { Lamp } from '../../things/lamp/Lamp';
import type { Hours, Share } from '../../units/quantities';
import { litOf, type LitLamp } from '../../site/reading/Reading';
import type { Tier } from '../../site/stand/Site';
import type { Fit } from '../../site/reading/Fit';

/** Why a fit may no longer hold. */
export type Stale = 'moved' | 'other-lamps' | 'other-sides' | 'new-readings' | 'aged';

/** Lamps within this of where they were have not moved. */
const HERE = 0.02; // m; the place of a hand's tape
/** A lamp that has lost this much since is no longer what was measured. */
const FADED: Share = 0.05; // a third of a grower's tolerance; our estimate

/**
 * Why the fit in force may no longer hold; empty: it does.
 *
 * @param lampOf  lamps as on their boxes
 * @param burned  hours that the lamps have burned since
 */
export function staleOf(tier: Tier, fit: Fit, lampOf: (id: string) => Lamp | undefined, burned: Hours): Stale[] {
  const stale: Stale[] = [];
  const now = litOf(tier);
  const kinds = (lit: readonly LitLamp[]) => lit.map((l) => l.lampId).sort().join(' '); // prettier-ignore
  if (kinds(now) !== kinds(fit.lit)) stale.push('other-lamps');
  else if (
    fit.lit.some(
      (then) => !now.some((l) => l.lampId === then.lampId && Math.hypot(l.dx - then.dx, l.dy - then.dy, l.face - then.face) < HERE),
    )
  )
    stale.push('moved');
  const materials = new Set(Object.values(tier.enclosure.faces));
  if (fit.sides && Object.keys(fit.sides.reflectances).some((m) => !materials.has(m))) stale.push('other-sides');
  if (tier.readings.some((r) => r.taken_ms > fit.made_ms && !r.leftOut)) stale.push('new-readings');
  const faded = fit.lamps.some(({ lampId }) => {
    const lamp = lampOf(lampId);
    return lamp && 1 - fadedSince(lamp, fit.used_h, burned) > FADED;
  });
  if (faded) stale.push('aged');
  return stale;
}

/** Share of its measured output that a lamp still gives after so many hours more. */
export function fadedSince(lamp: Pick<Lamp, 'family' | 'life_h' | 'maintenanceAtEnd'>, used_h: Hours | null, burned: Hours): Share {
  const then = used_h ?? 0;
  return maintenance(lamp, then + Math.max(0, burned)) / maintenance(lamp, then);
}

/** Hours that the lamps of a tier have burned between two moments, lit for so long each day. */
export const burnedBetween = (from_ms: number, to_ms: number, hoursADay: Hours): Hours =>
  Math.max(0, (to_ms - from_ms) / 86_400_000) * hoursADay;
