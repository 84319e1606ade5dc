'use client';
import { useMemo, useState } from 'react';
import { datesFor, plannedFor } from '@/core/plan/season/plannedFor';
import { nearestVisit } from '@/core/site/hang/VisitRhythm';
import { addPlanned } from '@/core/site/stand/changeSeason';
import { cropOf } from '@/core/site/crop/cropOf';
import type { SeasonPlan } from '@/core/site/season/SeasonPlan';
import { cropLibrary } from '@/core/things/crop/cropLibrary';
import { tables } from '@/core/things/tables/libraryTables';
import type { Day } from '@/core/units/day';
import { newId } from '@/store/names/newId';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { cropItems } from '../parts/cropItems';
import { DayField } from '../parts/DayField';
import { NumberField } from '../parts/NumberField';
import { SearchList } from '../parts/SearchList';
import { Segments } from '../parts/Segments';
import { Sheet } from '../parts/Sheet';
import { say } from '../shell/toastStore';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { NextTime } from './NextTime';
import { briefDayWords, dayWords, daysWords } from './dayWords';
import { frostWords } from './seasonWords';

interface AddBatchProps {
  season: SeasonPlan;
  open: boolean;
  onOpenChange(open: boolean): void;
  onAdded(id: string): void;
  trigger: React.ReactNode;
}

/** A batch more: which crop, how many, and for when; its dates are counted back. */
export function AddBatch({ season, open, onOpenChange, onAdded, trigger }: AddBatchProps) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const today = useToday();
  const [cropId, setCropId] = useState<string | null>(null);
  const [cells, setCells] = useState(36);
  const [goal, setGoal] = useState<'weather' | 'day'>('weather');
  const [ready, setReady] = useState<Day | null>(null);
  // What is raised for the garden comes before what stays indoors.
  const items = useMemo(() => {
    const raised = new Set([...site.crops, ...cropLibrary].filter((c) => c.sowing !== null || c.own !== null).map((c) => c.id));
    const all = cropItems(site.crops);
    return [...all.filter((i) => raised.has(i.id)), ...all.filter((i) => !raised.has(i.id))];
  }, [site.crops]);
  const crop = cropId === null ? undefined : cropOf(site, cropId, tables);
  const knowsWeather = season.lastFrost.kind !== 'unknown' || season.nights !== null;
  const byDay = goal === 'day' || !knowsWeather || !crop?.sowing;
  const dates = crop ? datesFor(crop, season, byDay ? ready : null, today) : null;

  function add() {
    if (!crop) return;
    const usual = plannedFor(crop, season, dates, cells, today, newId());
    // Sown when somebody is there anyway.
    const visit = nearestVisit(site.visits, usual.sown);
    const batch = { ...usual, sown: visit >= today && visit < usual.out ? visit : usual.sown };
    if (!changeSite(sites, `add ${crop.name}`, addPlanned(batch))) return;
    onOpenChange(false);
    onAdded(batch.id);
    setCropId(null);
    say(`${crop.name}: sow on ${dayWords(batch.sown)}.`, { label: 'Undo', run: () => undo(sites) });
  }

  return (
    <Sheet
      title="Add a batch"
      description="Which crop, how many, and for when. You can change everything afterwards."
      open={open}
      onOpenChange={onOpenChange}
      trigger={trigger}
      footer={
        <>
          <Button onClick={() => onOpenChange(false)}>Cancel</Button>
          <Button kind="main" disabled={!crop} onClick={add}>
            {crop ? `Add ${crop.name}` : 'Choose a crop first'}
          </Button>
        </>
      }
    >
      <div className="grid gap-x-8 gap-y-5 md:grid-cols-2">
        <SearchList
          label="Crop"
          placeholder="Tomatillo, basil, leek…"
          items={items}
          chosen={cropId}
          onChoose={setCropId}
          empty="No results for this name. Add it under Crops."
        />
        <div className="space-y-4">
          <NumberField label="Cells or pots to sow" value={cells} min={1} max={100_000} whole onChange={setCells} />
          {knowsWeather && crop?.sowing && (
            <Segments<'weather' | 'day'>
              label="For when"
              value={goal}
              options={[
                { value: 'weather', label: 'When the weather allows' },
                { value: 'day', label: 'On a day' },
              ]}
              onChange={setGoal}
            />
          )}
          {crop && byDay && <DayField label="Ready on" value={ready} min={today + 1} onChange={setReady} clearable />}
          {crop && <NextTime cropId={crop.id} />}
          {crop && (
            <div className="space-y-1" aria-live="polite">
              {dates ? (
                <>
                  <p>
                    Sow between <b>{briefDayWords(dates.window.earliest)}</b> and <b>{briefDayWords(dates.window.latest)}</b>;{' '}
                    {dates.binding === 'day' ? 'ready' : 'plant out from'} <b>{dayWords(dates.window.plantOut)}</b>
                    {dates.binding === 'night'
                      ? ', when nights are warm enough.'
                      : dates.binding === 'frost'
                        ? ', when frost is over for it.'
                        : '.'}
                  </p>
                  {dates.late.status === 'late' && (
                    <p className="text-copper">
                      The window closed {daysWords(dates.late.daysLate)} ago. Sown today, it is old enough on{' '}
                      {briefDayWords(dates.late.plantOutAtFullAge)}
                      {dates.ends !== null && `, ${frostWords(dates.late.plantOutAtFullAge, dates.ends)}`}.
                    </p>
                  )}
                  {dates.betterSownOutdoors && (
                    <p className="text-soft">
                      It can be sown outdoors as well: it is indoors for a short time only, and tolerates cold nights.
                    </p>
                  )}
                </>
              ) : crop.sowing && !byDay ? (
                <p className="text-copper">Nights never get warm enough for it by your table. Choose a day instead.</p>
              ) : (
                <p className="text-soft">
                  {knowsWeather || !crop.sowing
                    ? 'Without a day it is sown today.'
                    : 'Without a day it is sown today. With your last frost, under “Frost and nights”, its dates are counted back.'}
                </p>
              )}
            </div>
          )}
        </div>
      </div>
    </Sheet>
  );
}
