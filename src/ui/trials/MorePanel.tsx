'use client';
import { useMemo, useState } from 'react';
import { efficiencyOf } from '@/core/plan/trial/efficiencyOf';
import { comparePairedScores, triangle } from '@/core/judge/trial/taste';
import type { TrayHad, Trial } from '@/core/site/trial/Trial';
import { NumberField } from '../parts/NumberField';
import { TextBox } from '../parts/TextBox';
import { readScores } from './readScores';

const n = (v: number | null | undefined) => (v === null || v === undefined ? '–' : String(Number(v.toPrecision(3))));
const interval = (lo: number | null | undefined, hi: number | null | undefined) =>
  lo === null || lo === undefined ? 'no interval: too few trays' : `${n(lo)} to ${n(hi)}`;

/** What a trial can be asked besides: grams for power and light, blind scores in pairs, three cups. */
export function MorePanel({ trial, given }: { trial: Trial; given: ReadonlyMap<string, TrayHad> }) {
  const found = useMemo(() => efficiencyOf(trial, given), [trial, given]);
  return (
    <section aria-labelledby="more" className="space-y-3">
      <h2 id="more" className="text-xl font-semibold">
        Power, light and taste
      </h2>
      {found ? (
        <div className="overflow-x-auto">
          <table className="w-full max-w-3xl text-left tabular-nums">
            <thead className="border-b border-line text-sm text-soft">
              <tr>
                {['', trial.arms[0]!.name || 'A', trial.arms[1]!.name || 'B', 'second over first, 95 %'].map((h) => (
                  <th key={h} scope="col" className="py-1.5 pr-4 font-normal">
                    {h}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {(
                [
                  ['g per kWh', found.gPerKwh, found.gPerKwhLo, found.gPerKwhHi, found.ratioKwh, found.ratioKwhFieller],
                  ['g per mol', found.gPerMol, found.gPerMolLo, found.gPerMolHi, found.ratioMol, found.ratioMolFieller],
                ] as const
              ).map(([name, means, lo, hi, ratio, fieller]) => (
                <tr key={name} className="border-b border-line">
                  <th scope="row" className="py-1.5 pr-4 font-semibold">
                    {name}
                  </th>
                  {[0, 1].map((i) => (
                    <td key={i} className="pr-4">
                      {n(means[i])} <span className="text-sm text-soft">({interval(lo[i], hi[i])})</span>
                    </td>
                  ))}
                  <td>
                    {n(ratio)} <span className="text-sm text-soft">({interval(fieller[0], fieller[1])})</span>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="pt-1 text-sm text-soft">
            From {n(found.kwh[0])} and {n(found.kwh[1])} kWh a tray, day by day as lamps and hours were set; a tray’s part of a tier’s power
            goes by its area.
          </p>
        </div>
      ) : (
        <p className="text-soft">Grams per kWh and per mol come with weights in g, two arms, and trays that stand in the plan.</p>
      )}
      <Triangle />
      <PairedScores />
    </section>
  );
}

/** Three cups, one of them different. */
function Triangle() {
  const [tests, setTests] = useState(12);
  const [correct, setCorrect] = useState(4);
  const result = triangle(tests, Math.min(correct, tests));
  return (
    <details className="print:hidden">
      <summary className="min-h-9 cursor-pointer font-semibold max-md:min-h-11">Three cups: can anybody taste it?</summary>
      <div className="space-y-2 pt-1">
        <p className="max-w-prose text-soft">
          Give each taster three samples, two of one arm and one of the other, in random order. Count who names the odd one.
        </p>
        <div className="flex flex-wrap gap-3">
          <NumberField label="tastings" value={tests} min={1} max={200} inputClassName="w-16" onChange={(v) => setTests(Math.round(v))} />
          <NumberField
            label="named it"
            value={correct}
            min={0}
            max={tests}
            inputClassName="w-16"
            onChange={(v) => setCorrect(Math.round(v))}
          />
        </div>
        <p aria-live="polite">
          By chance alone one in three names it. p = {n(result.pOneSided)}:{' '}
          {result.pOneSided <= 0.05 ? 'somebody can taste a difference.' : 'this can be chance.'}
        </p>
      </div>
    </details>
  );
}

/** Scores of tasters who tried both arms, as pairs of numbers. */
function PairedScores() {
  const [text, setText] = useState('');
  const read = readScores(text);
  const pairs = read.filter((scores) => scores !== null);
  const left = read.length - pairs.length;
  const result = comparePairedScores(pairs);
  return (
    <details className="print:hidden">
      <summary className="min-h-9 cursor-pointer font-semibold max-md:min-h-11">Blind scores of tasters who tried both</summary>
      <div className="space-y-2 pt-1">
        <TextBox
          label="One taster a line: score of the first arm, score of the second. Several of each: 6 7 / 8 8"
          className="min-h-24 max-w-sm"
          value={text}
          placeholder={'6 7\n5 8'}
          onChange={setText}
        />
        {left > 0 && (
          <p className="text-copper">
            {left} {left === 1 ? 'line is' : 'lines are'} left out: type two numbers, or a stroke between several.
          </p>
        )}
        <p aria-live="polite">
          {pairs.length === 0
            ? 'Type the scores. Several of one taster are averaged first.'
            : `${result.nUsed} tasters: ${result.nPos} gave the second more, ${result.nNeg} less, ${result.nZero} the same. Mean difference ${n(result.meanDiff)}; exact p ${n(result.permP)} (signs alone ${n(result.signP)}).`}
        </p>
      </div>
    </details>
  );
}
