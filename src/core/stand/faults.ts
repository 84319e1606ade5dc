import { CONTINUOUS_SHARE } from '../power/loadsOf';
import type { Kilograms, Metres, Watts } from '../quantities';
import { isRoofed, LAMP_HEADROOM } from './Enclosure';
import type { BenchLamp, BenchStand, BenchTier, BenchTray } from './benchStand';
import { outlineOf, outlineOfFitting } from './footprint';

/** A mistake in how a stand is set up, named while it is made. `thingId` is the lamp, tray or tier it is about. */
export type Fault =
  | { readonly why: 'lamp-beyond-tier'; readonly thingId: string; readonly by: Metres }
  | { readonly why: 'lamp-in-shelf'; readonly thingId: string; readonly by: Metres }
  | { readonly why: 'leaves-in-heat'; readonly thingId: string; readonly trayId: string; readonly distance: Metres; readonly least: Metres }
  | { readonly why: 'leaves-above-lamp'; readonly thingId: string; readonly trayId: string; readonly by: Metres }
  | { readonly why: 'tray-over-edge'; readonly thingId: string; readonly by: Metres }
  | { readonly why: 'trays-overlap'; readonly thingId: string; readonly otherId: string }
  | { readonly why: 'plants-too-tall'; readonly thingId: string; readonly by: Metres }
  | { readonly why: 'shelf-overloaded'; readonly thingId: string; readonly weight: Kilograms; readonly load: Kilograms }
  | { readonly why: 'hanger-overloaded'; readonly thingId: string; readonly weight: Kilograms; readonly load: Kilograms }
  | { readonly why: 'strip-overloaded'; readonly thingId: string; readonly power: Watts; readonly allowed: Watts };

/** A tray full of moist mix, for each litre of its outline: growers' consensus, 0.7–1.0 kg. */
const WET_MIX_KG_PER_LITRE = 0.85;

/** Things that touch are not over the edge. */
const HAIR: Metres = 0.002;

/** So far a lamp may hang out over an open edge before it counts as a mistake. */
const OVERHANG: Metres = 0.05;

/** Weight of a watered tray. */
export const weightOf = ({ tray }: Pick<BenchTray, 'tray'>): Kilograms =>
  tray.length * tray.width * tray.height * 1000 * WET_MIX_KG_PER_LITRE;

/** Everything that is wrong with a stand as it is set up; nothing here is about too little or too much light. */
export function faultsOf(stand: BenchStand): Fault[] {
  const faults = stand.tiers.flatMap((t) => [
    ...t.lamps.flatMap((l) => lampFaults(t, l)),
    ...t.trays.flatMap((y, i) => trayFaults(t, y, t.trays.slice(i + 1))),
    ...shelfFaults(t),
  ]);
  const { strip, plugged } = stand.stand;
  const lamps = stand.tiers.reduce((sum, t) => sum + t.lamps.reduce((s, l) => s + l.lamp.power, 0), 0);
  const power = plugged.reduce((sum, p) => sum + p.power, lamps);
  if (strip !== null && power > CONTINUOUS_SHARE * strip)
    faults.push({ why: 'strip-overloaded', thingId: stand.stand.id, power, allowed: CONTINUOUS_SHARE * strip });
  return faults;
}

function lampFaults(t: BenchTier, { fitting, lamp }: BenchLamp): Fault[] {
  const faults: Fault[] = [];
  const r = outlineOfFitting(fitting, lamp);
  const { tier } = t;
  const walled = (name: 'left' | 'right' | 'front' | 'back') => tier.enclosure.faces[name] !== 'open';
  // Over an open edge a lamp may hang out a little; through a side it cannot go.
  const past = (name: 'left' | 'right' | 'front' | 'back', by: Metres) => (walled(name) || by > OVERHANG ? by : 0);
  const beyond = Math.max(past('left', -r.x0), past('right', r.x1 - tier.width), past('front', -r.y0), past('back', r.y1 - tier.depth));
  if (beyond > HAIR) faults.push({ why: 'lamp-beyond-tier', thingId: fitting.id, by: beyond });
  const { height } = tier.enclosure;
  if (isRoofed(tier.enclosure) && fitting.face > height - LAMP_HEADROOM + HAIR)
    faults.push({ why: 'lamp-in-shelf', thingId: fitting.id, by: fitting.face - (height - LAMP_HEADROOM) });
  for (const { tray, canopy } of t.trays) {
    const o = outlineOf(tray);
    if (!(o.x0 < r.x1 && r.x0 < o.x1 && o.y0 < r.y1 && r.y0 < o.y1)) continue;
    const distance = fitting.face - canopy;
    if (distance <= 0) faults.push({ why: 'leaves-above-lamp', thingId: fitting.id, trayId: tray.id, by: -distance });
    else if (distance < lamp.heatClearance - 1e-6)
      faults.push({ why: 'leaves-in-heat', thingId: fitting.id, trayId: tray.id, distance, least: lamp.heatClearance });
  }
  const { load } = fitting.hanger;
  if (load !== null && lamp.weight_kg > load) faults.push({ why: 'hanger-overloaded', thingId: fitting.id, weight: lamp.weight_kg, load });
  return faults;
}

function trayFaults({ tier }: BenchTier, { tray, canopy }: BenchTray, others: readonly BenchTray[]): Fault[] {
  const faults: Fault[] = [];
  const r = outlineOf(tray);
  const over = Math.max(-r.x0, r.x1 - tier.width, -r.y0, r.y1 - tier.depth);
  if (over > HAIR) faults.push({ why: 'tray-over-edge', thingId: tray.id, by: over });
  if (isRoofed(tier.enclosure) && canopy > tier.enclosure.height)
    faults.push({ why: 'plants-too-tall', thingId: tray.id, by: canopy - tier.enclosure.height });
  for (const other of others) {
    const o = outlineOf(other.tray);
    const shared = Math.min(Math.min(r.x1, o.x1) - Math.max(r.x0, o.x0), Math.min(r.y1, o.y1) - Math.max(r.y0, o.y0));
    if (shared > HAIR) faults.push({ why: 'trays-overlap', thingId: tray.id, otherId: other.tray.id });
  }
  return faults;
}

/** The shelf carries its trays. Lamps hang from the shelf above or from the frame, and are left to their hangers. */
function shelfFaults(t: BenchTier): Fault[] {
  const { load, id } = t.tier;
  const weight = t.trays.reduce((sum, y) => sum + weightOf(y), 0);
  return load !== null && weight > load ? [{ why: 'shelf-overloaded', thingId: id, weight, load }] : [];
}
