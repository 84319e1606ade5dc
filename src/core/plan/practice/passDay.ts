import type { BenchAnswer, TrayLight } from '../../answer/bench/BenchQuestion';
import type { BenchStand, BenchTier, BenchTray } from '../../answer/stand/benchStand';
import { plantAfter, raisedTo, sprout, stateOf, type Plant, type PlantDay, type PlantState } from '../../judge/growth/Plant';
import { dayAtPlace, receivedOf } from '../../judge/dli/LightDay';
import { hardLimitsOf } from '../../judge/verdict/hardLimits';
import { rimOf } from '../../site/stand/canopy';
import { plantAreaOf } from '../../site/stand/footprint';
import { cropOf } from '../../site/crop/cropOf';
import { bodyOutlineOf, topOfFitting } from '../../site/stand/poseOf';
import { clearanceOf } from '../../things/lamp/clearanceOf';
import { ppfdOn } from '../../light/field/ppfdOn';
import type { Crop, Stage } from '../../things/crop/Crop';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';
import type { Metres, Share } from '../../units/quantities';
import type { Site } from '../../site/stand/Site';
import type { Exercise, Start } from './Exercise';
import { dayNumberOf, type Session, type TrayRun } from './Session';

/** Plants that stand for all of a tray: so many along and across. */
const ALONG = 4;
const ACROSS = 3;

/** What somebody sees who looks at a tray. */
export interface Seen {
  readonly batchId: string;
  readonly what: 'emerged' | PlantState;
  /** How many of a hundred plants. */
  readonly share: Share;
}

/** An exercise on its first day. */
export function begin(exercise: Pick<Exercise, 'id'>, seed: number, start: Start, today: Day, tables: Tables): Session {
  const trays = start.site.stands.flatMap((s) =>
    s.tiers.flatMap((t) =>
      t.trays.map(({ id, batchId }): [string, TrayRun] => {
        const age = start.raised[batchId];
        const crop = cropOfBatch(start.site, batchId, tables);
        const plants = age === undefined ? [] : Array.from({ length: ALONG * ACROSS }, () => raisedTo(crop, age));
        return [id, { batchId, plants, doses: [] }];
      }),
    ),
  );
  return { exerciseId: exercise.id, seed, first: today, today, clockSet: today, trays: Object.fromEntries(trays), kWh: 0, ended: false };
}

/** Whether nobody comes by on a day of an exercise. */
export const isAway = ({ awayFrom, days }: Pick<Exercise, 'awayFrom' | 'days'>, day: number): boolean =>
  awayFrom !== null && day >= awayFrom && day < days;

/** When the seeds of a batch really come up. */
export function emergenceOf(start: Start, batchId: string, tables: Tables): Day {
  const batch = start.site.batches.find((b) => b.id === batchId)!;
  const { germination } = cropOfBatch(start.site, batchId, tables);
  const days = germination ? Math.round((germination.days.first + germination.days.last) / 2) : 0;
  return (batch.sown ?? 0) + days + (start.truth.late[batchId] ?? 0);
}

/**
 * One day later: every plant by the light that it really got.
 *
 * @param stands  as they really are (trueStands), and the light of each in the same order
 */
export function passDay(
  session: Session,
  exercise: Exercise,
  start: Start,
  stands: readonly BenchStand[],
  lights: readonly BenchAnswer[],
  tables: Tables,
): { session: Session; seen: Seen[] } {
  if (session.ended) return { session, seen: [] };
  const seen: Seen[] = [];
  const trays = Object.entries(session.trays).map(([id, run]): [string, TrayRun] => {
    const crop = cropOfBatch(start.site, run.batchId, tables);
    const place = placeOf(stands, lights, id);
    const isUp = session.today >= emergenceOf(start, run.batchId, tables);
    let { plants } = run;
    if (plants.length === 0 && isUp) {
      plants = Array.from({ length: ALONG * ACROSS }, () => sprout(crop));
      seen.push({ batchId: run.batchId, what: 'emerged', share: 1 });
    }
    const days = pointsOf(place?.tray).map(([x, y]) => dayAt(x, y, place, plants));
    const dose = place ? days.reduce((sum, d) => sum + d.dli, 0) / days.length : null;
    const next = plants.map((p, i) => {
      const stage = stageAt(crop, p.age);
      return plantAfter(p, days[i]!, crop, stage, limitsOf(start, run.batchId, crop, stage, p.age));
    });
    for (const what of ['burnt', 'leggy', 'behind'] as const) {
      const [before, now] = [plants, next].map((list) => list.filter((p) => stateOf(p, crop) === what).length);
      if (now! > before!) seen.push({ batchId: run.batchId, what, share: now! / next.length });
    }
    return [id, { ...run, plants: next, doses: [...run.doses, dose] }];
  });
  const today = session.today + 1;
  const day = stands.flatMap((s) => s.tiers).reduce((sum, t) => sum + (t.hours * t.lamps.reduce((w, l) => w + l.real.power, 0)) / 1000, 0);
  const ended = dayNumberOf({ first: session.first, today }) >= exercise.days;
  return { session: { ...session, today, trays: Object.fromEntries(trays), kWh: session.kWh + day, ended }, seen };
}

