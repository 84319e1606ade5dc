import costs from '../../../../test/cases/costs.json';
import { costCases } from './costCases';

/** Answers worked out by other means; test/cases/costs.md says how everything is defined. */

interface CostCase {
  readonly id: string;
  readonly family: string;
  readonly input: Record<string, unknown>;
  readonly expected: Record<string, unknown>;
  readonly rules?: Record<string, { rel?: number; any_of?: unknown[]; days?: number; contains?: string[]; forbid?: string[] }>;
}
const { cases } = costs as unknown as { cases: CostCase[] };
const answers = costCases({ cases });

/** What differs, with its place; half a per cent is no difference. */
function differs(got: unknown, wanted: unknown, at: string, rel = 0.005): string[] {
  if (typeof wanted === 'number')
    return Math.abs((got as number) - wanted) <= rel * Math.abs(wanted) + 1e-9 ? [] : [`${at}: ${String(got)}, not ${wanted}`];
  if (typeof wanted === 'object' && wanted !== null)
    return Object.entries(wanted).flatMap(([k, v]) => differs((got as Record<string, unknown> | null)?.[k], v, `${at}.${k}`, rel));
  return got === wanted ? [] : [`${at}: ${String(got)}, not ${String(wanted)}`];
}

test.each(cases.map((c) => [c.id, c] as const))('%s', (id, { expected, rules = {} }) => {
  const got = answers[id]!;
  const wrong = Object.entries(expected).flatMap(([field, value]) => {
    const rule = rules[field] ?? {};
    if ('optional' in rule) return [];
    if (rule.contains) {
      const named = got[field] as string[];
      return [...rule.contains.filter((f) => !named.includes(f)), ...rule.forbid!.filter((f) => named.includes(f))];
    }
    if (rule.any_of) return rule.any_of.includes(got[field]) ? [] : [`${field}: ${String(got[field])}`];
    if (rule.days !== undefined)
      return Math.abs(Date.parse(String(got[field])) - Date.parse(String(value))) <= rule.days * 86_400_000
        ? []
        : [`${field}: ${String(got[field])}`];
    return differs(got[field], value, field, rule.rel);
  });
  expect(wrong).toEqual([]);
});

test('what is not a question says so', () => {
  const said = costCases({
    cases: [
      { id: 'a', family: 'energy', input: { wattsDrawn: 'many', hoursPerDay: 4 } },
      { id: 'b', family: 'alchemy', input: {} },
      { id: 'c', family: 'tariff', input: { watts: 5, hours: 25, periods: [{ from: '0:00', to: '0:00', price: 1 }] } },
    ],
  });
  expect(said.a!.error).toMatch(/^wattsDrawn must be a number/);
  expect(said.b!.error).toMatch(/^family must be one of/);
  expect(said.c!.error).toMatch(/^hours must be a number/);
});
