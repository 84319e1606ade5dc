'use client';
import { Pencil, X } from 'lucide-react';
import { useMemo, useState } from 'react';
import { unlog } from '@/core/site/growth/changeGrowth';
import { latestLogged } from '@/core/site/growth/latestLogged';
import { growthOf } from '@/core/site/growth/growthOf';
import { cropOf } from '@/core/site/crop/cropOf';
import { LOGGED_KINDS, type Logged, type LoggedKind } from '@/core/site/stand/Logged';
import type { Batch } from '@/core/site/stand/Site';
import type { Crop } from '@/core/things/crop/Crop';
import { tables } from '@/core/things/tables/libraryTables';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { Link } from '../parts/Link';
import { SearchField } from '../parts/SearchField';
import { SelectField } from '../parts/SelectField';
import { UndoButtons } from '../parts/UndoButtons';
import { longDayWords } from '../season/dayWords';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { say } from '../shell/toastStore';
import { useSettings, useSite, useWorkspace } from '../shell/WorkspaceContext';
import { ENTRY_KINDS, entryWords } from './entryWords';
import { JournalFiles } from './JournalFiles';
import { CorrectEntry } from './CorrectEntry';
import { EntryPhoto } from '../photos/EntryPhoto';
import { batchName } from './todayWords';

/** As many entries are drawn at once. */
const AT_ONCE = 120;

interface Entry {
  readonly logged: Logged;
  readonly batch: Batch;
  readonly crop: Crop | undefined;
  readonly name: string;
  readonly trayId: string | undefined;
}

