import { MOL_SECONDS } from '../dli/dli';
import { AIR_OFF_BY, warmerBy } from '../growth/airFor';
import type { Cause } from './Cause';
import type { Circumstances } from './Circumstances';
import { isHouseplant } from './isHouseplant';
import { usefulDay } from './usefulDay';

/** What makes a fact known: who has to be asked when it is wrong. */
export type FactSource = 'plan' | 'log' | 'table' | 'person';

/** What is known beside the signs, and how much it speaks for and against causes. */
export interface Fact {
  readonly id: FactId;
  readonly from: FactSource;
  /** How many times likelier the cause is, given this, than it is without; below 1 it speaks against. Causes not named stay as they are. */
  readonly factors: Partial<Record<Cause, number>>;
  /** What was found and what it is held against, in the unit of the fact. */
  readonly found: number | null;
  readonly against: number | null;
}

export const FACT_IDS = [
  'dose-short',
  'dose-low',
  'dose-good',
  'dose-high',
  'strength-high',
  'strength-low',
  'day-short',
  'day-long-enough',
  'timer-differs',
  'timer-keeps',
  'dark-after-emergence',
  'light-in-time',
  'spot-darker',
  'spot-alike',
  'window-share',
  'no-window',
  'spectrum-wrong',
  'spectrum-pink',
  'spectrum-good',
  'warm',
  'not-warm',
  'cold',
  'not-cold',
  'roots-cold',
  'roots-warm',
  'mat-on',
  'mat-off',
  'crowded',
  'roomy',
  'no-fan',
  'fan',
  'wet',
  'dry',
  'evenly-watered',
  'never-fed',
  'fed-weakly',
  'fed-well',
  'fed-strongly',
  'feed-unknown',
  'air-dry',
  'air-damp',
  'air-good',
  'ph-high',
  'ph-good',
  'hard-water',
  'lamp-faded',
  'lamp-fresh',
  'pot-small',
  'pot-roomy',
  'potted-on',
  'not-potted',
  'light-raised',
  'light-not-raised',
  'more-wind',
  'colder-place',
  'moved',
  'draught',
  'lamp-hot-near',
  'lamp-cool',
  'leaf-hot',
  'no-darkness',
  'darkness',
  'long-days',
  'short-days',
  'such-kind',
  'blackout',
  'no-blackout',
  'place',
  'age',
  'all-in-order',
  'something-off',
  'tested',
] as const;
export type FactId = (typeof FACT_IDS)[number];

type Factors = Partial<Record<Cause, number>>;
type Finding = Fact | null;
const fact = (id: FactId, from: FactSource, factors: Factors, found: number | null = null, against: number | null = null): Fact => ({
  id,
  from,
  factors,
  found,
  against,
});
const clamp = (x: number, from: number, to: number) => Math.min(to, Math.max(from, x));

/** Above it a crop that needs darkness has none to speak of. */
const NO_DARKNESS = 20;

/**
 * All that is known beside the signs, as facts that can be read, corrected and taken back one by one. Factors are our own, set in steps
 * after the rules that growers agree on; docs/clinic.md lists them with their reasons.
 */
export function factsOf(c: Circumstances): Fact[] {
  return READERS.map((read) => read(c)).filter((f) => f !== null);
}

const READERS: readonly ((c: Circumstances) => Finding)[] = [
  dose,
  strength,
  day,
  timer,
  dark,
  spot,
  window,
  spectrum,
  warmth,
  cold,
  roots,
  mat,
  crowd,
  fan,
  water,
  feed,
  humidity,
  ph,
  lampAge,
  pot,
  potted,
  raised,
  changed,
  draught,
  hotLamp,
  darkness,
  dayLength,
  kind,
  blackout,
  place,
  age,
  order,
];

