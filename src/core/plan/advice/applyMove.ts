import type { Tables } from '../../things/tables/Tables';
import { FULL, nearestSetting } from '../../things/lamp/dimming';
import type { Metres, Share } from '../../units/quantities';
import { hangOwnLamp, takeOut } from '../../site/ownLamps/changeOwnLamps';
import { asHung, sparesOf } from '../../site/ownLamps/hangingOf';
import { lampOf } from '../../answer/stand/benchStand';
import { addFitting, carry, changeFittings, changeTrays, setTimes, withTier, type Change } from '../../site/stand/change';
import { faceSizeOf } from '../../site/stand/footprint';
import type { Fitting, Site, Tier } from '../../site/stand/Site';
import { LINING, type Move } from './Move';

/** Whether a move can be done at all: what is screwed on stays, and only what lies in the cupboard can be hung up. */
export function canMove(site: Site, move: Move): boolean {
  const hanging = 'tierId' in move && move.do !== 'tray-to-tier' ? tierOf(site, move.tierId).fittings : [];
  const screwedOn = hanging.some((f) => f.hanger.kind === 'fixed');
  switch (move.do) {
    case 'hang':
      return hanging.some((f) => stepsFor(f, move.lift) !== 0);
    case 'shift':
    case 'swap-lamp':
      return hanging.length > 0 && !screwedOn;
    case 'gap':
      return hanging.length > 1 && !screwedOn;
    case 'add-lamp':
      return sparesOf(site).some((s) => s.lampId === move.lampId);
    case 'dim':
      return hanging.length > 0 && hanging.every((f) => f.own?.dimmer) && hanging.some((f) => settingFor(f, move.to) !== (f.dim ?? FULL));
    default:
      return true;
  }
}

/** Whole steps of a lamp's hanger that come nearest to a lift; 0 for what is screwed on. */
export const stepsFor = ({ hanger }: Pick<Fitting, 'hanger'>, lift: Metres): number =>
  hanger.kind === 'fixed' ? 0 : Math.round(lift / hanger.step);

/** How many lamps a swap would take that do not lie in the cupboard. */
export function toBuyFor(site: Site, move: Move): number {
  if (move.do !== 'swap-lamp') return 0;
  const has = sparesOf(site).find((s) => s.lampId === move.lampId)?.count ?? 0;
  return Math.max(0, tierOf(site, move.tierId).fittings.length - has);
}

/** The site after a move. Ids of what is new are made of the move itself, so that the same move makes the same site. */
export function applyMove(site: Site, move: Move, tables: Pick<Tables, 'lamp'>): Site {
  switch (move.do) {
    case 'hang':
      return changeFittings(move.tierId, allOf(site, move.tierId), (f) => ({ face: f.face + stepsFor(f, move.lift) * f.hanger.step }))(
        site,
      );
    case 'hours':
      return setTimes(move.timerId, move.on_min, move.lit_min)(site);
    case 'shift':
      return changeFittings(move.tierId, allOf(site, move.tierId), (f) => ({ x: f.x + move.dx, y: f.y + move.dy }))(site);
    case 'gap':
      return withTier(move.tierId, (t) => spaced(t, move.gap, site, tables))(site);
    case 'add-lamp': {
      const tier = tierOf(site, move.tierId);
      const [first] = tier.fittings;
      const lamp = lampOf(site, move.lampId, tables);
      const face = first?.face ?? Math.max(0.1, tier.enclosure.height - 0.08);
      const at = { x: tier.width / 2, y: move.y, face };
      const id = freeId(site, `added-${move.lampId}`);
      return known(move.tierId)(addFitting(move.tierId, lamp, at, id)(takeOut(site, move.lampId, id)));
    }
    case 'swap-lamp': {
      const { fittings, width } = tierOf(site, move.tierId);
      const { length } = faceSizeOf(lampOf(site, move.lampId, tables));
      // What was taken down lies in the cupboard now: things of their own do so by hanging nowhere.
      const fromCupboard = fittings.slice(0, fittings.length - toBuyFor(site, move));
      const down = fittings.reduce((s, f) => takeDown(s, f), site);
      const taken = fromCupboard.reduce((s, f) => takeOut(s, move.lampId, f.id), down);
      const hung = changeFittings(move.tierId, allOf(site, move.tierId), (f) => ({
        lampId: move.lampId,
        x: within(f.x, length, width),
        dim: FULL,
      }))(taken);
      return known(move.tierId)(hung);
    }
    case 'dim':
      return changeFittings(move.tierId, allOf(site, move.tierId), (f) => ({ dim: settingFor(f, move.to) }))(site);
    case 'line':
      return withTier(move.tierId, (t) => ({
        ...t,
        enclosure: { ...t.enclosure, faces: { ...t.enclosure.faces, ...Object.fromEntries(move.faces.map((f) => [f, LINING])) } },
      }))(site);
    case 'riser':
      return onTrayTier(site, move.trayId, (tierId) => changeTrays(tierId, [move.trayId], () => ({ risers: move.risers })));
    case 'turn-tray':
      return onTrayTier(site, move.trayId, (tierId) => changeTrays(tierId, [move.trayId], (y) => ({ turned: !y.turned })));
    case 'shift-tray':
      return onTrayTier(site, move.trayId, (tierId) => changeTrays(tierId, [move.trayId], (y) => ({ x: y.x + move.dx, y: y.y + move.dy })));
    case 'swap-trays':
      return swapped(site, move.trayId, move.otherId);
    case 'tray-to-tier': {
      const moved = carry([move.trayId], move.tierId)(site);
      return changeTrays(move.tierId, [move.trayId], () => ({ x: move.x, y: move.y }))(moved);
    }
  }
}

