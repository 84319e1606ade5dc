'use client';
import { Redo2, Undo2 } from 'lucide-react';
import { redo, undo } from '@/store/site/siteStore';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { Button } from './Button';

/** The way back, and forth again, each saying what it would undo. */
export function UndoButtons() {
  const { sites } = useWorkspace();
  const past = useSite((s) => s.past);
  const future = useSite((s) => s.future);
  const back = past.length ? `Undo: ${past[past.length - 1]!.what}` : 'Undo';
  const forth = future.length ? `Redo: ${future[0]!.what}` : 'Redo';
  return (
    // Side by side wherever the line breaks.
    <span className="inline-flex shrink-0 items-center gap-1">
      <Button kind="quiet" size="icon" disabled={past.length === 0} onClick={() => undo(sites)} aria-label={back} title={back}>
        <Undo2 size={19} aria-hidden />
      </Button>
      <Button kind="quiet" size="icon" disabled={future.length === 0} onClick={() => redo(sites)} aria-label={forth} title={forth}>
        <Redo2 size={19} aria-hidden />
      </Button>
    </span>
  );
}
