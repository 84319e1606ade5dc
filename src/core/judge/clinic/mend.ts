import type { Hours, Metres } from '../../units/quantities';
import type { Cause, ClinicTest, Treatment } from './Cause';
import type { Circumstances } from './Circumstances';
import { isHouseplant } from './isHouseplant';
import type { Sign } from './signs';
import { usefulDay } from './usefulDay';

/** What tells a cause from the next likely one, and after how many days an answer shows in young plants and in houseplants. */
interface Trial {
  readonly tests: readonly ClinicTest[];
  readonly days: { readonly young: number; readonly houseplant: number };
}

/** New growth shows light in 3 to 7 days, water in 0 to 2, feed in 5 to 14; houseplants take weeks (growers' consensus). */
const TRIALS: Readonly<Record<Cause, Trial>> = {
  'light-too-weak': { tests: ['lower-lamp-half', 'measure-spot'], days: { young: 5, houseplant: 21 } },
  'hours-too-few': { tests: ['longer-day-half', 'check-timer'], days: { young: 5, houseplant: 21 } },
  'light-on-late': { tests: ['look-at-new-leaves'], days: { young: 5, houseplant: 14 } },
  'uneven-coverage': { tests: ['swap-positions', 'measure-spot'], days: { young: 4, houseplant: 14 } },
  'one-sided-light': { tests: ['turn-tray', 'blind-off-window'], days: { young: 3, houseplant: 7 } },
  'wrong-spectrum': { tests: ['swap-lamp-half'], days: { young: 7, houseplant: 21 } },
  'too-warm': { tests: ['cool-half'], days: { young: 6, houseplant: 14 } },
  'mat-left-on': { tests: ['mat-off-half'], days: { young: 4, houseplant: 7 } },
  crowding: { tests: ['thin-half'], days: { young: 6, houseplant: 14 } },
  'still-air': { tests: ['fan-half'], days: { young: 7, houseplant: 14 } },
  overwatering: { tests: ['dry-down-half'], days: { young: 2, houseplant: 7 } },
  underwatering: { tests: ['water-half'], days: { young: 1, houseplant: 2 } },
  'light-too-strong': { tests: ['raise-lamp-half', 'shade-half'], days: { young: 5, houseplant: 14 } },
  'sudden-change': { tests: ['shade-half'], days: { young: 5, houseplant: 10 } },
  'hot-spot': { tests: ['raise-lamp-half', 'swap-positions'], days: { young: 5, houseplant: 14 } },
  'lamp-heat': { tests: ['raise-lamp-half'], days: { young: 4, houseplant: 7 } },
  'continuous-light-injury': { tests: ['shorter-day-half'], days: { young: 10, houseplant: 14 } },
  'nitrogen-short': { tests: ['feed-half'], days: { young: 7, houseplant: 14 } },
  'iron-or-ph': { tests: ['lower-ph-half'], days: { young: 10, houseplant: 14 } },
  'magnesium-short': { tests: ['feed-half'], days: { young: 10, houseplant: 14 } },
  'phosphorus-short': { tests: ['feed-half', 'warm-half'], days: { young: 7, houseplant: 14 } },
  'cold-roots': { tests: ['warm-half'], days: { young: 7, houseplant: 14 } },
  overfed: { tests: ['flush-half'], days: { young: 4, houseplant: 19 } },
  'damping-off': { tests: ['fan-half', 'dry-down-half'], days: { young: 1, houseplant: 2 } },
  'tip-burn-calcium': { tests: ['fan-half', 'shorter-day-half'], days: { young: 7, houseplant: 14 } },
  'cold-draught': { tests: ['move-from-draught'], days: { young: 5, houseplant: 10 } },
  oedema: { tests: ['dry-down-half'], days: { young: 10, houseplant: 14 } },
  'normal-for-kind': { tests: ['look-at-new-leaves', 'compare-kind'], days: { young: 9, houseplant: 21 } },
  'old-leaf-ageing': { tests: ['look-at-new-leaves'], days: { young: 9, houseplant: 22 } },
  'root-bound': { tests: ['pot-on-half', 'feed-half'], days: { young: 8, houseplant: 21 } },
  'transplant-shock': { tests: ['shade-half', 'look-at-new-leaves'], days: { young: 4, houseplant: 14 } },
  'lamp-ageing': { tests: ['swap-lamp-half', 'measure-spot'], days: { young: 6, houseplant: 28 } },
  'timer-fault': { tests: ['check-timer'], days: { young: 3, houseplant: 7 } },
  'dry-air': { tests: ['water-half', 'cover-off-half'], days: { young: 7, houseplant: 14 } },
  'long-days': { tests: ['shorter-day-half', 'compare-kind'], days: { young: 10, houseplant: 21 } },
  'intended-blackout': { tests: ['look-at-new-leaves'], days: { young: 3, houseplant: 3 } },
  'too-cold': { tests: ['warm-half'], days: { young: 7, houseplant: 14 } },
  'seed-coat': { tests: ['look-at-new-leaves'], days: { young: 2, houseplant: 2 } },
};
/** Plants that should flower answer to light in weeks. */
const FLOWERING_DAYS = 42;
/** A lamp nearer than this to the leaves is not lowered any more. */
const NEAR: Metres = 0.08;
/** Nor one that could come nearer by less than this: our choice. */
const WORTH_LOWERING: Metres = 0.01;
/** Timers are set in minutes; sums of hours are less exact. */
const MINUTE: Hours = 1 / 60;
/** So much longer the day is made for half of a tray, as a test: our choice. */
export const LONGER: Hours = 2;

