'use client';
import { Dialog } from 'radix-ui';
import type { Site } from '@/core/site/stand/Site';
import { Button } from '../parts/Button';
import { CentredDialog } from '../parts/CentredDialog';
import { useSite } from '../shell/WorkspaceContext';
import { siteHoldsWords } from './holdsWords';

/** A file that was read and found sound, before anything of it is kept. */
export interface Came {
  readonly name: string;
  readonly site: Site;
  readonly photos: number;
}

/** Asks what is to be done with a file: stand beside what is here, or take its place. */
export function ImportDialog({ came, onTake, onClose }: { came: Came | null; onTake(how: 'add' | 'instead'): void; onClose(): void }) {
  const mine = useSite((s) => s.site);
  return (
    <CentredDialog isOpen={came !== null} title={`Import ${came?.name ?? ''}`} onClose={onClose}>
      {came && (
        <Dialog.Description>
          It holds <b>{siteHoldsWords(came.site)}</b>. Here you have {siteHoldsWords(mine)}.
        </Dialog.Description>
      )}
      <dl className="space-y-2">
        <div>
          <dt className="font-semibold">Add to what is here</dt>
          <dd className="text-soft">
            Its set-ups, lamps, journal, cases and trials stand beside yours. Prices, visits and other settings of the household stay.
          </dd>
        </div>
        <div>
          <dt className="font-semibold">Use it instead</dt>
          <dd className="text-soft">
            Everything is as it was when the file was made: for a new browser or device. A backup of what is here is made first.
          </dd>
        </div>
      </dl>
      <div className="flex flex-wrap gap-3">
        <Button kind="main" onClick={() => onTake('add')}>
          Add to what is here
        </Button>
        <Button onClick={() => onTake('instead')}>Use it instead</Button>
        <Dialog.Close asChild>
          <Button>Cancel</Button>
        </Dialog.Close>
      </div>
      <p className="text-sm text-soft">Undo takes either back.</p>
    </CentredDialog>
  );
}
