'use client';
import { useEffect, useRef, useState } from 'react';
import type { BatchCourse } from '@/core/plan/season/batchCourse';
import { offPlanOf } from '@/core/plan/season/offPlan';
import { datesFrom } from '@/core/plan/season/seasonDates';
import { mondayOf, type SeasonLook, type SeasonWeek } from '@/core/plan/season/seasonLook';
import { takeToStands } from '@/core/plan/season/toStands';
import { runningWith } from '@/core/plan/trial/runningWith';
import type { WayOut } from '@/core/plan/season/waysOut';
import { takeOut } from '@/core/site/ownLamps/changeOwnLamps';
import { hangOneMore } from '@/core/plan/season/hangOneMore';
import { changePlanned } from '@/core/site/stand/changeSeason';
import type { SeasonPlan } from '@/core/site/season/SeasonPlan';
import type { Site } from '@/core/site/stand/Site';
import { lampOf } from '@/core/answer/stand/benchStand';
import { tables } from '@/core/things/tables/libraryTables';
import { newId } from '@/store/names/newId';
import { changeSite, undo } from '@/store/site/siteStore';
import type { useImproved } from './useSeason';
import type { SeasonAnswer } from '@/workers/season/season.api';
import { Button } from '../parts/Button';
import { joined } from '../parts/joined';
import { inTrialWords } from '../today/inTrialWords';
import { focusHeading, focusHeadingIfLost } from '../shell/focusHeading';
import { say } from '../shell/toastStore';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { briefDayWords, dayWords } from './dayWords';
import { otherwiseWords, seasonDateWords, tierName, traysWords, wayWords, weeksWords } from './seasonWords';

interface SeasonPanelProps {
  season: SeasonPlan;
  courses: readonly BatchCourse[];
  answer: SeasonAnswer | null;
  solver: ReturnType<typeof useImproved>;
  isWorking: boolean;
  failed: boolean;
  onChoose(id: string): void;
  onAdd(): void;
}

/** What the season holds: where it overflows, ways out, what goes otherwise, and what comes next. */
export function SeasonPanel({ season, courses, answer, solver, isWorking, failed, onChoose, onAdd }: SeasonPanelProps) {
  if (courses.length === 0)
    return (
      <div className="space-y-3">
        <h2 className="text-xl font-semibold">Nothing to sow yet</h2>
        <p>Add the first batch: a crop, how many, and when it should go out. Its dates are counted back for you.</p>
        <Button kind="main" onClick={onAdd}>
          Add a batch
        </Button>
      </div>
    );
  return (
    <div className="space-y-6">
      <Room look={answer?.look ?? null} isWorking={isWorking} failed={failed} carries={answer?.carries.length ?? 0} />
      {answer && answer.look.over > 0 && <SearchLonger look={answer.look} solver={solver} />}
      {answer && answer.look.over > 0 && <WaysOut season={season} look={answer.look} />}
      <GoesOtherwise season={season} courses={courses} onChoose={onChoose} />
      <Mats courses={courses} />
      {answer && <PlacingNow look={answer.look} isWorking={isWorking} />}
      <NextDates courses={courses} onChoose={onChoose} />
    </div>
  );
}

/** The stretch of weeks with too little light that holds the worst one. */
function worstStretch(weeks: readonly SeasonWeek[]): { from: SeasonWeek; until: SeasonWeek; worst: SeasonWeek } | null {
  const at = weeks.reduce((best, w, i) => (w.over > (weeks[best]?.over ?? 0) ? i : best), 0);
  if (!weeks[at] || weeks[at].over === 0) return null;
  let [a, b] = [at, at];
  while (a > 0 && weeks[a - 1]!.over > 0) a--;
  while (b + 1 < weeks.length && weeks[b + 1]!.over > 0) b++;
  return { from: weeks[a]!, until: weeks[b]!, worst: weeks[at] };
}

