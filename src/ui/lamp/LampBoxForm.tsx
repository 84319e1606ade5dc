'use client';
import { useState } from 'react';
import { colourOfBox, lampFromBox, type Box, type Technology } from '@/core/things/lamp/lampFromBox';
import type { Problem } from '@/core/units/result';
import type { SetUp } from '@/core/answer/stand/setUp';
import { newId } from '@/store/names/newId';
import { changeSite } from '@/store/site/siteStore';
import { keepLamp } from '@/store/site/setUpVerbs';
import { Button } from '../parts/Button';
import { Group } from '../parts/Group';
import { Segments } from '../parts/Segments';
import { say } from '../shell/toastStore';
import { useWorkspace } from '../shell/WorkspaceContext';
import { LampFigureFields } from './LampFigureFields';
import { LampFiles } from './LampFiles';
import { LampProblem } from './LampProblem';
import { LampShapeFields } from './LampShapeFields';
import { startingBox } from './startingBox';

const TECHNOLOGIES: readonly { value: Technology; label: string }[] = [
  { value: 'led', label: 'white LED' },
  { value: 'led-full', label: 'full-spectrum LED' },
  { value: 'led-white-red', label: 'white and red LED' },
  { value: 'led-pink', label: 'pink LED' },
  { value: 'led-red-blue', label: 'red and blue LED' },
  { value: 'fluorescent', label: 'fluorescent' },
  { value: 'fluorescent-plant', label: 'plant fluorescent' },
  { value: 'incandescent', label: 'glowing wire' },
  { value: 'discharge', label: 'discharge lamp' },
];

interface LampBoxFormProps {
  setUp: SetUp;
  own: boolean;
  /** What was typed so far; it outlives the form, so that closing the sheet loses nothing. */
  draft: Box | null;
  onDraft(box: Box): void;
  onKept(): void;
}

/** A lamp as its box and its files describe it; what was typed stays until it is kept. */
export function LampBoxForm({ setUp, own, draft, onDraft, onKept }: LampBoxFormProps) {
  const { sites } = useWorkspace();
  const { lamp, stand } = setUp;
  const box = draft ?? startingBox(lamp, own);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const change = (part: Partial<Box>) => {
    onDraft({ ...box, ...part });
    setProblems([]);
  };
  // The name may come last; the numbers are checked without it.
  const trial = lampFromBox({ ...box, name: box.name || 'trial' }, own ? lamp.id : 'trial');
  const problem = (at: string) => problems.find((p) => p.at === at);
  const colour = colourOfBox(box);

  function keep() {
    const made = lampFromBox(box, own ? lamp.id : `own-${newId()}`);
    if (!made.ok) return setProblems(made.problems);
    changeSite(sites, own ? 'change the lamp' : 'add a lamp', keepLamp(stand.id, made.value));
    say(`${made.value.name} hangs over your tray.`);
    onKept();
  }
  return (
    <div className="space-y-5">
      <LampFiles box={box} change={change} />
      <div>
        <label htmlFor="lamp-name" className="block text-sm text-soft">
          name
        </label>
        <input
          id="lamp-name"
          className="min-h-9 w-full max-w-96 rounded-md border border-line bg-sheet px-2 font-semibold max-md:min-h-11"
          value={box.name}
          maxLength={120}
          onChange={(e) => change({ name: e.target.value })}
        />
        <LampProblem problem={problem('name')} />
      </div>
      <Group title="What makes the light">
        <Segments
          label="What makes the light"
          value={box.technology}
          options={TECHNOLOGIES}
          onChange={(technology) => change({ technology })}
        />
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
      <Button kind="main" onClick={keep}>
        {own ? 'Keep the changes' : 'Hang this lamp'}
      </Button>
    </div>
  );
}
