import { breakEvenYears, hoursForDli, meanPpfd, owning, type BoughtLamp } from '../../judge/cost/owning';
import {
  DAYS_PER_YEAR,
  hoursUntil,
  lastDayOfLamp,
  outputAfter,
  replacementsIn,
  wearPerDay,
  yearsOf,
  type FadingModel,
} from '../../judge/cost/lampLife';
import { cheapestStart, costOfRun, costOfWeek } from '../../judge/cost/tariff';
import type { PricePeriod } from '../../units/PricePeriod';
import { MOL_SECONDS } from '../../judge/dli/dli';
import { readClock, showClock } from '../../units/clock';
import { isoOf, readDay } from '../../units/day';
import { audit } from './auditCase';
import { answerAll, numberOf, CaseError, type CaseAnswer, type Case } from './Case';

/** Questions about energy, tariffs, loads, life, buying and yield: what is asked is known by what is given. */
export function costCase(family: string, given: Case): CaseAnswer {
  const answer = FAMILIES[family];
  if (!answer) throw new CaseError(`family must be one of ${Object.keys(FAMILIES).join(', ')}`);
  return answer(given);
}

const FAMILIES: Record<string, (given: Case) => CaseAnswer> = { energy, tariff, load, rebase, life, ageing, ownership, pergram, audit };

const has = (given: Case, ...fields: string[]) => fields.every((f) => given[f] !== undefined && given[f] !== null);
const num = (given: Case, field: string, otherwise?: number): number =>
  otherwise !== undefined && !has(given, field) ? otherwise : numberOf(given, field, 0);
const list = (given: Case, field: string): Case[] => {
  const value = given[field];
  if (!Array.isArray(value) || value.length === 0) throw new CaseError(`${field} must be a list`);
  return value as Case[];
};
const thing = (given: Case, field: string): Case => {
  const value = given[field];
  if (typeof value !== 'object' || value === null) throw new CaseError(`${field} must be an object`);
  return value as Case;
};

function energy(given: Case): CaseAnswer {
  const price = num(given, 'pricePerKWh', 0);
  if (has(given, 'lamps')) {
    // A cost in whole cents stands for half a cent more or less.
    const bands = list(given, 'lamps').map((l) => {
      const kWh = (num(l, 'watts') * num(l, 'hours')) / 1000;
      const cents = num(l, 'statedCentsPerDay');
      return { low: (cents - 0.5) / kWh, high: (cents + 0.5) / kWh };
    });
    const low = Math.max(...bands.map((b) => b.low));
    const high = Math.min(...bands.map((b) => b.high));
    return { lowCentsPerKWh: low, highCentsPerKWh: high, oneTariffFits: low <= high };
  }
  const power =
    (has(given, 'wattsMeasuredAtSetting') ? num(given, 'wattsMeasuredAtSetting') : num(given, 'wattsDrawn')) * num(given, 'count', 1);
  if (has(given, 'program')) {
    const parts = list(given, 'program').map((p) => ({ hours: num(p, 'hours'), days: num(p, 'days') }));
    const days = parts.reduce((sum, p) => sum + p.days, 0);
    const hours = parts.reduce((sum, p) => sum + p.days * p.hours, 0);
    const kWh = (power * hours) / 1000;
    return { kWhSeason: kWh, costSeason: kWh * price, meanHours: hours / days };
  }
  const kWhPerDay = (power * num(given, 'hoursPerDay') * num(given, 'dutyFraction', 1)) / 1000;
  const costPerDay = kWhPerDay * price;
  return {
    kWhPerDay,
    costPerDay,
    costPeriod: costPerDay * num(given, 'periodDays', DAYS_PER_YEAR),
    costPerYear: costPerDay * DAYS_PER_YEAR,
  };
}

function clock(given: Case, field: string): number {
  const read = readClock(String(given[field]), '24');
  if (!read.ok) throw new CaseError(`${field} must be a time such as 17:30`);
  return read.value;
}

const DAYS: Record<string, PricePeriod['days']> = { wd: 'working', we: 'weekend' };

function tariff(given: Case): CaseAnswer {
  const periods = list(given, 'periods').map((p): PricePeriod => ({
    from_min: clock(p, 'from'),
    to_min: clock(p, 'to'),
    price_per_kWh: num(p, 'price'),
    days: DAYS[String(p.days)] ?? 'all',
  }));
  const power = num(given, 'watts');
  const lit_min = numberOf(given, 'hours', 0, 24) * 60;
  if (!has(given, 'onAt')) {
    const between = given.quiet as unknown;
    const quiet = Array.isArray(between)
      ? { from_min: clock({ at: between[0] as unknown }, 'at'), to_min: clock({ at: between[1] as unknown }, 'at') }
      : null;
    const best = cheapestStart(periods, power, lit_min, quiet, num(given, 'startStepMinutes', 15));
    return { possible: best !== null, cheapestStart: best && showClock(best.on_min, '24'), costPerDay: best && best.cost };
  }
  const on_min = clock(given, 'onAt');
  const costPerDay = costOfRun(periods, power, on_min, lit_min);
  return {
    costPerDay,
    meanPricePerKWh: (costPerDay * 1000 * 60) / (power * lit_min),
    offAt: showClock(on_min + lit_min, '24'),
    costPerWeek: costOfWeek(periods, power, on_min, lit_min),
  };
}

