'use client';
import clsx from 'clsx';
import { useMemo, useState } from 'react';
import { runningTest, testRun, type Diagnosis } from '@/core/plan/clinic/diagnose';
import { testEffect } from '@/core/plan/clinic/testEffect';
import type { TrayInPlace } from '@/core/answer/bench/traysInPlace';
import type { WeighedCauses } from '@/core/judge/clinic/weighCauses';
import { beginTest, changeCase, endTest, toggleDenied } from '@/core/site/stand/changeClinic';
import type { ClinicCase } from '@/core/site/clinic/ClinicCase';
import { tables } from '@/core/things/tables/libraryTables';
import type { Day } from '@/core/units/day';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { Link } from '../parts/Link';
import { dayWords, daysWords } from '../season/dayWords';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { say } from '../shell/toastStore';
import { useSettings, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { CAUSE_WORDS, testWords, treatmentWords } from './causeWords';
import { EffectWords, MendByPlan, RestartWords, useMends } from './MendByPlan';
import { factorWords, factWords, SOURCE_WORDS } from './factWords';
import { SIGN_WORDS } from './signWords';
import { ToldQuestions } from './ToldQuestions';

const SHOWN = 3;
/** A ground that moves less is not worth a line. */
const WORTH_SAYING = 1.4;

interface CausesPanelProps {
  kase: ClinicCase;
  diagnosis: Diagnosis;
  standing: TrayInPlace;
  isLit: boolean;
}

/** What it is, how sure that is and why; what to try, and what mends it. */
export function CausesPanel({ kase, diagnosis, standing, isLit }: CausesPanelProps) {
  const { weighed, certainty, questions } = diagnosis;
  const [first] = weighed as [WeighedCauses];
  const [chosen, setChosen] = useState<string | null>(null);
  const today = useToday();
  const mends = useMends(diagnosis.treatments, standing, certainty !== 'nothing-seen');
  const shown = weighed.slice(0, SHOWN);
  const looked = shown.find((w) => w.cause === chosen) ?? first;
  const rest = weighed.slice(SHOWN);
  if (certainty === 'nothing-seen')
    return (
      <section className="space-y-3">
        <h2 className="text-xl font-semibold">Mark what you see</h2>
        <p>Press a part of the plant, then what is wrong with it. One or two signs are enough to begin with.</p>
        {isLit && <Known diagnosis={diagnosis} />}
      </section>
    );
  const percent = Math.round(first.share * 100);
  return (
    <>
      <section aria-labelledby="cause" className="space-y-3">
        <div aria-live="polite">
          <h2 id="cause" className={clsx('text-2xl font-semibold', first.cause !== 'normal-for-kind' && 'text-copper')}>
            {certainty === 'unclear' ? 'The cause is not clear yet' : CAUSE_WORDS[first.cause].name}
          </h2>
          <p>
            {certainty === 'unclear'
              ? `${CAUSE_WORDS[first.cause].name} fits best, with ${percent} % of all that could be. Answer the questions, mark more signs, or make the test below.`
              : `${certainty === 'clear' ? 'Clear' : 'Likely'}: ${percent} %. ${CAUSE_WORDS[first.cause].what}`}
          </p>
          {diagnosis.byLightUntil !== null && <p>{lightWords(diagnosis, today)}</p>}
        </div>
        <ul className="space-y-1.5" aria-label="Causes with their shares">
          {shown.map((w) => (
            <li key={w.cause}>
              <button
                type="button"
                aria-pressed={w === looked}
                className={clsx(
                  'grid min-h-9 w-full grid-cols-[11rem_1fr_3rem] items-center gap-2 rounded px-1 text-left max-md:min-h-11',
                  w === looked && 'bg-sunk',
                )}
                onClick={() => setChosen(w.cause)}
              >
                <span className="font-semibold">{CAUSE_WORDS[w.cause].name}</span>
                <span className="h-3 rounded-sm bg-sunk">
                  <span
                    className={clsx('block h-3 rounded-sm', w === first ? 'bg-copper' : 'bg-slate')}
                    style={{ width: `${Math.max(1, w.share * 100)}%` }}
                  />
                </span>
                <span className="text-right font-semibold">{w.share < 0.005 ? '<1' : Math.round(w.share * 100)} %</span>
              </button>
            </li>
          ))}
          <li className="grid grid-cols-[11rem_1fr_3rem] gap-2 px-1 text-soft">
            <span>{rest.length} others</span>
            <span />
            <span className="text-right">{Math.round(rest.reduce((sum, w) => sum + w.share, 0) * 100)} %</span>
          </li>
        </ul>
      </section>
      {questions.length > 0 && <ToldQuestions kase={kase} questions={questions} />}
      <Grounds kase={kase} weighed={looked} />
      <TestOf kase={kase} diagnosis={diagnosis} standing={standing} />
      <section aria-labelledby="mend" className="space-y-2">
        <h2 id="mend" className="text-lg font-semibold">
          {certainty === 'unclear' ? 'If it is that, this mends it' : 'This mends it'}
        </h2>
        <ul className="list-disc space-y-1 pl-5">
          {diagnosis.treatments.map((t) => (
            <li key={t}>
              {treatmentWords(t, first.cause, standing.tray.crop, standsAlone(standing))}
              {t === 'restart' && <RestartWords standing={standing} />}
              <MendByPlan mend={mends.find((m) => m.treatment === t) ?? null} standing={standing} />
            </li>
          ))}
          {diagnosis.treatments.length === 0 && (
            <li>
              {diagnosis.isMended
                ? 'Nothing more to do: what was changed mends it.'
                : 'Nothing more to do: the new growth is right already.'}
            </li>
          )}
        </ul>
        {diagnosis.treatments.some((t) => /lamp|hours|dim/.test(t)) && (
          <Link
            className="inline-flex min-h-9 items-center font-semibold text-verdigris max-md:min-h-11"
            href={`/stands/${encodeURIComponent(standing.stand.stand.id)}/bench`}
          >
            See what it would change on the bench
          </Link>
        )}
        <p className="text-sm text-soft">
          Also look below the leaves for webs, sticky drops and insects: pests look like many of these. Switch a lamp off and let it cool
          before you touch it; do not look into it. Keep feeds and sprays away from children and pets. This says nothing of whether a plant
          can be eaten.
        </p>
      </section>
    </>
  );
}

/** By which light it is judged, where that was another than today's, and whether that is mended. */
function lightWords({ byLightUntil, isMended, certainty, lookIn_days }: Diagnosis, today: Day): string {
  const until = byLightUntil === today ? 'until today' : `until ${dayWords(byLightUntil!)}`;
  const mended = `${certainty === 'unclear' ? 'If it is that, what' : 'What'} was set otherwise since mends it: look at the new growth in ${daysWords(lookIn_days)}.`;
  return `Judged by the light ${until}: what you see has grown in it.${isMended ? ` ${mended}` : ''}`;
}

/** What the plan knows already, before anything was marked. */
function Known({ diagnosis }: { diagnosis: Diagnosis }) {
  const units = useSettings();
  const known = diagnosis.facts.filter((f) => f.found !== null);
  return (
    <div>
      <h3 className="font-semibold">Known already</h3>
      <ul className="divide-y divide-line">
        {known.map((f) => (
          <li key={f.id} className="py-1.5">
            {factWords(f, units)} <span className="text-sm text-soft">{SOURCE_WORDS[f.from]}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}

function Grounds({ kase, weighed }: { kase: ClinicCase; weighed: WeighedCauses }) {
  const { sites } = useWorkspace();
  const units = useSettings();
  const weight = (factor: number) => Math.abs(Math.log(factor));
  const grounds = weighed.grounds
    .filter((g) => weight(g.factor) >= Math.log(WORTH_SAYING))
    .sort((a, b) => weight(b.factor) - weight(a.factor));
  return (
    <section aria-labelledby="grounds" className="space-y-1">
      <h2 id="grounds" className="text-lg font-semibold">
        For and against: {CAUSE_WORDS[weighed.cause].name.toLowerCase()}
      </h2>
      <ul className="divide-y divide-line">
        {grounds.map((g) => {
          const of = g.of;
          const isSign = typeof of === 'string';
          return (
            <li key={isSign ? of : of.id} className="flex items-center gap-3 py-1.5">
              <span className="min-w-0 flex-1">
                {isSign ? (g.factor < 1 ? `${SIGN_WORDS[of]}: not explained by it` : SIGN_WORDS[of]) : factWords(of, units)}
                <span className="block text-sm text-soft">{isSign ? 'you marked it' : SOURCE_WORDS[of.from]}</span>
              </span>
              <b className={g.factor >= 1 ? 'text-copper' : 'text-slate'}>{factorWords(g.factor)}</b>
              {!isSign && of.id !== 'tested' && of.id !== 'place' && (
                <Button
                  kind="quiet"
                  className="text-sm"
                  onClick={() => changeSite(sites, 'say it is not so', toggleDenied(kase.id, of.id))}
                  aria-label={`Not so: ${factWords(of, units)}`}
                >
                  Not so
                </Button>
              )}
            </li>
          );
        })}
      </ul>
      {kase.denied.length > 0 && (
        <Button
          kind="quiet"
          onClick={() =>
            changeSite(
              sites,
              'take “not so” back',
              changeCase(kase.id, () => ({ denied: [] })),
            )
          }
        >
          Take back {kase.denied.length === 1 ? 'one “not so”' : `${kase.denied.length} “not so”`}
        </Button>
      )}
      <p className="text-sm text-soft">Factors are growers’ consensus, in steps; each is listed in docs/clinic.md.</p>
    </section>
  );
}

/** Whether a plant has its pot for itself. */
function standsAlone({ tray: { tray } }: TrayInPlace): boolean {
  return tray.containerId !== null && tables.container(tray.containerId)?.plants === 1;
}

function TestOf({ kase, diagnosis, standing }: { kase: ClinicCase; diagnosis: Diagnosis; standing: TrayInPlace }) {
  const effect = useMemo(() => testEffect(diagnosis.test, kase.places, standing), [diagnosis.test, kase.places, standing]);
  const { sites } = useWorkspace();
  const today = useToday();
  const running = runningTest(kase);
  const isAlone = standsAlone(standing);
  if (running) {
    const words = testWords(running.test, isAlone);
    const isDue = running.look <= today;
    const end = (outcome: 'helped' | 'same' | 'worse', words_: string) => {
      changeSite(sites, 'end the test', endTest(kase.id, outcome));
      say(words_, { label: 'Undo', run: () => undo(sites) });
      focusHeadingIfLost();
    };
    return (
      <section aria-labelledby="test" className="space-y-2">
        <h2 id="test" className="text-lg font-semibold">
          {isDue ? 'Look again now' : `Look again ${dayWords(running.look)}`}
        </h2>
        <p>{words.act}</p>
        <p className="text-soft">It comes up on Today. {isAlone ? 'How is its new growth?' : 'How did the half that you changed do?'}</p>
        <div className="flex flex-wrap gap-2">
          <Button onClick={() => end('helped', 'It helped: noted.')}>Better</Button>
          <Button onClick={() => end('same', 'No difference: noted.')}>The same</Button>
          <Button onClick={() => end('worse', 'Worse: noted.')}>Worse</Button>
        </div>
      </section>
    );
  }
  const words = testWords(diagnosis.test, isAlone);
  return (
    <section aria-labelledby="test" className="space-y-2">
      <h2 id="test" className="text-lg font-semibold">
        One change to be sure
      </h2>
      <p>{words.act}</p>
      {effect && (
        <p data-testid="test-effect">
          <EffectWords effect={effect} stage={standing.tray.stage} />
        </p>
      )}
      <p className="text-soft">
        Look again in {daysWords(diagnosis.lookIn_days)}, at the new growth. Better means that {words.ifBetter}; no difference makes{' '}
        {CAUSE_WORDS[diagnosis.weighed[1]!.cause].name.toLowerCase()} likelier.
      </p>
      <Button
        kind="main"
        onClick={() => {
          changeSite(sites, 'begin a test', beginTest(kase.id, testRun(diagnosis, today)));
          say(`Look again ${dayWords(today + diagnosis.lookIn_days)}: it comes up on Today.`, { label: 'Undo', run: () => undo(sites) });
          focusHeadingIfLost();
        }}
      >
        Put it on Today, look again {dayWords(today + diagnosis.lookIn_days)}
      </Button>
    </section>
  );
}
