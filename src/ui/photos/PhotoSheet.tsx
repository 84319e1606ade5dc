'use client';
import { ChevronLeft, ChevronRight, Ruler, Trash2, X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { unlog } from '@/core/site/growth/changeGrowth';
import type { Batch } from '@/core/site/stand/Site';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { longDayWords } from '../season/dayWords';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { say, toastStore } from '../shell/toastStore';
import { useWorkspace } from '../shell/WorkspaceContext';
import { MeasureOnPhoto } from './MeasureOnPhoto';
import type { PhotoEntry } from './photosOf';
import { usePhoto } from './usePhoto';

interface PhotoSheetProps {
  batch: Batch;
  name: string;
  list: readonly PhotoEntry[];
  at: string | null;
  onAt(id: string | null): void;
}

/** One photo of a batch, large, with those before and after it; to be measured on or deleted. */
export function PhotoSheet({ batch, name, list, at, onAt }: PhotoSheetProps) {
  const { sites } = useWorkspace();
  const [isMeasuring, setIsMeasuring] = useState(false);
  const i = list.findIndex((l) => l.id === at);
  const entry = list[i];
  const photo = usePhoto(entry?.photoId ?? null, 'whole');
  const go = (to: number) => {
    setIsMeasuring(false);
    onAt(list[to]?.id ?? null);
  };
  const close = () => {
    setIsMeasuring(false);
    onAt(null);
  };
  return (
    <Dialog.Root open={entry !== undefined} onOpenChange={(o) => !o && close()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-night/60" />
        <Dialog.Content
          className="fixed inset-0 z-40 flex flex-col overflow-y-auto bg-sheet text-ink md:inset-6 md:rounded-xl"
          onKeyDown={(e) => {
            if (isMeasuring || (e.target as HTMLElement).tagName === 'INPUT') return;
            if (e.key === 'ArrowLeft' && i > 0) go(i - 1);
            if (e.key === 'ArrowRight' && i < list.length - 1) go(i + 1);
          }}
        >
          <header className="flex items-start gap-2 border-b border-line px-4 pt-3 pb-2">
            <div className="min-w-0 flex-1">
              <Dialog.Title className="text-lg font-semibold">{name}</Dialog.Title>
              <Dialog.Description className="text-soft">
                {entry && longDayWords(entry.day)}
                {entry && batch.sown !== null && `, day ${entry.day - batch.sown} from sowing`}
                {entry?.text && `. ${entry.text}`}
              </Dialog.Description>
            </div>
            <Dialog.Close className="grid size-11 shrink-0 place-items-center rounded-md hover:bg-sunk" aria-label="Close">
              <X size={20} aria-hidden />
            </Dialog.Close>
          </header>
          {photo === 'gone' && (
            <p className="m-auto max-w-md p-6 text-center">
              This picture is not in this browser. It is in the one where it was taken: save “everything in one file” there, and open it
              here.
            </p>
          )}
          {entry && photo && photo !== 'gone' && isMeasuring && (
            <MeasureOnPhoto key={entry.id} batch={batch} entry={entry} photo={photo} onDone={() => setIsMeasuring(false)} />
          )}
          {entry && photo && photo !== 'gone' && !isMeasuring && (
            <div className="flex min-h-0 flex-1 items-center justify-center bg-night p-1">
              {/* eslint-disable-next-line @next/next/no-img-element -- a blob of this browser, nothing to load */}
              <img src={photo.url} alt={`${name} on ${longDayWords(entry.day)}`} className="max-h-[64dvh] max-w-full object-contain" />
            </div>
          )}
          {entry && !isMeasuring && (
            <footer className="flex flex-wrap items-center gap-2 border-t border-line px-4 py-3">
              <Button aria-label="Earlier photo" disabled={i === 0} onClick={() => go(i - 1)}>
                <ChevronLeft size={18} aria-hidden />
              </Button>
              <span className="text-soft" role="status">
                {i + 1} of {list.length}
              </span>
              <Button aria-label="Later photo" disabled={i === list.length - 1} onClick={() => go(i + 1)}>
                <ChevronRight size={18} aria-hidden />
              </Button>
              <span className="flex-1" />
              <Button
                disabled={!photo || photo === 'gone'}
                onClick={() => {
                  // A message would lie over the buttons below.
                  toastStore.setState({ offer: null, word: null });
                  setIsMeasuring(true);
                }}
              >
                <Ruler size={18} aria-hidden /> Measure a plant
              </Button>
              <Button
                kind="quiet"
                onClick={() => {
                  changeSite(sites, 'delete a photo', unlog(batch.id, entry.id));
                  close();
                  focusHeadingIfLost();
                  say('The photo is deleted.', { label: 'Undo', run: () => undo(sites) });
                }}
              >
                <Trash2 size={18} aria-hidden /> Delete
              </Button>
            </footer>
          )}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
