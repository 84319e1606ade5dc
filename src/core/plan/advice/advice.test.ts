import { BARE_SITE } from '../../site/stand/bare';
import { answerBench } from '../../answer/bench/answerBench';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { containerLibrary } from '../../things/container/containerLibrary';
import { lampLibrary } from '../../things/lamp/lampLibrary';
import { tables } from '../../things/tables/libraryTables';
import { benchStandOf } from '../../answer/stand/benchStand';
import { addFitting, addTray, changeFittings, changeTrays, plugInto, setTimes } from '../../site/stand/change';
import { faultsOf, makesWorse } from '../../answer/faults/faults';
import { hangerOf } from '../../site/stand/Hanger';
import type { StageName } from '../../things/crop/Crop';
import type { Site } from '../../site/stand/Site';
import { standFrom, TEMPLATES } from '../../site/stand/templates';
import { plainOwnLamp } from '../../site/ownLamps/changeOwnLamps';
import { knowOwnLamps } from '../../site/ownLamps/hangingOf';
import { advise, CALLED_OFF } from './advise';
import type { AdviceQuestion } from './AdviceQuestion';
import { idOf, kindOf } from './Move';
import { applyMove, applyMoves, canMove } from './applyMove';
import { resultsBy, resultsOf } from './Effect';
import { habitsOf } from './habitsOf';
import { hoursOf, liftsOf, movesFor, traysIn } from './movesFor';
import { quickLight } from './quickLight';
import { isToBuy, troubleOf } from './trouble';
import type { Move } from './Move';
import { frontierOf, settingsFor, type TierSetting } from './settingsFor';

let next = 0;
const ids = () => `a${next++}`;
const lamp = (id: string) => lampLibrary.find((l) => l.id === id)!;
const cells = containerLibrary.find((c) => c.id === 'cell-72')!;
const celery = { cropId: 'celery', stage: 'seedling' } as const;
const TIER = 0;

/** Two tiers; on the upper one two trays of celery under two lamps, as told. */
function siteWith({
  lampId = 'led-bar-12-white-24',
  x = 0.6,
  face = 0.2,
  white = false,
  crop = celery as { cropId: string; stage: StageName },
  spares = [] as Site['spares'],
} = {}): Site {
  const template = TEMPLATES.find((t) => t.kind === 'rack')!;
  const faces = white ? { ...template.faces, left: 'white-card', right: 'white-card', back: 'white-card' } : template.faces;
  const { stand, timer } = standFrom({ ...template, faces }, 2, 'Rack', ids);
  let site: Site = { ...BARE_SITE, currency: 'EUR', price_per_kWh: 0.3, stands: [stand], timers: [timer], spares };
  const { id } = stand.tiers[TIER]!;
  for (const at of [0.32, 0.88]) site = addTray(id, cells, crop, { x: at, y: 0.225 }, ids)(site);
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
  const { offers, before, judged } = await advise(question(site), tables);
  expect(judged).toBeGreaterThan(200);
  const lower = offers.find((o) => o.moves.every((m) => m.do === 'hang' || m.do === 'hours') && o.moves.some((m) => m.do === 'hang'))!;
  expect((lower.moves.find((m) => m.do === 'hang') as { lift: number }).lift).toBeLessThan(0);
  expect(lower.after.loss).toBeLessThan(before.loss);
  const done = applyMoves(site, lower.moves, tables);
  // The same path, but that the light between faces is settled from where it was: far within one per cent.
  for (const [k, r] of resultsOf(standOf(done), answerOf(done)).entries()) {
    const promised = lower.after.results[k]!;
    for (const spot of ['weakest', 'mean', 'strongest', 'shareInBand'] as const)
      expect(promised[spot]).toBeWithin(r[spot], { relative: 1e-5 });
    expect(promised.says).toBe(r.says);
  }
});

