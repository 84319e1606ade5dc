import { demoSite } from '../../../store/site/demoSite';
import { dayFrom, type Day } from '../../units/day';
import { setTimes } from '../stand/change';
import { shelfStands } from '../stand/shelfStands';
import type { Site } from '../stand/Site';
import {
  addOwnLamps,
  changeOwnLamp,
  hangOwnLamp,
  kindOfOwnLamp,
  leaveEmpty,
  plainOwnLamp,
  replaceOwnLamp,
  retireOwnLamp,
  takeDownForGood,
  takeOut,
  unnamedFittings,
} from './changeOwnLamps';
import { burnedBy, countBurned, hangingsOf, knowOwnLamps, lyingOf, sparesOf } from './hangingOf';

const TODAY = dayFrom(2027, 2, 20);
const base = { ...demoSite('en-GB', TODAY), ownLamps: [], spares: [] };
const rack = base.stands.find((s) => s.id === 'demo-rack')!;
const [a, b] = [rack.tiers[0]!, rack.tiers[1]!];
const [first, second] = [a.fittings[0]!, b.fittings[0]!];
const mine = { ...plainOwnLamp('mine', first.lampId, 'The bar with the dent'), fittingId: first.id, counted: { hours: 1000, on: TODAY } };
const site: Site = addOwnLamps([mine])(base);
const burned = (s: Site, day: Day) => {
  const own = s.ownLamps.find((o) => o.id === 'mine')!;
  return burnedBy(own, hangingsOf(s).get('mine')?.hours ?? 0, day);
};

test('hours are those of a count day by day, however often timer and place change', () => {
  let seed = 7;
  const chance = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
  const timer = a.timerId;
  let now = site;
  let hours = 1000;
  let isHung = true;
  let lit = base.timers.find((p) => p.id === timer)!.lit_min;
  for (let day: Day = TODAY; day < TODAY + 400; day++) {
    expect(burned(now, day)).toBeWithin(hours, { absolute: 1e-6 });
    // In the morning of some days something is changed.
    let next = now;
    if (chance() < 0.1) {
      lit = 15 * Math.floor(chance() * 96);
      next = setTimes(timer, 360, lit)(next);
    }
    if (chance() < 0.05) {
      isHung = !isHung;
      next = hangOwnLamp('mine', isHung ? first.id : null)(next);
    }
    now = countBurned(now, next, day);
    hours += isHung ? lit / 60 : 0;
  }
});

test('hours that were typed stand as typed, and unknown ones stay unknown', () => {
  const typed = changeOwnLamp('mine', { counted: { hours: 5, on: TODAY + 30 }, fittingId: null })(site);
  expect(countBurned(site, typed, TODAY + 30).ownLamps[0]!.counted).toEqual({ hours: 5, on: TODAY + 30 });
  const unknown = changeOwnLamp('mine', { counted: null })(site);
  expect(countBurned(unknown, setTimes(a.timerId, 0, 60)(unknown), TODAY + 9).ownLamps[0]!.counted).toBeNull();
  expect(countBurned(site, { ...site, price_per_kWh: 1 }, TODAY + 9).ownLamps).toBe(site.ownLamps);
});

test('a lamp whose fitting goes, or gets another kind, lies in the cupboard; a fitting is one lamp only', () => {
  const without = {
    ...site,
    stands: site.stands.map((s) => ({
      ...s,
      tiers: s.tiers.map((t) => ({ ...t, fittings: t.fittings.filter((f) => f.id !== first.id) })),
    })),
  };
  expect(lyingOf(site)).toEqual([]);
  expect(lyingOf(without).map((o) => o.id)).toEqual(['mine']);
  expect(sparesOf(without)).toEqual([{ lampId: first.lampId, count: 1 }]);
  const other = addOwnLamps([{ ...mine, id: 'other' }])(site);
  expect([...hangingsOf(other).keys()]).toEqual(['mine']);
  expect(hangOwnLamp('other', first.id)(other).ownLamps.map((o) => o.fittingId)).toEqual([null, first.id]);
  const retired = retireOwnLamp('mine', TODAY)(site);
  expect([lyingOf(retired), sparesOf(retired), hangingsOf(retired).size]).toEqual([[], [], 0]);
});

