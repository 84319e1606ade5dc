'use client';
import { ChevronRight } from 'lucide-react';
import { heightAt } from '@/core/things/crop/heightAt';
import { tables } from '@/core/things/tables/libraryTables';
import { cropOfBatch } from '@/core/plan/practice/passDay';
import { dayNumberOf } from '@/core/plan/practice/Session';
import { heightOf } from '@/core/plan/practice/trueStands';
import { showLength } from '@/core/units/length';
import type { Run } from '@/store/practice/Practice';
import { Button } from '../parts/Button';
import { Link } from '../parts/Link';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { useSettings, useSite, useWorkspace } from '../shell/WorkspaceContext';
import { standPath, STAND_PARTS } from '../stands/places';
import { batchName } from '../today/todayWords';
import { EXERCISE_WORDS, goalWords, seenWords } from './exerciseWords';
import { PlantRow } from './PlantRow';
import { OutcomePanel } from './OutcomePanel';
import { useRun } from './useRun';

/** The exercise under way: what it is about, how the plants stand, and in the end how it came out. */
export function RunView() {
  const { house } = useWorkspace();
  const run = useRun();
  return (
    <div className="mx-auto w-full max-w-4xl space-y-6 px-4 py-5 md:px-6">
      {run && house.kind === 'practice' ? (
        <Exercise run={run} />
      ) : (
        <>
          <h1 className="text-2xl font-semibold">Practice</h1>
          <p>
            No exercise is running in this window.{' '}
            <Link href="/clinic/practice" className="font-semibold underline underline-offset-4">
              Choose one
            </Link>
          </p>
        </>
      )}
    </div>
  );
}

function Exercise({ run }: { run: Run }) {
  const { exercise, session, seen } = run;
  const site = useSite((s) => s.site);
  const words = EXERCISE_WORDS[exercise.id];
  const stand = site.stands[0];
  const parts = STAND_PARTS.filter(({ part }) => part !== 'power' && (part !== 'daylight' || stand?.window));
  return (
    <>
      <header className="space-y-2">
        <p className="text-sm font-semibold text-soft">
          Practice, number {session.seed}: day {dayNumberOf(session)} of {exercise.days}
        </p>
        <h1 className="text-2xl font-semibold">{words.title}</h1>
        <p className="max-w-prose">{words.story}</p>
        {!session.ended && (
          <>
            <p className="max-w-prose">
              <b>{words.task}</b> <span className="text-soft">Goal: {goalWords(exercise)}.</span>
            </p>
            <p className="max-w-prose text-soft">
              You use the real screens on this made-up stand. Not everything is as the plan says: the simulated meter shows what is really
              there. Only the lamps that hang here or lie in the cupboard shine. When all is set, let days pass with the buttons above.
            </p>
          </>
        )}
      </header>
      {session.ended && <OutcomePanel run={run} />}
      {!session.ended && stand && (
        <nav aria-label="The practice stand" className="flex flex-wrap gap-2">
          {parts.map(({ part, label }) => (
            <Link
              key={part}
              href={standPath(stand.id, part)}
              className="inline-flex min-h-11 items-center gap-1 rounded-md border border-line bg-sheet px-3 font-semibold hover:bg-sunk"
            >
              {label} <ChevronRight size={16} aria-hidden />
            </Link>
          ))}
          <Clock run={run} />
        </nav>
      )}
      <section aria-labelledby="stand-now" className="space-y-2">
        <h2 id="stand-now" className="text-lg font-semibold">
          How they stand
        </h2>
        <ul className="divide-y divide-line border-y border-line">
          {Object.entries(session.trays).map(([id, tray]) => (
            <TrayNow key={id} run={run} batchId={tray.batchId} trayId={id} />
          ))}
        </ul>
        {seen.length > 0 && (
          <ul className="list-disc pl-5 text-soft" aria-label="What was seen last">
            {seen.map((s, i) => (
              <li key={i}>{seenWords(s, batchName(site, s.batchId))}</li>
            ))}
          </ul>
        )}
      </section>
    </>
  );
}

function TrayNow({ run, batchId, trayId }: { run: Run; batchId: string; trayId: string }) {
  const { lengthUnit } = useSettings();
  const site = useSite((s) => s.site);
  const tray = run.session.trays[trayId]!;
  const crop = cropOfBatch(run.start.site, batchId, tables);
  const age = tray.plants[0]?.age ?? 0;
  const usual = heightAt(crop, age);
  return (
    <li className="flex items-center gap-4 py-3">
      <PlantRow plants={tray.plants} crop={crop} usual={usual} />
      <p>
        <b>{batchName(site.batches.some((b) => b.id === batchId) ? site : run.start.site, batchId)}</b>
        <br />
        {tray.plants.length === 0 ? (
          'Nothing is up yet.'
        ) : (
          <>
            {showLength(heightOf(tray), lengthUnit)} tall; {crop.name} of {age} days is usually {showLength(usual, lengthUnit)}.
          </>
        )}
      </p>
    </li>
  );
}

/** Where a timer’s clock is off, one sees it on its dial. */
function Clock({ run }: { run: Run }) {
  const { practice } = useWorkspace();
  const { session, start } = run;
  const off = Math.round((session.today - session.clockSet) * start.truth.lag_min);
  if (Math.abs(off) < 5) return null;
  return (
    <Button className="min-h-11" onClick={() => void practice.setClock().then(() => focusHeadingIfLost())}>
      The timer is {Math.abs(off)} minutes {off > 0 ? 'slow' : 'fast'}: set its clock
    </Button>
  );
}
