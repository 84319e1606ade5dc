import type { Stale } from '@/core/measure/fit/staleOf';
import { meterOf } from '@/core/things/meter/meterLibrary';
import type { Metres } from '@/core/units/quantities';
import type { Converted } from '@/core/measure/reading/convert';
import { distanceOf, type Reading } from '@/core/site/reading/Reading';
import type { Suspicion, Why } from '@/core/measure/reading/ErrorHypothesis';
import type { BenchTier } from '@/core/answer/stand/benchStand';
import { outlineOf } from '@/core/site/stand/footprint';
import { showLength, type LengthUnit } from '@/core/units/length';
import type { LightUnit } from '@/core/units/light';
import type { WalkPoint } from '@/core/answer/walk/planWalk';
import { trayName } from '../bench/benchWords';
import { percent } from '../verdict/words';
import { wholeWords } from '../parts/locale';
import { fromEdgesWords } from '../drawing/fromEdgesWords';

const UNITS: Readonly<Record<LightUnit, string>> = { lx: 'lx', fc: 'fc', umol: 'µmol' };
/** To choose from, by their whole names. */
export const UNIT_OPTIONS: readonly { readonly value: LightUnit; readonly label: string }[] = [
  { value: 'lx', label: 'lux' },
  { value: 'fc', label: 'foot-candles' },
  { value: 'umol', label: 'µmol/m²/s' },
];
export const unitWords = (unit: LightUnit): string => UNITS[unit];

const KINDS: Readonly<Record<string, string>> = {
  'lux-basic': 'lux meter',
  'lux-calibrated': 'lux meter, calibrated',
  'fc-digital': 'foot-candle meter',
  'fc-analogue': 'foot-candle meter with a needle',
  'quantum-par': 'quantum meter',
  'quantum-epar': 'quantum meter to 750 nm',
  'phone-sensor': 'phone without diffuser',
  'phone-diffuser': 'phone with a diffuser',
};
/** A kind of meter as people call it. */
export const kindWords = (kindId: string): string => KINDS[kindId] ?? meterOf(kindId).name;

/** A reading's number: whole from a hundred up, three digits below. */
export const showReading = (value: number): string => (value >= 100 ? wholeWords(value) : String(Number(value.toPrecision(3))));

/** How far off, with its sign; beyond ten times that alone. */
export function signedPercent(off: number): string {
  const words = percent(Math.min(9.99, Math.abs(off)));
  return words === percent(0) ? words : `${off > 0 ? '+' : '−'}${words}`;
}

/** How far a reading is off the plan. */
export function offWords(off: number): string {
  const words = percent(Math.abs(off));
  return words === percent(0)
    ? 'as planned'
    : Math.abs(off) > 4
      ? `${Math.round(off + 1)} times the plan`
      : `${words} ${off > 0 ? 'over' : 'under'} the plan`;
}

const WHY: Readonly<Record<Why, string>> = {
  'range-reads-low': 'the range switch: it shows too little',
  'range-reads-high': 'the range switch: it shows too much',
  'foot-candles-read-as-lux': 'the meter shows foot-candles, not lux',
  'lux-read-as-foot-candles': 'the meter shows lux, not foot-candles',
  'lux-read-as-umol': 'the meter shows lux, not µmol',
  'umol-read-as-lux': 'the meter shows µmol, not lux',
  'full-scale': 'the meter is at the end of its range: there is more than it shows',
  daylight: 'daylight is mixed in',
  'shaded-or-tilted': 'the sensor was shaded or tilted',
  'touching-the-lamp': 'the sensor was too close to the lamp',
  'on-the-shelf': 'the sensor lay on the shelf, not at the height stated',
  'other-height': 'the sensor was some 5 cm lower or higher than stated',
  'lamp-unlit': 'one of the lamps was off',
  'other-tier': 'it was taken on another tier',
  'dimmed-or-old': 'the lamp is dimmed, dirty or near the end of its life',
};

