import type { ClaimFault, ClaimFaultCode } from '@/core/judge/claims/auditClaims';
import type { ClaimKind } from '@/core/judge/claims/Claim';
import { wholeWords } from '../parts/locale';

/** What a figure is, with the unit in which a person reads and types it; `scale` of them make one of the unit kept. */
export interface KindWords {
  readonly label: string;
  readonly unit: string;
  readonly scale: number;
}
const kind = (label: string, unit: string, scale = 1): KindWords => ({ label, unit, scale });

export const CLAIM_WORDS: Readonly<Record<ClaimKind, KindWords>> = {
  claimedWatts: kind('Claimed or “equivalent” power', 'W'),
  drawnWatts: kind('Power drawn from the socket', 'W'),
  wattsPerArea: kind('Power per area', 'W/m²'),
  diodeWatts: kind('Rated power of one diode', 'W'),
  diodes: kind('Number of diodes', ''),
  tubeWatts: kind('Power of one tube', 'W'),
  tubes: kind('Number of tubes', ''),
  amps: kind('Current', 'A'),
  volts: kind('Voltage', 'V'),
  lumens: kind('Luminous flux, not said of what', 'lm'),
  lumensPerTube: kind('Luminous flux of one tube', 'lm'),
  lumensPerFixture: kind('Luminous flux of the whole lamp', 'lm'),
  lumensPerWatt: kind('Luminous efficacy', 'lm/W'),
  kelvin: kind('Colour temperature', 'K'),
  ppf: kind('PPF, all photons the lamp makes', 'µmol/s'),
  ppfd: kind('PPFD, mean over an area', 'µmol/m²/s'),
  ppfdCentre: kind('PPFD in the centre', 'µmol/m²/s'),
  efficacy: kind('Efficacy', 'µmol/J'),
  dli: kind('DLI', 'mol/m²/day'),
  hours: kind('Hours a day', 'h'),
  lifeHours: kind('Rated life', 'h'),
  lifeYears: kind('Life', 'years'),
  side: kind('Side of the area', 'cm', 100),
  area: kind('Area', 'm²'),
  distance: kind('Distance', 'cm', 100),
  distanceAfter: kind('Distance after the move', 'cm', 100),
  sourceSize: kind('Longest side of the lamp', 'cm', 100),
  shareKept: kind('Share of the light that is left', '%', 100),
  lux: kind('Illuminance', 'lx'),
  footCandles: kind('Illuminance', 'fc'),
  luxFactor: kind('Factor from lux to PPFD', 'µmol/m²/s per lx'),
  costPerDay: kind('Cost of a day', ''),
  costPerMonth: kind('Cost of a month', ''),
  costPerYear: kind('Cost of a year', ''),
  pricePerKWh: kind('Price of energy, per kWh', ''),
  purchase: kind('Price of the lamp', ''),
  timesPower: kind('Power against another lamp’s', 'times'),
};

const n = (value: number | null) =>
  value === null ? 'that' : value >= 1000 ? wholeWords(value).replace(/,/g, ' ') : String(Number(value.toPrecision(3)));

interface Said {
  readonly title: string;
  readonly why: string;
}

