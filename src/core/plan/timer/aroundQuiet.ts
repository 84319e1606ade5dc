import type { Site, Timer } from '../../site/stand/Site';
import { MINUTES_PER_DAY } from '../../units/clock';
import { mostLit } from '../../units/LitTimes';
import { lengthOf } from '../../units/Span';

const QUARTER = 15;
const wrap = (m: number) => ((m % MINUTES_PER_DAY) + MINUTES_PER_DAY) % MINUTES_PER_DAY;

/** How many minutes a timer's lamps can burn outside the household's quiet, beside its pause. */
export const freeOf = ({ pause }: Pick<Timer, 'pause'>, quiet: Site['quiet']): number =>
  mostLit(pause) - (quiet ? wrap(quiet.to_min - quiet.from_min) : 0);

/** When lamps go on for a day of another length: its middle stays where it is, unless that would burn into the quiet hours. */
export function onAround(p: Pick<Timer, 'on_min' | 'lit_min' | 'pause'>, lit: number, quiet: Site['quiet']): number {
  const on = wrap(p.on_min + Math.round((p.lit_min - lit) / 2 / QUARTER) * QUARTER);
  if (!quiet) return on;
  // Minutes from the end of the quiet to its next beginning are free.
  const free = wrap(quiet.from_min - quiet.to_min);
  const into = wrap(on - quiet.to_min);
  const whole = lit + (p.pause ? lengthOf(p.pause) : 0);
  if (into + whole <= free) return on;
  return into < free ? wrap(quiet.from_min - whole) : quiet.to_min;
}
