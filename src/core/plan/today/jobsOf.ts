import { cropOf } from '../../site/crop/cropOf';
import { growthOf } from '../../site/growth/growthOf';
import { latestLogged } from '../../site/growth/latestLogged';
import type { LoggedKind } from '../../site/stand/Logged';
import type { VisitJobs } from '../../site/hang/KeptChart';
import type { Batch, Site, Stand } from '../../site/stand/Site';
import type { Crop } from '../../things/crop/Crop';
import { feedingOf } from '../../things/crop/feedingOf';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';
import type { HangChart } from '../hang/HangChart';
import { burnedBy, hangingsOf } from '../../site/ownLamps/hangingOf';
import { maintenance } from '../../things/lamp/ageing';
import { benchStandOf, lampOf } from '../../answer/stand/benchStand';
import { safetyGate } from '../../answer/caution/safetyGate';
import { cautionLibrary } from '../../things/caution/cautionLibrary';
import { isUnsafe } from '../rotation/rotateTier';
import { drawnTrays, isMoveUnsafe } from '../trial/moveTrialOn';
import { roundsOf } from '../trial/trialRounds';
import { nextOutdoors, USUAL_HARDENING } from '../season/hardening';
import { datesOf } from '../season/seasonDates';
import { coursesOf } from '../season/seasonLook';
import type { Job, JobKind } from './Job';

/** Minutes that a job takes: our estimate. */
const MINUTES: Readonly<Record<JobKind['kind'], number>> = {
  hang: 2,
  sow: 15,
  'pot-on': 30,
  harden: 5,
  out: 30,
  'look-for-seedlings': 1,
  'cover-off': 1,
  clear: 5,
  'mat-off': 1,
  'mat-part': 2,
  brush: 2,
  thin: 10,
  feed: 5,
  water: 5,
  measure: 5,
  safety: 10,
  rotate: 3,
  lamp: 15,
  'look-again': 2,
  trial: 15,
};
/** Seedlings are thinned when they have had their true leaves for so long, days: growers' consensus (two or three true leaves). */
const THIN_AFTER = 7;
/** So many waterings tell how fast a tray dries. */
const RHYTHM_OF = 3;
/** Readings are taken again after so long, days: lamps fade, things are moved. Our convention. */
const MEASURE_AGAIN = 120;

/** Where a batch stands. */
interface Standing {
  readonly stand: Stand;
  readonly tierId: string;
  readonly tier: number;
  readonly trayIds: readonly string[];
}

function placesOf(site: Site): Map<string, Standing> {
  const places = new Map<string, Standing>();
  for (const stand of site.stands.filter((s) => !s.autoArranged))
    stand.tiers.forEach((t, i) =>
      t.trays.forEach((y) => {
        const known = places.get(y.batchId);
        places.set(
          y.batchId,
          known ? { ...known, trayIds: [...known.trayIds, y.id] } : { stand, tierId: t.id, tier: i + 1, trayIds: [y.id] },
        );
      }),
    );
  return places;
}

/**
 * What is to be done, in the order of a walk along the stands, each from the highest tier down. It follows from the plans alone: nothing is
 * put down twice, and what was done shows in what it changed.
 *
 * @param charts  of the stands whose charts are worked out by now
 */
export function jobsOn(site: Site, charts: readonly HangChart[], day: Day, tables: Tables): Job[] {
  const places = placesOf(site);
  const jobs = [
    ...charts.flatMap((c) => hangJobs(site, c, day)),
    ...seasonJobs(site, places, day, tables),
    ...site.batches.flatMap((b) => {
      const crop = cropOf(site, b.cropId, tables);
      const at = places.get(b.id);
      return crop && at && b.sown !== null ? batchJobs(site, b, crop, at, day) : [];
    }),
    ...matJobs(site, places, day, tables),
    ...brushJobs(site, places, day, tables),
    ...measureJobs(site, day),
    ...safetyJobs(site, day, tables),
    ...rotationJobs(site, day, tables),
    ...lampJobs(site, day, tables),
    ...clinicJobs(site, places, day),
    ...trialJobs(site, day, tables),
  ];
  const order = new Map(site.stands.map((s, i) => [s.id, i]));
  // What is dangerous comes before anything else at a stand.
  const rank = (j: Job) =>
    (j.standId === null ? -1 : (order.get(j.standId) ?? 999)) * 100 + (j.what.kind === 'safety' ? 0 : (j.tier ?? 99));
  return jobs.sort((a, b) => rank(a) - rank(b) || a.due - b.due || a.key.localeCompare(b.key));
}