test('offers come best first, set up nothing wrong, and none is worse than what there is', async () => {
  const site = siteWith({ x: 0.45 });
  const { offers, before } = await advise(question(site), tables);
  expect(offers.length).toBeGreaterThan(2);
  for (const o of offers) {
    expect(o.after.loss).toBeLessThan(before.loss);
    expect(o.moves.length).toBeLessThanOrEqual(4);
    expect(makesWorse(faultsOf(standOf(site)), faultsOf(standOf(applyMoves(site, o.moves, tables))))).toBe(false);
  }
  // What costs more to run is a little the worse for it, in any currency.
  const price = (o: (typeof offers)[number]) =>
    o.after.loss + troubleOf(o.moves, site, tables) + 0.1 * (o.after.costPerMonth / before.costPerMonth - 1);
  expect(offers.map(price)).toEqual([...offers.map(price)].sort((a, b) => a - b));
  // The lamps hang 15 cm to the left of the middle: sliding them right is among what helps.
  expect(offers.some((o) => o.moves.some((m) => m.do === 'shift' && m.dx > 0.05))).toBe(true);
  expect(new Set(offers.map((o) => o.id)).size).toBe(offers.length);
});

test('offers and best settings are the same whatever the currency', async () => {
  const of = async (price: number) => {
    const site = { ...siteWith({ face: 0.3 }), price_per_kWh: price };
    const tierId = site.stands[0]!.tiers[TIER]!.id;
    const { best } = settingsFor({ site, standId: site.stands[0]!.id, tierId, answer: answerOf(site) }, tables);
    const { offers } = await advise(question(site), tables);
    const shapeOf = (m: Move) => JSON.stringify({ ...m, tierId: 0, trayId: 0, timerId: 0 });
    return [best!.hours, best!.lift, ...offers.map((o) => o.moves.map(shapeOf).join())];
  };
  const pounds = await of(0.25);
  expect(await of(2.9)).toEqual(pounds); // the same in kronor
  expect(await of(48)).toEqual(pounds); // and in yen
});

test('hours stay within what the crops bear and out of the quiet', async () => {
  const site: Site = { ...siteWith({ face: 0.3 }), quiet: { from_min: 21 * 60, to_min: 7 * 60 } };
  const hours = hoursOf(site.timers[0]!, standOf(site), site);
  expect(hours.length).toBeGreaterThan(3);
  for (const { on_min, lit_min } of hours) {
    expect(lit_min / 60).toBeGreaterThanOrEqual(12);
    expect(lit_min / 60).toBeLessThanOrEqual(14); // 24 less the ten quiet hours
    expect(on_min).toBeGreaterThanOrEqual(7 * 60);
    expect(on_min + lit_min).toBeLessThanOrEqual(21 * 60);
  }
});

test('where daylight alone is enough the lamps are left off, and no lamp is bought to give less', async () => {
  const hung = siteWith({ face: 0.2 });
  const dark = setTimes(hung.timers[0]!.id, 6 * 60, 14 * 60)(hung);
  const daylight = { dli: 11, from_min: 5 * 60, to_min: 20 * 60 };
  const sunny: Site = { ...dark, stands: dark.stands.map((s) => ({ ...s, tiers: s.tiers.map((t) => ({ ...t, daylight })) })) };
  expect(Math.min(...hoursOf(dark.timers[0]!, standOf(dark), dark).map((h) => h.lit_min))).toBe(12 * 60);
  expect(Math.min(...hoursOf(sunny.timers[0]!, standOf(sunny), sunny).map((h) => h.lit_min))).toBe(0);
  const { before, offers } = await advise(question(sunny), tables);
  expect(before.shareInBand).toBeLessThan(0.9);
  expect(offers[0]!.moves).toMatchObject([{ do: 'hours', lit_min: 0 }]);
  expect(offers[0]!.after).toMatchObject({ shareInBand: 1, costPerMonth: 0 });
  expect(offers.filter((o) => o.toBuy)).toEqual([]);
});

