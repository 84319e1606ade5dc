import type { Daylight, DaylightCourse } from '../../site/stand/Daylight';
import { plantAreaOf } from '../../site/stand/footprint';
import { NINE_WEIGHTS, nineSpotsOf } from '../../site/stand/nineSpots';
import type { Site, Stand, Tier, Tray, TraySun } from '../../site/stand/Site';
import { plantHeightOf, rimOf } from '../../site/stand/canopy';
import type { Tables } from '../../things/tables/Tables';
import { cropOf } from '../../site/crop/cropOf';
import { minutesAhead } from '../../units/clockChanges';
import type { Metres, Share } from '../../units/quantities';
import type { Day } from '../../units/day';
import { correctionOf } from './correctionOf';
import { daylightAt, daylightOfAll, skyOfDay, type SkyOfDay } from './daylightAt';
import { askedOfPoint, baseOf, sillFrom, windowOf } from './sillsOf';

/** Height over the floor of a tier at which light is asked for where no plant stands yet, m. */
const WHERE_LEAVES_WOULD_BE = 0.1;

/** What a window gives to a tier. */
interface Suns {
  readonly sun: Daylight | null;
  readonly suns: Readonly<Record<string, TraySun>>;
}

/** What was computed for a tier last, and out of what: kept by whoever asks again and again, so that only what changed is computed. */
export type SunRecall = Map<string, { readonly of: readonly unknown[]; readonly found: Suns }>;

/** Gives every tier at a window, and every tray of it, the daylight of a day; a site in which nothing changes is given back itself. */
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
      const around = [window, place, site.climate, site.timeZone, day, stand.window, stand.kind, tier.enclosure, tier.width, tier.depth, baseOf(stand, tier.id)]; // prettier-ignore
      const canopies = tier.trays.map((tray) => canopyOfTray(site, tray, tables));
      const of = [...around, ...tier.trays.flatMap(({ id, x, y, turned, insideLength, insideWidth }, i) => [id, x, y, turned, insideLength, insideWidth, canopies[i]])]; // prettier-ignore
      const known = recall.get(tier.id);
      const isKnown = known !== undefined && known.of.length === of.length && known.of.every((v, i) => v === of[i]);
      const key = JSON.stringify([{ ...window, id: '', name: '' }, { ...stand.window, windowId: '' }, ...around.slice(6)]);
      const at = (points: readonly Point[], weights?: readonly Share[]): Daylight | null =>
        shared(`${key} ${JSON.stringify(points)}`, () => {
          sky ??= skyOfDay(place, site.climate, day, minutesAhead(site.timeZone)(day));
          const sills = points.flatMap((p) => askedOfPoint(site, stand, tier, p) ?? []).map(sillFrom);
          return daylightAt(sills, sky, window.blind, correctionOf(window, place).doubt, weights);
        });
      const compute = (): Suns => {
        const suns = tier.trays.map((tray, i): [string, TraySun] => {
          const points = nineSpotsOf(plantAreaOf(tray)).map(([x, y]) => ({ x, y, z: canopies[i]! }));
          return [tray.id, { x: tray.x, y: tray.y, turned: tray.turned, daylight: at(points, NINE_WEIGHTS) }];
        });
        const sun = suns.length > 0 ? daylightOfAll(suns.map(([, { daylight }]) => daylight)) : at([middleOf(tier)]);
        return { sun, suns: Object.fromEntries(suns) };
      };
      const found = isKnown ? known.found : compute();
      if (!isKnown) recall.set(tier.id, { of, found });
      if (isSame(tier, found)) return tier;
      mine = true;
      return found.sun ? { ...tier, sun: found.sun, suns: found.suns } : without(tier);
    });
    if (!mine) return stand;
    changed = true;
    return { ...stand, tiers };
  });
  return changed ? { ...site, stands } : site;
}

interface Point {
  readonly x: Metres;
  readonly y: Metres;
  readonly z: Metres;
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
  delete (rest as { suns?: Tier['suns'] }).suns;
  return rest;
}

const isSame = ({ sun, suns }: Pick<Tier, 'sun' | 'suns'>, found: Suns): boolean =>
  sun === undefined || found.sun === null
    ? sun === undefined && found.sun === null
    : sun === found.sun || (isAlike(sun, found.sun) && Object.entries(found.suns).every(([id, s]) => isAlike(s.daylight, suns?.[id]?.daylight ?? null) && s.x === suns?.[id]?.x && s.y === suns[id].y && s.turned === suns[id].turned)); // prettier-ignore

function isAlike(a: Daylight | null, b: Daylight | null): boolean {
  if (!a || !b) return a === b;
  const all = (of: (d: DaylightCourse) => readonly number[]) => of(a.course!).every((v, i) => v === of(b.course!)[i]);
  return a.dli === b.dli && a.from_min === b.from_min && a.to_min === b.to_min && all((c) => c.clear) && all((c) => c.mean) && all((c) => c.nine ?? []); // prettier-ignore
}
