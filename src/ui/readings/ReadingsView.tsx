'use client';
import { Tabs } from 'radix-ui';
import { useCallback, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { fitInForce } from '@/core/site/reading/Fit';
import { isRecent, type TierFit } from '@/core/measure/fit/fitTier';
import type { Tier } from '@/core/site/stand/Site';
import type { BenchStand, BenchTier } from '@/core/answer/stand/benchStand';
import { useWorkedOut } from '../parts/useWorkedOut';
import { useStand, useBenchLook } from '../bench/useBench';
import { Link } from '../parts/Link';
import { SelectField } from '../parts/SelectField';
import { useWorkspace } from '../shell/WorkspaceContext';
import { DistancePanel } from './DistancePanel';
import { FitPanel } from './FitPanel';
import { MetersPanel } from './MetersPanel';
import { PlanMap, type MapReading } from './PlanMap';
import { ReadingList } from './ReadingList';
import { sensorStore } from './sensorStore';
import { useTierReadings, type TierReadings } from './useTierReadings';
import { signedPercent } from './words';
import { WalkPanel } from './WalkPanel';
import { walkStore } from './walkStore';
import { WalkSteps } from './WalkSteps';

const TABS = [
  { value: 'walk', label: 'Walk' },
  { value: 'readings', label: 'Readings' },
  { value: 'fit', label: 'Fit' },
  { value: 'distance', label: 'Distance' },
  { value: 'meters', label: 'Meters' },
] as const;
type Tab = (typeof TABS)[number]['value'];

/** The meter corrects the plan: take readings, understand them, let them bend what is computed. */
export function ReadingsView() {
  const stand = useStand();
  if (!stand)
    return (
      <section className="m-auto max-w-md space-y-4 p-6 text-center">
        <h1 className="text-2xl font-semibold">Nothing to read yet.</h1>
        <p>Readings belong to a tier with its lamps. Put a stand on the bench, or begin with the quick check.</p>
        <Link href="/bench" className="font-semibold underline underline-offset-4">
          To the bench
        </Link>
      </section>
    );
  return <OfStand stand={stand} />;
}

function OfStand({ stand }: { stand: BenchStand }) {
  const { benchLooks } = useWorkspace();
  const { tierId } = useBenchLook();
  const tier = stand.tiers.find((t) => t.tier.id === tierId) ?? stand.tiers[0]!;
  const of = useTierReadings(stand, tier);
  const [tab, setTab] = useState<Tab>('walk');
  const [proposal, setProposal] = useState<{ of: Tier; fit: TierFit } | null>(null);
  const [shows, setShows] = useState<'before' | 'after'>('after');
  // It is one of these readings: once one is added, corrected or left out, it is none any more.
  const proposed = proposal?.of.id === tier.tier.id && proposal.of.readings === tier.tier.readings ? proposal.fit : null;
  return (
    <div className="flex min-h-0 flex-1 flex-col lg:overflow-hidden">
      <header className="flex items-end gap-x-3 gap-y-2 border-b md:flex-wrap border-line bg-sheet px-3 py-2 md:px-5">
        <h1 className="text-xl font-semibold max-md:sr-only md:flex-1 md:self-center">Readings</h1>
        {stand.tiers.length > 1 && (
          <SelectField
            label="tier"
            value={tier.tier.id}
            options={stand.tiers.map((t) => ({ value: t.tier.id, label: tierWords(t) }))}
            onChange={(id) => benchLooks.setState({ tierId: id, chosen: [] })}
          />
        )}
      </header>
      <div className="flex min-h-0 flex-1 flex-col lg:flex-row">
        <div className="night flex min-w-0 flex-col justify-center bg-night p-3 lg:flex-1 lg:p-6">
          <Map of={of} tab={tab} proposal={proposed} shows={shows} />
        </div>
        <Tabs.Root
          value={tab}
          onValueChange={(v) => setTab(v as Tab)}
          className="flex min-h-0 flex-col bg-sheet lg:w-[480px] lg:shrink-0 lg:overflow-hidden"
        >
          <Tabs.List aria-label="About readings" className="flex border-b border-line px-2 md:px-4">
            {TABS.map(({ value, label }) => (
              <Tabs.Trigger
                key={value}
                value={value}
                className="min-h-11 flex-1 border-b-3 border-transparent px-1 font-semibold text-soft focus-visible:-outline-offset-3 data-[state=active]:border-verdigris data-[state=active]:text-ink"
              >
                {label}
              </Tabs.Trigger>
            ))}
          </Tabs.List>
          <div data-work tabIndex={-1} className="flex-1 px-4 py-4 outline-none md:px-5 lg:overflow-y-auto">
            {tier.lamps.some((l) => l.fitting.travel) && (tab === 'walk' || tab === 'readings') && (
              <p className="mb-3 rounded-md bg-sunk p-3 text-[0.9375rem]">
                <strong className="font-semibold">A lamp here travels:</strong> read the mean of your meter over its whole way, there and
                back. A single look says where the lamp was, not what the plants get.
              </p>
            )}
            <Tabs.Content value="walk">
              <WalkPanel of={of} onFit={() => setTab('fit')} />
            </Tabs.Content>
            <Tabs.Content value="readings">
              <ReadingList of={of} />
            </Tabs.Content>
            <Tabs.Content value="fit">
              <FitPanel
                key={tier.tier.id}
                of={of}
                proposal={proposed}
                onProposal={(fit) => setProposal(fit && { of: tier.tier, fit })}
                shows={shows}
                onShows={setShows}
              />
            </Tabs.Content>
            <Tabs.Content value="distance">
              <DistancePanel of={of} />
            </Tabs.Content>
            <Tabs.Content value="meters">
              <MetersPanel />
            </Tabs.Content>
          </div>
        </Tabs.Root>
      </div>
    </div>
  );
}

const tierWords = ({ number, tier }: BenchTier) =>
  `${number}${fitInForce(tier) ? ' · fitted' : tier.readings.length > 0 ? ` · ${tier.readings.length} read` : ''}`;

interface MapProps {
  of: TierReadings;
  tab: Tab;
  proposal: TierFit | null;
  shows: 'before' | 'after';
}

/** The map as each step needs it: with the points of the walk, with a mark to be set, with what is left of each reading. */
function Map({ of, tab, proposal, shows }: MapProps) {
  const { lightOfTier } = useWorkspace();
  const { walk } = useStore(walkStore);
  const sensor = useStore(sensorStore);
  const { stand, tier: t } = of;
  const asked = useMemo(() => ({ stand, tierId: t.tier.id }), [stand, t]);
  const look = useCallback((of: typeof asked) => lightOfTier(of.stand, of.tierId), [lightOfTier]);
  const light = useWorkedOut(asked, look);
  const own = walk?.tierId === t.tier.id && tab === 'walk' ? walk : null;
  const readings = useMemo(
    () =>
      t.known.compared
        .filter(({ reading }) => !own || own.taken.some((id, i) => id === reading.id && i !== own.at))
        .filter(({ reading }) => tab !== 'fit' || isRecent(reading, t.tier.readings))
        .map((c): MapReading => {
          const { reading } = c;
          const fitted = proposal?.answer.readings.find((r) => r.id === reading.id);
          const plan = fitted?.[shows] ?? of.plannedAt(reading).ppfd;
          const off = plan > 0 ? c.measured / plan - 1 : 0;
          const state = reading.leftOut ? 'left-out' : fitted && fitted.honest < 0.5 ? 'doubtful' : 'good';
          return {
            id: reading.id,
            x: reading.dx + t.tier.width / 2,
            y: reading.dy + t.tier.depth / 2,
            state,
            words: tab === 'fit' ? signedPercent(off) : String(Math.round(c.measured)),
          };
        }),
    [t, tab, own, proposal, shows, of],
  );
  const marks = tab === 'readings';
  const mark = marks ? (sensor.tierId === t.tier.id ? sensor : { x: t.tier.width / 2, y: t.tier.depth / 2 }) : null;
  return (
    <>
      <PlanMap
        of={of}
        light={light?.answer?.tiers[t.tier.id] ?? null}
        readings={readings}
        points={own?.points}
        at={own?.at}
        done={own?.taken.map((id) => id !== null)}
        mark={mark}
        onPoint={
          marks
            ? ({ x, y }) =>
                sensorStore.setState((s) => ({
                  tierId: t.tier.id,
                  x: Math.round(x * 100) / 100,
                  y: Math.round(y * 100) / 100,
                  z: s.tierId === t.tier.id ? s.z : null,
                }))
            : undefined
        }
      />
      {own && <WalkSteps of={of} walk={own} />}
      <p className="px-2 pt-1 text-[0.8125rem] text-night-soft max-md:hidden">
        {tab === 'fit'
          ? `Each reading and how far it is off the ${proposal ? (shows === 'after' ? 'fit that is proposed' : 'boxes of the lamps') : 'plan'}; empty ones are left out.`
          : 'Each reading in µmol/m²/s; empty ones are left out.'}
      </p>
    </>
  );
}
