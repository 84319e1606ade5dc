import { advise, type Offer } from '../../core/plan/advice/advise';
import { applyMoves } from '../../core/plan/advice/applyMove';
import type { TrayResult } from '../../core/plan/advice/Effect';
import type { Scope } from '../../core/plan/advice/movesFor';
import { answerBench } from '../../core/answer/bench/answerBench';
import { judgeTray } from '../../core/answer/bench/judgeTray';
import { questionOfStand } from '../../core/answer/bench/questionOfStand';
import type { Received } from '../../core/judge/dli/LightDay';
import { cautionsFor } from '../../core/answer/caution/cautionsFor';
import { asOf } from '../../core/answer/stand/asOf';
import type { TrayDay } from '../../core/plan/hang/HangChart';
import { hangChartOf } from '../../core/plan/hang/hangChartOf';
import { cautionLibrary } from '../../core/things/caution/cautionLibrary';
import { tables } from '../../core/things/tables/libraryTables';
import { loadsOf } from '../../core/answer/power/loadsOf';
import { benchStandOf, type BenchStand } from '../../core/answer/stand/benchStand';
import { faultsOf } from '../../core/answer/faults/faults';
import type { Site } from '../../core/site/stand/Site';
import { powerOf, servedBy, timersOf } from '../../core/plan/timer/servedBy';
import { resultsOn, solveTimer, type TimerResult } from '../../core/plan/timer/solveTimer';
import { isoOf, type Day } from '../../core/units/day';
import type { Banded } from '../../core/judge/uncertainty/Band';
import { writeSite } from '../form/writeSite';

/** On which day, with timers of which steps, and which parts are wanted. */
export interface PlanAsked {
  readonly day: Day;
  readonly timerStep_min: number;
  /** Offers and charts take longest. */
  readonly offers: boolean;
  readonly chart: boolean;
}

/** All decisions about one site, as plain data with the units in the names: what the screens say, for people who script. */
export async function planSite(kept: Site, asked: PlanAsked) {
  const site = asOf(kept, asked.day, tables);
  const stands = [];
  for (const { id } of site.stands) stands.push(await planStand(site, id, asked));
  return { day: isoOf(asked.day), stands };
}

async function planStand(site: Site, standId: string, asked: PlanAsked) {
  const stand = benchStandOf(
    site,
    site.stands.find((s) => s.id === standId)!,
    tables,
  );
  const answer = answerBench(questionOfStand(stand, null));
  const scopes: Scope[] = [
    ...stand.tiers.filter((t) => t.lamps.length > 0 && t.trays.length > 0).map((t): Scope => ({ of: 'tier', id: t.tier.id })),
    ...(stand.tiers.length > 1 ? [{ of: 'stand' } as const] : []),
  ];
  const advice = [];
  if (asked.offers)
    for (const scope of scopes) {
      const found = await advise({ site, standId, scope, answer, day: asked.day }, tables);
      advice.push({
        scope: scope.of === 'stand' ? { of: 'stand' } : { of: scope.of, id: scope.id },
        judged: found.judged,
        insufficient: found.insufficient,
        before: { loss: round(found.before.loss), trays: found.before.results.map(resultWritten) },
        offers: found.offers.map((o) => offerWritten(o, site)),
      });
    }
  const from = asked.day;
  const chart = asked.chart ? hangChartOf({ site, standId, answer, from, timerStep_min: asked.timerStep_min }, tables) : null;
  return {
    id: standId,
    name: stand.stand.name,
    trays: traysWritten(stand, answer),
    advice,
    timers: timersWritten(stand, site, answer, asked.timerStep_min),
    chart: chart && {
      from: isoOf(chart.from),
      until: isoOf(chart.until),
      visits: chart.visits.map((v) => ({
        day: isoOf(v.day),
        last: isoOf(v.last),
        lamps: v.lamps.map(({ face, ...job }) => ({ ...job, face_m: round(face) })),
        risers: v.risers,
        hours: v.hours.map(ofTimer),
        after: v.after.map(dayWritten),
        before: v.before.map(dayWritten),
      })),
      limits: chart.limits.map((l) => ({ ...l, from: isoOf(l.from), to: isoOf(l.to) })),
    },
    faults: faultsOf(stand),
    outletFaults: loadsOf(stand).faults.map(ofTimer),
    cautions: cautionsFor(stand, site.stated, cautionLibrary).map((c) => ({ id: c.id, severity: c.severity, title: c.title })),
  };
}

const round = (v: number): number => (Number.isFinite(v) ? Math.round(v * 1e6) / 1e6 : v);
const bandWritten = ({ value, low, high }: Banded) => ({ value: round(value), low: round(low), high: round(high) });

