import { MOL_SECONDS } from '../dli/dli';
import { LUX_PER_FOOT_CANDLE } from '../../units/light';
import { allOf, oneOf, type Claims, type ClaimedTechnology } from './Claim';

/** What can be wrong with what a box says. */
export const CLAIM_FAULTS = [
  'equivalent-watts',
  'sum-of-diode-watts',
  'price-as-watts',
  'power-ratio-mismatch',
  'amps-exceed-watts',
  'watts-as-light',
  'kelvin-as-lumens',
  'lm-per-watt-implausible',
  'per-tube-per-fixture',
  'efficacy-implausible',
  'ppf-called-ppfd',
  'ppfd-area-exceeds-ppf',
  'ppfd-area-exceeds-power',
  'ppfd-single-point',
  'beyond-full-sun',
  'inverse-square-misused',
  'fc-lux-mismatch',
  'lux-factor-on-pink',
  'dli-mismatch',
  'area-mismatch',
  'cost-mismatch',
  'life-mismatch',
  'missing-area',
  'missing-distance',
  'missing-hours',
  'missing-tariff',
] as const;
export type ClaimFaultCode = (typeof CLAIM_FAULTS)[number];

/** One thing that is wrong: what is said against what follows, each in the unit of its kind; null where there is no figure. */
export interface ClaimFault {
  readonly code: ClaimFaultCode;
  readonly said: number | null;
  readonly follows: number | null;
}

/** Beyond rounding: no two figures that belong together differ by more. */
const ROUNDING = 0.05;
/** A claimed power above what is drawn by more is another kind of watts. */
const CLAIM_TOLERANCE = 1.25;
/** No lamp gives more, lm/W: theory leaves about 300 for white light; makers' best retail lamps stand below these. */
const MOST_LM_PER_WATT: Readonly<Record<ClaimedTechnology, number>> = { led: 230, fluorescent: 110, filament: 25 };
/** No whole lamp gives more, µmol/J; best fixtures reach 3.5–4 (Kusuma, Pattison & Bugbee 2020, Horticulture Research 7:56). */
export const MOST_EFFICACY = 4.2;
/** Of what a lamp draws, this many µmol per joule at most can arrive on an area: the best lamps' efficacy, nothing lost on the way. */
const MOST_ARRIVING = 4;
/** Sunlight at noon is about 2000 µmol/m²/s; more is not the sun's. */
const MOST_SUN = 2500;
/** Factors of white lamps and the sun lie between 54 and 85 lx per µmol/m²/s (Thimijan & Heins 1983, HortScience 18:818). */
const WHITE_FACTOR = { from: 1 / 90, to: 1 / 50 };
/** A source counts as a point from five times its size on. */
const POINT_FROM = 5;
/** Below this power factor, volts times amperes and watts can't belong to one lamp without a word; our convention, cheap drivers reach 0.5 to 0.6. */
const LEAST_POWER_FACTOR = 0.5;

/**
 * Holds the figures of a box against each other and against what physics allows, and names what is missing before they can be judged.
 * Rules and thresholds: each beside its constant; a difference of 5 % is rounding.
 */
export function auditClaims(claims: Claims): ClaimFault[] {
  const faults: ClaimFault[] = [];
  const fault = (code: ClaimFaultCode, said: number | null = null, follows: number | null = null) => {
    if (!faults.some((f) => f.code === code)) faults.push({ code, said, follows });
  };
  for (const rule of RULES) rule(claims, fault);
  return faults.sort((a, b) => CLAIM_FAULTS.indexOf(a.code) - CLAIM_FAULTS.indexOf(b.code));
}

type Rule = (claims: Claims, fault: (code: ClaimFaultCode, said?: number | null, follows?: number | null) => void) => void;

const differ = (a: number, b: number, share = ROUNDING) => Math.abs(a - b) > share * Math.abs(b) + 1e-12;

const RULES: readonly Rule[] = [power, currents, lumens, photons, meters, distances, dose, area, costs, life, missing];

