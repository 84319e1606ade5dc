'use client';
import { ChevronDown } from 'lucide-react';
import { forwardRef } from 'react';
import type { SetUp } from '@/core/answer/stand/setUp';
import { tables } from '@/core/things/tables/libraryTables';
import { showLength } from '@/core/units/length';
import { percent, stageWords } from '../verdict/words';
import { useSettings } from '../shell/WorkspaceContext';
import { CropSheet } from './CropSheet';
import { FULL } from '@/core/things/lamp/dimming';
import { LampSheet } from '../lamp/LampSheet';
import { PlaceSheet } from './PlaceSheet';
import { surroundingsWords } from './surroundings';
import { TraySheet } from './TraySheet';

/** The question as one sentence: what grows, in what, under what. Each part opens its choices. */
export function Sentence({ setUp, open, onOpen }: { setUp: SetUp; open: Question | null; onOpen(question: Question | null): void }) {
  const { lengthUnit } = useSettings();
  const { crop, stage, tier, lamp } = setUp;
  const { own, dim = FULL } = tier.fittings[0]!;
  const setting = own?.dimmer ? dim : FULL;
  const tray = tier.trays[0]!;
  const container = tray.containerId ? tables.container(tray.containerId) : undefined;
  const trayName = container?.name ?? `${showLength(tray.length, lengthUnit)} × ${showLength(tray.width, lengthUnit)} tray`;
  const sheet = (name: Question) => ({
    open: open === name,
    onOpenChange: (o: boolean) => onOpen(o ? name : null),
    setUp,
  });
  return (
    <div
      data-work
      tabIndex={-1}
      role="group"
      aria-label="What grows in what, under what"
      className="flex flex-col gap-x-2 gap-y-1 border-b outline-none border-line bg-sheet px-4 pt-1 pb-3 text-[1.0625rem] md:flex-row md:flex-wrap md:items-center md:px-6"
    >
      <Part lead="Growing">
        <CropSheet {...sheet('crop')} trigger={<Choice label="Crop">{`${crop.name}, ${stageWords(stage)}`}</Choice>} />
      </Part>
      <Part lead="in">
        <TraySheet {...sheet('tray')} trigger={<Choice label="Tray">{`${tier.trays.length} × ${trayName}`}</Choice>} />
      </Part>
      <Part lead="under">
        <LampSheet
          {...sheet('lamp')}
          trigger={
            <Choice label="Lamp">{`${tier.fittings.length} × ${lamp.name}${setting === FULL ? '' : `, at ${percent(setting)}`}`}</Choice>
          }
        />
      </Part>
      <Part lead="">
        <PlaceSheet {...sheet('place')} trigger={<Choice label="Place">{surroundingsWords(tier.enclosure)}</Choice>} />
      </Part>
    </div>
  );
}

/** What each part opens, for the palette. */
export const QUESTIONS: readonly { readonly question: Question; readonly name: string; readonly words: readonly string[] }[] = [
  { question: 'crop', name: 'Choose the crop', words: ['plant', 'stage', 'change'] },
  { question: 'tray', name: 'Choose the tray or pot', words: ['container', 'change'] },
  { question: 'lamp', name: 'Choose the lamp', words: ['light', 'bulb', 'change'] },
  { question: 'place', name: 'Choose what is around it', words: ['place', 'sides', 'foil', 'change'] },
];

export type Question = 'crop' | 'tray' | 'lamp' | 'place';

function Part({ lead, children }: { lead: string; children: React.ReactNode }) {
  return (
    <span className="flex min-w-0 items-center gap-2">
      <span className={lead ? 'text-soft max-md:w-16 max-md:shrink-0' : 'max-md:w-16 max-md:shrink-0 md:hidden'}>{lead}</span>
      {children}
    </span>
  );
}

const Choice = forwardRef<HTMLButtonElement, { label: string; children: string } & React.ButtonHTMLAttributes<HTMLButtonElement>>(
  function Choice({ label, children, ...rest }, ref) {
    return (
      <button
        ref={ref}
        type="button"
        {...rest}
        aria-label={`${label}: ${children}`}
        className="inline-flex min-h-9 min-w-0 items-center gap-1 rounded border-b-2 border-copper/60 px-1 font-semibold hover:bg-sunk max-md:min-h-11 max-md:flex-1"
      >
        <span className="text-left max-md:py-1 md:truncate">{children}</span>
        <ChevronDown size={16} className="shrink-0 text-copper" aria-hidden />
      </button>
    );
  },
);
