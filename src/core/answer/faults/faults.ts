import { bodyOutlineOf, topOfFaceOf, topOfFitting } from '../../site/stand/poseOf';
import { clearanceOf } from '../../things/lamp/clearanceOf';
import { apparentPowerOf, apparentPowerOfThing } from '../power/apparentPower';
import { CONTINUOUS_SHARE } from '../power/loadsOf';
import type { Kilograms, Metres, VoltAmperes } from '../../units/quantities';
import type { BenchLamp, BenchStand, BenchTier, BenchTray } from '../stand/benchStand';
import { isCovered, roofOf } from '../stand/roofOf';
import { outlineOf } from '../../site/stand/footprint';

/** A mistake in how a stand is set up, named while it is made. `thingId` is the lamp, tray or tier it is about. */
export type Fault =
  | { readonly why: 'lamp-beyond-tier'; readonly thingId: string; readonly by: Metres }
  | { readonly why: 'lamp-in-shelf'; readonly thingId: string; readonly by: Metres }
  | { readonly why: 'lamps-collide'; readonly thingId: string; readonly otherId: string; readonly by: Metres }
  | { readonly why: 'leaves-in-heat'; readonly thingId: string; readonly trayId: string; readonly distance: Metres; readonly least: Metres }
  | { readonly why: 'leaves-above-lamp'; readonly thingId: string; readonly trayId: string; readonly by: Metres; readonly least: Metres }
  | { readonly why: 'tray-over-edge'; readonly thingId: string; readonly by: Metres }
  | { readonly why: 'trays-overlap'; readonly thingId: string; readonly otherId: string; readonly by: Metres }
  | { readonly why: 'plants-too-tall'; readonly thingId: string; readonly by: Metres }
  | { readonly why: 'shelf-overloaded'; readonly thingId: string; readonly weight: Kilograms; readonly load: Kilograms }
  | { readonly why: 'hanger-overloaded'; readonly thingId: string; readonly weight: Kilograms; readonly load: Kilograms }
  | { readonly why: 'strip-overloaded'; readonly thingId: string; readonly power: VoltAmperes; readonly allowed: VoltAmperes };

/** What a fault is about: leaves in the heat of a lamp and leaves above it are one fault, less deep and deeper. */
function keyOf(f: Fault): string {
  const why = f.why === 'leaves-above-lamp' ? 'leaves-in-heat' : f.why;
  return [why, f.thingId, 'trayId' in f ? f.trayId : '', 'otherId' in f ? f.otherId : ''].join(' ');
}

/** How bad a fault is, in its own unit: of one kind, more is worse. */
export function sizeOf(f: Fault): number {
  switch (f.why) {
    case 'leaves-in-heat':
      return f.least - f.distance;
    case 'leaves-above-lamp':
      return f.least + f.by;
    case 'shelf-overloaded':
    case 'hanger-overloaded':
      return f.weight / f.load - 1;
    case 'strip-overloaded':
      return f.power / f.allowed - 1;
    default:
      return f.by;
  }
}

/** Whether a change makes something wrong that was not, or makes something that is wrong worse. */
export function makesWorse(before: readonly Fault[], after: readonly Fault[]): boolean {
  const sizes = new Map(before.map((f) => [keyOf(f), sizeOf(f)]));
  return after.some((f) => sizeOf(f) > (sizes.get(keyOf(f)) ?? 0) + 1e-6);
}

/** Moist mix: growers' consensus, 0.7–1.0 kg a litre. */
const WET_MIX_KG_PER_LITRE = 0.85;

/** Things that touch are not over the edge. */
const TOLERANCE: Metres = 0.002;

/** So far a lamp may hang out over an open edge before it counts as a mistake. */
const OVERHANG: Metres = 0.05;

/** Water from below stands about so high in a tray when it has just been watered: growers' consensus. */
const WATER_STANDING: Metres = 0.01;

/** Weight of a tray that has just been watered: its mix, and the water that it stands in. */
export const weightOf = ({ tray, mix_L }: Pick<BenchTray, 'tray' | 'mix_L'>): Kilograms =>
  mix_L * WET_MIX_KG_PER_LITRE + tray.length * tray.width * Math.min(tray.height, WATER_STANDING) * 1000;

/** Everything that is wrong with a stand as it is set up; nothing here is about too little or too much light. */
export function faultsOf(stand: BenchStand): Fault[] {
  const faults = stand.tiers.flatMap(faultsOfTier);
  const { strip, plugged } = stand.stand;
  const lamps = stand.tiers.reduce((sum, t) => sum + t.lamps.reduce((s, l) => s + apparentPowerOf(l.lamp), 0), 0);
  const power = plugged.reduce((sum, p) => sum + apparentPowerOfThing(p), lamps);
  if (strip !== null && power > CONTINUOUS_SHARE * strip)
    faults.push({ why: 'strip-overloaded', thingId: stand.stand.id, power, allowed: CONTINUOUS_SHARE * strip });
  return faults;
}

/** Of tiers that were looked at: a search changes one after the other, and most stay as they are. */
const known = new WeakMap<BenchTier, readonly Fault[]>();

