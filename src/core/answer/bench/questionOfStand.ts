import { sceneLampOf } from '../../site/stand/emittersHung';
import { throughCover } from '../../things/container/coverLibrary';
import type { SceneLamp } from '../../light/scene/Scene';
import type { Metres } from '../../units/quantities';
import type { BenchStand, BenchTier } from '../stand/benchStand';
import { rimOf } from '../../site/stand/canopy';
import { outlineOf, plantAreaOf } from '../../site/stand/footprint';
import type { AskedTier, BenchQuestion } from './BenchQuestion';

/** Height of the plane that is shown between the trays: the highest leaf tops, or a hand above the floor of an empty tier. */
export const planeOf = ({ trays }: Pick<BenchTier, 'trays'>): Metres => (trays.length > 0 ? Math.max(...trays.map((t) => t.canopy)) : 0.1);

/**
 * A tier as it is asked about.
 *
 * @param hurried  while a hand moves something: lamps that travel have fewer stops, and are within some per cent
 */
export function askedTier(t: BenchTier, hurried = false): AskedTier {
  const highest = planeOf(t);
  return {
    id: t.tier.id,
    x: t.x,
    z: t.z,
    width: t.tier.width,
    depth: t.tier.depth,
    height: t.tier.enclosure.height,
    room: t.room,
    hours: t.hours,
    lamps: lampsOf(t, hurried ? highest - HURRIED : highest),
    ...(t.lamps.some((l) => l.fitting.travel) && { drawn: lampsOf(t, Infinity) }),
    trays: t.trays.map(({ tray, canopy }) => ({
      id: tray.id,
      outline: outlineOf(tray),
      plantArea: plantAreaOf(tray),
      canopy,
      rim: rimOf(tray),
      through: throughCover(tray),
    })),
    plane: highest,
  };
}

/** In a hurry leaves are taken to be so much farther from lamps that travel. */
const HURRIED: Metres = 0.3;

/** @param highest  the highest place that is asked about, m */
const lampsOf = (t: BenchTier, highest: Metres): SceneLamp[] =>
  t.lamps.map(({ fitting, real }) => sceneLampOf(fitting.id, real, fitting, highest));

/** Maps in cells of a centimetre, larger where a tier is wider than 1.6 m; slices, which are only looked at, in larger ones. */
export function questionOfStand(stand: BenchStand, view: BenchQuestion['view'], only: string | null = null, spill = true): BenchQuestion {
  const cell = Math.max(0.01, Math.max(stand.width, stand.depth) / 160);
  return {
    tiers: stand.tiers.map((t) => askedTier(t, only !== null)),
    view,
    cell,
    sliceCell: only === null ? 1.5 * cell : 2 * cell,
    only,
    spill,
  };
}