const job = (key: string, due: Day, what: JobKind, at: Partial<Pick<Job, 'standId' | 'tierId' | 'tier' | 'trayIds'>>): Job => ({
  key,
  due,
  standId: null,
  tierId: null,
  tier: null,
  trayIds: [],
  ...at,
  what,
  minutes: MINUTES[what.kind],
});

/** What the chart wants on its visit of today, tier by tier; timers last. */
function hangJobs(site: Site, chart: HangChart, day: Day): Job[] {
  const stand = site.stands.find((s) => s.id === chart.standId);
  const visit = chart.visits.find((v) => v.day <= day);
  if (!stand || !visit) return [];
  const tiers = stand.tiers.flatMap((t, i): Job[] => {
    const of: VisitJobs = {
      day: visit.day,
      lamps: visit.lamps.filter((l) => l.tierId === t.id),
      dims: visit.dims.filter((d) => d.tierId === t.id),
      risers: visit.risers.filter((r) => r.tierId === t.id),
      hours: [],
    };
    if (of.lamps.length + of.dims.length + of.risers.length === 0) return [];
    return [
      job(
        `hang ${t.id} ${visit.day}`,
        visit.day,
        { kind: 'hang', jobs: of },
        { standId: stand.id, tierId: t.id, tier: i + 1, trayIds: of.risers.map((r) => r.trayId) },
      ),
    ];
  });
  if (visit.hours.length === 0) return tiers;
  const timers: VisitJobs = { day: visit.day, lamps: [], dims: [], risers: [], hours: visit.hours };
  return [...tiers, job(`timers ${stand.id} ${visit.day}`, visit.day, { kind: 'hang', jobs: timers }, { standId: stand.id })];
}

/** What the season wants by now. */
function seasonJobs(site: Site, places: ReadonlyMap<string, Standing>, day: Day, tables: Pick<Tables, 'crop' | 'container'>): Job[] {
  if (!site.season) return [];
  return coursesOf(site, site.season, tables).flatMap((course) => {
    const { batch } = course;
    if (batch.lost !== null && batch.lost <= day) return [];
    const place = batch.batchId === null ? undefined : places.get(batch.batchId);
    const at = place ? { standId: place.stand.id, tierId: place.tierId, tier: place.tier, trayIds: place.trayIds } : {};
    const log = site.batches.find((b) => b.id === batch.batchId)?.log ?? [];
    const due = datesOf(course).filter((d) => d.day <= day);
    // What was left undone for long is overtaken: by the next pot, and by leaving the shelves.
    const isOut = due.some((d) => d.what === 'out');
    const lastPot = due.findLast((d) => d.what === 'pot-on');
    return due.flatMap((d): Job[] => {
      if ((isOut && d.what === 'sow') || (d.what === 'pot-on' && (isOut || d !== lastPot))) return [];
      const make = (what: JobKind) => [job(`${d.what} ${batch.id} ${d.containerId ?? ''}`, d.day, what, at)];
      switch (d.what) {
        case 'sow':
          return make({ kind: 'sow', planId: batch.id });
        case 'pot-on':
          // Potted on around that day, it has been done.
          if (batch.batchId === null || log.some((l) => l.what === 'potted-on' && l.day >= d.day - 7)) return [];
          return make({ kind: 'pot-on', planId: batch.id, batchId: batch.batchId, containerId: d.containerId!, plants: d.plants });
        case 'harden':
          return d.until >= day && batch.batchId !== null ? [hardenJob(site, batch.id, [d.day, d.until], day, at)] : [];
        case 'out':
          return place
            ? make({
                kind: 'out',
                planId: batch.id,
                batchId: batch.batchId,
                plants: d.plants,
                daysOutdoors: batch.goal === 'outdoors' ? daysOutdoors(site, batch.id) : null,
              })
            : [];
        default:
          return [];
      }
    });
  });
}

/** Days of hardening of a planned batch that were ticked. */
const daysOutdoors = ({ jobMarks }: Pick<Site, 'jobMarks'>, planId: string): number =>
  jobMarks.filter((m) => m.state === 'done' && m.key.startsWith(`harden ${planId} `)).length;

