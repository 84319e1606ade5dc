import type { Circumstances, Happening } from '../../judge/clinic/Circumstances';
import { SIGN_PLACES } from '../../judge/clinic/Circumstances';
import { daysToAnswer, testFor, treatmentsFor } from '../../judge/clinic/mend';
import { SIGN_NAMES, type Sign } from '../../judge/clinic/signs';
import { weighCauses } from '../../judge/clinic/weighCauses';
import { STAGE_NAMES } from '../../things/crop/Crop';
import { cropLibrary } from '../../things/crop/cropLibrary';
import { answerAll, numberOf, CaseError, wordOf, type CaseAnswer, type Case } from './Case';

/** Answers a file of diagnostic vignettes: causes ranked, one test, when to look again, what to do. See docs/cases.md. */
export function clinicCases(file: Readonly<Record<string, unknown>>): Record<string, CaseAnswer> {
  if (!Array.isArray(file.cases)) throw new RangeError('The file must hold a list “cases”.');
  const cases = Object.fromEntries((file.cases as Case[]).map((c) => [String(c.id), c]));
  return answerAll(cases, (given) => {
    const { input } = given;
    if (typeof input !== 'object' || input === null) throw new CaseError('input must be an object');
    return clinicCase(input as Case);
  });
}

/** Of how many causes the treatments are given, and from which share on. */
const TREATED = 2;
const LEAST_SHARE = 0.3;

export function clinicCase(given: Case): CaseAnswer {
  const c = circumstancesOf(given);
  const weighed = weighCauses(c);
  const [first, second] = [weighed[0]!, weighed[1]!];
  const treated = weighed
    .slice(0, TREATED)
    .filter((w, i) => i === 0 || (w.share >= LEAST_SHARE && BOTH_WAYS.has(`${first.cause}+${w.cause}`)));
  return {
    causes: weighed.slice(0, 5).map((w) => w.cause),
    shares: weighed.slice(0, 5).map((w) => Math.round(w.share * 1000) / 1000),
    test: testFor(first.cause, c, second.share > 0.15 ? second.cause : null),
    lookAgainDays: daysToAnswer(first.cause, c),
    treatments: [...new Set(treated.flatMap((w) => treatmentsFor(w.cause, c)))],
  };
}

/** Causes that stand together so often that both are mended at once. */
const BOTH_WAYS = new Set([
  'nitrogen-short+root-bound',
  'one-sided-light+light-too-weak',
  'light-too-weak+one-sided-light',
  'lamp-ageing+light-too-weak',
  'too-cold+cold-roots',
  'cold-roots+too-cold',
]);

function circumstancesOf(given: Case): Circumstances {
  const crop = cropLibrary.find((c) => c.id === given.crop);
  if (!crop) throw new CaseError(`crop must be one of the crop table, not ${String(given.crop)}`);
  const { plan } = given;
  if (typeof plan !== 'object' || plan === null) throw new CaseError('plan must be an object');
  const p = plan as Case;
  const band = p.doseBand;
  if (!Array.isArray(band) || band.length !== 3 || band.some((x) => typeof x !== 'number'))
    throw new CaseError('plan.doseBand must be three numbers');
  const [dliMin, dliTarget, dliMax] = band as [number, number, number];
  const stage = wordOf(given, 'stage', STAGE_NAMES);
  const signs = Array.isArray(given.symptoms) ? given.symptoms.filter((s): s is Sign => SIGN_NAMES.includes(s as Sign)) : [];
  const elsewhere = (typeof p.otherSpots === 'object' && p.otherSpots !== null ? p.otherSpots : {}) as Case;
  const watering = text(p.watering);
  const notes = [p.note, p.kind, p.otherKinds, p.otherCells, p.history].map(text).join('; ');
  const feed = typeof p.feed === 'object' && p.feed !== null ? (p.feed as Case) : null;
  const windowOf = typeof p.window === 'object' && p.window !== null ? (p.window as Case) : null;
  const ageDays = optional(given, 'ageDays');
  return {
    crop,
    stage,
    ageDays,
    place: wordOf(given, 'place', SIGN_PLACES),
    signs,
    light: {
      dli: optional(p, 'dli'),
      ppfd: optional(p, 'ppfd'),
      hours: optional(p, 'hours'),
      hoursPlanned: optional(p, 'hoursPlanned'),
      dliMin,
      dliTarget,
      dliMax,
      ppfdMax: numberOf(p, 'ppfdCeiling', 0),
      longestDay: null,
      elsewhere: { centre: optional(elsewhere, 'centre'), edge: optional(elsewhere, 'edge'), corner: optional(elsewhere, 'corner') },
      dliWhenNew: optional(p, 'dliWhenNew'),
      lampHours: optional(p, 'lampHours'),
      spectrum: spectrumOf(text(p.spectrum), optional(p, 'farRedShare')),
      clearance: metres(p, 'leafClearanceCm'),
      lowerBy: null,
      isHot: p.lampSurface === 'hot',
      leafTemperature: optional(p, 'leafC'),
      daysInDark: daysBetween(p.emerged, p.lampOn),
      windowShare: windowOf ? (optional(windowOf, 'shareOfDose') ?? 0.3) : 0,
      isBlackout: /blackout|blanch|etiolat|darkness on purpose|kept dark/i.test(`${notes} ${changesText(p)} ${watering}`),
    },
    air: {
      day: optional(p, 'dayC'),
      night: optional(p, 'nightC'),
      hasFan: typeof p.fan === 'boolean' ? p.fan : null,
      humidity: optional(p, 'humidityPct'),
      isDraughty: /draught|draft|cold air|open window|front door|air conditioner/i.test(`${notes} ${changesText(p)}`) ? true : null,
    },
    roots: {
      temperature: optional(p, 'compostC'),
      isMatOn: typeof p.matOn === 'boolean' ? p.matOn : null,
      water: waterOf(watering),
      ph: optional(p, 'compostPh'),
      isHardWater: /hard/i.test(watering) ? true : null,
      isPotSmall: potSmall(text(p.container), ageDays),
    },
    isCrowded: p.thinned === false || (optional(p, 'plantsPerCell') ?? 1) > 1 ? true : p.thinned === true ? false : null,
    feed: feed && { strength: strengthOf(text(feed.strength)), daysAgo: optional(feed, 'daysAgo') },
    changes: changesOf(p),
    isOfSuchKind: /red-?leaved|red-?leaf|purple|variegat|dwarf|golden|bronze|compact kind|tall kind/i.test(notes),
  };
}

