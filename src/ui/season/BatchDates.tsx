'use client';
import type { BatchCourse } from '@/core/plan/season/batchCourse';
import { frostAhead } from '@/core/plan/season/firstFrost';
import { datesFor, rulesFor } from '@/core/plan/season/plannedFor';
import type { SeasonPlan } from '@/core/site/season/SeasonPlan';
import { showTemperature } from '@/core/units/temperature';
import { useSettings, useToday } from '../shell/WorkspaceContext';
import { briefDayWords, dayWords, daysWords } from './dayWords';
import { frostWords } from './seasonWords';

export function DatesSaid({ course, season, dates }: { course: BatchCourse; season: SeasonPlan; dates: ReturnType<typeof datesFor> }) {
  const { crop, emergence, lampBy, batch, hardening } = course;
  const today = useToday();
  const { temperatureUnit } = useSettings();
  const frost = frostAhead(course, season);
  const age = batch.out - (course.parts[0]?.from ?? batch.sown);
  return (
    <ul className="space-y-1 text-sm">
      {crop.germination && (
        <li>
          {emergence.seen
            ? `Came up ${dayWords(emergence.expected)}.`
            : `May come up ${briefDayWords(emergence.first)} to ${briefDayWords(emergence.last)}. Lamp on by ${dayWords(lampBy)}.`}
        </li>
      )}
      {batch.goal === 'outdoors' && hardening < batch.out && <li>Harden off from {dayWords(hardening)}.</li>}
      <li>
        {daysWords(age)} from sowing to the last day; {crop.name} needs {rulesFor(crop, season).age.youngest}–
        {rulesFor(crop, season).age.oldest}.
      </li>
      {dates && batch.goal === 'outdoors' && (
        <li>
          Sow between <b>{briefDayWords(dates.window.earliest)}</b> and <b>{briefDayWords(dates.window.latest)}</b> to plant out from{' '}
          {briefDayWords(dates.window.plantOut)}:{' '}
          {dates.binding === 'night' ? 'nights are warm enough from then on' : 'frost is over for it then'} (growers’ consensus).
          {season.lastFrost.kind === 'table' &&
            dates.binding === 'frost' &&
            ` A later frost comes in ${season.lastFrost.riskPercent} of 100 years.`}
        </li>
      )}
      {frost !== null && batch.out < frost && (
        <li>
          It goes out {frostWords(batch.out, frost)}, which kills it (growers’ consensus). The seed packet says how many days it needs
          outdoors.
        </li>
      )}
      {!dates && batch.goal === 'outdoors' && crop.sowing && (
        <li className="text-copper">Not checked against the weather: say when your last frost is, under “Frost and nights”.</li>
      )}
      {dates?.late.status === 'late' && batch.batchId === null && (
        <li className="text-copper">
          The window closed {daysWords(dates.late.daysLate)} ago. Sown today it is old enough on{' '}
          {briefDayWords(dates.late.plantOutAtFullAge)}
          {frost !== null && `, ${frostWords(dates.late.plantOutAtFullAge, frost)}`}
          {dates.late.isWorthIt ? '; planted out on time it would be young, but settled' : ''}.
        </li>
      )}
      {dates?.betterSownOutdoors && (
        <li>
          {crop.name} can be sown outdoors as well: it is indoors for at most {daysWords(dates.rules.age.oldest)} and tolerates nights of{' '}
          {showTemperature(crop.sowing!.nightLeast, temperatureUnit)}, so seed sown where it is to stand catches up (growers’ consensus).
        </li>
      )}
      {batch.lost !== null && <li className="text-copper">Lost on {dayWords(batch.lost)}.</li>}
      {batch.out < today && <li>It has left the shelves.</li>}
    </ul>
  );
}