/** Outdoors for as long as the days before allow: asked anew on each of its days; only those count that were ticked. */
function hardenJob(site: Site, planId: string, [from, until]: readonly [Day, Day], day: Day, at: Parameters<typeof job>[3]): Job {
  const keyOn = (d: Day) => `harden ${planId} ${d}`;
  const done = new Set(site.jobMarks.filter((m) => m.state === 'done').map((m) => m.key));
  const wereOut = Array.from({ length: day - from }, (_, i) => done.has(keyOn(from + i)));
  return job(keyOn(day), day, { kind: 'harden', planId, until, outdoors: nextOutdoors(wereOut, USUAL_HARDENING) }, at);
}

/** Before lamps are lit, and whenever something has changed that matters: what nobody has seen to yet, stand by stand. */
const safetyJobs = (site: Site, day: Day, tables: Tables): Job[] =>
  site.stands
    .filter((s) => !s.autoArranged && s.tiers.some((t) => t.fittings.length > 0))
    .flatMap((stand) => {
      const open = safetyGate(benchStandOf(site, stand, tables), site.stated, site.safety, cautionLibrary).filter(
        (l) => l.state !== 'seen-to',
      );
      const changed = open.some((l) => l.state === 'changed-since');
      return open.length > 0 ? [job(`safety ${stand.id}`, day, { kind: 'safety', open: open.length, changed }, { standId: stand.id })] : [];
    });

/** Lamps that have lived their rated life: whether a new one is needed shows on their page. */
const lampJobs = (site: Site, day: Day, tables: Tables): Job[] => {
  const hung = hangingsOf(site);
  return site.ownLamps.flatMap((own): Job[] => {
    const at = hung.get(own.id);
    const burned = burnedBy(own, at?.hours ?? 0, day);
    if (!at || at.stand.autoArranged || burned === null) return [];
    const lamp = lampOf(site, own.lampId, tables);
    const output = maintenance(lamp, burned);
    if (burned < lamp.life_h) return [];
    const since = day - Math.floor((burned - lamp.life_h) / Math.max(0.1, at.hours));
    const place = { standId: at.stand.id, tierId: at.tier.id, tier: at.stand.tiers.indexOf(at.tier) + 1 };
    return [
      job(`lamp ${own.id} ${lamp.id}`, Math.max(since, own.counted!.on), { kind: 'lamp', ownId: own.id, name: own.name, output }, place),
    ];
  });
};

/** Trays that turn or change places on their days. */
const rotationJobs = (site: Site, day: Day, tables: Tables): Job[] =>
  site.stands
    .filter((s) => !s.autoArranged)
    .flatMap((stand) =>
      stand.tiers.flatMap(({ id, rotation, trays }, i): Job[] => {
        if (!rotation || trays.length === 0 || day <= rotation.from) return [];
        const due = day - ((day - rotation.from) % rotation.every);
        if (due <= rotation.from) return [];
        // Plants have grown since it was planned: what would put leaves into the heat by now is not asked for.
        if (rotation.kind !== 'turn' && isUnsafe(site, stand.id, id, 1, tables)) return [];
        const at = { standId: stand.id, tierId: id, tier: i + 1, trayIds: trays.map((y) => y.id) };
        return [job(`rotate ${id} ${due}`, due, { kind: 'rotate', how: rotation.kind, every: rotation.every }, at)];
      }),
    );

/** Tests of the clinic whose day has come. */
function clinicJobs(site: Site, places: ReadonlyMap<string, Standing>, day: Day): Job[] {
  return site.clinic.flatMap((kase) => {
    const test = kase.tests.at(-1);
    if (kase.closed !== null || !test || test.outcome !== null || test.look > day) return [];
    // What has left the shelves is not looked at there any more.
    const leaves = site.batches.find((b) => b.id === kase.batchId)?.leaves ?? null;
    if (leaves !== null && leaves < day) return [];
    const place = places.get(kase.batchId);
    const at = place ? { standId: place.stand.id, tierId: place.tierId, tier: place.tier, trayIds: place.trayIds } : {};
    return [job(`look again ${kase.id} ${test.look}`, test.look, { kind: 'look-again', caseId: kase.id, batchId: kase.batchId }, at)];
  });
}

