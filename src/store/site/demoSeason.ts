import { middleDayOf } from '../../core/things/crop/heightAt';
import { grownTo } from '../../core/answer/stand/grownTo';
import { tables } from '../../core/things/tables/libraryTables';
import type { HoursPlan } from '../../core/site/timer/HoursPlan';
import type { Logged } from '../../core/site/stand/Logged';
import type { Batch, Site } from '../../core/site/stand/Site';
import type { Day } from '../../core/units/day';

const plan = (kind: HoursPlan['kind'], hours: number | null = null): HoursPlan => ({ kind, hours, days: null });

/** How the hours of the reading room's crops are to go. */
const PLANS: Readonly<Record<string, HoursPlan>> = {
  leek: plan('dose'),
  'sweet-pea': plan('dose'),
  celery: plan('steady', 16),
  tomatillo: plan('stepping'),
  physalis: plan('stepping'),
  sage: plan('dose'),
  parsley: plan('dose'),
  snapdragon: plan('dose'),
};

/** Days from sowing to emergence, as they were this year. */
const EMERGED_AFTER = 14;

/** What the volunteers wrote down: all but the parsley is thinned and fed, the leeks are watered every third day and due again. */
function logOf({ id, cropId }: Batch, emerged: Day, today: Day): Logged[] {
  const entry = (what: Logged['what'], day: Day, text?: string): Logged => ({
    id: `${id}-${what}-${day}`,
    day,
    what,
    height: null,
    stage: null,
    ...(text ? { text } : {}),
  });
  const age = today - emerged;
  return [
    { id: `${id}-emerged`, day: emerged, what: 'emerged', height: null, stage: null },
    ...(cropId !== 'parsley' && age > 12 ? [entry('thinned', today - 5), entry('fed', today - 4)] : []),
    ...(cropId === 'leek' ? [12, 9, 6, 3].map((ago) => entry('watered', today - ago)) : []),
    ...(cropId === 'tomatillo' ? [entry('trouble', today - 2, 'Stems at the right edge lean towards the middle.')] : []),
    ...(cropId === 'sage' ? [entry('note', today - 6, 'The tray by the wall dries out first.')] : []),
  ];
}

/** Gives the batches of the demo's stands their dates: as far along as they are drawn, on whatever day the demo is opened. */
export function withDemoSeason(site: Site, today: Day): Site {
  const onStands = new Set(
    site.stands.filter((s) => !s.autoArranged).flatMap((s) => s.tiers.flatMap((t) => t.trays.map((y) => y.batchId))),
  );
  const batches = site.batches.map((batch): Batch => {
    const crop = tables.crop(batch.cropId)!;
    const stage = crop.stages.find((s) => s.stage === batch.stage);
    if (!onStands.has(batch.id) || !stage) return batch;
    // Not up yet, though all of it should have been by the day before yesterday.
    if (batch.cropId === 'basil') return { ...batch, sown: today - 12 };
    const emerged = today - Math.round(middleDayOf(crop, stage));
    if (stage.fromDay === null) return { ...batch, sown: emerged };
    return {
      ...batch,
      sown: emerged - EMERGED_AFTER,
      log: logOf(batch, emerged, today),
      plan: PLANS[batch.cropId] ?? batch.plan,
    };
  });
  const rack = site.stands.find((s) => s.id === 'demo-rack')!;
  const timers = rack.tiers.map((t) => t.timerId);
  return grownTo(
    {
      ...site,
      batches,
      stands: site.stands.map((s) =>
        s === rack
          ? {
              ...s,
              steadyOutlets: 2,
              plugged: [
                { id: 'demo-fan', kind: 'fan', name: 'Clip fan', power: 6, timerId: null },
                // On the wrong side of the strip, and meant to be found there.
                { id: 'demo-mat', kind: 'mat', name: 'Heat mat, tier 5', power: 18, timerId: timers[4]! },
              ],
            }
          : s,
      ),
      timers: site.timers.map((p) => (timers.includes(p.id) ? { ...p, rating: 1800, outlets: 4 } : p)),
      visits: { ...site.visits, away: [{ from: today + 17, to: today + 23 }] },
    },
    today,
    tables,
  );
}
