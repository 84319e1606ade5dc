'use client';
import { daylightOf } from '@/core/site/stand/Site';
import type { Crop } from '@/core/things/crop/Crop';
import { stays } from '@/core/things/crop/stays';
import { useMemo } from 'react';
import { ageingOf } from '@/core/site/ownLamps/ageingOf';
import { fadedTo } from '@/core/things/lamp/fading';
import { comparePlans } from '@/core/plan/hours/comparePlans';
import { AS_SET, type HoursPlan } from '@/core/site/timer/HoursPlan';
import { daysOfPlan, type TrayPpfd } from '@/core/plan/hours/wishedHours';
import type { BenchTier, BenchTray } from '@/core/answer/stand/benchStand';
import { plantAreaOf } from '@/core/site/stand/footprint';
import { showMoney } from '@/core/units/money';
import { changeSite, undo } from '@/store/site/siteStore';
import { changeBatch } from '@/core/site/stand/change';
import { Stepper } from '../parts/Stepper';
import { NumberField } from '../parts/NumberField';
import { daysWords } from '../season/dayWords';
import { say } from '../shell/toastStore';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { dliNumber } from '../drawing/lightWords';
import { percent, stageWords } from '../verdict/words';
import { hoursWords, planWords, riskWords, wishLimitWords } from './planWords';

interface PlanTableProps {
  tier: BenchTier;
  tray: BenchTray;
  light: TrayPpfd | null;
  failed: boolean;
}

const of = (kind: HoursPlan['kind'], more: Partial<HoursPlan> = {}): HoursPlan => ({ ...AS_SET, kind, ...more });

/** Whether a plan is about first days that are over; plants that stay have none. */
const isOver = (plan: HoursPlan, age: number, crop: Crop): boolean =>
  plan.kind === 'stepping' ? stays(crop) : daysOfPlan(plan) > 0 && (stays(crop) || age >= daysOfPlan(plan));

/** One plan: side by side on a wide screen, on a phone one thing below the other. */
const ROW = 'grid grid-cols-3 gap-x-4 md:grid-cols-[minmax(0,6fr)_minmax(0,5fr)_6rem_5.2rem_4rem]';

