import type { SeasonLook, SeasonWeek } from '@/core/plan/season/seasonLook';
import { worstStretch } from '@/core/plan/season/worstStretch';
import { briefDayWords } from './dayWords';
import { traysWords, weeksWords } from './seasonWords';

interface SeasonRoomProps {
  look: SeasonLook | null;
  isWorking: boolean;
  failed: boolean;
  /** How many tiers carry lamps or daylight. */
  carries: number;
}

/** Whether everything finds light, and where it is tightest. */
export function SeasonRoom({ look, isWorking, failed, carries }: SeasonRoomProps) {
  if (failed) return <p role="alert">The light of your shelves could not be worked out. Dates and trays are right all the same. Load the page again to try once more.</p>; // prettier-ignore
  if (!look) return <p className="text-soft" role="status">{isWorking ? 'Working out what light your shelves have …' : ''}</p>; // prettier-ignore
  if (carries === 0) return <p>There are no shelves yet. Draw a stand under Stands; then you see whether everything finds light.</p>;
  const stretch = worstStretch(look.weeks);
  const total = (w: SeasonWeek) => w.trays.sown + w.trays.raised + w.trays.potted;
  return (
    <section aria-live="polite">
      {stretch ? (
        <>
          <p className="font-narrow text-sm text-soft">
            {weeksWords(stretch.from.from, stretch.until.from + 6)} · {traysWords(total(stretch.worst))} in the worst week, light for{' '}
            {stretch.worst.room}
          </p>
          <h2 id="season-room" className="text-2xl leading-tight font-semibold">
            In the week of {briefDayWords(stretch.worst.from)},{' '}
            <span className="text-copper">
              {traysWords(stretch.worst.over)} {stretch.worst.over === 1 ? 'gets' : 'get'} too little light.
            </span>
          </h2>
          <p className="mt-1 text-soft">
            {stretch.worst.homeless > 0 &&
              `${stretch.worst.homeless} of them ${stretch.worst.homeless === 1 ? 'finds' : 'find'} no place at all. `}
            All batches are placed as well as {look.placing.proven ? 'can be' : 'we could find'}, with the lamps at their best distance and
            hours.
          </p>
        </>
      ) : (
        <h2 id="season-room" className="text-2xl leading-tight font-semibold">
          <span className="text-verdigris">Every tray has enough light</span> from now to the end of the season.
        </h2>
      )}
    </section>
  );
}
