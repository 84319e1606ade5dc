'use client';
import { useState } from 'react';
import { dilute, ELEMENT_NAMES, YOUNG_CEILING } from '@/core/judge/feed/dilute';
import { ELEMENTS, type FeedForm, type LabelBasis } from '@/core/judge/feed/feed';
import { NumberField } from '../parts/NumberField';
import { SelectField } from '../parts/SelectField';
import { ConductivityField, conductivityOf } from './ConductivityField';

const n = (v: number) => String(Number(v.toPrecision(3)));
const list = (words: readonly string[]) => (words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`);

/** How much of a feed goes into the can that one has. */
export function FeedView() {
  const [label, setLabel] = useState({ N: 7, P: 5, K: 6 });
  const [basis, setBasis] = useState<LabelBasis>('oxide');
  const [form, setForm] = useState<FeedForm>({ kind: 'liquid-w/w', density_kg_per_L: 1.2 });
  const [by, setBy] = useState<'nitrogen' | 'label'>('nitrogen');
  const [ppm, setPpm] = useState(75);
  const [perLitre, setPerLitre] = useState(2);
  const [ceiling, setCeiling] = useState(YOUNG_CEILING);
  const [can, setCan] = useState(2);
  const unit = form.kind === 'powder' ? 'g' : 'ml';
  const got = dilute({ label, basis, form, by: by === 'nitrogen' ? { kind: by, ppm } : { kind: by, perLitre }, ceiling, can_L: can });
  return (
    <div className="mx-auto w-full max-w-4xl space-y-6 px-4 py-5 md:px-6">
      <header>
        <h1 className="text-2xl font-semibold" aria-live="polite" data-testid="dose">
          {got ? `${n(got.perCan)} ${unit} into your can of ${n(can)} L` : 'This feed has no nitrogen'}
        </h1>
        <p className="text-soft">
          {got
            ? `${n(got.perLitre)} ${unit} a litre: ${ELEMENTS.map((e) => `${n(got.ppm[e])} mg/l ${ELEMENT_NAMES[e]}`).join(', ')}.`
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
              onChange={(v) => setLabel({ ...label, [e]: v })}
            />
          ))}
          <SelectField
            label="The label gives"
            value={basis}
            options={[
              { value: 'oxide', label: 'N, P₂O₅, K₂O (usual)' },
              { value: 'elemental', label: 'N, P, K as elements' },
            ]}
            onChange={(v) => setBasis(v as LabelBasis)}
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
              setForm(kind === 'liquid-w/w' ? { kind, density_kg_per_L: 1.2 } : { kind: kind as 'powder' | 'liquid-w/v' })
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
              onChange={(d) => setForm({ kind: 'liquid-w/w', density_kg_per_L: d })}
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
            onChange={(v) => setBy(v as typeof by)}
          />
          {by === 'nitrogen' ? (
            <NumberField label="Nitrogen" value={ppm} min={1} max={1000} unit="mg/l" inputClassName="w-20" onChange={setPpm} />
          ) : (
            <NumberField
              label="Dose on the label"
              value={perLitre}
              min={0.01}
              max={100}
              unit={`${unit}/L`}
              inputClassName="w-20"
              onChange={setPerLitre}
            />
          )}
          <NumberField label="Your can" value={can} min={0.1} max={1000} unit="L" inputClassName="w-16" onChange={setCan} />
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
              onChange={(v) => setCeiling({ ...ceiling, [e]: v })}
            />
          ))}
        </div>
        <p className="text-sm text-soft">
          Young plants: 50 to 100 mg/l nitrogen, from the first true leaf, not more often than every 10 to 14 days (growers’ consensus). One
          mg/l is 1 ppm.
        </p>
      </section>
      <Conductivity />
      <p className="text-sm text-soft">
        Never keep feed in drink bottles. Keep it away from children and pets. Wear gloves with concentrates.
      </p>
    </div>
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
