'use client';
import { measuredLamp, type SetUp } from '@/core/answer/stand/setUp';
import { combine } from '@/core/judge/uncertainty/Band';
import { Fold } from '../parts/Fold';
import { dliNumber } from '../drawing/lightWords';
import { Term } from '../terms/Term';
import { useCalmVerdict, type Judged } from './useVerdict';
import { basisWords, uncertaintyWords, percent, shareWords } from './words';
import { Lengths } from '../parts/Lengths';

/** How much of the tray is served and how evenly; opened, every number: formula, inputs, source, uncertainty. */
export function WhereFrom({ setUp }: { setUp: SetUp }) {
  const judged = useCalmVerdict(setUp);
  return judged && <Numbers setUp={setUp} judged={judged} />;
}

function Numbers({ setUp, judged: { verdict, stats, uncertainties, reflectedShare } }: { setUp: SetUp; judged: Judged }) {
  const { hours, stage, crop, tier } = setUp;
  const all = combine(uncertainties);
  return (
    <Fold title="Where these numbers come from" says={`${shareWords(verdict)} in range`}>
      <p>
        <strong className="font-semibold">{shareWords(verdict)}</strong> of the tray is in the target range.{' '}
        <Term id="uniformity">Uniformity</Term> (weakest over mean){' '}
        <strong className="font-semibold">{stats.uniformityMinOverMean.toFixed(2)}</strong>, weakest over strongest{' '}
        <strong className="font-semibold">{stats.uniformityMinOverMax.toFixed(2)}</strong>.
      </p>
      <div className="space-y-3 border-l-2 border-line pl-3 text-sm">
        <p>
          DLI = PPFD × hours × 0.0036: {Math.round(stats.mean)} µmol/m²/s × {hours.toFixed(hours % 1 ? 2 : 0)} h × 0.0036 ={' '}
          {dliNumber(verdict.mean.value)} mol/m²/day in the mean; at the middle {Math.round(stats.centre.ppfd)}, weakest{' '}
          {Math.round(stats.weakest.ppfd)}, strongest {Math.round(stats.strongest.ppfd)} µmol/m²/s.
        </p>
        <p>
          The strength is computed from the lamp’s shape at every centimetre of the tray: {tier.fittings.length} ×{' '}
          {dliNumber(measuredLamp(setUp).ppf)} µmol/s
          {setUp.calibration ? (setUp.calibration.fitted ? ', by a fit to your readings' : ', by your readings') : ''}.{' '}
          {reflectedShare > 0
            ? `Of the light on the plants ${percent(reflectedShare)} comes by way of the sides, settled until nothing is lost.`
            : 'The tier is open, so no light is reflected. White walls would add light.'}
        </p>
        <table className="w-full">
          <caption className="pb-1 text-left text-soft">Uncertainty (90 % of cases are within these limits)</caption>
          <tbody>
            {uncertainties.map((d) => (
              <tr key={d.why} className="align-top">
                <td className="pr-2 pb-1">
                  <Lengths of={uncertaintyWords(d)} />
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
      </div>
    </Fold>
  );
}
