'use client';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import type { ArmId, Trial } from '@/core/site/trial/Trial';
import { newId } from '@/store/names/newId';
import { CheckField } from '../parts/CheckField';
import { Button } from '../parts/Button';
import { dayWords } from '../season/dayWords';
import { useToday } from '../shell/WorkspaceContext';

/** What went otherwise on the way: a mat came off, a tray was moved, a lamp failed. */
export function Deviations({ trial, onChange }: { trial: Trial; onChange(what: string, how: Partial<Trial>): void }) {
  const today = useToday();
  const [text, setText] = useState('');
  const [arms, setArms] = useState<readonly ArmId[]>([]);
  const add = () => {
    onChange('write down what went otherwise', {
      deviations: [
        ...trial.deviations,
        { id: newId(), day: today, text: text.trim(), arms: trial.arms.map((a) => a.id).filter((a) => arms.includes(a)) },
      ],
    });
    setText('');
    setArms([]);
  };
  return (
    <section aria-labelledby="deviations" className="space-y-2">
      <h2 id="deviations" className="text-xl font-semibold">
        Deviations
      </h2>
      <ul className="divide-y divide-line">
        {trial.deviations.map((d) => (
          <li key={d.id} className="flex items-center gap-3 py-1.5">
            <span className="min-w-0 flex-1">
              {d.text}{' '}
              <span className="text-sm text-soft">
                {dayWords(d.day)} · {d.arms.length === trial.arms.length ? 'all arms' : `arm ${d.arms.join(', ')} only`}
              </span>
            </span>
            <Button
              kind="quiet"
              className="print:hidden"
              aria-label={`Delete: ${d.text}`}
              onClick={() => onChange('delete what went otherwise', { deviations: trial.deviations.filter((x) => x.id !== d.id) })}
            >
              <X size={17} aria-hidden />
            </Button>
          </li>
        ))}
      </ul>
      {trial.deviations.length === 0 && (
        <p className="text-soft">
          Nothing so far. A lamp that failed or a tray that was moved belongs here: it decides what the result can say.
        </p>
      )}
      <div className="flex flex-wrap items-end gap-3 print:hidden">
        <label className="block min-w-56 flex-1 text-sm text-soft">
          What happened
          <input
            className="block min-h-9 w-full rounded-md border border-line bg-sheet px-2 text-base text-ink max-md:min-h-11"
            maxLength={500}
            value={text}
            onChange={(e) => setText(e.target.value)}
          />
        </label>
        <fieldset className="flex gap-3">
          <legend className="text-sm text-soft">To which arms</legend>
          {trial.arms.map((a) => (
            <CheckField
              key={a.id}
              label={a.id}
              checked={arms.includes(a.id)}
              onChange={() => setArms(arms.includes(a.id) ? arms.filter((x) => x !== a.id) : [...arms, a.id])}
            />
          ))}
        </fieldset>
        <Button disabled={text.trim() === '' || arms.length === 0} onClick={add}>
          <Plus size={17} aria-hidden /> Add
        </Button>
      </div>
    </section>
  );
}
