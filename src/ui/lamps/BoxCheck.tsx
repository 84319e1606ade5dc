'use client';
import { Plus, X } from 'lucide-react';
import { useMemo, useState } from 'react';
import { auditClaims } from '@/core/judge/claims/auditClaims';
import { CLAIM_KINDS, oneOf, type Claim, type ClaimKind, type Claims } from '@/core/judge/claims/Claim';
import { MOST_CLAIM_LETTERS, readClaims } from '@/core/judge/claims/readClaims';
import { useStore } from 'zustand';
import { drafts, setDraft } from '@/store/drafts';
import { Button } from '../parts/Button';
import { Link } from '../parts/Link';
import { NumberField } from '../parts/NumberField';
import { SelectField } from '../parts/SelectField';
import { TextBox } from '../parts/TextBox';
import { OnMyTier } from './OnMyTier';
import { claimFaultWords, CLAIM_WORDS, verdictWords } from './boxWords';

const PLACE = 'box check';
const EXAMPLE = '“1000 W” LED panel, power consumption 65 W, 900 µmol/m²/s, covers 4 x 4 ft, 50,000 hours, only $6 a year';

/** What a box or advert says, read out, held against itself and against physics, and against one's own tier. */
export function BoxCheck() {
  const text = useStore(drafts, (s) => s.texts[PLACE] ?? '');
  // Corrections belong to the text that they were made on.
  const [corrected, setCorrected] = useState<{ of: string; figures: readonly Claim[] } | null>(null);
  const read = useMemo(() => readClaims(text), [text]);
  const figures = corrected?.of === text ? corrected.figures : read.figures;
  const claims: Claims = { ...read, figures };
  const faults = auditClaims(claims);
  const setFigures = (next: readonly Claim[]) => setCorrected({ of: text, figures: next });
  return (
    <div className="mx-auto grid w-full max-w-6xl gap-x-8 gap-y-6 px-4 py-5 md:px-6 lg:grid-cols-[minmax(0,1fr)_24rem] lg:grid-rows-[auto_1fr]">
      <div className="space-y-5">
        <header>
          <h1 className="text-2xl font-semibold">Check a box or an advert</h1>
          <p className="text-soft">
            Paste or type what it says. Every figure is read out with what it is a figure of. Correct what was read wrongly.
          </p>
        </header>
        <TextBox
          label="What it says"
          className="min-h-28"
          most={MOST_CLAIM_LETTERS}
          value={text}
          onChange={(typed) => setDraft(PLACE, typed)}
        />
        {text === '' && <Button onClick={() => setDraft(PLACE, EXAMPLE)}>Try an example</Button>}
      </div>
      {(text !== '' || figures.length > 0) && (
        <section aria-labelledby="box-verdict" className="space-y-4 lg:row-span-2">
          <h2 id="box-verdict" aria-live="polite" className="text-xl font-semibold">
            {verdictWords(faults, figures.length)}
          </h2>
          <ul className="divide-y divide-line border-y border-line empty:hidden">
            {faults.map((fault) => {
              const { title, why } = claimFaultWords(fault);
              return (
                <li key={fault.code} className="py-2.5" data-testid="box-fault">
                  <p className={fault.code.startsWith('missing') ? 'font-semibold' : 'font-semibold text-copper'}>{title}</p>
                  <p className="text-soft">{why}</p>
                </li>
              );
            })}
          </ul>
          <OnMyTier claims={claims} />
          {oneOf(claims, 'drawnWatts') !== null && (
            <p>
              To see how it would hang and light your trays, describe it in{' '}
              <Link className="underline underline-offset-4" href="/check">
                Check
              </Link>
              , under the lamp’s name; then{' '}
              <Link className="underline underline-offset-4" href="/lamps/compare">
                compare it
              </Link>{' '}
              with others.
            </p>
          )}
        </section>
      )}
      {text !== '' && (
        <Figures figures={figures} onChange={setFigures} isCorrected={figures !== read.figures} onReset={() => setCorrected(null)} />
      )}
    </div>
  );
}

interface FiguresProps {
  figures: readonly Claim[];
  isCorrected: boolean;
  onChange(figures: readonly Claim[]): void;
  onReset(): void;
}

function Figures({ figures, isCorrected, onChange, onReset }: FiguresProps) {
  const set = (i: number, to: Claim) => onChange(figures.map((f, j) => (j === i ? to : f)));
  return (
    <section aria-labelledby="box-figures" className="space-y-2">
      <h2 id="box-figures" className="text-lg font-semibold">
        {figures.length === 0 ? 'No figure was found in this text' : 'Read out'}
      </h2>
      {figures.length === 0 && (
        <p className="text-soft">Figures are known by their units, such as 36 W, 2400 lm, 65 µmol/s, 60 x 120 cm.</p>
      )}
      <ul className="divide-y divide-line border-y border-line empty:hidden">
        {figures.map((figure, i) => {
          const words = CLAIM_WORDS[figure.kind];
          return (
            <li
              key={i}
              className="grid grid-cols-[1fr_auto] items-center gap-x-3 gap-y-1 py-2 sm:grid-cols-[9rem_minmax(0,1fr)_13rem_auto]"
              data-testid="box-figure"
            >
              <span className="text-sm text-soft">{figure.words ? `“${figure.words}”` : 'typed'}</span>
              <span className="max-sm:col-span-2 max-sm:row-start-2">
                <SelectField
                  label={`What ${figure.words || `figure ${i + 1}`} is`}
                  hideLabel
                  value={figure.kind}
                  options={CLAIM_KINDS.map((k) => ({ value: k, label: CLAIM_WORDS[k].label }))}
                  onChange={(k) => set(i, { ...figure, kind: k as ClaimKind, value: rescaled(figure, k as ClaimKind) })}
                />
              </span>
              <NumberField
                label={`${words.label}, value`}
                hideLabel
                value={figure.value * words.scale}
                min={0}
                max={1e7}
                unit={words.unit}
                className="max-sm:row-start-3"
                inputClassName="w-24"
                onChange={(v) => set(i, { ...figure, value: v / words.scale })}
              />
              <Button
                kind="quiet"
                className="max-sm:col-start-2 max-sm:row-start-1"
                aria-label={`Remove ${figure.words || words.label}`}
                onClick={() => onChange(figures.filter((_, j) => j !== i))}
              >
                <X size={17} aria-hidden />
              </Button>
            </li>
          );
        })}
      </ul>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => onChange([...figures, { kind: 'hours', value: 12, words: '' }])}>
          <Plus size={17} aria-hidden /> Add a figure
        </Button>
        {isCorrected && <Button onClick={onReset}>Read the text again</Button>}
      </div>
    </section>
  );
}

/** The number that a person sees stays, whatever it is now called. */
function rescaled(figure: Claim, kind: ClaimKind): number {
  return (figure.value * CLAIM_WORDS[figure.kind].scale) / CLAIM_WORDS[kind].scale;
}
