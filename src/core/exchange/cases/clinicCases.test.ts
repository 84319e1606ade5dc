import clinic from '../../../../test/cases/clinic.json';
import own from '../../../../test/cases/clinic-own.json';
import { clinicCases } from './clinicCases';

/** Vignettes with the causes, tests and treatments that growers would accept; test/cases/clinic.md says how they are judged. */

interface Vignette {
  readonly id: string;
  readonly input: Record<string, unknown>;
  readonly rules: {
    readonly causes: { readonly rank: { readonly accept: string[]; readonly not_first: string[] } };
    readonly test: { readonly any_of: string[] };
    readonly lookAgainDays: { readonly between: [number, number] };
    readonly treatments: { readonly groups: string[][]; readonly forbid: string[] };
  };
}
interface Said {
  readonly causes: string[];
  readonly test: string;
  readonly lookAgainDays: number;
  readonly treatments: string[];
}
const { cases } = clinic as unknown as { cases: Vignette[] };
const answers = clinicCases({ cases }) as unknown as Record<string, Said>;

test.each(cases.map((c) => [c.id, c] as const))('%s', (id, { rules }) => {
  const said = answers[id]!;
  expect(rules.causes.rank.accept).toContain(said.causes[0]);
  expect(rules.causes.rank.not_first).not.toContain(said.causes[0]);
  expect(rules.test.any_of).toContain(said.test);
  const [from, to] = rules.lookAgainDays.between;
  expect(said.lookAgainDays).toBeGreaterThanOrEqual(from);
  expect(said.lookAgainDays).toBeLessThanOrEqual(to);
  for (const group of rules.treatments.groups) expect(group.some((t) => said.treatments.includes(t))).toBe(true);
  expect(said.treatments.filter((t) => rules.treatments.forbid.includes(t))).toEqual([]);
});

const ours = own as unknown as { cases: { id: string; accept: string[]; input: { crop: string; symptoms: string[] } }[] };
const found = clinicCases(ours as never) as unknown as Record<string, Said>;

test.each(ours.cases.map((c) => [`${c.input.crop}, ${c.input.symptoms.join(', ')}: ${c.accept[0]}`, c] as const))(
  '%s',
  (_, { id, accept }) => {
    expect(accept).toContain(found[id]!.causes[0]);
  },
);

test('what is not a vignette says so', () => {
  const said = clinicCases({
    cases: [{ id: 'a', input: { crop: 'moonflower' } }, { id: 'b' }, { id: 'c', input: { crop: 'tomato', plan: { doseBand: [1, 2] } } }],
  });
  expect(said.a!.error).toMatch(/^crop must be/);
  expect(said.b!.error).toMatch(/^input must be/);
  expect(said.c!.error).toMatch(/doseBand/);
});
