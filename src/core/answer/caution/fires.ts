import type { Caution, CautionFacts } from '../../things/caution/Caution';

type Value = string | number | boolean | null | readonly string[];
type Test = (facts: CautionFacts) => boolean;

const COMPARISON = /^(\S+)\s+(==|!=|>=|<=|>|<|in)\s+(.+)$/;

/**
 * Whether a caution applies: any of its triggers holds, and a trigger holds when all of its comparisons do.
 * A comparison with a missing or null value is false, except `!=`, which is then true.
 *
 * @throws SyntaxError for a trigger that is not in the language: the table's mistake
 */
export function fires(caution: Caution, facts: CautionFacts): boolean {
  return caution.triggers.some((trigger) => testsOf(trigger).every((holds) => holds(facts)));
}

/** Triggers that were read: a table has a few dozen, and a hand that moves a lamp asks for all of them at every step. */
const known = new Map<string, readonly Test[]>();

function testsOf(trigger: string): readonly Test[] {
  let tests = known.get(trigger);
  if (!tests) known.set(trigger, (tests = trigger.split('&&').map((term) => testOf(term.trim()))));
  return tests;
}

function testOf(term: string): Test {
  const exists = /^(\S+) exists$/.exec(term);
  if (exists) {
    const [, path] = exists as unknown as [string, string];
    return (facts) => facts[path] !== undefined && facts[path] !== null && facts[path] !== false;
  }
  const parts = COMPARISON.exec(term);
  if (!parts) throw new SyntaxError(`cannot read the trigger "${term}"`);
  const [, path, op, raw] = parts as unknown as [string, string, string, string];
  const rightIn = valueOf(raw.trim());
  return (facts) => {
    const [left, right] = [facts[path] ?? null, rightIn(facts)];
    if (op === '!=') return left !== right;
    if (left === null || right === null) return false;
    if (op === 'in') return Array.isArray(right) && right.includes(String(left));
    if (op === '==') return left === right;
    const [a, b] = [Number(left), Number(right)];
    return op === '>' ? a > b : op === '>=' ? a >= b : op === '<' ? a < b : a <= b;
  };
}

function valueOf(raw: string): (facts: CautionFacts) => Value {
  const always = (value: Value) => () => value;
  if (raw.startsWith('[')) return always([...raw.matchAll(/'([^']*)'/g)].map((m) => m[1]!));
  if (raw === 'true' || raw === 'false') return always(raw === 'true');
  if (/^-?\d+(\.\d+)?$/.test(raw)) return always(Number(raw));
  const product = /^(\d+(?:\.\d+)?) \* (\S+)$/.exec(raw);
  if (product) {
    const [times, path] = [Number(product[1]), product[2]!];
    return (facts) => {
      const factor = facts[path];
      return typeof factor === 'number' ? times * factor : null;
    };
  }
  return raw.includes('.') ? (facts) => facts[raw] ?? null : always(raw);
}
