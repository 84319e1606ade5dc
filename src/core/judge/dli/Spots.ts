/** One thing at each of the spots by which a tray is judged. */
export interface Spots<T> {
  readonly weakest: T;
  readonly mean: T;
  readonly strongest: T;
}
