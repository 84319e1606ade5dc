'use client';
import { Fragment, useMemo } from 'react';
import { measureAgain } from '@/core/measure/fit/measureAgain';
import { fadingOf, MARKS, traysUnder, type TrayOutlook } from '@/core/plan/lamp/lampOutlook';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { hoursBurned } from '@/core/things/lamp/ageing';
import { dayAt, noonOf, type Day } from '@/core/units/day';
import { benchStandIn } from '@/store/bench/benchStandIn';
import { trayName } from '../bench/benchWords';
import { judgedTrays } from '../bench/useBench';
import { useLightOfStand } from '../hours/useLightOfStand';
import { datedWords, dayWords } from '../season/dayWords';
import { useSite, useToday } from '../shell/WorkspaceContext';
import { standPath } from '../stands/places';
import { dliNumber } from '../drawing/lightWords';
import { Link } from '../parts/Link';
import type { KnownOwnLamp } from './knownOwnLamps';
import { OutputBar } from './OutputBar';
import { LOCALE, numberWords, wholeWords } from '../parts/locale';

/** What a lamp still gives, when it will have faded how far, and until when that does for what stands under it. */
export function LampOutlook({ known }: { known: KnownOwnLamp }) {
  const { lamp, used_h, output, hanging, own } = known;
  const today = useToday();
  const burned = used_h ?? hoursBurned(lamp, { used_h: null });
  const rows = fadingOf(lamp, burned, own.retired === null ? (hanging?.hours ?? 0) : 0, today);
  return (
    <section aria-labelledby="outlook" className="min-w-0 space-y-5">
      <h2 id="outlook" className="text-lg font-semibold">
        What it gives
      </h2>
      <div className="max-w-96">
        <OutputBar output={output} lamp={lamp} isMeasured={known.at?.lamp.calibration != null} />
        <p className="pt-1 text-sm text-soft">
          {known.at?.lamp.calibration
            ? 'By readings under it, against its label.'
            : used_h === null
              ? 'Its hours are not known: the light is calculated as half way through a usual life.'
              : `By its ${wholeWords(used_h)} hours and the usual fading of its kind: a model, until you take readings.`}
        </p>
      </div>
      <table className="w-full max-w-96 text-left">
        <caption className="sr-only">When it will have faded</caption>
        <thead className="border-b border-line text-sm text-soft">
          <tr>
            <th scope="col" className="py-1 font-normal">
              Faded to
            </th>
            <th scope="col" className="text-right font-normal">
              after
            </th>
            <th scope="col" className="text-right font-normal">
              that is
            </th>
          </tr>
        </thead>
        <tbody className="tabular-nums">
          {rows.map(({ share, hours, day }) => (
            <tr key={share} className="border-b border-line">
              <th scope="row" className="py-1.5 font-semibold">
                {Math.round(100 * share)} % of new
              </th>
              <td className="text-right">{Number.isFinite(hours) ? `${numberWords(100 * Math.round(hours / 100))} h` : 'never'}</td>
              <td className="text-right">{whenWords(day, today)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {known.at && hanging ? (
        <UnderIt key={hanging.fitting.id} known={known} standId={hanging.stand.id} />
      ) : (
        <p className="text-soft">It hangs nowhere, so nothing grows under it.</p>
      )}
    </section>
  );
}

/** A day near by name, a far one by its month: a model is no calendar. */
function whenWords(day: Day | null, today: Day): string {
  if (day === null) return 'not within 50 years';
  if (day <= today) return 'already';
  return day - today < 60
    ? dayWords(day)
    : new Date(day * 86_400_000).toLocaleDateString(LOCALE, { month: 'short', year: 'numeric', timeZone: 'UTC' });
}

function UnderIt({ known, standId }: { known: KnownOwnLamp; standId: string }) {
  const site = useSite((s) => s.site);
  const today = useToday();
  const stand: BenchStand | null = useMemo(() => {
    const kept = site.stands.find((s) => s.id === standId);
    return kept ? benchStandIn(site, kept) : null;
  }, [site, standId]);
  if (!stand) return null;
  const last = Math.max(0, ...known.at!.tier.tier.readings.map((r) => r.taken_ms));
  const again = last > 0 ? measureAgain(last, known.at!.tier.lamps.map((l) => l.lamp), known.at!.tier.hours, known.used_h) : null; // prettier-ignore
  return (
    <>
      <UnderTrays known={known} stand={stand} today={today} />
      <div className="space-y-1">
        <h3 className="font-semibold">Measure again</h3>
        <p>
          {again === null
            ? 'It was never measured here. A few readings tell more than any label. '
            : again <= noonOf(today).getTime()
              ? `Due: last read on ${datedWords(dayAt(last))}. `
              : `Last read on ${datedWords(dayAt(last))}; again from ${datedWords(dayAt(again))}, at the same spots. `}
          <Link href={standPath(standId, 'readings')} className="font-semibold underline underline-offset-4">
            Take readings
          </Link>
        </p>
      </div>
    </>
  );
}

function UnderTrays({ known, stand, today }: { known: KnownOwnLamp; stand: BenchStand; today: Day }) {
  const light = useLightOfStand(stand);
  const tier = stand.tiers.find((t) => t.tier.id === known.at!.tier.tier.id);
  const lamp = tier?.lamps.find((l) => l.fitting.id === known.at!.lamp.fitting.id);
  if (!tier || !lamp || tier.trays.length === 0) return null;
  if (light === null) return <p className="text-soft">Working out what it does to the trays…</p>;
  if (light === 'failed') return <p className="text-copper">The light could not be computed. Reload the page to try again.</p>;
  const rows = traysUnder(tier, lamp, judgedTrays(tier, light.tiers[tier.tier.id] ?? null), today);
  return (
    <div className="space-y-2">
      <h3 className="font-semibold">{replaceWords(rows, today)}</h3>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Trays under it">
        <table className="w-full min-w-110 text-left">
          <thead className="border-b border-line text-sm text-soft">
            <tr>
              <th scope="col" className="py-1 font-normal">
                Weakest spot, mol/m²/day
              </th>
              <th scope="col" className="px-2 text-right font-normal">
                needed
              </th>
              <th scope="col" className="px-2 text-right font-normal">
                now
              </th>
              {MARKS.map((m) => (
                <th key={m} scope="col" className="px-2 text-right font-normal">
                  at {Math.round(100 * m)} %
                </th>
              ))}
            </tr>
          </thead>
          <tbody className="tabular-nums">
            {rows.map((r) => {
              const tray = tier.trays.find((y) => y.tray.id === r.trayId)!;
              const cell = (v: number | null) => (
                <td className={`px-2 text-right ${v !== null && v < r.needs ? 'font-semibold text-copper' : ''}`}>
                  {v === null ? '' : dliNumber(v)}
                </td>
              );
              return (
                <tr key={r.trayId} className="border-b border-line">
                  <th scope="row" className="py-1.5 font-normal">
                    {trayName(tray)}
                  </th>
                  <td className="px-2 text-right">{dliNumber(r.needs)}</td>
                  {cell(r.weakest)}
                  {r.at.map((v, i) => (
                    <Fragment key={i}>{cell(v)}</Fragment>
                  ))}
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <p className="text-sm text-soft">
        If all lamps of the tier fade alike, and nothing is hung or set otherwise. Lowering lamps or longer hours may come before a new
        lamp.
      </p>
    </div>
  );
}

/** Whether and when a new lamp is needed: by what grows under it, not by the box. */
function replaceWords(rows: readonly TrayOutlook[], today: Day): string {
  const short = rows.filter((r) => r.shortFrom !== null && r.shortFrom <= today).length;
  const next = Math.min(...rows.flatMap((r) => (r.shortFrom !== null && r.shortFrom > today ? [r.shortFrom] : [])));
  if (short > 0)
    return `${short === rows.length ? 'What stands' : `${short} of ${rows.length} trays`} under it ${short === rows.length || short === 1 ? 'gets' : 'get'} too little already`;
  if (!Number.isFinite(next)) return 'It will do for what stands under it, as far as can be foreseen';
  return `It will do until about ${whenWords(next, today)}; then a tray falls short`;
}
