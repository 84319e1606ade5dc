'use client';
import type { BenchStand } from '@/core/stand/benchStand';
import { SelectField } from '../parts/SelectField';
import { UndoButtons } from '../parts/UndoButtons';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { HoursTabs } from './HoursTabs';

/** What stands above every part of the hours: of which stand they are, and the way to the others. */
export function HoursHead({ stand, title, children }: { stand: BenchStand; title: string; children?: React.ReactNode }) {
  const { benchLooks } = useWorkspace();
  const stands = useSite((s) => s.site.stands);
  return (
    <header className="space-y-2 pb-4 print:hidden">
      <div className="flex flex-wrap items-end gap-x-3 gap-y-2">
        <h1 className="flex-1 text-2xl font-semibold">{title}</h1>
        {children}
        <SelectField
          label="stand"
          value={stand.stand.id}
          options={stands.map((s) => ({ value: s.id, label: s.name }))}
          onChange={(id) => benchLooks.setState({ standId: id, tierId: null, chosen: [], day: null })}
        />
        <span className="max-md:hidden">
          <UndoButtons />
        </span>
      </div>
      <HoursTabs />
    </header>
  );
}