export function suspicionWords({ why, multiply }: Suspicion): string {
  const times =
    why === 'range-reads-low' ? `, by ${multiply} times` : why === 'range-reads-high' ? `, by ${Math.round(1 / multiply!)} times` : '';
  return WHY[why] + times;
}

const STALE: Readonly<Record<Stale, string>> = {
  moved: 'lamps have been moved since',
  'other-lamps': 'other lamps hang there now',
  'other-sides': 'the wall material has changed',
  'new-readings': 'there are newer readings',
  aged: 'the lamps have faded by more than a twentieth since, by their usual curve',
};
export const staleWords = (why: Stale): string => STALE[why];

/** Where a point of the walk is, in words for the rack. */
export function pointWords(t: BenchTier, p: WalkPoint): string {
  if (p.where === 'near-lamp') return 'near the lamp, away from the plants';
  const tray = t.trays.find((y) => y.tray.id === p.trayId);
  const on = tray ? `, ${trayName(tray)}` : '';
  return `${spotWords(t, tray, p.x, p.y, p.where)}${on}`;
}

function spotWords(t: BenchTier, tray: BenchTier['trays'][number] | undefined, x: Metres, y: Metres, where: WalkPoint['where']): string {
  if (where === 'middle') return 'middle';
  const r = tray ? outlineOf(tray.tray) : { x0: 0, x1: t.tier.width, y0: 0, y1: t.tier.depth };
  const u = (x - r.x0) / (r.x1 - r.x0);
  const v = (y - r.y0) / (r.y1 - r.y0);
  const across = u < 0.34 ? 'left' : u > 0.66 ? 'right' : '';
  const along = v < 0.34 ? 'front' : v > 0.66 ? 'back' : '';
  if (where === 'corner') return `${along} ${across} corner`.trim();
  if (where === 'edge') {
    const side = Math.min(u, 1 - u) < Math.min(v, 1 - v);
    const edge = side ? (u < 0.5 ? 'left edge' : 'right edge') : v < 0.5 ? 'front edge' : 'back edge';
    const rest = side ? along : across;
    return rest ? `${edge}, towards the ${rest}` : edge;
  }
  const rest = [along, across].filter(Boolean).join(' ') || (u < 0.5 ? 'left' : 'right');
  return `between the middle and the ${rest}`;
}

/** A reading's place in words: by the tray below it, and its height. */
export function placeWords(t: BenchTier, r: Reading, unit: LengthUnit): string {
  const x = r.dx + t.tier.width / 2;
  const y = r.dy + t.tier.depth / 2;
  const tray = t.trays.find(({ tray: own }) => {
    const o = outlineOf(own);
    return x >= o.x0 && x <= o.x1 && y >= o.y0 && y <= o.y1;
  });
  return `${fromEdgesWords({ x, y }, unit)}${tray ? ` (${trayName(tray)})` : ''}, ${showLength(distanceOf(r), unit)} below the lamp`;
}

/** How a reading became light for plants. */
export function conversionWords(r: Reading, { ppfd, low, high, luxPerUmol, plain, missed }: Converted): string {
  const parts: string[] = [];
  if (r.dark > 0) parts.push(`${showReading(r.dark)} ${unitWords(r.unit)} of daylight taken away`);
  if (r.factor !== 1) parts.push(`times ${Number(r.factor.toPrecision(3))}, the meter’s own factor`);
  if (r.unit === 'fc') parts.push('1 fc is 10.76 lx');
  if (r.unit !== 'umol') parts.push(`${Math.round(luxPerUmol * 10) / 10} lx for each µmol of the light that falls there`);
  if (missed > 0.005) parts.push(`${percent(missed)} put back for slanting light that such a meter misses`);
  const band = r.unit === 'umol' ? '' : `, ${Math.round(low)}–${Math.round(high)} by the colour alone`;
  const plainly = r.unit === 'umol' ? '' : ` The plain factor for white lamps (74 lx) would have said ${Math.round(plain)} µmol.`;
  return `${Math.round(ppfd)} µmol/m²/s${band}: ${parts.join('; ') || 'no conversion: the meter measures PPFD'}.${plainly}`;
}
