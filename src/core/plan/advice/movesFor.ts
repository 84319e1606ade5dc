import { dimmingsOf } from '../../site/ownLamps/dimmings';
import { sparesOf } from '../../site/ownLamps/hangingOf';
import { lampLibrary } from '../../things/lamp/lampLibrary';
import type { FaceName } from '../../light/room/Room';
import { daylightDli } from '../../judge/dli/LightDay';
import { materialOf } from '../../things/material/materialLibrary';
import type { Metres } from '../../units/quantities';
import type { BenchStand, BenchTier, BenchTray } from '../../answer/stand/benchStand';
import { OPEN_HEIGHT, roofOf } from '../../answer/stand/roofOf';
import { placeOn } from '../../site/stand/change';
import { faceSizeOf } from '../../site/stand/footprint';
import type { Timer, Site } from '../../site/stand/Site';
import { freeOf, onAround } from '../timer/aroundQuiet';
import { canMove } from './applyMove';
import { LINING, type Move } from './Move';

/** What advice is asked for. */
export type Scope = { readonly of: 'tray'; readonly id: string } | { readonly of: 'tier'; readonly id: string } | { readonly of: 'stand' };

/** The trays that advice is to help. */
export function traysIn(stand: BenchStand, scope: Scope): ReadonlySet<string> {
  return new Set(
    stand.tiers.flatMap((t) =>
      t.trays
        .map((y) => y.tray.id)
        .filter((id) => scope.of === 'stand' || (scope.of === 'tier' ? t.tier.id === scope.id : id === scope.id)),
    ),
  );
}

const SHIFTS = [0.03, 0.05, 0.07, 0.1, 0.14, 0.2];
const GAPS = [0.03, 0.05, 0.075, 0.1, 0.125, 0.15, 0.2];
const QUARTER = 15;
/** So far up and down lamps are moved by every step of a grain. */
const REACH: Metres = 0.3;
/** Farther, by strides of this or of two steps, until a finer look about what was found. */
const STRIDE: Metres = 0.05;
/** A finer look goes so far to both sides. */
const ABOUT: Metres = 0.04;
/** Lamps of one tier hang by steps of their own: a lift must be in all of them, but for so much. */
const APART: Metres = 0.005;

/** Every single move but heights and hours that could be made for the trays in question; whether it may be is asked afterwards. */
export function movesFor(site: Site, stand: BenchStand, scope: Scope): Move[] {
  const trayIds = traysIn(stand, scope);
  const tiers = stand.tiers.filter((t) => t.trays.some((y) => trayIds.has(y.tray.id)));
  return [
    ...tiers.flatMap((t) => [...ofLamps(t, site), ...ofSides(t, scope.of === 'stand')]),
    ...tiers.flatMap((t) => t.trays.filter((y) => trayIds.has(y.tray.id)).flatMap((y) => ofTray(t, y, stand))),
  ].filter((m) => canMove(site, m));
}

/**
 * Heights that the lamps of a tier can have, as lifts from where they hang, the lowest first; the one they have is among them. Down to its floor, and up as
 * high as there is room.
 *
 * @param least  steps finer than this are put together
 * @param about  only lifts about this one; null: all that there are
 */
export function liftsOf(t: Pick<BenchTier, 'tier' | 'number'>, least: Metres = 0.01, about: Metres | null = null): Metres[] {
  const movable = t.tier.fittings.filter((f) => f.hanger.kind !== 'fixed');
  if (movable.length === 0) return [0];
  const steps = movable.map((f) => f.hanger.step);
  const coarsest = Math.max(...steps);
  const stride = coarsest * Math.max(1, Math.round(least / coarsest));
  const faces = movable.map((f) => f.face);
  const down = Math.max(REACH, Math.max(...faces));
  const up = Math.max(REACH, Math.min(roofOf(t), OPEN_HEIGHT) - Math.min(...faces));
  const far = Math.max(1, Math.round(Math.max(STRIDE, 2 * least) / stride));
  const isAsked = (i: number) =>
    about === null ? Math.abs(i) * stride <= REACH + 1e-9 || i % far === 0 : Math.abs(i * stride - about) < ABOUT;
  const first = -Math.floor(down / stride + 1e-9);
  const last = Math.floor(up / stride + 1e-9);
  return Array.from({ length: last - first + 1 }, (_, k) => first + k)
    .filter((i) => isAsked(i))
    .map((i) => i * stride)
    .filter((lift) => steps.every((s) => Math.abs(Math.round(lift / s) * s - lift) <= APART));
}

/**
 * Days, in quarters of an hour, between the shortest that any crop on the timer needs and the longest that all of them may have, outside the
 * household's quiet. Where daylight comes in to all of them, lamps may burn for less, and not at all: roughly, by three hours.
 */
