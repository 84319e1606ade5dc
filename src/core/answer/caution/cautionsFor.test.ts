import { cautionLibrary } from '../../things/caution/cautionLibrary';
import { containerLibrary } from '../../things/container/containerLibrary';
import { coverLibrary } from '../../things/container/coverLibrary';
import { cropLibrary } from '../../things/crop/cropLibrary';
import { lampLibrary } from '../../things/lamp/lampLibrary';
import { tables } from '../../things/tables/libraryTables';
import { BARE_SITE } from '../../site/stand/bare';
import { benchStandOf } from '../stand/benchStand';
import { addFitting, addTray, changeFittings, changeStand, changeTrays, withTier } from '../../site/stand/change';
import { addPlugged, setTimer } from '../../site/stand/changeOutlets';
import { HANGER_KINDS, hangerOf } from '../../site/stand/Hanger';
import type { Site } from '../../site/stand/Site';
import { standFrom, TEMPLATES } from '../../site/stand/templates';
import { cautionsFor } from './cautionsFor';
import { STATED, type Stated } from '../../site/stand/Stated';

let n = 0;
const ids = () => `k${n++}`;
const pots = containerLibrary.find((c) => c.id === 'pot-9')!;

function siteWith(lampIds: readonly string[], cropId = 'celery', kind = 'rack'): Site {
  const { stand, timer } = standFrom(TEMPLATES.find((t) => t.kind === kind)!, 1, 'Stand', ids); // prettier-ignore
  let site: Site = { ...BARE_SITE, currency: 'EUR', price_per_kWh: 0.3, stands: [stand], timers: [timer] };
  const { id } = stand.tiers[0]!;
  const crop = cropLibrary.find((c) => c.id === cropId)!;
  site = addTray(id, pots, { cropId, stage: crop.stages[0]!.stage }, { x: 0.2, y: 0.15 }, ids)(site);
  for (const [i, lampId] of lampIds.entries())
    site = addFitting(
      id,
      lampLibrary.find((l) => l.id === lampId)!,
      { x: 0.3 + 0.2 * i, y: 0.2, face: 0.3 },
      ids(),
    )(site);
  return site;
}
const tierId = (site: Site) => site.stands[0]!.tiers[0]!.id;
const fired = (site: Site, stated: readonly Stated[] = []) =>
  cautionsFor(benchStandOf(site, site.stands[0]!, tables), stated, cautionLibrary).map((c) => c.id);

test('every caution of the table can be shown: what its triggers ask for is known of some stand', () => {
  const seen = new Set<string>();
  const see = (site: Site, stated: readonly Stated[] = []) => fired(site, stated).forEach((id) => seen.add(id));
  for (const lamp of lampLibrary) see(siteWith([lamp.id]));
  for (const crop of cropLibrary) see(siteWith(['led-a-14-clamp'], crop.id));
  for (const stated of STATED) see(siteWith(['led-a-14-clamp']), [stated]);
  const shop = siteWith(['led-shop-12-twin-42', 'led-shop-12-twin-42']);
  for (const kind of HANGER_KINDS)
    see(changeFittings(tierId(shop), shop.stands[0]!.tiers[0]!.fittings.map((f) => f.id), () => ({ hanger: hangerOf(kind) }))(shop)); // prettier-ignore
  see(changeStand(shop.stands[0]!.id, { strip: 20 })(shop));
  see(setTimer(shop.timers[0]!.id, { rating: 20 })(shop));
  see(addPlugged(shop.stands[0]!.id, { id: 'mat', kind: 'mat', name: 'Mat', power: 20, timerId: null })(shop));
  see(changeTrays(tierId(shop), shop.stands[0]!.tiers[0]!.trays.map((y) => y.id), () => ({ coverId: coverLibrary[0]!.id }))(shop)); // prettier-ignore
  const closed = {
    floor: 'white-paint',
    ceiling: 'white-paint',
    left: 'white-paint',
    right: 'white-paint',
    front: 'clear',
    back: 'white-paint',
  };
  see(withTier(tierId(shop), (t) => ({ ...t, enclosure: { ...t.enclosure, faces: closed } }))(shop));
  expect(cautionLibrary.map((c) => c.id).filter((id) => !seen.has(id))).toEqual([]);
});

test('all lamps and trays of a stand count, not the first alone', () => {
  const hot = lampLibrary.find((l) => l.family === 'halogen')!;
  expect(fired(siteWith(['led-a-14-clamp']))).not.toContain('hot-lamp-fire');
  expect(fired(siteWith(['led-a-14-clamp', hot.id]))).toContain('hot-lamp-fire');
  const far = siteWith(['led-bar-12-white-24']);
  expect(fired(far)).not.toContain('lamp-too-close');
  // A second tray with tall plants under the same lamp.
  const tall = addTray(tierId(far), pots, { cropId: 'celery', stage: 'seedling' }, { x: 0.5, y: 0.15 }, ids)(far);
  const grown = { ...tall, batches: tall.batches.map((b, i) => (i === 1 ? { ...b, height: 0.2 } : b)) };
  expect(fired(grown)).toContain('lamp-too-close');
});

test('the gravest come first, and what nobody has stated is not taken for so', () => {
  const stand = siteWith(['led-a-14-clamp']);
  const all = cautionsFor(benchStandOf(stand, stand.stands[0]!, tables), [], cautionLibrary).map((c) => c.severity);
  const rank = { danger: 0, warning: 1, info: 2 };
  expect(all.map((s) => rank[s])).toEqual(all.map((s) => rank[s]).sort());
  expect(fired(stand)).not.toContain('children-pets');
  expect(fired(stand, ['pets'])).toContain('children-pets');
  expect(fired(stand)).toContain('ground-fault');
  expect(fired(stand, ['outletProtected'])).not.toContain('ground-fault');
});
