'use client';
import {
  ArrowLeftRight,
  Droplets,
  FlaskConical,
  Leaf,
  MoveUpRight,
  RotateCcw,
  Scissors,
  Sprout,
  Sun,
  TriangleAlert,
  X,
} from 'lucide-react';
import { useState } from 'react';
import { tables } from '@/core/things/tables/libraryTables';
import { stays } from '@/core/things/crop/stays';
import { potOnNext } from '@/core/plan/today/potOnStand';
import { doubtOfHeight, type HeightDoubt } from '@/core/site/growth/doubtOfHeight';
import { logIt, measureBatch, stageBatch, unlog } from '@/core/site/growth/changeGrowth';
import type { LoggedKind } from '@/core/site/stand/Logged';
import type { BenchTray } from '@/core/answer/stand/benchStand';
import { showLength } from '@/core/units/length';
import { newId } from '@/store/names/newId';
import { changeSite, undo } from '@/store/site/siteStore';
import { trayName } from '../bench/benchWords';
import { entryWords } from '../today/entryWords';
import { Button } from '../parts/Button';
import { DayField } from '../parts/DayField';
import { LengthField } from '../parts/LengthField';
import { SelectField } from '../parts/SelectField';
import { TextBox } from '../parts/TextBox';
import { dayWords } from '../season/dayWords';
import { loggedNow } from '../season/loggedNow';
import { NextTime } from '../season/NextTime';
import { pottedWords } from '../season/pottedWords';
import { photosOf } from '../photos/photosOf';
import { PhotoStrip } from '../photos/PhotoStrip';
import { TakePhoto } from '../photos/TakePhoto';
import { say } from '../shell/toastStore';
import { heightDoubtWords } from './heightDoubtWords';
import { HarvestEntry } from './HarvestEntry';
import { LeafSigns } from './LeafSigns';
import { MeasuredEntry } from './MeasuredEntry';
import { useSettings, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { stageWords } from '../verdict/words';

const POTTED = { what: 'potted-on', label: 'Potted on', icon: MoveUpRight } as const;

const SEEN: readonly { readonly what: LoggedKind; readonly label: string; readonly icon: typeof Leaf }[] = [
  { what: 'emerged', label: 'They are up', icon: Sprout },
  { what: 'not-yet', label: 'Nothing up yet', icon: Sun },
  { what: 'true-leaves', label: 'First true leaves', icon: Leaf },
  POTTED,
];

const DONE: typeof SEEN = [
  { what: 'watered', label: 'Watered', icon: Droplets },
  { what: 'fed', label: 'Fed', icon: FlaskConical },
  { what: 'thinned', label: 'Thinned', icon: Scissors },
  { what: 'moved', label: 'Moved or turned', icon: ArrowLeftRight },
];

/** Plants that stay did not come up here, and are not thinned. */
const DONE_TO_PLANTS: typeof SEEN = DONE.map((d) => (d.what === 'thinned' ? POTTED : d));

/** What is seen of a tray, written down with one press; the chart follows. */
export function BatchLog({ tray }: { tray: BenchTray }) {
  const { sites } = useWorkspace();
  const { lengthUnit, temperatureUnit } = useSettings();
  const today = useToday();
  const { batch, crop, stage } = tray;
  const name = trayName(tray);
  const [on, setOn] = useState(today);
  const write = (words: string, change: Parameters<typeof changeSite>[2], more = ''): boolean => {
    if (!changeSite(sites, 'add observation', change)) return false;
    say([`${words}: written down${on === today ? '' : ` for ${dayWords(on)}`}.`, more].filter(Boolean).join(' '), {
      label: 'Undo',
      run: () => undo(sites),
    });
    return true;
  };
  const seen = (what: LoggedKind, label: string) => {
    const { site } = sites.getState();
    // A planned batch stands in its next trays from then on; said twice of a day, it is the same potting on.
    const isNew = what === 'potted-on' && !batch.log.some((l) => l.what === what && l.day === on);
    const potted = isNew ? potOnNext(site, batch.id, newId, tables) : null;
    const isMoved = potted !== null && potted.site !== site;
    write(
      label,
      (s) => logIt(batch.id, { ...loggedNow(on), what, height: null, stage: null })(isMoved ? potted.site : s),
      isMoved ? pottedWords(site, potted, potted.containerId) : '',
    );
  };
  const [asked, setAsked] = useState<{ height: number; doubt: HeightDoubt } | null>(null);
  const measure = (height: number) => write(`${showLength(height, lengthUnit)} tall`, measureBatch(batch.id, height, loggedNow(on)));
  if (batch.sown === null)
    return (
      <section aria-label="Seen" className="rounded-md bg-sunk p-3">
        <p>Once it has a date below, what you see of it (up, true leaves, heights) is written here, and the hang chart follows.</p>
      </section>
    );
  const newestFirst = [...batch.log].sort((a, b) => b.day - a.day);
  return (
    <section aria-label="Seen" className="space-y-3">
      <div className="flex items-end justify-between gap-3">
        <h2 className="text-lg font-semibold">What do you see?</h2>
        <DayField label="on" value={on} min={batch.sown} max={today} onChange={(d) => setOn(d ?? today)} />
      </div>
      {
        <div className="grid grid-cols-2 gap-2">
          {(stays(crop) ? DONE_TO_PLANTS : [...SEEN, ...DONE]).map(({ what, label, icon: Icon }) => (
            <Button key={what} className="min-h-12!" onClick={() => seen(what, label)}>
              <Icon size={18} aria-hidden /> {label}
            </Button>
          ))}
          <TakePhoto
            name={name}
            lastId={photosOf(batch).at(-1)?.photoId ?? null}
            onTaken={(photoId) => write('Photo', logIt(batch.id, { ...loggedNow(on), what: 'photo', height: null, stage: null, photoId }))}
          />
        </div>
      }
      <PhotoStrip batch={batch} name={name} />
      <NextTime cropId={batch.cropId} />
      <LeafSigns batchId={batch.id} on={on} write={write} />
      <HarvestEntry batchId={batch.id} on={on} write={write} />
      <WrittenNote batchId={batch.id} on={on} write={write} />
      <MeasuredEntry batchId={batch.id} on={on} write={write} />
      <div className="flex flex-wrap items-end gap-3">
        <LengthField
          key={`${on} ${batch.log.length}`}
          label="leaf tops above the compost"
          value={tray.plantHeight}
          min={0.001}
          max={3}
          inputClassName="w-28"
          onChange={(height) => {
            const doubt = doubtOfHeight(crop, height, on, today);
            setAsked(doubt ? { height, doubt } : null);
            if (!doubt) measure(height);
          }}
        />
        <SelectField
          label="stage"
          value={stage.stage}
          options={crop.stages.map((s) => ({ value: s.stage, label: stageWords(s) }))}
          onChange={(name) => {
            const to = crop.stages.find((s) => s.stage === name)!;
            write(stageWords(to), stageBatch(batch.id, to.stage, loggedNow(on)));
          }}
        />
      </div>
      {asked && (
        <div role="alert" className="space-y-2 rounded-md bg-copper-wash px-3 py-2 text-copper">
          <p>{heightDoubtWords(asked.doubt, showLength(asked.height, lengthUnit))}</p>
          <div className="flex flex-wrap gap-2">
            <Button
              onClick={() => {
                measure(asked.height);
                setAsked(null);
              }}
            >
              It is right, save it
            </Button>
            <Button kind="quiet" onClick={() => setAsked(null)}>
              Cancel
            </Button>
          </div>
        </div>
      )}
      {newestFirst.length > 0 && (
        <ul className="max-h-64 overflow-y-auto" aria-label="Written down">
          {newestFirst.map((l) => (
            <li key={l.id} className="flex items-center gap-2 border-t border-line">
              <span className="w-24 shrink-0 text-soft">{dayWords(l.day)}</span>
              <span className="flex-1">{entryWords(l, tray.crop, lengthUnit, temperatureUnit)}</span>
              <button
                type="button"
                className="grid size-9 place-items-center rounded-md hover:bg-sunk max-md:size-11"
                aria-label={`Strike out ${entryWords(l, tray.crop, lengthUnit, temperatureUnit)}, ${dayWords(l.day)}`}
                onClick={() => write('Struck out', unlog(batch.id, l.id))}
              >
                <X size={16} aria-hidden />
              </button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** A note or a sign of trouble in one's own words; what is typed stays until it is taken. */
function WrittenNote({
  batchId,
  on,
  write,
}: {
  batchId: string;
  on: number;
  write(words: string, change: Parameters<typeof changeSite>[2]): void;
}) {
  const [text, setText] = useState('');
  const put = (what: LoggedKind, words: string) => {
    const trimmed = text.trim().slice(0, 1000);
    write(
      words,
      logIt(batchId, {
        ...loggedNow(on),
        what,
        height: null,
        stage: null,
        ...(trimmed ? { text: trimmed } : {}),
      }),
    );
    setText('');
  };
  return (
    <div className="space-y-2">
      <TextBox label="In your own words" most={1000} value={text} onChange={setText} />
      <div className="flex flex-wrap items-end gap-2">
        <Button disabled={text.trim() === ''} onClick={() => put('note', 'Note')}>
          Add note
        </Button>
        <Button disabled={text.trim() === ''} onClick={() => put('next-time', 'Next time')}>
          <RotateCcw size={17} aria-hidden /> Next time
        </Button>
        <Button onClick={() => put('trouble', 'Trouble')}>
          <TriangleAlert size={17} aria-hidden /> Trouble
        </Button>
      </div>
    </div>
  );
}
