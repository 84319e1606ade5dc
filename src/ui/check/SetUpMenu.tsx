'use client';
import { ChevronDown, Copy, FileDown, Plus, Printer, Table, Trash2, PanelsTopLeft } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { DropdownMenu } from 'radix-ui';
import { mapCsv } from '@/core/exchange/formats/mapCsv';
import { exportSite } from '@/store/files/exportSite';
import { newId } from '@/store/names/newId';
import { changeSite, showStand, undo } from '@/store/site/siteStore';
import { addSetUp, copyStand, deleteStand, PLAIN_RECIPE } from '@/store/site/setUpVerbs';
import { Button } from '../parts/Button';
import { fileName, saveFile } from '../parts/saveFile';
import { say } from '../shell/toastStore';
import { useLight, useSite, useWorkspace } from '../shell/WorkspaceContext';

const ITEM = 'flex min-h-10 items-center gap-2 rounded px-2 outline-none data-[highlighted]:bg-sunk max-md:min-h-11';

/** The other set-ups, and what can be done with this one. */
export function SetUpMenu({ activeId }: { activeId: string }) {
  const { sites, benchLooks } = useWorkspace();
  const router = useRouter();
  const all = useSite((s) => s.site.stands);
  const stands = all.filter((s) => s.autoArranged);
  const light = useLight();
  const active = stands.find((s) => s.id === activeId);
  function remove() {
    const rest = stands.filter((s) => s.id !== activeId);
    changeSite(sites, `delete ${active?.name ?? ''}`, deleteStand(activeId), rest[0]?.id ?? '');
    say(`${active?.name ?? 'The set-up'} is deleted.`, { label: 'Undo', run: () => undo(sites) });
  }
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <Button kind="plain">
          Set-ups <span className="text-soft">{stands.length}</span>
          <ChevronDown size={16} aria-hidden />
        </Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={4}
          className="z-40 max-h-[70dvh] w-72 overflow-y-auto rounded-lg border border-line bg-sheet p-1 text-ink shadow-xl"
        >
          <DropdownMenu.RadioGroup value={activeId} onValueChange={(id) => showStand(sites, id)}>
            {stands.map((s) => (
              <DropdownMenu.RadioItem key={s.id} value={s.id} className={ITEM}>
                <span className="flex-1 truncate">{s.name}</span>
                <DropdownMenu.ItemIndicator className="size-2 rounded-full bg-verdigris" />
              </DropdownMenu.RadioItem>
            ))}
          </DropdownMenu.RadioGroup>
          <DropdownMenu.Separator className="my-1 h-px bg-line" />
          <DropdownMenu.Item
            className={ITEM}
            onSelect={() => {
              const id = newId();
              changeSite(sites, 'begin a set-up', addSetUp({ ...PLAIN_RECIPE, name: 'New set-up' }, id), id);
            }}
          >
            <Plus size={17} aria-hidden /> New set-up
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className={ITEM}
            onSelect={() => {
              const id = newId();
              changeSite(sites, 'copy', copyStand(activeId, id), id);
            }}
          >
            <Copy size={17} aria-hidden /> Copy this one
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className={ITEM}
            onSelect={() => {
              benchLooks.setState({ standId: activeId, tierId: null, chosen: [] });
              router.push('/bench');
            }}
          >
            <PanelsTopLeft size={17} aria-hidden /> Open on the bench
          </DropdownMenu.Item>
          <DropdownMenu.Separator className="my-1 h-px bg-line" />
          <DropdownMenu.Item
            className={ITEM}
            onSelect={() => saveFile(fileName(active?.name, 'json'), exportSite(sites.getState().site, [activeId]))}
          >
            <FileDown size={17} aria-hidden /> Save this one as a file
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className={ITEM}
            disabled={light.status !== 'ready'}
            onSelect={() =>
              light.status === 'ready' &&
              saveFile(fileName(`${active?.name} light map`, 'csv'), mapCsv(light.answer.map, light.of.hours), 'text/csv')
            }
          >
            <Table size={17} aria-hidden /> Save the light map, CSV
          </DropdownMenu.Item>
          <DropdownMenu.Item className={ITEM} onSelect={() => setTimeout(() => window.print(), 150)}>
            <Printer size={17} aria-hidden /> Print
          </DropdownMenu.Item>
          <DropdownMenu.Separator className="my-1 h-px bg-line" />
          <DropdownMenu.Item className={`${ITEM} text-copper`} onSelect={remove}>
            <Trash2 size={17} aria-hidden /> Delete this one
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
