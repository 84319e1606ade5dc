'use client';
import { UNIT_OPTIONS } from './words';
import { Table2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { leafTopsOf } from '@/core/answer/stand/benchStand';
import { planeOf } from '@/core/answer/bench/questionOfStand';
import { COLUMNS, guessColumns, headOf, readTable, type Column, type ColumnPlan } from '@/core/measure/reading/readingTable';
import { MOST_READINGS } from '@/core/site/reading/Reading';
import { suspicionsOf } from '@/core/measure/reading/suspicionsOf';
import { takeReading } from '@/core/measure/reading/takeReading';
import { keepReadings } from '@/core/site/stand/changeReadings';
import { MAX_TABLE_BYTES, readTableText } from '@/store/files/readTableText';
import { MOST_PLANS } from '@/store/settings/readSettings';
import { newId } from '@/store/names/newId';
import { changeSite, undo } from '@/store/site/siteStore';
import { CheckField } from '../parts/CheckField';
import { Button } from '../parts/Button';
import { FileButton } from '../parts/FileButton';
import { SelectField } from '../parts/SelectField';
import { Sheet } from '../parts/Sheet';
import { TextBox } from '../parts/TextBox';
import { say } from '../shell/toastStore';
import { useSettings, useWorkspace } from '../shell/WorkspaceContext';
import { MeterChoice } from './MeterChoice';
import { tableProblemWords } from './tableWords';
import { useMeter } from './useMeter';
import type { TierReadings } from './useTierReadings';
import { numberWords, wholeWords } from '../parts/locale';
import { compare } from '@/core/measure/reading/calibrate';

const COLUMN_WORDS: Readonly<Record<Column, string>> = {
  value: 'what it showed',
  unit: 'its unit',
  dark: 'with the lamps off',
  x: 'from the left',
  y: 'from the front',
  z: 'above the shelf',
  time: 'when',
  nothing: 'Ignore this column',
};
const SHOWN_LINES = 6;
/** Letters from which on a paste is put in whole. */
const LONG = 1000;

/** Readings from a file or a pasted list: its columns are matched once, and remembered for the next of its kind. */
export function TableSheet({ of }: { of: TierReadings }) {
  const { sites, settings } = useWorkspace();
  const { tablePlans } = useSettings();
  const meter = useMeter();
  const { tier: t } = of;
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  const [own, setOwn] = useState<ColumnPlan | null>(null);
  const [tooLarge, setTooLarge] = useState<string | null>(null);
  const cut = useMemo(() => (text.trim() === '' ? null : readTableText(text)), [text]);
  const rows = cut?.ok ? cut.value : null;
  const plan = useMemo(() => {
    if (!rows) return null;
    return own ?? tablePlans.find((p) => p.head === headOf(rows) && p.plan.headed)?.plan ?? guessColumns(rows);
  }, [rows, own, tablePlans]);
  const read = useMemo(() => (rows && plan ? readTable(rows, plan) : null), [rows, plan]);
  const readings = read?.ok ? read.value.readings : [];
  const problems = [
    ...(cut && !cut.ok ? cut.problems : []),
    ...(read && !read.ok ? read.problems : []),
    ...(read?.ok ? read.value.problems : []),
  ];
  const room = MOST_READINGS - t.tier.readings.length;
  const outside = readings.filter((r) => (r.x ?? 0) < 0 || (r.x ?? 0) > t.tier.width || (r.y ?? 0) < 0 || (r.y ?? 0) > t.tier.depth).length;

  function begin(next: string) {
    setText(next);
    setOwn(null);
    setTooLarge(null);
  }
  function take() {
    if (!rows || !plan) return;
    const now = Date.now();
    const taken = readings.map((r) => {
      const at = { x: r.x ?? t.tier.width / 2, y: r.y ?? t.tier.depth / 2, z: r.z ?? planeOf(t) };
      return takeReading(
        t.tier,
        at,
        meter.hand,
        { value: r.value, unit: r.unit, dark: r.dark },
        { id: newId(), now_ms: r.taken_ms ?? now, tops: leafTopsOf(t) },
      );
    });
    // Held against each other, as in a walk: what can't be is kept and left out.
    const all = [...t.known.compared, ...compare(taken, of.lampOf, of.cache)];
    const judged =
      taken.length > 200 ? taken : taken.map((r) => ({ ...r, leftOut: suspicionsOf(r, all, of.lampOf, of.others, of.cache).length > 0 }));
    changeSite(sites, `take ${taken.length} readings`, keepReadings(t.tier.id, judged));
    const head = headOf(rows);
    if (plan.headed) settings.setState({ tablePlans: [{ head, plan }, ...tablePlans.filter((p) => p.head !== head)].slice(0, MOST_PLANS) });
    const left = judged.filter((r) => r.leftOut).length;
    say(`${taken.length} readings are taken${left > 0 ? `, ${left} of them doubtful and left out` : ''}.`, {
      label: 'Undo',
      run: () => undo(sites),
    });
    begin('');
    setOpen(false);
  }
  return (
    <Sheet
      title="Readings from a table"
      description="A CSV file or a pasted list. Say once what its columns are; tables with the same head are known from then on."
      trigger={
        <Button>
          <Table2 size={17} aria-hidden /> From a table
        </Button>
      }
      open={open}
      onOpenChange={setOpen}
      footer={
        <Button kind="main" disabled={readings.length === 0 || readings.length > room} onClick={take}>
          {readings.length === 0 ? 'No readings to import yet' : `Add ${readings.length} ${readings.length === 1 ? 'reading' : 'readings'}`}
        </Button>
      }
    >
      <div className="space-y-4">
        <div className="flex flex-wrap items-end gap-3">
          <FileButton
            accept=".csv,.txt,.tsv,text/csv,text/plain"
            maxBytes={MAX_TABLE_BYTES}
            onText={(_, body) => begin(body)}
            onRefused={(name, { code, found }) =>
              setTooLarge(
                code === 'file/too-large'
                  ? `${name} is ${wholeWords(Number(found) / 1000)} kB; a table of readings has at most ${MAX_TABLE_BYTES / 1000} kB. Remove readings of other tiers.`
                  : `Your device does not give out ${name}. Is it still there, and may it be read? Try again, or paste its text below.`,
              )
            }
          >
            Import
          </FileButton>
          <MeterChoice practice={false} />
        </div>
        <TextBox
          label="or paste it here"
          className="h-28 font-mono text-sm"
          value={text}
          spellCheck={false}
          placeholder={'x cm, y cm, height cm, lux\n30, 22, 12, 8400\n90, 22, 12, 7900'}
          onChange={(typed) => begin(typed.slice(0, MAX_TABLE_BYTES + 1))}
          onPaste={(e) => {
            const pasted = e.clipboardData.getData('text');
            // Browsers take seconds to type long tables into a field themselves.
            if (pasted.length < LONG) return;
            e.preventDefault();
            const { selectionStart, selectionEnd, value } = e.currentTarget;
            begin((value.slice(0, selectionStart) + pasted + value.slice(selectionEnd)).slice(0, MAX_TABLE_BYTES + 1));
          }}
        />

        {tooLarge && (
          <p role="alert" className="text-copper">
            {tooLarge}
          </p>
        )}
        {rows && plan && (
          <>
            <div className="overflow-x-auto">
              <table className="w-full text-left text-sm" data-testid="table-preview">
                <caption className="sr-only">The first lines, with what their columns are</caption>
                <thead>
                  <tr>
                    {plan.columns.map((column, i) => (
                      <th key={i} className="min-w-42 pr-2 pb-1 align-bottom font-normal">
                        <SelectField
                          label={`column ${i + 1}`}
                          value={column}
                          options={COLUMNS.map((value) => ({ value, label: COLUMN_WORDS[value] }))}
                          onChange={(v) =>
                            setOwn({
                              ...plan,
                              // A thing stands in one column only.
                              columns: plan.columns.map((c, k) => (k === i ? (v as Column) : c === v && v !== 'nothing' ? 'nothing' : c)),
                            })
                          }
                        />
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {rows.slice(0, SHOWN_LINES).map((row, i) => (
                    <tr key={i} className={plan.headed && i === 0 ? 'text-soft' : ''}>
                      {plan.columns.map((_, k) => (
                        <td key={k} className="max-w-40 truncate border-t border-line py-1 pr-2">
                          {row[k] ?? ''}
                        </td>
                      ))}
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
            <div className="flex flex-wrap items-end gap-3">
              <SelectField
                label="numbers without a unit are"
                value={plan.unit}
                options={UNIT_OPTIONS}
                onChange={(v) => setOwn({ ...plan, unit: v as ColumnPlan['unit'] })}
              />
              <SelectField
                label="lengths without a unit are"
                value={plan.length}
                options={[
                  { value: 'cm', label: 'cm' },
                  { value: 'mm', label: 'mm' },
                  { value: 'm', label: 'm' },
                  { value: 'in', label: 'inches' },
                ]}
                onChange={(v) => setOwn({ ...plan, length: v as ColumnPlan['length'] })}
              />
              <CheckField
                label="the first line names the columns"
                checked={plan.headed}
                onChange={(checked) => setOwn({ ...plan, headed: checked })}
              />
            </div>
          </>
        )}
        {readings.length > room && (
          <p role="alert" className="text-copper">
            This tier has {t.tier.readings.length} readings and keeps {numberWords(MOST_READINGS)}: there is room for {room}. Remove old
            ones first, or take fewer.
          </p>
        )}
        {outside > 0 && <p className="text-copper">{outside} of them lie outside of this tier: are the lengths in another unit?</p>}
        {problems.length > 0 && (
          <div role="alert" className="text-copper">
            <ul className="list-disc pl-5">
              {problems.slice(0, 6).map((p, i) => (
                <li key={i}>{tableProblemWords(p)}</li>
              ))}
            </ul>
            {problems.length > 6 && <p>and {problems.length - 6} lines more.</p>}
            {readings.length > 0 && <p>The other {readings.length} can be taken as they are.</p>}
          </div>
        )}
      </div>
    </Sheet>
  );
}