test('put away for good, nothing hangs in its place; replaced, a new one of its kind does, that has burned nothing', () => {
  const gone = takeDownForGood('mine', TODAY)(site);
  expect(gone.ownLamps[0]).toMatchObject({ retired: TODAY, fittingId: null });
  expect(gone.stands.flatMap((s) => s.tiers.flatMap((t) => t.fittings)).some((f) => f.id === first.id)).toBe(false);
  const lying = takeDownForGood('mine', TODAY)(hangOwnLamp('mine', null)(site));
  expect([lying.ownLamps[0]!.retired, lying.stands]).toEqual([TODAY, site.stands]);
  const dimmed = changeOwnLamp('mine', { dimmer: { steps: [0.5], points: [] }, fault: 'hums', drawn: { power: 30, load: null } })(site);
  const next = replaceOwnLamp('mine', 'new', TODAY + 5)(dimmed);
  expect(next.ownLamps.map((o) => [o.id, o.retired, o.fittingId])).toEqual([
    ['mine', TODAY + 5, null],
    ['new', null, first.id],
  ]);
  // The same product, but not the same thing: what was wrong and measured was of the old one.
  expect(next.ownLamps[1]).toMatchObject({ name: mine.name, lampId: first.lampId, dimmer: { steps: [0.5], points: [] }, fault: '', drawn: null, counted: { hours: 0, on: TODAY + 5 } }); // prettier-ignore
  expect(hangingsOf(next).has('new')).toBe(true);
  expect(replaceOwnLamp('nobody', 'new', TODAY)(site)).toBe(site);
});

test('the place of a lamp that went elsewhere is left empty when that is asked for, but not under a lamp that was named there since', () => {
  const fittings = (s: Site) => s.stands.flatMap((stand) => stand.tiers.flatMap((t) => t.fittings)).length;
  const taken = hangOwnLamp('mine', null)(site);
  expect(fittings(taken)).toBe(fittings(site));
  const empty = leaveEmpty(first.id)(taken);
  expect([fittings(empty), empty.ownLamps[0]!.fittingId]).toEqual([fittings(site) - 1, null]);
  const named = addOwnLamps([{ ...mine, id: 'other' }])(taken);
  expect(leaveEmpty(first.id)(named)).toBe(named);
  expect(leaveEmpty(first.id)(empty).stands).toEqual(empty.stands);
});

test('of spares those counted by kind go first, then a lamp of its own is the new fitting', () => {
  const lying = addOwnLamps([{ ...mine, fittingId: null }])({ ...base, spares: [{ lampId: first.lampId, count: 1 }] });
  expect(sparesOf(lying)).toEqual([{ lampId: first.lampId, count: 2 }]);
  const once = takeOut(lying, first.lampId, 'new-1');
  expect([once.spares, once.ownLamps[0]!.fittingId]).toEqual([[], null]);
  expect(takeOut(once, first.lampId, 'new-2').ownLamps[0]!.fittingId).toBe('new-2');
});

test('a fitting knows its lamp on the day, and a site in which nothing changes is the same object', () => {
  const known = knowOwnLamps(site, TODAY + 10);
  const fitting = known.stands.find((s) => s.id === 'demo-rack')!.tiers[0]!.fittings[0]!;
  expect(fitting.own).toMatchObject({ id: 'mine', used_h: burned(site, TODAY + 10) });
  expect(knowOwnLamps(known, TODAY + 10)).toBe(known);
  expect(known.stands.filter((s) => s.id !== 'demo-rack')).toEqual(site.stands.filter((s) => s.id !== 'demo-rack'));
  const gone = knowOwnLamps({ ...known, ownLamps: [] }, TODAY + 10);
  expect(gone.stands).toEqual(base.stands);
});

test('what hangs without a name is found', () => {
  const all = shelfStands(base).flatMap((s) => s.tiers.flatMap((t) => t.fittings.map((f) => f.id)));
  expect(unnamedFittings(base).map((u) => u.fitting.id)).toEqual(all);
  expect(unnamedFittings(site).map((u) => u.fitting.id)).toEqual(all.filter((id) => id !== first.id));
  expect(second.id).not.toBe(first.id);
});

test('its switch makes it another kind: what hangs is that kind, and it is still the same lamp with its hours', () => {
  const turned = kindOfOwnLamp('mine', 'led-tube-12')({ ...site, ownLamps: [{ ...mine, channels: [first.lampId, 'led-tube-12'] }] });
  expect(turned.stands.find((s) => s.id === 'demo-rack')!.tiers[0]!.fittings[0]!.lampId).toBe('led-tube-12');
  expect(hangingsOf(turned).get('mine')?.fitting.id).toBe(first.id);
  expect(burned(turned, TODAY + 3)).toBe(burned(site, TODAY + 3));
  const lying = kindOfOwnLamp('mine', 'led-tube-12')(hangOwnLamp('mine', null)(site));
  expect(lying.stands).toEqual(site.stands);
});
