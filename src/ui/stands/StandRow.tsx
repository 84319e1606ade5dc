'use client';
import clsx from 'clsx';
import { useMemo } from 'react';
import { billOfStand, totalOf } from '@/core/plan/buying/bill';
import { DAYS_PER_MONTH } from '@/core/judge/cost/pricesOf';
import { tables } from '@/core/things/tables/libraryTables';
import { benchStandOf } from '@/core/answer/stand/benchStand';
import type { Stand } from '@/core/site/stand/Site';
import { showHours } from '@/core/units/clock';
import { showMoney } from '@/core/units/money';
import { SAYS_WORDS, trayName } from '../bench/benchWords';
import { judgedTrays } from '../bench/useBench';
import { useLightOfStand } from '../hours/useLightOfStand';
import { useSite } from '../shell/WorkspaceContext';
import { dliNumber, dliSpanWords } from '../drawing/lightWords';
import { colourOfResult } from '../verdict/resultColours';
import { breachWords, CERTAINTY_WORDS, shareWords } from '../verdict/words';
import { Term } from '../terms/Term';

/** Every tray of every tier of a stand: in range or not, and how certain that is. */
export function StandRow({ stand, onOpen, tools }: { stand: Stand; onOpen(): void; tools: React.ReactNode }) {
  const site = useSite((s) => s.site);
  const bench = useMemo(() => benchStandOf(site, stand, tables), [site, stand]);
  const light = useLightOfStand(bench);
  const cost = DAYS_PER_MONTH * totalOf(billOfStand(site, stand, tables)).cost;
  return (
    <li className="border-t border-line py-3">
      <div className="flex items-center gap-4">
        <button type="button" className="min-h-11 min-w-0 flex-1 rounded px-2 text-left hover:bg-sunk" onClick={onOpen}>
          <span className="block text-lg font-semibold">{stand.name}</span>
          <span className="block text-soft">
            {bench.tiers.length} {bench.tiers.length === 1 ? 'tier' : 'tiers'} · {showMoney(cost, site.currency)} a month
          </span>
        </button>
        {tools}
      </div>
      {light === null && <p className="px-2 text-soft">Working out its light…</p>}
      {light === 'failed' && <p className="px-2 text-copper">Its light could not be computed. Reload the page to try again.</p>}
      {light !== null && light !== 'failed' && (
        <table className="mt-1 w-full text-left text-[0.9375rem] md:table-fixed">
          <caption className="sr-only">Trays of {stand.name}</caption>
          <thead className="text-sm text-soft max-md:sr-only">
            <tr>
              <th className="w-12 px-2 font-normal">tier</th>
              <th className="font-normal">tray</th>
              <th className="w-52 font-normal">result</th>
              <th className="w-28 text-right font-normal">
                <Term id="dli">DLI</Term>, mol/m²/day
              </th>
              <th className="w-20 text-right font-normal">needed</th>
              <th className="w-16 text-right font-normal">in range</th>
              <th className="w-24 pl-4 font-normal">
                <Term id="uncertainty">certainty</Term>
              </th>
            </tr>
          </thead>
          <tbody>
            {bench.tiers.flatMap((t) => {
              return judgedTrays(t, light.tiers[t.tier.id] ?? null).map(({ tray, verdict: v }) => {
                return (
                  <tr
                    key={tray.tray.id}
                    className="border-t border-line/60 max-md:grid max-md:grid-cols-[3.5rem_1fr_auto] max-md:gap-x-3 max-md:px-2 max-md:py-1"
                  >
                    <td className="px-2 max-md:px-0 max-md:before:content-['tier_']">{t.number}</td>
                    <td>{trayName(tray)}</td>
                    <td>
                      <span className={clsx('font-semibold', colourOfResult(v.says))}>{SAYS_WORDS[v.says]}</span>
                      {v.breaches.map((b) => (
                        <span key={b.why} className="block text-sm leading-tight text-soft">
                          {breachWords(b, light.tiers[t.tier.id]!.trays[tray.tray.id]!.stats.strongest.ppfd <= b.most)}
                        </span>
                      ))}
                    </td>
                    <td className="text-right max-md:col-start-2 max-md:text-left">
                      {dliSpanWords(v.received, tray.stage.dliMin, v.highDli)}
                    </td>
                    <td className="text-right text-soft max-md:hidden">
                      {dliNumber(tray.stage.dliMin)}–{dliNumber(v.highDli)}
                    </td>
                    <td className="text-right">{shareWords(v)}</td>
                    <td className="pl-4 text-soft max-md:col-start-1 max-md:row-start-2 max-md:pl-0">{CERTAINTY_WORDS[v.certainty]}</td>
                  </tr>
                );
              });
            })}
            {bench.tiers.every((t) => t.trays.length === 0) && (
              <tr>
                <td colSpan={7} className="px-2 text-soft">
                  No tray on it yet, {bench.tiers.map((t) => showHours(t.timer.lit_min))[0]}.
                </td>
              </tr>
            )}
          </tbody>
        </table>
      )}
    </li>
  );
}
