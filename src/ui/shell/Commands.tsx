'use client';
import { useRouter } from 'next/navigation';
import { Dialog } from 'radix-ui';
import { useEffect, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { SearchList } from '../parts/SearchList';
import { goItems } from './goItems';
import { pageActions } from './pageActions';
import { SHORTCUTS } from './shortcuts';
import { useSite } from './WorkspaceContext';

/** The palette that goes anywhere (Ctrl or ⌘ K), and the list of keys (?). */
export function Commands() {
  const [open, setOpen] = useState<'go' | 'keys' | null>(null);
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.key.toLowerCase() === 'k' && (e.ctrlKey || e.metaKey) && !e.altKey && !e.shiftKey) {
        e.preventDefault();
        setOpen((now) => (now === 'go' ? null : 'go'));
        return;
      }
      const isTyping = (e.target as HTMLElement).matches('input, textarea, select, [contenteditable]');
      if (e.key === '?' && !isTyping && !e.ctrlKey && !e.metaKey && document.querySelector('[role=dialog]') === null) setOpen('keys');
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return (
    <Dialog.Root open={open !== null} onOpenChange={(o) => !o && setOpen(null)}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-night/60" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-[12vh] left-1/2 z-40 max-h-[80dvh] w-[min(620px,94vw)] -translate-x-1/2 overflow-y-auto rounded-xl bg-sheet p-4 text-ink shadow-2xl"
        >
          {open === 'go' ? <Go onGone={() => setOpen(null)} /> : <Keys />}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

/** Before the ids of what is done rather than gone to. */
const DO = 'do:';

function Go({ onGone }: { onGone(): void }) {
  const router = useRouter();
  const site = useSite((s) => s.site);
  const actions = useStore(pageActions, (s) => s.actions);
  const items = useMemo(
    () => [
      ...actions.map(({ id, name, words }) => ({ id: `${DO}${id}`, name, detail: '', words, group: 'On this page' })),
      ...goItems(site),
    ],
    [actions, site],
  );
  return (
    <>
      <Dialog.Title className="sr-only">Go to</Dialog.Title>
      <SearchList
        label="Go to"
        placeholder="A stand, a tray, a crop, a page, or what to do here…"
        items={items}
        chosen={null}
        onChoose={(address) => {
          onGone();
          const action = actions.find((a) => `${DO}${a.id}` === address);
          if (action) action.run();
          else router.push(address);
        }}
        empty="No results for this name."
      />
    </>
  );
}

function Keys() {
  return (
    <>
      <Dialog.Title className="text-xl font-semibold">Keys</Dialog.Title>
      {SHORTCUTS.map(({ where, keys }) => (
        <section key={where} className="mt-4">
          <h3 className="font-semibold">{where}</h3>
          <dl className="mt-1 grid grid-cols-[minmax(9rem,auto)_1fr] gap-x-5 gap-y-1">
            {keys.map(([key, does]) => (
              <div key={key} className="contents">
                <dt>
                  <kbd className="rounded border border-line bg-sunk px-1.5 py-0.5 font-narrow text-sm">{key}</kbd>
                </dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
        </section>
      ))}
      <div className="mt-5 text-right">
        <Dialog.Close className="min-h-9 rounded-md border border-line px-3 font-semibold hover:bg-sunk max-md:min-h-11">
          Close
        </Dialog.Close>
      </div>
    </>
  );
}
