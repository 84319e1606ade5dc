import { BARE_SITE } from '../stand/bare';
import { answerBench } from '../bench/answerBench';
import { questionOfStand } from '../bench/questionOfStand';
import { containerLibrary } from '../library/containerLibrary';
import { lampLibrary } from '../library/lampLibrary';
import { tables } from '../library/tables';
import { benchStandOf } from '../stand/benchStand';
import { addFitting, addTray, changeFittings, setProgramme } from '../stand/change';
import { faultsOf } from '../stand/faults';
import { hangerOf } from '../stand/Hanger';
import type { Site } from '../stand/Site';
import { standFrom, TEMPLATES } from '../stand/templates';
import { advise, CALLED_OFF, type AdviceQuestion } from './advise';
import { applyMove } from './applyMove';
import { habitsOf } from './habitsOf';
import { missOf, missOfTray } from './missOf';
import { movesFor, traysIn } from './movesFor';
import { roughJudge } from './roughLight';
import { frontierOf, settingsFor, type TierSetting } from './settingsFor';

let next = 0;
const ids = () => `a${next++}`;
const lamp = (id: string) => lampLibrary.find((l) => l.id === id)!;
const cells = containerLibrary.find((c) => c.id === 'cell-72')!;
const celery = { cropId: 'celery', stage: 'seedling' } as const;
const TIER = 0;

/** Two tiers; on the upper one two trays of celery under two lamps, as told. */
function siteWith({ lampId = 'led-bar-12-white-24', x = 0.6, face = 0.2, white = false, spares = [] as Site['spares'] } = {}): Site {
  const template = TEMPLATES.find((t) => t.kind === 'rack')!;
  const faces = white ? { ...template.faces, left: 'white-card', right: 'white-card', back: 'white-card' } : template.faces;
  const { stand, programme } = standFrom({ ...template, faces }, 2, 'Rack', ids);
  let site: Site = { ...BARE_SITE, currency: 'EUR', price_per_kWh: 0.3, stands: [stand], programmes: [programme], spares };
  const { id } = stand.tiers[TIER]!;
  for (const at of [0.32, 0.88]) site = addTray(id, cells, celery, { x: at, y: 0.225 }, ids)(site);
  for (const y of [0.14, 0.31]) site = addFitting(id, lamp(lampId), { x, y, face }, ids())(site);
  return changeFittings(id, site.stands[0]!.tiers[TIER]!.fittings.map((f) => f.id), () => ({ hanger: hangerOf('chain') }))(site); // prettier-ignore
}
const standOf = (site: Site) => benchStandOf(site, site.stands[0]!, tables);
const answerOf = (site: Site) => answerBench(questionOfStand(standOf(site), null));
const question = (site: Site, scope: AdviceQuestion['scope'] = { of: 'tier', id: site.stands[0]!.tiers[TIER]!.id }): AdviceQuestion => ({
  site,
  standId: site.stands[0]!.id,
  scope,
  answer: answerOf(site),
});

test('what is offered for a lamp hung too high is to hang it lower, and the engine gives what was promised', async () => {
  const site = siteWith({ face: 0.33 });
  const { offers, before, judged } = await advise(question(site));
  expect(judged).toBeGreaterThan(200);
  const lower = offers.find((o) => o.moves.length === 1 && o.moves[0]!.do === 'hang')!;
  expect(lower.moves[0]).toMatchObject({ do: 'hang' });
  expect((lower.moves[0] as { steps: number }).steps).toBeLessThan(0);
  expect(lower.after.miss).toBeLessThan(before.miss);
  const done = lower.moves.reduce(applyMove, site);
  const light = answerOf(done).tiers[done.stands[0]!.tiers[TIER]!.id]!;
  for (const fare of lower.after.fares) {
    const { stats } = light.trays[fare.trayId]!;
    expect(fare.weakest).toBeWithin(stats.weakest.ppfd * 16 * 0.0036, { relative: 0.02 });
    expect(fare.strongest).toBeWithin(stats.strongest.ppfd * 16 * 0.0036, { relative: 0.02 });
  }
});

test('offers come best first, set up nothing wrong, and none is worse than what there is', async () => {
  const site = siteWith({ x: 0.45 });
  const { offers, before } = await advise(question(site));
  expect(offers.length).toBeGreaterThan(2);
  for (const o of offers) {
    expect(o.after.miss).toBeLessThan(before.miss);
    expect(o.moves.length).toBeLessThanOrEqual(3);
    const after = standOf(o.moves.reduce(applyMove, site));
    expect(faultsOf(after).filter((f) => f.why !== 'lamp-beyond-tier')).toEqual([]);
  }
  // An hour of work more for what has to be bought.
  const price = (o: (typeof offers)[number]) => o.after.miss + 0.003 * (o.effort_min + (o.toBuy ? 60 : 0));
  expect(offers.map(price)).toEqual([...offers.map(price)].sort((a, b) => a - b));
  // The lamps hang 15 cm to the left of the middle: sliding them right is among what helps.
  expect(offers.some((o) => o.moves.some((m) => m.do === 'shift' && m.dx > 0.05))).toBe(true);
});

