import type { LightBand } from '@/core/judge/dli/lightBand';
import type { Hours } from '@/core/units/quantities';
import type { MapShows } from '@/store/settings/settingsStore';
import { lightWords } from './lightWords';

/** What the three bands mean for this crop at these hours, in numbers. */
export function Legend({ band, hours, shows }: { band: LightBand; hours: Hours; shows: MapShows }) {
  const possible = Number.isFinite(band.low);
  const low = possible ? lightWords(band.low, hours, shows, band.target).number : '–';
  const high = possible ? lightWords(band.high, hours, shows, band.target).number : '–';
  const items = [
    { colour: '#52627c', text: `too little light, below ${low}` },
    { colour: '#2f9688', text: `in range, ${low} to ${high}` },
    { colour: '#c9703d', text: `too much light, above ${high}` },
  ];
  return (
    <ul className="flex flex-wrap gap-x-5 gap-y-1 text-sm text-night-ink" aria-label="Colours">
      {items.map(({ colour, text }) => (
        <li key={text} className="flex items-center gap-2">
          <span className="size-3 rounded-[2px]" style={{ background: colour }} aria-hidden />
          {text}
        </li>
      ))}
    </ul>
  );
}
