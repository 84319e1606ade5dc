import { MOST_CONDUCTIVITY, readConductivity } from '@/core/judge/feed/conductivity';
import { ok } from '@/core/units/result';
import { decimalSign } from '../parts/decimalSign';
import { TypedField } from '../parts/TypedField';

/** What was typed, as mS/cm; null while it is nothing or cannot be used. */
export function conductivityOf(text: string): number | null {
  const read = readConductivity(text, decimalSign());
  return read !== null && read <= MOST_CONDUCTIVITY ? read : null;
}

function refuse(text: string): string | null {
  if (text === '' || conductivityOf(text) !== null) return null;
  return readConductivity(text, decimalSign()) === null
    ? 'Type the unit too: mS/cm, µS/cm, or ppm with its scale (500, 640 or 700), such as 450 ppm (500). The same number can differ a thousand times.'
    : `That is more than ${MOST_CONDUCTIVITY} mS/cm: too much for any feed. If the meter showed µS/cm, type that unit.`;
}

/** What an EC meter shows, with its unit, which is never guessed. */
export function ConductivityField(props: { label: string; text: string; inputClassName: string; onChange(text: string): void }) {
  const { text, ...rest } = props;
  return <TypedField<string> {...rest} shown={text} read={(t) => ok(t.trim())} refuse={refuse} hint="Such as 1.2 mS/cm." />;
}
