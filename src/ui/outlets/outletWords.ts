import type { Loads, OutletFault, OutletGroup, Plug } from '@/core/answer/power/loadsOf';
import type { Plugged } from '@/core/site/stand/Site';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { timersOf } from '@/core/plan/timer/servedBy';
import { timerName } from '../hours/timerWords';
import { besideWords } from '../parts/besideWords';

export const PLUGGED_WORDS: Readonly<Record<Plugged['kind'], string>> = {
  fan: 'fan',
  mat: 'heat mat',
  pump: 'pump',
  other: 'something else',
};

export const watts = (w: number): string => `${Math.round(w)} W`;
/** Volts times amperes: what wires have to carry. */
export const voltAmperes = (va: number): string => `${Math.round(va)} VA`;

/** What a group of outlets is called. */
export function groupName(stand: BenchStand, timerId: string | null): string {
  if (timerId === null) return 'Always live';
  const timers = timersOf(stand);
  const timer = timers.find((t) => t.id === timerId);
  return timer ? timerName(timer, timers.length === 1) : 'A timer';
}

export const plugWords = (p: Plug): string => (p.tier === null ? p.name : `Tier ${p.tier}: ${p.name}`);

/** Which timers switch what comes on with a surge; null: none does. */
export function surgeWords(stand: BenchStand, groups: readonly Pick<OutletGroup, 'timerId' | 'plugs'>[]): string | null {
  const surging = groups.filter((g) => g.timerId !== null && g.plugs.some((p) => p.surges));
  if (surging.length === 0) return null;
  const names = surging.length === groups.filter((g) => g.timerId !== null).length ? null : surging.map((g) => groupName(stand, g.timerId));
  return `${names ? names.join(', ') : 'The timers here'}: ballasts, drivers and motors surge to many times their load for an instant as they are switched on, which can weld a small timer’s contact shut. Take one whose label gives a figure for such loads, and check now and then that the lamps really go off.`;
}

/** What is wrong with what is plugged where, and why it matters. */
export function outletFaultWords(fault: OutletFault, stand: BenchStand, { groups }: Loads): string {
  const name = (id: string | null) => groupName(stand, id);
  const thing = (id: string) => groups.flatMap((g: OutletGroup) => g.plugs).find((p) => p.id === id)?.name ?? 'It';
  switch (fault.why) {
    case 'overloaded':
      return `${name(fault.timerId)} would carry ${besideWords(fault.load, fault.allowed)} VA; for hours on end it should carry no more than ${voltAmperes(fault.allowed)}, four fifths of its rating.`;
    case 'strip-overloaded':
      return `Together they need ${besideWords(fault.load, fault.allowed)} VA; the strip should carry no more than ${voltAmperes(fault.allowed)} for hours on end.`;
    case 'too-few-outlets':
      return `${name(fault.timerId)} has ${fault.outlets} outlets for ${fault.plugs} plugs. Do not chain strips: another timer is the way.`;
    case 'mat-timed':
      return `${thing(fault.thingId)} goes off with the lamps, just when the nights are cold. A mat belongs on an outlet that is always live, with a thermostat.`;
    case 'pump-timed':
      return `${thing(fault.thingId)} goes off with the lamps. A pump belongs on an outlet that is always live.`;
  }
}
