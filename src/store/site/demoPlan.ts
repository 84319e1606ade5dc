import { plannedFor } from '../../core/plan/season/plannedFor';
import { freshSeason } from '../../core/site/stand/changeSeason';
import type { PlannedBatch, SeasonPlan } from '../../core/site/season/SeasonPlan';
import type { Site } from '../../core/site/stand/Site';
import { tables } from '../../core/things/tables/libraryTables';
import { isoOf, yearOfDay, type Day } from '../../core/units/day';

/** Days from today: what the volunteers of the reading room mean to lend out, when. The rest is as usual for each crop. */
const PLANS: readonly (Partial<Omit<PlannedBatch, 'sown' | 'out'>> & {
  id: string;
  crop: string;
  sown?: number;
  out: number;
  of?: { tray: string };
})[] = [
  { id: 'plan-leek', crop: 'leek', out: 32, cells: 128, of: { tray: 'leek' } },
  { id: 'plan-sweet-pea', crop: 'sweet-pea', out: 20, cells: 32, of: { tray: 'sweet-pea' } },
  { id: 'plan-celery', crop: 'celery', label: 'Celery, early', out: 43, cells: 72, of: { tray: 'celery' } },
  { id: 'plan-snapdragon', crop: 'snapdragon', out: 40, cells: 120, keepAtMost: 60, of: { tray: 'snapdragon' } },
  { id: 'plan-sage', crop: 'sage', out: 34, cells: 24, keepAtMost: 18, of: { tray: 'sage' } },
  { id: 'plan-parsley', crop: 'parsley', out: 33, cells: 24, keepAtMost: 18, of: { tray: 'parsley' } },
  { id: 'plan-tomatillo', crop: 'tomatillo', out: 42, cells: 60, keepAtMost: 54, of: { tray: 'tomatillo' } },
  { id: 'plan-physalis', crop: 'physalis', label: 'Physalis', out: 46, cells: 40, keepAtMost: 36, of: { tray: 'physalis' } },
  // Sown a week later than it should have been: nobody had the key of the stack room.
  { id: 'plan-basil', crop: 'basil', out: 43, cells: 50, keepAtMost: 36, of: { tray: 'basil' } },
  { id: 'plan-lettuce-1', crop: 'lettuce', label: 'Lettuce, first', sown: 6, out: 44, cells: 72 },
  { id: 'plan-lettuce-2', crop: 'lettuce', label: 'Lettuce, second', sown: 20, out: 58, cells: 72 },
  { id: 'plan-marigold', crop: 'marigold', sown: 8, out: 48, cells: 72, keepAtMost: 36 },
];

/** Weeks from today until the reading room's usual last frost. */
const FROST_IN = 36;

/** The season of the demo, half way through; too much of it is to be potted on in the same weeks. */
export function withDemoPlan(site: Site, today: Day): Site {
  const [month, day] = isoOf(today + FROST_IN)
    .split('-')
    .slice(1)
    .map(Number) as [number, number];
  const [autumnMonth, autumnDay] = isoOf(today + FROST_IN + 180)
    .split('-')
    .slice(1)
    .map(Number) as [number, number];
  const year = yearOfDay(today + FROST_IN);
  const season: SeasonPlan = {
    ...freshSeason(year),
    name: `Reading room ${year}`,
    lastFrost: { kind: 'day', month, day },
    firstFrost: { month: autumnMonth, day: autumnDay },
  };
  const trays = site.stands.filter((s) => !s.autoArranged).flatMap((s) => s.tiers.flatMap((t) => t.trays));
  const standing = trays.map((y) => site.batches.find((b) => b.id === y.batchId)!);
  const batches = PLANS.map(({ id, crop: cropId, sown, out, of, ...rest }): PlannedBatch => {
    const crop = tables.crop(cropId)!;
    const grown = of && standing.find((b) => b.cropId === of.tray);
    const usual = plannedFor(crop, season, null, rest.cells ?? 72, today, id);
    return {
      ...usual,
      ...rest,
      sown: grown?.sown ?? today + (sown ?? 0),
      out: today + out,
      goal: 'outdoors',
      batchId: grown?.id ?? null,
    };
  });
  const lampPrices = [
    { lampId: 'led-shop-12-twin-42', price: 34, day: today - 60 },
    { lampId: 't5-09-2refl', price: 58, day: today - 700 },
    { lampId: 'led-bar-12-white-24', price: 22, day: today - 60 },
  ];
  return { ...site, season: { ...season, batches }, lampPrices };
}
