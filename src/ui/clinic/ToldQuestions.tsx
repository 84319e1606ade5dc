'use client';
import { X } from 'lucide-react';
import type { NextQuestion } from '@/core/plan/clinic/diagnose';
import { tell } from '@/core/site/stand/changeClinic';
import type { ClinicCase, Told } from '@/core/site/clinic/ClinicCase';
import { showTemperature, type TemperatureUnit } from '@/core/units/temperature';
import { changeSite } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { NumberField } from '../parts/NumberField';
import { TemperatureField } from '../parts/TemperatureField';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { useSettings, useWorkspace } from '../shell/WorkspaceContext';
import { TOLD_FIELDS } from './factWords';

/** At most three questions, whose answers would tell most; and what was answered, to be taken back. */
export function ToldQuestions({ kase, questions }: { kase: ClinicCase; questions: readonly NextQuestion[] }) {
  const { sites } = useWorkspace();
  const { temperatureUnit } = useSettings();
  const say = (told: Partial<Record<keyof Told, unknown>>) => {
    changeSite(sites, 'answer', tell(kase.id, told as Partial<Told>));
    // What was pressed goes with its question.
    focusHeadingIfLost();
  };
  const said = (Object.keys(TOLD_FIELDS) as (keyof typeof TOLD_FIELDS)[]).filter((f) => kase.told[f] !== undefined);
  const asked = questions.filter((q): q is NextQuestion & { field: keyof typeof TOLD_FIELDS } => q.field !== 'happened');
  if (asked.length + said.length === 0) return null;
  return (
    <section aria-labelledby="questions" className="space-y-3 rounded-md bg-verdigris-wash px-3 py-3">
      <h2 id="questions" className="text-lg font-semibold">
        {asked.length > 0 ? 'Most useful answers' : 'What you said'}
      </h2>
      {asked.map(({ field }) => {
        const of = TOLD_FIELDS[field];
        if (of.kind === 'number' && of.unit === '°C')
          return (
            <TemperatureField key={field} label={of.label} value={null} min={of.min} max={of.max} onChange={(v) => say({ [field]: v })} />
          );
        if (of.kind === 'number')
          return (
            <NumberField
              key={field}
              label={of.label}
              value={null}
              min={of.min}
              max={of.max}
              unit={of.unit}
              inputClassName="w-24"
              onChange={(v) => say({ [field]: v })}
            />
          );
        return (
          <div key={field} role="group" aria-label={of.label}>
            <p className="pb-1">{of.label}</p>
            <div className="flex flex-wrap gap-2">
              {of.options.map((o) => (
                <Button key={o.value} onClick={() => say({ [field]: o.value === 'true' ? true : o.value === 'false' ? false : o.value })}>
                  {o.label}
                </Button>
              ))}
            </div>
          </div>
        );
      })}
      {said.length > 0 && (
        <ul className="space-y-1" aria-label="What you said">
          {said.map((field) => (
            <li key={field} className="flex items-center gap-2">
              <span className="min-w-0 flex-1">
                {TOLD_FIELDS[field].label} <b>{answerWords(field, kase.told[field], temperatureUnit)}</b>
              </span>
              <Button
                kind="quiet"
                aria-label={`Take back: ${TOLD_FIELDS[field].label}`}
                onClick={() => changeSite(sites, 'take an answer back', tell(kase.id, { [field]: undefined }))}
              >
                <X size={17} aria-hidden />
              </Button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function answerWords(field: keyof typeof TOLD_FIELDS, value: unknown, temperatureUnit: TemperatureUnit): string {
  const of = TOLD_FIELDS[field];
  if (of.kind === 'number' && of.unit === '°C') return showTemperature(Number(value), temperatureUnit);
  return of.kind === 'number' ? `${String(value)} ${of.unit}` : (of.options.find((o) => o.value === String(value))?.label ?? String(value));
}