function dose({ light }: Circumstances): Finding {
  const { dli, dliMin, dliTarget, dliMax } = light;
  if (dli === null) return null;
  if (dli < dliMin) {
    const short = clamp(1 - dli / dliMin, 0, 0.8);
    return fact('dose-short', 'plan', { 'light-too-weak': 3 + 10 * short, 'uneven-coverage': 2, 'hours-too-few': 2, 'lamp-ageing': 2, 'timer-fault': 1.5, 'one-sided-light': 2, 'light-too-strong': 0.03, 'hot-spot': 0.03, 'tip-burn-calcium': 0.2, 'lamp-heat': 0.5 }, dli, dliMin); // prettier-ignore
  }
  if (dli > dliMax) {
    const over = clamp(dli / dliMax - 1, 0, 1.5);
    return fact('dose-high', 'plan', { 'light-too-strong': 4 + 6 * over, 'hot-spot': 2, 'sudden-change': 1.5, 'tip-burn-calcium': 4, 'light-too-weak': 0.02, 'hours-too-few': 0.02, 'uneven-coverage': 0.05, 'one-sided-light': 0.3, 'lamp-ageing': 0.05 }, dli, dliMax); // prettier-ignore
  }
  if (dli < dliTarget)
    return fact('dose-low', 'plan', { 'light-too-weak': clamp(0.6 - (dli / dliMin - 1), 0.15, 0.6), 'light-too-strong': 0.15, 'hot-spot': 0.15, 'hours-too-few': 0.4, 'uneven-coverage': 0.4, 'lamp-ageing': 0.5, 'tip-burn-calcium': 0.5 }, dli, dliMin); // prettier-ignore
  // Both speak up together towards the top of the band, or more light would make too much of it less likely.
  const nearTop = 1 + 2 * clamp((dli / dliMax - 0.85) / 0.1, 0, 1);
  return fact('dose-good', 'plan', { 'light-too-weak': 0.05, 'hours-too-few': 0.05, 'uneven-coverage': 0.1, 'lamp-ageing': 0.1, 'one-sided-light': 0.5, 'light-too-strong': 0.4 * nearTop, 'hot-spot': 0.4 * nearTop, 'tip-burn-calcium': nearTop }, dli, dliTarget); // prettier-ignore
}

function strength({ light, place: at }: Circumstances): Finding {
  const { ppfd, ppfdMax, dliMax, elsewhere, dli } = light;
  if (ppfd === null) return null;
  if (ppfd <= ppfdMax)
    return fact(
      'strength-low',
      'plan',
      ppfd > 0.85 * ppfdMax ? { 'hot-spot': 0.5 } : { 'light-too-strong': 0.4, 'hot-spot': 0.1 },
      ppfd,
      ppfdMax,
    );
  const others = [elsewhere.edge, elsewhere.corner].filter((d) => d !== null);
  const isOnlyHere = others.length > 0 && others.every((d) => d <= dliMax) && (dli === null || others.some((d) => d < 0.8 * dli));
  return fact('strength-high', 'plan', { 'light-too-strong': isOnlyHere ? 3 : 6, 'hot-spot': isOnlyHere ? 25 : at === 'centre' ? 3 : 0.5, 'sudden-change': 1.5, 'light-too-weak': 0.1 }, ppfd, ppfdMax); // prettier-ignore
}

function day({ light }: Circumstances): Finding {
  const { dli, ppfd, hours, dliMin } = light;
  if (dli === null || ppfd === null || hours === null) return null;
  const longest = usefulDay(light);
  const isEnough = ppfd * longest * MOL_SECONDS >= dliMin * 0.95;
  if (dli < dliMin && hours < longest - 2 && isEnough)
    return fact('day-short', 'plan', { 'hours-too-few': 20, 'light-too-weak': 0.12, 'timer-fault': 1.5 }, hours, longest);
  return fact('day-long-enough', 'plan', { 'hours-too-few': hours >= longest - 2 ? 0.05 : 0.4 }, hours, longest);
}

function timer({ light: { hours, hoursPlanned } }: Circumstances): Finding {
  if (hours === null || hoursPlanned === null) return fact('timer-keeps', 'plan', { 'timer-fault': 0.15 });
  return Math.abs(hours - hoursPlanned) >= 1
    ? fact(
        'timer-differs',
        'plan',
        { 'timer-fault': 150, 'light-too-weak': 0.3, 'hours-too-few': 0.3, 'long-days': 0.5, 'continuous-light-injury': 0.7 },
        hours,
        hoursPlanned,
      )
    : fact('timer-keeps', 'plan', { 'timer-fault': 0.03 }, hours, hoursPlanned);
}

