'use client';
import { useMemo } from 'react';
import { exerciseOf, EXERCISES } from '@/core/plan/practice/exercises';
import { outcomeOf } from '@/core/plan/practice/outcomeOf';
import { tellTales } from '@/core/plan/practice/tellTales';
import { meterOf, unitOfMeter } from '@/core/things/meter/meterLibrary';
import { tables } from '@/core/things/tables/libraryTables';
import { showMoney } from '@/core/units/money';
import type { Run } from '@/store/practice/Practice';
import { Button } from '../parts/Button';
import { unitWords } from '../readings/words';
import { dayWords } from '../season/dayWords';
import { batchName } from '../today/todayWords';
import { EXERCISE_WORDS, MISSED_WORDS, STATE_WORDS, tellTaleWords } from './exerciseWords';
import { goHome, goToExercise, newSeed } from './goHouse';

/** How an exercise came out: the plants, what it cost, what was true and which reading would have told. */
export function OutcomePanel({ run }: { run: Run }) {
  const { exercise, start, session } = run;
  const outcome = useMemo(() => outcomeOf(session, exercise, start, tables), [session, exercise, start]);
  const tales = useMemo(() => tellTales(start, tables), [start]);
  const unit = unitWords(unitOfMeter(meterOf(start.truth.meter.kindId)));
  const name = (batchId: string) => batchName(start.site, batchId);
  const next = EXERCISES[EXERCISES.indexOf(exerciseOf(exercise.id)!) + 1];
  const plants = outcome.trays.reduce((n, t) => n + t.seedlings, 0);
  const mean = (of: (t: (typeof outcome.trays)[number]) => number) =>
    outcome.trays.reduce((sum, t) => sum + t.seedlings * of(t), 0) / Math.max(1, plants);
  return (
    <section aria-labelledby="result" className="space-y-4">
      <h2 id="result" className="flex flex-wrap items-baseline gap-3 text-xl font-semibold">
        <span className={`text-5xl tabular-nums ${outcome.won ? 'text-verdigris' : 'text-copper'}`}>{outcome.points}</span>
        of 100 seedlings sound: {outcome.won ? 'solved' : 'not this time'}
      </h2>
      {outcome.missedGoals.length > 0 && (
        <ul className="text-copper">
          {outcome.missedGoals.map((m) => (
            <li key={m}>{MISSED_WORDS[m]}</li>
          ))}
        </ul>
      )}
      <div className="overflow-x-auto">
        <table className="w-full min-w-md text-left tabular-nums">
          <thead>
            <tr className="border-b border-line text-sm text-soft">
              <th scope="col" className="py-1 pr-3 font-semibold">
                tray
              </th>
              {Object.values(STATE_WORDS).map((w) => (
                <th key={w} scope="col" className="pr-3 text-right font-semibold">
                  {w}
                </th>
              ))}
              <th scope="col" className="text-right font-semibold">
                mol/m²/day
              </th>
            </tr>
          </thead>
          <tbody>
            {outcome.trays.map((t) => (
              <tr key={t.trayId} className="border-b border-line">
                <th scope="row" className="py-1.5 pr-3 font-semibold">
                  {name(t.batchId)}
                </th>
                {Object.values(t.shares).map((share, i) => (
                  <td key={i} className="pr-3 text-right">
                    {Math.round(t.seedlings * share)}
                  </td>
                ))}
                <td className="text-right">{t.meanDli?.toFixed(1) ?? ''}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="max-w-prose">
        It cost {outcome.lost} {outcome.lost === 1 ? 'seedling' : 'seedlings'} of {plants}, {mean((t) => t.missed).toFixed(0)} mol/m² that
        were missing, {mean((t) => t.daysLost).toFixed(1)} days of growth, and {outcome.kWh.toFixed(1)} kWh (
        {showMoney(outcome.money, start.site.currency)}).
        {outcome.apart !== null && ` The two arms got light that differed by ${(100 * outcome.apart).toFixed(0)} %.`}
      </p>
      <h3 className="font-semibold">What was true</h3>
      {tales.length === 0 ? (
        <p>Everything was as the plan said. Only the numbers had to be right.</p>
      ) : (
        <dl className="max-w-prose space-y-2">
          {tales.map((t) => {
            const { truth, told } = tellTaleWords(t, unit, name, dayWords);
            return (
              <div key={truth}>
                <dt>{truth}</dt>
                <dd className="text-soft">What would have told you: {told}</dd>
              </div>
            );
          })}
        </dl>
      )}
      <p className="max-w-prose border-l-3 border-verdigris pl-3">{EXERCISE_WORDS[exercise.id].lesson}</p>
      <div className="flex flex-wrap gap-2">
        <Button kind={outcome.won ? 'plain' : 'main'} onClick={() => void goToExercise(exercise.id, session.seed)}>
          Try the same again
        </Button>
        <Button onClick={() => void goToExercise(exercise.id, newSeed())}>With another truth</Button>
        {next && (
          <Button kind={outcome.won ? 'main' : 'plain'} onClick={() => void goToExercise(next.id, newSeed())}>
            Next: {EXERCISE_WORDS[next.id].title}
          </Button>
        )}
        <Button kind="quiet" onClick={() => goHome()}>
          All exercises
        </Button>
      </div>
      <p className="text-sm text-soft">
        The plants grow by a simple model: longer stems in too little light, harm from too much. Its rates are estimates for practice, not a
        forecast for yours.
      </p>
    </section>
  );
}
