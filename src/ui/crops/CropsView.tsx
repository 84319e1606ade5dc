'use client';
import { Copy, Plus } from 'lucide-react';
import { useRouter, useSearchParams } from 'next/navigation';
import { useMemo } from 'react';
import { copyOf, freshCrop, keepCrop } from '@/core/site/crop/changeCrops';
import type { Crop } from '@/core/things/crop/Crop';
import { cropLibrary } from '@/core/things/crop/cropLibrary';
import { tables } from '@/core/things/tables/libraryTables';
import { cropOf } from '@/core/site/crop/cropOf';
import { newId } from '@/store/names/newId';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { cropItems } from '../parts/cropItems';
import { SearchList } from '../parts/SearchList';
import { UndoButtons } from '../parts/UndoButtons';
import { say } from '../shell/toastStore';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { CropDetail } from './CropDetail';
import { CropEditor } from './CropEditor';
import { CropNotes } from './CropNotes';

/** Every crop with all that is known of it; the person's own can be changed. */
export function CropsView() {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const grown = site.batches[0]?.cropId;
  const router = useRouter();
  const id = useSearchParams().get('crop');
  const setId = (next: string | null) => router.replace(next === null ? '/season/crops' : `/season/crops?crop=${encodeURIComponent(next)}`);
  const crop: Crop = cropOf(site, id ?? grown ?? '', tables) ?? cropLibrary[0]!;
  const items = useMemo(() => cropItems(site.crops).map((i) => ({ ...i, detail: '', words: [...i.words, i.detail] })), [site.crops]);
  const add = (from: Crop, name: string, fresh: boolean) => {
    const next = (fresh ? freshCrop : copyOf)(from, `own-${newId()}`, name);
    changeSite(sites, 'add a crop', keepCrop(next));
    setId(next.id);
    say(`${name} is yours to change.`, { label: 'Undo', run: () => undo(sites) });
  };
  return (
    <div className="mx-auto w-full max-w-6xl px-4 py-5 md:px-6">
      <header className="flex flex-wrap items-end gap-3 pb-4">
        <h1 className="flex-1 text-2xl font-semibold">Crops</h1>
        <Button onClick={() => add(crop, 'New crop', true)}>
          <Plus size={17} aria-hidden /> Add a crop
        </Button>
        <UndoButtons />
      </header>
      <div className="grid grid-cols-1 gap-x-10 gap-y-6 lg:grid-cols-[300px_1fr]">
        <div className="lg:sticky lg:top-4 lg:self-start">
          <SearchList
            label="Crops"
            placeholder="Tomato, begonia, spring onion…"
            items={items}
            chosen={crop.id}
            onChoose={setId}
            empty="No results for this name. Add it as a crop of your own."
          />
        </div>
        <article className="min-w-0 space-y-6" aria-label={crop.name} key={crop.id}>
          <CropDetail crop={crop} editor={crop.own && <CropEditor crop={crop} onGone={() => setId(null)} />}>
            <Button onClick={() => add(crop, `${crop.name}, ours`.slice(0, 120), false)}>
              <Copy size={17} aria-hidden /> Copy and change
            </Button>
          </CropDetail>
          <CropNotes crop={crop} />
        </article>
      </div>
    </div>
  );
}