function dark({ light: { daysInDark: days }, stage, ageDays }: Circumstances): Finding {
  if (days === null || stage === 'maintenance') return null;
  if (days < 1) return fact('light-in-time', 'log', { 'light-on-late': 0.03 }, days);
  const isLongAgo = ageDays !== null && ageDays - days > 20 ? 0.4 : 1;
  return fact('dark-after-emergence', 'log', { 'light-on-late': clamp(3 + 5 * days, 3, 25) * isLongAgo }, days);
}

function spot({ light, place: at }: Circumstances): Finding {
  const { dli, dliMin, elsewhere } = light;
  const best = Math.max(...[elsewhere.centre, elsewhere.edge, elsewhere.corner].filter((d) => d !== null), -Infinity);
  if (dli === null) return null;
  if (best > dli * 1.3 && best >= dliMin * 0.95 && dli < dliMin * 1.05)
    return fact('spot-darker', 'plan', { 'uneven-coverage': 15, 'light-too-weak': 0.5, 'one-sided-light': 1 }, dli, best);
  if (at === 'all' || at === 'centre' || at === 'one-plant')
    return fact('spot-alike', 'plan', { 'uneven-coverage': 0.05 }, dli, best === -Infinity ? null : best);
  return dli < dliMin ? fact('spot-darker', 'plan', { 'uneven-coverage': 4 }, dli, null) : null;
}

function window({ light: { windowShare: share }, place: at }: Circumstances): Finding {
  if (share !== null && share >= 0.15)
    return fact('window-share', 'plan', { 'one-sided-light': 3 + 10 * share, 'cold-draught': 2, 'uneven-coverage': 0.6 }, share);
  return fact('no-window', 'plan', { 'one-sided-light': at === 'one-side' ? 1 : 0.25 }, share);
}

function spectrum({ light }: Circumstances): Finding {
  if (light.spectrum === null) return null;
  if (light.spectrum === 'white') return fact('spectrum-good', 'plan', { 'wrong-spectrum': 0.03, oedema: 0.8 });
  if (light.spectrum === 'red-blue') return fact('spectrum-pink', 'plan', { oedema: 3, 'wrong-spectrum': 0.5 });
  return fact('spectrum-wrong', 'plan', { 'wrong-spectrum': 25, oedema: 1.5 });
}

function warmth({ air, crop: { afterEmergence: likes }, light }: Circumstances): Finding {
  const excess = likes && warmerBy(air, likes);
  if (!likes || excess === null) return null;
  const isDim = light.dli !== null && light.dli < light.dliTarget;
  if (excess < AIR_OFF_BY) return fact('not-warm', 'plan', { 'too-warm': 0.1, 'mat-left-on': 1 }, air.night, likes.night);
  return fact('warm', 'plan', { 'too-warm': clamp(2 + 1.2 * (excess - 2), 2, 14) * (isDim ? 1.5 : 1), 'dry-air': 1.5, 'too-cold': 0.05, 'cold-roots': 0.2 }, air.night ?? air.day, air.night !== null ? likes.night : likes.day); // prettier-ignore
}

function cold({ air, crop: { afterEmergence: likes } }: Circumstances): Finding {
  if (!likes || (air.day === null && air.night === null)) return null;
  const lack = Math.max(air.day === null ? 0 : likes.day - air.day, air.night === null ? 0 : likes.night - air.night);
  if (lack < AIR_OFF_BY) return fact('not-cold', 'plan', { 'too-cold': 0.08, 'cold-draught': 0.8 }, air.night, likes.night);
  return fact('cold', 'plan', { 'too-cold': clamp(2 + 1.5 * (lack - 2), 2, 12), 'cold-roots': clamp(lack - 1, 1, 6), 'cold-draught': 2, 'damping-off': 1.5, overwatering: 1.5, 'too-warm': 0.03 }, air.night ?? air.day, air.night !== null ? likes.night : likes.day); // prettier-ignore
}

function roots({ roots: { temperature }, crop: { afterEmergence: likes } }: Circumstances): Finding {
  if (temperature === null) return null;
  const least = (likes?.day ?? 20) - 6;
  return temperature <= least
    ? fact('roots-cold', 'person', { 'cold-roots': clamp(4 + 2 * (least - temperature), 4, 14), 'too-cold': 2, 'phosphorus-short': 0.3, 'nitrogen-short': 0.5, 'damping-off': 1.5 }, temperature, least) // prettier-ignore
    : fact(
        'roots-warm',
        'person',
        { 'cold-roots': 0.08, 'mat-left-on': temperature > 25 ? 3 : 1, 'phosphorus-short': 1.5 },
        temperature,
        least,
      );
}