/** The one change that separates a cause from the next, here: a lamp that is near already is not lowered, a light beside it is judged by turning. */
export function testFor(cause: Cause, c: Circumstances, next: Cause | null = null): ClinicTest {
  const { tests } = TRIALS[cause];
  if (cause === 'light-too-weak' && isNear(c)) return c.place === 'all' ? 'measure-spot' : 'swap-positions';
  if (cause === 'light-too-weak' && next === 'one-sided-light') return 'turn-tray';
  if (cause === 'light-too-weak' && next === 'uneven-coverage') return 'swap-positions';
  if (cause === 'light-too-weak' && next === 'lamp-ageing') return 'swap-lamp-half';
  if (cause === 'hours-too-few' && roomForHours(c) < LONGER - MINUTE) return 'check-timer';
  if (cause === 'normal-for-kind' && c.isOfSuchKind) return 'compare-kind';
  if (cause === 'light-too-strong' && isHouseplant(c) && c.signs.includes('leaves-turn-away')) return 'shade-half';
  return tests.find((t) => t !== 'feed-half' || c.crop.fed) ?? 'look-at-new-leaves';
}

/** When an answer can be seen, days from now. */
export function daysToAnswer(cause: Cause, c: Circumstances): number {
  const { young, houseplant } = TRIALS[cause].days;
  if (c.stage === 'flowering-fruiting' && isHouseplant(c) && houseplant >= 20) return FLOWERING_DAYS;
  return isHouseplant(c) ? houseplant : young;
}

const isNear = ({ light: { clearance, lowerBy } }: Circumstances) =>
  (clearance !== null && clearance < NEAR) || (lowerBy !== null && lowerBy < WORTH_LOWERING);

/** Signs of a stem that is too long already: it has to be mended beside its cause. */
const STRETCHED: readonly Sign[] = [
  'stretched-stems',
  'stretched-below-seed-leaves',
  'wide-internodes',
  'fallen-over',
  'long-leaf-stalks',
  'thin-stems',
];
const LEGGY_REMEDIES = {
  'bury-stem': ['bury'],
  'bury-to-cotyledons': ['bury'],
  restart: ['restart'],
  'trim-tops': ['trim'],
  'prune-and-brighten': ['trim', 'take-cuttings'],
  'take-cuttings': ['take-cuttings'],
  're-root-rosette': ['take-cuttings', 'trim'],
  'brighten-only': [],
} as const satisfies Record<string, readonly Treatment[]>;

