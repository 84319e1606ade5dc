'use client';
import { AirVent, CirclePlus, Droplets, Heater, LampDesk, X } from 'lucide-react';
import { fail, ok } from '@/core/units/result';
import type { OutletGroup, Plug } from '@/core/answer/power/loadsOf';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { movePlugged, namePlugged, unplug } from '@/core/site/stand/changeOutlets';
import { changeSite, undo } from '@/store/site/siteStore';
import { TypedField } from '../parts/TypedField';
import { say } from '../shell/toastStore';
import { useWorkspace } from '../shell/WorkspaceContext';
import { groupName, plugWords, watts } from './outletWords';
import { Select } from '../parts/Select';

const ICONS: Readonly<Record<Plug['kind'], typeof LampDesk>> = {
  lamps: LampDesk,
  fan: AirVent,
  mat: Heater,
  pump: Droplets,
  other: CirclePlus,
};

/** What is in the outlets of a timer, or in those that are always live. */
export function OutletList({ stand, group, groups }: { stand: BenchStand; group: OutletGroup; groups: readonly OutletGroup[] }) {
  const { sites } = useWorkspace();
  const { id } = stand.stand;
  if (group.plugs.length === 0) return <p className="text-soft">Nothing is plugged in here.</p>;
  return (
    <ul>
      {group.plugs.map((p) => {
        const Icon = ICONS[p.kind];
        return (
          <li key={p.id} className="flex flex-wrap items-center gap-x-3 gap-y-1 py-0.5">
            <Icon size={18} strokeWidth={1.6} aria-hidden className="shrink-0 text-soft" />
            {p.kind === 'lamps' ? (
              <span className="min-w-0 flex-1">{plugWords(p)}</span>
            ) : (
              <TypedField
                label={`Name of ${p.name}`}
                hideLabel
                shown={p.name}
                read={(text) => (text.trim() ? ok(text.trim().slice(0, 120)) : fail({ code: 'name/empty', at: '' }))}
                hint="A name, such as Heat mat."
                className="min-w-32 flex-1"
                inputClassName="w-full"
                onChange={(name) => changeSite(sites, 'rename it', namePlugged(id, p.id, name))}
              />
            )}
            <span className="w-16 text-right tabular-nums">{watts(p.power)}</span>
            {p.kind === 'lamps' ? (
              <span className="w-56 text-sm text-soft max-md:w-auto">on the timer of its tier</span>
            ) : (
              <>
                <Select
                  aria-label={`Where ${p.name} is plugged in`}
                  className="w-46"
                  value={group.timerId ?? ''}
                  onChange={(e) => changeSite(sites, 'plug it in elsewhere', movePlugged(id, p.id, e.target.value || null))}
                >
                  {groups.map((g) => (
                    <option key={g.timerId ?? ''} value={g.timerId ?? ''}>
                      {groupName(stand, g.timerId)}
                    </option>
                  ))}
                </Select>
                <button
                  type="button"
                  className="grid size-9 place-items-center rounded-md hover:bg-sunk max-md:size-11"
                  aria-label={`Unplug ${p.name}`}
                  onClick={() => {
                    changeSite(sites, 'unplug it', unplug(id, p.id));
                    say(`${p.name} is unplugged.`, { label: 'Undo', run: () => undo(sites) });
                  }}
                >
                  <X size={16} aria-hidden />
                </button>
              </>
            )}
          </li>
        );
      })}
    </ul>
  );
}
