'use client';
import { useEffect, useRef, useState } from 'react';
import type { Lamp } from '@/core/things/lamp/Lamp';
import { colourOfBox, lampFromBox, type LampBox, type Technology } from '@/core/things/lamp/lampFromBox';
import type { Problem } from '@/core/units/result';
import { newId } from '@/store/names/newId';
import { Button } from '../parts/Button';
import { Group } from '../parts/Group';
import { Segments } from '../parts/Segments';
import { useSettings } from '../shell/WorkspaceContext';
import { LampFigureFields } from './LampFigureFields';
import { LampFiles } from './LampFiles';
import { LampProblem } from './LampProblem';
import { LampShapeFields } from './LampShapeFields';
import { nameFromFigures, startingBox } from './startingBox';

const TECHNOLOGIES: readonly { value: Technology; label: string }[] = [
  { value: 'led', label: 'white LED' },
  { value: 'led-full', label: 'full-spectrum LED' },
  { value: 'led-white-red', label: 'white and red LED' },
  { value: 'led-pink', label: 'pink LED' },
  { value: 'led-red-blue', label: 'red and blue LED' },
  { value: 'fluorescent', label: 'fluorescent' },
  { value: 'fluorescent-plant', label: 'plant fluorescent' },
  { value: 'incandescent', label: 'incandescent or halogen' },
  { value: 'discharge', label: 'discharge lamp' },
];

interface LampBoxFormProps {
  /** What the form begins with. */
  lamp: Lamp;
  own: boolean;
  /** What was typed so far; it outlives the form, so that closing the sheet loses nothing. */
  draft: LampBox | null;
  onDraft(box: LampBox): void;
  /** Takes it; `isChange`: instead of the one that the form began with. */
  onKeep(lamp: Lamp, isChange: boolean): void;
  words?: { readonly keep: string; readonly another: string | null };
}

const USUAL_WORDS = (own: boolean) => ({
  keep: own ? 'Keep the changes' : 'Hang this lamp',
  another: own ? 'Hang it as another lamp' : null,
});

/** A lamp as its box and its files describe it; what was typed stays until it is kept. */
export function LampBoxForm({ lamp, own, draft, onDraft, onKeep, words = USUAL_WORDS(own) }: LampBoxFormProps) {
  const { lengthUnit } = useSettings();
  const form = useRef<HTMLDivElement>(null);
  const box = draft ?? startingBox(lamp, own);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const change = (part: Partial<LampBox>) => {
    onDraft({ ...box, ...part });
    setProblems([]);
  };
  const usualName = nameFromFigures(box, lengthUnit);
  const named = { ...box, name: box.name.trim() || usualName };
  const trial = lampFromBox(named, own ? lamp.id : 'trial');
  const problem = (at: string) => problems.find((p) => p.at === at);
  const colour = colourOfBox(box);

  useEffect(() => {
    if (problems.length === 0) return;
    // The first thing that is wrong comes into view, and its field is ready to be typed in.
    const alert = form.current?.querySelector('[role="alert"]');
    alert?.scrollIntoView({ block: 'center' });
    alert?.parentElement?.querySelector<HTMLElement>('input, select, textarea')?.focus({ preventScroll: true });
  }, [problems]);

  function keep(as: 'this' | 'another') {
    const isChange = own && as === 'this';
    const made = lampFromBox(named, isChange ? lamp.id : `own-${newId()}`);
    if (!made.ok) return setProblems(made.problems);
    onKeep(made.value, isChange);
  }
  return (
    <div ref={form} className="space-y-5">
      <LampFiles box={box} change={change} />
      <div>
        <label htmlFor="lamp-name" className="block text-sm text-soft">
          name
        </label>
        <input
          id="lamp-name"
          className="min-h-9 w-full max-w-96 rounded-md border border-line bg-sheet px-2 font-semibold max-md:min-h-11"
          value={box.name}
          placeholder={usualName}
          maxLength={120}
          onChange={(e) => change({ name: e.target.value })}
        />
        <LampProblem problem={problem('name')} />
      </div>
      <Group title="Lamp technology">
        <Segments label="Lamp technology" value={box.technology} options={TECHNOLOGIES} onChange={(technology) => change({ technology })} />
        {box.curve && (
          <p className="text-sm text-soft">
            Its own spectrum counts: {colour.luxPerUmol} lx for each µmol/m²/s.{' '}
            <Button kind="quiet" className="px-1!" onClick={() => change({ curve: null })}>
              Use the usual one of its kind
            </Button>
          </p>
        )}
      </Group>
      <LampShapeFields box={box} change={change} problem={problem} />
      <LampFigureFields box={box} trial={trial} change={change} problem={problem} />
      <div className="flex flex-wrap gap-3">
        <Button kind="main" onClick={() => keep('this')}>
          {words.keep}
        </Button>
        {words.another && <Button onClick={() => keep('another')}>{words.another}</Button>}
      </div>
    </div>
  );
}
