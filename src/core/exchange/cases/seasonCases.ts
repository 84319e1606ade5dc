import { readConductivity } from '../../judge/feed/conductivity';
import {
  doseForNitrogen,
  elementalOf,
  ELEMENTS,
  ppmPerUnit,
  withinCeiling,
  type FeedForm,
  type LabelBasis,
  type Npk,
} from '../../judge/feed/feed';
import { placeExactly } from '../../plan/placing/placeExactly';
import { demandOf, OFF, type PlacingAsked } from '../../plan/placing/Placing';
import { allInBand, smallestDelay, withPlacingTier } from '../../plan/placing/waysOutOf';
import { awayWatch } from '../../plan/season/emergenceWatch';
import { faultsOfRamp, rampOf, type HardeningRules, type OutdoorWeather, type RampEntry } from '../../plan/season/hardening';
import { frostAtRisk, inYear, warmNightsFrom } from '../../plan/season/lastFrost';
import type { YearDay } from '../../site/season/SeasonPlan';
import {
  chosenDay,
  courseOf,
  lastUsefulSowing,
  latenessOf,
  plantOutOf,
  successionOf,
  windowFor,
  type SowingRules,
} from '../../plan/season/sowingWindow';
import { spaceByStage, traysOverTime } from '../../plan/season/spaceOf';
import { CLOCKS, dayNumbers, halfUp, hoursOnDay, type ClockName, type Clocks } from '../../site/growth/clocks';
import { isoOf, readDay, type Day } from '../../units/day';
import { answerAll, numberOf, CaseError, wordOf, type CaseAnswer, type Case } from './Case';

/** Questions about the season, as `test/cases/season.md` defines them. */
export function seasonCases(file: Readonly<Record<string, unknown>>): Record<string, CaseAnswer> {
  const tables = (typeof file.tables === 'object' && file.tables !== null ? file.tables : {}) as Record<string, unknown>;
  const families: Record<string, (given: Case) => CaseAnswer> = {
    sowing: (given) => sowing(given, tables),
    space,
    'space-opt': spaceOpt,
    'space-fix': spaceFix,
    ramp,
    'ramp-audit': rampAudit,
    feed,
    clocks,
    'emergence-watch': watch,
  };
  const cases = Array.isArray(file.cases) ? (file.cases as { id?: unknown; family?: unknown; input?: unknown }[]) : [];
  return answerAll(Object.fromEntries(cases.map((c) => [String(c.id), c])), (asked) => {
    const answer = families[String(asked.family)];
    if (!answer) throw new CaseError(`family must be one of ${Object.keys(families).join(', ')}`);
    return answer(thing(asked, 'input'));
  });
}

const has = (given: Case, field: string) => given[field] !== undefined && given[field] !== null;
const thing = (given: Case, field: string): Case => {
  const value = given[field];
  if (typeof value !== 'object' || value === null || Array.isArray(value)) throw new CaseError(`${field} must be an object`);
  return value as Case;
};
const list = (given: Case, field: string, most = 4000): unknown[] => {
  const value = given[field];
  if (!Array.isArray(value) || value.length > most) throw new CaseError(`${field} must be a list of at most ${most}`);
  return value as unknown[];
};
const things = (given: Case, field: string) => list(given, field).map((v) => thing({ [field]: v }, field));
const numbers = (given: Case, field: string) => list(given, field).map((v) => numberOf({ [field]: v }, field));
const dayAs = (given: Case, field: string): Day => {
  const day = readDay(String(given[field]));
  if (!day.ok) throw new CaseError(`${field} must be a day such as 2027-03-28`);
  return day.value;
};
const yearDay = (given: Case, field: string): YearDay => {
  const parts = /^(\d\d)-(\d\d)$/.exec(String(given[field]));
  const [month, day] = [Number(parts?.[1]), Number(parts?.[2])];
  if (!parts || isoOf(inYear({ month, day }, 2028)).slice(5) !== given[field])
    throw new CaseError(`${field} must be a day of the year such as 05-03`);
  return { month, day };
};
const dayOrYearDay = (given: Case, field: string, year: number): Day =>
  /^\d{4}-/.test(String(given[field])) ? dayAs(given, field) : inYear(yearDay(given, field), year);