test('a fixed lamp is not moved, and only spare lamps are hung up', () => {
  const site = siteWith({ spares: [{ lampId: 'led-bar-12-white-20', count: 1 }] });
  const { id, fittings } = site.stands[0]!.tiers[TIER]!;
  const fixed = changeFittings(id, fittings.map((f) => f.id), () => ({ hanger: hangerOf('fixed') }))(site); // prettier-ignore
  const moves = movesFor(fixed, standOf(fixed), { of: 'tier', id });
  expect(liftsOf({ tier: fixed.stands[0]!.tiers[TIER]!, number: 1 })).toEqual([0]);
  expect(moves.some((m) => m.do === 'shift' || m.do === 'gap' || m.do === 'swap-lamp')).toBe(false);
  const added = moves.filter((m) => m.do === 'add-lamp');
  expect(new Set(added.map((m) => m.lampId))).toEqual(new Set(['led-bar-12-white-20']));
  const hung = applyMove(site, added[0]!, tables);
  expect(hung.spares).toEqual([]);
  expect(hung.stands[0]!.tiers[TIER]!.fittings).toHaveLength(3);
  // There was one: it cannot be hung up twice.
  expect(canMove(hung, added[0]!)).toBe(false);
});

test('lamps that lie in the cupboard are not bought, and what is taken down lies there afterwards', () => {
  const site = siteWith({ spares: [{ lampId: 'led-shop-12-twin-42', count: 2 }] });
  const { id } = site.stands[0]!.tiers[TIER]!;
  const swap = { do: 'swap-lamp', tierId: id, lampId: 'led-shop-12-twin-42' } as const;
  expect(isToBuy([swap], site, tables)).toBe(false);
  expect(isToBuy([swap], { ...site, spares: [{ lampId: 'led-shop-12-twin-42', count: 1 }] }, tables)).toBe(true);
  expect(applyMove(site, swap, tables).spares).toEqual([{ lampId: 'led-bar-12-white-24', count: 2 }]);
});

test('lamps on hangers of two kinds go by the steps of each, and only so far as both have', () => {
  const site = siteWith();
  const { id, fittings } = site.stands[0]!.tiers[TIER]!;
  const mixed = changeFittings(id, [fittings[1]!.id], () => ({ hanger: hangerOf('notch') }))(site);
  for (const lift of liftsOf({ tier: mixed.stands[0]!.tiers[TIER]!, number: 1 })) {
    const [a, b] = applyMove(mixed, { do: 'hang', tierId: id, lift }, tables).stands[0]!.tiers[TIER]!.fittings;
    expect(a!.face - 0.2).toBeWithin(lift, { absolute: 0.0051 });
    expect(b!.face - 0.2).toBeWithin(lift, { absolute: 0.0051 });
    const notches = (b!.face - 0.2) / 0.0254;
    expect(notches).toBeWithin(Math.round(notches), { absolute: 1e-6 });
  }
});

test('lamps left at the top of an open bench come all the way down to the seedlings in one move', async () => {
  const { stand, timer } = standFrom(
    TEMPLATES.find((t) => t.kind === 'bench')!,
    1,
    'Bench',
    ids,
  );
  const bare: Site = { ...BARE_SITE, currency: 'EUR', price_per_kWh: 0.3, stands: [stand], timers: [timer] };
  const { id } = stand.tiers[0]!;
  const kept = { cropId: 'tomato', stage: 'seedling' } as const;
  const site = addFitting(id, lamp('led-shop-12-twin-42'), { x: 0.75, y: 0.3, face: 0.85 }, ids())(addTray(id, cells, kept, { x: 0.75, y: 0.3 }, ids)(bare)); // prettier-ignore
  const { before, offers, insufficient } = await advise(question(site), tables);
  expect(before.shareInBand).toBe(0);
  expect(insufficient).toBeNull();
  const lower = offers.find(({ moves }) => moves.every((m) => m.do === 'hang' || m.do === 'hours'))!;
  expect((lower.moves.find((m) => m.do === 'hang') as { lift: number }).lift).toBeLessThan(-0.5);
  const [hung] = lower.hung;
  expect(hung!.was).toBeWithin(0.85 - standOf(site).tiers[0]!.trays[0]!.canopy, { absolute: 1e-9 });
  expect(hung!.is).toBeWithin(hung!.was + (lower.moves.find((m) => m.do === 'hang') as { lift: number }).lift, { absolute: 0.011 });
  expect(lower.after.loss).toBeLessThan(before.loss / 2);
  expect(lower.after.results[0]!.weakest).toBeGreaterThan(2 * before.results[0]!.weakest);
});

