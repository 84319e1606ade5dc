'use client';
import { memo, useDeferredValue, useMemo, useState } from 'react';
import { benchStandIn } from '@/store/bench/benchStandIn';
import { activeSetUp } from '@/store/light/followSetUp';
import { newId } from '@/store/names/newId';
import { changeSite } from '@/store/site/siteStore';
import { addSetUp, PLAIN_RECIPE } from '@/store/site/setUpVerbs';
import { AnswerPanel } from '../answer/AnswerPanel';
import { CautionList } from '../caution/CautionList';
import { CostLine } from '../cost/CostLine';
import { DayStrip } from '../hours/DayStrip';
import { Button } from '../parts/Button';
import { useIsWide } from '../parts/useIsWide';
import { PrintSheet } from '../print/PrintSheet';
import { usePrinting } from '../print/usePrinting';
import { QuickReadings } from '../readings/QuickReadings';
import { RulesPanel } from '../rules/RulesPanel';
import { focusOn, usePageActions } from '../shell/pageActions';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { CheckDrawing } from '../drawing/CheckDrawing';
import { VerdictLine, VerdictPanel } from '../verdict/VerdictPanel';
import { WhereFrom } from '../verdict/WhereFrom';
import { Header } from './Header';
import { FirstSteps } from './FirstSteps';
import { QUESTIONS, Sentence, type Question } from './Sentence';

// While a hand drags the lamp, picture, verdict and hours follow at once; what stands around them when there is time.
const CalmHeader = memo(Header);
const CalmSteps = memo(FirstSteps);
const CalmSentence = memo(Sentence);
const CalmAnswer = memo(AnswerPanel);
const CalmWhereFrom = memo(WhereFrom);
const CalmReadings = memo(QuickReadings);
const CalmCost = memo(CostLine);
const CalmRules = memo(RulesPanel);
const CalmCautions = memo(CautionList);

/** One lamp, one tray, one crop: the answer within a minute. */
export function QuickCheck() {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const activeId = useSite((s) => s.activeId);
  const setUp = useMemo(() => activeSetUp({ site, activeId }), [site, activeId]);
  const [laterSetUp, laterSite] = [useDeferredValue(setUp), useDeferredValue(site)];
  // Another set-up, or none, is shown at once: what was deleted is not there to be asked.
  const [calm, calmSite] = laterSetUp?.stand.id === setUp?.stand.id ? [laterSetUp, laterSite] : [setUp, site];
  const calmStand = useMemo(() => calm && benchStandIn(calmSite, calm.stand), [calmSite, calm]);
  const printing = usePrinting();
  const isWide = useIsWide();
  const [asked, setAsked] = useState<Question | null>(null);
  const actions = useMemo(
    () => [
      ...QUESTIONS.map(({ question, name, words }) => ({ id: question, name, words, run: () => setTimeout(() => setAsked(question), 60) })),
      focusOn('distance', 'Move the lamp', ['distance', 'height', 'raise', 'lower'], () =>
        document.querySelector<HTMLElement>('[aria-label="Distance from lamp to leaves"]'),
      ),
    ],
    [],
  );
  usePageActions(actions);
  if (setUp && printing) return <PrintSheet setUp={setUp} />;
  if (!setUp || !calm) {
    const id = newId();
    return (
      <section className="m-auto max-w-md space-y-4 p-6 text-center">
        <h1 className="text-2xl font-semibold">No set-ups yet</h1>
        <p>Choose a crop, a tray and a lamp. The application shows if the light is enough.</p>
        <Button kind="main" onClick={() => changeSite(sites, 'begin a set-up', addSetUp(PLAIN_RECIPE, id), id)}>
          Begin a set-up
        </Button>
      </section>
    );
  }
  return (
    <div className="flex flex-1 flex-col lg:h-dvh lg:flex-none lg:overflow-hidden">
      <CalmHeader setUp={calm} />
      <CalmSteps setUp={calm} onAsk={setAsked} />
      {/* What is changed in an open sheet begins from the newest: a change must not take back the one before it. */}
      <CalmSentence setUp={asked ? setUp : calm} open={asked} onOpen={setAsked} />
      {!isWide && (
        <div className="bg-sheet px-4 pt-2 pb-3">
          <VerdictLine setUp={setUp} />
        </div>
      )}
      <div className="flex min-h-0 flex-1 flex-col lg:flex-row">
        <div className="flex min-h-0 min-w-0 flex-col lg:flex-1">
          <CheckDrawing setUp={setUp} />
        </div>
        <div className="relative space-y-7 bg-sheet px-5 py-5 lg:w-[400px] lg:shrink-0 lg:overflow-y-auto xl:w-[420px]">
          <VerdictPanel setUp={setUp} withLine={isWide} />
          <CalmAnswer key={calm.stand.id} setUp={calm} />
          <CalmWhereFrom setUp={calm} />
          <DayStrip setUp={setUp} />
          <CalmReadings key={`readings-${calm.stand.id}`} setUp={calm} />
          <CalmCost setUp={calm} />
          <CalmRules setUp={calm} />
          <CalmCautions stand={calmStand!} />
        </div>
      </div>
    </div>
  );
}
