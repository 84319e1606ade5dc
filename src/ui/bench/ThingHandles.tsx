'use client';
import clsx from 'clsx';
import type { BenchLamp, BenchStand, BenchTier } from '@/core/answer/stand/benchStand';
import { carry, changeFittings, changeTrays, type Change } from '@/core/site/stand/change';
import { highestFaceOf, stepsWithin } from '@/core/answer/stand/stepsWithin';
import { footOf } from '@/core/site/stand/canopy';
import { outlineOf, outlineOfFitting } from '@/core/site/stand/footprint';
import { topOfFaceOf } from '@/core/site/stand/poseOf';
import type { Metres } from '@/core/units/quantities';
import { showLength, type LengthUnit } from '@/core/units/length';
import { useSettings, useWorkspace } from '../shell/WorkspaceContext';
import { stageWords } from '../verdict/words';
import { tierAt, type BenchFrame, type View } from './benchFrame';
import { hangWords, riserWords, stepWords, trayName } from './benchWords';
import { useBenchLook } from './useBench';
import { useDrag } from './useDrag';
import { takeUp, type EditCommands } from './useEditCommands';
import { fromEdgesWords } from '../drawing/fromEdgesWords';

/** What a hand has taken up: where everything was. */
interface Held {
  readonly tier: BenchTier;
  readonly ids: readonly string[];
  readonly along: Metres;
  readonly span: Metres;
  readonly at: ReadonlyMap<string, { readonly x: Metres; readonly y: Metres }>;
  readonly lamps: ReadonlyMap<string, BenchLamp>;
  readonly clientTop: number;
}

/** To the centimetre or the half inch, and into the middle of the tier when near it. */
function snapAlong(wished: Metres, span: Metres, unit: LengthUnit): Metres {
  if (Math.abs(wished - span / 2) < 0.015) return span / 2;
  const step = unit === 'in' ? 0.0127 : 0.01;
  return Math.round(wished / step) * step;
}

/** Lamps of one kind that hang in line with the eye look like one, and are taken hold of as one. */
interface Row {
  readonly lamps: readonly [BenchLamp, ...BenchLamp[]];
  readonly count: number;
}

function rowsOf(t: BenchTier, view: View): Row[] {
  const rows = new Map<string, [BenchLamp, ...BenchLamp[]]>();
  for (const l of t.lamps) {
    const { lampId, face, turn, tilt = 0, x, y } = l.fitting;
    const key = [lampId, face.toFixed(3), turn.toFixed(2), tilt.toFixed(2), (view === 'front' ? x : y).toFixed(3)].join();
    const row = rows.get(key);
    if (row) row.push(l);
    else rows.set(key, [l]);
  }
  return [...rows.values()].map((lamps) => ({ lamps, count: lamps.length }));
}

const rowWith = (t: BenchTier, id: string, view: View): readonly string[] | null =>
  rowsOf(t, view)
    .find((r) => r.lamps.some((l) => l.fitting.id === id))
    ?.lamps.map((l) => l.fitting.id) ?? null;

/** "3 links down, 4 cm to the right" */
function movedWords(held: Held, target: BenchTier, shift: Metres, down: Metres, view: View, unit: LengthUnit): string {
  if (target !== held.tier) return `to tier ${target.number}`;
  const lamp = held.tier.lamps.map((l) => held.lamps.get(l.fitting.id)).find((l) => l !== undefined);
  const steps = lamp ? stepsWithin(held.tier, lamp, lamp.fitting.face - down) : 0;
  const sideways = showLength(Math.abs(shift), unit);
  const way = view === 'front' ? (shift > 0 ? 'to the right' : 'to the left') : shift > 0 ? 'to the back' : 'to the front';
  return [
    ...(lamp && steps !== 0 ? [stepWords(lamp.fitting.hanger, steps, unit)] : []),
    ...(Math.abs(shift) > 0.002 ? [`${sideways} ${way}`] : []),
  ].join(', ');
}