interface Standing {
  readonly tier: BenchTier;
  readonly tray: BenchTray;
  readonly light: TrayLight;
}

function placeOf(stands: readonly BenchStand[], lights: readonly BenchAnswer[], trayId: string): Standing | null {
  for (const [i, stand] of stands.entries())
    for (const tier of stand.tiers) {
      const tray = tier.trays.find((t) => t.tray.id === trayId);
      const light = lights[i]?.tiers[tier.tier.id]?.trays[trayId];
      if (tray && light) return { tier, tray, light };
    }
  return null;
}

/** A tray that was taken off its stand stands in the dark. */
function dayAt(x: Metres, y: Metres, place: Standing | null, plants: readonly Plant[]): PlantDay {
  if (!place) return { dli: 0, litPpfd: 0, noonPpfd: 0, clearDli: 0, photoperiod: 0, sunHours: 0, heat: 0 };
  const { tier, tray, light } = place;
  const ppfd = ppfdOn(light.map, x, y);
  const { x0, x1, y0, y1 } = plantAreaOf(tray.tray);
  const got = receivedOf({ weakest: ppfd, mean: ppfd, strongest: ppfd }, dayAtPlace(tray.day, (x - x0) / (x1 - x0), (y - y0) / (y1 - y0)));
  const height = plants.length > 0 ? plants.reduce((sum, p) => sum + p.height, 0) / plants.length : 0;
  return { ...got, dli: got.mean, heat: heatAt(x, y, rimOf(tray.tray) + height, tier) };
}

/** How far a tip is into the room that a lamp needs, as a share of it; of the worst lamp. */
function heatAt(x: Metres, y: Metres, z: Metres, { lamps, hours }: BenchTier): Share {
  if (hours === 0) return 0;
  return lamps.reduce((worst, { fitting, lamp }) => {
    const r = bodyOutlineOf(fitting, lamp);
    const out = (v: Metres, from: Metres, to: Metres) => Math.max(0, from - v, v - to);
    const far = Math.hypot(out(x, r.x0, r.x1), out(y, r.y0, r.y1), out(z, fitting.face, topOfFitting(fitting, lamp)));
    return Math.max(worst, 1 - far / clearanceOf(lamp));
  }, 0);
}

function pointsOf(tray: BenchTray | undefined): [Metres, Metres][] {
  const { x0, x1, y0, y1 } = tray ? plantAreaOf(tray.tray) : { x0: 0, x1: 1, y0: 0, y1: 1 };
  return Array.from({ length: ALONG * ACROSS }, (_, i) => [
    x0 + ((x1 - x0) * ((i % ALONG) + 0.5)) / ALONG,
    y0 + ((y1 - y0) * (Math.floor(i / ALONG) + 0.5)) / ACROSS,
  ]);
}

const stageAt = (crop: Crop, age: number): Stage => crop.stages.findLast((s) => (s.fromDay ?? 0) <= age) ?? crop.stages[0]!;

const limitsOf = (start: Start, batchId: string, crop: Crop, stage: Stage, age: number) =>
  hardLimitsOf(stage, crop, start.site.batches.find((b) => b.id === batchId)!.plan, age);

export const cropOfBatch = (site: Site, batchId: string, tables: Tables): Crop =>
  cropOf(site, site.batches.find((b) => b.id === batchId)!.cropId, tables)!;
