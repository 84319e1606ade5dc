'use client';
import { timesWords } from '../hours/timerWords';
import { useMemo } from 'react';
import { benchStandIn } from '@/store/bench/benchStandIn';
import { cautionsFor } from '@/core/answer/caution/cautionsFor';
import { lampBandOf } from '@/core/judge/dli/lightBand';
import { cautionLibrary, generalNote } from '@/core/things/caution/cautionLibrary';
import { distanceOf } from '@/core/site/reading/Reading';
import type { SetUp } from '@/core/answer/stand/setUp';
import { showHours } from '@/core/units/clock';
import { showLength, showLengthNumber } from '@/core/units/length';
import { useDimmedSolution, useSuitingDistances } from '../answer/useSolution';
import { failsWords, limitWords, onTheTape, suitsWords, toldLimits, turnFirstWords } from '../answer/words';
import { unitWords } from '../readings/words';
import { useLight, useSettings, useSite } from '../shell/WorkspaceContext';
import { AboveView } from '../drawing/AboveView';
import { FrontView } from '../drawing/FrontView';
import { dliNumber } from '../drawing/lightWords';
import { drawingFrame } from '../drawing/drawingFrame';
import { useVerdict } from '../verdict/useVerdict';
import { AGE_WORDS, headlineOf, shareWords, stageWords } from '../verdict/words';
import { surroundingsWords } from '../check/surroundings';

const NOTHING = { what: 'nothing' } as const;
const WIDTH = 660;

/** One page for the rack: the picture as lines, the answer, the readings and the cautions, in both worlds of units. */
export function PrintSheet({ setUp }: { setUp: SetUp }) {
  const { clock } = useSettings();
  const site = useSite((s) => s.site);
  const light = useLight();
  const judged = useVerdict(setUp);
  const solution = useDimmedSolution(setUp, NOTHING);
  const suits = useSuitingDistances(setUp);
  const { tier, crop, stage, lamp, timer, distance } = setUp;
  const ready = light.status === 'ready' && light.of.stand.id === setUp.stand.id ? light : null;
  const frame = useMemo(() => drawingFrame({ width: WIDTH, height: 430 }, tier, ready?.top ?? 0.5, 20), [tier, ready?.top]);
  if (!judged || !ready) return <p>The light is still being worked out. Print again in a moment.</p>;
  const { verdict, stats } = judged;
  const headline = headlineOf(verdict, crop);
  const both = (m: number) => `${showLength(m, 'cm')} (${showLength(m, 'in')})`;
  const best = solution && onTheTape(solution, 'cm');
  const readings = setUp.known.compared;
  return (
    <article className="mx-auto w-[660px] space-y-2 bg-white text-[11px] leading-snug text-black" data-testid="print-sheet">
      <header className="flex items-baseline justify-between border-b border-black pb-1">
        <h1 className="text-lg font-semibold">{setUp.stand.name}</h1>
        <p>
          {crop.name}, {stageWords(stage)} · {tier.fittings.length} × {lamp.name}
        </p>
      </header>
      <svg width={WIDTH} height={frame.height} className="line-drawing" role="img" aria-label="The set-up from the front and from above">
        <FrontView setUp={setUp} frame={frame} unit="cm" withNumber suits={suits} />
        <AboveView
          setUp={setUp}
          map={ready.answer.map}
          stats={ready.answer.stats}
          band={lampBandOf(stage, setUp.day)}
          frame={frame}
          shows="dli"
          unit="cm"
        />
      </svg>
      <p>
        Lines of equal DLI in mol/m²/day; thick lines are the ends of the crop’s band ({dliNumber(stage.dliMin)}–{dliNumber(stage.dliMax)}
        ).
      </p>
      <h2 className="text-base font-semibold">
        {headline.calm} {headline.alarm}
      </h2>
      <table className="w-full [&_td]:border-t [&_td]:border-black/30 [&_td]:py-0.5">
        <tbody>
          <tr>
            <td>lamp to leaves, as set</td>
            <td>{both(distance)}</td>
            <td>hours</td>
            <td>
              {showHours(timer.lit_min)}, {timesWords(timer, clock)}
            </td>
          </tr>
          <tr>
            <td>weakest, mean, strongest</td>
            <td>
              {dliNumber(verdict.weakest.value)}, {dliNumber(verdict.mean.value)}, {dliNumber(verdict.strongest.value)} mol/m²/day
            </td>
            <td>PPFD: minimum, mean, maximum</td>
            <td>
              {Math.round(stats.weakest.ppfd)}, {Math.round(stats.mean)}, {Math.round(stats.strongest.ppfd)} µmol/m²/s
            </td>
          </tr>
          <tr>
            <td>in range</td>
            <td>{shareWords(verdict)} of the tray</td>
            <td>mean DLI, uncertainty range</td>
            <td>
              {dliNumber(verdict.mean.low)}–{dliNumber(verdict.mean.high)} mol
            </td>
          </tr>
          <tr>
            <td>around it</td>
            <td>{surroundingsWords(tier.enclosure)}</td>
            <td>the lamp’s day</td>
            <td>{AGE_WORDS[tier.ageing.view]}</td>
          </tr>
        </tbody>
      </table>
      {solution && best && (
        <p className="font-semibold">
          {turnFirstWords(solution, tier.fittings.length)}
          {solution.distances ? suitsWords(solution, best, 'cm') : failsWords(best, 'cm', solution)} In inches:{' '}
          {solution.distances && `${showLengthNumber(solution.distances.from, 'in')}–${showLength(solution.distances.to, 'in')}, best `}
          {showLength(best.distance, 'in')}.
        </p>
      )}
      {toldLimits(solution?.limits ?? [], setUp).map((l) => (
        <p key={l.why}>{limitWords(l, setUp, 'cm')}</p>
      ))}
      {readings.length > 0 && (
        <p>
          <strong>Readings:</strong>{' '}
          {readings
            .map(
              (c) =>
                `${c.reading.value} ${unitWords(c.reading.unit)} = ${Math.round(c.measured)} µmol at ${both(distanceOf(c.reading))}${c.reading.leftOut ? ', left out' : ''}`,
            )
            .join('; ')}
          .
        </p>
      )}
      <section>
        <h2 className="font-semibold">Cautions</h2>
        <ul className="list-disc pl-4">
          {cautionsFor(benchStandIn(site, setUp.stand), site.stated, cautionLibrary)
            .filter((c) => c.severity === 'danger')
            .map((c) => (
              <li key={c.id}>
                <strong>{c.title}.</strong> {c.text}
              </li>
            ))}
        </ul>
        <p>{generalNote}</p>
      </section>
    </article>
  );
}