const text = (value: unknown) => (typeof value === 'string' ? value : '');
const optional = (given: Case, field: string) => (typeof given[field] === 'number' ? given[field] : null);
const metres = (given: Case, field: string) => (typeof given[field] === 'number' ? given[field] / 100 : null);

function daysBetween(from: unknown, to: unknown): number | null {
  const days = (Date.parse(text(to)) - Date.parse(text(from))) / 86_400_000;
  return Number.isFinite(days) ? days : null;
}

function spectrumOf(said: string, farRed: number | null): Circumstances['light']['spectrum'] {
  if (/no blue|without blue|red-?660|only red|sodium|amber/i.test(said)) return 'no-blue';
  if (/far-?red/i.test(said) || (farRed !== null && farRed > 0.2)) return 'far-red';
  if (/red[- ]?(and[- ])?blue|pink|purple/i.test(said)) return 'red-blue';
  return said === '' ? null : 'white';
}

function waterOf(said: string): 'wet' | 'dry' | 'even' | null {
  if (/\b(wet|sodden|soggy|standing|waterlogged|daily|every day|twice a day|saucer|never dries|always moist)\b/i.test(said)) return 'wet';
  if (/\b(dry|dries|droop|wilt|forgot|missed|once a week|rarely|seldom|away)\b/i.test(said) && !/surface/i.test(said)) return 'dry';
  return /surface|weight|even|when it pales/i.test(said) ? 'even' : null;
}

function strengthOf(said: string): 'none' | 'weak' | 'half' | 'full' | 'too-much' {
  if (/none|never|no /i.test(said)) return 'none';
  if (/double|twice|every watering|weekly|daily|strong/i.test(said)) return 'too-much';
  return /full/i.test(said) ? 'full' : /half/i.test(said) ? 'half' : 'weak';
}

function changesText(plan: Case): string {
  return Array.isArray(plan.changes) ? plan.changes.map((c) => text((c as Case | null)?.what)).join('; ') : '';
}

const CHANGE_WORDS: readonly (readonly [RegExp, Happening])[] = [
  [/potted (on|up)|re-?potted|transplant|pricked/i, 'potted-on'],
  [
    /full sun|outside|outdoors|new lamp|stronger|brighter|lowered|second lamp|lamp added|under a lamp|from .* (sill|shade|shop)|south window|more power|raised output/i,
    'stronger-light',
  ],
  [/fan (moved|added|on|turned)|wind|ventilator/i, 'more-wind'],
  [/draught|draft|cold|frost|window (opened|open)|aired|winter/i, 'colder'],
  [/heating|heater|warmer|radiator/i, 'warmer'],
  [/\bfed\b|feed|fertili/i, 'fed'],
  [/moved|brought|new home|delivered|carried/i, 'moved'],
];

function changesOf(plan: Case): Happening[] {
  const said = Array.isArray(plan.changes) ? plan.changes.map((c) => text((c as Case | null)?.what)) : [];
  return [...new Set(said.flatMap((what) => CHANGE_WORDS.filter(([words]) => words.test(what)).map(([, change]) => change)))];
}

/** A small cell for a plant of that age: growers pot on from cells of 72 and smaller within five weeks. */
function potSmall(container: string, ageDays: number | null): boolean | null {
  const cells = /cell-?(\d+)/i.exec(container);
  if (cells && ageDays !== null) return Number(cells[1]) >= 50 && ageDays > 35;
  return /too small|same pot|tight/i.test(container) ? true : null;
}
