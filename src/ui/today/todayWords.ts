import { USUAL_HARDENING } from '@/core/plan/season/hardening';
import { daylightDli } from '@/core/judge/dli/LightDay';
import type { Job } from '@/core/plan/today/Job';
import { cropOf } from '@/core/site/crop/cropOf';
import type { RotationKind } from '@/core/site/stand/Rotation';
import type { Site } from '@/core/site/stand/Site';
import { drawnTrays } from '@/core/plan/trial/moveTrialOn';
import { runningWith } from '@/core/plan/trial/runningWith';
import { comesWithPlace, roundsOf } from '@/core/plan/trial/trialRounds';
import type { Trial } from '@/core/site/trial/Trial';
import { tables } from '@/core/things/tables/libraryTables';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import type { Day } from '@/core/units/day';
import { benchStandIn } from '@/store/bench/benchStandIn';
import { trayName } from '../bench/benchWords';
import type { ToldIn } from '../bench/moveWords';
import { jobsOf } from '../chart/jobWords';
import { briefDayWords, dayWords, daysWords } from '../season/dayWords';
import { containersName, nameOf, plantsWords } from '../season/seasonWords';
import { inTrialWords } from './inTrialWords';

/** A job in words: what to do, where, and why. */
export interface JobSaid {
  readonly title: string;
  readonly where: string;
  readonly why: string;
  /** Where the figures behind it can be seen. */
  readonly href: string | null;
  /** What is said once it is done. */
  readonly done: string;
}

/** What a batch is called: as its trays are, as the plan calls it, or by its crop. */
export function batchName(site: Site, batchId: string): string {
  const on = site.stands.find((s) => s.tiers.some((t) => t.trays.some((y) => y.batchId === batchId)));
  const trays = on ? benchStandIn(site, on).tiers.flatMap((t) => t.trays.filter((y) => y.batch.id === batchId)) : [];
  const planned = site.season?.batches.find((b) => b.batchId === batchId);
  const batch = site.batches.find((b) => b.id === batchId);
  const crop = batch && cropOf(site, batch.cropId, tables)?.name;
  // Of two trays with one name, which; a batch that stands in several is all of them.
  const stands = trays.length === 1 ? trayName(trays[0]!) : trays[0]?.called;
  const name = stands || planned?.label || crop || 'A batch';
  return `${name[0]!.toUpperCase()}${name.slice(1)}`;
}

export function whereWords(site: Site, { standId, tier }: Pick<Job, 'standId' | 'tier'>): string {
  const stand = site.stands.find((s) => s.id === standId);
  if (!stand) return 'Anywhere';
  return tier === null || stand.tiers.length === 1 ? stand.name : `${stand.name}, tier ${tier}`;
}

/** Where each tray of a trial goes, and why there. */
function movesOnWords(site: Site, trial: Trial): string {
  const rounds = roundsOf(trial, drawnTrays(site)).map((round) => [...round, round[0]!].map((row) => row.code).join(' \u2192 '));
  const why = comesWithPlace(trial)
    ? 'No tray moves to another arm, because what you compare belongs to the place.'
    : 'So no place favours an arm.';
  return `Each tray moves to the place of the next: ${rounds.join('; ')}. ${why}`;
}

/** What it means that a job is late; growers' consensus. Kinds that are asked for anew every day are never late. */
const LATE: Readonly<Partial<Record<Job['what']['kind'], string>>> = {
  hang: 'Leaves may be nearer to the lamp than planned by now: look for pale or curled tips.',
  sow: 'Sown today, all its dates move by as much.',
  'pot-on': 'Held back, it grows on slowly for about a week: water well, and don’t feed stronger to make up for it.',
  out: 'Plants that stand too long shade each other and stretch.',
  clear: '',
  'cover-off': 'Look for mould and for stems that bend at the compost.',
  thin: 'The weaker ones have stretched: cut them now all the same.',
  feed: 'Old leaves may be paler. Feed as usual, not stronger.',
  water: 'If the compost has come away from the wall, water from below twice, half an hour apart.',
  measure: '',
  rotate: 'Go on from today; the round is only longer.',
  lamp: '',
  'look-again': '',
  trial: '',
};

