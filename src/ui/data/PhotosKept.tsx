'use client';
import { useEffect, useState } from 'react';
import { namedPhotos } from '@/store/photos/namedPhotos';
import { Button } from '../parts/Button';
import { say } from '../shell/toastStore';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { showBytes } from './words';

interface Kept {
  readonly named: number;
  readonly bytes: number;
  /** Of deleted entries and batches: they stay until somebody says so, since undo and backups may want them. */
  readonly unnamed: readonly string[];
}

/** How many photos there are, what they take, and those that no entry names any more. */
export function PhotosKept() {
  const { photos, sites } = useWorkspace();
  const batches = useSite((s) => s.site.batches);
  const [kept, setKept] = useState<Kept | null>(null);
  const [turn, setTurn] = useState(0);
  useEffect(() => {
    let looking = true;
    async function look() {
      const named = namedPhotos({ batches });
      const unnamed: string[] = [];
      let bytes = 0;
      for (const id of await photos.ids()) {
        const photo = await photos.get(id);
        bytes += (photo?.whole.size ?? 0) + (photo?.thumb.size ?? 0);
        if (!named.has(id)) unnamed.push(id);
      }
      if (looking) setKept({ named: named.size, bytes, unnamed });
    }
    look().catch(() => undefined);
    return () => void (looking = false);
  }, [photos, batches, turn]);
  if (!kept || (kept.bytes === 0 && kept.named === 0)) return null;
  return (
    <section className="space-y-2">
      <h2 className="text-lg font-semibold">Photos</h2>
      <p>
        {kept.named === 1 ? 'One photo' : `${kept.named} photos`} in your journal, {showBytes(kept.bytes)} in this browser.
      </p>
      {kept.unnamed.length > 0 && (
        <div className="flex flex-wrap items-center gap-3">
          <p className="text-soft">{kept.unnamed.length} belong to deleted entries. Backups and undo can still bring those back.</p>
          <Button
            onClick={() => {
              // What undo brought back meanwhile stays.
              const named = namedPhotos(sites.getState().site);
              const gone = kept.unnamed.filter((id) => !named.has(id));
              void photos.drop(gone).then(() => {
                setTurn(turn + 1);
                say(`${gone.length === 1 ? 'One photo is' : `${gone.length} photos are`} deleted for good.`);
              });
            }}
          >
            Delete {kept.unnamed.length === 1 ? 'it' : 'them'} for good
          </Button>
        </div>
      )}
    </section>
  );
}
