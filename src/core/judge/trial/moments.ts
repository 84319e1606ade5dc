export const sum = (values: readonly number[]) => values.reduce((a, b) => a + b, 0);
/** Null of nothing. */
export const mean = (values: readonly number[]) => (values.length === 0 ? null : sum(values) / values.length);
/** Divisor n − 1; null of fewer than two. */
export function variance(values: readonly number[]): number | null {
  if (values.length < 2) return null;
  const m = sum(values) / values.length;
  return sum(values.map((v) => (v - m) ** 2)) / (values.length - 1);
}
export const sd = (values: readonly number[]) => {
  const v = variance(values);
  return v === null ? null : Math.sqrt(v);
};
export function median(values: readonly number[]): number | null {
  if (values.length === 0) return null;
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length / 2;
  return Number.isInteger(half) ? (sorted[half - 1]! + sorted[half]!) / 2 : sorted[Math.floor(half)]!;
}
export const present = (values: readonly (number | null)[]) => values.filter((v): v is number => v !== null);
