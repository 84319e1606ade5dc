'use client';
import { ArrowLeft, Copy, Scissors, Trash2 } from 'lucide-react';
import { useState } from 'react';
import type { BatchCourse } from '@/core/plan/season/batchCourse';
import { restartOf, BURIED_DAYS } from '@/core/plan/season/otherwise';
import { datesFor, plannedFor, rulesFor } from '@/core/plan/season/plannedFor';
import type { SeasonLook } from '@/core/plan/season/seasonLook';
import { mondayOf } from '@/core/plan/season/seasonLook';
import { sowOnStand } from '@/core/plan/season/toStands';
import { addPlanned, changePlanned, dropPlanned, joinPlanned, splitPlanned } from '@/core/site/stand/changeSeason';
import { logIt } from '@/core/site/growth/changeGrowth';
import type { PlannedBatch, SeasonPlan } from '@/core/site/season/SeasonPlan';
import { containerLibrary } from '@/core/things/container/containerLibrary';
import { tables } from '@/core/things/tables/libraryTables';
import { newId } from '@/store/names/newId';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { DayField } from '../parts/DayField';
import { NumberField } from '../parts/NumberField';
import { Segments } from '../parts/Segments';
import { SelectField } from '../parts/SelectField';
import { say } from '../shell/toastStore';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { briefDayWords, dayWords, daysWords } from './dayWords';
import { HardeningSheet } from './HardeningSheet';
import { loggedNow } from './loggedNow';
import { containerName, nameOf, plantsWords, tierName, traysWords } from './seasonWords';

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
  const tiers = site.stands.filter((s) => !s.laidOut).flatMap((s) => s.tiers);

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

function DatesSaid({ course, season, dates }: { course: BatchCourse; season: SeasonPlan; dates: ReturnType<typeof datesFor> }) {
  const { crop, emergence, lampBy, batch, hardening } = course;
  const today = useToday();
  const age = batch.out - (course.parts[0]?.from ?? batch.sown);
  return (
    <ul className="space-y-1 text-sm">
      {crop.germination && (
        <li>
          {emergence.seen
            ? `Came up ${dayWords(emergence.expected)}.`
            : `May come up ${briefDayWords(emergence.first)} to ${briefDayWords(emergence.last)}. Lamp on by ${dayWords(lampBy)}.`}
        </li>
      )}
      {batch.goal === 'outdoors' && hardening < batch.out && <li>Harden off from {dayWords(hardening)}.</li>}
      <li>
        {daysWords(age)} from sowing to the last day; {crop.name} needs {rulesFor(crop, season).age.youngest}–
        {rulesFor(crop, season).age.oldest}.
      </li>
      {dates && batch.goal === 'outdoors' && (
        <li>
          Sow between <b>{briefDayWords(dates.window.earliest)}</b> and <b>{briefDayWords(dates.window.latest)}</b> to plant out from{' '}
          {briefDayWords(dates.window.plantOut)}:{' '}
          {dates.binding === 'night' ? 'nights are warm enough from then on' : 'frost is over for it then'} (growers’ consensus).
        </li>
      )}
      {!dates && batch.goal === 'outdoors' && crop.sowing && (
        <li className="text-copper">Not checked against the weather: say when your last frost is, under “Frost and nights”.</li>
      )}
      {dates?.late.status === 'late' && batch.batchId === null && (
        <li className="text-copper">
          The window closed {daysWords(dates.late.daysLate)} ago. Sown today it is old enough on{' '}
          {briefDayWords(dates.late.plantOutAtFullAge)}
          {dates.late.isWorthIt ? '; planted out on time it would be young, but settled' : ''}.
        </li>
      )}
      {dates?.betterSownOutdoors && (
        <li>
          {crop.name} can be sown outdoors as well: it is indoors for at most {daysWords(dates.rules.age.oldest)} and bears nights of{' '}
          {crop.sowing!.nightLeast} °C, so seed sown where it is to stand catches up (growers’ consensus).
        </li>
      )}
      {batch.lost !== null && <li className="text-copper">Lost on {dayWords(batch.lost)}.</li>}
      {batch.out < today && <li>It has left the shelves.</li>}
    </ul>
  );
}