test('where no lamp in reach is enough, it is said how far from enough the best would be', async () => {
  const site = siteWith({ lampId: 'led-a-9', face: 0.3 });
  const hot = { ...site, stands: site.stands.map((s) => ({ ...s, strip: 20 })) };
  const { insufficient } = await advise(question(hot), tables);
  expect(insufficient).not.toBeNull();
  expect(insufficient!.share).toBeGreaterThan(0);
  expect(insufficient!.share).toBeLessThan(1);
});

test('a search is called off from outside', async () => {
  let told = 0;
  await expect(advise(question(siteWith()), tables, () => ++told < 2)).rejects.toThrow(CALLED_OFF);
  expect(told).toBe(2);
});

test('white card on the open sides is judged with the light that it sends back', async () => {
  const site = siteWith({ face: 0.28 });
  const { offers, before } = await advise(question(site), tables);
  const all = movesFor(site, standOf(site), { of: 'stand' }).find((m) => m.do === 'line')!;
  const lined = applyMove(site, all, tables);
  const light = quickLight(standOf(site), answerOf(site));
  const [was, is] = [resultsBy(standOf(site), light), resultsBy(standOf(lined), light)];
  expect(is[0]!.weakest).toBeGreaterThan(was[0]!.weakest * 1.05);
  const truth = answerOf(lined).tiers[lined.stands[0]!.tiers[TIER]!.id]!.trays[is[0]!.trayId]!;
  expect(is[0]!.mean).toBeWithin(truth.stats.mean * 16 * 0.0036, { relative: 0.05 });
  expect(before.results.length).toBe(2);
  expect(offers.length).toBeGreaterThan(0);
});

test('the quick light agrees with the engine on what is there', () => {
  const site = siteWith({ white: true });
  const answer = answerOf(site);
  const stand = standOf(site);
  for (const quick of resultsBy(stand, quickLight(stand, answer))) {
    const { stats } = answer.tiers[site.stands[0]!.tiers[TIER]!.id]!.trays[quick.trayId]!;
    expect(quick.mean).toBeWithin(stats.mean * 16 * 0.0036, { relative: 0.005 });
    expect(quick.weakest).toBeWithin(stats.weakest.ppfd * 16 * 0.0036, { relative: 0.005 });
    expect(quick.strongest).toBeWithin(stats.strongest.ppfd * 16 * 0.0036, { relative: 0.005 });
  }
});

test('where the strongest leaves are over their limit by a hair, hanging the lamps higher is offered', async () => {
  const under = (face: number) => {
    const site = siteWith({ x: 0.5, face, crop: { cropId: 'begonia-rex', stage: 'growing-on' } });
    return setTimes(site.timers[0]!.id, 6 * 60, 12 * 60)({ ...site, batches: site.batches.map((b) => ({ ...b, height: 0.03 })) });
  };
  const strongestAt = (face: number) => {
    const site = under(face);
    return Math.max(...resultsOf(standOf(site), answerOf(site)).map((r) => r.litPpfd));
  };
  const { ppfdMax } = standOf(under(0.3)).tiers[TIER]!.trays[0]!.stage;
  let [near, far] = [0.05, 0.33];
  while (far - near > 1e-6) {
    const face = (near + far) / 2;
    if (strongestAt(face) > ppfdMax * 1.0005) near = face;
    else far = face;
  }
  const site = under(near);
  const { before, offers } = await advise(question(site), tables);
  expect(before.results.flatMap((r) => r.breaches.map((b) => b.why))).toContain('too-strong');
  const lift = offers.find((o) => o.moves.length === 1 && o.moves[0]!.do === 'hang');
  expect((lift?.moves[0] as { lift: number }).lift).toBeGreaterThan(0);
  expect(lift!.after.results.flatMap((r) => r.breaches)).toEqual([]);
});

test('no move is offered beside others that do about as well without it', async () => {
  for (const site of [siteWith({ x: 0.45 }), siteWith({ face: 0.3 }), siteWith({ white: true, face: 0.12 })]) {
    const { offers } = await advise(question(site), tables);
    expect(offers.length).toBeGreaterThan(1);
    for (const whole of offers)
      for (const part of offers) {
        if (part.moves.length >= whole.moves.length || !part.moves.every((m) => whole.moves.some((w) => kindOf(w) === kindOf(m)))) continue;
        expect(whole.after.loss).toBeLessThan(0.9 * part.after.loss);
      }
  }
});

