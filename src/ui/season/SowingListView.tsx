'use client';
import { useMemo } from 'react';
import { sowingList } from '@/core/plan/season/sowingList';
import { tables } from '@/core/things/tables/libraryTables';
import { volumeIn, volumeUnit } from '@/core/units/volume';
import { Printer } from 'lucide-react';
import { Button } from '../parts/Button';
import { Link } from '../parts/Link';
import { useSettings, useSite, useToday } from '../shell/WorkspaceContext';
import { dayWords } from './dayWords';
import { SeasonEmpty } from './SeasonEmpty';
import { containerName, containersName, nameOf } from './seasonWords';

const CELL = 'py-2 pr-2 md:pr-4';

/** What has to be at hand for the season: seed by cells, containers, mix and labels. */
export function SowingListView() {
  const site = useSite((s) => s.site);
  const today = useToday();
  const { lengthUnit } = useSettings();
  const { season } = site;
  const list = useMemo(() => (season ? sowingList(site, season, tables) : null), [site, season]);
  if (!season || !list) return <SeasonEmpty />;
  const rows = [...list.rows].sort((a, b) => a.sown - b.sown);
  const mix = (litres: number) => {
    const volume = volumeIn(litres, lengthUnit);
    return volume < 10 ? volume.toFixed(1) : String(Math.round(volume));
  };
  const totals = new Map<string, number>();
  for (const r of rows) for (const c of r.containers) totals.set(c.containerId, (totals.get(c.containerId) ?? 0) + c.count);
  return (
    <div className="mx-auto w-full max-w-5xl px-4 py-5 md:px-6">
      <header className="flex flex-wrap items-center gap-3 pb-4">
        <h1 className="flex-1 text-2xl font-semibold">Sowing list, {season.name}</h1>
        <Button className="print:hidden" onClick={() => window.print()}>
          <Printer size={17} aria-hidden /> Print
        </Button>
      </header>
      {rows.length === 0 ? (
        <p>
          Nothing is planned yet.{' '}
          <Link className="underline" href="/season">
            Add a batch
          </Link>{' '}
          to see what it takes.
        </p>
      ) : (
        <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Sowing list">
          <table className="w-full text-left">
            <thead className="border-b border-line text-sm text-soft">
              <tr>
                {['Sow on', 'Batch', 'Cells', 'Containers', `Mix, ${volumeUnit(lengthUnit)}`, 'Labels'].map((h) => (
                  <th key={h} className={`${CELL} font-normal`}>
                    {h}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody className="divide-y divide-line">
              {rows.map((r) => {
                const batch = season.batches.find((b) => b.id === r.id)!;
                return (
                  <tr key={r.id} className={batch.batchId !== null || batch.sown < today ? 'text-soft' : ''}>
                    <td className={`${CELL} md:whitespace-nowrap`}>{dayWords(r.sown)}</td>
                    <td className={CELL}>
                      <Link
                        className="font-semibold text-ink underline decoration-line underline-offset-3 hover:decoration-ink"
                        href={`/season?batch=${encodeURIComponent(r.id)}`}
                      >
                        {nameOf(site, batch)}
                      </Link>
                      {batch.batchId !== null && ' (sown)'}
                    </td>
                    <td className={CELL}>{r.cells}</td>
                    <td className={CELL}>
                      {r.containers
                        .map((c) => `${c.count} × ${c.count === 1 ? containerName(c.containerId) : containersName(c.containerId)}`)
                        .join(', then ')}
                    </td>
                    <td className={`${CELL} whitespace-nowrap`}>{mix(r.containers.reduce((s, c) => s + c.compost_L, 0))}</td>
                    <td className={CELL}>{r.labels}</td>
                  </tr>
                );
              })}
            </tbody>
            <tfoot className="border-t-2 border-ink font-semibold">
              <tr>
                <td className={CELL} colSpan={3}>
                  In all
                </td>
                <td className={CELL}>
                  {[...totals].map(([id, n]) => `${n} × ${n === 1 ? containerName(id) : containersName(id)}`).join(', ')}
                </td>
                <td className={`${CELL} whitespace-nowrap`}>{mix(list.compost_L)}</td>
                <td className={CELL}>{rows.reduce((s, r) => s + r.labels, 0)}</td>
              </tr>
            </tfoot>
          </table>
        </div>
      )}
      <p className="pt-4 text-sm text-soft">
        Containers are counted as if none were used twice: those of an early batch are free again for a late one. One label for each tray.
      </p>
    </div>
  );
}
