import { useEffect, useRef, useState } from 'react';
import type { SeasonLook } from '@/core/plan/season/seasonLook';
import { haveSameWaysOut, takeWayOut } from '@/core/plan/season/takeWayOut';
import type { WayOut } from '@/core/plan/season/waysOut';
import type { SeasonPlan } from '@/core/site/season/SeasonPlan';
import type { Site } from '@/core/site/stand/Site';
import { tables } from '@/core/things/tables/libraryTables';
import type { Day } from '@/core/units/day';
import { newId } from '@/store/names/newId';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { focusHeading, focusHeadingIfLost } from '../shell/focusHeading';
import { say } from '../shell/toastStore';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { trayWeeksWords, wayWords } from './seasonWords';
import { isStopped } from './useSeason';

const MOST_WAYS = 6;

/** Changes of the plan, each of which leaves fewer trays without light, looked for at a press. */
export function WaysOut({ season, look }: { season: SeasonPlan; look: SeasonLook }) {
  const { sites, seasonWaysOut } = useWorkspace();
  const site = useSite((s) => s.site);
  const [done, setDone] = useState<number | null>(null);
  const today = useToday();
  const [found, setFound] = useState<{ of: Site; on: Day; ways: readonly WayOut[] } | null>(null);
  const [failed, setFailed] = useState(false);
  const search = useRef<{ stop(): void } | null>(null);
  useEffect(() => () => search.current?.stop(), []);
  const worst = Math.max(...look.weeks.map((w) => w.over));

  function start() {
    setDone(0);
    setFailed(false);
    const asked = seasonWaysOut(site, setDone);
    search.current = asked;
    asked.ways
      .then((ways) => setFound({ of: site, on: today, ways }))
      .catch((error: unknown) => setFailed(!isStopped(error)))
      .finally(() => {
        setDone(null);
        focusHeadingIfLost('ways-out');
      });
    focusHeadingIfLost('ways-out');
  }
  const stale = found !== null && !(found.on === today && haveSameWaysOut(found.of, site));
  return (
    <section aria-labelledby="ways-out" className="space-y-2">
      <h3 id="ways-out" className="text-lg font-semibold">
        Ways out
      </h3>
      <p className="text-sm text-soft">Too little light, in all: {trayWeeksWords(look.over)} (one tray for one week).</p>
      {done !== null ? (
        <div className="flex items-center gap-3">
          <progress className="h-2 flex-1 accent-in-range" value={done} max={1} aria-label="Looking for ways out" />
          <Button onClick={() => search.current?.stop()}>Cancel</Button>
        </div>
      ) : !found || stale ? (
        <Button onClick={start}>{stale ? 'Look again' : 'Look for ways out'}</Button>
      ) : null}
      {failed && <p role="alert">The search for ways out stopped before its end. Start it again.</p>}
      {found && !stale && found.ways.length === 0 && <p>No single change helps. Grow fewer batches, or add a tier with lamps.</p>}
      {found && !stale && (
        <ol className="divide-y divide-line">
          {found.ways.slice(0, MOST_WAYS).map((way) => {
            const { act, cost } = wayWords(site, way, season);
            return (
              <li key={act} className="flex items-start gap-3 py-2.5">
                <div className="flex-1">
                  <p>{act}</p>
                  <p className="font-narrow text-sm font-semibold text-verdigris">
                    {look.over} → {trayWeeksWords(way.over)}
                    {way.worst < worst && `, worst week ${worst} → ${way.worst}`}
                    {cost && <span className="font-normal text-soft"> · {cost}</span>}
                  </p>
                </div>
                <Button
                  aria-label={`Apply: ${act}`}
                  onClick={() => {
                    if (!changeSite(sites, act.toLowerCase(), (s) => takeWayOut(s, way, newId(), tables))) return;
                    focusHeading();
                    say(`Done: ${act}.`, { label: 'Undo', run: () => undo(sites) });
                  }}
                >
                  Apply
                </Button>
              </li>
            );
          })}
        </ol>
      )}
    </section>
  );
}
