import { daylightOf, daylightOfTray } from '../../site/stand/Site';
import type { Crop, Stage } from '../../things/crop/Crop';
import { widthAtHeight } from '../../things/crop/heightAt';
import { dimmedTo, FULL } from '../../things/lamp/dimming';
import type { Lamp } from '../../things/lamp/Lamp';
import type { Rect } from '../../light/field/Grid';
import type { Room } from '../../light/room/Room';
import type { Hours, Metres } from '../../units/quantities';
import { ageingOf } from '../../site/ownLamps/ageingOf';
import { plantHeightOf, rimOf } from '../../site/stand/canopy';
import { amongNamesakes, calledOf, type Among } from '../../site/stand/called';
import { leavesOf } from '../../site/stand/footprint';
import { knownOf, type Known, type KnownLamp } from './knownOf';
import { comparedIn } from './comparedIn';
import type { LightDay } from '../../judge/dli/LightDay';
import { limitsOfBatch, type HardLimits } from '../../judge/verdict/hardLimits';
import { cropOf } from '../../site/crop/cropOf';
import type { Tables } from '../../things/tables/Tables';
import type { Batch, Fitting, Timer, Site, Stand, Tier, Tray } from '../../site/stand/Site';

/** A lamp of a tier with all that is known of it; `real` gives and draws what it does as it is set now. */
export interface BenchLamp extends KnownLamp {
  readonly fitting: Fitting;
}

/** A tray of a tier with what grows in it. */
export interface BenchTray {
  readonly tray: Tray;
  readonly batch: Batch;
  readonly crop: Crop;
  /** By its label, else as the plan calls its batch, else by its crop. */
  readonly called: string;
  /** Where others of its tier are called the same; null where none is. */
  readonly among: Among | null;
  readonly stage: Stage;
  /** What may not be done to it. */
  readonly limits: HardLimits;
  readonly plantHeight: Metres;
  /** Height of its leaf tops above the tier's floor. */
  readonly canopy: Metres;
  /** The mix that it holds. */
  readonly mix_L: number;
  /** Where its leaves are, seen from above. */
  readonly leaves: Rect;
  /** The lamps' hours, and the daylight where it stands. */
  readonly day: LightDay;
}

/** A tier where it stands in its stand, everything looked up. */
export interface BenchTier {
  readonly tier: Tier;
  /** 1 for the highest. */
  readonly number: number;
  /** Its left front lower corner in the stand. */
  readonly x: Metres;
  readonly z: Metres;
  /** In the tier's own coordinates; null where nothing is around it. */
  readonly room: Room | null;
  /** What its readings say. */
  readonly known: Known;
  readonly timer: Timer;
  readonly hours: Hours;
  /** Its lamps' hours, and its daylight in the mean of its trays. */
  readonly day: LightDay;
  readonly lamps: readonly BenchLamp[];
  readonly trays: readonly BenchTray[];
}

/** A stand to be drawn and judged: x from the left of its widest tier, z from its lowest floor. */
export interface BenchStand {
  readonly stand: Stand;
  readonly tiers: readonly BenchTier[];
  readonly width: Metres;
  readonly depth: Metres;
  readonly height: Metres;
}

/**
 * Looks up what a stand refers to, and puts its tiers on top of each other.
 * @throws RangeError when something is missing: a caller's mistake, since readers let no such site through
 */
export function benchStandOf(site: Site, stand: Stand, tables: Tables, look: Look = lookUpTier): BenchStand {
  const width = Math.max(...stand.tiers.map((t) => t.width));
  let top = 0;
  const fromBelow = [...stand.tiers].reverse().map((tier, i): BenchTier => {
    const z = top;
    top += tier.enclosure.height + stand.shelf;
    return look(site, tier, tables, { number: stand.tiers.length - i, x: (width - tier.width) / 2, z });
  });
  return {
    stand,
    tiers: fromBelow.reverse(),
    width,
    depth: Math.max(...stand.tiers.map((t) => t.depth)),
    height: top,
  };
}

/** Where a tier is in its stand. */
export type TierPlace = Pick<BenchTier, 'number' | 'x' | 'z'>;

/** Looks up one tier; another one may keep what it has found. */
export type Look = (site: Site, tier: Tier, tables: Tables, place: TierPlace) => BenchTier;

