'use client';
import { clearanceOf } from '@/core/things/lamp/clearanceOf';
import { DndContext, DragOverlay, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { useEffect, useState } from 'react';
import { tables } from '@/core/things/tables/libraryTables';
import type { BenchStand, BenchTier } from '@/core/answer/stand/benchStand';
import { roofOf } from '@/core/answer/stand/roofOf';
import { addFitting, addTray, freePlace } from '@/core/site/stand/change';
import { newId } from '@/store/names/newId';
import { Button } from '../parts/Button';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { BenchHeader } from './BenchHeader';
import { usePrinting } from '../print/usePrinting';
import { BenchPrint } from './BenchPrint';
import { BenchDrawing } from './BenchDrawing';
import { LampPanel } from './LampPanel';
import { ManyPanel } from './ManyPanel';
import { NewStand } from './NewStand';
import { Palette, type PaletteThing } from './Palette';
import { SeasonSlider } from './SeasonSlider';
import { TierPanel } from './TierPanel';
import { TrayPanel } from './TrayPanel';
import { useBenchLook, useStand } from './useBench';
import { useEditCommands, type EditCommands } from './useEditCommands';

/** The stand drawn to scale, moved by hand, judged as it moves. */
export function Bench() {
  const { watchBench } = useWorkspace();
  useEffect(() => watchBench(), [watchBench]);
  const stand = useStand();
  if (!stand)
    return (
      <section className="m-auto max-w-md space-y-4 p-6 text-center">
        <h1 className="text-2xl font-semibold">No stands yet.</h1>
        <p>Put your rack, shelf, box or sill on it: its size, its lamps, its trays. The light follows as you move them.</p>
        <NewStand trigger={<Button kind="main">Add stand</Button>} />
      </section>
    );
  return <OnTheBench stand={stand} />;
}

function OnTheBench({ stand }: { stand: BenchStand }) {
  const commands = useEditCommands(stand);
  const printing = usePrinting();
  const { benchLooks } = useWorkspace();
  const { chosen, tierId, season } = useBenchLook();
  const lamps = useSite((s) => s.site.lamps);
  const tier = stand.tiers.find((t) => t.tier.id === tierId) ?? stand.tiers[0]!;
  const [held, setHeld] = useState<PaletteThing | null>(null);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));

  function put(thing: PaletteThing, on: BenchTier, at: { x: number; y: number } | null) {
    const { tier: t } = on;
    if (thing.kind === 'lamp') {
      const lamp = lamps.find((l) => l.id === thing.id) ?? tables.lamp(thing.id)!;
      const canopy = on.trays.length > 0 ? Math.max(...on.trays.map((y) => y.canopy)) : 0.1;
      const face = on.lamps[0]?.fitting.face ?? Math.min(roofOf(on), Math.max(canopy + clearanceOf(lamp), canopy + 0.15));
      const id = newId();
      commands.change(
        'hang a lamp',
        addFitting(t.id, lamp, { x: at?.x ?? t.width / 2, y: at?.y ?? freeDepth(on), face: Math.round(face * 100) / 100 }, id),
      );
      commands.choose([id], t.id);
    } else {
      const container = tables.container(thing.id)!;
      const last = on.trays[on.trays.length - 1] ?? stand.tiers.flatMap((other) => other.trays)[0];
      const crop = last ? { cropId: last.crop.id, stage: last.stage.stage } : ({ cropId: 'tomato', stage: 'seedling' } as const);
      let id = '';
      const ids = () => (id = newId());
      commands.change('put a tray', addTray(t.id, container, crop, at ?? freePlace(t, container.length, container.width), ids));
      commands.choose([id], t.id);
    }
  }

  function dropped(e: DragEndEvent) {
    setHeld(null);
    const on = stand.tiers.find((t) => t.tier.id === e.over?.id);
    const middle = e.active.rect.current.translated;
    if (!on || !e.over || !middle) return;
    const share = (middle.left + middle.width / 2 - e.over.rect.left) / e.over.rect.width;
    const along = Math.min(1, Math.max(0, share));
    const thing = e.active.data.current as PaletteThing;
    const container = thing.kind === 'tray' ? tables.container(thing.id)! : null;
    const { width, depth } = on.tier;
    const half = container ? container.length / 2 : 0;
    // What is dropped stands within the tier; a lamp over its middle unless it is dropped well off it.
    const x = Math.min(Math.max(along * width, Math.min(half, width / 2)), Math.max(width - half, width / 2));
    const at =
      benchLooks.getState().view === 'front'
        ? { x: container ? x : snapMiddle(x, width), y: container ? depth / 2 : freeDepth(on) }
        : { x: width / 2, y: along * depth };
    put(thing, on, at);
  }

  if (printing) return <BenchPrint stand={stand} />;
  return (
    <div className="flex min-h-0 flex-1 flex-col lg:overflow-hidden print:block">
      <BenchHeader stand={stand} commands={commands} />
      {season && <SeasonSlider stand={stand} />}
      <DndContext
        sensors={sensors}
        onDragStart={(e) => setHeld(e.active.data.current as PaletteThing)}
        onDragEnd={dropped}
        onDragCancel={() => setHeld(null)}
      >
        <div className="flex min-h-0 flex-1 flex-col lg:flex-row">
          <div className="flex min-h-0 min-w-0 flex-col lg:flex-1">
            <BenchDrawing stand={stand} commands={commands} />
            <Palette
              key={stand.stand.id}
              openAtFirst={stand.tiers.some((t) => t.lamps.length === 0 || t.trays.length === 0)}
              onPut={(thing) => put(thing, tier, null)}
            />
          </div>
          <div className="relative space-y-5 bg-sheet px-5 py-4 lg:w-[400px] lg:shrink-0 lg:overflow-y-auto print:hidden">
            <ChosenPanel stand={stand} chosen={chosen} commands={commands} />
            <TierPanel stand={stand} tier={tier} commands={commands} />
          </div>
        </div>
        <DragOverlay dropAnimation={null}>
          {held && <div className="rounded-md bg-button px-3 py-2 text-sm font-semibold text-on-button shadow-lg">{held.name}</div>}
        </DragOverlay>
      </DndContext>
    </div>
  );
}

