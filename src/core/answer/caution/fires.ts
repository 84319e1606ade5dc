import type { Caution, CautionFacts } from '../../things/caution/Caution';

type Value = string | number | boolean | null | readonly string[];

const COMPARISON = /^(\S+)\s+(==|!=|>=|<=|>|<|in)\s+(.+)$/;

/**
 * Whether a caution applies: any of its triggers holds, and a trigger holds when all of its comparisons do.
 * A comparison with a missing or null value is false, except `!=`, which is then true.
 *
 * @throws SyntaxError for a trigger that is not in the language: the table's mistake
 */
export function fires(caution: Caution, facts: CautionFacts): boolean {
  return caution.triggers.some((trigger) => trigger.split('&&').every((term) => holds(term.trim(), facts)));
}

function holds(term: string, facts: CautionFacts): boolean {
  const exists = /^(\S+) exists$/.exec(term);
  if (exists) return facts[exists[1]!] !== undefined && facts[exists[1]!] !== null && facts[exists[1]!] !== false;
  const parts = COMPARISON.exec(term);
  if (!parts) throw new SyntaxError(`cannot read the trigger "${term}"`);
  const [, path, op, raw] = parts as unknown as [string, string, string, string];
  const left = facts[path] ?? null;
  const right = valueOf(raw.trim(), facts);
  if (op === '!=') return left !== right;
  if (left === null || right === null) return false;
  if (op === 'in') return Array.isArray(right) && right.includes(String(left));
  if (op === '==') return left === right;
  const [a, b] = [Number(left), Number(right)];
  return op === '>' ? a > b : op === '>=' ? a >= b : op === '<' ? a < b : a <= b;
}

function valueOf(raw: string, facts: CautionFacts): Value {
  if (raw.startsWith('[')) return [...raw.matchAll(/'([^']*)'/g)].map((m) => m[1]!);
  if (raw === 'true' || raw === 'false') return raw === 'true';
  if (/^-?\d+(\.\d+)?$/.test(raw)) return Number(raw);
  const product = /^(\d+(?:\.\d+)?) \* (\S+)$/.exec(raw);
  if (product) {
    const factor = facts[product[2]!];
    return typeof factor === 'number' ? Number(product[1]) * factor : null;
  }
  return raw.includes('.') ? (facts[raw] ?? null) : raw;
}