function mat({ roots: { isMatOn }, stage }: Circumstances): Finding {
  if (isMatOn === null) return null;
  return isMatOn && stage !== 'maintenance'
    ? fact('mat-on', 'log', { 'mat-left-on': 15, 'too-warm': 0.7, 'cold-roots': 0.05 })
    : fact('mat-off', 'log', { 'mat-left-on': 0.02 });
}

function crowd({ isCrowded }: Circumstances): Finding {
  if (isCrowded === null) return null;
  return isCrowded
    ? fact('crowded', 'log', { crowding: 10, 'damping-off': 2, 'root-bound': 1.5 })
    : fact('roomy', 'log', { crowding: 0.08 });
}

function fan({ air: { hasFan } }: Circumstances): Finding {
  if (hasFan === null) return null;
  return hasFan
    ? fact('fan', 'log', { 'still-air': 0.03, 'damping-off': 0.5, oedema: 0.7 })
    : fact('no-fan', 'log', { 'still-air': 6, 'damping-off': 2, oedema: 2, 'tip-burn-calcium': 2 });
}

function water({ roots: { water: w } }: Circumstances): Finding {
  if (w === 'wet')
    return fact('wet', 'log', {
      overwatering: 12,
      'damping-off': 4,
      oedema: 5,
      underwatering: 0.03,
      'nitrogen-short': 0.6,
      'iron-or-ph': 1.2,
    });
  if (w === 'dry') return fact('dry', 'log', { underwatering: 15, overwatering: 0.03, 'damping-off': 0.3, oedema: 0.2, 'dry-air': 1.5 });
  return w === 'even' ? fact('evenly-watered', 'log', { overwatering: 0.12, underwatering: 0.12, 'damping-off': 0.5, oedema: 0.4 }) : null;
}

function feed({ feed: f, stage }: Circumstances): Finding {
  if (f === null)
    return fact('feed-unknown', 'log', { overfed: 0.2, 'nitrogen-short': stage === 'seedling' || stage === 'emergence' ? 0.3 : 1 });
  const days = f.daysAgo;
  if (f.strength === 'none')
    return fact('never-fed', 'log', { 'nitrogen-short': 6, 'phosphorus-short': 6, 'magnesium-short': 2, overfed: 0.02 }, days);
  if (f.strength === 'full' || f.strength === 'too-much') return fact('fed-strongly', 'log', { overfed: f.strength === 'full' ? 8 : 15, 'nitrogen-short': 0.08, 'phosphorus-short': 0.1, 'tip-burn-calcium': 2, 'magnesium-short': 1.2 }, days); // prettier-ignore
  const isOld = days !== null && days > 21;
  if (f.strength === 'weak' || isOld)
    return fact('fed-weakly', 'log', { overfed: 0.1, 'nitrogen-short': isOld ? 2.5 : 0.8, 'phosphorus-short': isOld ? 2 : 0.5 }, days);
  return fact('fed-well', 'log', { 'nitrogen-short': 0.15, 'phosphorus-short': 0.15, overfed: 0.4 }, days);
}

function humidity({ air: { humidity: h } }: Circumstances): Finding {
  if (h === null) return null;
  if (h < 40) return fact('air-dry', 'log', { 'dry-air': h < 32 ? 15 : 6, 'damping-off': 0.3, oedema: 0.2, underwatering: 1.5 }, h, 40);
  if (h > 80)
    return fact('air-damp', 'log', { 'dry-air': 0.02, 'damping-off': 3, oedema: 4, 'tip-burn-calcium': 3, 'still-air': 1.5 }, h, 80);
  return fact('air-good', 'log', { 'dry-air': 0.15 }, h, 40);
}

function ph({ roots: { ph: value, isHardWater } }: Circumstances): Finding {
  if (value !== null)
    return value > 6.8
      ? fact('ph-high', 'person', { 'iron-or-ph': 12 }, value, 6.8)
      : fact('ph-good', 'person', { 'iron-or-ph': 0.3 }, value, 6.8);
  return isHardWater ? fact('hard-water', 'log', { 'iron-or-ph': 4, 'dry-air': 1 }) : null;
}

