'use client';
import { useMemo, useState } from 'react';
import type { SetUp } from '@/core/answer/stand/setUp';
import { showHours } from '@/core/units/clock';
import { showLength } from '@/core/units/length';
import { changeSite } from '@/store/site/siteStore';
import { applyAnswer } from '@/store/site/setUpVerbs';
import { Button } from '../parts/Button';
import { NumberField } from '../parts/NumberField';
import { Segments } from '../parts/Segments';
import { useSettings, useWorkspace } from '../shell/WorkspaceContext';
import { useCalmVerdict } from '../verdict/useVerdict';
import { percent } from '../verdict/words';
import { useDimmedSolution } from './useSolution';
import { failsWords, limitWords, onTheTape, suitsWords, toldLimits, turnFirstWords } from './words';

type Held = 'nothing' | 'distance' | 'hours' | 'strength' | 'dose';

/** What to do: the distances and hours that suit, in a sentence, and one press that applies them. */
export function AnswerPanel({ setUp }: { setUp: SetUp }) {
  const { sites } = useWorkspace();
  const { lengthUnit } = useSettings();
  const [held, setHeld] = useState<Held>('nothing');
  const judged = useCalmVerdict(setUp);
  const [typed, setTyped] = useState<{ strength: number | null; dose: number | null }>({ strength: null, dose: null });
  const strength = typed.strength ?? Math.round(judged?.stats.mean ?? 100);
  const dose = typed.dose ?? setUp.stage.dliTarget;
  const { distance, hours } = setUp;
  // Only what is held counts, so that nothing is solved anew while the rest is dragged.
  const value = held === 'distance' ? distance : held === 'hours' ? hours : held === 'strength' ? strength : held === 'dose' ? dose : 0;
  const fixed = useMemo(() => {
    if (held === 'distance') return { what: held, distance: value };
    if (held === 'hours') return { what: held, hours: value };
    if (held === 'strength') return { what: held, ppfd: value };
    if (held === 'dose') return { what: held, dli: value };
    return { what: held };
  }, [held, value]);
  const solution = useDimmedSolution(setUp, fixed);
  const best = solution && onTheTape(solution, lengthUnit);
  const dimming = solution?.dimming ?? null;
  const there = best && !dimming && Math.abs(best.distance - distance) < 0.003 && Math.abs(best.hours - hours) < 0.13;
  return (
    <section aria-labelledby="answer" className="space-y-3">
      <h2 id="answer" className="text-lg font-semibold">
        What to do
      </h2>
      {!solution || !best ? (
        <p role="status" className="text-soft">
          Calculating distances…
        </p>
      ) : (
        <>
          <p data-testid="answer" aria-live="polite">
            {turnFirstWords(solution, setUp.tier.fittings.length)}
            {solution.distances ? suitsWords(solution, best, lengthUnit) : failsWords(best, lengthUnit, solution)}
          </p>
          {toldLimits(solution.limits, setUp).map((limit) => (
            <p key={limit.why} className="border-l-2 border-copper pl-3" data-testid="limit">
              {limitWords(limit, setUp, lengthUnit)}
            </p>
          ))}
          <div className="flex flex-wrap items-center gap-3">
            <Button
              kind={solution.distances ? 'main' : 'plain'}
              disabled={there ?? true}
              onClick={() =>
                changeSite(
                  sites,
                  'apply the answer',
                  applyAnswer(setUp.stand.id, best.distance, Math.round(best.hours * 4) / 4, dimming?.to ?? null),
                )
              }
            >
              {there
                ? 'Already applied'
                : solution.distances
                  ? `Set ${dimming ? `${percent(dimming.to)} light, ` : ''}${showLength(best.distance, lengthUnit)}, ${showHours(Math.round(best.hours * 4) * 15)}`
                  : 'Apply the closest setting'}
            </Button>
          </div>
        </>
      )}
      <div className="flex flex-wrap items-end gap-3">
        <div>
          <p className="pb-1 text-sm text-soft">Lock</p>
          <Segments<Held>
            label="Lock"
            value={held}
            options={[
              { value: 'nothing', label: 'nothing' },
              { value: 'distance', label: 'distance' },
              { value: 'hours', label: 'hours' },
              { value: 'strength', label: 'PPFD' },
              { value: 'dose', label: 'DLI' },
            ]}
            onChange={setHeld}
          />
        </div>
        {held === 'strength' && (
          <NumberField
            label="mean PPFD"
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
            label="mean DLI"
            unit="mol/m²/day"
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