/** A label's watts and amperes contradict each other where the one is more than the other by this: our convention. */
const CONTRADICTION = 0.005;

function load(given: Case): CaseAnswer {
  const volts = num(given, 'volts');
  const share = num(given, 'continuousShare', 0.8);
  if (has(given, 'wattsEach')) {
    const allowed = num(given, 'ratingAmps') * share * volts;
    const each = num(given, 'wattsEach');
    return {
      maxCount: Math.floor((allowed * num(given, 'pf', 1)) / each + 1e-9),
      maxCountIfWattsWereVA: Math.floor(allowed / each + 1e-9),
    };
  }
  if (!has(given, 'lamps')) {
    const [va, watts, amps] = [volts * num(given, 'amps'), num(given, 'watts'), num(given, 'amps')];
    const contradiction = watts > va * (1 + CONTRADICTION);
    return { va, powerFactor: contradiction ? null : watts / va, contradiction, voltsAtLeast: contradiction ? watts / amps : volts };
  }
  const lamps = list(given, 'lamps').map((l) => ({
    watts: num(l, 'watts'),
    va: has(l, 'amps') ? volts * num(l, 'amps') : num(l, 'watts') / num(l, 'pf', 1),
  }));
  const watts = lamps.reduce((sum, l) => sum + l.watts, 0);
  const va = lamps.reduce((sum, l) => sum + l.va, 0);
  const allowedAmps = num(given, 'ratingAmps') * (given.continuous === true ? share : 1);
  return { watts, va, amps: va / volts, allowedAmps, withinLimit: va / volts <= allowedAmps + 1e-9, powerFactor: watts / va };
}

/** A label's cost is right where it is no further off than rounding: a hundredth. */
const ROUNDING = 0.01;

function rebase(given: Case): CaseAnswer {
  const hours = num(given, 'hoursPerDay');
  const labelHours = num(given, 'labelHoursPerDay');
  if (has(given, 'labelYears')) {
    const lifeHours = num(given, 'labelYears') * labelHours * DAYS_PER_YEAR;
    return { lifeHours, years: yearsOf(lifeHours, hours) };
  }
  const cost = (h: number, price: number) => (num(given, 'labelWatts') * h * DAYS_PER_YEAR * price) / 1000;
  const recomputed = cost(labelHours, num(given, 'labelPrice'));
  const own = cost(hours, num(given, 'price'));
  return {
    labelCostRecomputed: recomputed,
    labelConsistent: has(given, 'labelCostPerYear') ? Math.abs(recomputed - num(given, 'labelCostPerYear')) <= ROUNDING : null,
    costPerYear: own,
    timesLabel: (hours / labelHours) * (num(given, 'price') / num(given, 'labelPrice')),
  };
}

function life(given: Case): CaseAnswer {
  const lifeHours = num(given, 'lifeHours');
  const hours = num(given, 'hoursPerDay');
  if (has(given, 'today')) {
    const today = readDay(String(given.today));
    if (!today.ok) throw new CaseError('today must be a day such as 2027-06-01');
    const used = num(given, 'hoursUsed', 0);
    return { hoursLeft: Math.max(0, lifeHours - used), lastDay: isoOf(lastDayOfLamp(today.value, lifeHours, used, hours)) };
  }
  if (has(given, 'years')) {
    const replacements = replacementsIn(num(given, 'years'), lifeHours, hours);
    const price = num(given, 'priceEach', 0);
    return {
      replacements,
      purchases: replacements + 1,
      purchaseAndReplacementCost: (replacements + 1) * price,
      wearPerDay: wearPerDay(price, lifeHours, hours),
    };
  }
  return { days: lifeHours / hours, years: yearsOf(lifeHours, hours, num(given, 'daysPerYear', DAYS_PER_YEAR)) };
}

function ageing(given: Case): CaseAnswer {
  const rated = numberOf(given, 'ratedPct', 1, 99.999) / 100;
  const ratedHours = num(given, 'ratedHours');
  const hours = num(given, 'hoursPerDay');
  if (has(given, 'untilPct')) {
    const until = (model: FadingModel) => hoursUntil(num(given, 'untilPct') / 100, rated, ratedHours, model);
    const [exponential, linear] = [until('exponential'), until('linear')];
    return {
      hoursExponential: exponential,
      yearsExponential: yearsOf(exponential, hours),
      hoursLinear: linear,
      yearsLinear: yearsOf(linear, hours),
    };
  }
  const output = outputAfter(num(given, 'usedHours'), rated, ratedHours, given.model === 'linear' ? 'linear' : 'exponential');
  const answer: Record<string, unknown> = { outputFraction: output };
  if (has(given, 'ppfdNew')) {
    const ppfd = num(given, 'ppfdNew') * output;
    answer.ppfd = ppfd;
    answer.dose = ppfd * hours * MOL_SECONDS;
    if (has(given, 'doseTarget')) {
      answer.hoursForTarget = hoursForDli(num(given, 'doseTarget'), ppfd);
      answer.reachesTarget = (answer.dose as number) >= num(given, 'doseTarget') - 1e-9;
    }
  }
  return answer;
}

