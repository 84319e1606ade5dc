import trials from '../../../../test/cases/trials.json';
import { trialCases } from './trialCases';

/** Numbers worked out by other means; test/cases/trials.md says how everything is defined. */

interface Tolerance {
  readonly rel: number;
  readonly abs: number;
}
interface TrialCase {
  readonly id: string;
  readonly family: string;
  readonly expected: Record<string, unknown>;
}
const { cases, tolerances, set_fields } = trials as unknown as {
  cases: TrialCase[];
  tolerances: Record<string, Tolerance>;
  set_fields: string[];
};
const answers = trialCases({ cases });

function differs(got: unknown, wanted: unknown, { rel, abs }: Tolerance, at: string): string[] {
  if (typeof wanted === 'number')
    return typeof got === 'number' && Math.abs(got - wanted) <= rel * Math.abs(wanted) + abs
      ? []
      : [`${at}: ${String(got)}, not ${wanted}`];
  if (Array.isArray(wanted)) {
    if (!Array.isArray(got) || got.length !== wanted.length) return [`${at}: ${String(got)}, not ${String(wanted)}`];
    return wanted.flatMap((w, i) => differs(got[i], w, { rel, abs }, `${at}[${i}]`));
  }
  return got === wanted ? [] : [`${at}: ${String(got)}, not ${String(wanted)}`];
}

test.each(cases.map((c) => [c.id, c] as const))('%s', (id, { family, expected }) => {
  const got = answers[id]!;
  const wrong = Object.entries(expected).flatMap(([field, wanted]) => {
    if (set_fields.includes(field))
      return differs([...(got[field] as string[])].sort(), [...(wanted as string[])].sort(), { rel: 0, abs: 0 }, field);
    return differs(got[field], wanted, tolerances[`${field}@${family}`] ?? tolerances[field] ?? tolerances.default!, field);
  });
  expect(wrong).toEqual([]);
});

test('what is not a question says so', () => {
  const said = trialCases({
    cases: [
      { id: 'a', kind: 'alchemy', input: {} },
      { id: 'b', kind: 'two_arm', input: { arms: [{ id: 'A', trays: [] }] } },
      { id: 'c', kind: 'triangle', input: { tests: 'many' } },
    ],
  });
  expect(said.a!.error).toMatch(/^kind must be one of/);
  expect(said.b!.error).toMatch(/^arms must be two/);
  expect(said.c!.error).toMatch(/^tests must be a number/);
});