test('moves change what they say and nothing else', () => {
  const site = siteWith();
  const { id, fittings, trays } = site.stands[0]!.tiers[TIER]!;
  const tier = (s: Site) => s.stands[0]!.tiers[TIER]!;
  const [a, b] = [trays[0]!, trays[1]!];
  expect(tier(applyMove(site, { do: 'hang', tierId: id, lift: -0.06 }, tables)).fittings[0]!.face).toBeWithin(0.14, { relative: 1e-9 });
  expect(tier(applyMove(site, { do: 'shift', tierId: id, dx: 0.07, dy: 0 }, tables)).fittings.map((f) => Math.round(f.x * 1000))).toEqual([
    670, 670,
  ]);
  const gap = tier(applyMove(site, { do: 'gap', tierId: id, gap: 0.2 }, tables)).fittings.map((f) => f.y);
  expect(gap[1]! - gap[0]!).toBeWithin(0.2 + lamp('led-bar-12-white-24').width, { relative: 1e-9 });
  expect((gap[0]! + gap[1]!) / 2).toBeWithin(0.225, { relative: 1e-9 });
  const swapped = tier(applyMove(site, { do: 'swap-trays', trayId: a.id, otherId: b.id }, tables)).trays;
  expect(swapped.find((t) => t.id === a.id)!.x).toBe(b.x);
  const moved = tier(applyMove(site, { do: 'shift-tray', trayId: a.id, dx: 0, dy: -0.05 }, tables)).trays[0]!;
  expect([moved.x, moved.y]).toEqual([a.x, expect.closeTo(a.y - 0.05, 9)]);
  const lower = site.stands[0]!.tiers[1]!.id;
  const carried = applyMove(site, { do: 'tray-to-tier', trayId: a.id, tierId: lower, x: 0.5, y: 0.2 }, tables);
  expect(carried.stands[0]!.tiers[1]!.trays.map((t) => [t.id, t.x])).toEqual([[a.id, 0.5]]);
  expect(tier(applyMove(site, { do: 'riser', trayId: a.id, risers: 2 }, tables)).trays[0]!.risers).toBe(2);
  expect(
    tier(applyMove(site, { do: 'swap-lamp', tierId: id, lampId: 'led-a-9' }, tables)).fittings.every((f) => f.lampId === 'led-a-9'),
  ).toBe(true);
  expect(fittings[0]!.lampId).toBe('led-bar-12-white-24');
});

test('the best height and hours have the largest share in range of all that are worked out, and give what they promise', () => {
  const site = siteWith({ face: 0.33 });
  const standId = site.stands[0]!.id;
  const tierId = site.stands[0]!.tiers[TIER]!.id;
  const { all, best, now, judged } = settingsFor({ site, standId, tierId, answer: answerOf(site) }, tables);
  expect(now).toMatchObject({ moves: [], lift: 0, hours: 16 });
  expect(judged).toBeGreaterThan(100);
  expect(best!.shareInBand).toBeGreaterThanOrEqual(Math.max(...all.map((s) => s.shareInBand)) - 0.0101);
  expect(best!.shareInBand).toBeGreaterThan(now!.shareInBand);
  for (const s of all) {
    const set = applyMoves(site, s.moves, tables);
    const results = resultsOf(standOf(set), answerOf(set));
    const area = results.reduce((sum, r) => sum + r.area, 0);
    expect(results.reduce((sum, r) => sum + r.area * r.shareInBand, 0) / area).toBeWithin(s.shareInBand, { absolute: 1e-9 });
    expect(s.hours).toBeLessThanOrEqual(16);
  }
});

