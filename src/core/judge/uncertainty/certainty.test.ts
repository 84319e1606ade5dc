import { mulberry } from '../../units/mulberry';
import { answerBench } from '../../answer/bench/answerBench';
import { judgeTray } from '../../answer/bench/judgeTray';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { containerLibrary } from '../../things/container/containerLibrary';
import { cropLibrary } from '../../things/crop/cropLibrary';
import { lampLibrary } from '../../things/lamp/lampLibrary';
import { tables } from '../../things/tables/libraryTables';
import { BARE_SITE } from '../../site/stand/bare';
import { benchStandOf } from '../../answer/stand/benchStand';
import { addFitting, addTray } from '../../site/stand/change';
import type { Site } from '../../site/stand/Site';
import { standFrom, TEMPLATES } from '../../site/stand/templates';
import { saysOf } from '../verdict/standing';
import { receivedOf } from '../dli/LightDay';
import { addLogFactors, certaintyFor, logsOf, normalIn, WORLDS } from './certainty';

test('the numbers of the worlds are those of a normal distribution, each reason by itself', () => {
  for (const way of [0, 3, 11]) {
    const all = Array.from({ length: WORLDS }, (_, w) => normalIn(w, way));
    const mean = all.reduce((a, b) => a + b, 0) / WORLDS;
    expect(mean).toBeWithin(0, { absolute: 0.02 });
    expect(all.reduce((a, b) => a + (b - mean) ** 2, 0) / WORLDS).toBeWithin(1, { absolute: 0.05 });
    expect(all.filter((z) => Math.abs(z) < 1.645).length / WORLDS).toBeWithin(0.9, { absolute: 0.02 });
  }
  const across = Array.from({ length: WORLDS }, (_, w) => normalIn(w, 0) * normalIn(w, 5)).reduce((a, b) => a + b, 0) / WORLDS;
  expect(across).toBeWithin(0, { absolute: 0.12 });
  // Nine in ten between the ends of a doubt, half above and half below.
  const logs = new Float64Array(WORLDS);
  addLogFactors(logs, 2, logsOf({ low: 0.3, high: 0.1 }));
  const factors = Array.from(logs, Math.exp);
  expect(factors.filter((f) => f >= 0.7 && f <= 1.1).length / WORLDS).toBeWithin(0.9, { absolute: 0.02 });
  expect(factors.filter((f) => f > 1).length / WORLDS).toBeWithin(0.5, { absolute: 0.03 });
  expect([0.99, 0.989, 0.9, 0.899].map(certaintyFor)).toEqual(['sure', 'likely', 'likely', 'open']);
});

let n = 0;
const ids = () => `c${n++}`;
/** A tray under a lamp at some height; the lamp gives so many times its label, and hangs so much nearer than is said. */
function siteOf(lampId: string, cropId: string, face: number, hours: number, truth = { times: 1, nearer: 0 }): Site {
  n = 0;
  const { stand, timer } = standFrom(TEMPLATES.find((t) => t.kind === 'other')!, 1, 'Bench', ids); // prettier-ignore
  const lamp = lampLibrary.find((l) => l.id === lampId)!;
  const real = { ...lamp, id: 'real', ppf: lamp.ppf * truth.times };
  const tierId = stand.tiers[0]!.id;
  let site: Site = {
    ...BARE_SITE,
    currency: 'EUR',
    price_per_kWh: 0.3,
    stands: [stand],
    lamps: [real],
    timers: [{ ...timer, lit_min: hours * 60 }],
  };
  site = addTray(
    tierId,
    containerLibrary.find((c) => c.id === 'flat-half')!,
    { cropId, stage: 'seedling' },
    { x: 0.5, y: 0.25 },
    ids,
  )(site);
  return addFitting(tierId, real, { x: 0.5, y: 0.25, face: face - truth.nearer }, ids())(site);
}
function judged(site: Site) {
  const stand = benchStandOf(site, site.stands[0]!, tables);
  const [tier] = stand.tiers;
  const light = answerBench(questionOfStand(stand, null)).tiers[tier!.tier.id]!.trays[tier!.trays[0]!.tray.id]!;
  return { tier: tier!, ...judgeTray(tier!, tier!.trays[0]!, light) };
}