export const lookUpTier: Look = (site, tier, tables, place) => {
  const timer = need(site.timers.find((p) => p.id === tier.timerId), 'timer', tier.timerId); // prettier-ignore
  const { on_min, lit_min, pause } = timer;
  const found = tier.trays.map((tray): Omit<BenchTray, 'among'> => {
    const batch = need(site.batches.find((b) => b.id === tray.batchId), 'batch', tray.batchId); // prettier-ignore
    const crop = need(cropOf(site, batch.cropId, tables), 'crop', batch.cropId);
    const stage = crop.stages.find((s) => s.stage === batch.stage) ?? need(crop.stages[0], 'stage', crop.id);
    const plantHeight = plantHeightOf(batch, crop, stage);
    const limits = limitsOfBatch(batch, crop, stage);
    return {
      tray,
      batch,
      crop,
      called: calledOf(site, tray, crop),
      stage,
      limits,
      plantHeight,
      canopy: rimOf(tray) + plantHeight,
      mix_L: mixOf(tray, tables),
      leaves: leavesOf(tray, widthAtHeight(crop, plantHeight)),
      day: { on_min, lit_min, pause, daylight: daylightOfTray(tier, tray) },
    };
  });
  const among = amongNamesakes(found);
  const trays = found.map((y, i): BenchTray => ({ ...y, among: among[i]! }));
  const known = knownOf(tier, () => comparedIn(tier.readings, site, tables), leafTopsOf({ trays }));
  const lamps = lampsIn(site, tier, tables, known);
  const day = { on_min, lit_min, pause, daylight: daylightOf(tier) };
  return { tier, known, room: known.room, timer, hours: timer.lit_min / 60, day, lamps, trays, ...place };
};

/** Heights of the leaf tops of a tier's trays above its floor. */
export const leafTopsOf = ({ trays }: Pick<BenchTier, 'trays'>): Metres[] => trays.map((y) => y.canopy);

/** The lamp of a tier that hangs lowest; undefined where none does. */
export const lowestOf = ({ lamps }: Pick<BenchTier, 'lamps'>): BenchLamp | undefined =>
  lamps.reduce<BenchLamp | undefined>((low, l) => (low && low.fitting.face <= l.fitting.face ? low : l), undefined);

/** How far the lowest lamp of a tier is above its tallest leaves; null where one of the two is missing. */
export function overLeavesOf(t: Pick<BenchTier, 'lamps' | 'trays'>): Metres | null {
  const lowest = lowestOf(t);
  return lowest && t.trays.length > 0 ? lowest.fitting.face - Math.max(...leafTopsOf(t)) : null;
}

/** The lamps of a tier, each as it really is: by its kind, the readings, its own hours, and as far as it is dimmed. */
export const lampsIn = (site: Pick<Site, 'lamps'>, tier: Tier, tables: Pick<Tables, 'lamp'>, known: Known): BenchLamp[] =>
  tier.fittings.map((fitting) => {
    const found = known.of(lampOf(site, fitting.lampId, tables), ageingOf(tier, fitting).used_h);
    return { fitting, ...found, lamp: asLabelled(fitting, found.lamp), real: asSet(fitting, found.real) };
  });

/** The very lamp that hangs there, where its own label differs from its kind. */
const asLabelled = ({ own }: Fitting, lamp: Lamp): Lamp =>
  own?.rating || own?.weight_kg
    ? { ...lamp, locationRating: own.rating ?? lamp.locationRating, weight_kg: own.weight_kg ?? lamp.weight_kg }
    : lamp;

/** The very lamp that hangs there: what it draws as measured, and as far as it is dimmed. */
function asSet({ own, dim = FULL }: Fitting, real: Lamp): Lamp {
  if (!own) return real;
  const { light, draw } = own.dimmer ? dimmedTo(own.dimmer, dim) : { light: 1, draw: 1 };
  const power = draw * (own.drawn?.power ?? real.power);
  return light === 1 && power === real.power ? real : { ...real, ppf: real.ppf * light, power };
}

/** One tier of a site by itself, changed or as it is, as high among the others of its stand as it stands there; for what goes by no place beside them. */
export function tierAlone(site: Site, tier: Tier, tables: Tables): BenchTier {
  const others = site.stands.find((s) => s.tiers.some((t) => t.id === tier.id))?.tiers ?? [tier];
  return lookUpTier(site, tier, tables, { number: 1 + others.findIndex((t) => t.id === tier.id), x: 0, z: 0 });
}

/** By its cells or its make; one of its own sizes is taken to be full to the rim. */
function mixOf({ containerId, length, width, height }: Tray, tables: Tables): number {
  const container = containerId === null ? undefined : tables.container(containerId);
  if (!container) return length * width * height * 1000;
  return container.volume_L * (container.columns !== null && container.rows !== null ? container.columns * container.rows : 1);
}

/** @throws RangeError when neither the site nor the tables know it */
export function lampOf(site: Pick<Site, 'lamps'>, id: string, tables: Pick<Tables, 'lamp'>): Lamp {
  return need(site.lamps.find((l) => l.id === id) ?? tables.lamp(id), 'lamp', id);
}

function need<T>(thing: T | undefined, what: string, id: string): T {
  if (thing === undefined) throw new RangeError(`there is no ${what} for ${id}`);
  return thing;
}
