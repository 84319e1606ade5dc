import { answerBench } from '../../answer/bench/answerBench';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { benchStandOf } from '../../answer/stand/benchStand';
import type { MonthAtPlace } from '../../answer/daylight/yearOf';
import { MOL_SECONDS } from '../../judge/dli/dli';
import { createCache } from '../../light/scene/Cache';
import { IN_THE_OPEN } from '../../site/stand/Enclosure';
import { BARE_SITE } from '../../site/stand/bare';
import { addFitting, addTray, changeFittings, setPause, setTimes } from '../../site/stand/change';
import type { Site } from '../../site/stand/Site';
import { standFrom, TEMPLATES } from '../../site/stand/templates';
import { tables } from '../../things/tables/libraryTables';
import { USUAL_WINDOW } from '../../site/window/Window';
import { homePlaces } from './homePlaces';
import { lampsAtPlaces, monthsWith, rankAt } from './lampsAtPlaces';

const lamp = tables.lamp('led-shop-12-twin-42')!;
const violet = tables.crop('african-violet')!;
const stage = violet.stages.at(-1)!;

/** A rack of three tiers, the upper two lit. */
function rack(face = 0.33): Site {
  let next = 0;
  const ids = () => `p${next++}`;
  const { stand, timer } = standFrom(
    TEMPLATES.find((t) => t.kind === 'rack')!,
    3,
    'Rack',
    ids,
  );
  const bare: Site = { ...BARE_SITE, currency: 'EUR', price_per_kWh: 0.3, stands: [stand], timers: [timer] };
  const lit = stand.tiers.slice(0, 2).reduce((s, t) => addFitting(t.id, lamp, { x: 0.6, y: 0.22, face }, ids())(s), bare);
  return setTimes(timer.id, 360, 600)(lit);
}
const asked = (site: Site) => ({ site, cropId: violet.id, stage: stage.stage });

test('what a place gets is what the engine gives a pot that stands there, with the light from other tiers', () => {
  const site = rack();
  const found = lampsAtPlaces(asked(site), tables);
  const [first, second, third] = site.stands[0]!.tiers;
  expect(found.map((l) => l.tierId)).toEqual(expect.arrayContaining([first!.id, second!.id]));
  const potted = addTray(second!.id, tables.container('pot-13')!, { cropId: violet.id, stage: stage.stage }, { x: second!.width / 2, y: second!.depth / 2 }, () => 'pot')(site); // prettier-ignore
  const bench = benchStandOf(potted, potted.stands[0]!, tables);
  const light = Object.values(answerBench(questionOfStand(bench, null), createCache(64)).tiers).flatMap((t) => Object.values(t.trays))[0]!;
  const here = found.find((l) => l.tierId === second!.id)!;
  expect(here.dli).toBeWithin(light.stats.mean * 10 * MOL_SECONDS, { relative: 0.01 });
  expect(here).toMatchObject({ hours: 10, isTooTall: false, isTooNear: false, isTooLong: false });
  // The dark tier below gets nothing but what falls through or past the shelves.
  const below = found.find((l) => l.tierId === third!.id);
  if (below) expect([below.spillShare, below.dli < here.dli]).toEqual([1, true]);
});

test('leaves as high as the lamp, near its heat, or under too long a day: no month counts', () => {
  const at = (site: Site) => lampsAtPlaces(asked(site), tables)[0]!;
  const ids = rack().stands[0]!.tiers[0]!.fittings.map((f) => f.id);
  const lowered = (face: number) => changeFittings(rack().stands[0]!.tiers[0]!.id, ids, () => ({ face }))(rack());
  // In the open, above its only lamp, a plant gets no light, and is too tall rather than in an unknown dark.
  const first = lowered(0.05);
  const alone = { ...first, stands: [{ ...first.stands[0]!, tiers: first.stands[0]!.tiers.slice(0, 1).map((t) => ({ ...t, enclosure: IN_THE_OPEN })) }] }; // prettier-ignore
  expect(lampsAtPlaces(asked(alone), tables).map((l) => [l.dli, l.isTooTall])).toEqual([[0, true]]);
  const canopy = 0.33 - 0.2;
  expect([at(lowered(canopy)).isTooTall || at(lowered(canopy)).isTooNear, at(rack()).isTooNear]).toEqual([true, false]);
  const long = setTimes(rack().timers[0]!.id, 0, 1440)(rack());
  expect(at(long).isTooLong).toBe(true);
  for (const site of [lowered(0.05), long]) expect(rankAt(null, at(site), stage)).toMatchObject({ inBand: 0, bad: 12 });
});

const month = (mean: number, ppfd: number, minute: number): MonthAtPlace => ({
  mean,
  low: mean / 2,
  high: 2 * mean,
  sunHours: 1,
  facing: mean,
  away: mean,
  strongest: { ppfd, day: 0, minute },
});
const months = [...Array<MonthAtPlace>(6).fill(month(1, 300, 540)), ...Array<MonthAtPlace>(6).fill(month(3, 300, 540))];

test('sun and lamps add up; the strongest of both only where lamps burn along with the sun', () => {
  const site = setPause(rack().timers[0]!.id, { from_min: 480, to_min: 660 })(rack());
  const [lit, paused] = [lampsAtPlaces(asked(rack()), tables)[0]!, lampsAtPlaces(asked(site), tables)[0]!];
  expect(monthsWith(months, null)).toBe(months);
  const both = monthsWith(months, lit);
  expect(both.map((m) => m.mean)).toEqual(months.map((m) => m.mean + lit.dli));
  expect(both[0]!.strongest.ppfd).toBe(300 + lit.strongest);
  expect(monthsWith(months, paused)[0]!.strongest.ppfd).toBe(Math.max(300, paused.strongest));
  expect(paused.dli).toBeLessThan(lit.dli);
  const alone = monthsWith(null, lit);
  expect([alone.length, alone[3]!.mean]).toEqual([12, lit.dli]);
  // Of lamps alone nothing is scorched by the sun.
  const strong = { ...lit, dli: 99, strongest: 9999 };
  expect(new Set(rankAt(null, strong, stage).months)).toEqual(new Set(['strong']));
  expect(rankAt(months, strong, stage).months).toContain('scorch');
});

test('places of a household: each tier, and three before each window', () => {
  const window = { ...USUAL_WINDOW, id: 'w', name: 'Kitchen', facing: Math.PI };
  const site = { ...rack(), windows: [window] };
  const places = homePlaces(site, tables);
  expect(places.map((p) => [p.stand?.tier ?? null, p.window?.name ?? null, p.depth])).toEqual([
    [1, null, null],
    [2, null, null],
    [3, null, null],
    [null, 'Kitchen', 0.15],
    [null, 'Kitchen', 0.6],
    [null, 'Kitchen', 1.5],
  ]);
  const at = { windowId: 'w', side: 'back' as const, gap: 0.1, along: 0, above: 0 };
  const near = homePlaces({ ...site, stands: site.stands.map((s) => ({ ...s, window: at })) }, tables);
  expect(near[0]).toMatchObject({ window: { id: 'w' }, depth: expect.closeTo(0.1 + site.stands[0]!.tiers[0]!.depth / 2, 9) });
});
