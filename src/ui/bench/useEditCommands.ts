'use client';
import { useMemo } from 'react';
import type { BenchStand, BenchTier } from '@/core/answer/stand/benchStand';
import { stepsWithin } from '@/core/answer/stand/stepsWithin';
import {
  carry,
  changeFittings,
  changeTrays,
  clipOf,
  moveThings,
  paste,
  removeThings,
  turnThings,
  type Change,
  type Clip,
} from '@/core/site/stand/change';
import type { Metres } from '@/core/units/quantities';
import { newId } from '@/store/names/newId';
import { changeSite, undo } from '@/store/site/siteStore';
import { say } from '../shell/toastStore';
import { KEEPS_POSITIONS } from './benchWords';
import { useWorkspace } from '../shell/WorkspaceContext';

/** What was copied, for as long as the page is open. */
let clipboard: Clip | null = null;

/** All that can be done with the chosen things, by whatever hand: pointer, key or button. */
export function useEditCommands(stand: BenchStand) {
  const { sites, benchLooks } = useWorkspace();
  return useMemo(() => {
    const chosen = () => benchLooks.getState().chosen;
    const change = (what: string, by: Change) => {
      if (benchLooks.getState().day !== null) return say('You are viewing a future day. Go back to today to make changes.');
      if (stand.stand.autoArranged) say(KEEPS_POSITIONS);
      changeSite(sites, what, by);
    };
    const tierOf = (id: string): BenchTier | undefined =>
      stand.tiers.find((t) => [...t.tier.fittings, ...t.tier.trays].some((thing) => thing.id === id));
    /** The same for every tier on which something is chosen, as one step. */
    const each = (what: string, by: (t: BenchTier, ids: readonly string[]) => Change) => {
      const ids = chosen();
      const tiers = stand.tiers.filter((t) => ids.some((id) => tierOf(id) === t));
      if (tiers.length > 0) change(what, (site) => tiers.reduce((s, t) => by(t, ids)(s), site));
    };
    const choose = (ids: readonly string[], tierId?: string) =>
      benchLooks.setState({ chosen: ids, ...(tierId ? { tierId } : ids[0] ? { tierId: tierOf(ids[0])?.tier.id ?? null } : {}) });

    return {
      change,
      choose,
      toggle(id: string) {
        const now = chosen();
        choose(now.includes(id) ? now.filter((c) => c !== id) : [...now, id], tierOf(id)?.tier.id);
      },
      shift(dx: Metres, dy: Metres) {
        each('move', (t, ids) => moveThings(t.tier.id, ids, dx, dy));
      },
      /** Up or down by steps: lamps by what they hang from, trays by their risers. */
      lift(steps: number) {
        each('move up or down', (t, ids) =>
          t.tier.fittings.some((f) => ids.includes(f.id))
            ? changeFittings(t.tier.id, ids, (f) => {
                const lamp = t.lamps.find((l) => l.fitting.id === f.id)?.lamp;
                if (!lamp) return {};
                const { step } = f.hanger;
                return { face: f.face + step * stepsWithin(t, { fitting: f, lamp }, f.face + steps * step) };
              })
            : changeTrays(t.tier.id, ids, (y) => ({ risers: Math.min(20, Math.max(0, y.risers + Math.sign(steps))) })),
        );
      },
      /** To the tier above or below. */
      carry(by: -1 | 1) {
        const from = tierOf(chosen()[0] ?? '');
        const to = from && stand.tiers[stand.tiers.indexOf(from) + by];
        if (!to) return;
        change('move to another tier', carry(chosen(), to.tier.id));
        choose(chosen(), to.tier.id);
      },
      turn() {
        each('turn', (t, ids) => turnThings(t.tier.id, ids));
      },
      remove() {
        const ids = chosen();
        if (ids.length === 0) return;
        choose([]);
        change('take away', removeThings(ids));
        say(ids.length === 1 ? 'Deleted.' : `${ids.length} things deleted.`, { label: 'Undo', run: () => undo(sites) });
      },
      copy() {
        if (chosen().length > 0) clipboard = clipOf(sites.getState().site, chosen());
      },
      paste() {
        const tierId = benchLooks.getState().tierId ?? stand.tiers[0]!.tier.id;
        if (!clipboard) return;
        const put = paste(clipboard, tierId, 0.03, newId);
        change('paste', put.change);
        benchLooks.setState({ chosen: put.ids, tierId });
      },
      duplicate() {
        const t = tierOf(chosen()[0] ?? '');
        if (!t) return;
        const put = paste(clipOf(sites.getState().site, chosen()), t.tier.id, 0.04, newId);
        change('duplicate', put.change);
        benchLooks.setState({ chosen: put.ids, tierId: t.tier.id });
      },
      chooseAll() {
        const t = stand.tiers.find((now) => now.tier.id === benchLooks.getState().tierId) ?? stand.tiers[0]!;
        choose(
          [...t.tier.fittings, ...t.tier.trays].map((thing) => thing.id),
          t.tier.id,
        );
      },
    };
  }, [stand, sites, benchLooks]);
}

export type EditCommands = ReturnType<typeof useEditCommands>;

const TAKE_UP = /^(Enter| |Arrow\w+|Page\w+|Delete|Backspace|r)$/;

/**
 * A key on a lamp or a tray takes it up first, as a press does; going past it with Tab changes nothing. Enter on what is chosen already
 * goes to its panel.
 */
export function takeUp(e: React.KeyboardEvent, isChosen: boolean, choose: () => void): void {
  const isCommand = e.ctrlKey || e.metaKey;
  const isPress = e.key === 'Enter' || e.key === ' ';
  if (isPress && !isCommand) e.preventDefault();
  if (!isChosen) {
    if (isCommand ? /^[cd]$/i.test(e.key) : TAKE_UP.test(e.key)) choose();
  } else if (isPress && !isCommand) document.querySelector<HTMLElement>('[aria-label^="The chosen"] :is(input, button, select)')?.focus();
}

/** A key on the drawing, or on anything that lies on it. @returns whether it meant something */
export function pressed(e: React.KeyboardEvent, commands: EditCommands, above: boolean): boolean {
  const command = e.ctrlKey || e.metaKey;
  const far = e.shiftKey ? 5 : 1;
  const key = e.key.length === 1 ? e.key.toLowerCase() : e.key;
  if (command && !e.shiftKey && !e.altKey) {
    const act = { c: commands.copy, v: commands.paste, d: commands.duplicate, a: commands.chooseAll }[key];
    act?.();
    return act !== undefined;
  }
  if (command) return false;
  if (e.altKey && (key === 'ArrowUp' || key === 'ArrowDown')) {
    commands.carry(key === 'ArrowUp' ? -1 : 1);
    return true;
  }
  const acts: Readonly<Record<string, () => void>> = {
    ArrowLeft: () => commands.shift(-0.01 * far, 0),
    ArrowRight: () => commands.shift(0.01 * far, 0),
    ArrowUp: () => (above ? commands.shift(0, 0.01 * far) : commands.lift(far)),
    ArrowDown: () => (above ? commands.shift(0, -0.01 * far) : commands.lift(-far)),
    PageUp: () => commands.shift(0, 0.01 * far),
    PageDown: () => commands.shift(0, -0.01 * far),
    Delete: commands.remove,
    Backspace: commands.remove,
    r: commands.turn,
    Escape: () => commands.choose([]),
  };
  const act = acts[key];
  act?.();
  return act !== undefined;
}