function Room({ look, isWorking, failed, carries }: { look: SeasonLook | null; isWorking: boolean; failed: boolean; carries: number }) {
  if (failed) return <p role="alert">The light of your shelves could not be worked out. Dates and trays are right all the same. Load the page again to try once more.</p>; // prettier-ignore
  if (!look) return <p className="text-soft" role="status">{isWorking ? 'Working out what light your shelves have …' : ''}</p>; // prettier-ignore
  if (carries === 0) return <p>There are no shelves yet. Draw a stand under Stands; then you see whether everything finds light.</p>;
  const stretch = worstStretch(look.weeks);
  const total = (w: SeasonWeek) => w.trays.sown + w.trays.raised + w.trays.potted;
  return (
    <section aria-live="polite">
      {stretch ? (
        <>
          <p className="font-narrow text-sm text-soft">
            {weeksWords(stretch.from.from, stretch.until.from + 6)} · {traysWords(total(stretch.worst))} in the worst week, light for{' '}
            {stretch.worst.room}
          </p>
          <h2 className="text-2xl leading-tight font-semibold">
            In the week of {briefDayWords(stretch.worst.from)},{' '}
            <span className="text-copper">{traysWords(stretch.worst.over)} get too little light.</span>
          </h2>
          <p className="mt-1 text-soft">
            {stretch.worst.homeless > 0 && `${traysWords(stretch.worst.homeless)} of them find no place at all. `}
            All batches are placed as well as {look.placing.proven ? 'can be' : 'we could find'}, with the lamps at their best distance and
            hours.
          </p>
        </>
      ) : (
        <h2 className="text-2xl leading-tight font-semibold">
          <span className="text-verdigris">Every tray has enough light</span> from now to the end of the season.
        </h2>
      )}
    </section>
  );
}

/** A solver goes on where the quick search stopped, and says how good any placing can be. */
function SearchLonger({ look, solver: { improved, search, failed, start } }: { look: SeasonLook; solver: ReturnType<typeof useImproved> }) {
  if (failed) return <p role="alert">The solver could not be started. The places shown are the best of the quick search.</p>;
  if (search)
    return (
      <div className="flex items-center gap-3">
        <progress className="h-2 flex-1 accent-in-range" value={search.done} max={1} aria-label="Looking for better places" />
        <Button onClick={search.stop}>Cancel</Button>
      </div>
    );
  if (!improved) return look.placing.proven ? null : <Button onClick={start}>Look for better places</Button>;
  return (
    <p aria-live="polite">
      {improved.look.over <= improved.leastOver
        ? `Proven: no places for these batches leave fewer than ${improved.look.over} tray-weeks with too little light.`
        : `${improved.look.over} tray-weeks get too little light; no places can leave fewer than ${improved.leastOver}.`}
    </p>
  );
}

const MOST_WAYS = 6;

function WaysOut({ season, look }: { season: SeasonPlan; look: SeasonLook }) {
  const { sites, seasonWaysOut } = useWorkspace();
  const site = useSite((s) => s.site);
  const [done, setDone] = useState<number | null>(null);
  const [found, setFound] = useState<{ of: Site; ways: readonly WayOut[] } | null>(null);
  const search = useRef<{ stop(): void } | null>(null);
  useEffect(() => () => search.current?.stop(), []);
  const worst = Math.max(...look.weeks.map((w) => w.over));

  function start() {
    setDone(0);
    const asked = seasonWaysOut(site, setDone);
    search.current = asked;
    asked.ways
      .then((ways) => setFound({ of: site, ways }))
      .catch(() => undefined)
      .finally(() => setDone(null));
  }
  // Each way was worked out beside all else as it was: whatever changes, its figures hold no more.
  const stale = found !== null && !hasSameShelves(found.of, site);
  return (
    <section aria-labelledby="ways-out" className="space-y-2">
      <h3 id="ways-out" className="text-lg font-semibold">
        Ways out
      </h3>
      <p className="text-sm text-soft">Too little light, in all: {look.over} tray-weeks (one tray for one week).</p>
      {done !== null ? (
        <div className="flex items-center gap-3">
          <progress className="h-2 flex-1 accent-in-range" value={done} max={1} aria-label="Looking for ways out" />
          <Button onClick={() => search.current?.stop()}>Cancel</Button>
        </div>
      ) : !found || stale ? (
        <Button onClick={start}>{stale ? 'Look again' : 'Look for ways out'}</Button>
      ) : null}
      {found && !stale && found.ways.length === 0 && <p>No single change helps. Grow fewer batches, or add a tier with lamps.</p>}
      {found && !stale && (
        <ol className="divide-y divide-line">
          {found.ways.slice(0, MOST_WAYS).map((way) => {
            const { act, cost } = wayWords(site, way, season);
            return (
              <li key={act} className="flex items-start gap-3 py-2.5">
                <div className="flex-1">
                  <p>{act}</p>
                  <p className="font-narrow text-sm font-semibold text-verdigris">
                    {look.over} → {way.over} tray-weeks{way.worst < worst && `, worst week ${worst} → ${way.worst}`}
                    {cost && <span className="font-normal text-soft"> · {cost}</span>}
                  </p>
                </div>
                <Button
                  aria-label={`Apply: ${act}`}
                  onClick={() => {
                    if (!changeSite(sites, act.toLowerCase(), (s) => takenWay(s, way))) return;
                    focusHeading();
                    say(`Done: ${act}.`, { label: 'Undo', run: () => undo(sites) });
                  }}
                >
                  Apply
                </Button>
              </li>
            );
          })}
        </ol>
      )}
    </section>
  );
}