function ChosenPanel({ stand, chosen, commands }: { stand: BenchStand; chosen: readonly string[]; commands: EditCommands }) {
  const tiers = stand.tiers.filter((t) => [...t.tier.fittings, ...t.tier.trays].some((thing) => chosen.includes(thing.id)));
  const lamps = tiers.flatMap((t) => t.lamps).filter((l) => chosen.includes(l.fitting.id));
  const trays = tiers.flatMap((t) => t.trays).filter((y) => chosen.includes(y.tray.id));
  const [tier] = tiers;
  const [lamp] = lamps;
  if (!tier) return null;
  const sameKind = tiers.length === 1 && lamp && lamps.every((l) => l.lamp.id === lamp.lamp.id && l.fitting.face === lamp.fitting.face);
  if (sameKind && trays.length === 0) return <LampPanel key={lamp.fitting.id} tier={tier} lamp={lamp} ids={chosen} commands={commands} />;
  if (chosen.length > 1) return <ManyPanel tiers={tiers} ids={chosen} commands={commands} />;
  return trays[0] ? <TrayPanel key={trays[0].tray.id} tier={tier} tray={trays[0]} commands={commands} /> : null;
}

const snapMiddle = (x: number, width: number) => (Math.abs(x - width / 2) < 0.2 * width ? width / 2 : Math.round(x * 100) / 100);

/** Lamps that are added to one that hangs go behind it and before it by turns, a hand apart. */
function freeDepth({ tier, lamps }: BenchTier): number {
  const taken = lamps.map((l) => l.fitting.y);
  for (let i = 0; i < 12; i++) {
    const y = tier.depth / 2 + (i % 2 ? 1 : -1) * Math.ceil(i / 2) * 0.12;
    if (y > 0.02 && y < tier.depth - 0.02 && taken.every((other) => Math.abs(other - y) > 0.1)) return y;
  }
  return tier.depth / 2;
}
