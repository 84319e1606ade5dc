'use client';
import { ArrowLeft, Check, Footprints } from 'lucide-react';
import { useState } from 'react';
import { useStore } from 'zustand';
import { PRACTICE_TRUTH, type PracticeTruth } from '@/store/meter/practiceWorld';
import { CheckField } from '../parts/CheckField';
import { Button } from '../parts/Button';
import { Segments } from '../parts/Segments';
import { usePageActions, type PageAction } from '../shell/pageActions';
import { useWorkspace } from '../shell/WorkspaceContext';
import { MeterChoice } from './MeterChoice';
import { useRun } from '../practice/useRun';
import { PracticeFields } from './PracticeFields';
import { kindWords } from './words';
import { useMeter } from './useMeter';
import type { TierReadings } from './useTierReadings';
import { WalkPointPanel } from './WalkPointPanel';
import { goTo, walkStore } from './walkStore';

const LENGTHS = [
  { value: '5', label: 'short, 5 points' },
  { value: '9', label: 'usual, 9' },
  { value: '13', label: 'thorough, 13' },
] as const;
type Length = (typeof LENGTHS)[number]['value'];
/** A point takes about so long, with a pause for the display to settle. */
const SECONDS_A_POINT = 20;

const ACTIONS: readonly PageAction[] = [
  {
    id: 'measure',
    name: 'Start measuring',
    words: ['readings', 'walk', 'meter'],
    run: () => document.querySelector<HTMLElement>('[data-start]')?.click(),
  },
];

/** A walk over the tier: the points that tell most, one after the other, in one hand. */
export function WalkPanel({ of, onFit }: { of: TierReadings; onFit(): void }) {
  const { walk } = useStore(walkStore);
  const [truth, setTruth] = useState<PracticeTruth>(PRACTICE_TRUTH);
  const own = walk?.tierId === of.tier.tier.id ? walk : null;
  if (!own) return <BeginWalk of={of} truth={truth} onTruth={setTruth} />;
  const point = own.points[own.at];
  if (point) return <WalkPointPanel key={own.at} of={of} walk={own} point={point} truth={truth} />;
  const taken = own.taken.filter((id) => id !== null && of.tier.tier.readings.some((r) => r.id === id)).length;
  return (
    <section className="space-y-3" aria-labelledby="walk-done">
      <h2 id="walk-done" className="flex items-center gap-2 text-xl font-semibold">
        <Check size={20} aria-hidden /> {taken} of {own.points.length} points read
      </h2>
      <p>
        {taken > 0
          ? 'Now let them correct the plan: lamps, sides and beams as they really are.'
          : 'Nothing was read. Begin again when you like.'}
      </p>
      <div className="flex flex-wrap gap-2">
        {taken > 0 && (
          <Button kind="main" className="min-h-11" onClick={onFit}>
            Fit the plan to them
          </Button>
        )}
        <Button className="min-h-11" onClick={() => goTo(own.points.length - 1)}>
          <ArrowLeft size={17} aria-hidden /> Back to the last point
        </Button>
        <Button kind="quiet" className="min-h-11" onClick={() => walkStore.setState({ walk: null, draft: '', darkDraft: '' })}>
          Another walk
        </Button>
      </div>
    </section>
  );
}

function BeginWalk({ of, truth, onTruth }: { of: TierReadings; truth: PracticeTruth; onTruth(truth: PracticeTruth): void }) {
  const { planWalk, sites } = useWorkspace();
  usePageActions(ACTIONS);
  const meter = useMeter();
  const run = useRun();
  const [length, setLength] = useState<Length>('9');
  const [daylight, setDaylight] = useState(false);
  const [state, setState] = useState<'idle' | 'choosing' | string>('idle');
  const { tier, stand } = of;
  if (tier.lamps.length === 0) return <p>No lamp hangs on this tier. Hang one on the bench; then there is something to read.</p>;
  async function begin() {
    setState('choosing');
    try {
      const points = await planWalk({ site: sites.getState().site, standId: stand.stand.id, tierId: tier.tier.id }, Number(length));
      walkStore.setState({
        walk: { tierId: tier.tier.id, points, at: 0, taken: points.map(() => null), daylight },
        draft: '',
        darkDraft: '',
      });
    } catch (error) {
      setState(
        `The points could not be chosen (${error instanceof Error ? error.message : String(error)}). Reload the page and try again.`,
      );
    }
  }
  return (
    <section className="space-y-4" aria-labelledby="walk">
      <div>
        <h2 id="walk" className="text-xl font-semibold">
          Walk over it with the meter
        </h2>
        <p className="text-soft">
          The points are chosen so that each tells most about this tier: where its plants stand, and near a lamp where lamps and sides would
          otherwise be mistaken for each other. About {Math.max(1, Math.round((Number(length) * SECONDS_A_POINT) / 60))} minutes.
        </p>
      </div>
      <Segments<Length> label="How long a walk" value={length} options={LENGTHS} onChange={setLength} />
      {run ? <p>In your hand: {kindWords(meter.kind.id)}, simulated.</p> : <MeterChoice />}
      {meter.practice && run ? null : meter.practice ? (
        <PracticeFields of={of} truth={truth} onTruth={onTruth} />
      ) : (
        <details className="text-[0.9375rem]">
          <summary className="min-h-9 cursor-pointer font-semibold max-md:min-h-11">How to hold this meter</summary>
          <ul className="list-disc space-y-0.5 pt-1 pl-5 text-soft">
            {[...meter.kind.howToHold, ...meter.kind.misreads].map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </details>
      )}
      <CheckField label="Daylight comes in: I read each point with the lamps off as well" checked={daylight} onChange={setDaylight} />
      <Button kind="main" className="min-h-12 px-5" data-start disabled={state === 'choosing'} onClick={() => void begin()}>
        <Footprints size={18} aria-hidden /> {state === 'choosing' ? 'Choosing the points…' : 'Start measuring'}
      </Button>
      {state !== 'idle' && state !== 'choosing' && (
        <p role="alert" className="text-copper">
          {state}
        </p>
      )}
      <p className="text-sm text-soft">
        Lamps on for ten minutes first, tubes for half an hour: cold ones give less. Keep water and wet hands away from plugs and fittings.
      </p>
    </section>
  );
}
