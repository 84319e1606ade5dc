import type { SeasonLook } from '@/core/plan/season/seasonLook';
import { Button } from '../parts/Button';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { trayWeeksWords } from './seasonWords';
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
  if (!improved && look.placing.proven) return null;
  if (!improved)
    return (
      <Button
        onClick={() => {
          start();
          focusHeadingIfLost('season-room');
        }}
      >
        Look for better places
      </Button>
    );
  return (
    <p aria-live="polite">
      {improved.look.over <= improved.leastOver
        ? `Proven: no places for these batches leave fewer than ${trayWeeksWords(improved.look.over)} with too little light.`
        : `${trayWeeksWords(improved.look.over)} without enough light; no places can leave fewer than ${improved.leastOver}.`}
    </p>
  );
}
