'use client';
import clsx from 'clsx';
import { useMemo } from 'react';
import { judgeSetUp } from '@/core/answer/check/judgeSetUp';
import type { SetUp } from '@/core/answer/stand/setUp';
import { useWorkedOut } from '../parts/useWorkedOut';
import { useWorkspace } from '../shell/WorkspaceContext';
import { dliNumber, dliSpanWords } from '../drawing/lightWords';
import { colourOfResult } from '../verdict/resultColours';
import { headlineOf } from '../verdict/words';

/** The verdict of one set-up in a line, from the same map as the check's, computed beside the page. */
export function QuickWord({ setUp }: { setUp: SetUp }) {
  const { lightOf } = useWorkspace();
  const told = useWorkedOut(setUp, lightOf);
  const verdict = useMemo(() => (told?.answer ? judgeSetUp(told.of, told.answer).verdict : null), [told]);
  if (verdict === null)
    return <p className="basis-64 text-soft">{told === null ? 'Working out its light…' : 'Its light could not be computed.'}</p>;
  const headline = headlineOf(verdict, setUp.crop);
  return (
    <p className="basis-64">
      <span className={clsx('font-semibold', colourOfResult(verdict.says))}>
        {headline.calm} {headline.alarm}
      </span>
      <span className="block text-sm text-soft">
        {dliSpanWords(verdict.received, setUp.stage.dliMin, verdict.highDli)} mol/m²/day; needs {dliNumber(setUp.stage.dliMin)}–
        {dliNumber(verdict.highDli)}
      </span>
    </p>
  );
}
