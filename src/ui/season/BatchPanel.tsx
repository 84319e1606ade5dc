'use client';
import { ArrowLeft, Trash2 } from 'lucide-react';
import type { BatchCourse } from '@/core/plan/season/batchCourse';
import { datesFor } from '@/core/plan/season/plannedFor';
import type { SeasonLook } from '@/core/plan/season/seasonLook';
import { changePlanned, dropPlanned } from '@/core/site/stand/changeSeason';
import { logIt } from '@/core/site/growth/changeGrowth';
import type { PlannedBatch, SeasonPlan } from '@/core/site/season/SeasonPlan';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { DayField } from '../parts/DayField';
import { NumberField } from '../parts/NumberField';
import { Segments } from '../parts/Segments';
import { SelectField } from '../parts/SelectField';
import { say } from '../shell/toastStore';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { briefDayWords } from './dayWords';
import { HardeningSheet } from './HardeningSheet';
import { loggedNow } from './loggedNow';
import { NextTime } from './NextTime';
import { nameOf, plantsWords, tierName } from './seasonWords';
import { Containers } from './BatchContainers';
import { JoinButton, SplitButton, Succession } from './BatchCopies';
import { DatesSaid } from './BatchDates';
import { PlacesByWeek } from './BatchPlaces';
import { Rescue } from './BatchRescue';
import { SownButton } from './SownButton';

const MOST_CELLS = 100_000;

interface BatchPanelProps {
  course: BatchCourse;
  season: SeasonPlan;
  look: SeasonLook | null;
  onClose(): void;
}

