import type { LightWays, MoreWay } from '@/core/plan/buying/capacity';
import type { Serving } from '@/core/plan/buying/serving';
import { showHours } from '@/core/units/clock';
import { showLength, type LengthUnit } from '@/core/units/length';
import { dliNumber } from '../drawing/lightWords';

/** What a crop gets under lamps, in a word and a line of detail. */
export function servingWords(s: Serving, needs: number, unit: LengthUnit): { readonly word: string; readonly detail: string } {
  const set = `${showHours(s.hours * 60)} at ${showLength(s.distance, unit)}`;
  switch (s.reach) {
    case 'target':
      return { word: 'best DLI', detail: set };
    case 'enough':
      return { word: 'enough', detail: `${set}, ${dliNumber(s.dli)}\u00a0mol` };
    case 'short':
      return { word: 'too little', detail: `${dliNumber(s.dli)} of ${dliNumber(needs)}\u00a0mol` };
    case 'strong':
      return { word: 'too strong', detail: 'however it hangs' };
  }
}

export const REACH_COLOURS: Readonly<Record<Serving['reach'], string>> = {
  target: 'text-verdigris',
  enough: 'text-ink',
  short: 'text-slate',
  strong: 'text-copper',
};

const HOW: Readonly<Record<MoreWay['how'], string>> = {
  longer: 'A longer day',
  nearer: 'Lamps nearer',
  lamp: 'One more lamp',
};
export const howWords = (how: MoreWay['how']): string => HOW[how];

/** What a way costs beside what it costs now: `0.42 more a month`, or that it costs the same. */
export function costWords(
  way: { readonly wh_per_day: number },
  now: { readonly wh_per_day: number },
  money: (kWh: number) => string,
  days: number,
): string {
  const kWh = ((way.wh_per_day - now.wh_per_day) * days) / 1000;
  if (Math.abs(kWh) < 0.005) return 'the same power';
  return `${money(Math.abs(kWh))} ${kWh > 0 ? 'more' : 'less'} a month (${Math.abs(kWh).toFixed(1)} kWh)`;
}

/** What is told of now. */
export const NOW_WORDS: Readonly<Record<Serving['reach'], string>> = {
  target: 'The best DLI',
  enough: 'Enough, at the least cost',
  short: 'The most that these plants tolerate here',
  strong: '',
};

/** Why there is no way to more light. */
export const noWayWords = ({ hasRoom }: LightWays): string =>
  `These plants tolerate none: their day is as long as it may be, and nearer would be too strong.${hasRoom ? '' : ' There is no place for one more lamp: no room, or the others are fixed.'}`;

/** More lamps or longer hours, in a sentence. */
export function longerOrMore({ now, shorter }: LightWays, money: (kWh: number) => string, days: number): string | null {
  if (!shorter) return null;
  if (shorter.hours > now.hours - 0.01)
    return 'With one lamp more the day gets no shorter: the plants need as many hours, and get more light than that in them.';
  const kWh = ((shorter.wh_per_day - now.wh_per_day) * days) / 1000;
  const power = Math.abs(kWh) < 0.05 ? 'for the same power' : `for ${money(Math.abs(kWh))} ${kWh > 0 ? 'more' : 'less'} a month`;
  return `With one lamp more the same DLI takes ${showHours(shorter.hours * 60)} instead of ${showHours(now.hours * 60)}, ${power}.`;
}
