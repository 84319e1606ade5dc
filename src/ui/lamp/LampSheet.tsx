'use client';
import dynamic from 'next/dynamic';
import { Tabs } from 'radix-ui';
import { useState } from 'react';
import { lampLibrary } from '@/core/things/lamp/lampLibrary';
import type { Lamp } from '@/core/things/lamp/Lamp';
import type { LampBox } from '@/core/things/lamp/lampFromBox';
import { lampRowOf } from '@/core/site/stand/layOut';
import { changeSite } from '@/store/site/siteStore';
import { chooseLamp, keepLamp, setLampRow } from '@/store/site/setUpVerbs';
import { Button } from '../parts/Button';
import { LengthField } from '../parts/LengthField';
import { useLampItems } from '../parts/useLampItems';
import { SearchList } from '../parts/SearchList';
import { Sheet } from '../parts/Sheet';
import { Stepper } from '../parts/Stepper';
import { say } from '../shell/toastStore';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import type { ChoiceSheetProps } from '../check/CropSheet';

/** Parts that come when their tab is opened. */
const LampBoxForm = dynamic(() => import('./LampBoxForm').then((m) => m.LampBoxForm));
const LampDimmer = dynamic(() => import('./LampDimmer').then((m) => m.LampDimmer));
const LampPortrait = dynamic(() => import('./LampPortrait').then((m) => m.LampPortrait));
const AgeFields = dynamic(() => import('./AgeFields').then((m) => m.AgeFields));

const TAB =
  'min-h-10 border-b-2 border-transparent px-1 font-semibold text-soft data-[state=active]:border-copper data-[state=active]:text-ink';

/** The lamp, from the list or from its box, and how many hang side by side. */
export function LampSheet({ setUp, trigger, open, onOpenChange }: ChoiceSheetProps) {
  const { sites } = useWorkspace();
  const own = useSite((s) => s.site.lamps);
  const { stand, tier, lamp } = setUp;
  const isOwn = own.some((l) => l.id === lamp.id);
  const [tab, setTab] = useState<string | null>(null);
  const [draft, setDraft] = useState<{ lampId: string; box: LampBox } | null>(null);
  const row = lampRowOf(tier, lamp);
  const items = useLampItems(own);
  const showTab = tab ?? (isOwn ? 'box' : 'list');
  return (
    <Sheet
      title="Which lamp?"
      description="One of its kind from the list, or your own as its label describes it."
      trigger={trigger}
      open={open}
      onOpenChange={(o) => {
        if (!o) setTab(null);
        onOpenChange(o);
      }}
      footer={
        <>
          <Stepper
            label="lamps side by side"
            value={row.count}
            min={1}
            max={8}
            onChange={(count) => changeSite(sites, 'hang the lamps', setLampRow(stand.id, { count }))}
          />
          {row.count > 1 && (
            <LengthField
              label="gap between them"
              value={row.gap}
              min={0}
              max={1}
              inputClassName="w-20"
              onChange={(gap) => changeSite(sites, 'space the lamps', setLampRow(stand.id, { gap }))}
            />
          )}
          <span className="flex-1" />
          <Button kind="main" onClick={() => onOpenChange(false)}>
            Done
          </Button>
        </>
      }
    >
      <Tabs.Root value={showTab} onValueChange={setTab}>
        <Tabs.List className="mb-4 flex gap-5 border-b border-line" aria-label="Where the lamp comes from">
          <Tabs.Trigger value="list" className={TAB}>
            From the list
          </Tabs.Trigger>
          <Tabs.Trigger value="box" className={TAB}>
            From the label
          </Tabs.Trigger>
          <Tabs.Trigger value="light" className={TAB}>
            Its light
          </Tabs.Trigger>
          <Tabs.Trigger value="age" className={TAB}>
            Its age
          </Tabs.Trigger>
        </Tabs.List>
        <Tabs.Content value="list" className="space-y-4">
          <SearchList
            label="Lamps"
            placeholder="LED shop light, T8, clamp, 24 W…"
            items={items}
            chosen={lamp.id}
            onChoose={(id) => {
              const chosen = own.find((l) => l.id === id) ?? lampLibrary.find((l) => l.id === id)!;
              changeSite(sites, 'choose the lamp', chooseLamp(stand.id, chosen));
            }}
            empty="No results for this name. Type what its box says instead."
          />
          <LampNotes lamp={lamp} />
        </Tabs.Content>
        <Tabs.Content value="box">
          <LampBoxForm
            key={lamp.id}
            lamp={lamp}
            own={isOwn}
            draft={draft?.lampId === lamp.id ? draft.box : null}
            onDraft={(box) => setDraft({ lampId: lamp.id, box })}
            onKeep={(made, isChange) => {
              changeSite(sites, isChange ? 'change the lamp' : 'add a lamp', keepLamp(stand.id, made));
              say(`${made.name} hangs over your tray.`);
              setDraft(null);
              setTab('box');
            }}
          />
        </Tabs.Content>
        <Tabs.Content value="light" className="space-y-4">
          <LampDimmer setUp={setUp} />
          <LampPortrait lamp={lamp} />
        </Tabs.Content>
        <Tabs.Content value="age">
          <AgeFields setUp={setUp} />
        </Tabs.Content>
      </Tabs.Root>
    </Sheet>
  );
}

function LampNotes({ lamp }: { lamp: Lamp }) {
  return (
    <div className="space-y-1 text-sm text-soft">
      <p>
        <strong className="font-semibold text-ink">{lamp.name}</strong>: {lamp.power} W drawn, {Math.round(lamp.ppf * 10) / 10} µmol/s (
        {(lamp.ppf / lamp.power).toFixed(2)} µmol/J){lamp.lumens !== null && `, ${Math.round(lamp.lumens)} lm`}
        {lamp.cct !== null && `, ${lamp.cct} K`}
        {lamp.fluxBasis === 'archetype' ? '. A typical lamp of its kind, not a measured one.' : '.'}
      </p>
      {lamp.distrust.length > 0 && <p>On such boxes, distrust: {lamp.distrust.join('; ')}.</p>}
    </div>
  );
}