/** The site after some moves, one after the other. */
export const applyMoves = (site: Site, moves: readonly Move[], tables: Pick<Tables, 'lamp'>): Site =>
  moves.reduce((now, move) => applyMove(now, move, tables), site);

/** The setting of a lamp's dimmer that comes nearest to one that is wished. */
const settingFor = ({ own }: Pick<Fitting, 'own'>, to: Share): Share => (own?.dimmer ? nearestSetting(own.dimmer, to) : FULL);

/** The fittings of a tier told anew which lamps of their own they are; one that comes out of the cupboard has burned what it had. */
const known =
  (tierId: string): Change =>
  (site) =>
    changeFittings(
      tierId,
      tierOf(site, tierId).fittings.map((f) => f.id),
      (f) => {
        const own = site.ownLamps.find((o) => o.fittingId === f.id && o.lampId === f.lampId && o.retired === null);
        return { own: own && (f.own?.id === own.id ? f.own : asHung(own, own.counted?.hours ?? null)) };
      },
    )(site);

/** A lamp that is taken down lies in the cupboard. */
function takeDown(site: Site, { id, lampId }: Fitting): Site {
  const own = site.ownLamps.find((o) => o.fittingId === id && o.lampId === lampId);
  if (own) return hangOwnLamp(own.id, null)(site);
  const known = site.spares.find((s) => s.lampId === lampId);
  const others = site.spares.filter((s) => s.lampId !== lampId);
  return { ...site, spares: [...others, { lampId, count: Math.min(MOST_SPARES, (known?.count ?? 0) + 1) }] };
}

/** As many of one kind as a file holds. */
const MOST_SPARES = 99;

/** An id that nothing has yet. */
function freeId(site: Site, like: string): string {
  const taken = new Set(tiersOf(site).flatMap((t) => [...t.fittings, ...t.trays].map((thing) => thing.id)));
  for (let n = 1; ; n++) if (!taken.has(`${like}-${n}`)) return `${like}-${n}`;
}

/** Where something hangs so that it does not stick out; in the middle when it is longer than the tier. */
const within = (x: Metres, length: Metres, width: Metres): Metres =>
  length >= width ? width / 2 : Math.min(width - length / 2, Math.max(length / 2, x));

const tiersOf = (site: Site) => site.stands.flatMap((s) => s.tiers);

/** Asked thousands of times in a search: without making a list of all tiers. */
function tierOf(site: Site, id: string): Tier {
  for (const { tiers } of site.stands) for (const tier of tiers) if (tier.id === id) return tier;
  throw new RangeError(`there is no tier ${id}`);
}

const allOf = (site: Site, tierId: string) => tierOf(site, tierId).fittings.map((f) => f.id);

function onTrayTier(site: Site, trayId: string, change: (tierId: string) => (site: Site) => Site): Site {
  const tier = tiersOf(site).find((t) => t.trays.some((y) => y.id === trayId));
  return tier ? change(tier.id)(site) : site;
}

/** Lamps side by side about the middle of where they were, in the order in which they hang. */
function spaced(t: Tier, gap: Metres, site: Site, tables: Pick<Tables, 'lamp'>): Tier {
  const order = [...t.fittings].sort((a, b) => a.y - b.y);
  const middle = order.reduce((sum, f) => sum + f.y, 0) / order.length;
  const pitch = Math.max(...order.map((f) => faceSizeOf(lampOf(site, f.lampId, tables)).width)) + gap;
  const place = new Map(order.map((f, i) => [f.id, middle + (i - (order.length - 1) / 2) * pitch]));
  return { ...t, fittings: t.fittings.map((f) => ({ ...f, y: place.get(f.id)! })) };
}

/** Two trays change places, on one tier or between two. */
function swapped(site: Site, a: string, b: string): Site {
  const [from, to] = [a, b].map((id) => tiersOf(site).find((t) => t.trays.some((y) => y.id === id)));
  if (!from || !to) return site;
  const [one, other] = [from.trays.find((y) => y.id === a)!, to.trays.find((y) => y.id === b)!];
  const put = (t: Tier): Tier => ({
    ...t,
    trays: t.trays.map((y) => (y.id === a ? { ...other, x: one.x, y: one.y } : y.id === b ? { ...one, x: other.x, y: other.y } : y)),
  });
  return [...new Set([from.id, to.id])].reduce((s, id) => withTier(id, put)(s), site);
}