/** What mends a cause, the most useful first; what is not possible here is left out. */
export function treatmentsFor(cause: Cause, c: Circumstances): Treatment[] {
  const mends = [...MENDS[cause](c)];
  if (LEAVES_STEMS_LONG.has(cause) && c.signs.some((s) => STRETCHED.includes(s))) mends.push(...LEGGY_REMEDIES[c.crop.leggyRemedy]);
  // Feed kills what lives on poor, wet ground, and crops that are cut young do without.
  const safe = c.crop.fed ? mends : mends.filter((m) => m !== 'feed');
  return mends.length > 0 && safe.length === 0 ? ['none'] : [...new Set(safe)];
}

/** After these, stems that are too long stay so. */
const LEAVES_STEMS_LONG = new Set<Cause>([
  'light-too-weak',
  'hours-too-few',
  'light-on-late',
  'uneven-coverage',
  'one-sided-light',
  'wrong-spectrum',
  'too-warm',
  'mat-left-on',
  'crowding',
  'lamp-ageing',
  'timer-fault',
]);

type Mend = (c: Circumstances) => readonly Treatment[];
const just =
  (...mends: Treatment[]): Mend =>
  () =>
    mends;
const isStretched = (c: Circumstances) => c.signs.some((s) => STRETCHED.includes(s));

const MENDS: Readonly<Record<Cause, Mend>> = {
  'light-too-weak': (c) => (canLengthen(c) ? [...stronger(c), 'add-hours'] : stronger(c)),
  'hours-too-few': (c) => (roomForHours(c) > MINUTE ? ['add-hours'] : stronger(c)),
  'light-on-late': (c) => (isStretched(c) && c.crop.leggyRemedy === 'brighten-only' ? ['none'] : []),
  'uneven-coverage': just('spread-lamps', 'rotate', 'add-lamp'),
  'one-sided-light': just('light-other-side', 'rotate', 'add-lamp'),
  'wrong-spectrum': just('change-spectrum'),
  'too-warm': (c) => ['cool', ...((c.light.dli ?? Infinity) < c.light.dliTarget ? stronger(c) : [])],
  'mat-left-on': just('mat-off'),
  crowding: just('thin'),
  'still-air': just('air'),
  overwatering: just('water-less', 'bottom-water', 'air'),
  underwatering: just('water-more', 'bottom-water'),
  'light-too-strong': (c) =>
    (c.light.ppfd ?? 0) > c.light.ppfdMax ? ['raise-lamp', 'dim', 'move-from-centre'] : ['fewer-hours', 'dim', 'raise-lamp'],
  'sudden-change': just('shade', 'reacclimate'),
  'hot-spot': just('raise-lamp', 'spread-lamps', 'move-from-centre', 'dim'),
  'lamp-heat': just('raise-lamp'),
  'continuous-light-injury': just('fewer-hours'),
  'nitrogen-short': just('feed'),
  'iron-or-ph': just('lower-ph'),
  'magnesium-short': just('feed'),
  'phosphorus-short': just('feed'),
  'cold-roots': just('warm'),
  overfed: just('flush', 'stop-feed'),
  'damping-off': just('air', 'water-less', 'vent-cover', 'restart'),
  'tip-burn-calcium': (c) => ['air', ...((c.light.dli ?? 0) > 0.9 * c.light.dliMax ? (['fewer-hours', 'dim'] as const) : [])],
  'cold-draught': just('move-from-draught'),
  oedema: just('water-less', 'air'),
  'normal-for-kind': just('none'),
  'old-leaf-ageing': just('none'),
  'root-bound': just('pot-on'),
  'transplant-shock': just('shade'),
  'lamp-ageing': just('replace-lamp'),
  'timer-fault': just('fix-timer'),
  'dry-air': just('raise-humidity'),
  'long-days': just('fewer-hours'),
  'intended-blackout': just('none'),
  'too-cold': just('warm'),
  'seed-coat': just('mist-cap'),
};

/** More hours are of use where the day is not long already. */
function canLengthen({ light }: Circumstances): boolean {
  return light.hours !== null && light.hours < usefulDay(light) - MINUTE;
}

/** How much longer the day may get before the crop bears it no more, whatever is wrong; endless where that is not known. */
function roomForHours({ light: { hours, longestDay } }: Circumstances): Hours {
  return hours === null || longestDay === null ? Infinity : longestDay - hours;
}

const stronger = (c: Circumstances): Treatment[] => (isNear(c) ? ['add-lamp'] : ['lower-lamp', 'add-lamp']);
