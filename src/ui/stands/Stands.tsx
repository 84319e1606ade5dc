'use client';
import { Copy, MapPinned, Plus, Trash2 } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { setUpOf } from '@/core/answer/stand/setUp';
import { tables } from '@/core/things/tables/libraryTables';
import { showHours } from '@/core/units/clock';
import { showLength } from '@/core/units/length';
import { newId } from '@/store/names/newId';
import { changeSite, showStand, undo } from '@/store/site/siteStore';
import { addSetUp, copyStand, deleteStand, PLAIN_RECIPE } from '@/store/site/setUpVerbs';
import { NewStand } from '../bench/NewStand';
import { FileButtons } from '../files/FileButtons';
import { Button } from '../parts/Button';
import { Link } from '../parts/Link';
import { UndoButtons } from '../parts/UndoButtons';
import { say } from '../shell/toastStore';
import { useSettings, useSite, useWorkspace } from '../shell/WorkspaceContext';
import { stageWords } from '../verdict/words';
import { QuickWord } from './QuickWord';
import { standPath } from './places';
import { StandRow } from './StandRow';

/** All stands in one list, with each tray's standing. */
export function Stands() {
  const { sites } = useWorkspace();
  const { lengthUnit } = useSettings();
  const site = useSite((s) => s.site);
  const router = useRouter();
  const begin = () => {
    const id = newId();
    changeSite(sites, 'begin a set-up', addSetUp({ ...PLAIN_RECIPE, name: 'New set-up' }, id), id);
    router.push('/check');
  };
  return (
    <div className="mx-auto w-full max-w-4xl px-4 py-6 md:px-6">
      <div className="mb-4 flex flex-wrap items-center gap-3">
        <h1 className="flex-1 text-2xl font-semibold">Stands</h1>
        <UndoButtons />
        <span className="flex flex-wrap gap-3 max-md:hidden">
          <FileButtons />
        </span>
        <Button onClick={begin}>
          <Plus size={17} aria-hidden /> New check
        </Button>
        <NewStand
          trigger={
            <Button kind="main">
              <Plus size={17} aria-hidden /> New stand
            </Button>
          }
        />
      </div>
      {(site.windows.length > 0 || site.stands.some((s) => !s.autoArranged)) && (
        <p className="mb-3">
          <Link
            href="/stands/places"
            className="inline-flex min-h-9 items-center gap-2 font-semibold underline underline-offset-4 max-md:min-h-11"
          >
            <MapPinned size={17} aria-hidden /> Places at home: where a plant does best
          </Link>
        </p>
      )}
      {site.stands.length === 0 && (
        <p className="text-soft">
          No stand yet. Begin with a check: a lamp, a tray and a crop are enough. Or add your rack, shelf, box or sill.
        </p>
      )}
      <ul>
        {site.stands.map((stand) => {
          const tools = (
            <span className="flex">
              <Button
                kind="quiet"
                size="icon"
                aria-label={`Copy ${stand.name}`}
                title="Copy"
                onClick={() => changeSite(sites, 'copy', copyStand(stand.id, newId()))}
              >
                <Copy size={18} aria-hidden />
              </Button>
              <Button
                kind="quiet"
                size="icon"
                aria-label={`Delete ${stand.name}`}
                title="Delete"
                onClick={() => {
                  const rest = site.stands.filter((s) => s.autoArranged && s.id !== stand.id);
                  const active = sites.getState().activeId;
                  changeSite(sites, `delete ${stand.name}`, deleteStand(stand.id), active === stand.id ? (rest[0]?.id ?? '') : active);
                  say(`${stand.name} is deleted.`, { label: 'Undo', run: () => undo(sites) });
                }}
              >
                <Trash2 size={18} aria-hidden />
              </Button>
            </span>
          );
          if (!stand.autoArranged)
            return <StandRow key={stand.id} stand={stand} tools={tools} onOpen={() => router.push(standPath(stand.id))} />;
          const setUp = setUpOf(site, stand, tables);
          return (
            <li key={stand.id} className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-line py-3">
              <button
                type="button"
                className="min-h-11 min-w-0 flex-1 basis-64 rounded px-2 text-left hover:bg-sunk"
                onClick={() => {
                  showStand(sites, stand.id);
                  router.push('/check');
                }}
              >
                <span className="block text-lg font-semibold">{stand.name}</span>
                <span className="block text-soft">
                  {setUp.crop.name}, {stageWords(setUp.stage)} · {setUp.tier.fittings.length} × {setUp.lamp.name} ·{' '}
                  {showLength(setUp.distance, lengthUnit)} · {showHours(setUp.timer.lit_min)}
                </span>
              </button>
              <QuickWord setUp={setUp} />
              {tools}
            </li>
          );
        })}
      </ul>
      {site.stands.length > 0 && site.stands.every((s) => s.autoArranged) && (
        <p className="max-w-xl border-t border-line pt-4 text-soft">
          A stand is your rack, shelf, box or sill, drawn with its lamps and trays. With one, readings, timers, hanging dates and each day’s
          jobs go by what really stands there.
        </p>
      )}
    </div>
  );
}
