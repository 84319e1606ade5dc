import type { SeasonLook } from '@/core/plan/season/seasonLook';
import { Button } from '../parts/Button';
import type { useImproved } from './useSeason';

interface SearchLongerProps {
  look: SeasonLook;
  solver: ReturnType<typeof useImproved>;
}

/** A solver goes on where the quick search stopped, and says how good any placing can be. */
export function SearchLonger({ look, solver: { improved, search, failed, start } }: SearchLongerProps) {
  if (failed) return <p role="alert">The solver could not be started. The places shown are the best of the quick search.</p>;
  if (search)
    return (
      <div className="flex items-center gap-3">
        <progress className="h-2 flex-1 accent-in-range" value={search.done} max={1} aria-label="Looking for better places" />
        <Button onClick={search.stop}>Cancel</Button>
      </div>
    );
  if (!improved) return look.placing.proven ? null : <Button onClick={start}>Look for better places</Button>;
  return (
    <p aria-live="polite">
      {improved.look.over <= improved.leastOver
        ? `Proven: no places for these batches leave fewer than ${improved.look.over} tray-weeks with too little light.`
        : `${improved.look.over} tray-weeks get too little light; no places can leave fewer than ${improved.leastOver}.`}
    </p>
  );
}