function Containers({ course, onChange }: { course: BatchCourse; onChange(containers: PlannedBatch['containers']): void }) {
  const { batch } = course;
  const options = containerLibrary.map((c) => ({ value: c.id, label: c.name }));
  const last = batch.containers.at(-1)!;
  return (
    <section className="space-y-2" aria-label="Containers">
      <h3 className="font-semibold">Containers</h3>
      <ol className="space-y-2">
        {batch.containers.map((c, i) => {
          const part = course.parts.find((p) => p.containerId === c.containerId);
          return (
            <li key={i} className="flex flex-wrap items-end gap-2">
              <div className="min-w-40 flex-1">
                <SelectField
                  label={i === 0 ? 'Sown in' : 'Potted on into'}
                  value={c.containerId}
                  options={options}
                  onChange={(containerId) => onChange(batch.containers.map((x, j) => (j === i ? { ...x, containerId } : x)))}
                />
              </div>
              {i > 0 && (
                <NumberField
                  label="Days after emergence"
                  value={c.fromDay}
                  min={batch.containers[i - 1]!.fromDay + 1}
                  max={(batch.containers[i + 1]?.fromDay ?? 2001) - 1}
                  whole
                  inputClassName="w-16"
                  onChange={(fromDay) => onChange(batch.containers.map((x, j) => (j === i ? { ...x, fromDay } : x)))}
                />
              )}
              {i > 0 && (
                <Button
                  kind="quiet"
                  className="px-2!"
                  aria-label={`Remove ${containerName(c.containerId)}`}
                  onClick={() => onChange(batch.containers.filter((_, j) => j !== i))}
                >
                  <Trash2 size={17} aria-hidden />
                </Button>
              )}
              <p className="w-full font-narrow text-sm text-soft">
                {part
                  ? `${briefDayWords(part.from)}: ${plantsWords(part.plants)}, ${traysWords(part.trays)}`
                  : 'Not reached: it leaves before'}
              </p>
            </li>
          );
        })}
      </ol>
      {batch.containers.length < 6 && (
        <Button onClick={() => onChange([...batch.containers, { containerId: 'pot-9', fromDay: last.fromDay + 21 }])}>
          Add potting on
        </Button>
      )}
    </section>
  );
}

/** Where the placing puts it, week by week: stretches on the same tier. */
function PlacesByWeek({ course, look }: { course: BatchCourse; look: SeasonLook | null }) {
  const site = useSite((s) => s.site);
  if (!look) return null;
  const places = look.placing.tierOf[course.batch.id] ?? [];
  const well = look.placing.well[course.batch.id] ?? [];
  const stretches: { from: number; until: number; tier: string; well: boolean }[] = [];
  places.forEach((tier, t) => {
    if (tier === null) return;
    const last = stretches.at(-1);
    if (last && last.tier === tier && last.well === well[t] && last.until === t) last.until = t + 1;
    else stretches.push({ from: t, until: t + 1, tier, well: well[t] ?? true });
  });
  if (stretches.length === 0) return null;
  return (
    <ul className="space-y-0.5 text-sm" aria-label="Where it stands best">
      {stretches.map((s) => (
        <li key={s.from} className={s.well ? '' : 'text-copper'}>
          {briefDayWords(look.weeks[s.from]!.from)}–{briefDayWords(look.weeks[s.until - 1]!.from + 6)}:{' '}
          {s.tier === 'off' ? 'no place with light' : tierName(site, s.tier)}
          {s.well ? '' : s.tier === 'off' ? '' : ', too little light'}
        </li>
      ))}
    </ul>
  );
}

function SownButton({ course, look }: { course: BatchCourse; look: SeasonLook | null }) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const today = useToday();
  const { batch } = course;
  const tiers = site.stands.filter((s) => !s.laidOut).flatMap((s) => s.tiers);
  const week = look?.weeks.findIndex((w) => w.from === mondayOf(Math.max(today, batch.sown))) ?? -1;
  const best = batch.tierId ?? look?.placing.tierOf[batch.id]?.find((t, i) => i >= week && t !== null && t !== 'off') ?? tiers[0]?.id;
  if (!best) return null;
  return (
    <Button
      kind="main"
      onClick={() => {
        const asked = sowOnStand(site, course, best, today, newId, tables);
        const order = [best, ...tiers.map((t) => t.id).filter((id) => id !== best)];
        // Where the best tier is full, the next one with room.
        const done = order.map((id) => ({ id, ...sowOnStand(site, course, id, today, newId, tables) })).find((d) => d.site !== site) ?? {
          id: best,
          ...asked,
        };
        if (done.site === site) return say('There is no free place on any tier. Make room on the bench first; the plan stays as it is.');
        if (!changeSite(sites, `sow ${nameOf(site, batch)}`, () => done.site)) return;
        say(`Sown today, on ${tierName(site, done.id)}.${done.stuck > 0 ? ` ${traysWords(done.stuck)} found no place there.` : ''}`, {
          label: 'Undo',
          run: () => undo(sites),
        });
      }}
    >
      Sown today
    </Button>
  );
}

