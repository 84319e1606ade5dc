import { Term } from '../terms/Term';

/** What the scale of doses shows. */
export const DliKey = () => (
  <p className="text-sm text-soft">
    <Term id="dli">DLI</Term>, mol/m²/day. The <Term id="target-range">target range</Term> is shaded; the line marks the best value.
  </p>
);