function power(c: Claims, fault: Parameters<Rule>[1]): void {
  const claimed = oneOf(c, 'claimedWatts');
  const drawn = oneOf(c, 'drawnWatts');
  const diodes = oneOf(c, 'diodes');
  const each = oneOf(c, 'diodeWatts');
  const sum = diodes !== null && each !== null ? diodes * each : null;
  const purchase = oneOf(c, 'purchase');
  if (claimed !== null && drawn !== null && claimed > CLAIM_TOLERANCE * drawn) fault('equivalent-watts', claimed, drawn);
  if (sum !== null && (drawn !== null ? sum > CLAIM_TOLERANCE * drawn : claimed !== null && !differ(sum, claimed)))
    fault('sum-of-diode-watts', sum, drawn);
  if (purchase !== null && claimed === purchase && drawn !== null && differ(claimed, drawn)) fault('price-as-watts', claimed, drawn);
  const ratio = oneOf(c, 'timesPower');
  const powers = [...allOf(c, 'drawnWatts'), ...allOf(c, 'claimedWatts'), ...allOf(c, 'tubeWatts')];
  if (ratio !== null && ratio > 0 && powers.length >= 2) {
    const [a, b] = powers as [number, number];
    // Said of either against the other.
    const follows = Math.abs(Math.log(a / b / ratio)) < Math.abs(Math.log(b / a / ratio)) ? a / b : b / a;
    if (differ(ratio, follows)) fault('power-ratio-mismatch', ratio, follows);
  }
  const perArea = oneOf(c, 'wattsPerArea');
  if (perArea !== null) fault('watts-as-light', perArea);
}

function currents(c: Claims, fault: Parameters<Rule>[1]): void {
  const [amps, volts, drawn] = [oneOf(c, 'amps'), oneOf(c, 'volts'), oneOf(c, 'drawnWatts') ?? oneOf(c, 'claimedWatts')];
  if (amps === null || volts === null || drawn === null) return;
  const va = amps * volts;
  if (drawn > va * 1.005 || drawn < va * LEAST_POWER_FACTOR) fault('amps-exceed-watts', va, drawn);
}

function lumens(c: Claims, fault: Parameters<Rule>[1]): void {
  const tubes = oneOf(c, 'tubes');
  const tubeWatts = oneOf(c, 'tubeWatts');
  const bare = oneOf(c, 'lumens');
  const perTube = oneOf(c, 'lumensPerTube');
  const perFixture = oneOf(c, 'lumensPerFixture');
  const watts = oneOf(c, 'drawnWatts') ?? (tubeWatts !== null ? tubeWatts * (tubes ?? 1) : null);
  if (bare !== null && bare === oneOf(c, 'kelvin')) return fault('kelvin-as-lumens', bare);
  if (bare !== null && tubes !== null && tubes > 1) {
    fault('per-tube-per-fixture', bare, bare * tubes);
    return;
  }
  const whole = perFixture ?? bare ?? (perTube !== null ? perTube * (tubes ?? 1) : null);
  const perWatt = oneOf(c, 'lumensPerWatt') ?? (whole !== null && watts !== null && watts > 0 ? whole / watts : null);
  const most = MOST_LM_PER_WATT[c.technology ?? 'led'];
  if (perWatt !== null && perWatt > most) fault('lm-per-watt-implausible', perWatt, most);
}

function photons(c: Claims, fault: Parameters<Rule>[1]): void {
  const ppfd = oneOf(c, 'ppfd');
  const centre = oneOf(c, 'ppfdCentre');
  const ppf = oneOf(c, 'ppf');
  const drawn = oneOf(c, 'drawnWatts');
  const isFluxCalledDensity = ppfd !== null && ppfd === ppf;
  if (isFluxCalledDensity) fault('ppf-called-ppfd', ppfd);
  const efficacy = oneOf(c, 'efficacy') ?? (ppf !== null && drawn !== null && drawn > 0 && !isFluxCalledDensity ? ppf / drawn : null);
  if (efficacy !== null && efficacy > MOST_EFFICACY) fault('efficacy-implausible', efficacy, MOST_EFFICACY);
  if (centre !== null && ppfd === null) fault('ppfd-single-point', centre);
  if (ppfd !== null && c.isOfSun && ppfd > MOST_SUN) fault('beyond-full-sun', ppfd, 2000);
  const m2 = areaOf(c);
  if (m2 === null || ppfd === null || isFluxCalledDensity) return;
  const arriving = ppfd * m2;
  if (ppf !== null && arriving > ppf * 1.001) fault('ppfd-area-exceeds-ppf', arriving, ppf);
  if (drawn !== null && arriving > MOST_ARRIVING * drawn) fault('ppfd-area-exceeds-power', arriving / drawn, MOST_ARRIVING);
}