export function hoursOf(timer: Timer, stand: BenchStand, site: Pick<Site, 'quiet'>): Extract<Move, { do: 'hours' }>[] {
  const trays = stand.tiers.filter((t) => t.timer.id === timer.id).flatMap((t) => t.trays);
  if (trays.length === 0) return [];
  const most = Math.min(Math.min(...trays.map((y) => y.limits.longestDay)) * 60, freeOf(timer, site.quiet));
  const least = Math.min(most, Math.min(...trays.map((y) => y.stage.hoursMin)) * 60);
  const first = Math.ceil(least / QUARTER) * QUARTER;
  const lits: number[] = [];
  if (trays.every((y) => daylightDli(y.day) > 0)) for (let lit = 0; lit < first; lit += 12 * QUARTER) lits.push(lit);
  for (let lit = first; lit <= most + 1e-9; lit += QUARTER) lits.push(lit);
  return lits
    .filter((lit) => lit !== timer.lit_min)
    .map((lit_min) => ({ do: 'hours', timerId: timer.id, on_min: onAround(timer, lit_min, site.quiet), lit_min }));
}

/** Settings to which all lamps of a tier can be dimmed together; none where one of them has no dimmer. */
export function dimsOf({ tier: { id: tierId, fittings } }: Pick<BenchTier, 'tier'>): Move[] {
  return dimmingsOf(fittings).map(({ to }) => ({ do: 'dim', tierId, to }));
}

function ofLamps(t: BenchTier, site: Site): Move[] {
  const tierId = t.tier.id;
  const moves: Move[] = [];
  const { fittings } = t.tier;
  if (fittings.length > 0) {
    const middle = (axis: 'x' | 'y') => fittings.reduce((s, f) => s + f[axis], 0) / fittings.length;
    const toMiddle = [round(t.tier.width / 2 - middle('x')), round(t.tier.depth / 2 - middle('y'))];
    for (const d of [...SHIFTS.flatMap((s) => [s, -s]), toMiddle[0]!])
      if (Math.abs(d) > 0.009) moves.push({ do: 'shift', tierId, dx: d, dy: 0 });
    for (const d of [...SHIFTS.slice(0, 4).flatMap((s) => [s, -s]), toMiddle[1]!])
      if (Math.abs(d) > 0.009) moves.push({ do: 'shift', tierId, dx: 0, dy: d });
    if (fittings.length > 1) for (const gap of GAPS) moves.push({ do: 'gap', tierId, gap });
  }
  moves.push(...dimsOf(t));
  for (const { lampId } of sparesOf(site))
    for (const share of [0.25, 0.5, 0.75]) {
      const y = round(share * t.tier.depth);
      if (fittings.every((f) => Math.abs(f.y - y) > 0.06)) moves.push({ do: 'add-lamp', tierId, lampId, y });
    }
  if (fittings.length > 0) {
    const now = new Set(fittings.map((f) => f.lampId));
    const lying = sparesOf(site);
    const common = [...site.lamps, ...lampLibrary.filter((l) => l.common || lying.some((s) => s.lampId === l.id))];
    for (const lamp of common)
      if (!now.has(lamp.id) && faceSizeOf(lamp).length <= t.tier.width + 0.02) moves.push({ do: 'swap-lamp', tierId, lampId: lamp.id });
  }
  return moves;
}

/** Sides that a card would make paler; the front stays open for the hands. For a whole stand all sides of a tier at once. */
function ofSides(t: BenchTier, wholeStand: boolean): Move[] {
  if (t.lamps.length === 0) return [];
  const gain = (name: FaceName) => materialOf(LINING).reflectance - materialOf(t.tier.enclosure.faces[name]).reflectance > 0.2;
  const paler = (['left', 'right', 'back'] as const).filter(gain);
  const one: Move[] = paler.length > 1 && !wholeStand ? paler.map((name) => ({ do: 'line', tierId: t.tier.id, faces: [name] })) : [];
  return paler.length > 0 ? [...one, { do: 'line', tierId: t.tier.id, faces: paler }] : [];
}

function ofTray(t: BenchTier, { tray, stage, crop }: BenchTray, stand: BenchStand): Move[] {
  const trayId = tray.id;
  const moves: Move[] = [{ do: 'turn-tray', trayId }];
  for (const by of [-2, -1, 1, 2]) if (tray.risers + by >= 0) moves.push({ do: 'riser', trayId, risers: tray.risers + by });
  const to = (dx: Metres, dy: Metres) => {
    if (Math.abs(dx) > 0.009 || Math.abs(dy) > 0.009) moves.push({ do: 'shift-tray', trayId, dx, dy });
  };
  for (const d of SHIFTS.flatMap((s) => [s, -s])) to(d, 0);
  for (const d of SHIFTS.slice(0, 4).flatMap((s) => [s, -s])) to(0, d);
  to(round(t.tier.width / 2 - tray.x), 0);
  to(0, round(t.tier.depth / 2 - tray.y));
  for (const other of stand.tiers) {
    for (const y of other.trays)
      // Two trays of one crop and stage on one tier are the same wherever they stand.
      if (y.tray.id !== trayId && (other !== t || y.stage !== stage || y.crop !== crop))
        moves.push({ do: 'swap-trays', trayId, otherId: y.tray.id });
    if (other !== t && other.lamps.length > 0) {
      const [length, width] = tray.turned ? [tray.width, tray.length] : [tray.length, tray.width];
      const place = placeOn(other.tier, length, width);
      if (place) moves.push({ do: 'tray-to-tier', trayId, tierId: other.tier.id, ...place });
    }
  }
  return moves;
}

const round = (v: number) => Math.round(v * 100) / 100;
