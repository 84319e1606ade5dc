'use client';
import { daylightOf } from '@/core/site/stand/Site';
import type { SetUp } from '@/core/answer/stand/setUp';
import { useCalmVerdict } from '../verdict/useVerdict';
import { DliFigure } from './DliFigure';

/** The dose of a set-up adding up through its day. */
export function DliChart({ setUp }: { setUp: SetUp }) {
  const judged = useCalmVerdict(setUp);
  if (!judged) return null;
  const { stats, verdict } = judged;
  return (
    <DliFigure
      weakest={stats.weakest.ppfd}
      mean={stats.mean}
      strongest={stats.strongest.ppfd}
      times={setUp.timer}
      low={setUp.stage.dliMin}
      daylight={daylightOf(setUp.tier)}
      high={verdict.highDli}
    />
  );
}