test('dimmers are settings too: each gives what it promises, and a dimmed one costs less than the same undimmed', () => {
  const plain = siteWith({ face: 0.33 });
  const { id: tierId, fittings } = plain.stands[0]!.tiers[TIER]!;
  const dimmer = { steps: [0.5], points: [] };
  const ownLamps = fittings.map((f) => ({ ...plainOwnLamp(`${f.id} it`, f.lampId, f.id), fittingId: f.id, dimmer }));
  const site = knowOwnLamps({ ...plain, ownLamps }, 20_000);
  const { all } = settingsFor({ site, standId: site.stands[0]!.id, tierId, answer: answerOf(site) }, tables);
  const dimmed = all.filter((s) => s.dim === 0.5);
  expect(dimmed.length).toBeGreaterThan(0);
  const perHour = (s: TierSetting) => s.costPerMonth / s.hours;
  const full = all.find((s) => s.dim === null)!;
  for (const s of dimmed) {
    expect(perHour(s)).toBeWithin(0.52 * perHour(full), { relative: 1e-6 });
    const set = applyMoves(site, s.moves, tables);
    expect(set.stands[0]!.tiers[TIER]!.fittings.every((f) => f.dim === 0.5)).toBe(true);
    const results = resultsOf(standOf(set), answerOf(set));
    const area = results.reduce((sum, r) => sum + r.area, 0);
    expect(results.reduce((sum, r) => sum + r.area * r.shareInBand, 0) / area).toBeWithin(s.shareInBand, { absolute: 1e-9 });
  }
});

test('on the frontier no setting is beaten, and off it every one is', () => {
  const s = (shareInBand: number, uniformity: number, costPerMonth: number) =>
    ({ shareInBand, uniformity, costPerMonth, loss: 0 }) as TierSetting;
  const all = [s(0.75, 0.3, 1), s(0.8, 0.2, 2), s(0.7, 0.25, 3), s(0.9, 0.1, 4), s(0.4, 0.1, 5)];
  const beats = (a: TierSetting, b: TierSetting) => a.shareInBand > b.shareInBand && a.costPerMonth < b.costPerMonth;
  const cheap = frontierOf(all, 'cost');
  expect(cheap.map((x) => x.costPerMonth)).toEqual([1, 2, 4]);
  for (const x of all) expect(cheap.includes(x)).toBe(!all.some((o) => beats(o, x)));
  expect(frontierOf(all, 'uniformity').map((x) => x.uniformity)).toEqual([0.1, 0.2, 0.3]);
});

test('an onion is not moved to a timer of twenty hours, however good the light there is', async () => {
  const template = TEMPLATES.find((t) => t.kind === 'rack')!;
  const { stand, timer } = standFrom(template, 2, 'Rack', ids);
  let site: Site = { ...BARE_SITE, currency: 'EUR', price_per_kWh: 0.3, stands: [stand], timers: [timer] };
  const [upper, lower] = stand.tiers;
  site = addTray(upper!.id, cells, { cropId: 'bulb-onion', stage: 'seedling' }, { x: 0.3, y: 0.22 }, ids)(site);
  site = addTray(lower!.id, cells, { cropId: 'lettuce', stage: 'seedling' }, { x: 0.3, y: 0.22 }, ids)(site);
  site = addFitting(upper!.id, lamp('led-bar-06-white-10'), { x: 0.6, y: 0.22, face: 0.33 }, ids())(site);
  for (const y of [0.14, 0.31]) site = addFitting(lower!.id, lamp('led-bar-12-white-24'), { x: 0.6, y, face: 0.25 }, ids())(site);
  site = setTimes('long', 0, 1200)(plugInto(lower!.id, 'long')(setTimes(timer.id, 360, 840)(site)));
  const onion = site.stands[0]!.tiers[0]!.trays[0]!.id;
  const { offers } = await advise(question(site, { of: 'tray', id: onion }), tables);
  for (const o of offers) expect(o.after.results.find((r) => r.trayId === onion)!.photoperiod).toBeLessThanOrEqual(14);
});

