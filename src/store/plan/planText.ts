import { fail, ok, type Problem, type Result } from '../../core/units/result';
import { dayAt, readDay } from '../../core/units/day';
import { readSiteText } from '../files/readSiteText';
import { planSite, type PlanAsked } from './planSite';

/** The answer as it goes out, one line of JSON. */
export type PlanReply = { readonly format: 'copper-noon/plan'; readonly version: 1 } & (
  ({ readonly ok: true } & Awaited<ReturnType<typeof planSite>>) | { readonly ok: false; readonly problems: readonly Problem[] }
);

const OPTIONS = ['--day', '--seed', '--step', '--only'] as const;
const PARTS = ['trays', 'offers', 'chart'] as const;

/** What was asked on the command line beside the file. @param now_ms  for a day that was not said */
export function readPlanOptions(args: readonly string[], now_ms: number): Result<PlanAsked> {
  const said = new Map<string, string>();
  for (let i = 0; i < args.length; i += 2) {
    const name = args[i]!;
    const value = args[i + 1];
    if (!(OPTIONS as readonly string[]).includes(name)) return fail({ code: 'plan/unknown-option', at: name, expected: OPTIONS.join(' ') });
    if (value === undefined) return fail({ code: 'plan/no-value', at: name });
    said.set(name, value);
  }
  const problems: Problem[] = [];
  const day = said.has('--day') ? readDay(said.get('--day')!) : ok(dayAt(now_ms));
  if (!day.ok) problems.push({ code: 'plan/not-a-day', at: '--day', found: said.get('--day'), expected: 'such as 2027-03-01' });
  const step = Number(said.get('--step') ?? 15);
  if (!(Number.isInteger(step) && step >= 1 && 1440 % step === 0))
    problems.push({ code: 'plan/not-a-step', at: '--step', found: said.get('--step'), expected: 'whole minutes that divide the day' });
  const seed = said.get('--seed') ?? '0';
  if (!/^\d{1,15}$/.test(seed)) problems.push({ code: 'plan/not-a-seed', at: '--seed', found: seed, expected: 'a whole number' });
  const only = said.get('--only')?.split(',') ?? [...PARTS];
  if (only.some((p) => !(PARTS as readonly string[]).includes(p)))
    problems.push({ code: 'plan/unknown-part', at: '--only', found: only.join(), expected: PARTS.join(',') });
  if (problems.length > 0 || !day.ok) return fail(...problems);
  return ok({ day: day.value, timerStep_min: step, offers: only.includes('offers'), chart: only.includes('chart') });
}

/** The door for people who script: the text of a site file and options in, every decision about it out. */
export async function planText(text: string, args: readonly string[], now_ms: number): Promise<PlanReply> {
  const head = { format: 'copper-noon/plan', version: 1 } as const;
  const asked = readPlanOptions(args, now_ms);
  if (!asked.ok) return { ...head, ok: false, problems: asked.problems };
  const site = readSiteText(text);
  if (!site.ok) return { ...head, ok: false, problems: site.problems };
  return { ...head, ok: true, ...(await planSite(site.value, asked.value)) };
}