function lampAge({ light: { dliWhenNew, dli, lampHours } }: Circumstances): Finding {
  const left = dliWhenNew !== null && dli !== null && dliWhenNew > 0 ? dli / dliWhenNew : null;
  const isFaded = left !== null ? left < 0.85 : lampHours !== null && lampHours > 12_000;
  if (left === null && lampHours === null) return fact('lamp-fresh', 'plan', { 'lamp-ageing': 0.15 });
  return isFaded
    ? fact('lamp-faded', 'plan', { 'lamp-ageing': 40 }, left ?? lampHours)
    : fact('lamp-fresh', 'plan', { 'lamp-ageing': 0.05 }, left ?? lampHours);
}

function pot({ roots: { isPotSmall } }: Circumstances): Finding {
  if (isPotSmall === null) return null;
  return isPotSmall
    ? fact('pot-small', 'plan', { 'root-bound': 12, 'nitrogen-short': 1.5, 'phosphorus-short': 1.5 })
    : fact('pot-roomy', 'plan', { 'root-bound': 0.1 });
}

function potted({ changes }: Circumstances): Finding {
  return changes.includes('potted-on')
    ? fact('potted-on', 'log', { 'transplant-shock': 25, 'root-bound': 0.3, 'sudden-change': 1 })
    : fact('not-potted', 'log', { 'transplant-shock': 0.03 });
}

function raised({ changes }: Circumstances): Finding {
  return changes.includes('stronger-light')
    ? fact('light-raised', 'log', {
        'sudden-change': 30,
        'light-too-strong': 1,
        'hot-spot': 0.7,
        'light-too-weak': 0.5,
        'cold-draught': 1.2,
      })
    : fact('light-not-raised', 'log', { 'sudden-change': changes.includes('moved') ? 3 : 0.12 });
}

function changed({ changes }: Circumstances): Finding {
  if (changes.includes('more-wind'))
    return fact('more-wind', 'log', { underwatering: 8, 'dry-air': 3, 'cold-draught': 2, 'still-air': 0.1 });
  if (changes.includes('colder')) return fact('colder-place', 'log', { 'cold-draught': 15, 'too-cold': 2 });
  return changes.includes('moved') ? fact('moved', 'log', { 'cold-draught': 2, 'transplant-shock': 2 }) : null;
}

function draught({ air: { isDraughty } }: Circumstances): Finding {
  return isDraughty ? fact('draught', 'person', { 'cold-draught': 20 }) : null;
}

function hotLamp({ light: { isHot, clearance, leafTemperature } }: Circumstances): Finding {
  if (leafTemperature !== null && leafTemperature > 33)
    return fact('leaf-hot', 'person', { 'lamp-heat': 20, 'hot-spot': 0.7 }, leafTemperature, 33);
  if (!isHot) return fact('lamp-cool', 'plan', { 'lamp-heat': clearance !== null && clearance < 0.01 ? 2 : 0.03 }, clearance);
  return fact(
    'lamp-hot-near',
    'plan',
    { 'lamp-heat': clearance === null ? 3 : clearance < 0.1 ? 30 : clearance < 0.25 ? 8 : 1 },
    clearance,
  );
}

function darkness({ light: { hours }, crop: { continuousLightInjury: injury } }: Circumstances): Finding {
  if (hours === null) return null;
  if (hours < NO_DARKNESS) return fact('darkness', 'plan', { 'continuous-light-injury': 0.01 }, hours, NO_DARKNESS);
  const factor = injury === 'high' ? 30 : injury === 'some' ? 12 : injury === 'low' ? 0.5 : 3;
  return fact(
    'no-darkness',
    'plan',
    { 'continuous-light-injury': factor, 'normal-for-kind': injury === 'low' || injury === null ? 2 : 0.5 },
    hours,
    NO_DARKNESS,
  );
}

function dayLength({ light: { hours }, crop: { dayLengthType: type } }: Circumstances): Finding {
  if (hours === null) return null;
  const factor = /^(long|short)-day$/.test(type) ? 12 : /long|short/.test(type) ? 8 : 2;
  if (hours >= 14) return fact('long-days', 'table', { 'long-days': factor }, hours, 14);
  return fact('short-days', 'table', { 'long-days': hours <= 12 ? 0.05 : 0.5 }, hours, 14);
}

