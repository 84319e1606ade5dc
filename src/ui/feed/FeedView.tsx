'use client';
import { useState } from 'react';
import { dilute, ELEMENT_NAMES, type Diluted } from '@/core/judge/feed/dilute';
import { ELEMENT_IN_OXIDE, ELEMENTS, ppmPerUnit, type LabelBasis } from '@/core/judge/feed/feed';
import type { FeedMix } from '@/core/judge/feed/FeedMix';
import { readDose, type DoseUnit } from '@/core/judge/feed/readDose';
import { ok } from '@/core/units/result';
import { GALLON, readVolume, showVolume, TEASPOON } from '@/core/units/volume';
import { decimalSign } from '../parts/decimalSign';
import { Fold } from '../parts/Fold';
import { NumberField } from '../parts/NumberField';
import { SelectField } from '../parts/SelectField';
import { TypedField } from '../parts/TypedField';
import { useSettings, useWorkspace } from '../shell/WorkspaceContext';
import { ConductivityField, conductivityOf } from './ConductivityField';

const n = (v: number) => String(Number(v.toPrecision(3)));
const list = (words: readonly string[]) => (words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`);

/** How much of a feed goes into the can that one has. */
export function FeedView() {
  const { settings } = useWorkspace();
  const { feed, lengthUnit } = useSettings();
  const { label, basis, form, by, ppm, perLitre, ceiling, can } = feed;
  const set = (how: Partial<FeedMix>) => settings.setState({ feed: { ...feed, ...how } });
  const unit = form.kind === 'powder' ? 'g' : 'ml';
  const got = dilute({ label, basis, form, by: by === 'nitrogen' ? { kind: by, ppm } : { kind: by, perLitre }, ceiling, can_L: can });
  const spoons = (ml: number) =>
    lengthUnit === 'in' && unit === 'ml' && ml >= TEASPOON * 250 ? ` (${Number((ml / 1000 / TEASPOON).toPrecision(2))} tsp)` : '';
  return (
    <div className="mx-auto w-full max-w-4xl space-y-6 px-4 py-5 md:px-6">
      <header>
        <h1 className="text-2xl font-semibold" aria-live="polite" data-testid="dose">
          {got
            ? `${n(got.perCan)} ${unit}${spoons(got.perCan)} into your can of ${showVolume(can, lengthUnit)}`
            : 'This feed has no nitrogen'}
        </h1>
        <p className="text-soft">
          {got
            ? `${lengthUnit === 'in' ? `${n(got.perLitre * GALLON)} ${unit} a US gallon` : `${n(got.perLitre)} ${unit} a litre`}: ${ELEMENTS.map((e) => `${n(got.ppm[e])} mg/l ${ELEMENT_NAMES[e]}`).join(', ')}.`
            : 'Choose “what the label says”, or another feed.'}
          {got && got.share < 1 && (
            <b className="block text-copper">
              {list(got.binding.map((e) => ELEMENT_NAMES[e])).replace(/^./, (c) => c.toUpperCase())} would pass the ceiling: this is{' '}
              {Math.round(got.share * 100)} % of what you asked for.
            </b>
          )}
        </p>
      </header>
      <section aria-labelledby="feed-label" className="space-y-3">
        <h2 id="feed-label" className="text-xl font-semibold">
          The feed
        </h2>
        <div className="flex flex-wrap items-end gap-4">
          {ELEMENTS.map((e) => (
            <NumberField
              key={e}
              label={`${e} on the label`}
              value={label[e]}
              min={0}
              max={100}
              unit="%"
              inputClassName="w-16"
              onChange={(v) => set({ label: { ...label, [e]: v } })}
            />
          ))}
          <SelectField
            label="The label gives"
            value={basis}
            options={[
              { value: 'oxide', label: 'N, P₂O₅, K₂O (usual)' },
              { value: 'elemental', label: 'N, P, K as elements' },
            ]}
            onChange={(v) => set({ basis: v as LabelBasis })}
          />
          <SelectField
            label="It is"
            value={form.kind}
            options={[
              { value: 'powder', label: 'A powder' },
              { value: 'liquid-w/w', label: 'A liquid, % of its weight' },
              { value: 'liquid-w/v', label: 'A liquid, g in 100 ml' },
            ]}
            onChange={(kind) =>
              set({ form: kind === 'liquid-w/w' ? { kind, density_kg_per_L: 1.2 } : { kind: kind as 'powder' | 'liquid-w/v' } })
            }
          />
          {form.kind === 'liquid-w/w' && (
            <NumberField
              label="Density"
              value={form.density_kg_per_L}
              min={0.5}
              max={2}
              unit="kg/L"
              inputClassName="w-16"
              onChange={(d) => set({ form: { kind: 'liquid-w/w', density_kg_per_L: d } })}
            />
          )}
        </div>
      </section>
      <section aria-labelledby="feed-dose" className="space-y-3">
        <h2 id="feed-dose" className="text-xl font-semibold">
          How strong
        </h2>
        <div className="flex flex-wrap items-end gap-4">
          <SelectField
            label="By"
            value={by}
            options={[
              { value: 'nitrogen', label: 'Nitrogen wanted' },
              { value: 'label', label: 'What the label says' },
            ]}
            onChange={(v) => set({ by: v as typeof by })}
          />
          {by === 'nitrogen' ? (
            <NumberField
              label="Nitrogen"
              value={ppm}
              min={1}
              max={1000}
              unit="mg/l"
              inputClassName="w-20"
              onChange={(v) => set({ ppm: v })}
            />
          ) : (
            <DoseField key={unit} unit={unit} perLitre={perLitre} onChange={(v) => set({ perLitre: v })} />
          )}
          <TypedField
            label="Your can"
            shown={showVolume(can, lengthUnit)}
            read={(text) => readVolume(text, lengthUnit, decimalSign())}
            refuse={(v) =>
              v >= 0.1 && v <= 1000 ? null : `Enter a volume between ${showVolume(0.1, lengthUnit)} and ${showVolume(1000, lengthUnit)}.`
            }
            hint="A volume, such as 4 L, 500 ml or 1 gal."
            onChange={(v) => set({ can: v })}
          />
        </div>
        <div className="flex flex-wrap items-end gap-4">
          {ELEMENTS.map((e) => (
            <NumberField
              key={e}
              label={`At most, ${ELEMENT_NAMES[e]}`}
              value={ceiling[e]}
              min={1}
              max={2000}
              unit="mg/l"
              inputClassName="w-16"
              onChange={(v) => set({ ceiling: { ...ceiling, [e]: v } })}
            />
          ))}
        </div>
        <p className="text-sm text-soft">
          Young plants: 50 to 100 mg/l nitrogen, from the first true leaf, not more often than every 10 to 14 days (growers’ consensus). One
          mg/l is 1 ppm.
        </p>
      </section>
      {got && <Workings feed={feed} got={got} />}
      <Conductivity />
      <p className="text-sm text-soft">
        Never keep feed in drink bottles. Keep it away from children and pets. Wear gloves with concentrates.
      </p>
    </div>
  );
}

/** How the dose is worked out. */
function Workings({ feed: { label, basis, form, by, ppm, perLitre, can }, got }: { feed: FeedMix; got: Diluted }) {
  const unit = form.kind === 'powder' ? 'g' : 'ml';
  const per = ppmPerUnit(label, basis, form);
  const dense = form.kind === 'liquid-w/w' ? ` × ${n(form.density_kg_per_L)} kg/L` : '';
  const asked =
    by === 'nitrogen' ? `${n(ppm)} mg/l ÷ ${n(per.N)} mg = ${n(ppm / per.N)} ${unit}/L` : `${n(perLitre)} ${unit}/L, as the label says`;
  return (
    <Fold title="Where these numbers come from">
      <div className="max-w-prose space-y-2 border-l-2 border-line pl-3 text-sm">
        <p>
          1 {unit} of this feed holds{' '}
          {ELEMENTS.map((e) => {
            const oxide = basis === 'oxide' && e !== 'N' ? ` × ${ELEMENT_IN_OXIDE[e]}` : '';
            return `${n(label[e])} %${oxide}${dense} = ${n(per[e])} mg ${ELEMENT_NAMES[e]}`;
          }).join('; ')}
          .{basis === 'oxide' && ' The label gives P₂O₅ and K₂O; the factors are the elements’ part of them, by molar masses.'}
        </p>
        <p>
          {asked}
          {got.share < 1 && `; × ${n(got.share)} so that no ceiling is passed: ${n(got.perLitre)} ${unit}/L`}; × {n(can)} L ={' '}
          {n(got.perCan)} {unit}.
        </p>
      </div>
    </Fold>
  );
}

const DOSE_PROBLEMS: Readonly<Record<string, string>> = {
  'dose/powder-by-volume': 'A spoon of powder weighs more or less from feed to feed. Weigh one, and type grams, such as 2 g/L.',
  'dose/liquid-by-weight': 'A liquid is measured out. Type millilitres or teaspoons, such as 2 ml/L or 1 tsp/gal.',
};

/** How a label says that it is thinned, in its own words. */
function DoseField({ unit, perLitre, onChange }: { unit: DoseUnit; perLitre: number; onChange(perLitre: number): void }) {
  const [text, setText] = useState('');
  const said = (typed: string) => readDose(typed, unit, decimalSign());
  return (
    <TypedField<string>
      label="Dose on the label"
      shown={text || `${n(perLitre)} ${unit}/L`}
      read={(typed) => ok(typed.trim())}
      refuse={(typed) => {
        const dose = said(typed);
        if (!dose.ok)
          return DOSE_PROBLEMS[dose.problems[0]!.code] ?? `Such as 2 ${unit}/L, 5 ${unit} in 10 L${unit === 'ml' ? ', or 1 tsp/gal' : ''}.`;
        return dose.value >= 0.01 && dose.value <= 100
          ? null
          : `That is ${n(dose.value)} ${unit}/L. Type a dose between 0.01 and 100 ${unit}/L.`;
      }}
      hint={`Such as 2 ${unit}/L.`}
      inputClassName="w-32"
      onChange={(typed) => {
        const dose = said(typed);
        if (!dose.ok) return;
        setText(typed);
        onChange(dose.value);
      }}
    />
  );
}

/** A conductivity in whatever unit a meter shows; never guessed. */
function Conductivity() {
  const [text, setText] = useState('');
  const value = conductivityOf(text);
  return (
    <section aria-labelledby="ec" className="space-y-2">
      <h2 id="ec" className="text-xl font-semibold">
        What the EC meter shows
      </h2>
      <ConductivityField label="Reading with its unit" text={text} inputClassName="w-48" onChange={setText} />
      {value !== null && (
        <p aria-live="polite">
          <b>{n(value)} mS/cm</b>, with water included: subtract what your tap water shows. Seedlings: about 0.5 to 1.2 (growers’
          consensus).
        </p>
      )}
    </section>
  );
}