function sowing(given: Case, tables: Record<string, unknown>): CaseAnswer {
  const year = numberOf(given, 'plantingYear', 1900, 2199);
  if (has(given, 'everyDays')) {
    const days = successionOf(
      dayAs(given, 'firstSowing'),
      numberOf(given, 'everyDays', 1, 400),
      numberOf(given, 'daysToHarvest', 0, 1000),
      dayOrYearDay(given, 'firstFrost', year),
    );
    return { sowings: days.map(isoOf), count: days.length };
  }
  const when = thing(given, 'sowing');
  const germination = thing(given, 'germination');
  const toOut = 'weeksBeforePlantOutMin' in when;
  const weeksAfter = toOut && !has(when, 'plantOutWeeksFromLastFrost') ? 0 : numberOf(when, 'plantOutWeeksFromLastFrost', -60, 60);
  const ages = toOut
    ? [numberOf(when, 'weeksBeforePlantOutMin', 0, 200), numberOf(when, 'weeksBeforePlantOutMax', 0, 200)]
    : [numberOf(when, 'weeksBeforeLastFrostMin', -60, 200) + weeksAfter, numberOf(when, 'weeksBeforeLastFrostMax', -60, 200) + weeksAfter];
  const rules: SowingRules = {
    age: { youngest: 7 * ages[0]!, oldest: 7 * ages[1]! },
    emerges: { first: numberOf(germination, 'daysMin', 0, 400), last: numberOf(germination, 'daysMax', 0, 400) },
    needsLight: germination.light === 'needs',
    containers: things(given, 'containerPath').map((c) => ({ containerId: String(c.container), fromDay: numberOf(c, 'fromDay', 0, 2000) })),
    hardeningDays: numberOf(given, 'hardeningDays', 0, 60),
  };
  const extra: Record<string, unknown> = {};
  let frost: Day | null = null;
  if (has(given, 'frostTable')) {
    const rows = things(given, 'frostTable').map((r) => ({ ...yearDay(r, 'date'), laterPercent: numberOf(r, 'laterPct', 0, 100) }));
    frost = frostAtRisk(rows, numberOf(given, 'laterFrostRiskPct', 0, 100), year);
    extra.frostDate = frost === null ? null : isoOf(frost);
    if (frost === null) return { ...extra, verdict: 'outside-table' };
  } else if (has(given, 'lastFrost')) frost = dayOrYearDay(given, 'lastFrost', year);
  let nights: Day | null = null;
  if (has(given, 'nightTable')) {
    const table = typeof given.nightTable === 'string' ? tables[given.nightTable] : given.nightTable;
    const values = numbers({ nightTable: table }, 'nightTable');
    if (values.length !== 365) throw new CaseError('nightTable must have 365 values');
    nights = warmNightsFrom(values, numberOf(when, 'nightMinC'), year);
    extra.nightGate = nights === null ? null : isoOf(nights);
    if (nights === null) return { ...extra, verdict: 'nights-never-warm-enough' };
  }
  const out = plantOutOf(frost, weeksAfter, nights);
  if (!out) throw new CaseError('lastFrost, frostTable or nightTable must be given');
  if (frost !== null && nights !== null) extra.binding = out.binding;
  const window = windowFor(rules, out.day);
  let until = window.plantOut;
  let sown: Day | null = has(given, 'sowChoice') ? chosenDay(window, wordOf(given, 'sowChoice', ['earliest', 'latest', 'middle'])) : null;
  if (has(given, 'today')) {
    const today = dayAs(given, 'today');
    const late = latenessOf(rules, window, today);
    extra.status = late.status;
    extra.daysToWindow = late.daysToWindow;
    extra.daysLate = late.daysLate;
    if (late.status === 'late') {
      sown = today;
      until = late.plantOutAtFullAge;
      extra.plantOutAtFullAge = isoOf(until);
      extra.ageAtPlantOutDays = late.ageAtPlantOut;
      extra.stillWorthSowingForPlantOut = late.isWorthIt;
      if (has(given, 'firstFrost')) {
        const last = lastUsefulSowing(dayOrYearDay(given, 'firstFrost', year), rules, numberOf(given, 'harvestDaysAfterPlantOut', 0, 2000));
        extra.lastUsefulSowing = isoOf(last);
        extra.lateVerdict = today <= last ? 'sow-now-plant-later' : 'too-late-buy-plants';
      }
    } else sown ??= Math.max(today, window.earliest);
  }
  const course = courseOf(rules, sown ?? window.earliest, until);
  return {
    ...extra,
    plantOut: isoOf(window.plantOut),
    sowEarliest: isoOf(window.earliest),
    sowLatest: isoOf(window.latest),
    hardeningStart: isoOf(window.hardeningStart),
    sowOn: isoOf(course.sown),
    emergenceFirst: isoOf(course.emergence.first),
    emergenceLast: isoOf(course.emergence.last),
    lampOnBy: isoOf(course.lampBy),
    potOn: course.pottings.map((p) => [p.containerId, isoOf(p.day)]),
  };
}

