'use client';
import { useMemo, useState } from 'react';
import type { Limit, Setting, Solution } from '@/core/solve/solve';
import type { SetUp } from '@/core/stand/setUp';
import { showHours } from '@/core/units/clock';
import { showLength, showLengthNumber, type LengthUnit } from '@/core/units/length';
import { changeSite } from '@/store/site/siteStore';
import { setDistanceAndHours } from '@/store/site/setUpVerbs';
import { Button } from '../parts/Button';
import { NumberField } from '../parts/NumberField';
import { Segments } from '../parts/Segments';
import { useSettings, useWorkspace } from '../shell/WorkspaceContext';
import { doseNumber } from '../stage/lightWords';
import { percent } from '../verdict/words';
import { useVerdict } from '../verdict/useVerdict';
import { useSolution } from './useSolution';

type Held = 'nothing' | 'distance' | 'hours' | 'strength' | 'dose';

/** What to do: the distances and hours that suit, in a sentence, and one press that applies them. */
export function AnswerPanel({ setUp }: { setUp: SetUp }) {
  const { sites } = useWorkspace();
  const { lengthUnit } = useSettings();
  const [held, setHeld] = useState<Held>('nothing');
  const judged = useVerdict(setUp);
  const [typed, setTyped] = useState<{ strength: number | null; dose: number | null }>({ strength: null, dose: null });
  const strength = typed.strength ?? Math.round(judged?.stats.mean ?? 100);
  const dose = typed.dose ?? setUp.stage.dliTarget;
  const { distance, hours } = setUp;
  const fixed = useMemo(() => {
    if (held === 'distance') return { what: held, distance };
    if (held === 'hours') return { what: held, hours };
    if (held === 'strength') return { what: held, ppfd: strength };
    if (held === 'dose') return { what: held, dli: dose };
    return { what: held };
  }, [held, distance, hours, strength, dose]);
  const solution = useSolution(setUp, fixed);
  const best = solution && onTheTape(solution, lengthUnit);
  const there = best && Math.abs(best.distance - distance) < 0.003 && Math.abs(best.hours - hours) < 0.13;
  return (
    <section aria-labelledby="answer" className="space-y-3">
      <h2 id="answer" className="text-lg font-semibold">
        What to do
      </h2>
      {!solution || !best ? (
        <p role="status" className="text-soft">
          Looking at every distance…
        </p>
      ) : (
        <>
          <p data-testid="answer" aria-live="polite">
            {solution.distances ? suitsWords(solution, best, lengthUnit) : failsWords(best, lengthUnit)}
          </p>
          {solution.limits.map((limit) => (
            <p key={limit.why} className="border-l-2 border-copper pl-3" data-testid="limit">
              {limitWords(limit, setUp, lengthUnit)}
            </p>
          ))}
          <div className="flex flex-wrap items-center gap-3">
            <Button
              kind={solution.distances ? 'main' : 'plain'}
              disabled={there ?? true}
              onClick={() =>
                changeSite(sites, 'apply the answer', setDistanceAndHours(setUp.stand.id, best.distance, Math.round(best.hours * 4) / 4))
              }
            >
              {there
                ? 'It is set like this'
                : solution.distances
                  ? `Set ${showLength(best.distance, lengthUnit)}, ${showHours(Math.round(best.hours * 4) * 15)}`
                  : 'Set what comes nearest'}
            </Button>
          </div>
        </>
      )}
      <div className="flex flex-wrap items-end gap-3">
        <div>
          <p className="pb-1 text-sm text-soft">hold fast</p>
          <Segments<Held>
            label="Hold fast"
            value={held}
            options={[
              { value: 'nothing', label: 'nothing' },
              { value: 'distance', label: 'distance' },
              { value: 'hours', label: 'hours' },
              { value: 'strength', label: 'strength' },
              { value: 'dose', label: 'dose' },
            ]}
            onChange={setHeld}
          />
        </div>
        {held === 'strength' && (
          <NumberField
            label="mean strength"
            unit="µmol/m²/s"
            value={strength}
            min={1}
            max={3000}
            inputClassName="w-16"
            onChange={(v) => setTyped({ ...typed, strength: v })}
          />
        )}
        {held === 'dose' && (
          <NumberField
            label="mean dose"
            unit="mol a day"
            value={dose}
            min={0.1}
            max={60}
            inputClassName="w-16"
            onChange={(v) => setTyped({ ...typed, dose: v })}
          />
        )}
      </div>
    </section>
  );
}

