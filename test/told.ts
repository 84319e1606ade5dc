/** Four figures are what anybody reads; the last ones of a computer are nobody's business. Sites within answers are told by others. */
const told = (value: unknown): unknown =>
  typeof value === 'number'
    ? Number(value.toPrecision(4))
    : Array.isArray(value)
      ? value.map(told)
      : value instanceof Map
        ? told([...value])
        : ArrayBuffer.isView(value)
          ? (value as Float64Array).length
          : value !== null && typeof value === 'object'
            ? Object.fromEntries(Object.entries(value).flatMap(([k, v]) => (k === 'site' ? [] : [[k, told(v)]])))
            : value;
/** Ids that were given by chance, in their order. */
export function named(text: string): string {
  const ids = new Map<string, string>();
  const nameOf = (id: string) => ids.get(id) ?? (ids.set(id, `id-${ids.size + 1}`), `id-${ids.size}`);
  return text.replace(/\b(?=[a-z0-9]*\d)[a-z0-9]{8}-[a-z0-9]{1,8}\b/g, nameOf);
}
/** One line for each. */
export const lines = (values: readonly unknown[]): string => named(values.map((v) => JSON.stringify(told(v))).join('\n'));
