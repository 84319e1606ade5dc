import type { Lamp } from '../../things/lamp/Lamp';
import type { Metres } from '../../units/quantities';
import { faceSizeOf, outlineOf, outlineOfFitting } from './footprint';
import { CORD } from './Hanger';
import type { LampRow } from './LampRow';
import type { Fitting, Tier, Tray } from './Site';

/** Free floor left around lamps and trays when a tier is made to fit them. */
const MARGIN: Metres = 0.06;

/** How equal trays stand: so many across and so many deep, a finger's width apart. */
export interface TrayBlock {
  readonly across: number;
  readonly deep: number;
  readonly turned: boolean;
}

const TRAY_GAP: Metres = 0.01;

/**
 * A tier of equal lamps over equal trays, both centred, and just wide enough for both.
 *
 * @param ids  gives a new id for each fitting and tray that is not there yet
 */
export function layOut(tier: Tier, lamp: Lamp, row: LampRow, tray: Tray, block: TrayBlock, face: Metres, ids: () => string): Tier {
  const size = faceSizeOf(lamp);
  const [w, d] = block.turned ? [tray.width, tray.length] : [tray.length, tray.width];
  const pitch = size.width + row.gap;
  const fittings = Array.from({ length: row.count }, (_, i): Fitting => {
    const old = tier.fittings[i];
    return {
      id: old?.id ?? ids(),
      lampId: lamp.id,
      x: 0,
      y: (i - (row.count - 1) / 2) * pitch,
      face,
      turn: 0,
      hanger: old?.hanger ?? CORD,
      ...(old?.dim === undefined ? {} : { dim: old.dim }),
    };
  });
  const trays = Array.from({ length: block.across * block.deep }, (_, i): Tray => {
    const x = ((i % block.across) - (block.across - 1) / 2) * (w + TRAY_GAP);
    const y = (Math.floor(i / block.across) - (block.deep - 1) / 2) * (d + TRAY_GAP);
    return { ...tray, id: tier.trays[i]?.id ?? ids(), x, y, turned: block.turned };
  });
  const outlines = [...fittings.map((f) => outlineOfFitting(f, lamp)), ...trays.map(outlineOf)];
  // The sides stand where the person says, but never in a lamp or a tray.
  const [needsWidth, needsDepth] = [2 * Math.max(...outlines.map((r) => r.x1)), 2 * Math.max(...outlines.map((r) => r.y1))];
  const width = Math.max(needsWidth, tier.enclosure.width ?? needsWidth + 2 * MARGIN);
  const depth = Math.max(needsDepth, tier.enclosure.depth ?? needsDepth + 2 * MARGIN);
  const centred = <T extends { x: Metres; y: Metres }>(thing: T): T => ({ ...thing, x: thing.x + width / 2, y: thing.y + depth / 2 });
  return { ...tier, width, depth, fittings: fittings.map(centred), trays: trays.map(centred) };
}

/** The row in which a tier's lamps hang, read back from their places. A single lamp has the gap that it would get. */
export function lampRowOf(tier: Tier, lamp: Lamp, gapOfOne: Metres = 0.08): LampRow {
  const [first, second] = tier.fittings;
  return { count: tier.fittings.length, gap: first && second ? Math.max(0, second.y - first.y - faceSizeOf(lamp).width) : gapOfOne };
}

/** The block in which a tier's trays stand, read back from their places. */
export function trayBlockOf(tier: Tier): TrayBlock {
  const first = tier.trays[0];
  const across = tier.trays.filter((t) => first && Math.abs(t.y - first.y) < 1e-6).length;
  return {
    across: Math.max(1, across),
    deep: Math.max(1, Math.round(tier.trays.length / Math.max(1, across))),
    turned: first?.turned ?? false,
  };
}
