'use client';
import { useState } from 'react';
import { dliWithin, hoursWithin, ppfdWithin } from '@/core/plan/hours/solveDli';
import type { TrayPpfd } from '@/core/plan/hours/wishedHours';
import type { BenchTier, BenchTray } from '@/core/answer/stand/benchStand';
import { NumberField } from '../parts/NumberField';
import { Segments } from '../parts/Segments';
import { dliNumber } from '../drawing/lightWords';
import { dliLimitWords, hoursWords } from './planWords';

type Wanted = 'hours' | 'strength' | 'dose';

/** Strength, hours and dose: any two give the third, within what the plant bears. */
export function DliSolver({ tier, tray, light }: { tier: BenchTier; tray: BenchTray; light: TrayPpfd | null }) {
  const { stage } = tray;
  const [wanted, setWanted] = useState<Wanted>('hours');
  const [typed, setTyped] = useState<{ ppfd?: number; hours?: number; dose?: number }>({});
  const ppfd = typed.ppfd ?? Math.round(light?.mean ?? 200);
  const hours = typed.hours ?? tier.hours;
  const dose = typed.dose ?? stage.dliTarget;
  const answer =
    wanted === 'hours'
      ? hoursWithin(dose, ppfd, stage)
      : wanted === 'strength'
        ? ppfdWithin(dose, hours, stage)
        : dliWithin(ppfd, hours, stage);
  const words = {
    hours: `${hoursWords(answer.hours)} a day`,
    strength: `${Math.round(answer.ppfd)} µmol/m²/s`,
    dose: `${dliNumber(answer.dli)} mol/m²/day`,
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
            { value: 'strength', label: 'PPFD' },
            { value: 'dose', label: 'DLI' },
          ]}
          onChange={setWanted}
        />
        {wanted !== 'strength' && (
          <NumberField
            label="PPFD"
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
            label="DLI"
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
          {dliLimitWords(answer.limit)}
          {wanted !== 'dose' && ` It makes ${dliNumber(answer.dli)} mol.`}
        </p>
      )}
    </section>
  );
}
