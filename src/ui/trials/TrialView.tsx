'use client';
import { Printer } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { reviewTrial } from '@/core/plan/trial/designOf';
import { useTrialResult } from './useTrialResult';
import { changeTrial, dropTrial, goOnWithTrial } from '@/core/site/stand/changeTrials';
import type { Trial } from '@/core/site/trial/Trial';
import { trialCsv, trialJson } from '@/store/files/trialText';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { Link } from '../parts/Link';
import { saveFile } from '../parts/saveFile';
import { UndoButtons } from '../parts/UndoButtons';
import { dayWords } from '../season/dayWords';
import { say } from '../shell/toastStore';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { Deviations } from './Deviations';
import { DesignPanel } from './DesignPanel';
import { MorePanel } from './MorePanel';
import { QuestionFields } from './QuestionFields';
import { ResultPanel } from './ResultPanel';
import { TrialChanges } from './TrialChanges';
import { TrialTrays } from './TrialTrays';
import { useGivenInTrial } from './useGivenInTrial';
import { useTrialPlaces } from './useTrialPlaces';

/** One trial: its question, who stands where, what keeps it from answering, what was measured, what it shows. */
export function TrialView({ id }: { id: string }) {
  const trial = useSite((s) => s.site.trials.find((t) => t.id === id));
  if (!trial)
    return (
      <section className="m-auto max-w-md space-y-4 p-6 text-center">
        <h1 className="text-2xl font-semibold">This trial is not here</h1>
        <p>It may be of another browser, or it has been deleted.</p>
        <Link href="/season/trials" className="font-semibold underline underline-offset-4">
          To the trials
        </Link>
      </section>
    );
  return <OfTrial key={id} trial={trial} />;
}

function OfTrial({ trial }: { trial: Trial }) {
  const { sites } = useWorkspace();
  const today = useToday();
  const router = useRouter();
  const places = useTrialPlaces(trial);
  const review = useMemo(() => reviewTrial(trial, places), [trial, places]);
  const { result, isOld } = useTrialResult(trial);
  // Asked after the result, which is there at once and would wait for it.
  const given = useGivenInTrial(trial);
  const change = (what: string, how: Partial<Trial>) =>
    changeSite(
      sites,
      what,
      changeTrial(trial.id, () => how),
    );
  const hasStarted = today >= trial.starts && trial.trays.some((t) => t.values.length > 0);
  // Of a trial that is over it is what one comes for; before, it waits below the trays.
  const shown =
    result === 'failed' ? (
      <p role="alert" className="text-copper">
        The result could not be worked out. Reload the page to try again.
      </p>
    ) : result ? (
      <ResultPanel trial={trial} result={result} review={review} isOld={isOld} />
    ) : (
      <p role="status" className="text-soft">
        Comparing the trays…
      </p>
    );
  return (
    <div className="mx-auto w-full max-w-6xl space-y-7 px-4 py-5 md:px-6">
      <header className="flex flex-wrap items-end gap-3">
        <div className="min-w-0 flex-1">
          <p className="text-soft print:hidden">
            <Link href="/season/trials" className="underline underline-offset-4">
              Trials
            </Link>
          </p>
          <h1 className="text-2xl font-semibold">{trial.name}</h1>
          <p className="text-soft">
            {trial.ended !== null
              ? `Ended ${dayWords(trial.ended)}`
              : today < trial.starts
                ? `Starts ${dayWords(trial.starts)}`
                : `Day ${today - trial.starts}${trial.ends === null ? '' : `, ends ${dayWords(trial.ends)}`}`}
          </p>
        </div>
        <span className="print:hidden">
          <UndoButtons />
        </span>
        <Button kind="quiet" className="print:hidden" aria-label="Print" title="Print" onClick={() => window.print()}>
          <Printer size={19} aria-hidden />
        </Button>
      </header>
      {trial.ended !== null && shown}
      <QuestionFields trial={trial} isFixed={hasStarted} onChange={change} />
      <div className="grid grid-cols-1 gap-x-10 gap-y-7 lg:grid-cols-[minmax(0,1fr)_22rem]">
        <TrialTrays trial={trial} places={places} given={given} onChange={change} />
        <DesignPanel trial={trial} review={review} places={places} />
      </div>
      {trial.ended === null && shown}
      <MorePanel trial={trial} given={given} />
      <TrialChanges trial={trial} />
      <Deviations trial={trial} onChange={change} />
      <footer className="flex flex-wrap gap-2 border-t border-line pt-4 print:hidden">
        <Button
          onClick={() =>
            trial.ended === null
              ? change('end the trial', { ended: today })
              : changeSite(sites, 'go on with the trial', goOnWithTrial(trial.id))
          }
        >
          {trial.ended === null ? 'End the trial today' : 'Go on with it'}
        </Button>
        <Button onClick={() => saveFile('trial.csv', trialCsv(trial), 'text/csv')}>Export CSV</Button>
        <Button onClick={() => saveFile('trial.json', trialJson(trial))}>Export JSON</Button>
        <Button
          kind="quiet"
          onClick={() => {
            changeSite(sites, 'delete the trial', dropTrial(trial.id));
            say('Trial deleted.', { label: 'Undo', run: () => undo(sites) });
            router.push('/season/trials');
          }}
        >
          Delete
        </Button>
      </footer>
    </div>
  );
}
