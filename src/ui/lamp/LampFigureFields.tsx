import { contradictions } from '@/core/things/lamp/boxClaims';
import {
  BELIEFS,
  claimsOf,
  colourOfBox,
  EFFICACY_BEST,
  efficacyLimitOf,
  type Belief,
  type LampBox,
  type BoxFigures,
} from '@/core/things/lamp/lampFromBox';
import type { Lamp } from '@/core/things/lamp/Lamp';
import type { Problem, Result } from '@/core/units/result';
import { Group } from '../parts/Group';
import { LengthField } from '../parts/LengthField';
import { MaybeNumberField } from '../parts/MaybeNumberField';
import { NumberField } from '../parts/NumberField';
import { Segments } from '../parts/Segments';
import { lampProblemWords } from './lampProblemWords';
import { LampProblem } from './LampProblem';
import { MapPaste } from './MapPaste';

const BELIEF_WORDS: Readonly<Record<Belief, string>> = {
  lumens: 'lumens',
  ppf: 'PPF',
  efficacy: 'efficacy',
  ppfd: 'PPFD',
  map: 'a map',
  photometry: 'its file',
  unknown: 'No value: I will measure',
};

interface LampFigureFieldsProps {
  box: LampBox;
  /** The lamp that the box makes as it stands. */
  trial: Result<Lamp>;
  change(part: Partial<LampBox>): void;
  problem(at: string): Problem | undefined;
}

/** What the box says of power and light, which figure counts, and whether they agree with each other and with physics. */
export function LampFigureFields({ box, trial, change, problem }: LampFigureFieldsProps) {
  const colour = colourOfBox(box);
  /** A figure that is typed counts from then on, unless another one is chosen. */
  const figure = (what: 'lumens' | 'ppf' | 'efficacy' | 'ppfd', value: number | null) =>
    change({ figures: { ...box.figures, [what]: value } satisfies BoxFigures, ...(value !== null ? { believe: what } : {}) });
  const believable = BELIEFS.filter((b) =>
    b === 'photometry' ? box.measured : b === 'map' ? box.map : b === 'unknown' || box.figures[b] !== null,
  );
  return (
    <Group title="What the box says of power and light">
      <div className="flex flex-wrap gap-4">
        <NumberField
          label="watts drawn (not “equivalent”)"
          unit="W"
          value={box.power}
          min={0.5}
          max={2000}
          onChange={(power) => change({ power })}
        />
        <NumberField label="colour temperature" unit="K" value={box.cct} min={1500} max={20000} onChange={(cct) => change({ cct })} />
      </div>
      <p className="text-sm text-soft">Enter the values on the label. Leave the others empty.</p>
      <div className="flex flex-wrap gap-4">
        <MaybeNumberField label="lumens" unit="lm" value={box.figures.lumens} min={1} max={1e6} onChange={(v) => figure('lumens', v)} />
        <MaybeNumberField label="PPF" unit="µmol/s" value={box.figures.ppf} min={0.1} max={10000} onChange={(v) => figure('ppf', v)} />
        <MaybeNumberField
          label="efficacy"
          unit="µmol/J"
          value={box.figures.efficacy}
          min={0.01}
          max={10}
          onChange={(v) => figure('efficacy', v)}
        />
        <div className="flex gap-3">
          <MaybeNumberField
            label="PPFD in the middle"
            unit="µmol/m²/s"
            value={box.figures.ppfd}
            min={0.1}
            max={10000}
            onChange={(v) => figure('ppfd', v)}
          />
          <LengthField
            label="at this distance"
            value={box.figures.ppfdDistance}
            min={0.01}
            max={3}
            inputClassName="w-20"
            onChange={(ppfdDistance) => change({ figures: { ...box.figures, ppfdDistance } })}
          />
        </div>
      </div>
      <MapPaste map={box.map} onMap={(map) => change({ map, believe: map ? 'map' : box.believe === 'map' ? 'lumens' : box.believe })} />
      <div>
        <p className="pb-1 text-sm text-soft">Value to use</p>
        <Segments
          label="Which figure counts"
          value={box.believe}
          options={believable.map((value) => ({ value, label: BELIEF_WORDS[value] }))}
          onChange={(believe) => change({ believe })}
        />
      </div>
      <LampProblem problem={problem(box.believe)} />
      {contradictions(claimsOf(box)).map((c) => (
        <p key={c.higher + c.lower} className="text-copper" role="status">
          The box contradicts itself: by its {BELIEF_WORDS[c.higher]} it gives {c.times.toFixed(1)} times what its {BELIEF_WORDS[c.lower]}{' '}
          say
          {c.lower === 'lumens' ? '' : 's'}. Believe the lower until a meter says otherwise.
        </p>
      ))}
      {trial.ok ? (
        <p className="text-soft" data-testid="box-check">
          Makes {trial.value.ppf.toFixed(1)} µmol/s in all directions, {(trial.value.ppf / box.power).toFixed(2)} µmol for each joule
          {(box.believe === 'lumens' || box.believe === 'photometry') && ` (${colour.luxPerUmol} lm for each µmol/s: ${colour.name})`}
          {box.believe === 'map' &&
            trial.value.beamFwhm !== null &&
            `, in a beam of ${Math.round((trial.value.beamFwhm * 180) / Math.PI)}°`}
          . Physics allows {efficacyLimitOf(box).toFixed(1)} in this colour.
          {trial.value.ppf / box.power > EFFICACY_BEST && (
            <span className="block text-copper">Better than the best lamps sold ({EFFICACY_BEST}): is it really the watts drawn?</span>
          )}
        </p>
      ) : (
        <p className="text-copper" role="status">
          {trial.problems.map(lampProblemWords).join(' ')}
        </p>
      )}
    </Group>
  );
}