/** Trays that go into a rectangle in one orientation, the better of the two. */
function space(given: Case): CaseAnswer {
  if (has(given, 'usableMm')) {
    const [w, d] = numbers(given, 'usableMm') as [number, number];
    const [a, b] = numbers(given, 'trayMm') as [number, number];
    const fit = Math.max(Math.floor(w / a) * Math.floor(d / b), Math.floor(w / b) * Math.floor(d / a));
    return { traysFit: fit, shareOfAreaUsed: (fit * a * b) / (w * d) };
  }
  const batches = things(given, 'batches').map((b) => ({
    id: String(b.id),
    sown: numberOf(b, 'sowWeek', 0, 500),
    out: numberOf(b, 'outWeek', 0, 500),
    asked: {
      seeds: numberOf(b, 'seeds', 0, 1e6),
      seedsPerCell: numberOf(b, 'seedsPerCell', 1, 1e6),
      filledPercent: numberOf(b, 'filledCellsPct', 0, 100),
      stages: things(b, 'stages').map((s) => ({
        from: numberOf(s, 'fromWeek', 0, 500),
        perTray: numberOf(s, 'perTray', 1, 1e6),
        lossPercent: numberOf(s, 'lossPct', 0, 100),
        ...(has(s, 'keepAtMost') ? { keepAtMost: numberOf(s, 'keepAtMost', 0, 1e6) } : {}),
      })),
    },
  }));
  const horizon = Math.max(0, ...batches.map((b) => b.out));
  const rows = batches.map((b) => traysOverTime(b.asked, b.sown, b.out, horizon));
  const total = Array.from({ length: horizon }, (_, t) => rows.reduce((sum, row) => sum + row[t]!, 0));
  const places = numberOf(given, 'trayPlaces', 0, 1e6);
  const overflow = total.flatMap((n, t) => (n > places ? [[t, n - places]] : []));
  const peak = Math.max(0, ...total);
  return {
    plantsByStage: Object.fromEntries(batches.map((b) => [b.id, spaceByStage(b.asked).map((s) => s.plants)])),
    traysByWeek: Object.fromEntries(batches.map((b, i) => [b.id, rows[i]])),
    totalByWeek: total,
    peakTrays: peak,
    peakWeek: total.indexOf(peak),
    overflow,
    fits: overflow.length === 0,
    largestOverflow: Math.max(0, ...overflow.map((o) => o[1]!)),
  };
}

