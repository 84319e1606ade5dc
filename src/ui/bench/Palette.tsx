'use client';
import { useDraggable } from '@dnd-kit/core';
import clsx from 'clsx';
import { ChevronDown } from 'lucide-react';
import { useMemo, useState } from 'react';
import { containerItems } from '../parts/containerItems';
import { useLampItems } from '../parts/useLampItems';
import type { SearchItem } from '../parts/SearchList';
import { Segments } from '../parts/Segments';
import { usePageActions } from '../shell/pageActions';
import { useSettings, useSite } from '../shell/WorkspaceContext';

export interface PaletteThing {
  readonly kind: 'lamp' | 'tray';
  readonly id: string;
  readonly name: string;
}

/** Lamps and trays of the library: drag one onto a tier, or press it to put it on the chosen tier. */
export function Palette({ openAtFirst, onPut }: { openAtFirst: boolean; onPut(thing: PaletteThing): void }) {
  const own = useSite((s) => s.site.lamps);
  const { lengthUnit } = useSettings();
  const [kind, setKind] = useState<'lamp' | 'tray'>('lamp');
  const [typed, setTyped] = useState('');
  const [open, setOpen] = useState(openAtFirst);
  const lamps = useLampItems(own);
  const trays = useMemo(() => containerItems(lengthUnit), [lengthUnit]);
  const actions = useMemo(() => {
    const find = (of: 'lamp' | 'tray') => () => {
      setKind(of);
      setTyped('');
      setOpen(true);
      // Once the palette has closed and the field is there.
      setTimeout(() => document.querySelector<HTMLElement>('[data-library-search]')?.focus(), 60);
    };
    return [
      { id: 'add-lamp', name: 'Add a lamp', words: ['hang', 'light'], run: find('lamp') },
      { id: 'add-tray', name: 'Add a tray or pot', words: ['container', 'put'], run: find('tray') },
    ];
  }, []);
  usePageActions(actions);
  const items = useMemo(() => {
    const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
    const all = kind === 'lamp' ? lamps : trays;
    const text = (i: SearchItem) => [i.name, i.group, ...i.words].join(' ').toLowerCase();
    return words.length > 0 ? all.filter((i) => words.every((w) => text(i).includes(w))) : all;
  }, [kind, typed, lamps, trays]);
  return (
    <section aria-label="Library" className="border-t border-line bg-sheet print:hidden">
      <div className="flex flex-wrap items-center gap-3 px-3 py-1.5">
        <button
          type="button"
          aria-expanded={open}
          className="inline-flex min-h-9 items-center gap-1 rounded-md px-2 font-semibold hover:bg-sunk max-md:min-h-11"
          onClick={() => setOpen(!open)}
        >
          <ChevronDown size={17} className={open ? '' : '-rotate-90'} aria-hidden /> Lamps and trays to add
        </button>
        {open && (
          <>
            <Segments
              label="From the library"
              value={kind}
              options={[
                { value: 'lamp', label: 'lamps' },
                { value: 'tray', label: 'trays and pots' },
              ]}
              onChange={(k: 'lamp' | 'tray') => {
                setKind(k);
                setTyped('');
              }}
            />
            <input
              data-library-search
              aria-label={kind === 'lamp' ? 'Find a lamp' : 'Find a tray'}
              placeholder={kind === 'lamp' ? 'bar, T8, 24 W…' : '72 cells, 9 cm pot…'}
              className="min-h-9 w-44 rounded-md border border-line bg-sheet px-2 max-md:min-h-11"
              value={typed}
              onChange={(e) => setTyped(e.target.value)}
            />
            <span className="text-sm text-soft max-xl:hidden">Drag a lamp or a tray onto a tier, or select it to add it.</span>
          </>
        )}
      </div>
      {open && (
        <ul className="flex gap-2 overflow-x-auto px-4 pb-2" aria-label={kind === 'lamp' ? 'Lamps' : 'Trays and pots'} tabIndex={-1}>
          {items.slice(0, 60).map((item) => (
            <Chip key={item.id} kind={kind} item={item} onPut={onPut} />
          ))}
          {items.length === 0 && <li className="py-3 text-soft">No results for this name.</li>}
        </ul>
      )}
    </section>
  );
}

function Chip({ kind, item, onPut }: { kind: 'lamp' | 'tray'; item: SearchItem; onPut(thing: PaletteThing): void }) {
  const thing: PaletteThing = { kind, id: item.id, name: item.name };
  const { setNodeRef, listeners, isDragging } = useDraggable({ id: `${kind}:${item.id}`, data: thing });
  return (
    <li className="flex shrink-0">
      <button
        ref={setNodeRef}
        type="button"
        {...listeners}
        onClick={() => onPut(thing)}
        className={clsx(
          'min-h-13 max-w-56 touch-manipulation rounded-md border border-line px-3 py-1.5 text-left leading-tight hover:bg-sunk',
          isDragging && 'opacity-40',
        )}
      >
        <span className="line-clamp-2 text-sm font-semibold" title={item.name}>
          {item.name}
        </span>
        <span className="block text-[0.8125rem] text-soft">{item.detail}</span>
      </button>
    </li>
  );
}
