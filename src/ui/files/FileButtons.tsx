'use client';
import { FileDown, FolderOpen, Images } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useRef, useState } from 'react';
import type { Problem } from '@/core/units/result';
import { readArchive, writeArchive } from '@/store/files/archive';
import { exportSite } from '@/store/files/exportSite';
import { mergeSite } from '@/store/files/mergeSite';
import { MAX_BYTES, readSiteText } from '@/store/files/readSiteText';
import { namedPhotos } from '@/store/photos/namedPhotos';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { CentredDialog } from '../parts/CentredDialog';
import { readFile } from '../parts/readFile';
import { saveFile } from '../parts/saveFile';
import { say } from '../shell/toastStore';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { ImportDialog, type Came } from './ImportDialog';
import { problemWords } from './problemWords';

/** What is here is not given up without a copy of it. */
const NO_BACKUP = 'No backup could be made, so nothing has changed. Free some storage or export everything first, then import again.';

/** Save everything as a file, or open one: validated whole before anything is stored. */
export function FileButtons() {
  const { sites, photos, snapshots } = useWorkspace();
  const photoCount = useSite((s) => namedPhotos(s.site).size);
  /** What is under way, in words; null: nothing. */
  const [busy, setBusy] = useState<string | null>(null);
  const count = useSite((s) => s.site.stands.length);
  const input = useRef<HTMLInputElement>(null);
  const [came, setCame] = useState<Came | null>(null);
  const [refused, setRefused] = useState<{ name: string; problems: readonly Problem[] } | null>(null);

  async function open(file: File) {
    if (await isZip(file)) return openArchive(file);
    const read = await readFile(file, MAX_BYTES);
    if ('problem' in read) return setRefused({ name: file.name, problems: [read.problem] });
    const site = readSiteText(read.text);
    if (!site.ok) return setRefused({ name: file.name, problems: site.problems });
    setCame({ name: file.name, site: site.value, photos: 0 });
  }

  async function openArchive(file: File) {
    setBusy(`Reading ${file.name} …`);
    try {
      const read = await readArchive(file, photos);
      if (!read.ok) return setRefused({ name: file.name, problems: read.problems });
      setCame({ name: file.name, site: read.value.site, photos: read.value.photos });
    } catch (error) {
      setRefused({ name: file.name, problems: [{ code: 'file/unreadable', at: '', found: String(error) }] });
    } finally {
      setBusy(null);
    }
  }

  async function take({ name, site, photos: some }: Came, how: 'add' | 'instead') {
    setCame(null);
    const before = sites.getState().site;
    if (how === 'instead' && !(await snapshots.take(before, 'before').then(() => true, () => false))) return say(NO_BACKUP); // prettier-ignore
    const next = how === 'instead' ? site : mergeSite(before, site);
    const first = how === 'instead' ? site.stands[0] : next.stands[before.stands.length];
    if (!changeSite(sites, `open ${name}`, () => next, first?.id)) return;
    const more = some > 0 ? ` ${photosWords(some)} came along.` : '';
    const added = site.stands.length;
    const words =
      how === 'instead' ? `Everything is as in ${name}.` : `${added === 1 ? 'One set-up' : `${added} set-ups`} added from ${name}.`;
    say(`${words}${more}`, { label: 'Undo', run: () => undo(sites) });
  }

  async function saveArchive() {
    setBusy('Packing …');
    try {
      const told = (done: number, of: number) => setBusy(`Packing photos: ${done} of ${of}`);
      const { file, missing } = await writeArchive(sites.getState().site, photos, told);
      saveFile('copper-noon.zip', file);
      if (missing > 0) say(`${photosWords(missing)} could not be read and ${missing === 1 ? 'is' : 'are'} not in the file.`);
    } catch {
      say('The archive could not be made. Is there room left on the device?');
    } finally {
      setBusy(null);
    }
  }

  return (
    <>
      <input
        ref={input}
        type="file"
        accept=".json,.zip,application/json,application/zip"
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
      {photoCount > 0 && (
        <Button disabled={busy !== null} onClick={() => void saveArchive()}>
          <Images size={17} aria-hidden /> Export with {photosWords(photoCount)}
        </Button>
      )}
      {busy && (
        <p role="status" className="self-center text-soft">
          {busy}
        </p>
      )}
      <ImportDialog came={came} onTake={(how) => came && void take(came, how)} onClose={() => setCame(null)} />
      <CentredDialog isOpen={refused !== null} title={`${refused?.name ?? ''} can’t be opened.`} onClose={() => setRefused(null)}>
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
      </CentredDialog>
    </>
  );
}

const photosWords = (n: number) => (n === 1 ? 'one photo' : `${n} photos`);

/** By its first bytes, whatever it is called. */
async function isZip(file: File): Promise<boolean> {
  const head = new Uint8Array(
    await file
      .slice(0, 4)
      .arrayBuffer()
      .catch(() => new ArrayBuffer(0)),
  );
  return head[0] === 0x50 && head[1] === 0x4b;
}
