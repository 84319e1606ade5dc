/** How far a number may be trusted: a tested paper, a bulletin or book, or what growers agree on. */
export type Basis = 'paper' | 'bulletin' | 'consensus';

/** A work behind a table's row, and the fields that it stands behind. */
export interface Source {
  readonly cite: string;
  readonly kind: Basis;
  readonly supports: readonly string[];
}
