import type { BenchAnswer } from '../../answer/bench/BenchQuestion';
import type { BenchStand } from '../../answer/stand/benchStand';
import type { GrownIn, Site, Stand } from '../../site/stand/Site';
import { resultsOf } from '../advice/Effect';

/** Batches of which something is written down and whose last tray was taken away between two sites. */
export function leavingOf(before: Site, after: Site): string[] {
  if (before.stands === after.stands) return [];
  // Asked at every step of a hand: what has not changed is not gone through.
  const [was, is] = [new Set(before.stands), new Set(after.stands)];
  const stands = standingOn(after.stands.filter((s) => !was.has(s)));
  const gone = [...standingOn(before.stands.filter((s) => !is.has(s)))].filter((id) => !stands.has(id));
  if (gone.length === 0) return [];
  const elsewhere = standingOn(after.stands);
  return after.batches.filter((b) => b.log.length > 0 && gone.includes(b.id) && !elsewhere.has(b.id)).map((b) => b.id);
}

const standingOn = (stands: readonly Stand[]): Set<string> =>
  new Set(stands.flatMap((s) => s.tiers.flatMap((t) => t.trays.map((y) => y.batchId))));

/** The light in which a batch stands, all its trays together; null where it stands nowhere. @param lit  stands with their light */
export function grownInOf(batchId: string, lit: readonly { readonly stand: BenchStand; readonly answer: BenchAnswer }[]): GrownIn | null {
  const trays = lit.flatMap(({ stand, answer }) => {
    const own = new Set(stand.tiers.flatMap((t) => t.trays.flatMap((y) => (y.batch.id === batchId ? y.tray.id : []))));
    return resultsOf(stand, answer).filter((r) => own.has(r.trayId));
  });
  const area_m2 = trays.reduce((sum, r) => sum + r.area, 0);
  return area_m2 > 0 ? { dli: trays.reduce((sum, r) => sum + r.mean * r.area, 0) / area_m2, area_m2 } : null;
}

/** To digits that any two windows agree on. */
export const asAgreed = (value: number) => Math.round(value * 1e4) / 1e4;

/** Writes down the light that a batch was grown in; a site in which it stands, or is not, is given back itself. */
export const withGrownIn =
  (batchId: string, { dli, area_m2 }: GrownIn) =>
  (site: Site): Site =>
    standingOn(site.stands).has(batchId) || !site.batches.some((b) => b.id === batchId)
      ? site
      : {
          ...site,
          batches: site.batches.map((b) => (b.id === batchId ? { ...b, grownIn: { dli: asAgreed(dli), area_m2: asAgreed(area_m2) } } : b)),
        };