/** Plans of hours side by side for the days that a tray has before it: dose, cost and risk; one press takes one. */
export function PlanTable({ tier, tray, light, failed }: PlanTableProps) {
  const { sites } = useWorkspace();
  const today = useToday();
  const { price_per_kWh, currency } = useSite((s) => s.site);
  const { batch, crop } = tray;
  const { plan } = batch;
  // Without a date the first days are still to come.
  const age = batch.sown === null ? 0 : (batch.age ?? 0);
  const plans = useMemo(() => {
    const own = (kind: HoursPlan['kind'], fallback: HoursPlan) => (plan.kind === kind ? plan : fallback);
    const all = [
      AS_SET,
      own('steady', of('steady', { hours: Math.round(tier.hours * 2) / 2 || 16 })),
      of('stepping'),
      own('day-and-night', of('day-and-night', { days: 3 })),
      own('ramp', of('ramp', { days: 7 })),
      of('dose'),
      of('shortest'),
    ];
    return all.filter((p) => p.kind === plan.kind || !isOver(p, age, crop));
  }, [plan, tier.hours, age, crop]);
  const courses = useMemo(() => {
    if (!light || tier.lamps.length === 0) return null;
    // Of what the tier's lamps draw, as much as is over this tray.
    const area = ({ tray: y }: BenchTray) => {
      const { x0, x1, y0, y1 } = plantAreaOf(y);
      return (x1 - x0) * (y1 - y0);
    };
    const share = area(tray) / tier.trays.reduce((sum, y) => sum + area(y), 0);
    const power = share * tier.lamps.reduce((sum, l) => sum + l.real.power, 0);
    const lamps = tier.lamps.map(({ real, fitting }) => ({ lamp: real, ageing: ageingOf(tier.tier, fitting) }));
    const fades = (later_h: number) => fadedTo(lamps, later_h);
    return comparePlans(plans, batch, crop, light, tier.hours, { power, price_per_kWh, fadedTo: fades }, today, daylightOf(tier.tier));
  }, [plans, batch, crop, light, tier, tray, price_per_kWh, today]);
  const take = (next: HoursPlan) => {
    changeSite(sites, 'plan the hours', changeBatch(batch.id, { plan: next }));
    say(`${planWords(next)}: the hang chart sets its timer by it.`, { label: 'Undo', run: () => undo(sites) });
  };
  return (
    <section aria-labelledby="plans" className="space-y-2">
      <h2 id="plans" className="text-lg font-semibold">
        Photoperiod plan
      </h2>
      {failed && <p className="text-copper">The light could not be computed. Reload the page to try again.</p>}
      {!failed && !light && tier.lamps.length > 0 && <p role="status">Working out the light…</p>}
      {tier.lamps.length === 0 && <p className="text-soft">No lamp hangs over it yet.</p>}
      {courses && (
        <>
          <fieldset>
            <legend className="sr-only">Plans of hours for {crop.name}</legend>
            <div className={`${ROW} text-sm text-soft max-md:hidden`} aria-hidden>
              <span>plan</span>
              <span>hours by stage</span>
              <span>in range</span>
              <span>of best DLI</span>
              <span>power</span>
            </div>
            {courses.map((c) => {
              const chosen = c.plan.kind === plan.kind;
              const refused = c.risks.some((r) => r.why === 'refused');
              return (
                <div key={c.plan.kind} className={`${ROW} border-t border-line py-1.5`} data-testid={`plan-${c.plan.kind}`}>
                  <div className="max-md:col-span-3">
                    <label className="flex min-h-8 cursor-pointer items-center gap-2 max-md:min-h-11">
                      <input
                        type="radio"
                        name="plan"
                        className="size-4.5 shrink-0 accent-verdigris"
                        checked={chosen}
                        disabled={refused && !chosen}
                        onChange={() => take(c.plan)}
                      />
                      <span className={chosen ? 'font-semibold' : undefined}>{planWords(c.plan)}</span>
                    </label>
                    {wishLimitWords(c.stages).map((words) => (
                      <p key={words} className="pl-6.5 text-sm text-soft">
                        {words}
                      </p>
                    ))}
                    {c.risks.length > 0 && (
                      <p className="pl-6.5 text-sm text-copper">
                        {c.risks.map(riskWords).join('; ')}
                        {refused && crop.continuousLightInjurySource ? ` (${crop.continuousLightInjurySource})` : ''}.
                      </p>
                    )}
                  </div>
                  <div className="pt-1 tabular-nums max-md:col-span-3 max-md:pl-6.5">
                    {c.stages.map((s) => (
                      <div key={s.stage.stage}>
                        <span className="text-soft">{stageWords(s.stage)}</span> {hoursWords(s.first)}
                        {Math.abs(s.last - s.first) >= 0.25 ? ` → ${hoursWords(s.last)}` : ''}
                      </div>
                    ))}
                  </div>
                  <div className="pt-1 tabular-nums max-md:pl-6.5">
                    {c.daysInBand} of {daysWords(c.days)}
                    <span className="text-sm text-soft md:hidden"> in range</span>
                  </div>
                  <div className="pt-1 tabular-nums">
                    {percent(c.dliOfBest)}
                    <span className="text-sm text-soft md:hidden"> of best</span>
                  </div>
                  <div className="pt-1 tabular-nums">{showMoney(c.cost, currency)}</div>
                </div>
              );
            })}
          </fieldset>
          <div className="flex flex-wrap items-end gap-4">
            {plan.kind === 'steady' && (
              <NumberField
                label="hours a day"
                value={plan.hours}
                min={0}
                max={24}
                unit="h"
                inputClassName="w-20"
                onChange={(hours) => take({ ...plan, hours })}
              />
            )}
            {(plan.kind === 'day-and-night' || plan.kind === 'ramp') && (
              <Stepper
                label="days at first"
                value={daysOfPlan(plan)}
                min={1}
                max={plan.kind === 'ramp' ? 21 : 5}
                onChange={(days) => take({ ...plan, days })}
              />
            )}
          </div>
          <p className="text-sm text-soft">
            With the lamp kept as far off as it is now: {dliNumber(light!.weakest)} to {dliNumber(light!.strongest)} µmol/m²/s on this tray.
            Where trays share a timer they meet between their plans.
            {plans.some((p) => p.kind === 'day-and-night') &&
              ' Day and night for the first days is growers’ practice, three to five days; longer injures tomato and aubergine (Hillman 1956; Velez-Ramirez et al. 2014).'}
          </p>
        </>
      )}
    </section>
  );
}
