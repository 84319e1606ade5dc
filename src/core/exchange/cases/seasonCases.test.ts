import season from '../../../../test/cases/season.json';
import { seasonCases } from './seasonCases';

/** Answers worked out by other means; test/cases/season.md says how everything is defined. */

interface Rule {
  readonly days?: number;
  readonly abs?: number;
  readonly rel?: number;
  readonly any_of?: unknown[];
  readonly set?: boolean;
  readonly optional?: boolean;
  readonly custom?: string;
}
interface SeasonCase {
  readonly id: string;
  readonly family: string;
  readonly expected: Record<string, unknown>;
  readonly rules?: Record<string, Rule>;
}
const { cases } = season as unknown as { cases: SeasonCase[] };
const answers = seasonCases(season);

const isDay = (v: unknown): v is string => typeof v === 'string' && /^\d{4}-\d\d-\d\d$/.test(v);

function agrees(got: unknown, wanted: unknown, rule: Rule): boolean {
  if (rule.any_of) return rule.any_of.includes(got);
  if (typeof wanted === 'number')
    return typeof got === 'number' && Math.abs(got - wanted) <= (rule.abs ?? (rule.rel ?? 0.005) * Math.abs(wanted) + 1e-9);
  if (isDay(wanted)) return isDay(got) && Math.abs(Date.parse(got) - Date.parse(wanted)) <= (rule.days ?? 0) * 86_400_000;
  if (Array.isArray(wanted)) {
    if (!Array.isArray(got) || got.length !== wanted.length) return false;
    const sorted = (all: unknown[]) => (rule.set ? [...all].sort((a, b) => JSON.stringify(a).localeCompare(JSON.stringify(b))) : all);
    const other = sorted(got);
    return sorted(wanted).every((v, i) => agrees(other[i], v, rule));
  }
  if (typeof wanted === 'object' && wanted !== null)
    return Object.entries(wanted).every(([k, v]) => agrees((got as Record<string, unknown> | null)?.[k], v, rule));
  return got === wanted;
}

test.each(cases.map((c) => [c.id, c] as const))('%s', (id, { expected, rules = {} }) => {
  const wrong = Object.entries(expected).flatMap(([field, value]) => {
    const rule = rules[field] ?? {};
    // Of equally good plans any will do.
    if (rule.optional || rule.custom) return [];
    return agrees(answers[id]![field], value, rule)
      ? []
      : [`${field}: ${JSON.stringify(answers[id]![field])}, not ${JSON.stringify(value)}`];
  });
  expect([...wrong, ...(answers[id]!.error ? [answers[id]!.error] : [])]).toEqual([]);
});

test('what is not a question says so', () => {
  const said = seasonCases({
    cases: [
      { id: 'a', family: 'ramp', input: {} },
      { id: 'b', family: 'alchemy', input: {} },
      { id: 'c', family: 'feed' },
    ],
  });
  expect(said.a!.error).toMatch(/^weather must be a list/);
  expect(said.b!.error).toMatch(/^family must be one of/);
  expect(said.c!.error).toMatch(/^input must be an object/);
});
