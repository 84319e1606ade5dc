'use client';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { addWindow, standAtWindow } from '@/core/site/stand/changeWindows';
import { MOST_WINDOWS, USUAL_WINDOW, type Window } from '@/core/site/window/Window';
import { directionOf, noonFacing } from '@/core/sky/place/facing';
import { showLength } from '@/core/units/length';
import { newId } from '@/store/names/newId';
import { changeSite } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { useSettings, useSite, useWorkspace } from '../shell/WorkspaceContext';

/** A stand at no window yet: which one it stands at. */
export function ChooseWindow({ stand }: { stand: BenchStand }) {
  const { sites } = useWorkspace();
  const windows = useSite((s) => s.site.windows);
  const { lengthUnit } = useSettings();
  const facing = noonFacing(useSite((s) => s.site.place?.latitude ?? null));
  const at = { side: 'back' as const, gap: stand.stand.kind === 'sill' ? 0.03 : 0.3, along: 0, above: 0 };
  const put = (windowId: string) => changeSite(sites, 'put it at the window', standAtWindow(stand.stand.id, { windowId, ...at }));
  const putAtNew = () => {
    const id = newId();
    const window: Window = { ...USUAL_WINDOW, id, name: `Window ${windows.length + 1}`, facing };
    changeSite(sites, 'add a window', (site) => standAtWindow(stand.stand.id, { windowId: id, ...at })(addWindow(window)(site)));
  };
  return (
    <section className="max-w-xl space-y-4">
      <p>{stand.stand.name} stands at no window yet.</p>
      <ul className="flex flex-wrap gap-2">
        {windows.map((w) => (
          <li key={w.id}>
            <Button onClick={() => put(w.id)}>
              {w.name}, looks {directionOf(w.facing)}
            </Button>
          </li>
        ))}
        <li>
          <Button kind="main" disabled={windows.length >= MOST_WINDOWS} onClick={putAtNew}>
            A new window
          </Button>
        </li>
      </ul>
      <p className="text-soft">
        It begins as a usual window that looks {directionOf(facing)}, {showLength(USUAL_WINDOW.width, lengthUnit)} square; change it
        afterwards.
      </p>
    </section>
  );
}
