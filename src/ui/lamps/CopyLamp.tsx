'use client';
import { Copy, Pencil } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Lamp } from '@/core/things/lamp/Lamp';
import type { LampBox } from '@/core/things/lamp/lampFromBox';
import { changeSite, undo } from '@/store/site/siteStore';
import { LampBoxForm } from '../lamp/LampBoxForm';
import { startingBox } from '../lamp/startingBox';
import { Button } from '../parts/Button';
import { Sheet } from '../parts/Sheet';
import { say } from '../shell/toastStore';
import { useWorkspace } from '../shell/WorkspaceContext';
import { kindPath } from './lampPaths';

/** A kind of lamp taken as the beginning of one's own, or one's own changed: kept in the library, hung nowhere yet. */
export function CopyLamp({ lamp, isOwn }: { lamp: Lamp; isOwn: boolean }) {
  const { sites } = useWorkspace();
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const [draft, setDraft] = useState<LampBox | null>(null);
  return (
    <Sheet
      title={isOwn ? 'Change this lamp' : 'A lamp of your own, like this one'}
      description={
        isOwn
          ? 'Wherever it hangs, its light follows.'
          : 'Change what your lamp’s label says otherwise. The one in the library stays as it is.'
      }
      open={open}
      onOpenChange={setOpen}
      trigger={
        <Button>
          {isOwn ? <Pencil size={17} aria-hidden /> : <Copy size={17} aria-hidden />} {isOwn ? 'Change it' : 'Copy and change'}
        </Button>
      }
    >
      <LampBoxForm
        lamp={lamp}
        own={isOwn}
        draft={draft ?? { ...startingBox(lamp, isOwn), name: isOwn ? lamp.name : `${lamp.name}, mine`.slice(0, 120) }}
        onDraft={setDraft}
        words={{ keep: isOwn ? 'Keep the changes' : 'Keep as my own', another: isOwn ? 'Keep as another lamp' : null }}
        onKeep={(made, isChange) => {
          changeSite(sites, isChange ? 'change the lamp' : 'add a lamp', (site) => ({
            ...site,
            lamps: [...site.lamps.filter((l) => l.id !== made.id), made],
          }));
          setDraft(null);
          setOpen(false);
          say(`${made.name} is in your library.`, { label: 'Undo', run: () => undo(sites) });
          if (made.id !== lamp.id) router.push(kindPath(made.id));
        }}
      />
    </Sheet>
  );
}