/** Leggy, or lost: what can be done, what it costs in days, whether the date still holds. */
function Rescue({ course, season }: { course: BatchCourse; season: SeasonPlan }) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const today = useToday();
  const { batch, crop } = course;
  const name = nameOf(site, batch);
  const restart = restartOf(course, season, today);
  const again = (): PlannedBatch => {
    const fresh = plannedFor(crop, season, null, batch.cells, today, newId());
    return {
      ...fresh,
      label: `${name}, again`.slice(0, 120),
      goal: batch.goal,
      sown: today,
      out: Math.max(batch.out, restart.readyOn),
      containers: batch.containers,
      keepAtMost: batch.keepAtMost,
    };
  };
  return (
    <details className="border-t border-line pt-3">
      <summary className="min-h-9 font-semibold max-md:min-h-11">Leggy, or lost?</summary>
      <div className="space-y-2 pt-1">
        {restart.canBury ? (
          <p>
            {crop.name} can be potted on deeper,{' '}
            {crop.leggyRemedy === 'bury-stem' ? 'with the stem buried: it roots along it' : 'up to its seed leaves'}. That costs about{' '}
            {daysWords(BURIED_DAYS)} (growers’ consensus).
          </p>
        ) : (
          <p>{crop.name} does not root from a buried stem: sow again while there is time.</p>
        )}
        <p>
          Sown again today it is old enough on {dayWords(restart.readyOn)}:{' '}
          {restart.holds ? 'the date still holds' : `${daysWords(restart.daysLate)} late`}.
        </p>
        <div className="flex flex-wrap gap-2">
          {restart.canBury && (
            <Button
              onClick={() => {
                changeSite(
                  sites,
                  `bury ${name}`,
                  changePlanned(batch.id, (b) => ({ out: b.out + BURIED_DAYS })),
                );
                say(`${name}: a week later.`, { label: 'Undo', run: () => undo(sites) });
              }}
            >
              Pot deeper, a week later
            </Button>
          )}
          <Button
            onClick={() => {
              changeSite(sites, `start ${name} over`, (s) => addPlanned(again())(changePlanned(batch.id, () => ({ lost: today }))(s)));
              say(`${name} is sown again in the plan.`, { label: 'Undo', run: () => undo(sites) });
            }}
          >
            Start over today
          </Button>
          <Button
            onClick={() => {
              changeSite(
                sites,
                `${name} is lost`,
                changePlanned(batch.id, () => ({ lost: today })),
              );
              say('Its room is free from today.', { label: 'Undo', run: () => undo(sites) });
            }}
          >
            It is lost
          </Button>
        </div>
      </div>
    </details>
  );
}

function SplitButton({ course }: { course: BatchCourse }) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const { batch } = course;
  if (batch.cells < 2) return null;
  return (
    <Button
      onClick={() => {
        changeSite(sites, `split ${nameOf(site, batch)}`, splitPlanned(batch.id, Math.floor(batch.cells / 2), newId()));
        say('Split in two halves: each has its own dates and places now.', { label: 'Undo', run: () => undo(sites) });
      }}
    >
      <Scissors size={17} aria-hidden /> Split
    </Button>
  );
}

function JoinButton({ course, season, onClose }: { course: BatchCourse; season: SeasonPlan; onClose(): void }) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const other = season.batches.find(
    (b) => b.id !== course.batch.id && b.cropId === course.batch.cropId && b.sown === course.batch.sown && b.batchId === null,
  );
  if (!other) return null;
  return (
    <Button
      onClick={() => {
        changeSite(sites, `join ${nameOf(site, course.batch)}`, joinPlanned(course.batch.id, other.id));
        onClose();
        say('Joined: one batch again.', { label: 'Undo', run: () => undo(sites) });
      }}
    >
      Join with {nameOf(site, other)}
    </Button>
  );
}

/** The same again every so many days. */
function Succession({ course }: { course: BatchCourse }) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const [every, setEvery] = useState(9);
  const [times, setTimes] = useState(4);
  const { batch } = course;
  const name = nameOf(site, batch);
  return (
    <details>
      <summary className="inline-flex min-h-9 items-center gap-2 rounded-md border border-line px-3 font-semibold max-md:min-h-11">
        <Copy size={17} aria-hidden /> Sow again and again
      </summary>
      <div className="flex flex-wrap items-end gap-3 py-2">
        <NumberField label="Every" value={every} min={1} max={120} whole unit="days" inputClassName="w-16" onChange={setEvery} />
        <NumberField label="More times" value={times} min={1} max={40} whole inputClassName="w-16" onChange={setTimes} />
        <Button
          onClick={() => {
            const copies = Array.from({ length: times }, (_, i) => ({
              ...batch,
              id: newId(),
              label: `${name} ${i + 2}`.slice(0, 120),
              sown: batch.sown + every * (i + 1),
              out: batch.out + every * (i + 1),
              batchId: null,
              lost: null,
            }));
            if (!changeSite(sites, `sow ${name} again`, addPlanned(...copies))) return;
            say(`${times} more of ${name}, every ${daysWords(every)}.`, { label: 'Undo', run: () => undo(sites) });
          }}
        >
          Add them
        </Button>
      </div>
    </details>
  );
}
