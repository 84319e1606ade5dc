'use client';
import { useState } from 'react';
import { cropOf } from '@/core/site/crop/cropOf';
import { correctLogged } from '@/core/site/growth/changeGrowth';
import { doubtOfHeight } from '@/core/site/growth/doubtOfHeight';
import { LEAF_SIGNS, type LeafSign, type Logged, type LoggedKind } from '@/core/site/stand/Logged';
import type { Batch } from '@/core/site/stand/Site';
import { tables } from '@/core/things/tables/libraryTables';
import { showLength } from '@/core/units/length';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { DayField } from '../parts/DayField';
import { LengthField } from '../parts/LengthField';
import { SelectField } from '../parts/SelectField';
import { ENTRY_KINDS } from './entryWords';
import { MaybeGramsField } from '../parts/MaybeGramsField';
import { TextBox } from '../parts/TextBox';
import { say } from '../shell/toastStore';
import { AirFields, airProblem, isAirEmpty } from '../tray/AirFields';
import { SolutionFields, solutionOf, typedSolution } from '../tray/SolutionFields';
import { LEAF_SIGN_WORDS, PLACE_WORDS } from '../tray/leafSignWords';
import { heightDoubtWords } from '../tray/heightDoubtWords';
import { useSettings, useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';

/** Kinds that are no more than a press and words: one may have been pressed for another. */
const PLAIN: readonly LoggedKind[] = [
  'emerged',
  'not-yet',
  'true-leaves',
  'potted-on',
  'watered',
  'fed',
  'thinned',
  'moved',
  'trouble',
  'note',
  'next-time',
];

/** An entry set right; what stood there is kept with it. */
export function CorrectEntry({ batch, entry, onDone }: { batch: Batch; entry: Logged; onDone(): void }) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const { lengthUnit } = useSettings();
  const today = useToday();
  const [day, setDay] = useState(entry.day);
  const [height, setHeight] = useState(entry.height);
  const [grams, setGrams] = useState<number | null>(entry.weight_g ?? null);
  const [text, setText] = useState(entry.text ?? '');
  const [what, setWhat] = useState(entry.what);
  const [air, setAir] = useState(entry.air ?? null);
  const [typed, setTyped] = useState(() => (entry.solution ? typedSolution(entry.solution) : null));
  const [sign, setSign] = useState<LeafSign | null>(entry.sign ?? null);
  const [place, setPlace] = useState<number | null>(entry.place ?? null);
  const solution = typed && solutionOf(typed);
  // What leaves show belongs to trouble alone, and a place to a sign.
  const shows = what === 'trouble' && sign !== null ? { sign, ...(place === null ? {} : { place }) } : {};
  const trimmed = text.trim().slice(0, 1000);
  const isSame =
    what === entry.what &&
    day === entry.day &&
    height === entry.height &&
    grams === (entry.weight_g ?? null) &&
    trimmed === (entry.text ?? '') &&
    JSON.stringify([air, solution, sign, place]) ===
      JSON.stringify([entry.air ?? null, entry.solution ?? null, entry.sign ?? null, entry.place ?? null]);
  const crop = cropOf(site, batch.cropId, tables);
  const doubt = entry.what === 'height' && height !== null && crop ? doubtOfHeight(crop, height, day, today) : null;
  const isEmpty =
    ((what === 'note' || what === 'next-time') && trimmed === '') ||
    (air !== null && isAirEmpty(air)) ||
    (solution !== null && solution.ec === null && solution.ph === null);
  const problem = air && airProblem(air);
  return (
    <form
      className="mt-2 space-y-3 rounded-md bg-sunk p-3"
      aria-label="Correct the entry"
      onSubmit={(e) => {
        e.preventDefault();
        if (isSame || isEmpty || problem) return;
        const now = {
          day,
          height,
          ...(what === entry.what ? {} : { what }),
          ...(trimmed ? { text: trimmed } : {}),
          ...(grams === null ? {} : { weight_g: grams }),
          ...(air ? { air } : {}),
          ...(solution ? { solution } : {}),
          ...shows,
        };
        if (!changeSite(sites, 'correct an entry', correctLogged(batch.id, entry.id, now))) return;
        say('The entry is corrected. What stood there is kept below it.', { label: 'Undo', run: () => undo(sites) });
        onDone();
      }}
    >
      <div className="flex flex-wrap items-end gap-3">
        <DayField
          label="Day"
          value={day}
          {...(batch.sown === null ? {} : { min: batch.sown })}
          max={today}
          onChange={(d) => d !== null && setDay(d)}
        />
        {PLAIN.includes(entry.what) && (
          <SelectField
            label="Kind"
            value={what}
            options={PLAIN.map((k) => ({ value: k, label: ENTRY_KINDS[k] }))}
            onChange={(k) => setWhat(k as LoggedKind)}
          />
        )}
        {entry.what === 'height' && height !== null && (
          <LengthField label="Height" value={height} min={0.001} max={3} inputClassName="w-24" onChange={setHeight} />
        )}
        {entry.what === 'harvest' && <MaybeGramsField label="Fresh weight" value={grams} inputClassName="w-20" onChange={setGrams} />}
        {air && <AirFields air={air} onChange={setAir} />}
        {typed && <SolutionFields typed={typed} onChange={setTyped} />}
        {what === 'trouble' && entry.sign !== undefined && (
          <>
            <SelectField
              label="Leaves"
              value={sign ?? ''}
              options={[
                { value: '', label: 'In words only' },
                ...LEAF_SIGNS.map((s) => ({ value: s as string, label: LEAF_SIGN_WORDS[s] })),
              ]}
              onChange={(s) => setSign(s === '' ? null : (s as LeafSign))}
            />
            {sign !== null && (
              <SelectField
                label="Where in the tray"
                value={place === null ? '' : String(place)}
                options={[{ value: '', label: 'all of it' }, ...PLACE_WORDS.map((label, i) => ({ value: String(i), label }))]}
                onChange={(p) => setPlace(p === '' ? null : Number(p))}
              />
            )}
          </>
        )}
      </div>
      {problem && <p className="text-copper">{problem}</p>}
      <TextBox label="In your own words" most={1000} value={text} onChange={setText} />
      {doubt && (
        <p role="alert" className="text-copper">
          {heightDoubtWords(doubt, showLength(height!, lengthUnit))}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <Button kind="main" type="submit" disabled={isSame || isEmpty || Boolean(problem)}>
          {doubt ? 'It is right, save it' : 'Save the correction'}
        </Button>
        <Button kind="quiet" onClick={onDone}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