test('hours stay within what the crops bear and out of the quiet', async () => {
  const site: Site = { ...siteWith({ face: 0.3 }), quiet: { from_min: 21 * 60, to_min: 7 * 60 } };
  const hours = movesFor(site, standOf(site), { of: 'stand' }).flatMap((m) => (m.do === 'hours' ? [m] : []));
  expect(hours.length).toBeGreaterThan(3);
  for (const { on_min, lit_min } of hours) {
    expect(lit_min / 60).toBeGreaterThanOrEqual(12);
    expect(lit_min / 60).toBeLessThanOrEqual(14); // 24 less the ten quiet hours
    expect(on_min).toBeGreaterThanOrEqual(7 * 60);
    expect(on_min + lit_min).toBeLessThanOrEqual(21 * 60);
  }
});

test('a fixed lamp is not moved, and only spare lamps are hung up', () => {
  const site = siteWith({ spares: [{ lampId: 'led-bar-12-white-20', count: 1 }] });
  const { id, fittings } = site.stands[0]!.tiers[TIER]!;
  const fixed = changeFittings(id, fittings.map((f) => f.id), () => ({ hanger: hangerOf('fixed') }))(site); // prettier-ignore
  const moves = movesFor(fixed, standOf(fixed), { of: 'tier', id });
  expect(moves.some((m) => m.do === 'hang')).toBe(false);
  const added = moves.filter((m) => m.do === 'add-lamp');
  expect(new Set(added.map((m) => m.lampId))).toEqual(new Set(['led-bar-12-white-20']));
  const hung = applyMove(site, added[0]!);
  expect(hung.spares).toEqual([]);
  expect(hung.stands[0]!.tiers[TIER]!.fittings).toHaveLength(3);
});

test('where no lamp in reach is enough, it is said how far from enough the best would be', async () => {
  const site = siteWith({ lampId: 'led-a-9', face: 0.3 });
  const hot = { ...site, stands: site.stands.map((s) => ({ ...s, strip: 20 })) };
  const { insufficient } = await advise(question(hot));
  expect(insufficient).not.toBeNull();
  expect(insufficient!.share).toBeGreaterThan(0);
  expect(insufficient!.share).toBeLessThan(0.97);
});

test('a search is called off from outside', async () => {
  let told = 0;
  await expect(advise(question(siteWith()), () => ++told < 2)).rejects.toThrow(CALLED_OFF);
  expect(told).toBe(2);
});

test('white card on the open sides is judged with the light that it sends back', async () => {
  const site = siteWith({ face: 0.28 });
  const { offers, before } = await advise(question(site));
  const all = movesFor(site, standOf(site), { of: 'stand' }).find((m) => m.do === 'line')!;
  const lined = applyMove(site, all);
  const judge = roughJudge(standOf(site), answerOf(site));
  const [was, is] = [judge(standOf(site)), judge(standOf(lined))];
  expect(is[0]!.weakest).toBeGreaterThan(was[0]!.weakest * 1.05);
  const truth = answerOf(lined).tiers[lined.stands[0]!.tiers[TIER]!.id]!.trays[is[0]!.trayId]!;
  expect(is[0]!.mean).toBeWithin(truth.stats.mean * 16 * 0.0036, { relative: 0.05 });
  expect(before.fares.length).toBe(2);
  expect(offers.length).toBeGreaterThan(0);
});

test('the rough judge agrees with the engine on what is there', () => {
  const site = siteWith({ white: true });
  const answer = answerOf(site);
  for (const fare of roughJudge(standOf(site), answer)(standOf(site))) {
    const { stats } = answer.tiers[site.stands[0]!.tiers[TIER]!.id]!.trays[fare.trayId]!;
    expect(fare.mean).toBeWithin(stats.mean * 16 * 0.0036, { relative: 0.04 });
    expect(fare.weakest).toBeWithin(stats.weakest.ppfd * 16 * 0.0036, { relative: 0.12 });
  }
});

test('a miss is nothing in range, and grows with what is lacking and what is too much', () => {
  const stage = { dliMin: 8, dliMax: 16, ppfdMax: 300 };
  const fare = (weakest: number, strongest: number, shareInBand: number) => ({ weakest, strongest, strongestPpfd: 200, shareInBand });
  expect(missOfTray(fare(9, 15, 1), stage)).toBe(0);
  expect(missOfTray(fare(4, 15, 0.8), stage)).toBeWithin(Math.log(2) + 0.24, { relative: 1e-9 });
  expect(missOfTray(fare(9, 32, 0.5), stage)).toBeGreaterThan(missOfTray(fare(9, 20, 0.5), stage));
  const stand = standOf(siteWith());
  expect(missOf(stand, [], traysIn(stand, { of: 'stand' }))).toBe(0);
});

