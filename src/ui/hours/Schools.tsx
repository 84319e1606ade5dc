'use client';
import { useMemo } from 'react';
import { costADay, DAYS_PER_MONTH } from '@/core/judge/cost/pricesOf';
import { dliOf } from '@/core/judge/dli/dli';
import { AS_SET } from '@/core/site/timer/HoursPlan';
import { changeBatch } from '@/core/site/stand/change';
import { DAY_AND_NIGHT_DAYS, schoolsOf, type School } from '@/core/judge/schools/schools';
import type { SetUp } from '@/core/answer/stand/setUp';
import { showHours } from '@/core/units/clock';
import { showMoney } from '@/core/units/money';
import { changeSite } from '@/store/site/siteStore';
import { applyAnswer } from '@/store/site/setUpVerbs';
import { useSolution } from '../answer/useSolution';
import { Button } from '../parts/Button';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { dliNumber } from '../drawing/lightWords';
import { useCalmVerdict } from '../verdict/useVerdict';

const NAMES: Readonly<Record<School['id'], string>> = {
  steady: 'steady, as now',
  stepping: 'long at first, stepping down',
  'day-and-night': 'day and night at first',
  computed: 'calculated for this tray',
};

/** The schools of hours beside each other: dose and cost at their first day and at what they come to. */
export function Schools({ setUp }: { setUp: SetUp }) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const { currency } = site;
  const judged = useCalmVerdict(setUp);
  const { distance, crop, stage, hours, stand } = setUp;
  const solution = useSolution(
    setUp,
    useMemo(() => ({ what: 'distance', distance }), [distance]),
  );
  if (!judged || !solution) return null;
  const power = setUp.lamps.reduce((sum, l) => sum + l.real.power, 0);
  const { mean } = judged.stats;
  const range = (s: School, show: (h: number) => string) => (s.first === s.then ? show(s.first) : `${show(s.first)} → ${show(s.then)}`);
  // Day and night is a plan for the first days: said of the batch, so that it is not taken for a slip.
  const use = (s: School) => changeBatch(setUp.batch.id, { plan: s.id === 'day-and-night' ? { ...AS_SET, kind: s.id } : AS_SET });
  const schools = schoolsOf(crop, stage, hours, solution.best.hours);
  const night = schools.find((s) => s.id === 'day-and-night');
  return (
    <div className="space-y-2">
      <table className="w-full text-sm" aria-label="Photoperiod strategies">
        <thead>
          <tr className="text-left text-soft">
            <th className="pr-2 font-medium">school</th>
            <th className="pr-2 font-medium">hours</th>
            <th className="pr-2 font-medium">mol, mean</th>
            <th className="pr-2 font-medium">a month</th>
            <th>
              <span className="sr-only">Use it</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {schools.map((s) => (
            <tr key={s.id} className="border-t border-line align-top">
              <td className="py-1.5 pr-2">
                {NAMES[s.id]}
                {s.id === 'computed' && !solution.distances && <span className="text-soft"> (comes nearest)</span>}
              </td>
              <td className="py-1.5 pr-2">{range(s, (h) => showHours(h * 60))}</td>
              <td className="py-1.5 pr-2">{range(s, (h) => dliNumber(dliOf(mean, h)))}</td>
              <td className="py-1.5 pr-2">
                {range(s, (h) => showMoney(DAYS_PER_MONTH * costADay(site, power, { ...setUp.timer, lit_min: h * 60 }), currency))}
              </td>
              <td className="text-right">
                {s.standing === 'refused' ? (
                  <span className="text-copper">refused</span>
                ) : (
                  s.id !== 'steady' && (
                    <Button
                      kind="quiet"
                      size="icon"
                      aria-label={`Use: ${NAMES[s.id]}`}
                      disabled={s.first === hours || (s.id === 'day-and-night' && stage !== crop.stages[0])}
                      onClick={() =>
                        changeSite(sites, 'change the hours', (site) => use(s)(applyAnswer(stand.id, distance, s.first, null)(site)))
                      }
                    >
                      Use
                    </Button>
                  )
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {night && <p className="text-sm text-soft">{nightWords(setUp, night)}</p>}
    </div>
  );
}

function nightWords({ crop }: SetUp, { standing, source }: School): string {
  const days = `${DAY_AND_NIGHT_DAYS.from}–${DAY_AND_NIGHT_DAYS.to} days after emergence`;
  if (standing === 'refused')
    return `Day and night is refused: continuous light ${crop.continuousLightInjury === 'high' ? 'injures' : 'may injure'} these plants (${source}).`;
  if (standing === 'warned')
    return `Day and night, if at all, only for ${days}: whether these plants tolerate continuous light ${source ? `is doubtful (${source})` : 'is not known'}.`;
  return `Day and night only for ${days}: these plants tolerate it${source ? ` (${source})` : ''}, and gain little over 18 h.`;
}
