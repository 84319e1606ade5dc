'use client';
import { isMeter, meterErrorOf, meterOf, unitOfMeter, type Meter } from '@/core/things/meter/meterLibrary';
import type { OwnMeter } from '@/core/site/reading/OwnMeter';
import type { LightUnit } from '@/core/units/light';
import { useRun } from '../practice/useRun';
import { useSettings, useSite } from '../shell/WorkspaceContext';
import { kindWords } from './words';

/** The meter in the hand. */
export interface MeterInHand {
  /** What it is chosen by. */
  readonly choice: string;
  readonly name: string;
  readonly kind: Meter;
  readonly own: OwnMeter | null;
  readonly factor: number;
  /** What a reading remembers of it. */
  readonly hand: { readonly kindId: string; readonly meterId: string | null; readonly factor: number };
  /** Half-width of a nine-in-ten band. */
  readonly uncertainty: number;
  readonly unit: LightUnit;
  /** It is simulated by the application. */
  readonly practice: boolean;
}

/** Kinds chosen for practice are written so. */
export const PRACTICE = 'practice:';

export function useMeter(): MeterInHand {
  const run = useRun();
  const { meter } = useSettings();
  // In an exercise its own meter is in the hand.
  const choice = run ? `${PRACTICE}${run.start.truth.meter.kindId}` : meter;
  const meters = useSite((s) => s.site.meters);
  const own = meters.find((m) => m.id === choice) ?? null;
  const practice = choice.startsWith(PRACTICE);
  const named = practice ? choice.slice(PRACTICE.length) : choice;
  const kind = meterOf(own?.kindId ?? (isMeter(named) ? named : 'lux-basic'));
  return {
    choice: own || practice || isMeter(choice) ? choice : 'lux-basic',
    name: own?.name ?? (practice ? `practice: ${kindWords(kind.id)}` : kindWords(kind.id)),
    kind,
    own,
    factor: own?.factor ?? 1,
    hand: { kindId: kind.id, meterId: own?.id ?? null, factor: own?.factor ?? 1 },
    uncertainty: own?.uncertainty ?? meterErrorOf(kind),
    unit: unitOfMeter(kind),
    practice,
  };
}
