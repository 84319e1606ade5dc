import type { Dli, Efficacy, Hours, Ppfd, Share, Watts } from '../../units/quantities';
import { MOL_SECONDS } from '../dli/dli';
import { DAYS_PER_YEAR, replacementsIn } from './lampLife';

/** A lamp as something to be bought. */
export interface BoughtLamp {
  readonly power: Watts;
  readonly efficacy: Efficacy;
  /** Of its light, what falls on the plants. */
  readonly utilisation: Share;
  readonly price: number;
  /** Of the next one; left out: the same. */
  readonly replacePrice?: number;
  readonly life_h: number;
}

/** What is wanted of it. */
export interface OwningTask {
  readonly dli: Dli;
  readonly area_m2: number;
  readonly hoursMax: Hours;
  readonly price_per_kWh: number;
  readonly years: number;
  readonly daysPerYear?: number;
}

/** What it comes to. */
export interface Owning {
  readonly count: number;
  readonly ppfd: Ppfd;
  readonly hoursPerDay: Hours;
  readonly kWhPerYear: number;
  readonly energyCostPerYear: number;
  readonly purchase: number;
  readonly lampCostOverYears: number;
  readonly total: number;
}

/** Mean PPFD of so many lamps. */
export const meanPpfd = (lamp: Pick<BoughtLamp, 'power' | 'efficacy' | 'utilisation'>, count: number, area_m2: number): Ppfd =>
  (count * lamp.power * lamp.efficacy * lamp.utilisation) / area_m2;

/** Hours in which a strength makes a dose. */
export const hoursForDli = (dose: Dli, ppfd: Ppfd): Hours => dose / (ppfd * MOL_SECONDS);

/** The fewest lamps of a kind that reach a dose within the longest hours, their hours cut to the dose, and what they cost over years. */
export function owning(lamp: BoughtLamp, wanted: OwningTask): Owning {
  const { dli, area_m2, hoursMax, price_per_kWh, years, daysPerYear = DAYS_PER_YEAR } = wanted;
  const count = Math.max(1, Math.ceil(hoursForDli(dli, meanPpfd(lamp, 1, area_m2)) / hoursMax - 1e-9));
  const ppfd = meanPpfd(lamp, count, area_m2);
  const hoursPerDay = hoursForDli(dli, ppfd);
  const kWhPerYear = (count * lamp.power * hoursPerDay * daysPerYear) / 1000;
  const energyCostPerYear = kWhPerYear * price_per_kWh;
  const purchase = count * lamp.price;
  const later = count * (lamp.replacePrice ?? lamp.price) * replacementsIn(years, lamp.life_h, hoursPerDay, daysPerYear);
  return {
    count,
    ppfd,
    hoursPerDay,
    kWhPerYear,
    energyCostPerYear,
    purchase,
    lampCostOverYears: purchase + later,
    total: purchase + later + years * energyCostPerYear,
  };
}

/** Years until the one that is dearer to buy has paid back; null where it uses as much or more. */
export function breakEvenYears(a: Owning, b: Owning): number | null {
  const [dear, cheap] = a.purchase >= b.purchase ? [a, b] : [b, a];
  const saved = cheap.energyCostPerYear - dear.energyCostPerYear;
  return saved > 0 ? (dear.purchase - cheap.purchase) / saved : null;
}
