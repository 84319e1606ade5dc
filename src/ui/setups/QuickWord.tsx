'use client';
import { useMemo } from 'react';
import { lightBandOf } from '@/core/dose/lightBand';
import { MOL_SECONDS } from '@/core/dose/dli';
import { lightFieldOf } from '@/core/light/scene/LightField';
import { shareWithin, statsOver } from '@/core/light/field/statsOver';
import { plantAreaOf } from '@/core/stand/footprint';
import { cellOf } from '@/store/light/followSetUp';
import { sceneOfSetUp, type SetUp } from '@/core/stand/setUp';
import { judge } from '@/core/verdict/judge';
import { doseNumber } from '../stage/lightWords';
import { headlineOf } from '../verdict/words';

/** The verdict of one set-up in a line, from the same map as the check's. */
export function QuickWord({ setUp }: { setUp: SetUp }) {
  const { verdict, headline } = useMemo(() => {
    const areas = setUp.tier.trays.map(plantAreaOf);
    const whole = { x0: 0, x1: setUp.tier.width, y0: 0, y1: setUp.tier.depth };
    const map = lightFieldOf(sceneOfSetUp(setUp)).map(whole, setUp.canopy, cellOf(setUp));
    const band = lightBandOf(setUp.stage, setUp.hours);
    const made = judge(statsOver(map, areas), shareWithin(map, areas, band.low, band.high), setUp.stage, setUp.hours, []);
    return { verdict: made, headline: headlineOf(made) };
  }, [setUp]);
  const high = verdict.band.high * setUp.hours * MOL_SECONDS;
  return (
    <p className="basis-64">
      <span className={verdict.says === 'in-range' ? 'font-semibold text-verdigris' : 'font-semibold text-copper'}>
        {headline.calm} {headline.alarm}
      </span>
      <span className="block text-sm text-soft">
        {doseNumber(verdict.weakest.value)}–{doseNumber(verdict.strongest.value)} mol a day; asks {doseNumber(setUp.stage.dliMin)}–
        {doseNumber(high)}
      </span>
    </p>
  );
}
