import type { ValidationError } from 'class-validator';
import type { Problem } from '../../core/units/result';

/**
 * class-validator's tree of errors as a flat list; an index is written `lamps[2]`, a property `lamps[2].length_m`.
 *
 * @param kind  first part of each code: `site/min`
 */
export function problemsOf(error: ValidationError, kind: string, path = ''): Problem[] {
  const at = /^\d+$/.test(error.property) ? `${path}[${error.property}]` : path ? `${path}.${error.property}` : error.property;
  const own = Object.entries(error.constraints ?? {}).map(([rule, expected]) => ({
    code: `${kind}/${rule}`,
    at,
    found: error.value as unknown,
    expected,
  }));
  return [...own, ...(error.children ?? []).flatMap((child) => problemsOf(child, kind, at))];
}
