'use client';
import { X } from 'lucide-react';
import { useState } from 'react';
import { dropNote, noteCrop } from '@/core/site/crop/changeCrops';
import type { Crop } from '@/core/things/crop/Crop';
import { OUTCOMES, type CropNote } from '@/core/site/stand/Site';
import { newId } from '@/store/names/newId';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { Segments } from '../parts/Segments';
import { TextBox } from '../parts/TextBox';
import { dayWords } from '../season/dayWords';
import { say } from '../shell/toastStore';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';

const OUTCOME_WORDS = { good: 'came out well', fair: 'so-so', poor: 'poorly' } as const;

/** What the person found out about a crop, and how it came out. */
export function CropNotes({ crop }: { crop: Crop }) {
  const { sites } = useWorkspace();
  const notes = useSite((s) => s.site.cropNotes).filter((n) => n.cropId === crop.id);
  const today = useToday();
  const [text, setText] = useState('');
  const [outcome, setOutcome] = useState<NonNullable<CropNote['outcome']> | 'none'>('none');
  const write = () => {
    if (!text.trim() && outcome === 'none') return;
    const note: CropNote = {
      id: newId(),
      cropId: crop.id,
      day: today,
      outcome: outcome === 'none' ? null : outcome,
      text: text.trim().slice(0, 2000),
    };
    changeSite(sites, 'note it', noteCrop(note));
    setText('');
    setOutcome('none');
  };
  return (
    <section aria-labelledby="crop-notes" className="space-y-3 border-t border-line pt-4">
      <h3 id="crop-notes" className="text-lg font-semibold">
        Your notes
      </h3>
      {notes.length > 0 && (
        <ul>
          {[...notes].reverse().map((n) => (
            <li key={n.id} className="flex items-start gap-3 border-t border-line py-1">
              <span className="w-24 shrink-0 text-soft">{dayWords(n.day)}</span>
              <span className="min-w-0 flex-1 break-words whitespace-pre-wrap">
                {n.outcome && <strong className="font-semibold">{OUTCOME_WORDS[n.outcome]}. </strong>}
                {n.text}
              </span>
              <button
                type="button"
                className="grid size-9 shrink-0 place-items-center rounded-md hover:bg-sunk max-md:size-11"
                aria-label={`Strike out the note of ${dayWords(n.day)}`}
                onClick={() => {
                  changeSite(sites, 'strike out a note', dropNote(n.id));
                  say('Struck out.', { label: 'Undo', run: () => undo(sites) });
                }}
              >
                <X size={16} aria-hidden />
              </button>
            </li>
          ))}
        </ul>
      )}
      <TextBox
        label="what you found"
        className="min-h-20"
        most={2000}
        value={text}
        onChange={setText}
        placeholder="Stayed short at 14 mol; cool nights helped."
      />
      <div className="flex flex-wrap items-center gap-3">
        <Segments<typeof outcome>
          label="Result"
          value={outcome}
          options={[{ value: 'none', label: 'only a note' }, ...OUTCOMES.map((o) => ({ value: o, label: OUTCOME_WORDS[o] }))]}
          onChange={setOutcome}
        />
        <Button onClick={write} disabled={!text.trim() && outcome === 'none'}>
          Add note
        </Button>
      </div>
    </section>
  );
}
