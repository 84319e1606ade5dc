'use client';
import { Copy } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useCallback, useMemo, useSyncExternalStore } from 'react';
import { asOf } from '@/core/answer/stand/asOf';
import { benchStandOf, type BenchStand } from '@/core/answer/stand/benchStand';
import { tables } from '@/core/things/tables/libraryTables';
import type { Site } from '@/core/site/stand/Site';
import { useWorkedOut } from '../parts/useWorkedOut';
import { timesWords } from '../hours/timerWords';
import { showHours } from '@/core/units/clock';
import { mergeSite } from '@/store/files/mergeSite';
import { readLink } from '@/store/files/showLink';
import { changeSite, undo } from '@/store/site/siteStore';
import { SAYS_WORDS, trayName } from '../bench/benchWords';
import { StandPicture } from '../bench/StandPicture';
import { judgedTrays } from '../bench/useBench';
import { problemWords } from '../files/problemWords';
import { Button } from '../parts/Button';
import { PictureButtons } from '../parts/PictureButtons';
import { say } from '../shell/toastStore';
import { useSettings, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { standPath } from '../stands/places';
import { dliNumber, dliSpanWords } from '../drawing/lightWords';
import { useSize } from '../drawing/useSize';
import { Link } from '../parts/Link';
import { stageWords } from '../verdict/words';

const onHash = (changed: () => void) => {
  window.addEventListener('hashchange', changed);
  return () => window.removeEventListener('hashchange', changed);
};

/** A stand that somebody sent as a link: looked at only, until one keeps a copy. */
export function ShowView() {
  const hash = useSyncExternalStore(
    onHash,
    () => location.hash,
    () => '',
  );
  const read = useMemo(() => readLink(hash), [hash]);
  const site = read.ok ? read.value : null;
  if (!site || site.stands.length === 0)
    return (
      <section className="m-auto max-w-md space-y-4 p-6 text-center">
        <h1 className="text-2xl font-semibold">This link shows nothing</h1>
        <p>
          {read.ok
            ? 'There is no stand in it.'
            : `${read.problems.slice(0, 3).map(problemWords).join(' ')} Ask for the link again, and copy all of it.`}
        </p>
        <Link href="/stands" className="font-semibold underline underline-offset-4">
          To your stands
        </Link>
      </section>
    );
  return <Shown key={hash} site={site} />;
}

function Shown({ site }: { site: Site }) {
  const { lightOfStand, sites } = useWorkspace();
  const { lengthUnit, clock } = useSettings();
  const today = useToday();
  const router = useRouter();
  const { ref, width } = useSize<HTMLDivElement>();
  const stand = useMemo(() => {
    const now = asOf(site, today, tables);
    return benchStandOf(now, now.stands[0]!, tables);
  }, [site, today]);
  const front = useCallback((s: BenchStand) => lightOfStand(s, 'front'), [lightOfStand]);
  const told = useWorkedOut(stand, front);
  const lit = told?.answer ?? null;
  const keep = () => {
    const had = sites.getState().site;
    const merged = mergeSite(had, site);
    const made = merged.stands[had.stands.length];
    if (!changeSite(sites, `keep a copy of ${stand.stand.name}`, () => merged, made?.id) || !made) return;
    say('It stands among yours now. The one that was shown is not changed by it.', { label: 'Undo', run: () => undo(sites) });
    router.push(standPath(made.id));
  };
  return (
    <div className="mx-auto w-full max-w-5xl space-y-5 px-4 py-5 md:px-6">
      <header className="flex flex-wrap items-start gap-3">
        <div className="min-w-0 flex-1 max-md:basis-full">
          <h1 className="text-2xl font-semibold">{stand.stand.name}</h1>
          <p className="text-soft">
            Somebody shows you this stand. It is in the link only; nothing of it is kept here, and you can’t change theirs.
          </p>
        </div>
        <PictureButtons of="shown" name={stand.stand.name} words="the picture" />
        <Button kind="main" className="min-h-11" onClick={keep}>
          <Copy size={17} aria-hidden /> Keep a copy
        </Button>
      </header>
      <div ref={ref} data-picture="shown" className="night overflow-hidden rounded-md bg-night text-night-ink">
        {width > 0 && (
          <StandPicture stand={stand} answer={lit} width={width} height={Math.min(520, Math.max(320, width * 0.6))} unit={lengthUnit} />
        )}
      </div>
      {told === null && <p role="status">Calculating light…</p>}
      {told?.failed && <p role="alert">The light could not be computed. Reload the page to try again.</p>}
      <div className="overflow-x-auto">
        <table className="w-full min-w-lg text-left">
          <thead>
            <tr className="border-b border-line text-sm text-soft">
              {['tray', 'hours', 'DLI, mol/m²/day', 'needs', 'result'].map((h) => (
                <th key={h} scope="col" className="py-1 pr-3 font-semibold">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {stand.tiers.flatMap((t) =>
              t.trays.map((y) => {
                const judged = judgedTrays(t, lit?.tiers[t.tier.id] ?? null).find((j) => j.tray.tray.id === y.tray.id);
                return (
                  <tr key={y.tray.id} className="border-b border-line">
                    <th scope="row" className="py-1.5 pr-3 font-semibold">
                      {trayName(y)}
                      <span className="block text-sm font-normal text-soft">
                        {stageWords(y.stage)}
                        {stand.tiers.length > 1 ? `, tier ${t.number}` : ''}
                      </span>
                    </th>
                    <td className="pr-3">
                      {showHours(t.timer.lit_min)}, {timesWords(t.timer, clock)}
                    </td>
                    <td className="pr-3 tabular-nums">
                      {judged ? dliSpanWords(judged.verdict.received, y.stage.dliMin, judged.verdict.highDli) : '…'}
                    </td>
                    <td className="pr-3 tabular-nums">
                      {dliNumber(y.stage.dliMin)}–{dliNumber(judged?.verdict.highDli ?? y.stage.dliMax)}
                    </td>
                    <td>{judged ? SAYS_WORDS[judged.verdict.says] : ''}</td>
                  </tr>
                );
              }),
            )}
          </tbody>
        </table>
      </div>
    </div>
  );
}