function meters(c: Claims, fault: Parameters<Rule>[1]): void {
  const [lux, fc] = [oneOf(c, 'lux'), oneOf(c, 'footCandles')];
  if (lux !== null && fc !== null && differ(lux, fc * LUX_PER_FOOT_CANDLE, 0.03)) fault('fc-lux-mismatch', lux, fc * LUX_PER_FOOT_CANDLE);
  const ppfd = oneOf(c, 'ppfd') ?? oneOf(c, 'ppf');
  const factor = oneOf(c, 'luxFactor') ?? (lux !== null && ppfd !== null && lux > 0 ? ppfd / lux : null);
  // Written either way round: µmol for a lux, or lux for a µmol.
  const perLux = factor !== null && factor > 1 ? 1 / factor : factor;
  if (c.isPink && perLux !== null && perLux >= WHITE_FACTOR.from && perLux <= WHITE_FACTOR.to)
    fault('lux-factor-on-pink', lux === null ? null : lux * perLux);
}

function distances(c: Claims, fault: Parameters<Rule>[1]): void {
  const [from, to, size, kept] = [oneOf(c, 'distance'), oneOf(c, 'distanceAfter'), oneOf(c, 'sourceSize'), oneOf(c, 'shareKept')];
  if (from === null || to === null || !(to > 0)) return;
  const ofPoint = (from / to) ** 2;
  const isNear = size !== null && Math.min(from, to) < POINT_FROM * size;
  if (kept === null ? isNear : isNear ? Math.abs(kept - 1) > Math.abs(ofPoint - 1) * (1 - ROUNDING) : differ(kept, ofPoint))
    fault('inverse-square-misused', kept, ofPoint);
}

function dose(c: Claims, fault: Parameters<Rule>[1]): void {
  const [ppfd, hours, dli] = [oneOf(c, 'ppfd') ?? oneOf(c, 'ppfdCentre'), oneOf(c, 'hours'), oneOf(c, 'dli')];
  if (ppfd !== null && hours !== null && dli !== null && differ(dli, ppfd * hours * MOL_SECONDS))
    fault('dli-mismatch', dli, ppfd * hours * MOL_SECONDS);
}

function area(c: Claims, fault: Parameters<Rule>[1]): void {
  const sides = sidesOf(c);
  const said = oneOf(c, 'area');
  if (sides !== null && said !== null && differ(said, sides)) fault('area-mismatch', said, sides);
}

const PERIODS = [
  ['costPerDay', 1],
  ['costPerMonth', 365 / 12],
  ['costPerYear', 365],
] as const;

function costs(c: Claims, fault: Parameters<Rule>[1]): void {
  const [hours, price] = [oneOf(c, 'hours'), oneOf(c, 'pricePerKWh')];
  const watts = oneOf(c, 'drawnWatts') ?? oneOf(c, 'claimedWatts');
  if (c.lessCostsMore) fault('cost-mismatch');
  for (const [kind, days] of PERIODS) {
    const said = oneOf(c, kind);
    if (said === null || hours === null || price === null || watts === null) continue;
    const follows = (watts * hours * days * price) / 1000;
    if (differ(said, follows)) fault('cost-mismatch', said, follows);
  }
}

function life(c: Claims, fault: Parameters<Rule>[1]): void {
  const [rated, years, hours] = [oneOf(c, 'lifeHours'), oneOf(c, 'lifeYears'), oneOf(c, 'hours')];
  if (rated === null || years === null) return;
  if (hours !== null ? differ(years, rated / hours / 365) : years > rated / 365 || years < rated / 365 / 24 / (1 + ROUNDING))
    fault('life-mismatch', years, hours !== null ? rated / hours / 365 : null);
}

function missing(c: Claims, fault: Parameters<Rule>[1]): void {
  const strength = oneOf(c, 'ppfd') ?? oneOf(c, 'ppfdCentre');
  const isPlace = strength !== null && !c.isOfSun && oneOf(c, 'luxFactor') === null && strength !== oneOf(c, 'ppf');
  const flux = oneOf(c, 'lumensPerFixture');
  const isPaid = PERIODS.some(([kind]) => oneOf(c, kind) !== null);
  if ((isPlace || flux !== null) && areaOf(c) === null) fault('missing-area', strength ?? flux);
  if (isPlace && oneOf(c, 'distance') === null) fault('missing-distance', strength);
  if ((isPaid || oneOf(c, 'dli') !== null || oneOf(c, 'lifeYears') !== null) && oneOf(c, 'hours') === null) fault('missing-hours');
  if (isPaid && oneOf(c, 'pricePerKWh') === null) fault('missing-tariff');
}

function sidesOf(c: Claims): number | null {
  const [a, b] = allOf(c, 'side');
  return a !== undefined && b !== undefined ? a * b : null;
}

/** The area that is lit as it follows from its sides, else as it is said, m². */
export function areaOf(c: Claims): number | null {
  return sidesOf(c) ?? oneOf(c, 'area');
}
