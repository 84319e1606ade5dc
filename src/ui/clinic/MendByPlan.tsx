'use client';
import { useCallback, useMemo } from 'react';
import type { Treatment } from '@/core/judge/clinic/Cause';
import type { TrayInPlace } from '@/core/answer/bench/traysInPlace';
import { standingOf } from '@/core/judge/verdict/standing';
import type { PlanMend } from '@/core/plan/clinic/mendByPlan';
import { sownAgain } from '@/core/plan/clinic/sownAgain';
import type { TestEffect } from '@/core/plan/clinic/testEffect';
import { applyOnStand } from '@/store/bench/applyOnStand';
import type { Stage } from '@/core/things/crop/Crop';
import { showLength } from '@/core/units/length';
import { changeSite, undo } from '@/store/site/siteStore';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { useWorkedOut } from '../parts/useWorkedOut';
import { sayWords } from '../chart/jobWords';
import { moveWords } from '../bench/moveWords';
import { Button } from '../parts/Button';
import { dayWords, daysWords } from '../season/dayWords';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { KEEPS_POSITIONS } from '../bench/benchWords';
import { say } from '../shell/toastStore';
import { useSettings, useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { dliNumber } from '../drawing/lightWords';
import { Term } from '../terms/Term';

const QUIET_ms = 700;

/** What the plan can do of what mends it, worked out beside the page; empty until it is. */
export function useMends(treatments: readonly Treatment[], { stand, tray, light }: TrayInPlace, isWanted: boolean): readonly PlanMend[] {
  const { mendsOf, lightOfStand, sites } = useWorkspace();
  const key = treatments.join(' ');
  const trayId = tray.tray.id;
  const isAsked = isWanted && light !== null && key !== '';
  const asked = useMemo(() => (isAsked ? { key, stand, trayId } : null), [isAsked, key, stand, trayId]);
  const look = useCallback(
    async (of: { key: string; stand: BenchStand; trayId: string }): Promise<readonly PlanMend[]> => {
      const { site } = sites.getState();
      const answer = await lightOfStand(of.stand);
      return mendsOf({ site, standId: of.stand.stand.id, scope: { of: 'tray', id: of.trayId }, answer }, of.key.split(' ') as Treatment[]);
    },
    [mendsOf, lightOfStand, sites],
  );
  // Signs are marked one after the other: only what stands for a moment is worked out.
  const told = useWorkedOut(asked, look, QUIET_ms);
  // What could not be worked out is not offered; the words stand without it.
  return (told && told.of === asked && told.answer) || [];
}

/** A treatment that is a change of the plan: what it is here, what the tray would get, and the press that does it. */
export function MendByPlan({ mend, standing }: { mend: PlanMend | null; standing: TrayInPlace }) {
  const { sites } = useWorkspace();
  const told = useSettings();
  const lamps = useSite((s) => s.site.lamps);
  if (!mend) return null;
  const words = moveWords(mend.move, standing.stand, lamps, told);
  const apply = () => {
    const made = changeSite(sites, words, applyOnStand(standing.stand.stand.id, [mend.move]));
    if (made)
      say(`${words}: done in the plan.${standing.stand.stand.autoArranged ? ` ${KEEPS_POSITIONS}` : ''}`, {
        label: 'Undo',
        run: () => undo(sites),
      });
    focusHeadingIfLost();
  };
  return (
    <span className="mt-1 mb-2 flex flex-wrap items-center gap-x-3 gap-y-1">
      <span className="text-soft">
        {words}: weakest {dliNumber(mend.before.weakest)} to {dliNumber(mend.after.weakest)}, strongest {dliNumber(mend.before.strongest)}{' '}
        to {dliNumber(mend.after.strongest)} <Term id="dli">mol/m²/day</Term>
        {stillWords(mend.after)}
      </span>
      <Button onClick={apply} aria-label={`Change the plan: ${words}`}>
        Change the plan
      </Button>
    </span>
  );
}

/** What is still wrong then: one change may not be all that it takes. */
function stillWords({ says }: PlanMend['after']): string {
  const standing = standingOf(says);
  return standing === 'suits' ? '' : `, still ${sayWords(standing)}`;
}

/** What a test does to the dose of the half that is changed. */
export function EffectWords({ effect: { before, after, nearer, hours }, stage }: { effect: TestEffect; stage: Stage }) {
  const { lengthUnit } = useSettings();
  const how =
    nearer !== null
      ? `${showLength(Math.abs(nearer), lengthUnit)} ${nearer > 0 ? 'nearer to' : 'farther from'} the lamp`
      : hours !== null
        ? `${Math.abs(hours).toFixed(hours % 1 === 0 ? 0 : 1)} h ${hours > 0 ? 'more' : 'less'}`
        : 'there';
  return (
    <>
      {how[0]!.toUpperCase() + how.slice(1)}, it gets <b>{dliNumber(after)}</b> instead of {dliNumber(before)} mol/m²/day (it needs{' '}
      {dliNumber(stage.dliMin)} to {dliNumber(stage.dliMax)}).
    </>
  );
}

/** What sowing again does to its dates; that it is too late is said. */
export function RestartWords({ standing: { tray } }: { standing: TrayInPlace }) {
  const today = useToday();
  const season = useSite((s) => s.site.season);
  const { batch, crop } = tray;
  const again = sownAgain(batch, crop, season?.batches.find((b) => b.batchId === batch.id), today); // prettier-ignore
  if (!again) return null;
  const { days, asNow, out } = again;
  return (
    <span className="block text-soft">
      Sown again today, it is as far as now on {dayWords(asNow)}, {daysWords(days)} later.
      {out && ` It was to go out on ${dayWords(out.planned)}; then it would be ${dayWords(out.then)}.`}
      {out?.isTooLate && ` Too late for the planned day: the last day to sow for it was ${dayWords(out.latestSowing)}.`}
    </span>
  );
}
