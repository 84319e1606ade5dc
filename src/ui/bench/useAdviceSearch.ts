'use client';
import { useEffect, useState } from 'react';
import type { BenchAnswer } from '@/core/answer/bench/BenchQuestion';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { CALLED_OFF, type Advice } from '@/core/plan/advice/advise';
import type { Scope } from '@/core/plan/advice/movesFor';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';

/** A moment of quiet before the search begins, so that a hand that goes on moving is not followed at every step. */
const QUIET_ms = 700;

/** A search for what would help, for as long as its stand and whom it is for stay as they are. */
export interface AdviceSearching {
  /** What was found; null before. */
  readonly advice: Advice | null;
  /** How many moves were judged so far; null: nothing is under way. */
  readonly judged: number | null;
  readonly failed: string | null;
  readonly isStopped: boolean;
  /** Calls it off; nothing is looked for on this stand as it is until `again`. */
  stop(): void;
  again(): void;
}

/** @param light  of the stand as it is; null while a hand moves something, or it is worked out */
export function useAdviceSearch(stand: BenchStand, scope: Scope, light: BenchAnswer | null): AdviceSearching {
  const { advise } = useWorkspace();
  const site = useSite((s) => s.site);
  const [found, setFound] = useState<{ readonly of: BenchStand; readonly scope: string; readonly advice: Advice } | null>(null);
  const [judged, setJudged] = useState<number | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const [stopped, setStopped] = useState<BenchStand | null>(null);
  const key = `${scope.of} ${'id' in scope ? scope.id : ''}`;
  const advice = found && found.of === stand && found.scope === key ? found.advice : null;
  const isStopped = stopped === stand;
  useEffect(() => {
    if (!light || advice || isStopped) return;
    let search: ReturnType<typeof advise> | null = null;
    const timer = setTimeout(() => {
      setJudged(0);
      setFailed(null);
      search = advise({ site, standId: stand.stand.id, scope, answer: light }, setJudged);
      search.result.then(
        (result) => {
          setJudged(null);
          setFound({ of: stand, scope: key, advice: result });
        },
        (reason: unknown) => {
          setJudged(null);
          const why = reason instanceof Error ? reason.message : String(reason);
          if (why !== CALLED_OFF) setFailed(why);
        },
      );
    }, QUIET_ms);
    return () => {
      clearTimeout(timer);
      search?.stop();
      setJudged(null);
    };
    // The site is as new as the stand; the light's own answer says when it is settled.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [light, stand, key, isStopped, advise]);
  return { advice, judged, failed, isStopped, stop: () => setStopped(stand), again: () => setStopped(null) };
}
