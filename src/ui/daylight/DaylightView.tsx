'use client';
import { useState } from 'react';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { useStand } from '../bench/useBench';
import { NoStand } from '../hours/NoStand';
import { Link } from '../parts/Link';
import { useSite } from '../shell/WorkspaceContext';
import { ChooseWindow } from './ChooseWindow';
import { DaylightPage } from './DaylightPage';
import { PlaceFields } from './PlaceFields';
import { useTraysAtWindow } from './useDaylight';
import { YearAtWindow } from './YearAtWindow';

/** What the window of a stand gives its plants, by hour and month; or what is still missing for that. */
export function DaylightView() {
  const stand = useStand();
  const place = useSite((s) => s.site.place);
  if (!stand)
    return <NoStand title="No window yet.">A window belongs to a stand. Put one on the bench, or begin with the quick check.</NoStand>;
  if (!place)
    return (
      <DaylightPage>
        <section className="max-w-xl space-y-4">
          <p>The sun’s way depends on where you are. With that, Copper Noon computes what a window gives your plants, month by month.</p>
          <PlaceFields />
        </section>
      </DaylightPage>
    );
  if (!stand.stand.window)
    return (
      <DaylightPage>
        <ChooseWindow stand={stand} />
      </DaylightPage>
    );
  return <AtItsWindow key={stand.stand.id} stand={stand} />;
}

function AtItsWindow({ stand }: { stand: BenchStand }) {
  const { window, trays } = useTraysAtWindow(stand);
  const [trayId, setTrayId] = useState<string | null>(null);
  const chosen = Math.max(0, trays.findIndex((t) => t.tray.id === trayId)); // prettier-ignore
  if (!window) return null;
  if (trays.length === 0)
    return (
      <DaylightPage>
        <p className="max-w-xl">
          No tray or pot stands here yet.{' '}
          <Link href={`/stands/${encodeURIComponent(stand.stand.id)}/bench`} className="font-semibold underline underline-offset-4">
            Put one on the bench
          </Link>
          , and its year of daylight appears here.
        </p>
      </DaylightPage>
    );
  return <YearAtWindow stand={stand} window={window} trays={trays} chosen={chosen} onTray={(i) => setTrayId(trays[i]!.tray.id)} />;
}