/** One batch of the plan: its dates, how many, in what, where; and what to do when it goes otherwise. */
export function BatchPanel({ course, season, look, onClose }: BatchPanelProps) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const today = useToday();
  const { batch, crop } = course;
  const name = nameOf(site, batch);
  const isSown = batch.batchId !== null;
  const set = (what: string, change: Partial<PlannedBatch>) =>
    changeSite(
      sites,
      `${what} of ${name}`,
      changePlanned(batch.id, () => change),
    );
  const dates = datesFor(crop, season, batch.goal === 'ready' ? batch.out : null, today);
  const tiers = site.stands.filter((s) => !s.autoArranged).flatMap((s) => s.tiers);

  return (
    <div className="space-y-5">
      <div className="flex items-start gap-2">
        <div className="flex-1">
          <Button kind="quiet" className="-ml-3" onClick={onClose}>
            <ArrowLeft size={17} aria-hidden /> The whole season
          </Button>
          <h2 className="text-2xl leading-tight font-semibold">{name}</h2>
          <p className="text-soft">
            {plantsWords(course.plantsOut)} {batch.goal === 'outdoors' ? 'to plant out' : 'ready'} {briefDayWords(batch.out)}
          </p>
        </div>
      </div>

      <NextTime cropId={batch.cropId} />
      <section className="space-y-3" aria-label="Dates">
        <div className="flex flex-wrap gap-3">
          <DayField
            label={isSown ? 'Sown' : 'Sow on'}
            value={course.parts[0]?.from ?? batch.sown}
            max={batch.out - 1}
            onChange={(day) => {
              if (day === null) return;
              if (!isSown) set('sowing day', { sown: day });
              else
                changeSite(sites, `sowing day of ${name}`, (s) => ({
                  ...changePlanned(batch.id, () => ({ sown: day }))(s),
                  batches: s.batches.map((b) => (b.id === batch.batchId ? { ...b, sown: day } : b)),
                }));
            }}
          />
          <DayField
            label={batch.goal === 'outdoors' ? 'Plant out on' : 'Ready on'}
            value={batch.out}
            min={(course.parts[0]?.from ?? batch.sown) + 1}
            onChange={(day) => day !== null && set('last day', { out: day })}
          />
        </div>
        <Segments
          label="What for"
          value={batch.goal}
          options={[
            { value: 'outdoors', label: 'To plant out' },
            { value: 'ready', label: 'To harvest or keep' },
          ]}
          onChange={(goal) => set('aim', { goal })}
        />
        <DatesSaid course={course} season={season} dates={dates} />
        {dates && !isSown && dates.late.status !== 'late' && (batch.sown < dates.window.earliest || batch.sown > dates.window.latest) && (
          <Button
            onClick={() =>
              set('sowing day', {
                sown: Math.max(today, dates.window.earliest + Math.floor((dates.window.latest - dates.window.earliest) / 2)),
                out: dates.window.plantOut,
              })
            }
          >
            Use the middle of the window
          </Button>
        )}
      </section>

      <section className="space-y-3" aria-label="How many">
        <div className="flex flex-wrap items-start gap-3">
          <NumberField
            label="Cells sown"
            value={batch.cells}
            min={1}
            max={MOST_CELLS}
            whole
            onChange={(cells) => set('number', { cells })}
          />
          <NumberField
            label="Come up"
            value={batch.filledPercent}
            min={0}
            max={100}
            unit="%"
            inputClassName="w-16"
            onChange={(filledPercent) => set('share that comes up', { filledPercent })}
          />
          <NumberField
            label="Lost at each potting on"
            value={batch.lossPercent}
            min={0}
            max={100}
            unit="%"
            inputClassName="w-16"
            onChange={(lossPercent) => set('losses', { lossPercent })}
          />
          <NumberField
            label="Keep at most, potted on"
            value={batch.keepAtMost ?? course.plantsOut}
            min={1}
            max={MOST_CELLS}
            whole
            onChange={(keepAtMost) => set('number kept', { keepAtMost })}
          />
        </div>
      </section>

      <Containers course={course} onChange={(containers) => set('containers', { containers })} />

      <section className="space-y-2" aria-label="Place">
        <SelectField
          label="Tier"
          value={batch.tierId ?? ''}
          options={[{ value: '', label: 'Any tier' }, ...tiers.map((t) => ({ value: t.id, label: tierName(site, t.id) }))]}
          onChange={(id) => set('tier', { tierId: id === '' ? null : id })}
        />
        <PlacesByWeek course={course} look={look} />
      </section>

      <section className="flex flex-wrap gap-2" aria-label="What happened">
        {!isSown && <SownButton course={course} look={look} />}
        {isSown && !course.emergence.seen && crop.germination && (
          <>
            <Button
              kind="main"
              onClick={() => {
                changeSite(
                  sites,
                  `emergence of ${name}`,
                  logIt(batch.batchId!, { ...loggedNow(today), what: 'emerged', height: null, stage: null }),
                );
                say(`${name} is up. Lamp on, cover and mat off.`, { label: 'Undo', run: () => undo(sites) });
              }}
            >
              It is up today
            </Button>
            <Button
              onClick={() => {
                changeSite(
                  sites,
                  `nothing up of ${name}`,
                  logIt(batch.batchId!, { ...loggedNow(today), what: 'not-yet', height: null, stage: null }),
                );
                say('Noted: nothing up yet. Its dates move on.', { label: 'Undo', run: () => undo(sites) });
              }}
            >
              Nothing up yet
            </Button>
          </>
        )}
        {batch.goal === 'outdoors' && <HardeningSheet course={course} />}
      </section>

      {isSown && batch.lost === null && <Rescue course={course} season={season} />}

      <section className="flex flex-wrap gap-2 border-t border-line pt-4" aria-label="This batch">
        <SplitButton course={course} />
        <JoinButton course={course} season={season} onClose={onClose} />
        <Succession course={course} />
        <Button
          onClick={() => {
            if (!changeSite(sites, `delete ${name} from the plan`, dropPlanned(batch.id))) return;
            onClose();
            say(`${name} is deleted from the plan. Its trays stay on the stands.`, { label: 'Undo', run: () => undo(sites) });
          }}
        >
          <Trash2 size={17} aria-hidden /> Delete
        </Button>
      </section>
    </div>
  );
}