/** Trays that change places, and the day on which a trial ends. */
function trialJobs(site: Site, day: Day, tables: Tables): Job[] {
  return site.trials.flatMap((trial): Job[] => {
    if (trial.ended !== null || day < trial.starts) return [];
    if (trial.ends !== null && day >= trial.ends)
      return [job(`measure trial ${trial.id}`, trial.ends, { kind: 'trial', trialId: trial.id, act: 'measure' }, {})];
    if (trial.rotate_days === null || roundsOf(trial, drawnTrays(site)).length === 0) return [];
    const due = day - ((day - trial.starts) % trial.rotate_days);
    if (due <= trial.starts || isMoveUnsafe(site, trial, tables)) return [];
    return [job(`rotate trial ${trial.id} ${due}`, due, { kind: 'trial', trialId: trial.id, act: 'rotate' }, {})];
  });
}

/** What the life of a batch wants: looking for seedlings, cover, thinning, feed, water. */
function batchJobs(site: Site, batch: Batch, crop: Crop, place: Standing, day: Day): Job[] {
  const growth = growthOf(batch, crop, day);
  const at = { standId: place.stand.id, tierId: place.tierId, tier: place.tier, trayIds: place.trayIds };
  if (growth?.phase === 'left') {
    // Of what the season plans the plan says when it goes.
    const isPlanned = site.season?.batches.some((b) => b.batchId === batch.id && b.lost === null) ?? false;
    const left = batch.leaves!;
    return isPlanned ? [] : [job(`clear ${batch.id} ${left}`, left + 1, { kind: 'clear', batchId: batch.id, left }, at)];
  }
  if (!growth) return [];
  const { log } = batch;
  const lastOf = (what: LoggedKind): Day | null => latestLogged(log, day, (l) => l.what === what)?.day ?? null;
  const jobs: Job[] = [];
  const { expected } = growth;
  if (expected && day >= expected.from && lastOf('not-yet') !== day) {
    const overdue = crop.germination !== null && day > batch.sown! + crop.germination.days.last;
    jobs.push(
      job(
        `up ${batch.id} ${day}`,
        day,
        { kind: 'look-for-seedlings', batchId: batch.id, from: expected.from, to: expected.to, overdue },
        at,
      ),
    );
  }
  if (expected || growth.age < 0) return jobs;
  const trays = site.stands.flatMap((s) => s.tiers.flatMap((t) => t.trays)).filter((y) => y.batchId === batch.id);
  const covered = trays.filter((y) => y.coverId !== null).map((y) => y.id);
  if (covered.length > 0)
    jobs.push(job(`cover ${batch.id}`, growth.emergence, { kind: 'cover-off', batchId: batch.id, trayIds: covered }, at));
  const seedling = crop.stages.find((s) => s.stage === 'seedling');
  const leaves = lastOf('true-leaves') ?? (seedling?.fromDay != null ? growth.emergence + seedling.fromDay : null);
  const isRaised = crop.sowing !== null && growth.stage.fromDay !== null;
  // Missed for weeks, thinning is no job of today any more.
  if (
    isRaised &&
    leaves !== null &&
    day >= leaves + THIN_AFTER &&
    day < leaves + 5 * THIN_AFTER &&
    lastOf('thinned') === null &&
    growth.stage.stage === 'seedling'
  )
    jobs.push(job(`thin ${batch.id}`, leaves + THIN_AFTER, { kind: 'thin', batchId: batch.id, leaves }, at));
  const last = lastOf('fed');
  const feeding = feedingOf(crop);
  if (feeding?.everyDays && isRaised && growth.age >= feeding.fromDay) {
    const { strength, everyDays } = feeding;
    const due = last === null ? growth.emergence + feeding.fromDay : last + everyDays;
    if (day >= due) jobs.push(job(`feed ${batch.id} ${due}`, due, { kind: 'feed', batchId: batch.id, strength, everyDays, last }, at));
  }
  const rhythm = dryingRhythm(batch, day);
  if (rhythm && day >= rhythm.last + rhythm.everyDays)
    jobs.push(job(`water ${batch.id} ${rhythm.last}`, rhythm.last + rhythm.everyDays, { kind: 'water', batchId: batch.id, ...rhythm }, at));
  return jobs;
}

/** How often a tray was watered lately: the mean of its last gaps; null until it was watered often enough to tell. */
export function dryingRhythm({ log }: Pick<Batch, 'log'>, day: Day): { readonly last: Day; readonly everyDays: number } | null {
  const days = [...new Set(log.filter((l) => l.what === 'watered' && l.day <= day).map((l) => l.day))]
    .sort((a, b) => a - b)
    .slice(-RHYTHM_OF - 1);
  if (days.length < RHYTHM_OF) return null;
  const last = days.at(-1)!;
  return { last, everyDays: Math.max(1, Math.round((last - days[0]!) / (days.length - 1))) };
}

