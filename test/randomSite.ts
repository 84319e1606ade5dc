import { TRAVEL_WAYS } from '../src/core/things/lamp/Travel';
import { dateBatch, logIt } from '../src/core/site/growth/changeGrowth';
import { grownTo } from '../src/core/answer/stand/grownTo';
import { containerLibrary } from '../src/core/things/container/containerLibrary';
import { cropLibrary } from '../src/core/things/crop/cropLibrary';
import { lampLibrary } from '../src/core/things/lamp/lampLibrary';
import { tables } from '../src/core/things/tables/libraryTables';
import { PLAN_KINDS } from '../src/core/site/timer/HoursPlan';
import { BARE_SITE } from '../src/core/site/stand/bare';
import { addFitting, addTray, changeFittings, placeOn, plugInto, setTimes, withTier } from '../src/core/site/stand/change';
import { HANGER_KINDS, hangerOf } from '../src/core/site/stand/Hanger';
import type { Site } from '../src/core/site/stand/Site';
import { standFrom, TEMPLATES } from '../src/core/site/stand/templates';
import { mulberry } from '../src/core/units/mulberry';
import { dayFrom } from '../src/core/units/day';

/** The day on which the random sites stand. */
export const RANDOM_DAY = dayFrom(2027, 2, 16);

/** A stand as somebody might set it up without much thought: any lamps, crops, hours and plans, right or wrong. */
export function randomSite(seed: number, mostTiers = 2): Site {
  const next = mulberry(seed);
  // By itself: the rest of a stand stays as it is without rails.
  const rails = mulberry(seed + 100_000);
  const pick = <T>(all: readonly T[]): T => all[Math.floor(next() * all.length)]!;
  const between = (a: number, b: number) => a + next() * (b - a);
  let n = 0;
  const ids = () => `r${seed}-${n++}`;
  const template = pick(TEMPLATES);
  const tiers = Math.max(template.tiers.least, Math.min(template.tiers.most, 1 + Math.floor(next() * mostTiers)));
  const { stand, timer } = standFrom(template, tiers, 'Stand', ids);
  let site: Site = {
    ...BARE_SITE,
    currency: 'EUR',
    price_per_kWh: between(0.1, 0.6),
    stands: [stand],
    timers: [timer],
    quiet: next() < 0.3 ? { from_min: 22 * 60, to_min: 6 * 60 } : null,
    cheap: next() < 0.2 ? { from_min: 30, to_min: 330, price_per_kWh: 0.08 } : null,
    spares: next() < 0.4 ? [{ lampId: pick(lampLibrary).id, count: 1 + Math.floor(next() * 2) }] : [],
  };
  site = setTimes(timer.id, Math.floor(next() * 96) * 15, Math.floor(between(6, 24) * 4) * 15)(site);
  for (const tier of stand.tiers) {
    if (tiers > 1 && next() < 0.4) site = plugInto(tier.id, ids())(site);
    for (let i = Math.floor(between(1, 3.5)); i > 0; i--) {
      const container = pick(containerLibrary);
      const crop = pick(cropLibrary);
      const now = site.stands[0]!.tiers.find((t) => t.id === tier.id)!;
      const place = placeOn(now, container.length, container.width);
      if (!place) continue;
      site = addTray(tier.id, container, { cropId: crop.id, stage: pick(crop.stages).stage }, place, ids)(site);
      const { id } = site.batches.at(-1)!;
      const plan = next() < 0.5 ? { kind: pick(PLAN_KINDS), hours: null, days: null } : null;
      if (plan) site = { ...site, batches: site.batches.map((b) => (b.id === id ? { ...b, plan } : b)) };
      if (next() < 0.6) {
        const age = Math.floor(between(-8, 40));
        site = dateBatch(id, RANDOM_DAY - age - 10)(site);
        if (age >= 0) site = logIt(id, { id: ids(), what: 'emerged', day: RANDOM_DAY - age, height: null, stage: null })(site);
      }
    }
    const lamp = pick(lampLibrary.filter((l) => l.common || next() < 0.1));
    const count = Math.floor(between(1, 3.2));
    for (let i = 0; i < count; i++) {
      const at = {
        x: tier.width / 2 + between(-0.1, 0.1),
        y: (tier.depth * (i + 1)) / (count + 1),
        face: between(0.12, tier.enclosure.height - 0.04),
      };
      site = addFitting(tier.id, next() < 0.85 ? lamp : pick(lampLibrary), at, ids())(site);
    }
    const fittings = site.stands[0]!.tiers.find((t) => t.id === tier.id)!.fittings.map((f) => f.id);
    site = changeFittings(tier.id, fittings, () => ({ hanger: hangerOf(pick(HANGER_KINDS)) }))(site);
    if (next() < 0.2) site = changeFittings(tier.id, fittings, () => ({ tilt: between(-0.6, 0.6) }))(site);
    if (rails() < 0.15) {
      const along = TRAVEL_WAYS[Math.floor(rails() * TRAVEL_WAYS.length)]!;
      const length = 0.1 + 0.3 * rails();
      site = changeFittings(tier.id, fittings, () => ({ travel: { along, length } }))(site);
    }
    if (next() < 0.3) {
      const daylight = { dli: between(0.5, 8), from_min: 60 * Math.floor(between(5, 9)), to_min: 60 * Math.floor(between(15, 21)) };
      site = withTier(tier.id, (t) => ({ ...t, daylight }))(site);
    }
  }
  return grownTo(site, RANDOM_DAY, tables);
}
