/** The part of jstat that is used; it ships no types. */
declare module 'jstat' {
  export const jStat: {
    readonly studentt: { inv(p: number, df: number): number };
    readonly noncentralt: { cdf(t: number, df: number, ncp: number): number };
    readonly beta: { inv(p: number, a: number, b: number): number };
    ibeta(x: number, a: number, b: number): number;
    erfc(x: number): number;
  };
}
