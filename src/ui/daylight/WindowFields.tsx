'use client';
import { Plus, Trash2, Undo2 } from 'lucide-react';
import { useState } from 'react';
import type { Stand } from '@/core/site/stand/Site';
import { changeWindow, dropWindow, standAtWindow } from '@/core/site/stand/changeWindows';
import {
  DIRT_KINDS,
  houseOpposite,
  MOST_HORIZON_POINTS,
  tidyAngle,
  WINDOW_SIDES,
  type AtWindow,
  type Window,
} from '@/core/site/window/Window';
import { compassOf, readFacing } from '@/core/sky/place/facing';
import { PANE_KINDS } from '@/core/sky/window/Glass';
import { PALENESS } from '@/core/sky/window/Inside';
import { fail, ok } from '@/core/units/result';
import { changeSite, undo } from '@/store/site/siteStore';
import { ClockField } from '../hours/ClockField';
import { Button } from '../parts/Button';
import { decimalSign } from '../parts/decimalSign';
import { Group } from '../parts/Group';
import { LengthField } from '../parts/LengthField';
import { NumberField } from '../parts/NumberField';
import { Segments } from '../parts/Segments';
import { SelectField } from '../parts/SelectField';
import { TypedField } from '../parts/TypedField';
import { say } from '../shell/toastStore';
import { useWorkspace } from '../shell/WorkspaceContext';
import { DIRT_WORDS, PANE_WORDS, SIDE_WORDS } from './daylightWords';
import { SunAtNoon } from './SunAtNoon';

