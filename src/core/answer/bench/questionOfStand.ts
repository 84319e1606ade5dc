import { poseOf } from '../../site/stand/poseOf';
import { emittersOf } from '../../things/lamp/emittersOf';
import { throughCover } from '../../things/container/coverLibrary';
import type { Metres } from '../../units/quantities';
import type { BenchStand, BenchTier } from '../stand/benchStand';
import { rimOf } from '../../site/stand/canopy';
import { outlineOf, plantAreaOf } from '../../site/stand/footprint';
import type { AskedTier, BenchQuestion } from './BenchQuestion';

/** Height of the plane that is shown between the trays: the highest leaf tops, or a hand above the floor of an empty tier. */
export const planeOf = ({ trays }: Pick<BenchTier, 'trays'>): Metres => (trays.length > 0 ? Math.max(...trays.map((t) => t.canopy)) : 0.1);

/** A tier as it is asked about. */
export function askedTier(t: BenchTier): AskedTier {
  return {
    id: t.tier.id,
    x: t.x,
    z: t.z,
    width: t.tier.width,
    depth: t.tier.depth,
    height: t.tier.enclosure.height,
    room: t.room,
    hours: t.hours,
    lamps: t.lamps.map(({ fitting, real }) => ({ id: fitting.id, emitters: emittersOf(real, poseOf(fitting, real)) })),
    trays: t.trays.map(({ tray, canopy }) => ({
      id: tray.id,
      outline: outlineOf(tray),
      plantArea: plantAreaOf(tray),
      canopy,
      rim: rimOf(tray),
      through: throughCover(tray),
    })),
    plane: planeOf(t),
  };
}

/** Maps in cells of a centimetre, larger where a tier is wider than 1.6 m; slices, which are only looked at, in larger ones. */
export function questionOfStand(stand: BenchStand, view: BenchQuestion['view'], only: string | null = null, spill = true): BenchQuestion {
  const cell = Math.max(0.01, Math.max(stand.width, stand.depth) / 160);
  return { tiers: stand.tiers.map(askedTier), view, cell, sliceCell: only === null ? 1.5 * cell : 2 * cell, only, spill };
}
