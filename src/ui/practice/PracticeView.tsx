'use client';
import { Check } from 'lucide-react';
import { useEffect, useState } from 'react';
import type { Exercise } from '@/core/plan/practice/Exercise';
import { EXERCISES } from '@/core/plan/practice/exercises';
import { practised, type PracticeResult } from '@/store/practice/practised';
import { Button } from '../parts/Button';
import { Link } from '../parts/Link';
import { MaybeNumberField } from '../parts/MaybeNumberField';
import { EXERCISE_WORDS, goalWords, LEVEL_WORDS } from './exerciseWords';
import { goToExercise, newSeed } from './goHouse';
import { useRun } from './useRun';

/** All exercises, from easy to hard, with what came of them. */
export function PracticeView() {
  const [results, setResults] = useState<readonly PracticeResult[]>([]);
  const [seed, setSeed] = useState<number | null>(null);
  const run = useRun();
  useEffect(() => void practised().then(setResults), []);
  const start = (e: Exercise) => void goToExercise(e.id, seed ?? newSeed());
  return (
    <div className="mx-auto w-full max-w-4xl space-y-6 px-4 py-5 md:px-6">
      <header className="space-y-2">
        <h1 className="text-2xl font-semibold">Practice</h1>
        <p className="max-w-prose text-soft">
          A made-up stand whose lamps, sides, meter or clock are not quite as they should be. You measure, set and wait; days fly, and the
          plants show what came of it. Your own stands are not touched.
        </p>
        {run && (
          <p>
            <Link href="/clinic/practice/run" className="font-semibold underline underline-offset-4">
              Back to “{EXERCISE_WORDS[run.exercise.id].title}”
            </Link>{' '}
            <span className="text-soft">Starting another one ends it.</span>
          </p>
        )}
      </header>
      {([1, 2, 3] as const).map((level) => (
        <section key={level} aria-labelledby={`level-${level}`}>
          <h2 id={`level-${level}`} className="text-lg font-semibold">
            {LEVEL_WORDS[level]}
          </h2>
          <ul className="divide-y divide-line border-y border-line">
            {EXERCISES.filter((e) => e.level === level).map((e) => (
              <ExerciseRow key={e.id} exercise={e} results={results.filter((r) => r.exerciseId === e.id)} onStart={() => start(e)} />
            ))}
          </ul>
        </section>
      ))}
      <section aria-labelledby="same" className="space-y-2">
        <h2 id="same" className="text-lg font-semibold">
          The same for two
        </h2>
        <p className="max-w-prose text-soft">
          The number of an exercise decides what is hidden. Type the same number on two devices, then compare your points.
        </p>
        <MaybeNumberField
          label="number (empty: by chance)"
          value={seed}
          min={1}
          max={999999}
          inputClassName="w-28"
          onChange={(v) => setSeed(v === null ? null : Math.round(v))}
        />
      </section>
    </div>
  );
}

function ExerciseRow({ exercise, results, onStart }: { exercise: Exercise; results: readonly PracticeResult[]; onStart(): void }) {
  const { title, story } = EXERCISE_WORDS[exercise.id];
  const best = results.reduce<PracticeResult | null>((a, b) => (a && (a.won === b.won ? a.points >= b.points : a.won) ? a : b), null);
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-2 py-3">
      <div className="min-w-0 flex-1 basis-72">
        <h3 className="flex items-center gap-2 font-semibold">
          {title}
          {best?.won && <Check size={17} className="text-verdigris" aria-label="solved" />}
        </h3>
        <p className="text-soft">{story}</p>
        <p className="text-sm text-soft">
          {goalWords(exercise)}
          {best && `. Your best: ${best.points} points, number ${best.seed}`}
        </p>
      </div>
      <Button className="min-h-11" aria-label={`Start: ${title}`} onClick={onStart}>
        {results.length > 0 ? 'Start again' : 'Start'}
      </Button>
    </li>
  );
}