/** A mat that runs while no seed needs it stretches what is up; where others still wait on it, what is up comes off. */
function matJobs(site: Site, places: ReadonlyMap<string, Standing>, day: Day, tables: Pick<Tables, 'crop'>): Job[] {
  return site.stands.flatMap((stand) => {
    const mats = stand.plugged.filter((p) => p.kind === 'mat');
    if (mats.length === 0) return [];
    const here = site.batches.flatMap((batch) => {
      const place = places.get(batch.id);
      const crop = cropOf(site, batch.cropId, tables);
      const growth = crop && batch.sown !== null && place?.stand.id === stand.id ? growthOf(batch, crop, day) : null;
      if (!growth || growth.phase === 'left') return [];
      const waits = (crop?.heatMat ?? false) && growth.expected !== null;
      return [{ place: place!, batchId: batch.id, waits, isUp: growth.expected === null && growth.age >= 0, age: growth.age }];
    });
    const up = here.filter((h) => h.isUp);
    const waiting = here.filter((h) => h.waits);
    if (up.length === 0) return [];
    // What comes up later asks for it again: the mat has been on for it.
    const lastUp = day - Math.min(...up.map((h) => h.age));
    if (waiting.length === 0)
      return mats.map((m) => job(`mat ${m.id} ${lastUp}`, day, { kind: 'mat-off', pluggedId: m.id, name: m.name }, { standId: stand.id }));
    // Which tier a mat lies on is not kept: what has come up lately beside those that wait lay on it with them.
    return [...new Set(waiting.map((h) => h.place.tierId))].flatMap((tierId) => {
      const beside = up.filter((h) => h.place.tierId === tierId && h.age <= LATELY_UP);
      if (beside.length === 0) return [];
      const { tier } = beside[0]!.place;
      const what: JobKind = {
        kind: 'mat-part',
        name: mats[0]!.name,
        up: beside.map((h) => h.batchId),
        waiting: waiting.filter((h) => h.place.tierId === tierId).map((h) => h.batchId),
      };
      const at = { standId: stand.id, tierId, tier, trayIds: beside.flatMap((h) => h.place.trayIds) };
      return [job(`mat part ${tierId} ${what.up.join(' ')}`, day, what, at)];
    });
  });
}

/** So long after it came up a batch may still lie on the mat on which it germinated, days: our choice. */
const LATELY_UP = 7;

/** On Saturdays it is asked whether anything moves the seedlings: our convention. */
const isSaturday = (day: Day): boolean => day % 7 === 2; // 1 January 1970 was a Thursday

/** Seedlings whose stems nothing moves: by hand, where no fan is plugged in. */
const brushJobs = (site: Site, places: ReadonlyMap<string, Standing>, day: Day, tables: Pick<Tables, 'crop'>): Job[] =>
  site.stands
    .filter((s) => isSaturday(day) && !s.autoArranged && s.plugged.every((p) => p.kind !== 'fan'))
    .flatMap((stand): Job[] => {
      const hasSeedlings = site.batches.some((b) => {
        const crop = cropOf(site, b.cropId, tables);
        const growth = crop && places.get(b.id)?.stand.id === stand.id && b.sown !== null ? growthOf(b, crop, day) : null;
        if (!growth || !crop?.airMovementBenefit) return false;
        return growth.phase !== 'left' && growth.expected === null && growth.age >= 0 && growth.stage.stage === 'seedling';
      });
      return hasSeedlings ? [job(`brush ${stand.id} ${day}`, day, { kind: 'brush' }, { standId: stand.id })] : [];
    });

/** Stands that were measured once, and long ago. */
const measureJobs = (site: Site, day: Day): Job[] =>
  site.stands
    .filter((s) => !s.autoArranged)
    .flatMap((stand): Job[] => {
      const taken = stand.tiers.flatMap((t) => (t.trays.length > 0 ? t.readings.filter((r) => !r.leftOut) : []));
      if (taken.length === 0) return [];
      const last = Math.max(...taken.map((r) => Math.floor(r.taken_ms / 86_400_000)));
      if (day < last + MEASURE_AGAIN) return [];
      return [job(`measure ${stand.id} ${last}`, day, { kind: 'measure', last }, { standId: stand.id })];
    });
