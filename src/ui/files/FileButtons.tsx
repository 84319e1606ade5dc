'use client';
import { FileDown, FolderOpen } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useRef, useState } from 'react';
import type { Problem } from '@/core/units/result';
import { exportSite } from '@/store/files/exportSite';
import { mergeSite } from '@/store/files/mergeSite';
import { MAX_BYTES, readSiteText } from '@/store/files/readSiteText';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { readFile } from '../parts/readFile';
import { saveFile } from '../parts/saveFile';
import { say } from '../shell/toastStore';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { problemWords } from './problemWords';

/** Save everything as a file, or open one: validated whole before anything is stored. */
export function FileButtons() {
  const { sites } = useWorkspace();
  const count = useSite((s) => s.site.stands.length);
  const input = useRef<HTMLInputElement>(null);
  const [refused, setRefused] = useState<{ name: string; problems: readonly Problem[] } | null>(null);

  async function open(file: File) {
    const read = await readFile(file, MAX_BYTES);
    if ('problem' in read) return setRefused({ name: file.name, problems: [read.problem] });
    const site = readSiteText(read.text);
    if (!site.ok) return setRefused({ name: file.name, problems: site.problems });
    const merged = mergeSite(sites.getState().site, site.value);
    const first = merged.stands[count];
    if (!changeSite(sites, `open ${file.name}`, () => merged, first?.id)) return;
    const added = site.value.stands.length;
    say(`${added === 1 ? 'One set-up' : `${added} set-ups`} added from ${file.name}.`, { label: 'Undo', run: () => undo(sites) });
  }

  return (
    <>
      <input
        ref={input}
        type="file"
        accept=".json,application/json"
        className="sr-only"
        aria-label="File to open"
        tabIndex={-1}
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = ''; // the same file may be opened again
          if (file) void open(file);
        }}
      />
      <Button onClick={() => input.current?.click()}>
        <FolderOpen size={17} aria-hidden /> Import
      </Button>
      <Button disabled={count === 0} onClick={() => saveFile('copper-noon.json', exportSite(sites.getState().site))}>
        <FileDown size={17} aria-hidden /> Export everything
      </Button>
      <Dialog.Root open={refused !== null} onOpenChange={(o) => !o && setRefused(null)}>
        <Dialog.Portal>
          <Dialog.Overlay className="fixed inset-0 z-30 bg-night/60" />
          <Dialog.Content className="fixed top-1/2 left-1/2 z-40 max-h-[90dvh] w-[min(560px,94vw)] -translate-x-1/2 -translate-y-1/2 space-y-3 overflow-y-auto rounded-xl bg-sheet p-5 text-ink shadow-2xl">
            <Dialog.Title className="text-xl font-semibold">{refused?.name} can’t be opened.</Dialog.Title>
            <Dialog.Description>Nothing here has changed.</Dialog.Description>
            <ul className="list-disc space-y-1 pl-5">
              {refused?.problems.slice(0, 12).map((p, i) => (
                <li key={i}>{problemWords(p)}</li>
              ))}
            </ul>
            {refused && refused.problems.length > 12 && <p className="text-soft">and {refused.problems.length - 12} more.</p>}
            <div className="text-right">
              <Dialog.Close asChild>
                <Button kind="main">Close</Button>
              </Dialog.Close>
            </div>
          </Dialog.Content>
        </Dialog.Portal>
      </Dialog.Root>
    </>
  );
}