function kind({ isOfSuchKind }: Circumstances): Finding {
  return isOfSuchKind ? fact('such-kind', 'person', { 'normal-for-kind': 15 }) : null;
}

function blackout({ light: { isBlackout } }: Circumstances): Finding {
  return isBlackout
    ? fact('blackout', 'plan', { 'intended-blackout': 500, 'light-on-late': 0.1, 'light-too-weak': 0.2 })
    : fact('no-blackout', 'plan', { 'intended-blackout': 0.02 });
}

function place({ place: at }: Circumstances): Finding {
  const factors: Record<Circumstances['place'], Factors> = {
    all: { 'hot-spot': 0.3, 'seed-coat': 0.5, 'cold-draught': 0.7, 'lamp-heat': 0.6 },
    centre: { 'hot-spot': 2, 'uneven-coverage': 0.3, 'lamp-heat': 1.5, 'one-sided-light': 0.5, crowding: 1.5, 'damping-off': 1.5 },
    edge: { 'hot-spot': 0.1, 'cold-draught': 1.5, underwatering: 1.5, 'light-too-strong': 0.5 },
    corner: { 'hot-spot': 0.1, 'cold-draught': 1.5, underwatering: 1.5, 'light-too-strong': 0.5, 'uneven-coverage': 2 },
    'one-side': { 'one-sided-light': 3, 'cold-draught': 4, 'uneven-coverage': 1.5, 'hot-spot': 0.4, underwatering: 1 },
    'one-plant': { 'seed-coat': 4, 'hot-spot': 1.5, 'damping-off': 1.5, 'lamp-heat': 1.5, 'normal-for-kind': 1.5, 'uneven-coverage': 0.2, 'one-sided-light': 0.3, 'still-air': 0.3, 'too-warm': 0.3, 'too-cold': 0.3, 'light-too-weak': 0.4 }, // prettier-ignore
  };
  return fact('place', 'person', factors[at]);
}

function age(c: Circumstances): Finding {
  const { ageDays, stage } = c;
  // Without a date it is known of houseplants at least that they are no seedlings.
  if (ageDays === null && !isHouseplant(c)) return null;
  const days = ageDays ?? Infinity;
  const isPlant = stage === 'maintenance' || days > 120;
  return fact('age', 'log', {
    'seed-coat': days <= 8 ? 2 : 0.02,
    'light-on-late': isPlant ? 0.001 : 1,
    'mat-left-on': isPlant ? 0.01 : 1,
    'damping-off': isPlant ? 0.02 : days > 25 ? 0.3 : 1.5,
    crowding: isPlant ? 0.05 : 1,
    'still-air': isPlant ? 0.1 : 1,
    'old-leaf-ageing': isPlant ? 2 : days < 18 ? 0.1 : 1,
    'root-bound': isPlant ? 1 : days < 21 ? 0.15 : 1,
    'nitrogen-short': days < 12 ? 0.3 : 1,
    'iron-or-ph': days < 12 ? 0.4 : 1,
    'magnesium-short': days < 18 ? 0.2 : 1,
    'phosphorus-short': days < 15 ? 0.4 : 1,
    'dry-air': isPlant ? 2 : 0.4,
    'cold-draught': isPlant ? 2 : 0.6,
    oedema: 1,
    'tip-burn-calcium': isPlant ? 0.2 : 1,
    'intended-blackout': isPlant ? 0.01 : 1,
  }, ageDays); // prettier-ignore
}

/** Nothing that the plan knows of is out of its range: then it may well be no fault at all. */
function order({ light, roots: r, air, crop }: Circumstances): Finding {
  const { dli, ppfd } = light;
  if (dli === null || ppfd === null) return null;
  const likes = crop.afterEmergence;
  const isRight =
    dli >= light.dliMin &&
    dli <= light.dliMax &&
    ppfd <= light.ppfdMax &&
    r.water !== 'wet' &&
    r.water !== 'dry' &&
    (!likes || ((air.night === null || Math.abs(air.night - likes.night) < 5) && (air.day === null || Math.abs(air.day - likes.day) < 6)));
  return isRight
    ? fact('all-in-order', 'plan', { 'normal-for-kind': 2, 'old-leaf-ageing': 1.5 })
    : fact('something-off', 'plan', { 'normal-for-kind': 0.15, 'old-leaf-ageing': 0.6 });
}