// What would really be found: lamps drawn from what is known of such boxes, old or new, hung by hand, through the whole light engine.
test('words are right as often as they say, and bands hold nine in ten at every spot', () => {
  const next = mulberry(11);
  const normal = () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
  const draw = ({ low, high }: { low: number; high: number }) => {
    const z = normal() / 1.645;
    return z < 0 ? (1 - low) ** -z : (1 + high) ** z;
  };
  let likely = 0, kept = 0, sure = 0, sureKept = 0, inside = 0, spots = 0; // prettier-ignore
  const lamps = ['led-bar-06-white-10', 'led-a-14-clamp', 'led-shop-06-twin-20', 't8-06-2refl'].filter((id) =>
    lampLibrary.some((l) => l.id === id),
  );
  expect(lamps.length).toBeGreaterThanOrEqual(2);
  for (let trial = 0; trial < 120; trial++) {
    const lampId = lamps[Math.floor(next() * lamps.length)]!;
    const crop = cropLibrary.filter((c) => c.stages.some((s) => s.stage === 'seedling'))[Math.floor(next() * 40)]!;
    const [face, hours] = [0.14 + next() * 0.35, 10 + Math.floor(next() * 7)];
    const said = judged(siteOf(lampId, crop.id, face, hours));
    const common = said.uncertainties.filter((d) => d.why !== 'beam-shape' && d.why !== 'distance');
    const worlds = 24;
    let same = 0;
    for (let w = 0; w < worlds; w++) {
      const times = common.reduce((f, d) => f * draw(d), 1);
      const found = judged(siteOf(lampId, crop.id, face, hours, { times, nearer: normal() * (0.01 / 1.645) }));
      const [beamThere, beamHere] = [draw({ low: 0.08, high: 0.08 }), draw({ low: 0.08, high: 0.08 })];
      const light = {
        weakest: found.light.stats.weakest.ppfd * beamThere,
        mean: found.light.stats.mean,
        strongest: found.light.stats.strongest.ppfd * beamHere,
      };
      const got = receivedOf(light, said.tier.day);
      if (saysOf(got, said.tray.stage, said.tray.limits) === said.verdict.says) same++;
      for (const spot of ['weakest', 'mean', 'strongest'] as const) {
        spots++;
        if (got[spot] >= said.verdict[spot].low * 0.999 && got[spot] <= said.verdict[spot].high * 1.001) inside++;
      }
    }
    if (said.verdict.certainty === 'likely') [likely, kept] = [likely + worlds, kept + same];
    if (said.verdict.certainty === 'sure') [sure, sureKept] = [sure + worlds, sureKept + same];
  }
  expect(inside / spots).toBeWithin(0.9, { absolute: 0.03 });
  expect(likely).toBeGreaterThan(100);
  expect(kept / likely).toBeGreaterThanOrEqual(0.9);
  expect(sure).toBeGreaterThan(100);
  expect(sureKept / sure).toBeGreaterThanOrEqual(0.985);
});

test('the numbers of the worlds are those of a normal distribution, tails and all, for every reason for doubt', () => {
  // Printed table of the normal distribution.
  const table = [[0.005, -2.5758], [0.02, -2.0537], [0.05, -1.6449], [0.25, -0.6745], [0.5, 0], [0.75, 0.6745], [0.95, 1.6449], [0.98, 2.0537], [0.995, 2.5758]] as const; // prettier-ignore
  for (let way = 0; way < 12; way++) {
    const z = Array.from({ length: WORLDS }, (_, world) => normalIn(world, way)).sort((a, b) => a - b);
    for (const [p, quantile] of table) {
      // Four hundred of them: half a rank is a tenth in the tails, hardly anything in the middle.
      expect(z[Math.min(WORLDS - 1, Math.floor(p * WORLDS))]).toBeWithin(quantile, { absolute: Math.abs(p - 0.5) > 0.47 ? 0.1 : 0.03 });
    }
    expect(z[0]).toBeLessThan(-2.5);
    expect(z[WORLDS - 1]).toBeGreaterThan(2.5);
  }
});