test('leaves in the heat of a lamp are never offered deeper in it', async () => {
  const fits = lampLibrary.find((l) => l.family === 'incandescent')!;
  const hot = siteWith({ lampId: fits.id, face: 0.36 });
  const { offers } = await advise(question(hot), tables);
  const deepest = (s: Site) =>
    Math.max(0, ...faultsOf(standOf(s)).flatMap((f) => (f.why === 'leaves-in-heat' ? [f.least - f.distance] : [])));
  expect(deepest(hot)).toBeGreaterThan(0);
  for (const o of offers) expect(deepest(applyMoves(hot, o.moves, tables))).toBeLessThanOrEqual(deepest(hot) + 1e-6);
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

test('a move is one move, whichever tray of two is named first', () => {
  const swap = (trayId: string, otherId: string) => idOf({ do: 'swap-trays', trayId, otherId });
  expect(swap('b', 'a')).toBe(swap('a', 'b'));
  expect(swap('a', 'c')).not.toBe(swap('a', 'b'));
});

test('trays of one crop and stage on one tier are not swapped, as that changes nothing; others are', () => {
  const base = siteWith();
  const [upper, lower] = base.stands[0]!.tiers;
  const [a, b] = upper!.trays;
  const leek = { cropId: 'leek', stage: 'seedling' } as const;
  const mixed = addTray(
    lower!.id,
    cells,
    celery,
    { x: 0.32, y: 0.225 },
    ids,
  )(addTray(lower!.id, cells, leek, { x: 0.88, y: 0.225 }, ids)(base));
  const [beyond, alike] = mixed.stands[0]!.tiers[1]!.trays;
  const partners = (site: Site, trayId: string) =>
    movesFor(site, standOf(site), { of: 'tray', id: trayId }).flatMap((m) => (m.do === 'swap-trays' ? [m.otherId] : []));
  expect(partners(mixed, a!.id).sort()).toEqual([beyond!.id, alike!.id].sort());
  // The leek and the celery below differ by their crop alone.
  expect(partners(mixed, beyond!.id)).toContain(alike!.id);
  const older = { ...mixed, batches: mixed.batches.map((x) => (x.id === b!.batchId ? { ...x, stage: 'growing-on' as const } : x)) };
  expect(partners(older, a!.id)).toContain(b!.id);
});

test('trays and lamps that stand aside may go to the middle, along the width and along the depth', () => {
  const base = siteWith();
  const { id, trays, fittings } = base.stands[0]!.tiers[TIER]!;
  const aside = changeTrays(id, [trays[0]!.id], () => ({ x: 0.3, y: 0.17 }))(
    changeFittings(id, [fittings[0]!.id], () => ({ x: 0.55, y: 0.1 }))(base),
  );
  const { width, depth } = aside.stands[0]!.tiers[TIER]!;
  const moves = movesFor(aside, standOf(aside), { of: 'tier', id });
  const by = (kind: 'shift' | 'shift-tray', axis: 'dx' | 'dy') =>
    moves.flatMap((m) => (m.do === kind && (m.do === 'shift' || m.trayId === trays[0]!.id) ? [m[axis]] : []));
  const centred = (kind: 'shift' | 'shift-tray', axis: 'dx' | 'dy', away: number) =>
    by(kind, axis).some((d) => Math.abs(d - away) <= 0.0051);
  expect(centred('shift-tray', 'dx', width / 2 - 0.3)).toBe(true);
  expect(centred('shift-tray', 'dy', depth / 2 - 0.17)).toBe(true);
  expect(centred('shift', 'dx', width / 2 - (0.55 + 0.6) / 2)).toBe(true);
  expect(centred('shift', 'dy', depth / 2 - (0.1 + fittings[1]!.y) / 2)).toBe(true);
});

test('a tray whose light nobody has worked out has no result; the others have theirs', () => {
  const site = siteWith();
  const [stand, answer] = [standOf(site), answerOf(site)];
  const [lit, bare] = stand.tiers.map((t) => t.tier.id);
  const all = resultsOf(stand, answer);
  expect(all.map((r) => r.trayId)).toEqual(stand.tiers[TIER]!.trays.map((y) => y.tray.id));
  const { trays, ...rest } = answer.tiers[lit!]!;
  const [, second] = Object.entries(trays);
  const some = { [lit!]: { ...rest, trays: { [second![0]]: second![1] } }, [bare!]: answer.tiers[bare!]! };
  expect(resultsOf(stand, { tiers: some })).toEqual(all.filter((r) => r.trayId === second![0]));
  expect(resultsOf(stand, { tiers: {} })).toEqual([]);
});