/** Everything about a window that its light hangs on. */
export function WindowFields({ window }: { window: Window }) {
  const { sites } = useWorkspace();
  const set = (change: Partial<Window>, what = 'change the window') =>
    changeSite(
      sites,
      what,
      changeWindow(window.id, () => change),
    );
  const length = (label: string, field: 'width' | 'height' | 'sill' | 'reveal', min: number, max: number) => (
    <LengthField label={label} value={window[field]} min={min} max={max} onChange={(v) => set({ [field]: v })} inputClassName="w-24" />
  );
  return (
    <div className="space-y-6">
      <Group title="Which way it looks">
        <div className="flex flex-wrap items-end gap-3">
          <TypedField
            label="name"
            shown={window.name}
            read={(t) => (t.trim() ? ok(t.trim().slice(0, 120)) : fail({ code: 'name/empty', at: '' }))}
            hint="A name, such as Kitchen window."
            onChange={(name) => set({ name }, 'rename it')}
            inputClassName="w-52"
          />
          <TypedField
            label="looks to"
            shown={`${compassOf(window.facing)}, ${Math.round((window.facing * 180) / Math.PI)}°`}
            read={(t) => readFacing(t.split(',')[0]!, decimalSign())}
            hint="A compass point such as NE, or degrees from north: 90 is east."
            onChange={(facing) => set({ facing })}
            inputClassName="w-28"
          />
        </div>
        <SunAtNoon onFacing={(facing) => set({ facing: tidyAngle(facing) })} />
      </Group>
      <Group title="Its size">
        <div className="flex flex-wrap gap-3">
          {length('width', 'width', 0.1, 20)}
          {length('height', 'height', 0.1, 10)}
          {length('lower edge over the floor', 'sill', 0, 10)}
          {length('wall outside the glass', 'reveal', 0, 2)}
        </div>
      </Group>
      <Group title="What it lets through">
        <div className="grid grid-cols-1 gap-3 sm:grid-cols-2">
          <SelectField
            label="panes"
            value={window.panes}
            options={PANE_KINDS.map((k) => ({ value: k, label: PANE_WORDS[k] }))}
            onChange={(panes) => set({ panes: panes as Window['panes'] })}
          />
          <SelectField
            label="how clean"
            value={window.dirt}
            options={DIRT_KINDS.map((k) => ({ value: k, label: DIRT_WORDS[k] }))}
            onChange={(dirt) => set({ dirt: dirt as Window['dirt'] })}
          />
        </div>
        <div className="flex flex-wrap items-end gap-3">
          <NumberField
            label="frame and bars take"
            unit="%"
            value={Math.round(window.frame * 100)}
            min={0}
            max={90}
            inputClassName="w-16"
            onChange={(v) => set({ frame: v / 100 })}
          />
          <NumberField
            label="net curtain passes"
            unit="%"
            value={Math.round(window.curtain * 100)}
            min={5}
            max={100}
            inputClassName="w-16"
            onChange={(v) => set({ curtain: v / 100 })}
          />
        </div>
        <div className="flex flex-wrap items-end gap-3">
          {window.blind ? (
            <>
              <ClockField
                label="blind shut from"
                value={window.blind.from_min}
                onChange={(from_min) => set({ blind: { ...window.blind!, from_min } })}
              />
              <ClockField label="until" value={window.blind.to_min} onChange={(to_min) => set({ blind: { ...window.blind!, to_min } })} />
              <Button kind="quiet" onClick={() => set({ blind: null })}>
                No blind
              </Button>
            </>
          ) : (
            <Button kind="quiet" className="px-1!" onClick={() => set({ blind: { from_min: 21 * 60, to_min: 7 * 60 } })}>
              <Plus size={17} aria-hidden /> A blind that is shut at times
            </Button>
          )}
        </div>
      </Group>
      <Group title="What stands outside">
        <div className="flex flex-wrap items-end gap-3">
          {window.overhang ? (
            <>
              <LengthField
                label="roof or balcony comes out"
                value={window.overhang.out}
                min={0.01}
                max={10}
                onChange={(out) => set({ overhang: { ...window.overhang!, out } })}
                inputClassName="w-24"
              />
              <LengthField
                label="over the glass by"
                value={window.overhang.above}
                min={0}
                max={10}
                onChange={(above) => set({ overhang: { ...window.overhang!, above } })}
                inputClassName="w-24"
              />
              <Button kind="quiet" onClick={() => set({ overhang: null })}>
                No roof
              </Button>
            </>
          ) : (
            <Button kind="quiet" className="px-1!" onClick={() => set({ overhang: { out: 0.6, above: 0.2 } })}>
              <Plus size={17} aria-hidden /> A roof or balcony over it
            </Button>
          )}
        </div>
        <HouseOpposite window={window} onHorizon={(horizon) => set({ horizon }, 'draw what stands outside')} />
      </Group>
      <Group title="The room behind it">
        <div className="flex flex-wrap items-end gap-3">
          <Segments
            label="Walls and ceiling"
            value={window.inside?.paleness ?? 'none'}
            options={[...PALENESS.map((p) => ({ value: p as string, label: p })), { value: 'none', label: 'not counted' }]}
            onChange={(p) =>
              set({
                inside:
                  p === 'none' ? null : { width: 4, depth: 4, height: 2.5, ...window.inside, paleness: p as (typeof PALENESS)[number] },
              })
            }
          />
          {window.inside && (
            <>
              <LengthField
                label="width"
                value={window.inside.width}
                min={0.5}
                max={50}
                onChange={(width) => set({ inside: { ...window.inside!, width } })}
                inputClassName="w-24"
              />
              <LengthField
                label="depth"
                value={window.inside.depth}
                min={0.5}
                max={50}
                onChange={(depth) => set({ inside: { ...window.inside!, depth } })}
                inputClassName="w-24"
              />
              <LengthField
                label="height"
                value={window.inside.height}
                min={1}
                max={20}
                onChange={(height) => set({ inside: { ...window.inside!, height } })}
                inputClassName="w-24"
              />
            </>
          )}
        </div>
        <p className="text-sm text-soft">Pale walls give a little light back to the plants’ shaded side.</p>
      </Group>
      <Button
        onClick={() => {
          changeSite(sites, 'delete the window', dropWindow(window.id));
          say(`${window.name} is deleted.`, { label: 'Undo', run: () => undo(sites) });
        }}
      >
        <Trash2 size={17} aria-hidden /> Delete this window
      </Button>
    </div>
  );
}

