import { faultsOf, makesWorse } from '../../answer/faults/faults';
import { benchStandOf } from '../../answer/stand/benchStand';
import { withTier } from '../../site/stand/change';
import type { Tables } from '../../things/tables/Tables';
import type { RotationKind } from '../../site/stand/Rotation';
import type { Site, Tier, Tray } from '../../site/stand/Site';
import type { Metres } from '../../units/quantities';

/** Trays whose sides differ by no more than this fit each other's places. */
const FITS: Metres = 0.005;

/** Trays of a tier that can stand in each other's places, from the left and the front on; those that fit with no other stand alone. */
export function exchangeableIn({ trays }: Pick<Tier, 'trays'>): Tray[][] {
  const groups: Tray[][] = [];
  for (const tray of [...trays].sort((a, b) => a.x - b.x || a.y - b.y)) {
    const alike = groups.find(([g]) => fitsPlaceOf(tray, g!));
    if (alike) alike.push(tray);
    else groups.push([tray]);
  }
  return groups;
}

/** Whether a tray can stand where another stands, and the other where it stands. */
export const fitsPlaceOf = (a: Tray, b: Tray): boolean =>
  near(a.length, b.length) && near(a.width, b.width) && a.turned === b.turned && near(a.risers * a.riserHeight, b.risers * b.riserHeight);
const near = (a: Metres, b: Metres) => Math.abs(a - b) <= FITS;

/** The trays of a tier after so many turns of their round: each moves on by one place of its group each time. */
export function movedOn(tier: Tier, times: number): Tier {
  const place = new Map<string, Tray>();
  for (const group of exchangeableIn(tier)) group.forEach((tray, i) => place.set(tray.id, group[(i + times) % group.length]!));
  return { ...tier, trays: tier.trays.map((y) => ({ ...y, x: place.get(y.id)!.x, y: place.get(y.id)!.y })) };
}

/** After how many turns everything is as at first. */
export function roundOf(tier: Pick<Tier, 'trays'>, kind: RotationKind): number {
  const turns = kind === 'swap' ? 1 : 2;
  const places = kind === 'turn' ? [1] : exchangeableIn(tier).map((g) => g.length);
  return places.reduce(leastCommon, turns);
}

const leastCommon = (a: number, b: number): number => (a * b) / greatestCommon(a, b);
const greatestCommon = (a: number, b: number): number => (b === 0 ? a : greatestCommon(b, a % b));

/** A turn of the round done in the document: what changes places stands elsewhere; what only turns half round stands as before. */
export const rotateTier =
  (tierId: string, kind: RotationKind) =>
  (site: Site): Site =>
    kind === 'turn'
      ? site
      : {
          ...site,
          stands: site.stands.map((s) =>
            s.tiers.some((t) => t.id === tierId)
              ? { ...s, autoArranged: false, tiers: s.tiers.map((t) => (t.id === tierId ? movedOn(t, 1) : t)) }
              : s,
          ),
        };

/** Whether a turn of swapping would put leaves into the heat of a lamp, or make anything else wrong that is not: then it is not to be done. */
export function isUnsafe(site: Site, standId: string, tierId: string, times: number, tables: Tables): boolean {
  const stand = (s: Site) => benchStandOf(s, s.stands.find((x) => x.id === standId)!, tables); // prettier-ignore
  const moved = withTier(tierId, (t) => movedOn(t, times))(site);
  return makesWorse(faultsOf(stand(site)), faultsOf(stand(moved)));
}