/** Everything that was seen and done, the newest first; searched, filtered, taken out. */
export function JournalView() {
  const { sites } = useWorkspace();
  const { lengthUnit, temperatureUnit } = useSettings();
  const site = useSite((s) => s.site);
  const [kind, setKind] = useState<LoggedKind | ''>('');
  const [search, setSearch] = useState('');
  const [most, setMost] = useState(AT_ONCE);
  const [correcting, setCorrecting] = useState<string | null>(null);
  const closeCorrection = () => {
    setCorrecting(null);
    focusHeadingIfLost();
  };
  const entries = useMemo(() => {
    const trays = new Map(site.stands.flatMap((s) => s.tiers.flatMap((t) => t.trays.map((y) => [y.batchId, y.id] as const))));
    return site.batches
      .flatMap((batch): Entry[] => {
        if (batch.log.length === 0) return [];
        const crop = cropOf(site, batch.cropId, tables);
        const name = batchName(site, batch.id);
        return batch.log.map((logged) => ({ logged, batch, crop, name, trayId: trays.get(batch.id) }));
      })
      .sort((a, b) => b.logged.day - a.logged.day);
  }, [site]);
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const found = entries.filter(
    (e) =>
      (kind === '' || e.logged.what === kind) &&
      words.every((w) =>
        `${e.name} ${e.crop?.name ?? ''} ${entryWords(e.logged, e.crop, lengthUnit, temperatureUnit)}`.toLowerCase().includes(w),
      ),
  );
  const shown = found.slice(0, most);
  return (
    <div className="mx-auto w-full max-w-3xl px-4 py-5 md:px-6">
      <header className="flex flex-wrap items-center gap-2 pb-3">
        <h1 className="flex-1 text-2xl font-semibold">
          <Link className="text-soft underline underline-offset-4 hover:text-ink" href="/today">
            Today
          </Link>{' '}
          / Journal
        </h1>
        <UndoButtons />
        <JournalFiles isEmpty={entries.length === 0} />
      </header>
      <div className="flex flex-wrap items-end gap-3 pb-4">
        <SearchField label="Search" className="min-w-48 flex-1" placeholder="a tray, a word…" value={search} onChange={setSearch} />
        <SelectField
          label="Kind"
          value={kind}
          options={[{ value: '', label: 'Everything' }, ...LOGGED_KINDS.map((k) => ({ value: k as string, label: ENTRY_KINDS[k] }))]}
          onChange={(k) => setKind(k as LoggedKind | '')}
        />
        <p className="pb-2 text-soft" role="status">
          {found.length === entries.length ? `${entries.length} entries` : `${found.length} of ${entries.length} entries`}
        </p>
      </div>
      {entries.length === 0 && (
        <p>
          Nothing is written down yet. Open a tray and say what you see: up, watered, so tall. It moves the plans, and you find it here
          again next year.
        </p>
      )}
      <ol className="divide-y divide-line" aria-label="Entries">
        {shown.map((e, i) => (
          <li key={`${e.batch.id} ${e.logged.id}`}>
            {(i === 0 || shown[i - 1]!.logged.day !== e.logged.day) && (
              <h2 className="bg-plaster pt-4 pb-1 text-sm font-semibold text-soft">{longDayWords(e.logged.day)}</h2>
            )}
            <div className="flex items-start gap-3 py-2">
              <div className="min-w-0 flex-1">
                <p>
                  {e.trayId ? (
                    <Link
                      className="font-semibold underline decoration-line underline-offset-3 hover:decoration-ink"
                      href={`/tray/${encodeURIComponent(e.trayId)}`}
                    >
                      {e.name}
                    </Link>
                  ) : (
                    <b>{e.name}</b>
                  )}
                  : {entryWords(e.logged, e.crop, lengthUnit, temperatureUnit)}
                </p>
                <p className="font-narrow text-sm text-soft">{clockWords(e)}</p>
                {e.logged.was?.map((was, k) => (
                  <p key={k} className="text-sm text-soft">
                    Corrected; it said:{' '}
                    {entryWords({ id: '', what: e.logged.what, stage: e.logged.stage, ...was }, e.crop, lengthUnit, temperatureUnit)},{' '}
                    {longDayWords(was.day)}
                  </p>
                ))}
                {correcting === e.logged.id && <CorrectEntry batch={e.batch} entry={e.logged} onDone={closeCorrection} />}
              </div>
              {e.logged.photoId !== undefined && <EntryPhoto batch={e.batch} entry={e.logged} name={e.name} />}
              <button
                type="button"
                className="grid size-9 shrink-0 place-items-center rounded-md hover:bg-sunk max-md:size-11"
                aria-label={`Correct: ${e.name}, ${entryWords(e.logged, e.crop, lengthUnit, temperatureUnit)}`}
                aria-expanded={correcting === e.logged.id}
                onClick={() => setCorrecting(correcting === e.logged.id ? null : e.logged.id)}
              >
                <Pencil size={16} aria-hidden />
              </button>
              <button
                type="button"
                className="grid size-9 shrink-0 place-items-center rounded-md hover:bg-sunk max-md:size-11"
                aria-label={`Delete: ${e.name}, ${entryWords(e.logged, e.crop, lengthUnit, temperatureUnit)}`}
                onClick={() => {
                  changeSite(sites, 'delete an entry', unlog(e.batch.id, e.logged.id));
                  focusHeadingIfLost();
                  say('The entry is deleted.', { label: 'Undo', run: () => undo(sites) });
                }}
              >
                <X size={16} aria-hidden />
              </button>
            </div>
          </li>
        ))}
      </ol>
      {found.length > most && (
        <Button className="mt-3" onClick={() => setMost(most + AT_ONCE)}>
          Show {Math.min(AT_ONCE, found.length - most)} more
        </Button>
      )}
      {entries.length > 0 && found.length === 0 && <p>Nothing matches. Use fewer words, or choose “Everything”.</p>}
    </div>
  );
}

/** The clocks of a batch on the day of an entry. */
function clockWords({ logged, batch, crop }: Entry): string {
  if (batch.sown === null || !crop) return '';
  const growth = growthOf(batch, crop, logged.day);
  const potted = latestLogged(batch.log, logged.day, (l) => l.what === 'potted-on')?.day ?? null;
  return [
    `day ${logged.day - batch.sown} from sowing`,
    growth && growth.expected === null && growth.age >= 0 ? `day ${growth.age} since it came up` : '',
    potted !== null && potted < logged.day ? `day ${logged.day - potted} since potting on` : '',
  ]
    .filter(Boolean)
    .join(' · ');
}
