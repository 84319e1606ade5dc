'use client';
import clsx from 'clsx';
import { HAPPENED, type ClinicCase } from '@/core/site/clinic/ClinicCase';
import { tell } from '@/core/site/stand/changeClinic';
import { changeSite } from '@/store/site/siteStore';
import { useWorkspace } from '../shell/WorkspaceContext';
import { HAPPENED_WORDS } from './factWords';

/** What changed in the days before it was seen. */
export function Happened({ kase }: { kase: ClinicCase }) {
  const { sites } = useWorkspace();
  const on = kase.told.happened ?? [];
  return (
    <div role="group" aria-label="What changed in the days before?" className="min-w-0 basis-full lg:flex-1 lg:basis-80">
      <p className="pb-1 font-narrow text-night-soft">What changed in the days before?</p>
      <div className="flex flex-wrap gap-2">
        {HAPPENED.map((what) => {
          const isOn = on.includes(what);
          const next = isOn ? on.filter((w) => w !== what) : [...on, what];
          return (
            <button
              key={what}
              type="button"
              aria-pressed={isOn}
              className={clsx(
                'min-h-9 rounded-full border px-3 max-md:min-h-11',
                isOn ? 'border-ember bg-ember font-semibold text-night' : 'border-night-soft text-night-ink hover:bg-night-raised',
              )}
              onClick={() => changeSite(sites, 'say what changed', tell(kase.id, { happened: next.length > 0 ? next : undefined }))}
            >
              {HAPPENED_WORDS[what]}
            </button>
          );
        })}
      </div>
    </div>
  );
}
