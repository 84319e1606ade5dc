export type Severity = 'danger' | 'warning' | 'info';

/** A caution and when it applies; `triggers` in the little language of the caution table. */
export interface Caution {
  readonly id: string;
  readonly title: string;
  readonly severity: Severity;
  readonly text: string;
  readonly triggers: readonly string[];
}

/** What is known of lamp, circuit, set-up and crop: dotted paths to values; what is not known is left out. */
export type CautionFacts = Readonly<Record<string, string | number | boolean | null | undefined>>;
