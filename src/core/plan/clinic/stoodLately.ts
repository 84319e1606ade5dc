import { asOf } from '../../answer/stand/asOf';
import { benchStandOf } from '../../answer/stand/benchStand';
import { dliInPlace, type TrayInPlace } from '../../answer/bench/traysInPlace';
import type { Cause } from '../../judge/clinic/Cause';
import { isSign } from '../../judge/clinic/signs';
import { factorOf } from '../../judge/clinic/weighCauses';
import type { ClinicCase } from '../../site/clinic/ClinicCase';
import type { Site } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';
import { changesOnTheWay } from '../past/changesOnTheWay';
import { siteThen } from '../past/siteThen';
import { LATELY_days } from './circumstancesOf';

/** A tray as it stood until a day, on which its tier was set otherwise; light null while that is not worked out. */
export interface StoodUntil extends TrayInPlace {
  readonly until: Day;
}

/** As many changes are looked behind, the latest. */
const MOST = 3; // our choice: each takes the light of a stand

/** How plants stood before each change of their tier that they may show: from some days before they looked wrong until today. */
export function stoodLately(site: Site, since: Day, trayId: string, today: Day, tables: Tables): readonly StoodUntil[] {
  const from = Math.min(since, today) - LATELY_days;
  const days = changesOnTheWay(site, from, today, (y) => y.id === trayId, tables).map((c) => c.day);
  return [...new Set(days)]
    .sort((a, b) => b - a)
    .slice(0, MOST)
    .flatMap((until) => {
      const set = siteThen(site, until - 1, tables);
      const kept = set.stands.find((s) => s.tiers.some((t) => t.trays.some((y) => y.id === trayId)));
      if (!kept) return [];
      // Other stands have no part in its light.
      const then = asOf({ ...set, stands: [kept] }, until - 1, tables);
      const stand = benchStandOf(then, then.stands[0]!, tables);
      for (const tier of stand.tiers) {
        const tray = tier.trays.find((y) => y.tray.id === trayId);
        if (tray) return [{ until, stand, tier, tray, light: null }];
      }
      return [];
    });
}

/** Light that grows by so much at once is a change to leaves. */
const RAISED = 1.3; // our choice, within growers' habit of raising light by a tenth to a third at a time

/** What too much light and heat do shows within a day. */
const AT_ONCE = ['light-too-strong', 'sudden-change', 'lamp-heat'] as const satisfies readonly Cause[];

/** A sign that speaks so much for one of them is its own; less may be many things, as paleness is. */
const CLEARLY = 12; // the highest of the three steps of factors

/** Whether a sign was marked that plants show at once, and not in what grows. */
export const showsAtOnce = ({ signs }: Pick<ClinicCase, 'signs'>): boolean =>
  signs.some((s) => isSign(s) && AT_ONCE.some((cause) => factorOf(s, cause) >= CLEARLY));

/** Whether plants got a good deal more light from one day to the next, in the days before they looked wrong. @param stood  the latest first */
export function isRaisedLately(kase: ClinicCase, standing: TrayInPlace, stood: readonly StoodUntil[]): boolean {
  const since = kase.since ?? kase.opened;
  return stood.some((then, i) => {
    const [before, after] = [dliInPlace(then), dliInPlace(stood[i - 1] ?? standing)];
    const isBefore = then.until < since || (then.until === since && showsAtOnce(kase));
    return isBefore && then.until > since - LATELY_days && before !== null && after !== null && after >= RAISED * before;
  });
}
