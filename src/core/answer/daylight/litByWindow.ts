import type { Daylight } from '../../site/stand/Daylight';
import type { Window } from '../../site/window/Window';
import type { Sill } from '../../sky/window/sillLight';
import type { Obstruction } from '../../light/scene/Scene';
import { outlineOf, plantAreaOf } from '../../site/stand/footprint';
import { tallerBeside, type StandingTray } from '../../site/stand/tallerBeside';
import { NINE_WEIGHTS, nineSpotsOf } from '../../site/stand/nineSpots';
import type { Site, Stand, Tier, Tray, TraySun } from '../../site/stand/Site';
import { plantHeightOf, rimOf } from '../../site/stand/canopy';
import type { Tables } from '../../things/tables/Tables';
import { throughCover } from '../../things/container/coverLibrary';
import { cropOf } from '../../site/crop/cropOf';
import { minutesAhead } from '../../units/clockChanges';
import type { Metres, Share } from '../../units/quantities';
import type { Day } from '../../units/day';
import { correctionOf } from './correctionOf';
import { daylightAt, daylightOfAll, dimmedDaylight, skyOfDay, type SkyOfDay } from './daylightAt';
import { askedOfPoint, baseOf, passedAbove, sillFrom } from './sillsOf';
import { windowOf } from './windowOf';

/** Height over the floor of a tier at which light is asked for where no plant stands yet, m. */
const WHERE_LEAVES_WOULD_BE = 0.1;

/** What a window gives to a tier. */
interface Suns {
  readonly sun: Daylight | null;
  readonly suns: Readonly<Record<string, TraySun>>;
}

/** Kept by whoever asks again and again, so that only what changed is computed. */
export interface SunCache {
  /** What was computed for a tier last, and out of what. */
  readonly tiers: Map<string, { readonly of: readonly unknown[]; readonly found: Suns }>;
  /** What places see through their windows, on any day. */
  readonly sills: Map<string, readonly Sill[]>;
  /** The sky of the day that was asked for last, and out of what. */
  sky: { readonly of: readonly unknown[]; readonly sky: SkyOfDay } | null;
}

/** @param sills  of another cache, where days are asked apart but places are the same */
export const createSunCache = (sills: SunCache['sills'] = new Map()): SunCache => ({ tiers: new Map(), sills, sky: null });

const MOST_KEPT = 4000;

/** Gives every tier at a window, and every tray of it, the daylight of a day; a site in which nothing changes is given back itself. */
export function litByWindow(site: Site, day: Day, tables: Pick<Tables, 'crop'>, cache: SunCache = createSunCache()): Site {
  const { place, windows } = site;
  let changed = false;
  // Copies of a stand, and windows that are alike, have the same light.
  const alike = new Map<string, Daylight | null>();

  /** The daylight of some places of a tier together. @param key of what is around them, @param taller than their plants and beside them */
  function at(
    points: readonly Point[],
    taller: readonly Obstruction[],
    key: string,
    stand: Stand,
    tier: Tier,
    window: Window,
    weights?: readonly Share[],
  ): Daylight | null {
    const where = `${key} ${JSON.stringify([points, taller])}`;
    const found = alike.get(where);
    if (found !== undefined) return found;
    const sky = skyIn(cache, site, day);
    let sills = cache.sills.get(where);
    if (!sills) {
      sills = points.flatMap((p) => askedOfPoint(site, stand, tier, p, taller) ?? []).map(sillFrom);
      if (cache.sills.size > MOST_KEPT) cache.sills.clear();
      cache.sills.set(where, sills);
    }
    const made = daylightAt(sills, sky, window.blind, correctionOf(window, place).uncertainty, weights);
    alike.set(where, made);
    return made;
  }

  function sunsOf(stand: Stand, tier: Tier, window: Window): Suns {
    const around = [stand.kind, tier.enclosure, tier.width, tier.depth, baseOf(stand, tier.id), passedAbove(stand, tier)];
    const canopies = tier.trays.map((tray) => LEVEL * Math.round(canopyOfTray(site, tray, tables) / LEVEL));
    const places = tier.trays.flatMap((y, i) => [
      y.id,
      y.x,
      y.y,
      y.turned,
      y.length,
      y.width,
      y.insideLength,
      y.insideWidth,
      rimOf(y),
      y.coverId,
      canopies[i],
    ]);
    const of = [window, place, site.climate, site.timeZone, day, stand.window, ...around, ...places];
    const known = cache.tiers.get(tier.id);
    if (known?.of.length === of.length && known.of.every((v, i) => v === of[i])) return known.found;
    const key = JSON.stringify([{ ...window, id: '', name: '' }, place, { ...stand.window, windowId: '' }, ...around]);
    const standing = tier.trays.map((y, i): StandingTray => ({
      outline: outlineOf(y),
      plantArea: plantAreaOf(y),
      rim: rimOf(y),
      canopy: canopies[i]!,
    }));
    const suns = tier.trays.map((tray, i): [string, TraySun] => {
      const points = nineSpotsOf(plantAreaOf(tray)).map(([x, y]) => ({ x, y, z: canopies[i]! }));
      const open = at(points, tallerBeside(standing[i]!, standing), key, stand, tier, window, NINE_WEIGHTS);
      return [tray.id, { x: tray.x, y: tray.y, turned: tray.turned, daylight: open && dimmedDaylight(open, throughCover(tray)) }];
    });
    const sun =
      suns.length > 0 ? daylightOfAll(suns.map(([, { daylight }]) => daylight)) : at([middleOf(tier)], [], key, stand, tier, window);
    const found = { sun, suns: Object.fromEntries(suns) };
    cache.tiers.set(tier.id, { of, found });
    return found;
  }

  const stands = site.stands.map((stand): Stand => {
    const window = place && windows.length > 0 ? windowOf(site, stand) : undefined;
    const tiers = stand.tiers.map((tier): Tier => {
      const found = window ? sunsOf(stand, tier, window) : NONE;
      if (isSame(tier, found)) return tier;
      return found.sun ? { ...tier, sun: found.sun, suns: found.suns } : without(tier);
    });
    if (tiers.every((t, i) => t === stand.tiers[i])) return stand;
    changed = true;
    return { ...stand, tiers };
  });
  return changed ? { ...site, stands } : site;
}

function skyIn(cache: SunCache, { place, climate, timeZone }: Site, day: Day): SkyOfDay {
  const of = [place, climate, timeZone, day];
  if (!cache.sky || !cache.sky.of.every((v, i) => v === of[i]))
    cache.sky = { of, sky: skyOfDay(place!, climate, day, minutesAhead(timeZone)(day)) };
  return cache.sky.sky;
}

const NONE: Suns = { sun: null, suns: {} };
/** Leaf tops are taken to be at steps of this, so that growing plants do not ask anew each day; it moves no light by 1 %. */
const LEVEL: Metres = 0.005;

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

/** What tiers were found to have already, so that nobody compares them again at every move of a hand. */
const had = new WeakMap<Tier, Suns>();

function isSame(tier: Tier, found: Suns): boolean {
  const { sun, suns } = tier;
  if (sun === undefined || found.sun === null) return sun === undefined && found.sun === null;
  if (sun === found.sun || had.get(tier) === found) return true;
  if (JSON.stringify([sun, suns]) !== JSON.stringify([found.sun, found.suns])) return false;
  had.set(tier, found);
  return true;
}
