import type { Fact, FactSource } from '@/core/judge/clinic/facts';
import type { Told } from '@/core/site/clinic/ClinicCase';
import { showHours } from '@/core/units/clock';
import { showLength } from '@/core/units/length';
import { showTemperature } from '@/core/units/temperature';
import type { Settings } from '@/store/settings/settingsStore';
import { dliBeside, dliNumber } from '../drawing/lightWords';
import { besideWords } from '../parts/besideWords';
import { wholeWords } from '../parts/locale';
import { daysWords } from '../season/dayWords';

export const SOURCE_WORDS: Readonly<Record<FactSource, string>> = {
  plan: 'from the plan',
  log: 'from the log',
  table: 'from the crop table',
  person: 'you said',
};

const n = (value: number | null) => (value === null ? '' : String(Number(value.toPrecision(2))));
/** What there is, beside what it is held against. */
const dose = (f: Fact) => `${dliBeside(f.found ?? 0, f.against ?? 0)} mol/m²/day`;
const strength = (f: Fact) => `${besideWords(f.found ?? 0, f.against ?? 0)} µmol/m²/s`;
const limit = (f: Fact) => String(Number((f.against ?? 0).toFixed(2)));
const hours = (h: number | null) => showHours((h ?? 0) * 60);
const days = (d: number | null) => daysWords(Math.round(d ?? 0));

/** The units that a person reads. */
type Units = Pick<Settings, 'temperatureUnit' | 'lengthUnit'>;
type Words = (f: Fact, units: Units) => string;
const warmth = (celsius: number | null, { temperatureUnit }: Units) => (celsius === null ? '' : showTemperature(celsius, temperatureUnit));
const say =
  (text: string): Words =>
  () =>
    text;

/** Every fact as a sentence with its figures. */
const FACTS: Readonly<Record<Fact['id'], Words>> = {
  'dose-short': (f) => `DLI there is ${dose(f)}; it needs at least ${limit(f)}`,
  'dose-low': (f) => `DLI there is ${dose(f)}: above the least of ${limit(f)}, below the target`,
  'dose-good': (f) => `DLI there is ${dose(f)}: enough`,
  'dose-high': (f) => `DLI there is ${dose(f)}; it tolerates at most ${limit(f)}`,
  'strength-high': (f) => `PPFD there is ${strength(f)}; its leaves tolerate ${limit(f)}`,
  'strength-low': (f) => `PPFD there is ${strength(f)}, below the limit of ${limit(f)}`,
  'day-short': (f) => `Light for ${hours(f.found)} only; at this PPFD ${hours(f.against)} would do`,
  'day-long-enough': (f) => `Light for ${hours(f.found)} a day`,
  'timer-differs': (f) => `The lamp burnt ${hours(f.found)}, not the ${hours(f.against)} planned`,
  'timer-keeps': say('No sign that the timer is wrong'),
  'dark-after-emergence': (f) => `${days(f.found)} without light after emergence`,
  'light-in-time': say('Light from the first day'),
  'spot-darker': (f) =>
    f.against === null ? 'The edges are dimmer than the middle' : `Other spots of the tray get up to ${dliNumber(f.against)} mol/m²/day`,
  'spot-alike': say('It is not a matter of one dim spot'),
  'window-share': (f) => `A window gives ${n((f.found ?? 0) * 100)} % of the light, from one side`,
  'no-window': say('No window gives much of its light'),
  'spectrum-wrong': say('The lamp gives no blue, or much far-red'),
  'spectrum-pink': say('The lamp is red and blue'),
  'spectrum-good': say('The lamp is white'),
  warm: (f, u) => `${warmth(f.found, u)}; it likes ${warmth(f.against, u)}`,
  'not-warm': say('Not too warm'),
  cold: (f, u) => `${warmth(f.found, u)}; it likes ${warmth(f.against, u)}`,
  'not-cold': say('Not too cold'),
  'roots-cold': (f, u) => `Compost at ${warmth(f.found, u)}`,
  'roots-warm': (f, u) => `Compost at ${warmth(f.found, u)}`,
  'mat-on': say('It stands on a heat mat'),
  'mat-off': say('No heat mat'),
  crowded: say('Not thinned'),
  roomy: say('Thinned'),
  'no-fan': say('No moving air'),
  fan: say('Air moves'),
  wet: say('The compost stays wet'),
  dry: say('The compost was dry'),
  'evenly-watered': say('Watered when the surface pales'),
  'never-fed': say('Never fed'),
  'fed-weakly': (f) => (f.found === null ? 'Fed weakly' : `Fed ${days(f.found)} ago`),
  'fed-well': (f) => (f.found === null ? 'Fed at half strength' : `Fed ${days(f.found)} ago`),
  'fed-strongly': say('Fed at full strength'),
  'feed-unknown': say('Nothing is known of feeding'),
  'air-dry': (f) => `Humidity ${n(f.found)} %`,
  'air-damp': (f) => `Humidity ${n(f.found)} %`,
  'air-good': (f) => `Humidity ${n(f.found)} %`,
  'ph-high': (f) => `pH ${n(f.found)}, too high`,
  'ph-good': (f) => `pH ${n(f.found)}`,
  'hard-water': say('Hard tap water'),
  'lamp-faded': (f) =>
    (f.found ?? 0) <= 1
      ? `The lamp gives ${n((f.found ?? 0) * 100)} % of what it gave when new`
      : `The lamp has burnt ${wholeWords(f.found!)} h`,
  'lamp-fresh': say('No sign that the lamp has faded'),
  'pot-small': say('At this age it should be in a bigger pot'),
  'pot-roomy': say('The pot is big enough'),
  'potted-on': say('Potted on lately'),
  'not-potted': say('Not potted on lately'),
  'light-raised': say('More light than before, lately'),
  'light-not-raised': say('No sudden change of light is known'),
  'more-wind': say('More wind than before'),
  'colder-place': say('Colder than before'),
  moved: say('Moved lately'),
  draught: say('In a cold draught'),
  'lamp-hot-near': (f, u) => `A hot lamp, ${showLength(f.found ?? 0, u.lengthUnit)} from the leaves`,
  'lamp-cool': say('The lamp does not get hot'),
  'leaf-hot': (f, u) => `Leaves at ${warmth(f.found, u)}`,
  'no-darkness': (f) => `Light for ${hours(f.found)} a day`,
  darkness: say('It has a night'),
  'long-days': (f) => `Days of ${hours(f.found)}`,
  'short-days': (f) => `Days of ${hours(f.found)}`,
  'such-kind': say('This kind is coloured or shaped like that'),
  blackout: say('It was kept dark on purpose'),
  'no-blackout': say('It was not kept dark on purpose'),
  place: say('Where it is worst'),
  age: (f) => (f.found === null ? 'No seedling any more' : `${days(f.found)} old`),
  'all-in-order': say('All that is known is in its range'),
  'something-off': say('Something of what is known is out of its range'),
  tested: say('How your test came out'),
};