function lateWords({ due, what }: Job, today: Day): string {
  const means = LATE[what.kind];
  return due < today && means !== undefined ? ` Due since ${dayWords(due)}. ${means}`.trimEnd() : '';
}

/** What turning and changing places is called. */
export const ROTATE_WORDS: Readonly<Record<RotationKind, string>> = {
  turn: 'Turn each tray half round',
  swap: 'Let each tray move on by one place',
  both: 'Turn each tray half round, and let it move on by one place',
};

/** Of plants that were not outdoors for long enough, as far as somebody ticked it. */
const hardenedWords = (days: number | null): string =>
  days !== null && days < USUAL_HARDENING.leastDays
    ? ` Only ${days} of ${USUAL_HARDENING.leastDays} days outdoors are ticked. Sun and wind burn plants that are not hardened off.`
    : '';

const capital = (text: string) => `${text[0]!.toUpperCase()}${text.slice(1)}`;

/** @param stand  that the job is at, looked up; undefined for a job that is nowhere */
export function jobSaid(site: Site, job: Job, stand: BenchStand | undefined, told: ToldIn, today: Day): JobSaid {
  const { what } = job;
  const where = whereWords(site, job);
  const planned = 'planId' in what ? site.season?.batches.find((b) => b.id === what.planId) : undefined;
  const plan = planned ? nameOf(site, planned) : '';
  const planHref = planned ? `/season?batch=${encodeURIComponent(planned.id)}` : null;
  const trayHref = job.trayIds[0] ? `/tray/${encodeURIComponent(job.trayIds[0])}` : null;
  const late = lateWords(job, today);
  switch (what.kind) {
    case 'hang': {
      const words = stand ? jobsOf(what.jobs, stand, told).map((j) => j.words) : [];
      const isTimers = what.jobs.hours.length > 0;
      const tierIds = new Set([...what.jobs.lamps, ...what.jobs.dims, ...what.jobs.risers].map((j) => j.tierId));
      const timerIds = new Set(what.jobs.hours.map((h) => h.timerId));
      const tiers = site.stands.flatMap((s) => s.tiers).filter((t) => tierIds.has(t.id) || timerIds.has(t.timerId));
      const running = runningWith(site, new Set(tiers.flatMap((t) => t.trays.map((y) => y.id))), today);
      const isSunny = stand?.tiers.some(
        (t) => (tierIds.has(t.tier.id) || timerIds.has(t.timer.id)) && t.trays.some((y) => daylightDli(y.day) > 0),
      );
      const inTrial = running.length > 0 ? ` ${inTrialWords(running)}` : '';
      return {
        title: capital(words.join('; ') || 'Set the lamps'),
        where,
        why: isTimers
          ? `${isSunny ? 'Days get longer or shorter here, and the lamps’ hours go along with them.' : 'The plants here have reached a stage that needs other hours.'} From the hang chart.${inTrial}${late}`
          : `${isSunny ? 'Daylight has changed, or plants have grown' : 'Plants have grown'}: until the next visit they stay in their band, and clear of the lamp, this way. From the hang chart.${inTrial}${late}`,
        href: job.standId ? `/stands/${encodeURIComponent(job.standId)}/hanging` : null,
        done: isTimers ? 'Timers are set on the plan.' : 'Lamps hang like this on the bench now.',
      };
    }
    case 'sow':
      return {
        title: `Sow ${plan}: ${planned?.cells ?? ''} cells`,
        where: 'Season',
        why: `Counted back from ${planned ? dayWords(planned.out) : ''}, when it should be ready. Moisten the compost right through before you sow.${late}`,
        href: planHref,
        done: `${plan} is sown.`,
      };
    case 'pot-on':
      return {
        title: `Pot on ${plan}: ${plantsWords(what.plants)} into ${containersName(what.containerId)}`,
        where,
        why: `Roots have filled their cells by now; held back, the plants stand still (growers’ consensus).${late}`,
        href: planHref,
        done: `${plan} is potted on.`,
      };
    case 'harden':
      return {
        title: `${plan} outdoors, up to ${what.outdoors.hours} h${what.outdoors.place === 'shade' ? ', in shade' : ''}`,
        where,
        why: `Hardening off until ${dayWords(what.until)}: day ${what.outdoors.nth} outdoors. Longer every day, shade first (growers’ consensus). Cold, wind or heat: keep it in and don’t tick this. Only days that you tick make the next one longer.`,
        href: planHref,
        done: 'Noted.',
      };
    case 'out':
      return {
        title: `${planned?.goal === 'ready' ? 'Ready:' : 'Plant out'} ${plan}, ${plantsWords(what.plants)}`,
        where,
        why: `It is old enough, and the weather should allow it.${hardenedWords(what.daysOutdoors)}${late}`,
        href: planHref,
        done: `${plan} has left the shelves.`,
      };
    case 'look-for-seedlings':
      return {
        title: `Look for seedlings of ${batchName(site, what.batchId)}`,
        where,
        why: what.overdue
          ? `All should have been up by ${dayWords(what.to)}. Dig up one seed: soft means start over, firm means wait.`
          : `It may come up from ${briefDayWords(what.from)} to ${briefDayWords(what.to)}. The first day in the dark stretches stems most: lamp on, cover and mat off at the first hook.`,
        href: trayHref,
        done: 'Nothing up yet: noted. You are asked again tomorrow.',
      };
    case 'cover-off':
      return {
        title: `Cover off ${batchName(site, what.batchId)}`,
        where,
        why: `It is up. Under a cover seedlings stay wet and fall over, and the cover takes some of the light.${late}`,
        href: trayHref,
        done: 'The cover is off.',
      };
    case 'clear':
      return {
        title: `Take ${batchName(site, what.batchId)} off the shelves`,
        where,
        why: `Its end date was ${dayWords(what.left)}. It takes room and light from other plants. If it stays, change its end date.`,
        href: trayHref,
        done: 'Its trays are cleared. The journal keeps what you wrote.',
      };
    case 'mat-off':
      return {
        title: `Unplug ${what.name}`,
        where,
        why: 'No seed here is still to come up. Warm roots in weak light stretch stems (Erwin & Heins 1995).',
        href: job.standId ? `/stands/${encodeURIComponent(job.standId)}/power` : null,
        done: 'Noted.',
      };
    case 'mat-part': {
      const names = (ids: readonly string[]) => ids.map((id) => batchName(site, id)).join(', ');
      return {
        title: `${names(what.up)} off ${what.name}`,
        where,
        why: `${what.up.length === 1 ? 'It is' : 'They are'} up; ${names(what.waiting)} still ${what.waiting.length === 1 ? 'needs' : 'need'} the warmth. Warm roots in weak light stretch stems (Erwin & Heins 1995). In a tray of several crops, move what is up, or unplug the mat when the last are up.`,
        href: trayHref,
        done: 'Noted.',
      };
    }
    case 'brush':
      return {
        title: 'Move the seedlings: a fan, or a hand',
        where,
        why: `No fan is plugged in here. Stems that move stay shorter and firmer (Latimer 1998). Let a small fan stir the leaves, or brush their tops with a card, ten strokes twice a day. Never when they are wet; peppers and cabbages only by fan (their leaves mark).${late}`,
        href: job.standId ? `/stands/${encodeURIComponent(job.standId)}/power` : null,
        done: 'Noted. You are asked again in a week.',
      };
    case 'thin':
      return {
        title: `Thin ${batchName(site, what.batchId)} to one a cell`,
        where,
        why: `Two or three true leaves by now: neighbours shade each other and stretch. Cut, don’t pull (growers’ consensus).${late}`,
        href: trayHref,
        done: 'Thinned: noted.',
      };
    case 'feed':
      return {
        title: `Feed ${batchName(site, what.batchId)}`,
        where,
        why: `${what.last === null ? 'It has its true leaves and has not been fed yet' : `Last fed ${dayWords(what.last)}`}. ${capital(what.strength)}, every ${daysWords(what.everyDays)} (growers’ consensus). Never keep feed in drink bottles.${late}`,
        href: trayHref,
        done: 'Fed: noted.',
      };
    case 'water':
      return {
        title: `Check the water of ${batchName(site, what.batchId)}`,
        where,
        why: `You water it about every ${daysWords(what.everyDays)}; last on ${dayWords(what.last)}. Water from below once its surface is pale and it is light to lift.${late}`,
        href: trayHref,
        done: 'Watered: noted.',
      };
    case 'measure':
      return {
        title: 'Measure again at the same spots',
        where,
        why: `Last measured ${what.last === null ? 'never' : dayWords(what.last)}. Lamps fade, and things are moved.`,
        href: job.standId ? `/stands/${encodeURIComponent(job.standId)}/readings` : null,
        done: 'Noted.',
      };
    case 'safety':
      return {
        title: `Before you switch on: ${what.open} safety ${what.open === 1 ? 'check' : 'checks'}`,
        where,
        why: `${what.changed ? 'Something has changed since you checked' : 'Nobody has checked this yet'}: mains and water, weight, heat, loads. Local code and a licensed electrician come first.`,
        href: `/lamps/safety#gate-${job.standId ?? ''}`,
        done: '',
      };
    case 'rotate':
      return {
        title: ROTATE_WORDS[what.how],
        where,
        why: `Every ${daysWords(what.every)}, so that each spot gets its share of the light; its effect is on the stand’s Hanging page.${late}`,
        href: job.standId ? `/stands/${encodeURIComponent(job.standId)}/hanging` : null,
        done: what.how === 'turn' ? 'Turned: noted.' : 'The trays stand like this on the bench now.',
      };
    case 'lamp':
      return {
        title: `${what.name} is at the end of its rated life`,
        where,
        why: `It gives about ${Math.round(100 * what.output)} % of its first light, by its hours. Its page says what that does to the trays, and whether a new one is needed yet.`,
        href: `/lamps/mine/${encodeURIComponent(what.ownId)}`,
        done: 'Noted.',
      };
    case 'look-again':
      return {
        title: `Look at ${batchName(site, what.batchId)} again`,
        where,
        why: `You changed one thing, to find out what is wrong. Compare the new growth, and say in the clinic how it did.${late}`,
        href: `/clinic/${encodeURIComponent(what.caseId)}`,
        done: 'Noted. Say in the clinic how it did: only then it counts.',
      };
    case 'trial': {
      const trial = site.trials.find((t) => t.id === what.trialId);
      return {
        title:
          what.act === 'rotate'
            ? `Let the trays of “${trial?.name ?? 'the trial'}” change places`
            : `Measure the trial “${trial?.name ?? ''}”`,
        where: 'Season, trials',
        why:
          what.act === 'rotate'
            ? `${trial ? movesOnWords(site, trial) : ''}${late}`
            : `It ends today, as fixed before it began. Measure every plant by its tray’s code, before you look which arm that is.${late}`,
        href: `/season/trials/${encodeURIComponent(what.trialId)}`,
        done: what.act === 'rotate' ? 'Done. The bench shows the new places.' : 'Noted.',
      };
    }
  }
}

export const minutesWords = (minutes: number): string =>
  minutes < 60 ? `${minutes} minutes` : `${Math.floor(minutes / 60)}\u00a0h ${minutes % 60 ? `${minutes % 60}\u00a0min` : ''}`.trim();