test('moves change what they say and nothing else', () => {
  const site = siteWith();
  const { id, fittings, trays } = site.stands[0]!.tiers[TIER]!;
  const tier = (s: Site) => s.stands[0]!.tiers[TIER]!;
  const [a, b] = [trays[0]!, trays[1]!];
  expect(tier(applyMove(site, { do: 'hang', tierId: id, steps: -3 })).fittings[0]!.face).toBeWithin(0.14, { relative: 1e-9 });
  expect(tier(applyMove(site, { do: 'shift', tierId: id, dx: 0.07, dy: 0 })).fittings.map((f) => Math.round(f.x * 1000))).toEqual([
    670, 670,
  ]);
  const gap = tier(applyMove(site, { do: 'gap', tierId: id, gap: 0.2 })).fittings.map((f) => f.y);
  expect(gap[1]! - gap[0]!).toBeWithin(0.2 + lamp('led-bar-12-white-24').width, { relative: 1e-9 });
  expect((gap[0]! + gap[1]!) / 2).toBeWithin(0.225, { relative: 1e-9 });
  const swapped = tier(applyMove(site, { do: 'swap-trays', trayId: a.id, otherId: b.id })).trays;
  expect(swapped.find((t) => t.id === a.id)!.x).toBe(b.x);
  const lower = site.stands[0]!.tiers[1]!.id;
  const carried = applyMove(site, { do: 'tray-to-tier', trayId: a.id, tierId: lower, x: 0.5, y: 0.2 });
  expect(carried.stands[0]!.tiers[1]!.trays.map((t) => [t.id, t.x])).toEqual([[a.id, 0.5]]);
  expect(tier(applyMove(site, { do: 'riser', trayId: a.id, risers: 2, before: 0 })).trays[0]!.risers).toBe(2);
  expect(tier(applyMove(site, { do: 'swap-lamp', tierId: id, lampId: 'led-a-9' })).fittings.every((f) => f.lampId === 'led-a-9')).toBe(
    true,
  );
  expect(fittings[0]!.lampId).toBe('led-bar-12-white-24');
});

test('the best height and hours are at least as good as any by brute force, and can be set', () => {
  const site = siteWith({ face: 0.33 });
  const standId = site.stands[0]!.id;
  const tierId = site.stands[0]!.tiers[TIER]!.id;
  const { all, best, now } = settingsFor({ site, standId, tierId, answer: answerOf(site) });
  expect(now).toMatchObject({ steps: 0, hours: 16 });
  expect(best!.shareInBand).toBeGreaterThanOrEqual(Math.max(...all.map((s) => s.shareInBand)) - 0.0101);
  expect(best!.shareInBand).toBeGreaterThan(now!.shareInBand);
  // What it promises, the engine gives.
  const set = setProgramme(
    site.programmes[0]!.id,
    best!.on_min,
    best!.hours * 60,
  )(applyMove(site, { do: 'hang', tierId, steps: best!.steps }));
  const fares = roughJudge(standOf(set), answerOf(set))(standOf(set));
  const share = fares.reduce((sum, f) => sum + f.shareInBand, 0) / fares.length;
  expect(share).toBeWithin(best!.shareInBand, { absolute: 0.08 });
  expect(all.every((s) => s.hours >= 12 && s.hours <= 16)).toBe(true);
});

test('on the frontier no setting is beaten, and off it every one is', () => {
  const s = (shareInBand: number, evenness: number, costPerMonth: number) =>
    ({ shareInBand, evenness, costPerMonth, miss: 0 }) as TierSetting;
  const all = [s(0.75, 0.3, 1), s(0.8, 0.2, 2), s(0.7, 0.25, 3), s(0.9, 0.1, 4), s(0.4, 0.1, 5)];
  const beats = (a: TierSetting, b: TierSetting) => a.shareInBand > b.shareInBand && a.costPerMonth < b.costPerMonth;
  const cheap = frontierOf(all, 'cost');
  expect(cheap.map((x) => x.costPerMonth)).toEqual([1, 2, 4]);
  for (const x of all) expect(cheap.includes(x)).toBe(!all.some((o) => beats(o, x)));
  expect(frontierOf(all, 'evenness').map((x) => x.evenness)).toEqual([0.1, 0.2, 0.3]);
});

test('a tray that is turned by half every few days lives in the mean of its two ends', () => {
  // Lamps far to the left: one end bright, the other dim.
  const site = siteWith({ lampId: 'led-bar-06-white-10', x: 0.3, face: 0.18 });
  const stand = standOf(site);
  const answer = answerOf(site);
  const [tray] = stand.tiers[TIER]!.trays;
  const turn = habitsOf(stand, answer, traysIn(stand, { of: 'stand' })).find((h) => h.do === 'half-turn' && h.trayId !== tray!.tray.id)!;
  expect(turn.weakest.after).toBeGreaterThan(turn.weakest.before * 1.1);
  expect(turn.strongest.after).toBeLessThan(turn.strongest.before);
  const light = answer.tiers[stand.tiers[TIER]!.tier.id]!.trays[turn.trayId]!.map;
  const [first, last] = [light.ppfd[0]!, light.ppfd[light.ppfd.length - 1]!];
  // No corner of the mean is darker than the mean of the two corners that change places, in a map that falls to one side.
  expect(turn.weakest.after).toBeGreaterThan(0.9 * Math.min(first, last) * 16 * 0.0036);
  expect(habitsOf(stand, answer, new Set())).toEqual([]);
});