function placingAsked(given: Case): PlacingAsked & { readonly batchIds: readonly string[]; readonly tierIds: readonly string[] } {
  const weeks = numberOf(given, 'weeks', 1, 200);
  const batches = things(given, 'batches');
  if (batches.length > 30) throw new CaseError('batches must be a list of at most 30');
  const row = (b: Case, field: string) => {
    const values = numbers(b, field);
    if (values.length !== weeks) throw new CaseError(`${field} must have ${weeks} values`);
    return values;
  };
  const tiers = things(given, 'tiers');
  return {
    tiers: tiers.map(tierOf),
    needs: batches.map((b) => {
      const [trays, least, most, height] = [row(b, 'trays'), row(b, 'doseMin'), row(b, 'doseMax'), row(b, 'heightCm')];
      return trays.map((n, t) => ({ trays: n, dliMin: least[t]!, dliMax: most[t]!, height_cm: height[t]! }));
    }),
    batchIds: batches.map((b) => String(b.id)),
    tierIds: tiers.map((t) => String(t.id)),
  };
}

const tierOf = (t: Case) => ({
  places: numberOf(t, 'trayPlaces', 0, 1e6),
  clear_cm: numberOf(t, 'clearCm', 0, 1e6),
  levels: numbers(t, 'levels').map((dli) => ({ dli, wh_per_day: dli * numberOf(t, 'whPerMolDay', 0, 1e9) })),
});

function spaceOpt(given: Case): CaseAnswer {
  const asked = placingAsked(given);
  const best = placeExactly(asked);
  if (!best) throw new CaseError('this has more combinations than are gone through one by one');
  const name = (k: number | null) => (k === null ? null : k === OFF ? 'off' : asked.tierIds[k]!);
  return {
    inBandTrayWeeks: best.inBand,
    moves: best.moves,
    energyWh: best.energy_wh,
    demandTrayWeeks: demandOf(asked),
    everythingInBand: best.inBand === demandOf(asked),
    plan: {
      place: Object.fromEntries(asked.batchIds.map((id, b) => [id, best.place[b]!.map(name)])),
      dose: Object.fromEntries(asked.tierIds.map((id, k) => [id, best.level[k]!.map((l) => asked.tiers[k]!.levels[l]!.dli)])),
    },
  };
}

function spaceFix(given: Case): CaseAnswer {
  const asked = placingAsked(given);
  const delay = smallestDelay(asked, numberOf(given, 'maxDelayWeeks', 0, 52));
  const smaller = thing(given, 'smallerPotTrays');
  const potted = {
    ...asked,
    needs: asked.needs.map((row, b) => row.map((n, t) => ({ ...n, trays: numbers(smaller, asked.batchIds[b]!)[t] ?? 0 }))),
  };
  const smallerPotsSuffice = allInBand(potted);
  const oneMoreTierSuffices = allInBand(withPlacingTier(asked, tierOf(thing(given, 'extraTier'))));
  return {
    everythingInBand: allInBand(asked),
    smallestDelayWeeks: delay?.weeks ?? null,
    delayBatches: (delay?.batches ?? []).map((b) => asked.batchIds[b]!),
    smallerPotsSuffice,
    oneMoreTierSuffices,
    sufficientWays: [
      ...(delay ? ['sow-later'] : []),
      ...(smallerPotsSuffice ? ['smaller-pots'] : []),
      ...(oneMoreTierSuffices ? ['one-more-tier'] : []),
    ],
  };
}

const rampRules = (given: Case): HardeningRules => {
  const rules = thing(given, 'rules');
  return {
    start_h: numberOf(rules, 'startH', 0, 24),
    mostFactor: numberOf(rules, 'maxFactor', 1, 100),
    mostMore_h: numberOf(rules, 'maxAddH', 0, 24),
    full_h: numberOf(rules, 'fullH', 0, 24),
    step_h: numberOf(rules, 'roundH', 0.01, 24),
    leastDays: numberOf(rules, 'minOutdoorDays', 0, 400),
    shadeDays: numberOf(rules, 'shadeDays', 0, 400),
    frostBelow_C: numberOf(rules, 'frostBelowC'),
    windAbove_kmh: numberOf(rules, 'windAboveKmh'),
    heatAbove_C: numberOf(rules, 'heatAboveC'),
    stepBackAfter: numberOf(rules, 'stepBackAfterPausedDays', 1, 400),
  };
};
const weatherOf = (given: Case): OutdoorWeather[] =>
  things(given, 'weather').map((w) => ({ least_C: numberOf(w, 'minC'), most_C: numberOf(w, 'maxC'), wind_kmh: numberOf(w, 'windKmh') }));

