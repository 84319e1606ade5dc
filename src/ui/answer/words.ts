import { clearanceOf } from '@/core/things/lamp/clearanceOf';
import type { DimmedSolution } from '@/core/answer/solve/solveDimmed';
import type { Limit, Setting, Solution } from '@/core/answer/solve/solve';
import type { SetUp } from '@/core/answer/stand/setUp';
import { showHours } from '@/core/units/clock';
import { showLength, showLengthNumber, type LengthUnit } from '@/core/units/length';
import { dliNumber } from '../drawing/lightWords';
import { besideWords } from '../parts/besideWords';
import { percent } from '../verdict/words';

/** The best setting on a mark of the tape, still within the distances that suit; doses change with it by less than they are shown. */
export function onTheTape({ best, distances }: Solution, unit: LengthUnit): Setting {
  const step = unit === 'in' ? 0.0254 / 4 : 0.005;
  const rounded = Math.round(best.distance / step) * step;
  const kept = distances
    ? Math.min(Math.max(rounded, Math.ceil(distances.from / step - 1e-6) * step), Math.floor(distances.to / step + 1e-6) * step)
    : rounded;
  return { ...best, distance: kept >= step ? kept : best.distance };
}

/** A range as it can be told in whole steps without promising what lies outside it; where no step fits, its middle. */
function inward({ from, to }: { from: number; to: number }, step: number): [number, number] {
  const [a, b] = [Math.ceil(from / step - 1e-6) * step, Math.floor(to / step + 1e-6) * step];
  return a <= b ? [a, b] : [(from + to) / 2, (from + to) / 2];
}

/** What is done with the dimmers before a tray suits; empty where they stay as they are. */
export function turnFirstWords({ dimming, distances }: DimmedSolution, lamps: number): string {
  if (!dimming || !distances) return '';
  const it = lamps === 1 ? 'the lamp' : 'the lamps';
  return `${dimming.by < 1 ? `Dim ${it} to` : `Turn ${it} up to`} ${percent(dimming.to)}. `;
}

export function suitsWords({ distances, hours }: Solution, best: Setting, unit: LengthUnit): string {
  const [from, to] = inward(distances!, unit === 'cm' ? 0.001 : 0.0254 / 4);
  const [least, most] = inward(hours!, 1 / 60);
  const far = to >= 1.99;
  const range =
    Math.abs(to - from) < 0.004
      ? showLength(from, unit)
      : far
        ? `${showLength(from, unit)} or more`
        : `${showLengthNumber(from, unit)}–${showLength(to, unit)}`;
  const long = most - least < 1 / 120 ? showHours(least * 60) : `${showHours(least * 60)} to ${showHours(most * 60)}`;
  return `Hang it ${range} above the leaves and light it ${long}. Best at ${showLength(best.distance, unit)} for ${showHours(Math.round(best.hours * 4) * 15)}: the weakest spot then gets ${dliNumber(best.weakest)}, the mean ${dliNumber(best.mean)}, the strongest ${dliNumber(best.strongest)} mol.`;
}

export function failsWords(best: Setting, unit: LengthUnit, { dimming }: Pick<DimmedSolution, 'dimming'>): string {
  const at = dimming ? ` with the dimmer at ${percent(dimming.to)}` : '';
  const isPart = best.shareInBand >= 0.005;
  return `No setting puts ${isPart ? 'the whole' : 'any part of the'} tray in the target range. The closest is ${showLength(best.distance, unit)} for ${showHours(Math.round(best.hours * 4) * 15)}${at}: ${isPart ? `${percent(best.shareInBand)} of the tray is then in range, ` : ''}the weakest spot gets ${dliNumber(best.weakest)} and the strongest ${dliNumber(best.strongest)} mol.`;
}

/** More of the same lamps than anybody hangs over one tray. */
const TOO_MANY = 8;

/**
 * How many of such lamps it takes at least: the weakest spot gets no more than the mean, and no lamp that is added gives the tray
 * more than the one over its middle does.
 */
const lampsFor = (meanShare: number, now: number) => (meanShare > 0 ? Math.max(now + 1, Math.ceil(now / meanShare)) : Infinity);

const isHopeless = (limit: Limit, now: number) => limit.why === 'lamp-too-weak' && lampsFor(limit.meanShare, now) > TOO_MANY;

const moreWords = (lamps: number): string =>
  lamps > TOO_MANY
    ? `This lamp cannot light this tray${Number.isFinite(lamps) ? `: at least ${lamps} of them would be needed` : ''}. Choose a stronger kind, such as a bar, a shop light or a panel as long as the tray.`
    : `You need at least ${lamps} of these lamps, spread over the tray, or a smaller tray.`;

/**
 * The limits worth telling: where no number of such lamps will do, that alone; where it takes more of them, that the tray is wider than
 * their light is the same fact and the same cure.
 */
export function toldLimits(limits: readonly Limit[], { tier }: SetUp): readonly Limit[] {
  const hopeless = limits.filter((l) => isHopeless(l, tier.fittings.length));
  if (hopeless.length > 0) return hopeless;
  return limits.some((l) => l.why === 'lamp-too-weak') ? limits.filter((l) => l.why !== 'tray-wider-than-light') : limits;
}

/** The limit that binds, by how much, and what would lift it. */
export function limitWords(limit: Limit, { stage, lamp, tier }: SetUp, unit: LengthUnit): string {
  switch (limit.why) {
    case 'lamp-too-weak':
      return `The lamp is too weak: even at its best distance for ${stage.hoursMax} h the weakest spot gets ${percent(limit.share)} of the ${stage.dliMin} mol that these plants need. ${moreWords(lampsFor(limit.meanShare, tier.fittings.length))}`;
    case 'lamp-too-strong':
      return `The lamp is too strong: even as far as it can hang, for ${stage.hoursMin} h the strongest spot gets ${besideWords(limit.times, 1, (t) => t.toFixed(1))} times what is good.`;
    case 'tray-wider-than-light':
      return `The tray is wider than the light: while nothing is too strong, the edge gets at most ${percent(limit.share)} of the ${stage.dliMin} mol that it needs. ${tier.fittings.length > 1 ? 'Another' : 'A second'} lamp alongside, or a smaller tray, would do more than any distance.`;
    case 'hours-beyond-crop':
      return `${showHours(Math.ceil(limit.hours * 4) * 15)} would give enough light, but no source shows that these plants tolerate more than ${stage.hoursMax} h.`;
    case 'heat':
      return `${showLength(limit.distance, unit)} would give enough light, but the lamp is hot: keep at least ${showLength(clearanceOf(lamp), unit)}.`;
    case 'leaf-ceiling':
      return `${besideWords(limit.ppfd, stage.ppfdMax)} µmol/m²/s would be needed, but leaves may bleach above ${stage.ppfdMax} µmol/m²/s.`;
    case 'sun-too-strong':
      return `On a clear day the sun alone brings up to ${besideWords(limit.ppfd, stage.ppfdMax)} µmol/m²/s here, and these plants tolerate ${stage.ppfdMax} µmol/m²/s. Shade the glass or move the tray.`;
  }
}