export const factWords = (fact: Fact, units: Units): string => FACTS[fact.id](fact, units);

/** × 6 or ÷ 3, as people read it. */
export function factorWords(factor: number): string {
  const by = factor >= 1 ? factor : 1 / factor;
  const shown = by >= 10 ? Math.round(by) : Number(by.toFixed(1));
  return shown === 1 ? '' : factor >= 1 ? `× ${shown}` : `÷ ${shown}`;
}

export type ToldField =
  | { readonly kind: 'number'; readonly label: string; readonly unit: string; readonly min: number; readonly max: number }
  | { readonly kind: 'choice'; readonly label: string; readonly options: readonly { readonly value: string; readonly label: string }[] };
const number = (label: string, unit: string, min: number, max: number): ToldField => ({ kind: 'number', label, unit, min, max });
const yesNo = (label: string, yes = 'Yes', no = 'No'): ToldField => ({ kind: 'choice', label, options: [{ value: 'true', label: yes }, { value: 'false', label: no }] }); // prettier-ignore

/** What a person can say that no plan knows, as questions. */
export const TOLD_FIELDS: Readonly<Record<Exclude<keyof Told, 'happened' | 'stem_m'>, ToldField>> = {
  night_C: number('How cold are the nights?', '°C', -30, 60),
  day_C: number('How warm are the days?', '°C', -30, 60),
  compost_C: number('How warm is the compost?', '°C', -30, 60),
  humidity_percent: number('How humid is the air?', '%', 0, 100),
  ph: number('pH of the compost?', '', 0, 14),
  daysInDark: number('Days without light after emergence?', 'days', 0, 100),
  water: { kind: 'choice', label: 'How is it watered?', options: [{ value: 'even', label: 'When the surface pales' }, { value: 'wet', label: 'Kept wet' }, { value: 'dry', label: 'It was dry' }] }, // prettier-ignore
  fed: { kind: 'choice', label: 'How is it fed?', options: [{ value: 'none', label: 'Never' }, { value: 'weak', label: 'Quarter strength' }, { value: 'half', label: 'Half strength' }, { value: 'full', label: 'Full strength' }, { value: 'too-much', label: 'Full, every time' }] }, // prettier-ignore
  hasFan: yesNo('Does air move over it?'),
  isDraughty: yesNo('Is there a cold draught?'),
  isMatOn: yesNo('Is a heat mat on?'),
  isCrowded: yesNo('More than one plant to a cell?'),
  isPotSmall: yesNo('Do roots circle in the pot?'),
  isOfSuchKind: yesNo('Is it a red, variegated or dwarf kind?'),
  isLampHot: yesNo('Does the lamp get hot?'),
};

export const HAPPENED_WORDS = {
  'stronger-light': 'More light',
  'weaker-light': 'Less light',
  'potted-on': 'Potted on',
  moved: 'Moved',
  colder: 'Cold, or window opened',
  warmer: 'Heating on',
  'more-wind': 'Fan or wind',
  fed: 'Fed',
  watered: 'Watered a lot',
} as const;
