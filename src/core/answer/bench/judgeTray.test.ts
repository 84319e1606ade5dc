import { BARE_SITE } from '../../site/stand/bare';
import { containerLibrary } from '../../things/container/containerLibrary';
import { lampLibrary } from '../../things/lamp/lampLibrary';
import { tables } from '../../things/tables/libraryTables';
import { benchStandOf } from '../stand/benchStand';
import { addFitting, addTray, setTimes } from '../../site/stand/change';
import type { Site } from '../../site/stand/Site';
import { standFrom, TEMPLATES } from '../../site/stand/templates';
import { combine } from '../../judge/uncertainty/Band';
import { answerBench } from './answerBench';
import { judgeTray } from './judgeTray';
import { questionOfStand } from './questionOfStand';

let next = 0;
const ids = () => `j${next++}`;
const lamp = (id: string) => lampLibrary.find((l) => l.id === id)!;
const half = containerLibrary.find((c) => c.id === 'flat-half')!;

/** A bench with two trays of different crops, a lamp over each. */
function siteWith(crops: readonly [string, string], lamps: readonly [string, string]): Site {
  const { stand, timer } = standFrom(
    TEMPLATES.find((t) => t.kind === 'other')!,
    1,
    'Bench',
    ids,
  );
  const tierId = stand.tiers[0]!.id;
  let site: Site = { ...BARE_SITE, currency: 'EUR', price_per_kWh: 0.3, stands: [stand], timers: [timer] };
  for (const [i, cropId] of crops.entries()) {
    site = addTray(tierId, half, { cropId, stage: 'seedling' }, { x: 0.25 + 0.5 * i, y: 0.25 }, ids)(site);
    site = addFitting(tierId, lamp(lamps[i]!), { x: 0.25 + 0.5 * i, y: 0.25, face: 0.3 }, ids())(site);
  }
  return site;
}

function judged(site: Site) {
  const stand = benchStandOf(site, site.stands[0]!, tables);
  const [tier] = stand.tiers;
  const light = answerBench(questionOfStand(stand, null)).tiers[tier!.tier.id]!;
  return tier!.trays.map((tray) => judgeTray(tier!, tray, light.trays[tray.tray.id]!));
}

test('each tray is judged by its own crop, under the same light', () => {
  const [leek, basil] = judged(siteWith(['lettuce', 'tomato'], ['led-a-17-clamp', 'led-a-17-clamp']));
  expect(leek!.verdict.mean.value).toBeWithin(basil!.verdict.mean.value, { relative: 0.35 });
  const { crop: a } = leek!.tray;
  const { crop: b } = basil!.tray;
  expect([a.id, b.id]).toEqual(['lettuce', 'tomato']);
  expect(leek!.verdict.band.low).toBeWithin(leek!.tray.stage.dliMin / (16 * 0.0036), { relative: 1e-9 });
  expect(basil!.verdict.band.low).toBeWithin(basil!.tray.stage.dliMin / (16 * 0.0036), { relative: 1e-9 });
});

test('with the lamps off all day it is dark', () => {
  const site = siteWith(['celery', 'celery'], ['led-a-17-clamp', 'led-a-17-clamp']);
  const off = setTimes(site.timers[0]!.id, 360, 0)(site);
  expect(judged(off).map((j) => j.verdict.says)).toEqual(['dark', 'dark']);
});

test('lamps of one kind are off together, lamps of two kinds apart: a mixture is less doubtful', () => {
  const widths = (lamps: readonly [string, string]) => {
    // Both lamps over the middle, so that each gives its share to both trays.
    const site = siteWith(['celery', 'celery'], lamps);
    const middle = { ...site, stands: site.stands.map((s) => ({ ...s, tiers: s.tiers.map((t) => ({ ...t, fittings: t.fittings.map((f, i) => ({ ...f, x: 0.5, y: 0.2 + 0.1 * i })) })) })) }; // prettier-ignore
    const [first] = judged(middle);
    const ofLamps = first!.uncertainties.filter((d) => d.why !== 'distance' && d.why !== 'sides');
    return combine(ofLamps).low;
  };
  const same = widths(['led-a-17-clamp', 'led-a-17-clamp']);
  const mixed = widths(['led-a-17-clamp', 'led-a-14-clamp']);
  expect(mixed).toBeLessThan(same);
  expect(mixed).toBeGreaterThan(same / 2);
});

test('the band of a tray is as wide as one lamp’s when only that one shines on it', () => {
  const [tray] = judged(siteWith(['celery', 'celery'], ['led-a-17-clamp', 'led-a-9']));
  const { weakest } = tray!.verdict;
  expect(weakest.low).toBeLessThan(weakest.value);
  expect(weakest.high).toBeGreaterThan(weakest.value);
  expect(tray!.light.lamps.reduce((sum, l) => sum + l.share, 0)).toBeWithin(1, { relative: 1e-9 });
});

test('a tray in the shade of a taller neighbour is judged by what is left, with the thickness of its leaves among the doubts', () => {
  const site = siteWith(['lettuce', 'lettuce'], ['led-bar-06-white-10', 'led-bar-06-white-10']);
  const tall: Site = { ...site, batches: site.batches.map((b, i) => (i === 1 ? { ...b, height: 0.2 } : b)) };
  const [alone, shaded] = [judged(site)[0]!, judged(tall)[0]!];
  const share = shaded.light.shadedShare;
  expect(alone.light.shadedShare).toBe(0);
  expect(share).toBeGreaterThan(0.005);
  expect(shaded.light.stats.mean).toBeLessThan(alone.light.stats.mean);
  expect(alone.uncertainties.some((d) => d.why === 'neighbours')).toBe(false);
  const doubt = shaded.uncertainties.find((d) => d.why === 'neighbours')!;
  // Leaves that take nine tenths instead of seven take 0.2/0.7 more of what was there.
  expect(doubt.low).toBeWithin(((0.2 / 0.7) * share) / (1 - share), { relative: 0.05 });
  expect(doubt.high).toBe(doubt.low);
});
