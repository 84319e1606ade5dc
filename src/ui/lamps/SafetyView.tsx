'use client';
import { CircleAlert, TriangleAlert } from 'lucide-react';
import { useMemo } from 'react';
import { safetyGate, safetyWord, type GateLine } from '@/core/answer/caution/safetyGate';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { shelfStands } from '@/core/site/stand/shelfStands';
import { seeTo, unsee } from '@/core/site/stand/changeSafety';
import { cautionLibrary, generalNote } from '@/core/things/caution/cautionLibrary';
import { benchStandIn } from '@/store/bench/benchStandIn';
import { changeSite } from '@/store/site/siteStore';
import { UndoButtons } from '../parts/UndoButtons';
import { datedWords } from '../season/dayWords';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';

/** What to see to before lamps are lit: what applies to each stand, ticked once, asked again when something has changed. */
export function SafetyView() {
  const site = useSite((s) => s.site);
  const gates = useMemo(
    () =>
      // Checks are questions; what stands on the bench is real. Without any of it the checks are all there is.
      shelfStands(site)
        .filter((s) => s.tiers.some((t) => t.fittings.length > 0))
        .map((s) => benchStandIn(site, s))
        .map((stand) => ({ stand, lines: safetyGate(stand, site.stated, site.safety, cautionLibrary) })),
    [site],
  );
  const open = gates.flatMap((g) => g.lines).filter((l) => l.state !== 'seen-to').length;
  return (
    <div className="mx-auto w-full max-w-4xl space-y-6 px-4 py-5 md:px-6">
      <header className="flex items-start gap-3">
        <div className="min-w-0 flex-1">
          <h1 className="text-2xl font-semibold" aria-live="polite">
            {gates.length === 0
              ? 'Safety'
              : open === 0
                ? 'All is checked'
                : `${open} ${open === 1 ? 'thing' : 'things'} to check before you switch on`}
          </h1>
          <p className="text-soft">
            Only what applies to your lamps, hooks, strips and plants. Tick what you have checked. When lamps, hooks, loads or sides change,
            it is asked again.
          </p>
        </div>
        <UndoButtons />
      </header>
      {gates.length === 0 && <p>No lamp hangs yet. As soon as one does, what to look out for stands here.</p>}
      {gates.map((g) => (
        <Gate key={g.stand.stand.id} {...g} />
      ))}
      <p className="text-sm text-soft">{generalNote}</p>
    </div>
  );
}

function Gate({ stand, lines }: { stand: BenchStand; lines: readonly GateLine[] }) {
  const { sites } = useWorkspace();
  const stated = useSite((s) => s.site.stated);
  const today = useToday();
  const { id, name } = stand.stand;
  const open = lines.filter((l) => l.state !== 'seen-to').length;
  return (
    <section aria-labelledby={`gate-${id}`}>
      <h2 id={`gate-${id}`} className="border-b border-line pb-1 text-xl font-semibold">
        {name} <span className="text-base font-normal text-soft">{open === 0 ? 'all checked' : `${open} of ${lines.length} open`}</span>
      </h2>
      <ul className="divide-y divide-line">
        {lines.map(({ caution, state, day }) => {
          const Icon = caution.severity === 'danger' ? TriangleAlert : CircleAlert;
          const isDone = state === 'seen-to';
          return (
            <li key={caution.id}>
              <label className="flex min-h-11 cursor-pointer items-start gap-3 py-2.5">
                <input
                  type="checkbox"
                  className="mt-0.5 size-6 shrink-0 accent-verdigris"
                  checked={isDone}
                  onChange={() =>
                    changeSite(
                      sites,
                      isDone ? 'take a tick back' : 'tick a caution',
                      isDone
                        ? unsee({ standId: id, cautionId: caution.id })
                        : seeTo({ standId: id, cautionId: caution.id, day: today, of: safetyWord(stand, stated) }),
                    )
                  }
                />
                <Icon
                  size={20}
                  aria-hidden
                  className={caution.severity === 'danger' ? 'mt-0.5 shrink-0 text-copper' : 'mt-0.5 shrink-0 text-soft'}
                />
                <span className="min-w-0 flex-1">
                  <b>{caution.title}.</b> {caution.text}
                  {day !== null && (
                    <span className={state === 'changed-since' ? 'block text-sm text-copper' : 'block text-sm text-soft'}>
                      {state === 'changed-since'
                        ? `Checked on ${datedWords(day)}, but something has changed since: check again.`
                        : `Checked on ${datedWords(day)}.`}
                    </span>
                  )}
                </span>
              </label>
            </li>
          );
        })}
        {lines.length === 0 && <li className="py-2 text-soft">Nothing out of the ordinary.</li>}
      </ul>
    </section>
  );
}
