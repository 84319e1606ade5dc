'use client';
import { ArrowDown } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { diagnose } from '@/core/plan/clinic/diagnose';
import { changeCase, closeCase, dropCase, togglePlace } from '@/core/site/stand/changeClinic';
import type { ClinicCase } from '@/core/site/clinic/ClinicCase';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { benchStandIn } from '@/store/bench/benchStandIn';
import { changeSite, undo } from '@/store/site/siteStore';
import { trayName } from '../bench/benchWords';
import { ageWords } from '../chart/ageWords';
import { useLightOfStand } from '../hours/useLightOfStand';
import { Button } from '../parts/Button';
import { DayField } from '../parts/DayField';
import { Link } from '../parts/Link';
import { UndoButtons } from '../parts/UndoButtons';
import { PhotoStrip } from '../photos/PhotoStrip';
import { say } from '../shell/toastStore';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { CAUSE_WORDS } from './causeWords';
import { CausesPanel } from './CausesPanel';
import { Happened } from './Happened';
import { LeggyPanel } from './LeggyPanel';
import { SignPicker } from './SignPicker';
import { TrayPlaces } from './TrayPlaces';
import { useStoodLately } from './useStoodLately';

/** One case: where and what on the left, what it means and what to do on the right. */
export function CaseView({ id }: { id: string }) {
  const site = useSite((s) => s.site);
  const kase = site.clinic.find((c) => c.id === id);
  const found = useMemo(() => {
    if (!kase) return null;
    const holds = (trays: readonly { readonly id: string; readonly batchId: string }[]) =>
      trays.some((y) => y.id === kase.trayId) || trays.some((y) => y.batchId === kase.batchId);
    const kept = site.stands.find((s) => s.tiers.some((t) => holds(t.trays)));
    if (!kept) return null;
    const stand = benchStandIn(site, kept);
    const all = stand.tiers.flatMap((tier) => tier.trays.map((tray) => ({ tier, tray })));
    const at = all.find((x) => x.tray.tray.id === kase.trayId) ?? all.find((x) => x.tray.batch.id === kase.batchId);
    return at ? { stand, ...at } : null;
  }, [site, kase]);
  if (!kase || !found)
    return (
      <section className="m-auto max-w-md space-y-4 p-6 text-center">
        <h1 className="text-2xl font-semibold">{kase ? 'These plants have gone from the stands' : 'This case is not here'}</h1>
        <p>{kase ? 'What was noted of them stays in the journal.' : 'It may be of another browser, or it has been deleted.'}</p>
        <Link href="/clinic" className="font-semibold underline underline-offset-4">
          To the clinic
        </Link>
      </section>
    );
  return <OfCase key={id} kase={kase} {...found} />;
}

type CaseProps = {
  kase: ClinicCase;
  stand: BenchStand;
  tier: BenchStand['tiers'][number];
  tray: BenchStand['tiers'][number]['trays'][number];
};

function OfCase({ kase, stand, tier, tray }: CaseProps) {
  const { sites } = useWorkspace();
  const today = useToday();
  const router = useRouter();
  const answer = useLightOfStand(stand);
  const light = answer && answer !== 'failed' ? (answer.tiers[tier.tier.id]?.trays[tray.tray.id] ?? null) : null;
  const standing = useMemo(() => ({ stand, tier, tray, light }), [stand, tier, tray, light]);
  const stood = useStoodLately(kase, tray.tray.id);
  const diagnosis = useMemo(() => diagnose(kase, standing, today, stood), [kase, standing, today, stood]);
  const change = (what: string, how: Parameters<typeof changeSite>[2]) => changeSite(sites, what, how);
  const where = stand.tiers.length > 1 ? `${stand.stand.name}, tier ${tier.number}` : stand.stand.name;
  return (
    <div className="grid w-full flex-1 grid-cols-1 lg:grid-cols-[minmax(0,1fr)_26rem]">
      {diagnosis.certainty !== 'nothing-seen' && (
        <a
          href="#cause"
          className="sticky top-0 z-10 flex min-h-11 items-center gap-2 bg-night-raised px-4 font-semibold text-night-ink lg:hidden"
        >
          <span className="min-w-0 flex-1 truncate">
            {CAUSE_WORDS[diagnosis.weighed[0]!.cause].name}, {Math.round(diagnosis.weighed[0]!.share * 100)} %
          </span>
          <ArrowDown size={18} aria-hidden />
        </a>
      )}
      <div className="min-w-0 bg-night px-4 py-4 text-night-ink md:px-6">
        <header className="flex flex-wrap items-start gap-x-4 gap-y-2 pb-4">
          <div className="min-w-0 flex-1">
            <h1 className="text-2xl font-semibold">What is wrong?</h1>
            <p className="text-night-soft">
              {trayName(tray)} · {where} · {ageWords(tray, today)}
            </p>
          </div>
          <div className="night flex items-center gap-1">
            <UndoButtons />
          </div>
        </header>
        <h2 className="pb-2 font-narrow text-night-soft">Where is it worst? Press the places. None: everywhere.</h2>
        <TrayPlaces
          standing={standing}
          failed={answer === 'failed'}
          places={kase.places}
          onToggle={(p) => change('mark a place', togglePlace(kase.id, p))}
        />
        <SignPicker kase={kase} crop={standing.tray.crop} />
        <div className="flex flex-wrap items-end gap-x-6 gap-y-3 pt-5">
          <div className="rounded-md bg-sheet px-3 py-2 text-ink">
            <DayField
              label="Since"
              value={kase.since ?? kase.opened}
              max={today}
              onChange={(since) =>
                change(
                  'date the signs',
                  changeCase(kase.id, () => ({ since })),
                )
              }
            />
          </div>
          <Happened kase={kase} />
        </div>
      </div>
      <div className="min-w-0 space-y-6 px-4 py-4 max-lg:border-t max-lg:border-line md:px-6">
        <CausesPanel kase={kase} diagnosis={diagnosis} isLit={light !== null} standing={standing} />
        <LeggyPanel kase={kase} tray={tray} />
        <PhotoStrip batch={tray.batch} name={trayName(tray)} />
        <div className="flex flex-wrap gap-2 border-t border-line pt-4">
          {kase.closed === null ? (
            <Button
              onClick={() => {
                change('close the case', closeCase(kase.id, today));
                say('Case closed.', { label: 'Undo', run: () => undo(sites) });
                router.push('/clinic');
              }}
            >
              Close case
            </Button>
          ) : (
            <Button onClick={() => change('open the case', closeCase(kase.id, null))}>Open it again</Button>
          )}
          <Button
            kind="quiet"
            onClick={() => {
              change('delete the case', dropCase(kase.id));
              say('Case deleted.', { label: 'Undo', run: () => undo(sites) });
              router.push('/clinic');
            }}
          >
            Delete
          </Button>
        </div>
      </div>
    </div>
  );
}