/** Every lamp and tray of the stand as something to take hold of: by pointer, finger or key. */
export function ThingHandles({
  stand,
  frame,
  commands,
  stopId,
}: {
  stand: BenchStand;
  frame: BenchFrame;
  commands: EditCommands;
  /** The tier whose things Tab goes through. */
  stopId: string;
}) {
  const { benchLooks } = useWorkspace();
  const { lengthUnit } = useSettings();
  const { chosen } = useBenchLook();

  const drag = useDrag<Held>(
    'move on the bench',
    (e) => {
      const id = e.currentTarget.dataset.thing!;
      const tier = stand.tiers.find((t) => [...t.tier.fittings, ...t.tier.trays].some((thing) => thing.id === id))!;
      if (e.shiftKey) {
        commands.toggle(id);
        return null;
      }
      const ids = chosen.includes(id) ? chosen : (rowWith(tier, id, frame.view) ?? [id]);
      if (!chosen.includes(id)) commands.choose(ids, tier.tier.id);
      else benchLooks.setState({ tierId: tier.tier.id });
      const things = stand.tiers.flatMap((t) => [...t.tier.fittings, ...t.tier.trays]).filter((thing) => ids.includes(thing.id));
      const first = things.find((thing) => thing.id === id)!;
      const stage = e.currentTarget.parentElement!.getBoundingClientRect();
      return {
        tier,
        ids,
        along: frame.view === 'front' ? first.x : first.y,
        span: frame.view === 'front' ? tier.tier.width : tier.tier.depth,
        at: new Map(things.map((thing) => [thing.id, { x: thing.x, y: thing.y }])),
        lamps: new Map(stand.tiers.flatMap((t) => t.lamps).filter((l) => ids.includes(l.fitting.id)).map((l) => [l.fitting.id, l])), // prettier-ignore
        clientTop: stage.top,
      };
    },
    (held, dx, dy, e) => {
      const shift = snapAlong(held.along + dx / frame.scale, held.span, lengthUnit) - held.along;
      const over = tierAt(stand, frame, e.clientY - held.clientTop);
      const box = frame.boxOf(held.tier);
      const y = e.clientY - held.clientTop;
      const target = y < box.top - 6 || y > box.top + box.height + 6 ? over : held.tier;
      const put = <T extends { id: string }>(thing: T) => {
        const from = held.at.get(thing.id);
        if (!from) return {};
        return frame.view === 'front' ? { x: from.x + shift } : { y: from.y + shift };
      };
      const change: Change = (site) => {
        const there = site.stands
          .flatMap((s) => s.tiers)
          .find((t) => held.ids.some((id) => [...t.fittings, ...t.trays].some((g) => g.id === id)));
        const moved = there && there.id !== target.tier.id ? carry(held.ids, target.tier.id)(site) : site;
        return changeTrays(
          target.tier.id,
          held.ids,
          put,
        )(
          changeFittings(target.tier.id, held.ids, (f) => {
            const taken = held.lamps.get(f.id)!;
            // The lamp stays under the hand, also on another tier.
            const wished = taken.fitting.face + held.tier.z - target.z - dy / frame.scale;
            if (target === held.tier) return { ...put(f), face: taken.fitting.face + stepsWithin(target, taken, wished) * f.hanger.step };
            return { ...put(f), face: Math.max(0.02, Math.min(highestFaceOf(target, taken), Math.round(wished * 100) / 100)) };
          })(moved),
        );
      };
      benchLooks.setState({
        handOn: target === held.tier ? held.tier.tier.id : null,
        tierId: target.tier.id,
        moved: movedWords(held, target, shift, dy / frame.scale, frame.view, lengthUnit),
      });
      commands.change('move on the bench', change);
    },
  );

  const common = (id: string, tierId: string, label: string) => ({
    'data-thing': id,
    'data-tier': tierId,
    role: 'button',
    tabIndex: tierId === stopId ? 0 : -1,
    'aria-pressed': chosen.includes(id),
    'aria-label': label,
    ...drag,
    onClick: (e: React.MouseEvent) => e.stopPropagation(),
    onKeyDown: (e: React.KeyboardEvent) =>
      takeUp(e, chosen.includes(id), () => {
        const tier = stand.tiers.find((t) => t.tier.fittings.some((f) => f.id === id));
        commands.choose((tier && rowWith(tier, id, frame.view)) ?? [id]);
      }),
  });

  return (
    <>
      {stand.tiers.flatMap((t) => [
        ...t.trays.map((y) => {
          const r = outlineOf(y.tray);
          const [from, to] = frame.view === 'front' ? [r.x0, r.x1] : [r.y0, r.y1];
          const foot = footOf(y.tray);
          const top = frame.z(t, foot + Math.max(y.tray.height, 22 / frame.scale));
          return (
            <div
              key={y.tray.id}
              {...common(
                y.tray.id,
                t.tier.id,
                `Tray: ${trayName(y)}, ${stageWords(y.stage)}, tier ${t.number}, ${showLength(y.tray.x, lengthUnit)} from the left${y.tray.risers ? `, on ${riserWords(y.tray.risers)}` : ''}`,
              )}
              className={clsx(
                'absolute cursor-grab touch-none rounded-sm print:hidden',
                chosen.includes(y.tray.id) && 'outline-2 outline-ember',
              )}
              style={{ left: frame.u(t, from), width: (to - from) * frame.scale, top, height: frame.z(t, foot) - top }}
            />
          );
        }),
        ...rowsOf(t, frame.view).map(({ lamps: [{ fitting, lamp }], count }) => {
          const r = outlineOfFitting(fitting, lamp);
          const [from, to] = frame.view === 'front' ? [r.x0, r.x1] : [r.y0, r.y1];
          const width = Math.max(30, (to - from) * frame.scale + 8);
          const middle = (frame.u(t, from) + frame.u(t, to)) / 2;
          const face = frame.z(t, fitting.face);
          const top = frame.z(t, topOfFaceOf(fitting, lamp)) - 18;
          const distance =
            t.trays.length > 0
              ? `${showLength(fitting.face - Math.max(...t.trays.map((y) => y.canopy)), lengthUnit)} above the leaves, `
              : '';
          return (
            <div
              key={fitting.id}
              {...common(
                fitting.id,
                t.tier.id,
                `Lamp: ${count > 1 ? `${count} × ` : ''}${lamp.name}, tier ${t.number}, ${distance}${hangWords(t, fitting, lengthUnit)}, ${fromEdgesWords(fitting, lengthUnit)}`,
              )}
              className={clsx(
                'absolute cursor-move touch-none rounded-sm print:hidden',
                chosen.includes(fitting.id) && 'outline-2 outline-ember',
              )}
              style={{ left: middle - width / 2, width, top, height: face + 8 - top }}
            />
          );
        }),
      ])}
    </>
  );
}
