'use client';
import { ChevronDown } from 'lucide-react';
import { Collapsible } from 'radix-ui';
import { useState } from 'react';
import { readMapCells, type PpfdMap } from '@/core/things/lamp/fitToMap';
import { LengthField } from '../parts/LengthField';
import { TextBox } from '../parts/TextBox';
import { lampProblemWords } from './lampProblemWords';

/** A published map of PPFD, pasted: the lamp's own shape is fitted to it. */
export function MapPaste({ map, onMap }: { map: PpfdMap | null; onMap(map: PpfdMap | null): void }) {
  const [text, setText] = useState('');
  const [size, setSize] = useState({ distance: 0.3, width: 0.6, depth: 0.6 });
  const cells = readMapCells(text);
  const take = (nextText: string, nextSize: typeof size) => {
    const read = readMapCells(nextText);
    onMap(read.ok ? { ...nextSize, rows: read.value } : null);
  };
  const resize = (part: Partial<typeof size>) => {
    const next = { ...size, ...part };
    setSize(next);
    if (text) take(text, next);
  };
  return (
    <Collapsible.Root>
      <Collapsible.Trigger className="group flex min-h-9 items-center gap-1 font-semibold text-verdigris max-md:min-h-11">
        PPFD map from the datasheet
        <ChevronDown size={17} className="group-data-[state=open]:rotate-180" aria-hidden />
      </Collapsible.Trigger>
      <Collapsible.Content className="space-y-3 pt-1">
        <TextBox
          label="The numbers of the map in µmol/m²/s, row by row as they stand there"
          className="min-h-32"
          placeholder={'120 180 210 180 120\n160 260 310 260 160\n120 180 210 180 120'}
          value={text}
          onChange={(typed) => {
            setText(typed);
            take(typed, size);
          }}
        />
        <div className="flex flex-wrap gap-4">
          <LengthField label="lamp to map" value={size.distance} min={0.02} max={3} onChange={(distance) => resize({ distance })} />
          <LengthField label="map along the lamp" value={size.width} min={0.05} max={5} onChange={(width) => resize({ width })} />
          <LengthField label="map across it" value={size.depth} min={0.05} max={5} onChange={(depth) => resize({ depth })} />
        </div>
        {text && !cells.ok && (
          <p role="status" className="text-copper">
            {cells.problems.map(lampProblemWords).join(' ')}
          </p>
        )}
        {map && (
          <p className="text-sm text-soft">
            {map.rows.length} rows of {map.rows[0]!.length}. A map taken between pale walls makes a lamp look stronger than it is in the
            open.
          </p>
        )}
      </Collapsible.Content>
    </Collapsible.Root>
  );
}
