'use client';
import { dateBatch, letLeave } from '@/core/site/growth/changeGrowth';
import { growthOf, lastDayOf } from '@/core/site/growth/growthOf';
import type { BenchTray } from '@/core/answer/stand/benchStand';
import { changeSite } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { DayField } from '../parts/DayField';
import { awayWords, dayWords } from '../season/dayWords';
import { useToday, useWorkspace } from '../shell/WorkspaceContext';

/** When a batch was sown and how long it is to stay, and what follows from it. */
export function BatchDates({ tray: { batch, crop } }: { tray: BenchTray }) {
  const { sites } = useWorkspace();
  const today = useToday();
  const growth = growthOf(batch, crop, today);
  const last = lastDayOf(batch, crop);
  const seed = crop.germination !== null;
  return (
    <section aria-label="Dates" className="space-y-3">
      <h2 className="text-lg font-semibold">Dates</h2>
      <div className="flex flex-wrap items-end gap-3">
        <DayField
          label={seed ? 'sown on' : 'here since'}
          value={batch.sown}
          clearable
          onChange={(sown) => changeSite(sites, seed ? 'say when it was sown' : 'say since when it is here', dateBatch(batch.id, sown))}
        />
        {batch.sown === null ? (
          <Button onClick={() => changeSite(sites, 'say when it was sown', dateBatch(batch.id, today))}>
            {seed ? 'Sown today' : 'Since today'}
          </Button>
        ) : (
          <DayField
            label="end date"
            value={batch.leaves}
            clearable
            min={batch.sown}
            onChange={(leaves) => changeSite(sites, 'say when it leaves', letLeave(batch.id, leaves))}
          />
        )}
      </div>
      {growth && (
        <p className="text-soft">
          {growth.phase === 'before'
            ? `Expected up ${dayWords(growth.expected?.from ?? growth.emergence)} to ${dayWords(growth.expected?.to ?? growth.emergence)} (${awayWords(growth.emergence, today)} in the middle). `
            : seed
              ? `${growth.expected ? 'Assumed emergence' : 'Up since'} ${dayWords(growth.emergence)}. `
              : ''}
          {last === null
            ? 'It stays: no end is planned.'
            : `${batch.leaves === null ? 'The growth data ends' : 'It leaves'} on ${dayWords(last)}.`}
        </p>
      )}
    </section>
  );
}
