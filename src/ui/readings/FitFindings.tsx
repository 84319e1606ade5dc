'use client';
import type { Fit } from '@/core/site/reading/Fit';
import type { FitAnswer } from '@/core/measure/fit/fitLight';
import { sidesOf } from '@/core/measure/fit/fitTier';
import { colourOf } from '@/core/things/lamp/colourOf';
import { materialOf } from '@/core/things/material/materialLibrary';
import { distanceOf } from '@/core/site/reading/Reading';
import { combine } from '@/core/judge/uncertainty/Band';
import { BEAM_UNCERTAINTY, uncertaintiesOf } from '@/core/measure/fit/uncertaintiesOfLamp';
import { useSettings } from '../shell/WorkspaceContext';
import { percent } from '../verdict/words';
import type { TierReadings } from './useTierReadings';
import { placeWords, showReading, suspicionWords, unitWords } from './words';
import { lengthsIn } from '../parts/Lengths';

/** Two lines of a kind of lamp are a year apart when their fits are by this much. */
const A_YEAR_MS = 270 * 86_400_000;
const NINE_IN_TEN = 1.645;
/** So near to a lamp the sides hardly count. */
const NEAR = 0.12;

/** What a fit found: lamps against their boxes and against last year, sides, beams, the band before and after, bad readings. */
export function FitFindings({ of, fit, answer }: { of: TierReadings; fit: Fit; answer?: FitAnswer }) {
  const { lengthUnit } = useSettings();
  const { tier: t } = of;
  const sides = t.room ? sidesOf(t.tier.enclosure) : [];
  const near = t.tier.readings.some((r) => fit.readingIds.includes(r.id) && distanceOf(r) < NEAR);
  const bad = answer?.readings.filter((r) => r.honest < 0.5) ?? [];
  return (
    <div className="space-y-3">
      <table className="w-full text-left text-[0.9375rem]">
        <caption className="sr-only">Lamps by the fit</caption>
        <thead className="text-sm text-soft">
          <tr>
            <th className="font-normal">lamp</th>
            <th className="font-normal">output, % of label</th>
            <th className="font-normal">uncertainty before → after, %</th>
          </tr>
        </thead>
        <tbody>
          {fit.lamps.map((l) => {
            const lamp = of.lampOf(l.lampId);
            if (!lamp) return null;
            const before = combine(uncertaintiesOf(lamp, colourOf(lamp), null, t.tier.ageing));
            const left = NINE_IN_TEN * l.error;
            const own = Math.hypot(fit.meter, left);
            const after = combine([{ low: own, high: own }, BEAM_UNCERTAINTY]);
            const old = [...t.tier.fits]
              .reverse()
              .find((f) => fit.made_ms - f.made_ms > A_YEAR_MS)
              ?.lamps.find((o) => o.lampId === l.lampId);
            return (
              <tr key={l.lampId} className="border-t border-line align-top">
                <td className="py-1.5 pr-2">{lamp.name}</td>
                <td className="py-1.5 pr-2">
                  <strong className="text-lg font-semibold" data-testid="fit-scale">
                    {percent(l.scale)}
                  </strong>{' '}
                  <span className="whitespace-nowrap">±{percent(own)}</span>
                  {old && <span className="block text-sm whitespace-nowrap text-soft">a year before {percent(old.scale)}</span>}
                  {l.beamFwhm !== null && lamp.beamFwhm !== null && (
                    <span className="block text-sm text-soft">
                      beam {degrees(l.beamFwhm)}, by its box {degrees(lamp.beamFwhm)}
                    </span>
                  )}
                </td>
                <td className="py-1.5">
                  <Bands before={before} after={after} />
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {fit.sides &&
        Object.entries(fit.sides.reflectances).map(([id, reflectance]) => (
          <p key={id} data-testid="fit-sides">
            {capital(materialOf(id).name)} at the sides sends back <strong className="font-semibold">{percent(reflectance)}</strong> ±
            {percent(NINE_IN_TEN * fit.sides!.error)}; by the table {percent(materialOf(id).reflectance)}.
          </p>
        ))}
      {!fit.sides && sides.length > 0 && (
        <p className="text-soft">
          These readings can’t tell weak lamps from dark sides: the sides stay as the table has them.{' '}
          {near
            ? 'Even near the lamp the sides make too little difference here.'
            : 'One or two readings near a lamp would tell them apart.'}
        </p>
      )}
      <p className="text-soft">Its readings scatter by ±{percent(NINE_IN_TEN * fit.scatter)} about it, by hand, level and place.</p>
      {bad.length > 0 && (
        <div className="rounded-md bg-copper-wash p-3" data-testid="fit-bad">
          <p className="font-semibold">
            {bad.length === 1 ? 'One reading can’t be right:' : `${bad.length} readings can’t be right:`} left out of it.
          </p>
          <ul className="list-disc pl-5">
            {bad.map((b) => {
              const reading = t.tier.readings.find((r) => r.id === b.id)!;
              return (
                <li key={b.id}>
                  {showReading(reading.value)} {unitWords(reading.unit)} at {placeWords(t, reading, lengthUnit)}:{' '}
                  {b.suspicions
                    .filter((s) => s.weight > 0.1)
                    .slice(0, 2)
                    .map((s) => `${lengthsIn(suspicionWords(s), lengthUnit)} (${percent(s.weight)})`)
                    .join(', or ') || 'no usual cause found'}
                  .
                </li>
              );
            })}
          </ul>
        </div>
      )}
    </div>
  );
}

const degrees = (rad: number) => `${Math.round((rad * 180) / Math.PI)}°`;
const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

type Doubt = { readonly low: number; readonly high: number };

/** The band before and after on one scale, and in numbers. */
function Bands({ before, after }: { before: Doubt; after: Doubt }) {
  const width = 96;
  const most = Math.max(0.3, before.low, before.high);
  const x = (v: number) => width / 2 + (v / most) * (width / 2);
  const bar = ({ low, high }: Doubt, y: number, className: string) => (
    <rect x={x(-low)} y={y} width={x(high) - x(-low)} height={6} rx={3} className={className} />
  );
  return (
    <span className="block">
      <svg width={width} height={20} aria-hidden>
        {bar(before, 2, 'fill-line')}
        {bar(after, 11, 'fill-verdigris')}
        <path d={`M${width / 2} 0 V20`} stroke="currentColor" strokeWidth={1} />
      </svg>
      <span className="block text-sm whitespace-nowrap text-soft">
        ±{percent((before.low + before.high) / 2)} → ±{percent((after.low + after.high) / 2)}
      </span>
    </span>
  );
}
