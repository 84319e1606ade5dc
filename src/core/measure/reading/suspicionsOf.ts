import { createCache, type Cache } from '../../light/scene/Cache';
import { calibrate, compare, type Compared } from './calibrate';
import type { LampOf } from './lightThere';
import { otherwiseOf, type OtherTier } from './otherwiseOf';
import type { Reading } from '../../site/reading/Reading';
import { weighReading, type ErrorHypothesis, type Suspicion, type Why } from './ErrorHypothesis';
import { hypothesesOf } from './hypothesesOf';

/**
 * How far from its box a lamp may honestly be. Above: cheap boxes understate little, and pale walls may add a third.
 * Below: overstated lumens and an old lamp together may leave a third. Our estimate, after the CALiPER reports.
 */
export const HONEST = { low: 0.35, high: 1.8, sd: 0.33 } as const;

/** Within what the other readings say, a lamp looked at elsewhere may honestly read this much less or more. */
const AMONG_READINGS = { low: 0.5, high: 2, sd: 0.15 } as const; // twice the nine-in-ten scatter of a hand and a cheap meter; our estimate

/** The lamp itself, when it is its first reading: then it may be the lamp that is odd. */
const ODD_LAMP: ErrorHypothesis = { why: 'dimmed-or-old', shift: Math.log(1 / 3.2), spread: 0.4, prior: 0.02, multiply: null };

/** Less likely than this is not worth naming. */
const NAMED = 0.05;

/**
 * Asks whether a reading can be right: against the other readings of the same lamps where there are any, else against their
 * boxes. A first reading of a lamp that states nothing is not questioned.
 *
 * @param all     readings of the tier held against the boxes, this one or not
 * @param others  other tiers of the stand, where it may have been taken by mistake
 * @param cache   of a list of readings, whose lamps and walls are mostly the same
 * @returns reasons, the likeliest first, adding up to about 1; none when the reading is plausible
 */
export function suspicionsOf(
  reading: Reading,
  all: readonly Compared[],
  lampOf: LampOf,
  others: readonly OtherTier[] = [],
  cache: Cache = createCache(),
): Suspicion[] {
  const one = compare([reading], lampOf, cache)[0];
  if (!one) return [];
  // No level sensor sees the lamps there: it was not where it is said to have been.
  if (!(one.nominal > 0)) return [{ why: 'other-height', multiply: null, weight: 1 }];
  const main = one.there.parts.reduce((a, b) => (b.ppfd > a.ppfd ? b : a)).lamp;
  const known = calibrate(
    all.filter((c) => c.reading.id !== reading.id),
    main.id,
  );
  if (!known && main.fluxBasis === 'unknown') return [];
  const { low, high, sd } = known ? AMONG_READINGS : HONEST;
  const ratio = one.ratio / (known?.scale ?? 1);
  if (ratio >= low && ratio <= high)
    return ratio < ASKED_BELOW ? askAgain({ ...one, ratio }, sd, () => otherwiseOf(reading, lampOf, {}, others, cache)) : [];
  return question({ ...one, ratio }, sd, known === null, () => otherwiseOf(reading, lampOf, {}, others, cache));
}

/** A reading that may be honest, but is so low that it is worth a look whether all lamps were on and the sensor at the leaves. */
const ASKED_BELOW = 0.75;
const WORTH_A_LOOK: ReadonlySet<Why> = new Set(['lamp-unlit', 'on-the-shelf']);

/** What a person had better look at before they believe a low reading; each with its chance beside that of an honest one. */
function askAgain({ reading, ratio, converted }: Compared, sd: number, otherwise: () => ReturnType<typeof otherwiseOf>): Suspicion[] {
  const hypotheses = hypothesesOf(reading, converted.luxPerUmol, otherwise());
  const likely = weighReading(Math.log(ratio), sd, hypotheses).suspicions.filter((s) => WORTH_A_LOOK.has(s.why) && s.weight >= NAMED);
  // Two lamps either of which may be off are one thing to look at.
  return likely.filter((s, i) => likely.findIndex((o) => o.why === s.why) === i);
}

/** Reasons for a reading that can't be right. */
function question(
  { reading, ratio, converted }: Compared,
  sd: number,
  first: boolean,
  otherwise: () => ReturnType<typeof otherwiseOf>,
): Suspicion[] {
  const hypotheses = hypothesesOf(reading, converted.luxPerUmol, otherwise());
  if (first) hypotheses.push(ODD_LAMP);
  if (ratio <= 0) return [{ why: 'shaded-or-tilted', multiply: null, weight: 1 }];
  const { suspicions } = weighReading(Math.log(ratio), sd, hypotheses);
  // That it is honest is ruled out by now; the same reason by two ways counts once.
  const whole = suspicions.reduce((sum, s) => sum + s.weight, 0);
  const seen = new Set<string>();
  return suspicions
    .map((s) => ({ ...s, weight: whole > 0 ? s.weight / whole : 0 }))
    .filter((s) => s.weight >= NAMED && !seen.has(`${s.why} ${s.multiply}`) && seen.add(`${s.why} ${s.multiply}`));
}
