'use client';
import {
  createColumnHelper,
  flexRender,
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type SortingState,
} from '@tanstack/react-table';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useMemo, useState } from 'react';
import { lampLibrary } from '@/core/things/lamp/lampLibrary';
import { showLength } from '@/core/units/length';
import { showMoney } from '@/core/units/money';
import { Button } from '../parts/Button';
import { Link } from '../parts/Link';
import { SearchField } from '../parts/SearchField';
import { Term } from '../terms/Term';
import { useSettings, useSite } from '../shell/WorkspaceContext';
import { libraryRows, wantedRows, type LibraryRow } from './libraryRows';
import { kindPath } from './lampPaths';

const column = createColumnHelper<LibraryRow>();
/** Compared at once, as many as the comparison takes. */
const MOST_CHOSEN = 5;
/** So many rows at once; the others a press away. */
const PAGE = 40;

/** Every kind of lamp in one table: searched, sorted by what one asks for, and up to five of them compared over one's own tier. */
export function LampLibrary() {
  const { lengthUnit } = useSettings();
  const site = useSite((s) => s.site);
  const [wanted, setWanted] = useState('');
  const [sorting, setSorting] = useState<SortingState>([]);
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [shown, setShown] = useState(PAGE);
  const all = useMemo(() => libraryRows(site.lamps, lampLibrary, site.lampPrices), [site.lamps, site.lampPrices]);
  const rows = useMemo(() => wantedRows(all, wanted), [all, wanted]);
  const columns = useMemo(
    () => [
      column.accessor('name', { header: 'Lamp' }),
      column.accessor('power', { header: 'Power, W', sortDescFirst: false }),
      column.accessor('ppf', { header: 'PPF, µmol/s', cell: (c) => Math.round(c.getValue()) }),
      column.accessor('efficacy', { header: 'Efficacy, µmol/J', cell: (c) => c.getValue().toFixed(2) }),
      column.accessor((r) => r.beam_deg ?? undefined, {
        id: 'beam',
        header: 'Beam',
        cell: (c) => (c.getValue() === undefined ? 'wide' : `${Math.round(c.getValue()!)}°`),
        sortUndefined: 'last',
      }),
      column.accessor('length', {
        header: 'Size',
        cell: ({ row: { original: l } }) => `${showLength(l.length, lengthUnit)} × ${showLength(l.width, lengthUnit)}`,
      }),
      column.accessor((r) => r.price ?? undefined, {
        id: 'price',
        header: 'Price',
        cell: (c) => (c.getValue() === undefined ? '' : showMoney(c.getValue()!, site.currency)),
        sortUndefined: 'last',
        sortDescFirst: false,
      }),
    ],
    [lengthUnit, site.currency],
  );
  // The compiler can't keep what this table hands out from one drawing to the next: it is small, and drawn anew.
  // eslint-disable-next-line react-hooks/incompatible-library
  const table = useReactTable({
    data: rows as LibraryRow[],
    columns,
    state: { sorting },
    onSortingChange: setSorting,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getRowId: (r) => r.id,
  });
  const sorted = table.getRowModel().rows;
  const toggle = (id: string) => setChosen((now) => (now.includes(id) ? now.filter((c) => c !== id) : [...now, id].slice(-MOST_CHOSEN)));
  return (
    <div className="mx-auto w-full max-w-6xl space-y-4 px-4 py-5 md:px-6">
      <header className="flex flex-wrap items-end gap-x-6 gap-y-3">
        <div className="min-w-64 flex-1">
          <h1 className="text-2xl font-semibold">Lamp library</h1>
          <p className="text-soft">
            Usual lamps of each kind, and those that you described: how much light each sends out{' '}
            <span className="whitespace-nowrap">
              (<Term id="ppf">PPF</Term>)
            </span>
            , how much of it for its power{' '}
            <span className="whitespace-nowrap">
              (<Term id="efficacy">efficacy</Term>)
            </span>
            , and how it spreads. Press a heading to sort by it.
          </p>
        </div>
        <SearchField
          label="Search lamps"
          className="w-full font-semibold sm:w-72"
          placeholder="bar, T8, 24 W, 6500 K…"
          value={wanted}
          onChange={(typed) => {
            setWanted(typed);
            setShown(PAGE);
          }}
        />
      </header>
      <div className="flex min-h-11 flex-wrap items-center gap-3">
        <p className="text-soft" aria-live="polite">
          {rows.length === 0 ? 'No lamp by that name. In Check, under Lamp, you can describe your own by its box.' : `${rows.length} lamps`}
        </p>
        {chosen.length > 0 && (
          <>
            <Link
              href={`/lamps/compare?lamps=${chosen.map(encodeURIComponent).join(',')}`}
              className="inline-flex min-h-11 items-center rounded-md bg-button px-4 font-semibold text-on-button"
            >
              Compare {chosen.length === 1 ? 'it' : `these ${chosen.length}`}
            </Link>
            <Button onClick={() => setChosen([])}>Choose none</Button>
          </>
        )}
      </div>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Lamps">
        <table className="w-full text-left md:min-w-176" data-testid="lamp-table" data-boxes>
          <thead className="border-b border-line text-sm text-soft">
            {table.getHeaderGroups().map((group) => (
              <tr key={group.id}>
                <th scope="col" className="w-11 py-1 md:w-12">
                  <span className="sr-only">Compare</span>
                </th>
                {group.headers.map((header, i) => {
                  const by = header.column.getIsSorted();
                  return (
                    <th
                      key={header.id}
                      scope="col"
                      className={i > 0 ? 'text-right font-normal' : 'font-normal'}
                      aria-sort={by === 'asc' ? 'ascending' : by === 'desc' ? 'descending' : 'none'}
                    >
                      <button
                        type="button"
                        className="inline-flex min-h-11 items-center gap-1 rounded px-1 hover:bg-sunk"
                        onClick={header.column.getToggleSortingHandler()}
                      >
                        {flexRender(header.column.columnDef.header, header.getContext())}
                        {by === 'asc' && <ArrowUp size={15} aria-hidden />}
                        {by === 'desc' && <ArrowDown size={15} aria-hidden />}
                      </button>
                    </th>
                  );
                })}
              </tr>
            ))}
          </thead>
          <tbody>
            {sorted.slice(0, shown).map((row) => (
              <tr key={row.id} className="border-b border-line">
                <td>
                  <label className="grid size-11 cursor-pointer place-items-center">
                    <span className="sr-only">Compare {row.original.name}</span>
                    <input
                      type="checkbox"
                      className="size-5 accent-verdigris"
                      checked={chosen.includes(row.id)}
                      onChange={() => toggle(row.id)}
                    />
                  </label>
                </td>
                {row.getVisibleCells().map((cell, i) =>
                  i === 0 ? (
                    <th key={cell.id} scope="row" className="min-w-32 pr-2 font-normal md:min-w-64">
                      <Link href={kindPath(row.id)} className="inline-flex min-h-11 items-center font-semibold hover:underline">
                        {row.original.name}
                      </Link>
                      {row.original.isOwn && <span className="ml-2 text-sm text-verdigris">yours</span>}
                    </th>
                  ) : (
                    <td key={cell.id} className="px-1 text-right whitespace-nowrap tabular-nums">
                      {flexRender(cell.column.columnDef.cell, cell.getContext())}
                    </td>
                  ),
                )}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {sorted.length > shown && <Button onClick={() => setShown(sorted.length)}>Show all {sorted.length}</Button>}
    </div>
  );
}
