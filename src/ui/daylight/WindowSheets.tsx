'use client';
import { Pencil, Ruler } from 'lucide-react';
import { useState } from 'react';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import type { Window } from '@/core/site/window/Window';
import { Button } from '../parts/Button';
import { DoneSheet } from '../parts/Sheet';
import { nameAtWindow } from './placeWords';
import { ClimateFields, PlaceFields } from './PlaceFields';
import { SillReadings } from './SillReadings';
import type { TrayAtWindow } from './useDaylight';
import { AtWindowFields, WindowFields } from './WindowFields';

interface WindowSheetsProps {
  stand: BenchStand;
  window: Window;
  tray: TrayAtWindow;
  trays: readonly TrayAtWindow[];
}

/** What a window's light depends on, and what was measured at it: a sheet each. */
export function WindowSheets({ stand, window, tray, trays }: WindowSheetsProps) {
  const [sheet, setSheet] = useState<'window' | 'reading' | null>(null);
  return (
    <div className="flex flex-wrap gap-2 print:hidden">
      <DoneSheet
        title={window.name}
        description="What its light depends on. Every change counts at once."
        open={sheet === 'window'}
        onOpenChange={(open) => setSheet(open ? 'window' : null)}
        trigger={
          <Button>
            <Pencil size={17} aria-hidden /> Change the window
          </Button>
        }
      >
        <div className="space-y-8">
          <WindowFields window={window} />
          <AtWindowFields stand={stand.stand} at={stand.stand.window!} />
          <section className="space-y-3">
            <h3 className="font-semibold">The place</h3>
            <PlaceFields />
            <ClimateFields />
          </section>
        </div>
      </DoneSheet>
      <DoneSheet
        title={`Readings at ${window.name}`}
        description="A pair of readings puts the computed light right."
        open={sheet === 'reading'}
        onOpenChange={(open) => setSheet(open ? 'reading' : null)}
        trigger={
          <Button kind="main">
            <Ruler size={17} aria-hidden /> Add a reading
          </Button>
        }
      >
        <SillReadings window={window} at={tray.asked.at} plant={nameAtWindow(tray, trays)} />
      </DoneSheet>
    </div>
  );
}