/** The best setting on a mark of the tape, still within the distances that suit; doses change with it by less than they are shown. */
function onTheTape({ best, distances }: Solution, unit: LengthUnit): Setting {
  const step = unit === 'in' ? 0.0254 / 4 : 0.005;
  const rounded = Math.round(best.distance / step) * step;
  const kept = distances
    ? Math.min(Math.max(rounded, Math.ceil(distances.from / step - 1e-6) * step), Math.floor(distances.to / step + 1e-6) * step)
    : rounded;
  return { ...best, distance: kept >= step ? kept : best.distance };
}

function suitsWords({ distances, hours }: Solution, best: Setting, unit: LengthUnit): string {
  const [from, to] = [distances!.from, distances!.to];
  const far = to >= 1.99;
  const range =
    Math.abs(to - from) < 0.004
      ? showLength(from, unit)
      : far
        ? `${showLength(from, unit)} or more`
        : `${showLengthNumber(from, unit)}–${showLength(to, unit)}`;
  const long = hours!.from === hours!.to ? showHours(hours!.from * 60) : `${showHours(hours!.from * 60)} to ${showHours(hours!.to * 60)}`;
  return `Hang it ${range} above the leaves and light it ${long}. Best at ${showLength(best.distance, unit)} for ${showHours(Math.round(best.hours * 4) * 15)}: the weakest spot then gets ${doseNumber(best.weakest)}, the mean ${doseNumber(best.mean)}, the strongest ${doseNumber(best.strongest)} mol.`;
}

function failsWords(best: Setting, unit: LengthUnit): string {
  return `No setting suits the whole tray. Nearest to it: ${showLength(best.distance, unit)} for ${showHours(Math.round(best.hours * 4) * 15)}, where the weakest spot gets ${doseNumber(best.weakest)} and the strongest ${doseNumber(best.strongest)} mol.`;
}

/** The limit that binds, by how much, and what would lift it. */
export function limitWords(limit: Limit, { crop, stage, lamp, tier }: SetUp, unit: LengthUnit): string {
  const name = crop.name.toLowerCase();
  switch (limit.why) {
    case 'lamp-too-weak':
      return `The lamp is too weak: even at its nearest for ${stage.hoursMax} h the weakest spot gets ${percent(limit.share)} of the ${stage.dliMin} mol that ${name} needs. About ${lampsFor(limit.share, tier.fittings.length)} of these lamps would do.`;
    case 'lamp-too-strong':
      return `The lamp is too strong: even far away for ${stage.hoursMin} h the strongest spot gets ${limit.times.toFixed(1)} times what is good.`;
    case 'tray-wider-than-light':
      return `The tray is wider than the light: while nothing is too strong, the edge gets at most ${percent(limit.share)} of the ${stage.dliMin} mol that it needs. A second lamp alongside, or a smaller tray, would do more than any distance.`;
    case 'hours-beyond-crop':
      return `It would suit at ${showHours(Math.round(limit.hours * 4) * 15)}, but ${name} is not known to bear more than ${stage.hoursMax} h.`;
    case 'heat':
      return `It would suit at ${showLength(limit.distance, unit)}, but the heat of this lamp asks for ${showLength(lamp.heatClearance, unit)}.`;
    case 'leaf-ceiling':
      return `It would suit at ${Math.round(limit.ppfd)} µmol/m²/s, but leaves indoors are likely to bleach over ${stage.ppfdMax}.`;
  }
}

const lampsFor = (share: number, now: number) => (share > 0 ? Math.ceil(now / share) : 'many more');
