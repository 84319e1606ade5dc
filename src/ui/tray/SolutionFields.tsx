'use client';
import type { SolutionSeen } from '@/core/site/stand/Logged';
import { ConductivityField, conductivityOf } from '../feed/ConductivityField';
import { MaybeNumberField } from '../parts/MaybeNumberField';

/** EC and pH as they are typed. */
export interface TypedSolution {
  readonly ec: string;
  readonly ph: number | null;
}

export const typedSolution = ({ ec, ph }: SolutionSeen): TypedSolution => ({ ec: ec === null ? '' : `${ec} mS/cm`, ph });

/** What is typed, to the thousandth of a mS/cm. */
export function solutionOf({ ec, ph }: TypedSolution): SolutionSeen {
  const read = conductivityOf(ec);
  return { ec: read === null ? null : Math.round(read * 1000) / 1000, ph };
}

/** EC with its unit, and pH, as far as they were measured. */
export function SolutionFields({ typed, onChange }: { typed: TypedSolution; onChange(typed: TypedSolution): void }) {
  return (
    <>
      <ConductivityField label="EC with its unit" text={typed.ec} inputClassName="w-36" onChange={(ec) => onChange({ ...typed, ec })} />
      <MaybeNumberField label="pH" value={typed.ph} min={0} max={14} inputClassName="w-16" onChange={(ph) => onChange({ ...typed, ph })} />
    </>
  );
}