function faultsOfTier(t: BenchTier): readonly Fault[] {
  let faults = known.get(t);
  if (!faults)
    known.set(
      t,
      (faults = [
        ...t.lamps.flatMap((l, i) => [...lampFaults(t, l), ...collisions(l, t.lamps.slice(i + 1))]),
        ...t.trays.flatMap((y, i) => trayFaults(t, y, t.trays.slice(i + 1))),
        ...shelfFaults(t),
      ]),
    );
  return faults;
}

function lampFaults(t: BenchTier, { fitting, lamp }: BenchLamp): Fault[] {
  const faults: Fault[] = [];
  const r = bodyOutlineOf(fitting, lamp);
  const { tier } = t;
  const walled = (name: 'left' | 'right' | 'front' | 'back') => tier.enclosure.faces[name] !== 'open';
  // Over an open edge a lamp may hang out a little; through a side it cannot go.
  const past = (name: 'left' | 'right' | 'front' | 'back', by: Metres) => (walled(name) || by > OVERHANG ? by : 0);
  const beyond = Math.max(past('left', -r.x0), past('right', r.x1 - tier.width), past('front', -r.y0), past('back', r.y1 - tier.depth));
  if (beyond > TOLERANCE) faults.push({ why: 'lamp-beyond-tier', thingId: fitting.id, by: beyond });
  const tooHigh = topOfFaceOf(fitting, lamp) - roofOf(t);
  if (tooHigh > TOLERANCE) faults.push({ why: 'lamp-in-shelf', thingId: fitting.id, by: tooHigh });
  const least = clearanceOf(lamp);
  for (const { tray, canopy, plantHeight, leaves: o } of t.trays) {
    const [dx, dy] = [gap(r.x0, r.x1, o.x0, o.x1), gap(r.y0, r.y1, o.y0, o.y1)];
    const under = dx < 0 && dy < 0;
    if (under && canopy >= fitting.face) {
      faults.push({ why: 'leaves-above-lamp', thingId: fitting.id, trayId: tray.id, by: canopy - fitting.face, least });
      continue;
    }
    // The hot body warms to every side: what counts is the shortest way from it to a leaf.
    const dz = gap(fitting.face, topOfFitting(fitting, lamp), canopy - plantHeight, canopy);
    const distance = Math.hypot(Math.max(0, dx), Math.max(0, dy), Math.max(0, dz));
    if (distance < least - 1e-6) faults.push({ why: 'leaves-in-heat', thingId: fitting.id, trayId: tray.id, distance, least });
  }
  const { load } = fitting.hanger;
  if (load !== null && lamp.weight_kg > load) faults.push({ why: 'hanger-overloaded', thingId: fitting.id, weight: lamp.weight_kg, load });
  return faults;
}

/** From one stretch to another along an axis; below zero: how far they overlap. */
const gap = (a0: Metres, a1: Metres, b0: Metres, b1: Metres): Metres => Math.max(b0 - a1, a0 - b1);

/** Lamps that are in each other's place. */
function collisions({ fitting, lamp }: BenchLamp, others: readonly BenchLamp[]): Fault[] {
  const r = bodyOutlineOf(fitting, lamp);
  return others.flatMap((other): Fault[] => {
    const o = bodyOutlineOf(other.fitting, other.lamp);
    const dz = gap(fitting.face, topOfFitting(fitting, lamp), other.fitting.face, topOfFitting(other.fitting, other.lamp));
    const by = -Math.max(gap(r.x0, r.x1, o.x0, o.x1), gap(r.y0, r.y1, o.y0, o.y1), dz);
    return by > TOLERANCE ? [{ why: 'lamps-collide', thingId: fitting.id, otherId: other.fitting.id, by }] : [];
  });
}

function trayFaults(t: BenchTier, { tray, canopy }: BenchTray, others: readonly BenchTray[]): Fault[] {
  const faults: Fault[] = [];
  const { tier } = t;
  const r = outlineOf(tray);
  const over = Math.max(-r.x0, r.x1 - tier.width, -r.y0, r.y1 - tier.depth);
  if (over > TOLERANCE) faults.push({ why: 'tray-over-edge', thingId: tray.id, by: over });
  if (isCovered(t) && canopy > tier.enclosure.height)
    faults.push({ why: 'plants-too-tall', thingId: tray.id, by: canopy - tier.enclosure.height });
  for (const other of others) {
    const o = outlineOf(other.tray);
    const shared = Math.min(Math.min(r.x1, o.x1) - Math.max(r.x0, o.x0), Math.min(r.y1, o.y1) - Math.max(r.y0, o.y0));
    if (shared > TOLERANCE) faults.push({ why: 'trays-overlap', thingId: tray.id, otherId: other.tray.id, by: shared });
  }
  return faults;
}

/** The shelf carries its trays. Lamps hang from the shelf above or from the frame, and are left to their hangers. */
function shelfFaults(t: BenchTier): Fault[] {
  const { load, id } = t.tier;
  const weight = t.trays.reduce((sum, y) => sum + weightOf(y), 0);
  return load !== null && weight > load ? [{ why: 'shelf-overloaded', thingId: id, weight, load }] : [];
}
