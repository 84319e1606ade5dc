'use client';
import { Equal } from 'lucide-react';
import { useState } from 'react';
import { applyOnStand } from '@/store/bench/applyOnStand';
import type { EqualDose } from '@/core/plan/trial/equalDose';
import type { Move } from '@/core/plan/advice/Move';
import type { Stand } from '@/core/site/stand/Site';
import type { Trial } from '@/core/site/trial/Trial';
import { benchStandIn } from '@/store/bench/benchStandIn';
import { changeSite, undo } from '@/store/site/siteStore';
import { movesWords } from '../bench/moveWords';
import { Button } from '../parts/Button';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { say } from '../shell/toastStore';
import { useSettings, useWorkspace } from '../shell/WorkspaceContext';
import { dliNumber } from '../drawing/lightWords';

const WHY: Readonly<Record<Extract<EqualDose, { ok: false }>['why'], string>> = {
  'not-drawn': 'Not all trays stand on your stands, so their light is not known. Choose a tray for each code.',
  'not-lit': 'One arm gets no light at all.',
  'one-tier': 'Two arms share a tier and its lamps. Give each arm a tier of its own first.',
  'one-timer': 'The arms share a timer, so their hours cannot differ. Plug them into timers of their own first.',
  others:
    'The lamps of the trial also light trays that are not in it, and these would get less. Give the trial tiers and a timer of its own first.',
  'short-day':
    'Within the photoperiod that the crop tolerates, no hours give the arms the same DLI. Make their distances or lamps more alike.',
  'out-of-reach': 'Heights and hours do not reach far enough. Hang lamps that are more alike.',
};

/** Brings the arms to the dose of the weakest with one press: heights and hours solved, everything checked by the exact light. */
export function EqualDoseButton({ trial }: { trial: Trial }) {
  const { equalDoseOf, sites } = useWorkspace();
  const told = useSettings();
  const [state, setState] = useState<'idle' | 'busy' | string>('idle');
  async function make() {
    setState('busy');
    try {
      const { stands, timers } = sites.getState().site;
      const found = await equalDoseOf(trial);
      if (!found.ok) return setState(WHY[found.why]);
      const { site } = sites.getState();
      // Lamps are moved from where they hung: elsewhere by now, they would come to hang wrong.
      if (site.stands !== stands || site.timers !== timers) return setState('A stand was changed meanwhile. Press once more.');
      // An arm may stand on several stands: each is told, and changed, by its own moves.
      const isOn = (stand: Stand) => (m: Move) =>
        stand.tiers.some((t) => ('tierId' in m && t.id === m.tierId) || ('timerId' in m && t.timerId === m.timerId));
      const parts = site.stands.map((stand) => ({ stand, moves: found.moves.filter(isOn(stand)) })).filter(({ moves }) => moves.length > 0);
      const words = parts.map(({ stand, moves }) => movesWords(moves, benchStandIn(site, stand), site.lamps, told));
      const doses = Object.entries(found.after)
        .map(([arm, dose]) => `${arm} ${dliNumber(dose)}`)
        .join(', ');
      const made = changeSite(sites, 'set equal DLI', (now) =>
        parts.reduce((s, { stand, moves }) => applyOnStand(stand.id, moves)(s), now),
      );
      setState('idle');
      if (made)
        say(`${words.join('. ') || 'Nothing to change'}. Doses now: ${doses} mol/m²/day.`, { label: 'Undo', run: () => undo(sites) });
      focusHeadingIfLost();
    } catch (error) {
      setState(`It could not be worked out (${error instanceof Error ? error.message : String(error)}). Try again.`);
    }
  }
  return (
    <div className="space-y-1 print:hidden">
      <Button disabled={state === 'busy'} onClick={() => void make()}>
        <Equal size={17} aria-hidden /> {state === 'busy' ? 'Calculating…' : 'Give all arms the same DLI'}
      </Button>
      {state !== 'idle' && state !== 'busy' && (
        <p role="alert" className="text-copper">
          {state}
        </p>
      )}
    </div>
  );
}
