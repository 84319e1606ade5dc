import { cropOf } from '../../site/crop/cropOf';
import { daylightOf, daylightOfTray } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import type { Crop, Stage } from '../../things/crop/Crop';
import type { LightDay } from '../../judge/dli/LightDay';
import { limitsOfBatch, type HardLimits } from '../../judge/verdict/hardLimits';
import type { Lamp } from '../../things/lamp/Lamp';
import { sceneLampOf } from '../../site/stand/emittersHung';
import type { Scene } from '../../light/scene/Scene';
import type { Room } from '../../light/room/Room';
import { lampsIn, type BenchLamp } from './benchStand';
import { knownOf, type Known } from './knownOf';
import { comparedIn } from './comparedIn';
import type { Hours, Metres } from '../../units/quantities';
import type { Calibration } from '../../measure/reading/calibrate';
import { canopyOf, plantHeightOf, rimOf } from '../../site/stand/canopy';
import type { Batch, Timer, Site, Stand, Tier } from '../../site/stand/Site';

/** One stand of a single tier with everything looked up: what the quick check draws and judges. */
export interface SetUp {
  readonly stand: Stand;
  readonly tier: Tier;
  readonly batch: Batch;
  readonly timer: Timer;
  readonly crop: Crop;
  readonly stage: Stage;
  /** What may not be done to its plants. */
  readonly limits: HardLimits;
  readonly lamp: Lamp;
  /** Each lamp that hangs there, as it really is; of the kind of `lamp` all of them. */
  readonly lamps: readonly BenchLamp[];
  readonly hours: Hours;
  /** The lamps' hours and the daylight. */
  readonly day: LightDay;
  readonly plantHeight: Metres;
  /** Height of the leaf tops above the floor of the tier. */
  readonly canopy: Metres;
  /** The same of each of its trays. */
  readonly tops: readonly Metres[];
  /** From the lamps' face to the leaf tops. */
  readonly distance: Metres;
  /** The sides of the tier, as pale as was found; null in the open. */
  readonly room: Room | null;
  /** What the readings of the tier say. */
  readonly known: Known;
  /** What the readings say of the lamp; null: nothing but its box is known. */
  readonly calibration: Calibration | null;
}

/**
 * Looks up what a stand's first tier refers to.
 * @throws RangeError when something is missing: a caller's mistake, since readers let no such site through
 */
export function setUpOf(site: Site, stand: Stand, tables: Tables): SetUp {
  const tier = need(stand.tiers[0], 'tier', stand.id);
  const fitting = need(tier.fittings[0], 'fitting', tier.id);
  const tray = need(tier.trays[0], 'tray', tier.id);
  const batch = need(site.batches.find((b) => b.id === tray.batchId), 'batch', tray.batchId); // prettier-ignore
  const timer = need(site.timers.find((p) => p.id === tier.timerId), 'timer', tier.timerId); // prettier-ignore
  const crop = need(cropOf(site, batch.cropId, tables), 'crop', batch.cropId);
  const stage = crop.stages.find((s) => s.stage === batch.stage) ?? need(crop.stages[0], 'stage', crop.id);
  const lamp = need(site.lamps.find((l) => l.id === fitting.lampId) ?? tables.lamp(fitting.lampId), 'lamp', fitting.lampId);
  const plantHeight = plantHeightOf(batch, crop, stage);
  const canopy = canopyOf(tier, plantHeight);
  const tops = tier.trays.map((y) => rimOf(y) + plantHeight);
  const known = knownOf(tier, () => comparedIn(tier.readings, site, tables), tops);
  const lamps = lampsIn(site, tier, tables, known);
  return {
    stand,
    tier,
    batch,
    timer,
    crop,
    stage,
    limits: limitsOfBatch(batch, crop, stage),
    day: {
      on_min: timer.on_min,
      lit_min: timer.lit_min,
      pause: timer.pause,
      daylight: daylightOfTrays(tier),
    },
    lamp,
    lamps,
    hours: timer.lit_min / 60,
    plantHeight,
    canopy,
    tops,
    distance: fitting.face - canopy,
    room: known.room,
    known,
    calibration: lamps[0]!.calibration,
  };
}

/** Trays of a tier that are judged as one: of a single one its own daylight, of several that of them all. */
const daylightOfTrays = (tier: Tier) => (tier.trays.length === 1 ? daylightOfTray(tier, tier.trays[0]!) : daylightOf(tier));

/** The lamp as it really is, as far as is known: its box, corrected by readings, on the day of its life that is shown, and as it is set. */
export const measuredLamp = ({ lamps }: SetUp): Lamp => lamps[0]!.real;

/** A set-up as a scene of the light, as it hangs or with all faces at another height. */
export function sceneOfSetUp(setUp: SetUp, face?: Metres): Scene {
  const lamps = setUp.lamps.map(({ fitting, real }) =>
    sceneLampOf(fitting.id, real, face === undefined ? fitting : { ...fitting, face }, setUp.canopy),
  );
  return { lamps, rooms: setUp.room ? [setUp.room] : [], obstructions: [] };
}

function need<T>(thing: T | undefined, what: string, id: string): T {
  if (thing === undefined) throw new RangeError(`there is no ${what} for ${id}`);
  return thing;
}