/** Whether two sites have the same plan, and the same light for it. */
const hasSameShelves = (a: Site, b: Site): boolean =>
  (['season', 'stands', 'timers', 'batches', 'lamps', 'ownLamps', 'spares', 'windows', 'crops'] as const).every(
    (part) => a[part] === b[part],
  );

/** A way out taken: a change of the batch, or a lamp more on its tier. */
function takenWay(site: Site, { what, change }: WayOut): Site {
  if (change && 'id' in what) return changePlanned(what.id, () => change)(site);
  if (what.kind !== 'lamp') return site;
  const id = newId();
  return hangOneMore(what.tierId, lampOf(site, what.lampId, tables), id)(what.isSpare ? takeOut(site, what.lampId, id) : site);
}

const MOST_OTHERWISE = 4;

/** Batches over which a lamp burns every day. */
function litBatches(site: Site): Set<string> {
  const burning = new Set(site.timers.filter((p) => p.lit_min > 0).map((p) => p.id));
  const tiers = site.stands.flatMap((s) => s.tiers).filter((t) => t.fittings.length > 0 && burning.has(t.timerId));
  return new Set(tiers.flatMap((t) => t.trays.map((y) => y.batchId)));
}

function GoesOtherwise({ season, courses, onChoose }: { season: SeasonPlan; courses: readonly BatchCourse[]; onChoose(id: string): void }) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const today = useToday();
  const [showsAll, setShowsAll] = useState(false);
  const all = offPlanOf(courses, season, today, site.visits.away, litBatches(site));
  if (all.length === 0) return null;
  return (
    <section aria-labelledby="otherwise" className="space-y-1">
      <h3 id="otherwise" className="text-lg font-semibold">
        Not as planned
      </h3>
      <ul className="divide-y divide-line">
        {all.slice(0, showsAll ? undefined : MOST_OTHERWISE).map((o) => {
          const batch = season.batches.find((b) => b.id === o.id)!;
          const { says, does } = otherwiseWords(site, o, batch);
          return (
            <li key={`${o.id} ${o.kind.kind}`} className="flex items-start gap-3 py-2.5">
              <div className="flex-1">
                <p>{says}</p>
                {does && <p className="font-narrow text-sm font-semibold text-verdigris">{does}</p>}
              </div>
              {o.change ? (
                <Button
                  aria-label={`Apply: ${does ?? ''}`}
                  onClick={() => {
                    if (
                      !changeSite(
                        sites,
                        'adjust the plan',
                        changePlanned(o.id, () => o.change!),
                      )
                    )
                      return;
                    say(`${does ?? 'Changed'}.`, { label: 'Undo', run: () => undo(sites) });
                  }}
                >
                  Apply
                </Button>
              ) : (
                <Button onClick={() => onChoose(o.id)}>Open</Button>
              )}
            </li>
          );
        })}
      </ul>
      {!showsAll && all.length > MOST_OTHERWISE && <Button onClick={() => setShowsAll(true)}>Show all {all.length}</Button>}
    </section>
  );
}

/** Seed that wants warmth from below, against the mats that are plugged in somewhere. */
function Mats({ courses }: { courses: readonly BatchCourse[] }) {
  const site = useSite((s) => s.site);
  const today = useToday();
  const mats = site.stands.flatMap((s) => s.plugged).filter((p) => p.kind === 'mat').length;
  const wanting = courses.filter((c) => c.crop.heatMat && c.parts.some((p) => p.phase === 'sown' && p.until > today));
  const weeks = [...new Set(wanting.map((c) => mondayOf(Math.max(today, c.parts[0]!.from))))].map((from) => ({
    from,
    trays: wanting.reduce(
      (sum, c) => sum + (c.parts.find((p) => p.phase === 'sown' && p.from < from + 7 && p.until > from)?.trays ?? 0),
      0,
    ),
  }));
  const worst = weeks.reduce((a, w) => (w.trays > a.trays ? w : a), { from: today, trays: 0 });
  if (worst.trays <= mats) return null;
  return (
    <section aria-labelledby="mats">
      <h3 id="mats" className="text-lg font-semibold">
        Warmth for seed
      </h3>
      <p>
        In the week of {briefDayWords(worst.from)}, {traysWords(worst.trays)} want a heat mat;{' '}
        {mats === 0 ? 'none is' : mats === 1 ? 'one is' : `${mats} are`} plugged in. Sow them one after the other, or find a warm place:
        seed needs no light until it comes up, but for a few crops.
      </p>
    </section>
  );
}

