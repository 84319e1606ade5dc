import { showLengthNumber, type LengthUnit } from '@/core/units/length';
import { useSettings } from '../shell/WorkspaceContext';

/** A text with its centimetres in the person's own unit: `5–10 cm` as `2–4 in`. */
export const lengthsIn = (text: string, unit: LengthUnit): string =>
  unit === 'cm'
    ? text
    : text.replace(/(\d+(?:\.\d+)?)(?:–(\d+(?:\.\d+)?))? cm\b/g, (_, from: string, to?: string) =>
        [from, ...(to === undefined ? [] : [to])]
          .map((cm) => showLengthNumber(round(Number(cm) / 100), unit))
          .join('–')
          .concat(` ${unit}`),
      );

const METRES_PER_INCH = 0.0254; // exact
/** A rule of thumb stays one: whole inches from two on. */
const round = (length: number): number => {
  const inches = length / METRES_PER_INCH;
  return inches < 1.5 ? length : Math.round(inches) * METRES_PER_INCH;
};

/** The same where it is read. */
export function Lengths({ of: text }: { of: string }) {
  return lengthsIn(text, useSettings().lengthUnit);
}
