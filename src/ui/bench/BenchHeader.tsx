'use client';
import { CalendarRange, Layers, Plus, Printer } from 'lucide-react';
import { fail, ok } from '@/core/units/result';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { addTier, changeStand } from '@/core/site/stand/change';
import { newId } from '@/store/names/newId';
import { changeSite } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { TypedField } from '../parts/TypedField';
import { useWorkspace } from '../shell/WorkspaceContext';
import { StandMenu } from './StandMenu';
import { NewStand } from './NewStand';
import { judgedTrays, useBenchLight, useBenchLook } from './useBench';
import type { EditCommands } from './useEditCommands';

/** The stand's name and how its trays fare, the way to others, and the way back. */
export function BenchHeader({ stand, commands }: { stand: BenchStand; commands: EditCommands }) {
  const { sites, benchLooks } = useWorkspace();
  const { season } = useBenchLook();
  const { id, name } = stand.stand;
  return (
    <header className="flex items-center gap-x-1.5 sm:flex-wrap sm:gap-x-2 gap-y-1 border-b border-line bg-sheet px-3 py-2 md:px-5 print:hidden">
      <h1 className="sr-only">Bench: {name}</h1>
      <TypedField
        key={id}
        label="Name of this stand"
        hideLabel
        shown={name}
        read={(text) => (text.trim() ? ok(text.trim().slice(0, 120)) : fail({ code: 'name/empty', at: '' }))}
        onChange={(v) => changeSite(sites, 'rename', changeStand(id, { name: v }))}
        hint="A name, such as Map-room rack."
        className="min-w-0 max-sm:flex-1"
        inputClassName="w-52 max-w-full max-sm:w-full text-ellipsis border-transparent! bg-transparent! text-xl hover:border-line! px-1!"
      />
      <StandLine stand={stand} />
      <span className="flex-1 max-sm:hidden" />
      <Button
        aria-pressed={season}
        className="aria-pressed:bg-sunk"
        onClick={() => benchLooks.setState({ season: !season, day: null })}
        title="Show growth over time"
      >
        <CalendarRange size={17} aria-hidden /> <span className="max-sm:sr-only">Season</span>
      </Button>
      <Button onClick={() => commands.change('add a tier', addTier(id, newId()))} aria-label="Add a tier on top" title="Add a tier on top">
        <Layers size={17} aria-hidden /> <span className="max-sm:sr-only">Add tier</span>
      </Button>
      <NewStand
        trigger={
          <Button>
            <Plus size={17} aria-hidden /> <span className="max-sm:sr-only">New stand</span>
          </Button>
        }
      />
      <StandMenu stand={stand} />
      <Button kind="main" className="px-2.5!" onClick={() => window.print()} aria-label="Print" title="Print">
        <Printer size={18} aria-hidden />
      </Button>
    </header>
  );
}

/** How the trays of the stand fare. */
function StandLine({ stand }: { stand: BenchStand }) {
  const light = useBenchLight();
  const judged = light.status === 'ready' ? light.of.tiers.flatMap((t) => judgedTrays(t, light.answer.tiers[t.tier.id] ?? null)) : [];
  const trays = stand.tiers.reduce((n, t) => n + t.trays.length, 0);
  const lit = stand.tiers.filter((t) => t.lamps.length > 0).length;
  const off = judged.filter((j) => j.verdict.says !== 'in-range').length;
  return (
    <p className="text-soft max-sm:sr-only" data-testid="stand-line">
      {stand.tiers.length > 1 && `${lit} of ${stand.tiers.length} tiers lit · `}
      {trays} {trays === 1 ? 'tray' : 'trays'}
      {judged.length > 0 && (off === 0 ? ' · all in range' : ` · ${off} out of range`)}
    </p>
  );
}
