'use client';
import { useState } from 'react';
import { doseFrom, hoursFor, strengthFor } from '@/core/plan/hours/solveDose';
import type { TrayStrength } from '@/core/plan/hours/wishedHours';
import type { BenchTier, BenchTray } from '@/core/answer/stand/benchStand';
import { NumberField } from '../parts/NumberField';
import { Segments } from '../parts/Segments';
import { doseNumber } from '../drawing/lightWords';
import { doseLimitWords, hoursWords } from './planWords';

type Wanted = 'hours' | 'strength' | 'dose';

/** Strength, hours and dose: any two give the third, within what the plant bears. */
export function DoseSolver({ tier, tray, light }: { tier: BenchTier; tray: BenchTray; light: TrayStrength | null }) {
  const { stage } = tray;
  const [wanted, setWanted] = useState<Wanted>('hours');
  const [typed, setTyped] = useState<{ ppfd?: number; hours?: number; dose?: number }>({});
  const ppfd = typed.ppfd ?? Math.round(light?.mean ?? 200);
  const hours = typed.hours ?? tier.hours;
  const dose = typed.dose ?? stage.dliTarget;
  const answer =
    wanted === 'hours'
      ? hoursFor(dose, ppfd, stage)
      : wanted === 'strength'
        ? strengthFor(dose, hours, stage)
        : doseFrom(ppfd, hours, stage);
  const words = {
    hours: `${hoursWords(answer.hours)} a day`,
    strength: `${Math.round(answer.ppfd)} µmol/m²/s`,
    dose: `${doseNumber(answer.dose)} mol/m²/day`,
  }[wanted];
  return (
    <section aria-labelledby="solver" className="space-y-2">
      <h2 id="solver" className="text-lg font-semibold">
        Calculate PPFD, hours or DLI
      </h2>
      <div className="flex flex-wrap items-end gap-3">
        <Segments<Wanted>
          label="What is wanted"
          value={wanted}
          options={[
            { value: 'hours', label: 'hours' },
            { value: 'strength', label: 'strength' },
            { value: 'dose', label: 'dose' },
          ]}
          onChange={setWanted}
        />
        {wanted !== 'strength' && (
          <NumberField
            label="strength"
            unit="µmol"
            value={ppfd}
            min={0}
            max={3000}
            inputClassName="w-24"
            onChange={(v) => setTyped({ ...typed, ppfd: v })}
          />
        )}
        {wanted !== 'hours' && (
          <NumberField
            label="hours"
            unit="h"
            value={hours}
            min={0}
            max={24}
            inputClassName="w-20"
            onChange={(v) => setTyped({ ...typed, hours: v })}
          />
        )}
        {wanted !== 'dose' && (
          <NumberField
            label="dose"
            unit="mol"
            value={dose}
            min={0}
            max={80}
            inputClassName="w-20"
            onChange={(v) => setTyped({ ...typed, dose: v })}
          />
        )}
        <p className="pb-1 text-xl font-semibold" data-testid="solved">
          {words}
        </p>
      </div>
      {answer.limit && (
        <p className="text-copper" data-testid="solved-limit">
          {doseLimitWords(answer.limit)}
          {wanted !== 'dose' && ` It makes ${doseNumber(answer.dose)} mol.`}
        </p>
      )}
    </section>
  );
}
