import type { BatchCourse, BatchPhase } from '@/core/plan/season/batchCourse';
import type { OffPlan } from '@/core/plan/season/offPlan';
import type { SeasonDate } from '@/core/plan/season/seasonDates';
import type { WayOut } from '@/core/plan/season/waysOut';
import type { PlannedBatch, SeasonPlan } from '@/core/site/season/SeasonPlan';
import type { Site } from '@/core/site/stand/Site';
import { cropOf } from '@/core/site/crop/cropOf';
import { tables } from '@/core/things/tables/libraryTables';
import type { Day } from '@/core/units/day';
import { briefDayWords, daysWords } from './dayWords';

export const PHASE_WORDS: Readonly<Record<BatchPhase, string>> = {
  sown: 'Not up yet',
  raised: 'Seedlings',
  potted: 'Potted on',
  hardening: 'Hardening off',
};

export const nameOf = (site: Pick<Site, 'crops'>, batch: Pick<PlannedBatch, 'label' | 'cropId'>): string =>
  batch.label || (cropOf(site, batch.cropId, tables)?.name ?? 'Unknown crop');

export const traysWords = (n: number): string => (n === 1 ? '1 tray' : `${n} trays`);
/** Trays times weeks: one tray for one week is 1. */
export const trayWeeksWords = (n: number): string => (n === 1 ? '1 tray-week' : `${n} tray-weeks`);
export const plantsWords = (n: number): string => (n === 1 ? '1 plant' : `${n} plants`);
export const containerName = (id: string): string => tables.container(id)?.name ?? id;
/** `9 cm pots`, `72-cell insert in a 1020 flat`. */
export const containersName = (id: string): string => `${containerName(id)}${tables.container(id)?.kind === 'pot' ? 's' : ''}`;

/** Where a tier is. */
export function tierName(site: Site, tierId: string): string {
  for (const stand of site.stands) {
    const i = stand.tiers.findIndex((t) => t.id === tierId);
    if (i >= 0) return stand.tiers.length > 1 ? `${stand.name}, tier ${i + 1}` : stand.name;
  }
  return 'a tier that is gone';
}

/** What a bar says to somebody who can't see it. */
export function barWords(site: Site, { batch, parts, emergence }: BatchCourse): string {
  const most = Math.max(0, ...parts.map((p) => p.trays));
  const up = emergence.seen ? `came up ${briefDayWords(emergence.expected)}` : `up about ${briefDayWords(emergence.expected)}`;
  const end =
    batch.lost !== null
      ? `lost ${briefDayWords(batch.lost)}`
      : `${batch.goal === 'outdoors' ? 'out' : 'ready'} ${briefDayWords(batch.out)}`;
  return `${nameOf(site, batch)}: ${batch.batchId ? 'sown' : 'to be sown'} ${briefDayWords(parts[0]?.from ?? batch.sown)}, ${up}, ${traysWords(most)} at most, ${end}`;
}

/** A way out: what to do, and what it costs. */
export function wayWords(
  site: Site,
  way: WayOut,
  { batches, hardeningDays }: Pick<SeasonPlan, 'batches' | 'hardeningDays'>,
): { readonly act: string; readonly cost: string } {
  const { what } = way;
  const name = 'id' in what ? nameOf(site, batches.find((b) => b.id === what.id) ?? { label: '', cropId: '' }) : '';
  const batch = 'id' in what ? batches.find((b) => b.id === what.id) : undefined;
  switch (what.kind) {
    case 'sow-later':
      return {
        act: `Sow ${name} ${daysWords(what.days)} later`,
        cost: batch ? `ready ${briefDayWords(batch.out + what.days)} instead of ${briefDayWords(batch.out)}` : '',
      };
    case 'smaller-pots':
      return {
        act: `Pot ${name} into ${containersName(what.to)}, not ${containersName(what.from)}`,
        cost: 'smaller roots; plant out on time',
      };
    case 'stay-longer':
      return {
        act: `Keep ${name} in ${containersName(what.container)} ${daysWords(what.days)} longer`,
        cost: 'roots get tight; feed and water more often',
      };
    case 'fewer':
      return { act: `Sow ${what.cells} cells of ${name}, not ${batch?.cells ?? ''}`, cost: `${plantsWords(what.plantsLost)} fewer` };
    case 'out-earlier':
      return {
        act: `Harden ${name} from ${batch ? briefDayWords(batch.out - what.days - hardeningDays) : ''} and plant it out ${daysWords(what.days)} earlier`,
        cost: 'a later frost is more likely: keep fleece at hand',
      };
    case 'lamp':
      return {
        act: `Hang one more ${tables.lamp(what.lampId)?.name ?? site.lamps.find((l) => l.id === what.lampId)?.name ?? 'lamp'} on ${tierName(site, what.tierId)}`,
        cost: what.isSpare ? 'you have one spare' : 'you would have to buy it',
      };
  }
}

