'use client';
import { Check, HeartPulse, Lightbulb, Sprout, X } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useRef } from 'react';
import type { SetUp } from '@/core/answer/stand/setUp';
import { openCase } from '@/core/site/stand/changeClinic';
import { newId } from '@/store/names/newId';
import type { FirstWay } from '@/store/settings/settingsStore';
import { changeSite } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { Link } from '../parts/Link';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { useSettings, useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { NEW_STAND_HASH } from '../stands/places';
import type { Question } from './Sentence';

const WAYS: readonly { readonly way: FirstWay; readonly label: string; readonly icon: typeof Check }[] = [
  { way: 'lamp', label: 'I have a lamp', icon: Lightbulb },
  { way: 'seeds', label: 'I have seeds', icon: Sprout },
  { way: 'sick', label: 'I have a sick plant', icon: HeartPulse },
];

type Step = Exclude<Question, 'place'>;
const STEPS: Readonly<Record<FirstWay, readonly Step[]>> = {
  lamp: ['lamp', 'tray', 'crop'],
  seeds: ['crop', 'tray', 'lamp'],
  sick: ['crop', 'tray', 'lamp'],
};
const STEP_WORDS: Readonly<Record<Step, string>> = {
  lamp: 'Choose your lamp',
  tray: 'Choose the tray or pot',
  crop: 'Choose the plants',
};
const END_WORDS: Readonly<Record<FirstWay, string>> = {
  lamp: 'The result is below: what the plants get, and what to change.',
  seeds: 'The result is below: whether this lamp is enough for them.',
  sick: 'Now show where it is worst and what you see.',
};

interface FirstStepsProps {
  setUp: SetUp;
  onAsk(step: Question): void;
}

/** A first visit: three ways in, each three choices long. It can be skipped; once it is over it comes back only for a sick plant that the clinic does not know yet. */
export function FirstSteps({ setUp, onAsk }: FirstStepsProps) {
  const { settings, sites } = useWorkspace();
  const { firstWay: way, firstDone: done } = useSettings();
  const isOnly = useSite((s) => s.site.stands.length === 1);
  const today = useToday();
  const router = useRouter();
  const list = useRef<HTMLOListElement>(null);
  if (way === 'over' || (way === 'offered' && !isOnly)) return null;
  const end = () => {
    settings.setState({ firstWay: 'over' });
    focusHeadingIfLost();
  };
  const skip = (
    <button
      type="button"
      className="grid size-11 shrink-0 place-items-center self-start rounded-md hover:bg-sunk"
      aria-label="Close first steps"
      onClick={end}
    >
      <X size={18} aria-hidden />
    </button>
  );
  if (way === 'offered')
    return (
      <section aria-label="First steps" className="flex flex-wrap items-center gap-2 border-b border-line bg-sunk px-4 py-2 md:px-6">
        <h2 className="mr-2 flex-1 font-semibold md:flex-none">What do you have?</h2>
        <div className="order-last grid basis-full grid-cols-3 gap-2 md:order-none md:flex md:flex-1 md:basis-auto">
          {WAYS.map(({ way: w, label, icon: Icon }) => (
            <Button
              key={w}
              size="icon"
              className="leading-tight whitespace-normal! max-md:min-h-12!"
              onClick={() => {
                settings.setState({ firstWay: w, firstDone: 0 });
                setTimeout(() => list.current?.querySelector('button')?.focus(), 50); // what was pressed is gone
              }}
            >
              <Icon size={17} className="shrink-0" aria-hidden /> {label}
            </Button>
          ))}
        </div>
        {skip}
      </section>
    );
  const steps = STEPS[way];
  function openSick() {
    const id = newId();
    const { batch, tray } = { batch: setUp.batch, tray: setUp.tier.trays[0]! };
    changeSite(sites, 'open a case', openCase({ id, batchId: batch.id, trayId: tray.id, opened: today }));
    end();
    router.push(`/clinic/${encodeURIComponent(id)}`);
  }
  return (
    <section aria-label="First steps" className="flex flex-wrap items-center gap-2 border-b border-line bg-sunk px-4 py-2 md:px-6">
      <ol ref={list} className="flex flex-1 flex-wrap items-center gap-2">
        {steps.map((step, i) => (
          <li key={step}>
            <Button
              kind={i === done ? 'main' : 'plain'}
              onClick={() => {
                settings.setState({ firstDone: Math.max(done, i + 1) });
                onAsk(step);
              }}
            >
              {i < done ? <Check size={17} aria-label="Done" /> : <span aria-hidden>{i + 1}</span>} {STEP_WORDS[step]}
            </Button>
          </li>
        ))}
      </ol>
      {done >= steps.length && (
        <p role="status" className="order-last flex basis-full flex-wrap items-center gap-x-4 gap-y-2">
          {END_WORDS[way]}
          {way === 'lamp' && (
            <Link href={`/stands${NEW_STAND_HASH}`} className="font-semibold underline underline-offset-4" onClick={end}>
              Draw my rack or shelf
            </Link>
          )}
          {way === 'seeds' && (
            <Link href="/season" className="font-semibold underline underline-offset-4" onClick={end}>
              Plan when to sow
            </Link>
          )}
          {way === 'sick' && (
            <Button kind="main" onClick={openSick}>
              Show what is wrong
            </Button>
          )}
        </p>
      )}
      {skip}
    </section>
  );
}
