import { KEY_COLOURS } from '../drawing/lightColours';
import { NIGHT } from '../theme/night';

/** What the colours of the year mean. */
export function CarpetKey({ hasLamps }: { hasLamps: boolean }) {
  return (
    <p className="flex flex-wrap gap-x-4 gap-y-1 text-sm text-night-soft">
      <Swatch background={KEY_COLOURS.dim}>dim</Swatch>
      <Swatch background={KEY_COLOURS.useful}>useful</Swatch>
      <Swatch background={KEY_COLOURS.strong}>too strong for its leaves</Swatch>
      {hasLamps && <Swatch border={`1px solid ${NIGHT.sun}`}>lamp on</Swatch>}
    </p>
  );
}

function Swatch({ background, border, children }: { background?: string; border?: string; children: React.ReactNode }) {
  return (
    <span className="inline-flex items-center gap-1.5">
      <span aria-hidden className="h-3 w-4" style={{ background, border }} /> {children}
    </span>
  );
}
