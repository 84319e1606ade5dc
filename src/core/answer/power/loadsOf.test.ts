import { containerLibrary } from '../../things/container/containerLibrary';
import { lampLibrary } from '../../things/lamp/lampLibrary';
import { tables } from '../../things/tables/libraryTables';
import { BARE_SITE } from '../../site/stand/bare';
import { benchStandOf } from '../stand/benchStand';
import { addFitting, addTray, plugInto } from '../../site/stand/change';
import { addPlugged, movePlugged, MOST_PLUGGED, namePlugged, setStrip, setTimer, unplug } from '../../site/stand/changeOutlets';
import type { Plugged, Site } from '../../site/stand/Site';
import { standFrom, TEMPLATES } from '../../site/stand/templates';
import { loadsOf } from './loadsOf';

let next = 0;
const ids = () => `o${next++}`;
const lamp = (id: string) => lampLibrary.find((l) => l.id === id)!;
const linkable = lampLibrary.find((l) => l.linkable)!;
const bulb = lamp('led-a-17-clamp');

/** Two tiers on one timer: two linked bars on one, two bulbs on the other. */
function rack(): Site {
  const { stand, timer } = standFrom(
    TEMPLATES.find((t) => t.kind === 'rack')!,
    2,
    'Rack',
    ids,
  );
  let site: Site = { ...BARE_SITE, currency: 'EUR', price_per_kWh: 0.3, stands: [stand], timers: [timer] };
  const [upper, lower] = stand.tiers;
  for (const y of [0.1, 0.3]) {
    site = addFitting(upper!.id, linkable, { x: 0.6, y, face: 0.3 }, ids())(site);
    site = addFitting(lower!.id, bulb, { x: 0.6, y, face: 0.3 }, ids())(site);
  }
  return addTray(upper!.id, containerLibrary[0]!, { cropId: 'leek', stage: 'seedling' }, { x: 0.3, y: 0.2 }, ids)(site);
}
const loads = (site: Site) => loadsOf(benchStandOf(site, site.stands[0]!, tables));
const standId = (site: Site) => site.stands[0]!.id;
const timerId = (site: Site) => site.timers[0]!.id;
const thing = (kind: Plugged['kind'], power: number, timerId: string | null): Plugged => ({
  id: ids(),
  kind,
  name: kind,
  power,
  timerId,
});

test('linked lamps share a lead, others have their own; the watts are those of the lamps', () => {
  const [timed, steady] = loads(rack()).groups;
  expect(timed!.plugs.map((p) => [p.tier, p.power])).toEqual([[1, 2 * linkable.power], [2, bulb.power], [2, bulb.power]]); // prettier-ignore
  expect(timed!.power).toBeWithin(2 * linkable.power + 2 * bulb.power, { absolute: 1e-9 });
  expect(steady!).toMatchObject({ timerId: null, plugs: [], power: 0 });
});

test('a mat or a pump on the timed side is pointed out, a fan is not, and moved over all is well', () => {
  const site = rack();
  const mat = thing('mat', 20, timerId(site));
  const all = [mat, thing('pump', 5, timerId(site)), thing('fan', 10, timerId(site))].reduce((s, t) => addPlugged(standId(s), t)(s), site);
  expect(loads(all).faults.map((f) => f.why)).toEqual(['mat-timed', 'pump-timed']);
  expect(loads(movePlugged(standId(all), mat.id, null)(all)).faults.map((f) => f.why)).toEqual(['pump-timed']);
  expect(loads(unplug(standId(all), mat.id)(all)).faults.map((f) => f.why)).toEqual(['pump-timed']);
});

test('for hours on end a rating is used to four fifths, on the timer and on the strip', () => {
  const site = rack();
  // By volts and amperes: what drivers draw beyond their watts heats wires as well.
  const power = loads(site).load;
  expect(power).toBeGreaterThan(loads(site).power);
  const rated = (w: number) => loads(setTimer(timerId(site), { rating: w })(site)).faults.map((f) => f.why);
  expect(rated(power / 0.8 + 0.1)).toEqual([]);
  expect(rated(power / 0.8 - 0.1)).toEqual(['overloaded']);
  const strip = (w: number) => loads(setStrip(standId(site), { strip: w })(site)).faults;
  expect(strip(power / 0.8 + 0.1)).toEqual([]);
  expect(strip(power / 0.8 - 0.1)).toMatchObject([{ why: 'strip-overloaded', load: power }]);
  // What is always live counts on the strip, not on the timer.
  const heated = addPlugged(standId(site), thing('mat', 50, null))(setTimer(timerId(site), { rating: power / 0.8 + 1 })(site));
  expect(loads(heated).faults).toEqual([]);
  expect(loads(heated).load).toBeWithin(power + 50, { absolute: 1e-9 });
});

test('more plugs than outlets are counted, timer by timer', () => {
  const site = setTimer(timerId(rack()), { outlets: 2 })(rack());
  const own = rack();
  expect(loads(setTimer(timerId(own), { outlets: 2 })(own)).faults).toMatchObject([{ why: 'too-few-outlets', plugs: 3, outlets: 2 }]);
  const split = plugInto(own.stands[0]!.tiers[1]!.id, 'second')(setTimer(timerId(own), { outlets: 2 })(own));
  expect(loads(split).groups.map((g) => g.plugs.length)).toEqual([1, 2, 0]);
  expect(loads(split).faults).toEqual([]);
  expect(loads(setStrip(standId(own), { steadyOutlets: 0 })(addPlugged(standId(own), thing('fan', 5, null))(own))).faults).toMatchObject([{ why: 'too-few-outlets', timerId: null, plugs: 1, outlets: 0 }]); // prettier-ignore
  expect(site.timers).toBeDefined();
});

test('things keep their names, and a stand no more than its file holds', () => {
  const site = rack();
  const fan = thing('fan', 5, null);
  const named = namePlugged(standId(site), fan.id, 'Clip fan')(addPlugged(standId(site), fan)(site));
  expect(named.stands[0]!.plugged).toMatchObject([{ name: 'Clip fan' }]);
  const full = Array.from({ length: MOST_PLUGGED + 5 }).reduce<Site>((s) => addPlugged(standId(s), thing('other', 1, null))(s), site);
  expect(full.stands[0]!.plugged).toHaveLength(MOST_PLUGGED);
});
