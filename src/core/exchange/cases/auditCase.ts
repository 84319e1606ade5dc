import { allOf, type Claim, type ClaimKind, type Claims } from '../../judge/claims/Claim';
import { areaOf, auditClaims } from '../../judge/claims/auditClaims';
import { readClaims } from '../../judge/claims/readClaims';
import type { CaseAnswer, Case } from './Case';

const CM = 0.01;
const FOOT = 0.3048;
/** The names of figures in such files: what each is a figure of, and what one of its units is here. */
const NAMES: Readonly<Record<string, readonly [ClaimKind, number]>> = {
  claimedWatts: ['claimedWatts', 1],
  equivalentWatts: ['claimedWatts', 1],
  drawnWatts: ['drawnWatts', 1],
  watts: ['drawnWatts', 1],
  diodes: ['diodes', 1],
  diodeCount: ['diodes', 1],
  diodeWatts: ['diodeWatts', 1],
  wattsPerDiode: ['diodeWatts', 1],
  tubes: ['tubes', 1],
  tubeWatts: ['tubeWatts', 1],
  amps: ['amps', 1],
  volts: ['volts', 1],
  lumens: ['lumens', 1],
  lumensPerTube: ['lumensPerTube', 1],
  lumensPerFixture: ['lumensPerFixture', 1],
  lmPerWatt: ['lumensPerWatt', 1],
  kelvin: ['kelvin', 1],
  cct: ['kelvin', 1],
  ppf: ['ppf', 1],
  ppfd: ['ppfd', 1],
  ppfdMean: ['ppfd', 1],
  meanPpfd: ['ppfd', 1],
  ppfdCentre: ['ppfdCentre', 1],
  efficacy: ['efficacy', 1],
  dli: ['dli', 1],
  hours: ['hours', 1],
  hoursPerDay: ['hours', 1],
  lifeHours: ['lifeHours', 1],
  years: ['lifeYears', 1],
  lifeYears: ['lifeYears', 1],
  areaM2: ['area', 1],
  area: ['area', 1],
  statedAreaM2: ['area', 1],
  areaSqFt: ['area', FOOT ** 2],
  widthCm: ['side', CM],
  lengthCm: ['side', CM],
  depthCm: ['side', CM],
  widthM: ['side', 1],
  lengthM: ['side', 1],
  widthFt: ['side', FOOT],
  lengthFt: ['side', FOOT],
  distanceCm: ['distance', CM],
  fromCm: ['distance', CM],
  toCm: ['distanceAfter', CM],
  panelCm: ['sourceSize', CM],
  tubeCm: ['sourceSize', CM],
  sourceCm: ['sourceSize', CM],
  statedFraction: ['shareKept', 1],
  lux: ['lux', 1],
  fc: ['footCandles', 1],
  footCandles: ['footCandles', 1],
  factor: ['luxFactor', 1],
  luxFactor: ['luxFactor', 1],
  costPerDay: ['costPerDay', 1],
  costPerMonth: ['costPerMonth', 1],
  costPerYear: ['costPerYear', 1],
  stated: ['costPerDay', 1],
  pricePerKWh: ['pricePerKWh', 1],
  powerRatio: ['timesPower', 1],
  statedRatio: ['timesPower', 1],
  ratio: ['timesPower', 1],
  timesPower: ['timesPower', 1],
  wattsPerSqFt: ['wattsPerArea', 1 / FOOT ** 2],
  wattsPerM2: ['wattsPerArea', 1],
};

/** A box or advert held against itself: its figures as they are given, and what only its text says. */
export function audit(given: Case): CaseAnswer {
  const read = readClaims(typeof given.text === 'string' ? given.text : '');
  const named = typeof given.claims === 'object' && given.claims !== null ? (given.claims as Case) : {};
  const figures = Object.entries(named).flatMap(([name, value]) => figuresOf(name, value, named));
  const kinds = new Set(figures.map((f) => f.kind));
  const words = [named.meaning, named.spectrum, named.tech].filter((w) => typeof w === 'string').join('; ');
  const said = readClaims(words);
  const claims: Claims = {
    figures: [...figures, ...read.figures.filter((f) => !kinds.has(f.kind) && !isOfOtherName(f.kind, kinds))],
    technology: said.technology ?? read.technology,
    isPink: said.isPink || (read.isPink && named.spectrum === undefined),
    isOfSun: said.isOfSun || read.isOfSun,
    lessCostsMore: read.lessCostsMore,
  };
  const [drawn] = allOf(claims, 'drawnWatts');
  const [lumens] = [...allOf(claims, 'lumens'), ...allOf(claims, 'lumensPerFixture')];
  const [ppf] = allOf(claims, 'ppf');
  return {
    faults: auditClaims(claims).map((f) => f.code),
    areaM2: areaOf(claims),
    ...(drawn && lumens ? { lmPerWatt: lumens / drawn } : {}),
    ...(drawn && ppf ? { efficacy: ppf / drawn } : {}),
  };
}

function figuresOf(name: string, value: unknown, beside: Case): Claim[] {
  if (Array.isArray(value)) return value.flatMap((v) => figuresOf(name, v, beside));
  if (typeof value !== 'number' || !Number.isFinite(value)) return [];
  const of = (kind: ClaimKind, factor = 1): Claim[] => [{ kind, value: value * factor, words: '' }];
  // A price beside hours is one of energy, else the lamp's.
  if (name === 'price')
    return of(
      beside.hours !== undefined || beside.hoursPerDay !== undefined || beside.costPerYear !== undefined ? 'pricePerKWh' : 'purchase',
    );
  if (name === 'ppfd' && /^.?mol\/s$/.test(String(beside.unit))) return [...of('ppfd'), ...of('ppf')];
  if (name === 'lumens' && (beside.unit === 'K' || beside.unit === 'kelvin')) return [...of('lumens'), ...of('kelvin')];
  // How many tubes a figure holds for is told by its basis.
  if (name === 'lumens' && typeof beside.basis === 'string') return of(beside.basis === 'tube' ? 'lumensPerTube' : 'lumensPerFixture');
  const known = NAMES[name];
  return known ? of(known[0], known[1]) : [];
}

/** Whether a figure of the text is one that is given under another name. */
function isOfOtherName(kind: ClaimKind, given: ReadonlySet<ClaimKind>): boolean {
  return OTHER_NAMES.some((names) => names.includes(kind) && names.some((n) => given.has(n)));
}
const OTHER_NAMES: readonly (readonly ClaimKind[])[] = [
  ['lumens', 'lumensPerTube', 'lumensPerFixture'],
  ['ppfd', 'ppfdCentre'],
  ['claimedWatts', 'drawnWatts', 'tubeWatts', 'diodeWatts'],
  ['side', 'area'],
  ['purchase', 'pricePerKWh'],
];