const lampOf = (l: Case): BoughtLamp => ({
  power: num(l, 'watts'),
  efficacy: num(l, 'efficacy'),
  utilisation: num(l, 'utilisation'),
  price: num(l, 'price'),
  ...(has(l, 'replacePrice') ? { replacePrice: num(l, 'replacePrice') } : {}),
  life_h: num(l, 'lifeHours'),
});

function ownership(given: Case): CaseAnswer {
  const area_m2 = num(given, 'areaM2');
  const dose = num(given, 'dose');
  const hoursMax = num(given, 'hoursMax');
  if (has(given, 'lamp')) {
    const lamp = lampOf(thing(given, 'lamp'));
    const have = num(given, 'have');
    const hoursWith = (count: number) => hoursForDli(dose, meanPpfd(lamp, count, area_m2));
    const name = (count: number) => (['None', 'One', 'Two', 'Three', 'Four', 'Five', 'Six'] as const)[count] ?? String(count);
    return {
      [`hoursWith${name(have)}`]: hoursWith(have),
      [`${name(have).toLowerCase()}ReachIt`]: hoursWith(have) <= hoursMax + 1e-9,
      [`hoursWith${name(have + 1)}`]: hoursWith(have + 1),
      kWhPerDayEither: (have * lamp.power * hoursWith(have)) / 1000,
      extraBarCost: lamp.price,
    };
  }
  const wanted = {
    dli: dose,
    area_m2,
    hoursMax,
    price_per_kWh: num(given, 'price'),
    years: num(given, 'years'),
    daysPerYear: num(given, 'daysPerYear', DAYS_PER_YEAR),
  };
  const [a, b] = [owning(lampOf(thing(given, 'a')), wanted), owning(lampOf(thing(given, 'b')), wanted)];
  const even = breakEvenYears(a, b);
  return {
    a,
    b,
    cheaper: a.total <= b.total ? 'a' : 'b',
    simpleBreakEvenYears: even,
    dearerToBuy: a.purchase >= b.purchase ? 'a' : 'b',
    dearerNeverPaysBack: even === null,
  };
}

function pergram(given: Case): CaseAnswer {
  if (has(given, 'arms')) {
    const arms = list(given, 'arms').map((a) => {
      const perDay = (num(a, 'watts') * num(a, 'hours')) / 1000;
      const grams = num(a, 'grams');
      return { id: String(a.id), grams, perKWh: grams / (perDay * num(a, 'days')), perDaily: grams / perDay };
    });
    const best = (of: (a: (typeof arms)[number]) => number) => arms.reduce((x, y) => (of(y) > of(x) ? y : x)).id;
    return {
      gramsPerKWh: Object.fromEntries(arms.map((a) => [a.id, a.perKWh])),
      gramsPerDailyKWh: Object.fromEntries(arms.map((a) => [a.id, a.perDaily])),
      bestYield: best((a) => a.grams),
      bestPerKWh: best((a) => a.perKWh),
    };
  }
  if (has(given, 'slow', 'fast')) {
    const of = (name: string) => {
      const arm = thing(given, name);
      return {
        cycles: DAYS_PER_YEAR / (num(arm, 'days') + num(given, 'turnaroundDays', 0)),
        kWh: (num(given, 'tierWatts') * num(arm, 'hours') * num(arm, 'days')) / 1000,
      };
    };
    const [slow, fast] = [of('slow'), of('fast')];
    return {
      cyclesPerYearSlow: slow.cycles,
      cyclesPerYearFast: fast.cycles,
      kWhPerCycleSlow: slow.kWh,
      kWhPerCycleFast: fast.kWh,
      extraCyclesPerYear: fast.cycles - slow.cycles,
      extraEnergyCostPerCycle: (fast.kWh - slow.kWh) * num(given, 'price'),
    };
  }
  const days = num(given, 'daysUnderLight');
  const trays = num(given, 'traysOnTier', 1);
  const kWhPerTray = (num(given, 'tierWatts') * num(given, 'hoursPerDay') * days) / 1000 / trays;
  const energyPerTray = kWhPerTray * num(given, 'price');
  const costPerTray = energyPerTray + num(given, 'seedAndMediumPerTray', 0) + (num(given, 'lampWearPerDayTier', 0) * days) / trays;
  const grams = num(given, 'gramsPerTray');
  return { energyPerTray, costPerTray, costPerGram: costPerTray / grams, gramsPerKWh: grams / kWhPerTray };
}

/** Answers a file of questions about money, by their families. */
export function costCases(file: Readonly<Record<string, unknown>>): Record<string, CaseAnswer> {
  if (!Array.isArray(file.cases)) throw new TypeError('the file must have a list of cases');
  const all = file.cases as Case[];
  return answerAll(Object.fromEntries(all.map((c, i) => [String(c?.id ?? i), c])), (given) =>
    costCase(String(given.family), thing(given, 'input')),
  );
}