/** The judgement of each tray, as bench and overview show it. */
function traysWritten(stand: BenchStand, answer: ReturnType<typeof answerBench>) {
  return stand.tiers.flatMap((tier) =>
    tier.trays.flatMap((tray) => {
      const light = answer.tiers[tier.tier.id]?.trays[tray.tray.id];
      if (!light) return [];
      const { verdict } = judgeTray(tier, tray, light);
      const { stage, limits } = tray;
      return [
        {
          tierId: tier.tier.id,
          trayId: tray.tray.id,
          cropId: tray.crop.id,
          stage: stage.stage,
          canopy_m: round(tray.canopy),
          lampPpfd_umol_per_m2_s: {
            weakest: round(light.stats.weakest.ppfd),
            mean: round(light.stats.mean),
            strongest: round(light.stats.strongest.ppfd),
          },
          dli_mol_per_m2_d: {
            weakest: bandWritten(verdict.weakest),
            mean: bandWritten(verdict.mean),
            strongest: bandWritten(verdict.strongest),
          },
          ...strengthsWritten(verdict.received),
          photoperiod_h: round(verdict.received.photoperiod),
          needed: { dliMin: stage.dliMin, dliTarget: stage.dliTarget, dliMax: stage.dliMax, shortestDay_h: stage.hoursMin },
          limits: { longestDay_h: limits.longestDay, strongestPpfd_umol_per_m2_s: limits.strongest },
          says: verdict.says,
          certainty: verdict.certainty,
          probability: verdict.probability,
          shareInBand: round(verdict.shareInBand),
          breaches: verdict.breaches,
        },
      ];
    }),
  );
}

type Strengths = Pick<Received, 'strongestPpfd' | 'litPpfd' | 'noonPpfd' | 'clearDli'>;

/** The strongest light at any leaf: whatever comes, what limits on lamps go by, and what a clear sky alone brings. */
const strengthsWritten = ({ strongestPpfd, litPpfd, noonPpfd, clearDli }: Strengths) => ({
  strongestPpfd_umol_per_m2_s: round(strongestPpfd),
  litPpfd_umol_per_m2_s: round(litPpfd),
  sunAlone: { clearNoonPpfd_umol_per_m2_s: round(noonPpfd), clearDli_mol_per_m2_d: round(clearDli) },
});

const resultWritten = (r: TrayResult) => ({
  trayId: r.trayId,
  dli_mol_per_m2_d: { weakest: round(r.weakest), mean: round(r.mean), strongest: round(r.strongest) },
  ...strengthsWritten(r),
  photoperiod_h: round(r.photoperiod),
  shareInBand: round(r.shareInBand),
  says: r.says,
  loss: round(r.loss),
});

/** As in the site file, where a timer is a `programme`. */
const ofTimer = (said: object) =>
  Object.fromEntries(Object.entries(said).map(([name, value]) => [name === 'timerId' ? 'programmeId' : name, value as unknown]));

const offerWritten = (o: Offer, site: Site) => ({
  id: o.id,
  moves: o.moves.map(ofTimer),
  effort_min: o.effort_min,
  toBuy: o.toBuy,
  promised: { loss: round(o.after.loss), costPerMonth: round(o.after.costPerMonth), trays: o.after.results.map(resultWritten) },
  site: writeSite(applyMoves(site, o.moves, tables)),
});

function timersWritten(stand: BenchStand, site: Site, answer: ReturnType<typeof answerBench>, step_min: number) {
  return timersOf(stand).map((timer) => {
    const served = servedBy(timer, answer.tiers);
    const rules = {
      step_min,
      quiet: site.quiet,
      cheap: site.cheap,
      bands: site.bands,
      price_per_kWh: site.price_per_kWh,
      power: powerOf(timer),
    };
    const { on_min, lit_min, pause } = timer;
    const best = solveTimer(served, rules, timer);
    return {
      programmeId: timer.id,
      tierIds: timer.tiers.map((t) => t.tier.id),
      now: { on_min, lit_min, pause, trays: resultsOn(served, rules, timer).results.map(fareWritten) },
      best: { on_min: best.on_min, lit_min: best.lit_min, limits: best.limits, trays: best.results.map(fareWritten) },
    };
  });
}

const fareWritten = ({ trayId, says, weakest, mean, strongest, photoperiod, alone, light }: TimerResult) => ({
  trayId,
  says,
  dli_mol_per_m2_d: { weakest: round(weakest), mean: round(mean), strongest: round(strongest) },
  photoperiod_h: round(photoperiod),
  hoursAlone: alone,
  lampLightTimes: light === null ? null : round(light),
});

const dayWritten = ({
  weakest,
  mean,
  strongest,
  strongestPpfd,
  litPpfd,
  noonPpfd,
  clearDli,
  photoperiod,
  height,
  distance,
  ...d
}: TrayDay) => ({
  ...d,
  height_m: round(height),
  distance_m: round(distance),
  dli_mol_per_m2_d: { weakest: round(weakest), mean: round(mean), strongest: round(strongest) },
  ...strengthsWritten({ strongestPpfd, litPpfd, noonPpfd, clearDli }),
  photoperiod_h: round(photoperiod),
});
