import { cropLibrary } from '../../things/crop/cropLibrary';
import { CAUSES, type Cause } from './Cause';
import type { Circumstances } from './Circumstances';
import { FACT_IDS, factsOf } from './facts';
import { SIGN_NAMES, SIGNS } from './signs';
import { PRIORS, UNEXPLAINED } from './weighCauses';

/** The whole model as tables in Markdown: how often causes are met, what signs and facts speak for. */
export function clinicTables(): string {
  const factors = (of: Partial<Record<Cause, number>>) =>
    Object.entries(of)
      .sort(([, a], [, b]) => b - a)
      .map(([cause, factor]) => `${cause} ${shown(factor)}`)
      .join(', ');
  const signs = SIGN_NAMES.map((s) => `| ${s} | ${SIGNS[s].part} | ${factors(SIGNS[s].speaksFor)} |`);
  const facts = factRanges().map(([id, of]) => `| ${id} | ${of} |`);
  return [
    '## How often a cause is met, against the others',
    '',
    CAUSES.map((c) => `${c} ${PRIORS[c]}`).join(', ') + '.',
    '',
    `## Signs`,
    '',
    `A cause that is not named is multiplied by ${UNEXPLAINED}.`,
    '',
    '| sign | seen on | times likelier with |',
    '| --- | --- | --- |',
    ...signs,
    '',
    '## Facts',
    '',
    'Some factors grow with the size of what was found: then from – to.',
    '',
    '| fact | factors |',
    '| --- | --- |',
    ...facts,
    '',
  ].join('\n');
}

const shown = (factor: number) => String(Number(factor.toPrecision(2)));

/** What each fact multiplies, from its least to its most, over circumstances of every kind. */
function factRanges(): [string, string][] {
  const ranges = new Map<string, Map<string, [number, number]>>();
  for (const c of everyKind())
    for (const f of factsOf(c)) {
      const of = ranges.get(f.id) ?? new Map<string, [number, number]>();
      ranges.set(f.id, of);
      for (const [cause, factor] of Object.entries(f.factors)) {
        const [low, high] = of.get(cause) ?? [factor, factor];
        of.set(cause, [Math.min(low, factor), Math.max(high, factor)]);
      }
    }
  return FACT_IDS.flatMap((id): [string, string][] => {
    const of = ranges.get(id);
    if (!of) return [];
    const words = [...of]
      .sort(([, a], [, b]) => b[1] - a[1])
      .map(([cause, [low, high]]) => `${cause} ${shown(low) === shown(high) ? shown(low) : `${shown(low)}–${shown(high)}`}`);
    return [[id, words.join(', ')]];
  });
}

/** One thing changed at a time, over all that it can be. */
function* everyKind(): Generator<Circumstances> {
  const of = (id: string) => cropLibrary.find((c) => c.id === id)!;
  const light: Circumstances['light'] = { dli: 14, ppfd: 240, hours: 16, hoursPlanned: 16, dliMin: 10, dliTarget: 14, dliMax: 20, ppfdMax: 400, longestDay: null, elsewhere: { centre: null, edge: null, corner: null }, dliWhenNew: null, lampHours: null, spectrum: 'white', clearance: 0.15, lowerBy: null, isHot: false, leafTemperature: null, daysInDark: 0, windowShare: 0, isBlackout: false }; // prettier-ignore
  const plain: Circumstances = {
    crop: of('tomato'),
    stage: 'seedling',
    ageDays: 14,
    place: 'all',
    signs: [],
    light,
    air: { day: 22, night: 16, hasFan: true, humidity: 55, isDraughty: null },
    roots: { temperature: 20, isMatOn: false, water: 'even', ph: 6, isHardWater: null, isPotSmall: false },
    isCrowded: false,
    feed: null,
    changes: [],
    isOfSuchKind: false,
  };
  yield plain;
  const lit = (more: Partial<Circumstances['light']>): Circumstances => ({ ...plain, light: { ...light, ...more } });
  const airy = (more: Partial<Circumstances['air']>): Circumstances => ({ ...plain, air: { ...plain.air, ...more } });
  const rooted = (more: Partial<Circumstances['roots']>): Circumstances => ({ ...plain, roots: { ...plain.roots, ...more } });
  for (let dli = 1; dli <= 50; dli += 1) yield lit({ dli });
  for (const ppfd of [100, 390, 500]) yield lit({ ppfd });
  yield lit({ ppfd: 500, elsewhere: { centre: null, edge: 9, corner: 8 } });
  for (const [dli, ppfd, hours] of [[7, 250, 8], [16, 200, 24], [5, 200, 12]] as const) yield lit({ dli, ppfd, hours }); // prettier-ignore
  for (const crop of ['lettuce', 'spinach', 'cucumber', 'pothos'])
    for (const hours of [10, 13, 16, 24]) yield { ...lit({ hours }), crop: of(crop) };
  yield lit({ hours: 5 });
  for (const daysInDark of [1, 2, 5]) yield lit({ daysInDark });
  yield { ...lit({ dli: 5, elsewhere: { centre: 15, edge: null, corner: null } }), place: 'edge' };
  yield { ...lit({ dli: 5 }), place: 'corner' };
  for (const windowShare of [0.2, 0.6, 1]) yield lit({ windowShare });
  for (const spectrum of ['no-blue', 'far-red', 'red-blue'] as const) yield lit({ spectrum });
  for (const night of [-5, 8, 12, 20, 24, 30]) yield airy({ night });
  for (const t of [5, 12, 20, 28]) yield rooted({ temperature: t });
  yield rooted({ isMatOn: true });
  yield { ...plain, isCrowded: true };
  yield airy({ hasFan: false, isDraughty: true });
  for (const water of ['wet', 'dry'] as const) yield rooted({ water });
  for (const strength of ['none', 'weak', 'half', 'full', 'too-much'] as const)
    for (const daysAgo of [5, 40]) yield { ...plain, feed: { strength, daysAgo } };
  for (const humidity of [20, 36, 90]) yield airy({ humidity });
  yield rooted({ ph: 7.5 });
  yield rooted({ ph: null, isHardWater: true });
  for (const lampHours of [100, 20_000]) yield lit({ lampHours });
  yield rooted({ isPotSmall: true });
  for (const change of ['potted-on', 'stronger-light', 'more-wind', 'colder', 'moved'] as const) yield { ...plain, changes: [change] };
  for (const clearance of [0, 0.05, 0.2, 0.5]) yield lit({ clearance, isHot: true });
  yield lit({ clearance: 0 });
  yield lit({ leafTemperature: 40 });
  yield { ...plain, isOfSuchKind: true };
  yield lit({ isBlackout: true });
  for (const place of ['centre', 'one-side', 'one-plant'] as const) yield { ...plain, place };
  for (const ageDays of [3, 20, 30, 60, 300]) yield { ...plain, ageDays, stage: ageDays > 200 ? 'maintenance' : 'growing-on' };
}
