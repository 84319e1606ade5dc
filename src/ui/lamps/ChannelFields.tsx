'use client';
import { Plus, X } from 'lucide-react';
import { changeOwnLamp, kindOfOwnLamp } from '@/core/site/ownLamps/changeOwnLamps';
import { MOST_CHANNELS, type OwnLamp } from '@/core/site/lamp/OwnLamp';
import type { Change } from '@/core/site/stand/change';
import { tables } from '@/core/things/tables/libraryTables';
import { ChoiceSheet } from '../bench/ChoiceSheet';
import { Button } from '../parts/Button';
import { useLampItems } from '../parts/useLampItems';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { useSite } from '../shell/WorkspaceContext';

/** A switch with colour channels: the lamp is one of several kinds, each with its spectrum, output and draw. */
export function ChannelFields({ own, onChange }: { own: OwnLamp; onChange(what: string, change: Change): void }) {
  const kinds = useSite((s) => s.site.lamps);
  const items = useLampItems(kinds);
  const { channels } = own;
  const nameOf = (id: string) => kinds.find((l) => l.id === id)?.name ?? tables.lamp(id)?.name ?? id;
  const set = (next: readonly string[]) => onChange('change the colour switch', changeOwnLamp(own.id, { channels: next }));
  return (
    <div className="space-y-2">
      <p className="text-sm text-soft">Colour switch</p>
      {channels.length > 0 && (
        <ul className="divide-y divide-line border-y border-line">
          {channels.map((id) => (
            <li key={id} className="flex min-h-11 items-center gap-3">
              <label className="flex min-h-11 min-w-0 flex-1 cursor-pointer items-center gap-2">
                <input
                  type="radio"
                  name="channel"
                  className="size-5 accent-verdigris"
                  checked={own.lampId === id}
                  onChange={() => onChange('switch the colour', kindOfOwnLamp(own.id, id))}
                />
                {nameOf(id)}
              </label>
              {id !== own.lampId && (
                <Button
                  kind="quiet"
                  aria-label={`Remove ${nameOf(id)} from the switch`}
                  onClick={() => {
                    set(channels.filter((c) => c !== id));
                    focusHeadingIfLost();
                  }}
                >
                  <X size={17} aria-hidden />
                </Button>
              )}
            </li>
          ))}
        </ul>
      )}
      {channels.length < MOST_CHANNELS && (
        <ChoiceSheet
          label="Add a position of its switch"
          shown={
            <>
              <Plus size={17} aria-hidden /> {channels.length === 0 ? 'It has a colour switch' : 'Another position'}
            </>
          }
          title="What is it in that position?"
          description="Each position is a kind of lamp, with its own colour, light and draw. Copy a kind in the library to describe one."
          placeholder="pink, white, red…"
          items={items.filter((i) => !channels.includes(i.id) && i.id !== own.lampId)}
          chosen={null}
          onChoose={(id) => set([...new Set([...(channels.length === 0 ? [own.lampId] : channels), id])])}
        />
      )}
    </div>
  );
}
