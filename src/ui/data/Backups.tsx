'use client';
import { useCallback, useEffect, useState } from 'react';
import { useStore } from 'zustand';
import { mergeStands } from '@/store/files/mergeSite';
import { changeSite, undo } from '@/store/site/siteStore';
import type { SnapshotLine } from '@/store/snapshots/snapshots';
import { Button } from '../parts/Button';
import { saveFile } from '../parts/saveFile';
import { say } from '../shell/toastStore';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { holdsWords } from '../files/holdsWords';
import { differenceWords, namesWords, showBytes, WHY } from './words';
import { LOCALE } from '../parts/locale';

const when = (ms: number) => new Date(ms).toLocaleString(LOCALE, { weekday: 'short', day: 'numeric', month: 'short', hour: 'numeric', minute: '2-digit' }); // prettier-ignore

/** Automatic backups: what is in each, and the way back to it. */
export function Backups() {
  const { snapshots, lastSaved } = useWorkspace();
  const saved_ms = useStore(lastSaved, (s) => s.saved_ms);
  const [lines, setLines] = useState<readonly SnapshotLine[] | 'failed' | null>(null);
  const look = useCallback(
    () =>
      snapshots.lines().then(
        (found) => setLines(found),
        () => setLines('failed'),
      ),
    [snapshots],
  );
  useEffect(() => void look(), [look, saved_ms]);
  return (
    <section className="space-y-2">
      <h2 className="text-lg font-semibold">Restore a backup</h2>
      <p className="max-w-prose text-soft">
        Backups are made automatically while you work, at most one an hour. After a day one for each day is kept, after two weeks one for
        each week.
      </p>
      {lines === 'failed' && <p role="alert">This browser could not read the backups. Load the page again to try once more.</p>}
      {lines !== null && lines !== 'failed' && lines.length === 0 && <p>No backup yet. The first one is made with your next change.</p>}
      {lines !== null && lines !== 'failed' && (
        <ul className="divide-y divide-line border-y border-line empty:hidden" aria-label="Backups">
          {lines.map((line) => (
            <BackupRow key={line.id} line={line} onChanged={look} />
          ))}
        </ul>
      )}
    </section>
  );
}

function BackupRow({ line, onChanged }: { line: SnapshotLine; onChanged(): Promise<void> }) {
  const { sites, snapshots } = useWorkspace();
  const now = useSite((s) => s.site.stands);
  const [isBusy, setBusy] = useState(false);
  const difference = differenceWords(line.stands, now.map((s) => s.name)); // prettier-ignore
  const at = when(line.taken_ms);

  async function restore(how: 'in-place' | 'copy') {
    setBusy(true);
    try {
      const read = await snapshots.read(line.id);
      if (!read.ok) return say('This backup can’t be read. Nothing has changed.');
      const before = sites.getState().site;
      if (how === 'in-place') await snapshots.take(before, 'before');
      const site = how === 'in-place' ? read.value : mergeStands(before, read.value);
      const first = how === 'in-place' ? read.value.stands[0] : site.stands[before.stands.length];
      if (!changeSite(sites, `restore the backup of ${at}`, () => site, first?.id)) return;
      say(how === 'in-place' ? `Everything is as it was on ${at}.` : `The set-ups of ${at} stand beside those of today.`, {
        label: 'Undo',
        run: () => undo(sites),
      });
      await onChanged();
    } catch {
      say('This browser could not read the backup. Nothing has changed; try again.');
    } finally {
      setBusy(false);
    }
  }

  return (
    <li className="space-y-2 py-3">
      <p>
        <span className="font-semibold">{at}</span>{' '}
        <span className="text-soft">
          ({WHY[line.why]}, {showBytes(line.bytes)})
        </span>
        <br />
        {holdsWords(line)}: {namesWords(line.stands)}.
        {difference && (
          <>
            <br />
            <span className="text-soft">{difference}</span>
          </>
        )}
      </p>
      <div className="flex flex-wrap gap-2">
        <Button disabled={isBusy} aria-label={`Restore everything as on ${at}`} onClick={() => void restore('in-place')}>
          Restore
        </Button>
        <Button disabled={isBusy} aria-label={`Restore as a copy, from ${at}`} onClick={() => void restore('copy')}>
          Restore as a copy
        </Button>
        <Button
          kind="quiet"
          aria-label={`Export the backup of ${at}`}
          onClick={
            () =>
            void snapshots.text(line.id).then((text) => text !== null && saveFile(`copper-noon-${new Date(line.taken_ms).toISOString().slice(0, 10)}.json`, text)) // prettier-ignore
          }
        >
          Export
        </Button>
      </div>
    </li>
  );
}
