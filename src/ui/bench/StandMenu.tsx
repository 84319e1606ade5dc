'use client';
import { ChevronDown, Ellipsis } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { DropdownMenu } from 'radix-ui';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { exportSite } from '@/store/files/exportSite';
import { writeScene } from '@/store/scene/writeScene';
import { newId } from '@/store/names/newId';
import { changeSite, undo } from '@/store/site/siteStore';
import { copyStand, deleteStand } from '@/store/site/setUpVerbs';
import { Button } from '../parts/Button';
import { savePicture } from '../parts/savePicture';
import { fileName, saveFile } from '../parts/saveFile';
import { say } from '../shell/toastStore';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { standPath } from '../stands/places';

const ITEM = 'flex min-h-9 items-center rounded px-3 outline-none data-[highlighted]:bg-sunk max-md:min-h-11';

/** It packs a stand into an address: loaded when the menu opens, so that the clipboard is still at hand when a link is asked for. */
const linkScript = () => import('@/store/files/showLink');

/** What can be done with a whole stand: a variant of it, beside which it is held, its files, its end. */
export function StandMenu({ stand }: { stand: BenchStand }) {
  const { sites, benchLooks } = useWorkspace();
  const stands = useSite((s) => s.site.stands);
  const router = useRouter();
  const { id, name } = stand.stand;
  const variant = () => {
    const copy = newId();
    changeSite(sites, `make a variant of ${name}`, copyStand(id, copy));
    benchLooks.setState({ otherId: id });
    router.push(standPath(copy));
    say('This is the copy. Change it, then compare it with the original.', { label: 'Compare', run: () => router.push('/stands/compare') });
  };
  const remove = () => {
    changeSite(sites, `delete ${name}`, deleteStand(id));
    say(`${name} is deleted.`, { label: 'Undo', run: () => undo(sites) });
  };
  async function showLink() {
    const links = await linkScript().catch(() => null);
    if (!links) return say('The link could not be made: a part of the application did not load. Reload the page to try again.');
    const made = links.linkOf(sites.getState().site, id, location.origin);
    if (!made.ok) return say('This stand holds too much for a link. Save it as a file instead.');
    try {
      await navigator.clipboard.writeText(made.value);
      say(
        'The link is copied. Everything is in the link itself: whoever has it can see this stand. Journal, photos and prices are left out.',
        {
          label: 'Open it',
          run: () => window.open(made.value, '_blank', 'noopener'),
        },
      );
    } catch {
      // Without a secure context there is no clipboard: the link opens, and can be copied from the address bar.
      window.open(made.value, '_blank', 'noopener');
    }
  }
  return (
    <DropdownMenu.Root onOpenChange={(open) => open && void linkScript().catch(() => undefined)}>
      <DropdownMenu.Trigger asChild>
        <Button>
          <span className="max-sm:sr-only">Stand</span> <ChevronDown size={16} className="max-sm:hidden" aria-hidden />
          <Ellipsis size={18} className="sm:hidden" aria-hidden />
        </Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="end" className="z-30 min-w-60 rounded-lg border border-line bg-sheet p-1 text-ink shadow-xl">
          <DropdownMenu.Item className={ITEM} onSelect={variant}>
            Make a variant of it
          </DropdownMenu.Item>
          {stands.length > 1 && (
            <DropdownMenu.Item className={ITEM} onSelect={() => router.push('/stands/compare')}>
              Compare with another
            </DropdownMenu.Item>
          )}
          <DropdownMenu.Item
            className={ITEM}
            onSelect={() => saveFile(fileName(name, 'json'), exportSite(sites.getState().site, [id]), 'application/json')}
          >
            Save it as a file
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className={ITEM}
            onSelect={() => saveFile(fileName(`${name} scene`, 'json'), writeScene(stand), 'application/json')}
          >
            Save its scene for scripts
          </DropdownMenu.Item>
          {(['png', 'svg'] as const).map((kind) => (
            <DropdownMenu.Item key={kind} className={ITEM} onSelect={() => void savePicture('bench', name, kind)}>
              Save the picture as {kind.toUpperCase()}
            </DropdownMenu.Item>
          ))}
          <DropdownMenu.Item className={ITEM} onSelect={() => void showLink()}>
            Copy a link to show it
          </DropdownMenu.Item>
          <DropdownMenu.Separator className="my-1 h-px bg-line" />
          <DropdownMenu.Item className={ITEM} onSelect={remove}>
            Delete {name}
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
