'use client';
import { OUTCOME_KINDS, SELECTIONS, TRIAL_FACTORS, type Trial } from '@/core/site/trial/Trial';
import { comesWithPlace } from '@/core/plan/trial/trialRounds';
import { DayField } from '../parts/DayField';
import { SelectField } from '../parts/SelectField';
import { TextField } from '../parts/TextField';
import { FACTOR_WORDS, SELECTION_WORDS } from './trialWords';

const OUTCOME_WORDS = { measured: 'Measured', scored: 'Scored by eye or taste', counted: 'Counted, of so many sown' } as const;

interface QuestionProps {
  trial: Trial;
  /** Something was measured: what is asked can't be changed any more without saying so. */
  isFixed: boolean;
  onChange(what: string, how: Partial<Trial>): void;
}

/** What is compared, what is measured, and when it ends: before it starts. */
export function QuestionFields({ trial, isFixed, onChange }: QuestionProps) {
  const { outcome } = trial;
  const set = (how: Partial<Trial['outcome']>) => onChange('change what is measured', { outcome: { ...outcome, ...how } });
  return (
    <section aria-labelledby="question" className="space-y-3">
      <h2 id="question" className="text-xl font-semibold">
        The question
      </h2>
      {isFixed && (
        <p className="text-soft">
          Values are there already: a question that is changed now is a new question. Undo brings the old one back.
        </p>
      )}
      <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
        <TextField label="Name" value={trial.name} most={120} className="w-60" onChange={(name) => onChange('name the trial', { name })} />
        <SelectField
          label="What is compared"
          value={trial.factor}
          options={TRIAL_FACTORS.map((f) => ({ value: f, label: FACTOR_WORDS[f] }))}
          onChange={(factor) => onChange('change what is compared', { factor: factor as Trial['factor'] })}
        />
        {(trial.factor === 'lamp' || trial.factor === 'hours') && (
          <SelectField
            label="Light"
            value={trial.equalDose ? 'equal' : 'free'}
            options={[
              { value: 'equal', label: 'Same DLI in all arms' },
              { value: 'free', label: 'DLI may differ' },
            ]}
            onChange={(v) => onChange('change the light of the arms', { equalDose: v === 'equal' })}
          />
        )}
        <TextField label="What is measured" value={outcome.name} most={120} className="w-44" onChange={(name) => set({ name })} />
        <TextField label="Unit" value={outcome.unit} most={20} className="w-20" onChange={(unit) => set({ unit })} />
        <SelectField
          label="How"
          value={outcome.kind}
          options={OUTCOME_KINDS.map((k) => ({ value: k, label: OUTCOME_WORDS[k] }))}
          onChange={(kind) => set({ kind: kind as Trial['outcome']['kind'] })}
        />
        {outcome.kind === 'scored' && (
          <SelectField
            label="Who scores"
            value={outcome.isBlind ? 'blind' : 'knows'}
            options={[
              { value: 'blind', label: 'Sees only the codes' },
              { value: 'knows', label: 'Knows the arms' },
            ]}
            onChange={(v) => set({ isBlind: v === 'blind' })}
          />
        )}
        <SelectField
          label="Which plants"
          value={trial.selection}
          options={SELECTIONS.map((s) => ({ value: s, label: SELECTION_WORDS[s] }))}
          onChange={(s) => onChange('say which plants', { selection: s as Trial['selection'] })}
        />
        <DayField label="Starts" value={trial.starts} onChange={(starts) => starts !== null && onChange('date the start', { starts })} />
        <DayField label="Ends" value={trial.ends} clearable min={trial.starts} onChange={(ends) => onChange('fix the end', { ends })} />
        <SelectField
          label={comesWithPlace(trial) ? 'Trays of an arm change places' : 'Trays change places'}
          value={String(trial.rotate_days ?? 0)}
          options={[
            { value: '0', label: 'Never' },
            ...[1, 2, 3, 4, 7].map((d) => ({ value: String(d), label: d === 1 ? 'Every day' : `Every ${d} days` })),
          ]}
          onChange={(v) => onChange('change the rotation', { rotate_days: v === '0' ? null : Number(v) })}
        />
      </div>
    </section>
  );
}