function ramp(given: Case): CaseAnswer {
  const made = rampOf(weatherOf(given), rampRules(given));
  return {
    hours: made.days.map((d) => d.hours),
    place: made.days.map((d) => d.place),
    paused: made.days.flatMap((d, i) => (d.pause ? [[i + 1, d.pause]] : [])),
    outdoorDays: made.outdoorDays,
    plantOut: made.plantOutAfter === null ? null : isoOf(dayAs(given, 'firstDay') + made.plantOutAfter),
  };
}

function rampAudit(given: Case): CaseAnswer {
  const entries = list(given, 'entries').map((e): RampEntry => {
    const [day, hours, place] = Array.isArray(e) ? (e as unknown[]) : [];
    return {
      day: numberOf({ day }, 'day', 1, 400),
      hours: numberOf({ hours }, 'hours', 0, 24),
      place: wordOf({ place }, 'place', ['shade', 'sun', 'in']),
    };
  });
  const faults = faultsOfRamp(entries, weatherOf(given), rampRules(given));
  return { faults: faults.map((f) => [f.fault, f.day]), sound: faults.length === 0 };
}

const npk = (given: Case, field: string): Npk => {
  const value = given[field];
  const all = Array.isArray(value) ? { N: value[0] as unknown, P: value[1] as unknown, K: value[2] as unknown } : thing(given, field);
  return { N: numberOf(all, 'N', 0), P: numberOf(all, 'P', 0), K: numberOf(all, 'K', 0) };
};
const basisOf = (given: Case): LabelBasis => wordOf(given, 'basis', ['oxide', 'elemental']);

function feed(given: Case): CaseAnswer {
  const times = (all: Npk, factor: number) => ({ N: all.N * factor, P: all.P * factor, K: all.K * factor });
  switch (given.kind) {
    case 'label-ceiling': {
      const label = npk(given, 'label');
      const { factor, binding } = withinCeiling(label, npk(given, 'ceiling'));
      const divideBy = Math.ceil(1 / factor - 1e-9);
      return { factor, divideBy, binding, afterDividing: ELEMENTS.map((e) => label[e] / divideBy) };
    }
    case 'target-n': {
      const word = wordOf(given, 'form', ['powder', 'liquid-w/w', 'liquid-w/v']);
      const form: FeedForm =
        word === 'liquid-w/w' ? { kind: word, density_kg_per_L: numberOf(given, 'densityKgPerL', 0.1, 5) } : { kind: word };
      const dose = doseForNitrogen(npk(given, 'label'), basisOf(given), form, numberOf(given, 'targetPpmN', 0));
      if (!dose) return { dosePerLitre: null, unit: null, ppm: null, doseFor6Litres: null };
      return { dosePerLitre: dose.perLitre, unit: word === 'powder' ? 'g/l' : 'ml/l', ppm: dose.ppm, doseFor6Litres: dose.perLitre * 6 };
    }
    case 'ppm-ceiling': {
      const dose = numberOf(given, 'labelDoseGPerL', 0);
      const at = times(ppmPerUnit(npk(given, 'label'), basisOf(given), { kind: 'powder' }), dose);
      const { factor, binding } = withinCeiling(at, npk(given, 'ceilingPpm'));
      return { ppmAtLabelDose: at, factor, binding, doseGPerL: dose * factor, ppm: times(at, factor) };
    }
    case 'oxide-to-element': {
      const all = elementalOf(npk(given, 'label'), 'oxide');
      return { elemental: [all.N, all.P, all.K] };
    }
    case 'ec-text': {
      const read = readConductivity(String(given.text));
      return { mSPerCm: read, askUnit: read === null };
    }
    case 'interval': {
      const least = numberOf(given, 'minDaysBetween', 0, 400);
      const feeds = list(given, 'feeds').map((d) => dayAs({ feeds: d }, 'feeds'));
      const leaf = has(given, 'firstTrueLeaf') ? dayAs(given, 'firstTrueLeaf') : null;
      const faults = feeds.flatMap((d, i): [string, string][] => [
        ...(leaf !== null && d < leaf ? [['before-true-leaf', isoOf(d)] as [string, string]] : []),
        ...(i > 0 && d - feeds[i - 1]! < least ? [['too-soon', isoOf(d)] as [string, string]] : []),
      ]);
      const last = feeds.at(-1);
      const next = last === undefined ? leaf : last + least;
      return { faults, nextAllowed: next === null ? null : isoOf(Math.max(next, leaf ?? next)) };
    }
    default:
      throw new CaseError('kind must be one of label-ceiling, target-n, ppm-ceiling, oxide-to-element, ec-text, interval');
  }
}

