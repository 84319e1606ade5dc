'use client';
import { ChevronDown } from 'lucide-react';
import { Collapsible } from 'radix-ui';
import { clearanceOf } from '@/core/things/lamp/clearanceOf';
import { measuredLamp, type SetUp } from '@/core/answer/stand/setUp';
import { combine } from '@/core/judge/uncertainty/Band';
import { doseNumber } from '../stage/lightWords';
import { DoseScale } from './DoseScale';
import { Term } from '../terms/Term';
import { HeadlineLine } from './HeadlineLine';
import { useVerdict, type Judged } from './useVerdict';
import { AGE_WORDS, basisWords, certaintyOf, consequencesOf, doubtWords, percent, stageWords } from './words';

/** Whether it will do, in words, and the numbers behind the words. */
export function VerdictPanel({ setUp }: { setUp: SetUp }) {
  const judged = useVerdict(setUp);
  if (!judged) {
    return (
      <p role="status" className="text-soft">
        Working out the light…
      </p>
    );
  }
  const { verdict, stats } = judged;
  const { crop, stage, lamp } = setUp;
  const { view } = setUp.tier.ageing;
  return (
    <section aria-label="Verdict" aria-busy={judged.stale} className="space-y-3">
      <p className="font-narrow text-sm font-medium text-soft">
        {crop.name}, {stageWords(stage)}
        {view !== 'now' && <strong className="text-copper"> · {AGE_WORDS[view]}</strong>}
      </p>
      <HeadlineLine verdict={verdict} />
      {verdict.says !== 'dark' && <DoseScale verdict={verdict} stage={stage} highDose={verdict.highDose} />}
      <p className="text-sm text-soft">
        <Term id="dli">DLI</Term>, mol/m²/day. The <Term id="target-range">target range</Term> is shaded; the line marks the best value.
      </p>
      {consequencesOf(verdict, crop, stage).map((text) => (
        <p key={text}>{text}</p>
      ))}
      <p className="text-soft">{certaintyOf(verdict)}</p>
      <p>
        <strong className="font-semibold">{percent(verdict.shareInBand)}</strong> of the tray is in the target range.{' '}
        <Term id="uniformity">Uniformity</Term> (weakest over mean){' '}
        <strong className="font-semibold">{stats.uniformityMinOverMean.toFixed(2)}</strong>, weakest over strongest{' '}
        <strong className="font-semibold">{stats.uniformityMinOverMax.toFixed(2)}</strong>.
      </p>
      {setUp.distance < clearanceOf(lamp) - 1e-6 && (
        <p role="alert" className="rounded-md bg-copper-wash px-3 py-2 text-copper">
          The lamp is too close. Its heat can damage leaves. Keep at least {Math.round(clearanceOf(lamp) * 100)} cm (
          {Math.round((clearanceOf(lamp) / 0.0254) * 2) / 2} in) between lamp and leaves.
        </p>
      )}
      <WhereFrom setUp={setUp} judged={judged} />
    </section>
  );
}

/** Opens every number: formula, inputs, source, uncertainty. */
function WhereFrom({ setUp, judged: { verdict, stats, doubts, reflectedShare } }: { setUp: SetUp; judged: Judged }) {
  const { hours, stage, crop, tier } = setUp;
  const all = combine(doubts);
  return (
    <Collapsible.Root>
      <Collapsible.Trigger className="group flex min-h-9 items-center gap-1 font-semibold text-verdigris max-md:min-h-11">
        Where these numbers come from
        <ChevronDown size={17} className="group-data-[state=open]:rotate-180" aria-hidden />
      </Collapsible.Trigger>
      <Collapsible.Content className="space-y-3 border-l-2 border-line pl-3 text-sm">
        <p>
          Dose = strength × hours × 0.0036: {Math.round(stats.mean)} µmol/m²/s × {hours.toFixed(hours % 1 ? 2 : 0)} h × 0.0036 ={' '}
          {doseNumber(verdict.mean.value)} mol/m²/day in the mean; at the middle {Math.round(stats.centre.ppfd)}, weakest{' '}
          {Math.round(stats.weakest.ppfd)}, strongest {Math.round(stats.strongest.ppfd)} µmol/m²/s.
        </p>
        <p>
          The strength is computed from the lamp’s shape at every centimetre of the tray: {tier.fittings.length} ×{' '}
          {doseNumber(measuredLamp(setUp).ppf)} µmol/s
          {setUp.calibration ? (setUp.calibration.fitted ? ', by a fit to your readings' : ', by your readings') : ''}.{' '}
          {reflectedShare > 0
            ? `Of the light on the plants ${percent(reflectedShare)} comes by way of the sides, settled until nothing is lost.`
            : 'The tier is open, so no light is reflected. White walls would add light.'}
        </p>
        <table className="w-full">
          <caption className="pb-1 text-left text-soft">Uncertainty (90 % of cases are within these limits)</caption>
          <tbody>
            {doubts.map((d) => (
              <tr key={d.why} className="align-top">
                <td className="pr-2 pb-1">
                  {doubtWords(d)}
                  <span className="block text-soft">{d.source}</span>
                </td>
                <td className="pb-1 text-right whitespace-nowrap">
                  −{percent(d.low)} +{percent(d.high)}
                </td>
              </tr>
            ))}
            <tr className="border-t border-line font-semibold">
              <td className="pt-1">together</td>
              <td className="pt-1 text-right whitespace-nowrap">
                −{percent(all.low)} +{percent(all.high)}
              </td>
            </tr>
          </tbody>
        </table>
        <p>
          {crop.name} ({crop.latin}) needs {stage.dliMin}–{stage.dliMax} mol/m²/day, best {stage.dliTarget}, at most {stage.ppfdMax}{' '}
          µmol/m²/s, {stage.hoursMin}–{stage.hoursMax} h: {basisWords(stage.basis)}.{' '}
          {crop.sources
            .filter((s) => s.kind !== 'consensus')
            .map((s) => s.cite)
            .join('; ')}
        </p>
      </Collapsible.Content>
    </Collapsible.Root>
  );
}
