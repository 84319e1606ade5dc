'use client';
import { useEffect, useMemo, useState } from 'react';
import { canopyOfTray } from '@/core/answer/daylight/litByWindow';
import { askedAt, askedOfPoint, type SillAsked } from '@/core/answer/daylight/sillsOf';
import { monthSays, type MonthSays } from '@/core/answer/daylight/suits';
import type { DaylightAnswer } from '@/core/plan/daylight/daylightYear';
import type { Site } from '@/core/site/stand/Site';
import type { Stage } from '@/core/things/crop/Crop';
import { tables } from '@/core/things/tables/libraryTables';
import { showLength, type LengthUnit } from '@/core/units/length';
import { yearOfDay } from '@/core/units/day';
import { Button } from '../parts/Button';
import { doseNumber } from '../stage/lightWords';
import { useSettings, useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { MonthCells, MonthCellsKey, monthsWords } from './MonthCells';

/** Free places before every window: on its sill, within reach of it, and in the room; m from the glass. */
const FREE = [0.15, 0.6, 1.5] as const;
/** Leaves of a pot that stands there, over the lower edge of the window, m. */
const LEAVES = 0.2;
/** Half hours are fine enough to rank places by. */
const PARTS = 48;

interface NamedPlace {
  readonly name: string;
  readonly asked: SillAsked;
}

/** The places of the household that daylight reaches: tiers at windows, and free ones before each window. */
function placesOf(site: Site, unit: LengthUnit): NamedPlace[] {
  const tiers = site.stands.flatMap((stand) =>
    stand.tiers.flatMap((tier, i): NamedPlace[] => {
      const tray = tier.trays[0];
      const z = tray ? canopyOfTray(site, tray, tables) : LEAVES;
      const asked = askedOfPoint(site, stand, tier, { x: tier.width / 2, y: tier.depth / 2, z });
      return asked ? [{ name: stand.tiers.length > 1 ? `${stand.name}, tier ${i + 1}` : stand.name, asked }] : [];
    }),
  );
  const free = site.windows.flatMap((window) =>
    FREE.map((depth): NamedPlace => ({
      name: `${window.name}, ${showLength(depth, unit)} from the glass`,
      asked: askedAt(window, { depth, along: 0, over: LEAVES }, site.place),
    })),
  );
  return [...tiers, ...free];
}

/** The best of one's places for a plant, by daylight alone, in numbers rather than "bright indirect". */
export function PlacesFor({ plant, stage }: { plant: string; stage: Stage }) {
  const { daylightYear } = useWorkspace();
  const site = useSite((s) => s.site);
  const { lengthUnit } = useSettings();
  const today = useToday();
  const [isOpen, setOpen] = useState(false);
  const places = useMemo(() => placesOf(site, lengthUnit), [site, lengthUnit]);
  const [known, setKnown] = useState<{ of: readonly NamedPlace[]; answer: DaylightAnswer } | null>(null);
  useEffect(() => {
    if (!isOpen || !site.place) return;
    const { place, climate, timeZone } = site;
    let gone = false;
    daylightYear({ year: yearOfDay(today), place, climate, timeZone, parts: PARTS, sills: places.map((p) => p.asked), timer: null }).then(
      (answer) => !gone && setKnown({ of: places, answer }),
      () => undefined,
    );
    return () => {
      gone = true;
    };
  }, [isOpen, site, places, today, daylightYear]);
  if (!isOpen)
    return (
      <Button className="py-1 text-left whitespace-normal!" onClick={() => setOpen(true)}>
        The best of my places for {plant}
      </Button>
    );
  const ranked = known?.of
    .map((p, i) => rankOf(p.name, known.answer.year.places[i]!.months, stage))
    .sort((a, b) => b.inBand - a.inBand || a.bad - b.bad);
  return (
    <section aria-label={`Places for ${plant}`} className="space-y-3" data-testid="places-for">
      <h2 className="text-lg font-semibold">The best of my places for {plant}</h2>
      {!ranked ? (
        <p role="status">Working out your places…</p>
      ) : (
        <ol className="space-y-1.5">
          {ranked.map((p) => (
            <li key={p.name} className="grid grid-cols-[1fr_auto] items-center gap-x-3">
              <span>
                {p.name}
                <span className="block text-sm text-soft">
                  {doseNumber(p.least)} mol in the darkest month, {doseNumber(p.most)} in the brightest
                </span>
              </span>
              <span className="text-right text-sm">
                <MonthCells months={p.months} />
                {monthsWords(p.inBand)}
              </span>
            </li>
          ))}
        </ol>
      )}
      <MonthCellsKey />
    </section>
  );
}

interface Ranked {
  readonly name: string;
  readonly months: readonly MonthSays[];
  readonly inBand: number;
  readonly bad: number;
  readonly least: number;
  readonly most: number;
}

function rankOf(name: string, months: DaylightAnswer['year']['places'][number]['months'], stage: Stage): Ranked {
  const says = months.map((m) => monthSays(m, stage));
  const doses = months.map((m) => m.mean);
  return {
    name,
    months: says,
    inBand: says.filter((m) => m === 'suits').length,
    bad: says.filter((m) => m === 'scorch' || m === 'dark').length,
    least: Math.min(...doses),
    most: Math.max(...doses),
  };
}
