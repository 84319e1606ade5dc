'use client';
import { usePathname, useRouter } from 'next/navigation';
import type { Stand } from '@/core/site/stand/Site';
import { TabLink } from '../parts/TabLink';
import { UndoButtons } from '../parts/UndoButtons';
import { useSite } from '../shell/WorkspaceContext';
import { STAND_PARTS, standPath } from './places';
import { Select } from '../parts/Select';

/** One header for all that belongs to a stand: which one, its parts, undo and redo. */
export function StandHeader({ stand }: { stand: Stand }) {
  const stands = useSite((s) => s.site.stands);
  const router = useRouter();
  const path = usePathname();
  const here = STAND_PARTS.find(({ part }) => path.endsWith(`/${part}`))?.part ?? 'bench';
  return (
    <div className="flex flex-wrap items-center gap-x-4 border-b border-line bg-sheet px-3 md:flex-nowrap md:px-5 print:hidden">
      <span className="flex min-w-0 items-center py-1.5 max-md:flex-1">
        <Select
          aria-label="Stand"
          className="w-full max-w-60 truncate md:w-52"
          value={stand.id}
          onChange={(e) => router.push(standPath(e.target.value, here))}
        >
          {stands.map((s) => (
            <option key={s.id} value={s.id}>
              {s.name}
            </option>
          ))}
        </Select>
      </span>
      <span className="flex md:order-last">
        <UndoButtons />
      </span>
      <nav
        aria-label="This stand"
        className="flex min-w-0 flex-1 gap-5 overflow-x-auto max-md:w-full max-md:flex-none max-md:justify-between max-md:gap-3"
      >
        {STAND_PARTS.map(({ part, label }) => (
          <TabLink key={part} href={standPath(stand.id, part)} isHere={part === here} label={label} />
        ))}
      </nav>
    </div>
  );
}