/** What goes otherwise with a batch, and what puts it right. */
export function otherwiseWords(
  site: Site,
  { kind, change, later }: OffPlan,
  batch: PlannedBatch,
): { readonly says: string; readonly does: string | null } {
  const name = nameOf(site, batch);
  const ready = later > 0 ? `ready ${daysWords(later)} later` : later < 0 ? `ready ${daysWords(-later)} earlier` : 'the date still holds';
  switch (kind.kind) {
    case 'not-sown':
      return { says: `${name} was to be sown ${daysWords(kind.days)} ago.`, does: `Sow it today: ${ready}` };
    case 'overdue':
      return {
        says: `${name} should have been up ${daysWords(kind.days)} ago. Nothing has been logged.`,
        does: null,
      };
    case 'came-up-late':
      return change
        ? { says: `${name} came up ${daysWords(kind.days)} later than expected.`, does: `Move its date: ${ready}` }
        : { says: `${name} came up ${daysWords(kind.days)} later than expected. Its date still holds.`, does: null };
    case 'too-young':
      return {
        says: `${name} goes out ${daysWords(kind.days)} too young: it needs ${daysWords(kind.youngest)} from sowing.`,
        does: `Plant it out ${daysWords(later)} later`,
      };
    case 'too-old':
      return {
        says: `${name} will be ${daysWords(kind.days)} older than it should be when it goes out (at most ${daysWords(kind.oldest)} from sowing).${later < 0 && -later < kind.days ? ` It can go out ${daysWords(-later)} earlier at most.` : ''}`,
        does:
          change === null
            ? null
            : change.sown !== undefined
              ? `Sow it ${daysWords(kind.days)} later: the date still holds`
              : `Plant it out ${daysWords(-later)} earlier`,
      };
    case 'up-while-away':
      return {
        says: `${name} may come up while you are away, ${briefDayWords(kind.from)} to ${briefDayWords(kind.to)}.${kind.verdict === 'lamp-on-in-time' ? ' The lamp is on.' : ` Where no lamp burns, its first seedlings wait ${daysWords(kind.darkDays)} for light: let a timer switch it on every day before you leave.`}${kind.mat ? ' A mat left on under seedlings stretches them: put it on a thermostat, or ask somebody.' : ''}`,
        does: change ? `Sow it ${daysWords(later)} later: it comes up when you are back` : null,
      };
    case 'before-weather':
      return {
        says:
          kind.binding === 'frost'
            ? `${name} goes out ${daysWords(kind.days)} before frost is over for it.`
            : `${name} goes out ${daysWords(kind.days)} before nights are warm enough for it.`,
        does: `Plant it out ${daysWords(later)} later`,
      };
    case 'after-frost':
      return {
        says: `${name} would go out ${frostWords(kind.frost + kind.days, kind.frost)}. Buy plants, or grow it another year.`,
        does: null,
      };
  }
}

/** How a day for planting out lies to the frost that ends the crop. */
export function frostWords(out: Day, frost: Day): string {
  const first = `the first frost, ${briefDayWords(frost)}`;
  if (out < frost) return `${daysWords(frost - out)} before ${first}`;
  return `${out === frost ? 'on' : `${daysWords(out - frost)} after`} ${first}, which kills it`;
}

/** A date of the season in words. */
export function seasonDateWords(site: Site, date: SeasonDate, batch: PlannedBatch): string {
  const name = nameOf(site, batch);
  switch (date.what) {
    case 'sow':
      return `Sow ${name}: ${batch.cells} cells, ${traysWords(date.trays)}`;
    case 'lamp-on':
      return `Lamp on over ${name}, every day from now`;
    case 'emerge':
      return `${name} may come up`;
    case 'pot-on':
      return `Pot on ${name}: ${plantsWords(date.plants)} into ${containersName(date.containerId!)}, ${traysWords(date.trays)}`;
    case 'harden':
      return `Harden off ${name}: shade first, hours growing`;
    case 'out':
      return batch.goal === 'outdoors' ? `Plant out ${name}: ${plantsWords(date.plants)}` : `${name} is ready: ${plantsWords(date.plants)}`;
  }
}

/** `12 to 25 April`: the weeks in which trays find no light. */
export const weeksWords = (from: Day, until: Day): string => `${briefDayWords(from)} to ${briefDayWords(until)}`;
