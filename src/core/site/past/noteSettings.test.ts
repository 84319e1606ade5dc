import { demoSite } from '../../../store/site/demoSite';
import { dayFrom, type Day } from '../../units/day';
import { carry, changeFittings, changeTrays, moveThings, setTimes, type Change } from '../stand/change';
import type { Site } from '../stand/Site';
import { asAllAlong, noteSettings } from './noteSettings';

const TODAY = dayFrom(2027, 2, 20);
const start: Site = { ...demoSite('en-GB', TODAY), earlier: [] };
const rack = start.stands.find((s) => s.id === 'demo-rack')!;
const tier = rack.tiers[1]!;
const lamps = tier.fittings.map((f) => f.id);
const lift = (by: number) => changeFittings(tier.id, lamps, (f) => ({ face: f.face + by }));
const timer = start.timers.find((p) => p.id === tier.timerId)!;
const shorter = setTimes(timer.id, timer.on_min, timer.lit_min - 60);
/** Changes by hand on a day, one after the other. */
const on = (day: Day, site: Site, ...changes: Change[]) => changes.reduce((now, change) => noteSettings(now, change(now), day), site);
const what = ({ earlier }: Site) =>
  earlier.map(({ tierId, until, ...rest }) => `${tierId} ${until - TODAY} ${Object.keys(rest).join(' ')}`);
const bare = (site: Site): Site => ({ ...site, trials: [], batches: site.batches.map((b) => ({ ...b, sown: null, log: [] })) });

test('only what was otherwise is written down, of tiers on which somebody follows what grows', () => {
  const now = on(TODAY, start, lift(0.05));
  expect(now.earlier).toEqual([{ tierId: tier.id, until: TODAY, fittings: tier.fittings.map((f) => ({ ...f, own: undefined })) }]);
  // Every tier of the timer that carries plants.
  const tiers = start.stands.flatMap((s) => s.tiers).filter((t) => t.timerId === timer.id && t.trays.length > 0);
  expect(on(TODAY, start, shorter).earlier).toEqual(tiers.map((t) => ({ tierId: t.id, until: TODAY, lit_min: timer.lit_min })));
  const [first] = tier.trays;
  const target = rack.tiers[2]!;
  expect(what(on(TODAY, start, carry([first!.id], target.id)))).toEqual([`${tier.id} 0 trays`, `${target.id} 0 trays`]);
  // Words are no setting; a site in which nothing is written is the same.
  const named = changeTrays(tier.id, [first!.id], () => ({ label: 'Other words' }))(start);
  expect(noteSettings(start, named, TODAY)).toBe(named);
});

test('nothing where nobody follows anything, or only since today; a trial or a note is enough', () => {
  for (const site of [bare(start), { ...bare(start), batches: start.batches.map((b) => ({ ...b, sown: TODAY, log: [] })) }]) {
    const after = lift(0.05)(site);
    expect(noteSettings(site, after, TODAY)).toBe(after);
  }
  const [running] = start.trials.filter((t) => t.ended === null);
  for (const [how, written] of [
    [{}, 1],
    [{ starts: TODAY }, 0],
    [{ ended: TODAY - 1 }, 0],
    [{ trays: [] }, 0],
  ] as const)
    // prettier-ignore
    expect(on(TODAY, { ...bare(start), trials: [{ ...running!, ...how }] }, lift(0.05)).earlier).toHaveLength(written);
  const noted = { ...bare(start), batches: start.batches.map((b) => ({ ...b, sown: null, log: [{ id: 'n', day: TODAY - 3, what: 'note' as const, height: null, stage: null, text: 'x' }] })) }; // prettier-ignore
  expect(on(TODAY, noted, lift(0.05)).earlier).toHaveLength(1);
});

test('once a day, as it was before the first change; not what comes back on the same day', () => {
  const dragged = on(TODAY, start, lift(0.01), lift(0.01), moveThings(tier.id, [tier.trays[0]!.id], 0.01, 0), shorter);
  const { trays, fittings, lit_min } = dragged.earlier.find((e) => e.tierId === tier.id)!;
  expect([trays, fittings!.map((f) => f.face), lit_min]).toEqual([tier.trays, tier.fittings.map((f) => f.face), timer.lit_min]);
  const some = on(TODAY, dragged, lift(-0.02), setTimes(timer.id, timer.on_min, timer.lit_min));
  expect(what(some)).toEqual([`${tier.id} 0 trays`]);
  expect(on(TODAY, some, moveThings(tier.id, [tier.trays[0]!.id], -0.01, 0)).earlier).toEqual([]);
  // Back on another day, both days stand.
  expect(what(on(TODAY + 2, on(TODAY, start, lift(0.04)), lift(-0.04)))).toEqual([`${tier.id} 0 fittings`, `${tier.id} 2 fittings`]);
});

test('what is over a year old goes, and what was put right', () => {
  const old = on(TODAY - 420, { ...start, batches: start.batches.map((b) => ({ ...b, sown: TODAY - 500 })) }, lift(0.02));
  expect(what(old)).toEqual([`${tier.id} -420 fittings`]);
  const now = on(TODAY, old, lift(0.02));
  expect(what(now)).toEqual([`${tier.id} 0 fittings`]);
  expect(asAllAlong(TODAY - 1, [tier.id])(now).earlier).toEqual(now.earlier);
  expect(asAllAlong(TODAY, ['other'])(now).earlier).toEqual(now.earlier);
  expect(asAllAlong(TODAY, [tier.id])(now).earlier).toEqual([]);
});
