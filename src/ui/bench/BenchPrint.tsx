'use client';
import { timesWords } from '../hours/timerWords';
import { cautionsFor } from '@/core/answer/caution/cautionsFor';
import { cautionLibrary, generalNote } from '@/core/things/caution/cautionLibrary';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { faultsOf } from '@/core/answer/faults/faults';
import { showHours } from '@/core/units/clock';
import { showLength } from '@/core/units/length';
import { useSettings, useSite } from '../shell/WorkspaceContext';
import { dliNumber, dliSpanWords } from '../drawing/lightWords';
import { shareWords, stageWords } from '../verdict/words';
import { alikeLamps } from './alikeLamps';
import { faultsWords, hangWords, riserWords, SAYS_WORDS, trayName } from './benchWords';
import { StandPicture } from './StandPicture';
import { judgedTrays, useBenchLight } from './useBench';

/** The stand on paper: a line drawing, what hangs how high for how long, how each tray fares, and the cautions. */
export function BenchPrint({ stand }: { stand: BenchStand }) {
  const light = useBenchLight();
  const site = useSite((s) => s.site);
  const { lengthUnit, clock } = useSettings();
  const answer = light.status === 'ready' ? light.answer : null;
  if (!answer) return <p>The light is still being worked out. Print again in a moment.</p>;
  const both = (m: number) => `${showLength(m, 'cm')} (${showLength(m, 'in')})`;
  const faults = faultsOf(stand);
  const cautions = cautionsFor(stand, site.stated, cautionLibrary).filter((c) => c.severity === 'danger');
  return (
    <article className="mx-auto w-[660px] space-y-2 bg-white text-[11px] leading-snug text-black" data-testid="print-sheet">
      <h1 className="border-b border-black pb-1 text-lg font-semibold">{stand.stand.name}</h1>
      <StandPicture stand={stand} answer={null} width={660} height={430} unit={lengthUnit} lines />
      <table className="w-full text-left [&_td]:border-neutral-400 [&_td]:py-0.5 [&_td]:pr-2 [&_td]:align-top [&_th]:pr-2">
        <thead>
          <tr>
            <th>tier</th>
            <th>lamps</th>
            <th>lamp to leaves</th>
            <th>hours</th>
            <th>trays</th>
            <th>DLI (needed), mol/m²/day</th>
            <th>in range</th>
          </tr>
        </thead>
        <tbody>
          {stand.tiers.flatMap((t) => {
            const judged = judgedTrays(t, answer.tiers[t.tier.id] ?? null);
            const lamps = alikeLamps(t.lamps);
            const canopy = Math.max(0, ...t.trays.map((y) => y.canopy));
            const rows = Math.max(1, lamps.length, t.trays.length);
            return Array.from({ length: rows }, (_, i) => {
              const l = lamps[i];
              const y = t.trays[i];
              const j = judged.find((k) => k.tray === y);
              return (
                <tr key={`${t.tier.id} ${i}`} className={i === 0 ? '[&_td]:border-t' : ''}>
                  {i === 0 && (
                    <td rowSpan={rows} className="font-semibold">
                      {t.number}
                    </td>
                  )}
                  <td>{l && `${l.count > 1 ? `${l.count} × ` : ''}${l.lamp.lamp.name}, ${hangWords(t, l.lamp.fitting, lengthUnit)}`}</td>
                  <td className="whitespace-nowrap">{l && both(l.lamp.fitting.face - canopy)}</td>
                  {i === 0 && (
                    <td rowSpan={rows} className="whitespace-nowrap">
                      {showHours(t.timer.lit_min)}
                      <br />
                      {timesWords(t.timer, clock)}
                    </td>
                  )}
                  <td>
                    {y && `${trayName(y)}, ${stageWords(y.stage)}`}
                    {y && y.tray.risers > 0 && `, on ${riserWords(y.tray.risers)}`}
                  </td>
                  <td className="whitespace-nowrap">
                    {j &&
                      `${dliSpanWords(j.verdict.received, j.tray.stage.dliMin, j.verdict.highDli)} (${dliNumber(j.tray.stage.dliMin)}–${dliNumber(j.verdict.highDli)})`}
                  </td>
                  <td>{j && `${shareWords(j.verdict)}, ${SAYS_WORDS[j.verdict.says]}`}</td>
                </tr>
              );
            });
          })}
        </tbody>
      </table>
      {faults.length > 0 && (
        <ul className="list-disc pl-4 font-semibold">
          {faultsWords(faults, stand, lengthUnit).map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      )}
      <ul className="list-disc pl-4">
        {cautions.map((c) => (
          <li key={c.id}>
            <strong>{c.title}.</strong> {c.text}
          </li>
        ))}
      </ul>
      <p>{generalNote}</p>
    </article>
  );
}
