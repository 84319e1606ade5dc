'use client';
import { useEffect, useState } from 'react';
import { lightBandOf } from '@/core/dose/lightBand';
import { MOL_SECONDS } from '@/core/dose/dli';
import { shareWithin } from '@/core/light/field/statsOver';
import { plantAreaOf } from '@/core/stand/footprint';
import type { SetUp } from '@/core/stand/setUp';
import { judge, type Verdict } from '@/core/verdict/judge';
import { useWorkspace } from '../shell/WorkspaceContext';
import { doseNumber } from '../stage/lightWords';
import { headlineOf } from '../verdict/words';

/** The verdict of one set-up in a line, from the same map as the check's, computed beside the page. */
export function QuickWord({ setUp }: { setUp: SetUp }) {
  const { lightOf } = useWorkspace();
  const [verdict, setVerdict] = useState<Verdict | 'failed' | null>(null);
  useEffect(() => {
    let gone = false;
    lightOf(setUp).then(
      ({ map, stats }) => {
        if (gone) return;
        const band = lightBandOf(setUp.stage, setUp.hours);
        setVerdict(judge(stats, shareWithin(map, setUp.tier.trays.map(plantAreaOf), band.low, band.high), setUp.stage, setUp.hours, []));
      },
      () => !gone && setVerdict('failed'),
    );
    return () => {
      gone = true;
    };
  }, [lightOf, setUp]);
  if (verdict === null || verdict === 'failed')
    return <p className="basis-64 text-soft">{verdict === null ? 'Working out its light…' : 'Its light could not be computed.'}</p>;
  const headline = headlineOf(verdict);
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
