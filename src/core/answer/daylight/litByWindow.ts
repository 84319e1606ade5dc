import type { Daylight } from '../../site/stand/Daylight';
import type { Site, Stand, Tier, Tray } from '../../site/stand/Site';
import { plantHeightOf, rimOf } from '../../site/stand/canopy';
import type { Tables } from '../../things/tables/Tables';
import { cropOf } from '../../site/crop/cropOf';
import { minutesAhead } from '../../units/clockChanges';
import type { Metres } from '../../units/quantities';
import type { Day } from '../../units/day';
import { correctionOf } from './correctionOf';
import { daylightAt, skyOfDay, type SkyOfDay } from './daylightAt';
import { askedOfPoint, baseOf, sillFrom, windowOf } from './sillsOf';

/** Height over the floor of a tier at which light is asked for where no plant stands yet, m. */
const WHERE_LEAVES_WOULD_BE = 0.1;

/** What was computed for a tier last, and out of what: kept by whoever asks again and again, so that only what changed is computed. */
export type SunRecall = Map<string, { readonly of: readonly unknown[]; readonly sun: Daylight | null }>;

/** Gives every tier at a window the daylight of a day; a site in which nothing changes is given back itself. */
export function litByWindow(site: Site, day: Day, tables: Pick<Tables, 'crop'>, recall: SunRecall = new Map()): Site {
  const { place, windows } = site;
  let sky: SkyOfDay | null = null;
  let changed = false;
  // Copies of a stand, and windows that are alike, have the same light.
  const alike = new Map<string, Daylight | null>();
  const shared = (key: string, compute: () => Daylight | null): Daylight | null => {
    const found = alike.get(key);
    if (found !== undefined) return found;
    const made = compute();
    alike.set(key, made);
    return made;
  };
  const stands = site.stands.map((stand): Stand => {
    const window = place && windows.length > 0 ? windowOf(site, stand) : undefined;
    let mine = false;
    const tiers = stand.tiers.map((tier): Tier => {
      if (!window || !place) {
        if (tier.sun === undefined) return tier;
        mine = true;
        return without(tier);
      }
      const points =
        tier.trays.length > 0 ? tier.trays.map((t) => ({ x: t.x, y: t.y, z: canopyOfTray(site, t, tables) })) : [middleOf(tier)];
      const of = [window, place, site.climate, site.timeZone, day, stand.window, stand.kind, tier.enclosure, tier.width, tier.depth, baseOf(stand, tier.id)].concat(points.flatMap((p) => [p.x, p.y, p.z]) as never[]); // prettier-ignore
      const known = recall.get(tier.id);
      const isKnown = known !== undefined && known.of.length === of.length && known.of.every((v, i) => v === of[i]);
      const compute = (): Daylight | null => {
        sky ??= skyOfDay(place, site.climate, day, minutesAhead(site.timeZone)(day));
        return daylightAt(points.flatMap((p) => askedOfPoint(site, stand, tier, p) ?? []).map(sillFrom), sky, window.blind, correctionOf(window, place).doubt); // prettier-ignore
      };
      const sun = isKnown
        ? known.sun
        : shared(JSON.stringify([{ ...window, id: '', name: '' }, { ...stand.window, windowId: '' }, ...of.slice(6)]), compute);
      if (!isKnown) recall.set(tier.id, { of, sun });
      if (isSame(tier.sun, sun)) return tier;
      mine = true;
      return sun ? { ...tier, sun } : without(tier);
    });
    if (!mine) return stand;
    changed = true;
    return { ...stand, tiers };
  });
  return changed ? { ...site, stands } : site;
}

/** Height of a tray's leaf tops over the tier's floor. */
export function canopyOfTray(site: Site, tray: Tray, tables: Pick<Tables, 'crop'>): Metres {
  const batch = site.batches.find((b) => b.id === tray.batchId);
  const crop = batch && cropOf(site, batch.cropId, tables);
  const stage = crop?.stages.find((s) => s.stage === batch?.stage) ?? crop?.stages[0];
  return rimOf(tray) + (batch && crop && stage ? plantHeightOf(batch, crop, stage) : WHERE_LEAVES_WOULD_BE);
}

const middleOf = (tier: Tier) => ({ x: tier.width / 2, y: tier.depth / 2, z: WHERE_LEAVES_WOULD_BE });

function without(tier: Tier): Tier {
  const rest = { ...tier };
  delete (rest as { sun?: Daylight }).sun;
  return rest;
}

function isSame(a: Daylight | undefined, b: Daylight | null): boolean {
  if (!a || !b) return !a && !b;
  return (
    a.dli === b.dli &&
    a.from_min === b.from_min &&
    a.to_min === b.to_min &&
    a.course?.clear.every((v, i) => v === b.course?.clear[i]) === true &&
    a.course.mean.every((v, i) => v === b.course?.mean[i])
  );
}