/** A house opposite by its size and distance, and single points of the skyline. */
function HouseOpposite({ window, onHorizon }: { window: Window; onHorizon(points: Window['horizon']): void }) {
  const [house, setHouse] = useState({ height: 6, distance: 12, width: 10, along: 0 });
  const field = (label: string, name: keyof typeof house, min: number, max: number) => (
    <LengthField
      label={label}
      value={house[name]}
      min={min}
      max={max}
      onChange={(v) => setHouse({ ...house, [name]: v })}
      inputClassName="w-24"
    />
  );
  const isFull = window.horizon.length >= MOST_HORIZON_POINTS;
  return (
    <div className="space-y-2">
      <div className="flex flex-wrap items-end gap-3">
        {field('house, higher than the sill by', 'height', 0.1, 200)}
        {field('so far away', 'distance', 0.5, 2000)}
        {field('so wide', 'width', 0.5, 2000)}
        {field('its middle to the right by', 'along', -1000, 1000)}
        <Button onClick={() => onHorizon(houseOpposite(house))}>Draw the house</Button>
      </div>
      <div className="flex flex-wrap gap-2">
        <Button
          disabled={isFull}
          onClick={() => {
            // Where the line has its widest gap.
            const line = [-1.2, ...window.horizon.map((p) => p.azimuth), 1.2];
            const gaps = line.slice(1).map((a, i) => a - line[i]!);
            const i = gaps.indexOf(Math.max(...gaps));
            const azimuth = tidyAngle((line[i]! + line[i + 1]!) / 2);
            onHorizon([...window.horizon.slice(0, i), { azimuth, elevation: tidyAngle(0.25) }, ...window.horizon.slice(i)]);
          }}
        >
          <Plus size={17} aria-hidden /> Point of the skyline
        </Button>
        {window.horizon.length > 0 && (
          <Button kind="quiet" onClick={() => onHorizon([])}>
            <Trash2 size={17} aria-hidden /> Clear it
          </Button>
        )}
      </div>
      <p className="text-sm text-soft">
        Drag the dots in the picture, or move them with the arrow keys; Delete takes one away.
        {isFull && ` ${MOST_HORIZON_POINTS} points are the most.`}
      </p>
    </div>
  );
}

/** Where a stand is before its window. */
export function AtWindowFields({ stand, at }: { stand: Stand; at: AtWindow }) {
  const { sites } = useWorkspace();
  const set = (change: Partial<AtWindow>) => changeSite(sites, 'move it at the window', standAtWindow(stand.id, { ...at, ...change }));
  return (
    <Group title="Where the stand is">
      <div className="grid grid-cols-1 gap-3 sm:grid-cols-2">
        <SelectField
          label="turned to the window"
          value={at.side}
          options={WINDOW_SIDES.map((s) => ({ value: s, label: SIDE_WORDS[s] }))}
          onChange={(side) => set({ side: side as AtWindow['side'] })}
        />
      </div>
      <div className="flex flex-wrap items-end gap-3">
        <LengthField label="from the glass" value={at.gap} min={0.01} max={20} onChange={(gap) => set({ gap })} inputClassName="w-24" />
        <LengthField
          label="to the right, looking out"
          value={at.along}
          min={-20}
          max={20}
          onChange={(along) => set({ along })}
          inputClassName="w-24"
        />
        <LengthField
          label="its floor over the sill"
          value={at.above}
          min={-5}
          max={5}
          onChange={(above) => set({ above })}
          inputClassName="w-24"
        />
      </div>
      <Button kind="quiet" className="px-1!" onClick={() => changeSite(sites, 'take it from the window', standAtWindow(stand.id, null))}>
        <Undo2 size={17} aria-hidden /> Remove from this window
      </Button>
    </Group>
  );
}