const SAID: Readonly<Record<ClaimFaultCode, (fault: ClaimFault) => Said>> = {
  'equivalent-watts': ({ said, follows }) => ({
    title: `${n(said)} W is not what it draws: ${n(follows)} W is`,
    why: `The claim is ${n(said! / follows!)} times too high. “Equivalent” watts compare brightness to the eye with some other lamp. They say nothing about light for plants, and nothing about the bill.`,
  }),
  'sum-of-diode-watts': ({ said, follows }) => ({
    title: `${n(said)} W is only the sum of the diodes’ ratings`,
    why: `Diodes are driven far below their rating. ${follows === null ? 'Ask what the lamp draws from the socket.' : `Count with the ${n(follows)} W that it draws.`}`,
  }),
  'price-as-watts': ({ said, follows }) => ({
    title: `${n(said)} is its price, not its power`,
    why: `It draws ${n(follows)} W. Count with that.`,
  }),
  'power-ratio-mismatch': ({ said, follows }) => ({
    title: `The powers named do not stand in that ratio: ${n(follows)} times, not ${n(said)} times`,
    why: 'Divide one by the other. Savings that are counted from a wrong ratio are wrong as well.',
  }),
  'amps-exceed-watts': ({ said, follows }) => ({
    title: `Volts × amperes is ${n(said)} VA, but ${n(follows)} W is stated`,
    why:
      said! < follows!
        ? 'A lamp cannot draw more watts than volts × amperes. One of the three figures is wrong.'
        : 'That would be a very poor power factor, or one figure belongs to another lamp. Wires, strips and timers have to carry the VA.',
  }),
  'watts-as-light': ({ said }) => ({
    title: `${n(said)} W/m² is a rate of energy use, not of light`,
    why: 'Two lamps of the same power can differ five times in light. Ask for the PPFD on your tray and the hours, or measure it.',
  }),
  'kelvin-as-lumens': ({ said }) => ({
    title: `${n(said)} K is a colour, not a brightness`,
    why: 'Kelvin say how warm or cool white looks. How much light there is stands in lumens, better in µmol/s.',
  }),
  'lm-per-watt-implausible': ({ said, follows }) => ({
    title: `${n(said)} lm/W is more than such a lamp can give`,
    why: `No lamp of this kind exceeds about ${n(follows)} lm/W. The lumens or the watts belong to something else, perhaps to “equivalent” watts.`,
  }),
  'per-tube-per-fixture': ({ said, follows }) => ({
    title: `Are the ${n(said)} lm of one tube or of the whole lamp?`,
    why: `It makes ${n(said)} lm or ${n(follows)} lm. Below, choose which it is.`,
  }),
  'efficacy-implausible': ({ said, follows }) => ({
    title: `${n(said)} µmol/J is more than any lamp gives`,
    why: `The best reach about 3.5 to 4; above ${n(follows)} is not possible for a whole lamp. The power is probably too low, or the flux too high.`,
  }),
  'ppf-called-ppfd': ({ said }) => ({
    title: `${n(said)} µmol/s is a PPF, not a PPFD`,
    why: 'PPF counts all photons in all directions. PPFD is what arrives on one square metre, in µmol/m²/s.',
  }),
  'ppfd-area-exceeds-ppf': ({ said, follows }) => ({
    title: `That area would take ${n(said)} µmol/s, and the lamp makes ${n(follows)}`,
    why: 'Mean PPFD × area cannot exceed the PPF. The PPFD is probably the one in the centre, or the area is too large.',
  }),
  'ppfd-area-exceeds-power': ({ said, follows }) => ({
    title: `That needs ${n(said)} µmol for each joule drawn`,
    why: `Not more than about ${n(follows)} can arrive. The PPFD, the area or the power is wrong.`,
  }),
  'ppfd-single-point': ({ said }) => ({
    title: `${n(said)} µmol/m²/s is one point in the centre`,
    why: 'The corners of a tray may get a tenth of it. Ask for a map over your area, or measure.',
  }),
  'beyond-full-sun': ({ said, follows }) => ({
    title: `${n(said)} µmol/m²/s is more than the sun gives`,
    why: `Full sun at noon is about ${n(follows)} µmol/m²/s.`,
  }),
  'inverse-square-misused': ({ said, follows }) => ({
    title: 'The inverse-square rule does not hold this near',
    why: `It holds from about five times the lamp’s size on. ${said === null ? '' : `Even then ${n(follows! * 100)} % would be left, not ${n(said * 100)} %. `}Near a wide lamp the light falls much less. Check computes the real curve.`,
  }),
  'fc-lux-mismatch': ({ said, follows }) => ({
    title: `Foot-candles and lux do not agree: ${n(follows)} lx, not ${n(said)}`,
    why: 'One foot-candle is 10.764 lux.',
  }),
  'lux-factor-on-pink': ({ said }) => ({
    title: 'A factor for white light does not fit red and blue light',
    why: `A lux meter hardly sees deep red and blue: the PPFD may be several times ${said === null ? 'what is stated' : `the ${n(said)} µmol/m²/s stated`}. Use a quantum meter.`,
  }),
  'dli-mismatch': ({ said, follows }) => ({
    title: `The DLI would be ${n(follows)}, not ${n(said)} mol/m²/day`,
    why: 'DLI = PPFD × hours × 0.0036.',
  }),
  'area-mismatch': ({ said, follows }) => ({
    title: `The sides give ${n(follows)} m², not ${n(said)} m²`,
    why: 'Multiply the sides, in metres.',
  }),
  'cost-mismatch': ({ said, follows }) => ({
    title: said === null ? 'The lamp that draws less cannot cost more to run' : `It would cost ${n(follows)}, not ${n(said)}`,
    why: 'Cost = power drawn × hours × price per kWh.',
  }),
  'life-mismatch': ({ said, follows }) => ({
    title: follows === null ? `${n(said)} years do not fit the rated hours` : `The rated hours last ${n(follows)} years, not ${n(said)}`,
    why: 'Years = rated hours ÷ hours a day ÷ 365.',
  }),
  'missing-area': () => ({
    title: 'Over what area?',
    why: 'A flux or a PPFD means something only with the area that it falls on. Type the sides.',
  }),
  'missing-distance': () => ({
    title: 'At what distance?',
    why: 'Twice as near can be twice or four times as strong. Without the distance a PPFD cannot be compared.',
  }),
  'missing-hours': () => ({
    title: 'For how many hours a day?',
    why: 'Cost, DLI and years of life all follow from the hours. Adverts often count with three.',
  }),
  'missing-tariff': () => ({ title: 'At what price per kWh?', why: 'Adverts often use a price that is years old. Yours stands below.' }),
};

/** A fault in plain words. */
export function claimFaultWords(fault: ClaimFault): Said {
  return SAID[fault.code](fault);
}

/** The verdict over all. */
export function verdictWords(faults: readonly ClaimFault[], figures: number): string {
  const wrong = faults.filter((f) => !f.code.startsWith('missing')).length;
  const missing = faults.length - wrong;
  if (figures === 0) return 'No figures found yet';
  if (wrong > 0) return wrong === 1 ? 'One thing on this box cannot be right' : `${wrong} things on this box cannot be right`;
  if (missing > 0)
    return missing === 1 ? 'One figure is missing before it can be judged' : `${missing} figures are missing before it can be judged`;
  return 'Nothing on this box contradicts itself';
}
