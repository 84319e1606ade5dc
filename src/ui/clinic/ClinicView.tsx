'use client';
import { ChevronRight, Plus } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { runningTest } from '@/core/plan/clinic/diagnose';
import { openCase } from '@/core/site/stand/changeClinic';
import { benchStandIn } from '@/store/bench/benchStandIn';
import { newId } from '@/store/names/newId';
import { changeSite } from '@/store/site/siteStore';
import { addSetUp, PLAIN_RECIPE } from '@/store/site/setUpVerbs';
import { trayName } from '../bench/benchWords';
import { Button } from '../parts/Button';
import { Link } from '../parts/Link';
import { UndoButtons } from '../parts/UndoButtons';
import { dayWords } from '../season/dayWords';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { batchName } from '../today/todayWords';
import { stageWords } from '../verdict/words';
import { Headings } from './Headings';
import { SIGN_WORDS } from './signWords';
import type { Sign } from '@/core/judge/clinic/signs';

/** Which plants look wrong, and cases that are open. */
export function ClinicView() {
  const { settings, sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const today = useToday();
  const router = useRouter();
  const stands = useMemo(() => site.stands.map((s) => benchStandIn(site, s)), [site]);
  const open = site.clinic.filter((c) => c.closed === null);
  const over = site.clinic.filter((c) => c.closed !== null).reverse();
  const begin = (trayId: string, batchId: string) => {
    const known = open.find((c) => c.trayId === trayId && c.batchId === batchId);
    const id = known?.id ?? newId();
    if (!known) changeSite(sites, 'open a case', openCase({ id, batchId, trayId, opened: today }));
    router.push(`/clinic/${encodeURIComponent(id)}`);
  };
  /** What it is, in what and under which lamp is chosen on the check, step by step: the case goes by that light. */
  const another = () => {
    const id = newId();
    if (!changeSite(sites, 'begin a set-up', addSetUp(PLAIN_RECIPE, id), id)) return;
    settings.setState({ firstWay: 'sick', firstDone: 0 });
    router.push('/check');
  };
  const cases = (list: typeof open) => (
    <ul className="divide-y divide-line border-y border-line">
      {list.map((c) => {
        const test = runningTest(c);
        return (
          <li key={c.id}>
            <Link href={`/clinic/${encodeURIComponent(c.id)}`} className="flex min-h-12 items-center gap-3 py-2 hover:bg-sunk">
              <span className="min-w-0 flex-1">
                <b>{batchName(site, c.batchId)}</b>
                <span className="block text-sm text-soft">
                  {c.signs.length > 0 ? c.signs.map((s) => SIGN_WORDS[s as Sign]?.toLowerCase()).join(', ') : 'nothing marked yet'} · since{' '}
                  {dayWords(c.since ?? c.opened)}
                </span>
              </span>
              {test && (
                <span className={test.look <= today ? 'text-sm font-semibold text-copper' : 'text-sm text-soft'}>
                  {test.look <= today ? 'look again now' : `look again ${dayWords(test.look)}`}
                </span>
              )}
              <ChevronRight size={18} aria-hidden />
            </Link>
          </li>
        );
      })}
    </ul>
  );
  return (
    <div className="mx-auto w-full max-w-5xl space-y-6 px-4 py-5 md:px-6">
      <header className="flex flex-wrap items-center gap-x-3">
        <h1 className="flex-1 text-2xl font-semibold">What is wrong?</h1>
        <Link href="/clinic/practice" className="inline-flex min-h-11 items-center font-semibold underline underline-offset-4">
          Practice
        </Link>
        <UndoButtons />
        <p className="w-full text-soft">
          Choose the plants that look wrong. You mark where it is worst and what you see; the plan adds what it knows of their light, hours
          and dates.
        </p>
      </header>
      {open.length > 0 && (
        <section aria-labelledby="open-cases" className="space-y-1">
          <h2 id="open-cases" className="text-lg font-semibold">
            Open cases
          </h2>
          {cases(open)}
        </section>
      )}
      {/* What is found late stands beside or below: nothing moves under a finger. */}
      <div className="grid grid-cols-1 gap-x-8 gap-y-6 lg:grid-cols-[minmax(0,1fr)_21rem]">
        <section aria-labelledby="which" className="space-y-2">
          <h2 id="which" className="text-lg font-semibold">
            Which plants?
          </h2>
          {stands.every((s) => s.tiers.every((t) => t.trays.length === 0)) && (
            <p>
              There are no trays yet.{' '}
              <Link className="font-semibold underline underline-offset-4" href="/check">
                Check a lamp over a tray
              </Link>{' '}
              first: then the plan knows what light they get.
            </p>
          )}
          {stands.map((stand) => (
            <div key={stand.stand.id}>
              <h3 className="pt-2 font-narrow text-soft">{stand.stand.name}</h3>
              <ul className="flex flex-wrap gap-2 pt-1">
                {stand.tiers.flatMap((tier) => {
                  return tier.trays.map((tray) => (
                    <li key={tray.tray.id}>
                      <button
                        type="button"
                        className="min-h-11 rounded-md border border-line bg-sheet px-3 py-1.5 text-left hover:bg-sunk"
                        onClick={() => begin(tray.tray.id, tray.batch.id)}
                      >
                        <b>{trayName(tray)}</b>
                        <span className="block text-sm text-soft">
                          {stand.tiers.length > 1 ? `tier ${tier.number} · ` : ''}
                          {tray.batch.age != null && tray.batch.age >= 0 ? `day ${tray.batch.age}` : stageWords(tray.stage)}
                        </span>
                      </button>
                    </li>
                  ));
                })}
              </ul>
            </div>
          ))}
          <p className="pt-2">
            <Button onClick={another}>
              <Plus size={17} aria-hidden /> A plant that is not here
            </Button>
          </p>
        </section>
        <Headings stands={stands} onOpen={begin} />
      </div>
      {over.length > 0 && (
        <details>
          <summary className="min-h-9 font-semibold">Closed cases ({over.length})</summary>
          {cases(over)}
        </details>
      )}
    </div>
  );
}