function clocks(given: Case): CaseAnswer {
  if (has(given, 'event')) {
    const first = given.convention === 'day-1-is-the-day' ? 1 : 0;
    return { date: isoOf(dayAs(given, 'event') + numberOf(given, 'dayNumber', 0, 4000) - first) };
  }
  const counts = list(given, 'emerged').map((e) => {
    const [day, count] = Array.isArray(e) ? (e as unknown[]) : [];
    return { day: dayAs({ emerged: day }, 'emerged'), count: numberOf({ count }, 'count', 0) };
  });
  const of = given.halfOf === 'sown' ? numberOf(given, 'cellsSown', 0) : Math.max(0, ...counts.map((c) => c.count));
  const known: Clocks = {
    sown: dayAs(given, 'sown'),
    firstEmergence: counts.find((c) => c.count > 0)?.day ?? null,
    halfEmerged: halfUp(counts, of),
    underLight: has(given, 'underLight') ? dayAs(given, 'underLight') : null,
    pottedOn: has(given, 'pottedOn') ? dayAs(given, 'pottedOn') : null,
  };
  const numbersNow = dayNumbers(known, dayAs(given, 'asOf'));
  const program = things(given, 'program').map((p) => ({ fromDay: numberOf(p, 'fromDay', 0, 4000), hours: numberOf(p, 'hours', 0, 24) }));
  const [right, wrong] = [wordOf(given, 'rightClock', CLOCKS), wordOf(given, 'wrongClock', CLOCKS)];
  const hours = (clock: ClockName) => hoursOnDay(program, numbersNow[clock]);
  const begun = known[right];
  return {
    dayNumbers: numbersNow,
    halfEmergedDate: known.halfEmerged === null ? null : isoOf(known.halfEmerged),
    changes: begun === null ? [] : program.map((p) => [isoOf(begun + p.fromDay), p.hours]),
    hoursRightClock: hours(right),
    hoursWrongClock: hours(wrong),
    clockMatters: hours(right) !== hours(wrong),
    clockErrorDays: begun === null || known[wrong] === null ? null : begun - known[wrong],
  };
}

function watch(given: Case): CaseAnswer {
  const germination = thing(given, 'germination');
  const said = awayWatch(
    {
      temperature: {
        least: numberOf(germination, 'tempC_min'),
        best: numberOf(germination, 'tempC_opt'),
        most: numberOf(germination, 'tempC_max'),
      },
      days: { first: numberOf(germination, 'daysMin', 0, 400), last: numberOf(germination, 'daysMax', 0, 400) },
      needsLight: germination.light === 'needs',
      compost_C: numberOf(given, 'soilC'),
      sown: dayAs(given, 'sown'),
    },
    {
      lampFrom: has(given, 'lampDailyFrom') ? dayAs(given, 'lampDailyFrom') : null,
      leave: dayAs(given, 'leave'),
      back: dayAs(given, 'return'),
      mat: given.mat === true,
      cover: given.cover === true,
    },
  );
  return {
    windowFirst: said.window && isoOf(said.window.first),
    windowLast: said.window && isoOf(said.window.last),
    lampOnBy: said.window && isoOf(said.window.lampBy),
    mayEmergeWhileAway: said.mayEmerge,
    worstDarkDays: said.worstDarkDays,
    verdict: said.verdict,
    heatWarnings: said.warnings,
  };
}
