'use client';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { journalCsv } from '@/store/files/journalCsv';
import { journalJson, MAX_JOURNAL_BYTES, readJournal, withJournal } from '@/store/files/journalFile';
import { newId } from '@/store/names/newId';
import { changeSite, undo } from '@/store/site/siteStore';
import type { Problem } from '@/core/units/result';
import { problemWords } from '../files/problemWords';
import { Button } from '../parts/Button';
import { FileButton } from '../parts/FileButton';
import { saveFile } from '../parts/saveFile';
import { say } from '../shell/toastStore';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';

/** The journal out as CSV or JSON, and in again; a file that is not sound changes nothing. */
export function JournalFiles({ isEmpty }: { isEmpty: boolean }) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const [refused, setRefused] = useState<{ name: string; problems: readonly Problem[] } | null>(null);
  function open(name: string, text: string) {
    const read = readJournal(text, site, newId);
    if (!read.ok) return setRefused({ name, problems: read.problems });
    setRefused(null);
    const { added, known } = read.value;
    const there = known > 0 ? ` ${known} ${known === 1 ? 'was' : 'were'} there already.` : '';
    if (added.length === 0) return say(`Nothing new in ${name}.${there}`);
    if (changeSite(sites, 'open a journal', withJournal(read.value)))
      say(`${added.length} ${added.length === 1 ? 'entry' : 'entries'} added.${there}`, { label: 'Undo', run: () => undo(sites) });
  }
  return (
    <>
      <Button disabled={isEmpty} onClick={() => saveFile('journal.csv', journalCsv(site), 'text/csv')}>
        <Download size={17} aria-hidden /> CSV
      </Button>
      <Button disabled={isEmpty} onClick={() => saveFile('journal.json', journalJson(site), 'application/json')}>
        <Download size={17} aria-hidden /> JSON
      </Button>
      <FileButton
        accept=".csv,.json,text/csv,application/json"
        maxBytes={MAX_JOURNAL_BYTES}
        onText={open}
        onRefused={(name, problem) => setRefused({ name, problems: [problem] })}
      >
        Open a journal
      </FileButton>
      {refused && (
        <div role="alert" className="basis-full rounded-md bg-copper-wash px-3 py-2 text-copper">
          <p className="font-semibold">{refused.name} can’t be used. Nothing here has changed.</p>
          <ul className="list-disc pl-5">
            {refused.problems.slice(0, 5).map((p, i) => (
              <li key={i}>{problemWords(p)}</li>
            ))}
          </ul>
        </div>
      )}
    </>
  );
}