/** Where everything stands best this week, taken to the stands by one press. */
function PlacingNow({ look, isWorking }: { look: SeasonLook; isWorking: boolean }) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const today = useToday();
  const week = look.weeks.findIndex((w) => w.from === mondayOf(today));
  if (week < 0) return null;
  const taken = takeToStands(site, look, week, tables);
  const count = taken.trays + taken.lamps + taken.timers;
  const steps = [
    taken.trays > 0 ? `move ${traysWords(taken.trays)}` : '',
    taken.lamps > 0 ? `hang ${taken.lamps} ${taken.lamps === 1 ? 'lamp' : 'lamps'} anew` : '',
    taken.timers > 0 ? `set ${taken.timers} ${taken.timers === 1 ? 'timer' : 'timers'}` : '',
  ].filter(Boolean);
  const changed = taken.site.stands.flatMap((s, i) => (s === site.stands[i] ? [] : s.tiers.flatMap((t) => t.trays.map((y) => y.id))));
  const running = runningWith(site, new Set(changed), today);
  const moves = look.courses.flatMap(({ batch }) => {
    const to = look.placing.tierOf[batch.id]?.[week];
    if (!to || to === 'off' || batch.batchId === null) return [];
    const at = site.stands.flatMap((s) => s.tiers).find((t) => t.trays.some((y) => y.batchId === batch.batchId));
    return at && at.id !== to ? [{ id: batch.id, name: batch.label || batch.cropId, from: at.id, to }] : [];
  });
  return (
    <section aria-labelledby="placing" className="space-y-2">
      <h3 id="placing" className="text-lg font-semibold">
        Best places this week
      </h3>
      {count === 0 ? (
        <p className="text-soft">Everything stands where it gets the most of the light you have.</p>
      ) : (
        <>
          <ul className="space-y-1">
            {moves.slice(0, 5).map((m) => (
              <li key={m.id} className="text-sm">
                <b>
                  {look.courses.find((c) => c.batch.id === m.id)!.batch.label || look.courses.find((c) => c.batch.id === m.id)!.crop.name}
                </b>
                : {tierName(site, m.from)} → {tierName(site, m.to)}
              </li>
            ))}
            {moves.length > 5 && <li className="text-sm text-soft">and {moves.length - 5} more</li>}
          </ul>
          <p className="text-sm text-soft">
            {steps.length > 0 && `To do: ${joined(steps)}.`}
            {taken.stuck > 0 &&
              ` For ${traysWords(taken.stuck)} there is no free place on the drawing: move ${taken.stuck === 1 ? 'it' : 'them'} by hand on the bench.`}
          </p>
          {running.length > 0 && <p className="text-copper">{inTrialWords(running)}</p>}
          <Button
            disabled={isWorking}
            onClick={() => {
              if (!changeSite(sites, 'use these places', (s) => takeToStands(s, look, week, tables).site)) return;
              say('Bench, hang chart and timers follow the plan of this week.', { label: 'Undo', run: () => undo(sites) });
              focusHeadingIfLost();
            }}
          >
            Apply to the stands
          </Button>
        </>
      )}
    </section>
  );
}

const MOST_DATES = 8;

function NextDates({ courses, onChoose }: { courses: readonly BatchCourse[]; onChoose(id: string): void }) {
  const site = useSite((s) => s.site);
  const today = useToday();
  const [all, setAll] = useState(false);
  const dates = datesFrom(courses, today);
  const byId = new Map(courses.map((c) => [c.batch.id, c.batch]));
  return (
    <section aria-labelledby="next-dates" className="space-y-2">
      <h3 id="next-dates" className="text-lg font-semibold">
        Next dates
      </h3>
      {dates.length === 0 && <p className="text-soft">Nothing more comes in this season.</p>}
      <ol className="space-y-1.5">
        {dates.slice(0, all ? undefined : MOST_DATES).map((d) => (
          <li key={`${d.id} ${d.what} ${d.day}`} className="grid grid-cols-[6.2rem_1fr] gap-2">
            <span className="font-narrow text-sm text-soft">{d.day < today ? `until ${briefDayWords(d.until)}` : dayWords(d.day)}</span>
            <button type="button" className="text-left hover:underline max-md:min-h-11" onClick={() => onChoose(d.id)}>
              {seasonDateWords(site, d, byId.get(d.id)!)}
              {d.what === 'emerge' && d.until > d.day && <span className="text-soft"> (to {briefDayWords(d.until)})</span>}
            </button>
          </li>
        ))}
      </ol>
      {!all && dates.length > MOST_DATES && <Button onClick={() => setAll(true)}>Show all {dates.length}</Button>}
    </section>
  );
}
