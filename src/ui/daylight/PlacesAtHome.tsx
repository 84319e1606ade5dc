'use client';
import { useRouter, useSearchParams } from 'next/navigation';
import { useMemo } from 'react';
import { byRank, lastingStage, type PlaceRank } from '@/core/answer/daylight/suits';
import { homePlaces, type HomePlace } from '@/core/plan/daylight/homePlaces';
import { rankAt, type LampsAtPlace, type PlantAsked } from '@/core/plan/daylight/lampsAtPlaces';
import { compassOf } from '@/core/sky/place/facing';
import { cropOf } from '@/core/site/crop/cropOf';
import { shelfStands } from '@/core/site/stand/shelfStands';
import type { Batch, Site } from '@/core/site/stand/Site';
import type { StageName } from '@/core/things/crop/Crop';
import { tables } from '@/core/things/tables/libraryTables';
import { showLength } from '@/core/units/length';
import { useWorkedOut } from '../parts/useWorkedOut';
import { ChoiceSheet } from '../bench/ChoiceSheet';
import { Link } from '../parts/Link';
import { cropItems } from '../parts/cropItems';
import { SelectField } from '../parts/SelectField';
import { useSettings, useSite, useWorkspace } from '../shell/WorkspaceContext';
import { standPath } from '../stands/places';
import { Term } from '../terms/Term';
import { stageWords } from '../verdict/words';
import { placeName } from './daylightWords';
import { MonthCells, MonthCellsKey, monthsWords } from './MonthCells';
import { MonthRing } from './MonthRing';
import { placeLightWords, whyNotWords } from './placeWords';
import { useYearOfPlaces } from './useYearOfPlaces';

interface Ranked extends PlaceRank {
  readonly place: HomePlace;
  readonly lamps: LampsAtPlace | null;
  readonly hasSun: boolean;
}

/** The plant to begin with: one that stays, of those that are there, else the first of them in its stage; null: there are none. */
const plantOf = ({ batches, ...site }: Site): Batch | null =>
  batches.find((b) => cropOf(site, b.cropId, tables)?.germination === null) ?? batches[0] ?? null;

/** A houseplant that many have. */
const COMMON = 'pothos';

/** All places of the household with their months, for a plant: by the sun, the lamps, or both. */
export function PlacesAtHome() {
  const { lampsAtPlaces } = useWorkspace();
  const { lengthUnit } = useSettings();
  const site = useSite((s) => s.site);
  const router = useRouter();
  const search = useSearchParams();
  const asked = search.get('plant');
  const mine = asked ? null : plantOf(site);
  const crop = cropOf(site, asked ?? mine?.cropId ?? COMMON, tables) ?? cropOf(site, COMMON, tables)!;
  const wanted = search.get('stage') ?? mine?.stage;
  const stage = crop.stages.find((s) => s.stage === wanted) ?? lastingStage(crop);
  const show = (plant: string, name?: StageName) =>
    router.replace(`/stands/places?plant=${encodeURIComponent(plant)}${name ? `&stage=${name}` : ''}`, { scroll: false });
  const places = useMemo(() => homePlaces(site, tables), [site]);
  const year = useYearOfPlaces(places);
  const question = useMemo<PlantAsked>(() => ({ site, cropId: crop.id, stage: stage.stage }), [site, crop.id, stage.stage]);
  const lit = useWorkedOut(question, lampsAtPlaces);
  const lamps = lit?.of === question ? lit.answer : null;
  const ranked = useMemo(
    () =>
      year && lamps
        ? places
            .map((place): Ranked => {
              const months = year.get(place.id) ?? null;
              const here = lamps.find((l) => l.tierId === place.id) ?? null;
              return { ...rankAt(months, here, stage), place, lamps: here, hasSun: months !== null };
            })
            .sort(byRank)
        : null,
    [year, lamps, places, stage],
  );
  const items = useMemo(() => cropItems(site.crops), [site.crops]);
  const anything = site.windows.length > 0 || shelfStands(site).length > 0;
  return (
    <div className="mx-auto w-full max-w-5xl space-y-6 px-4 py-5 md:px-6">
      <header>
        <h1 className="text-2xl font-semibold">Places at home</h1>
        <p className="text-soft">
          Every tier, and free places before each window, with the months in which their light suits one plant: the mean{' '}
          <Term id="dli">DLI</Term> of sun and lamps together, lamps as they hang and are set now.
        </p>
      </header>
      <div className="flex flex-wrap items-end gap-3">
        <div>
          <p className="pb-1 text-sm text-soft">Plant</p>
          <ChoiceSheet
            label="Plant"
            shown={crop.name}
            title="Which plant?"
            description="It looks for the best of your places."
            placeholder="Pothos, fern, tomato…"
            items={items}
            chosen={crop.id}
            onChoose={(id) => show(id)}
          />
        </div>
        {crop.stages.length > 1 && (
          <SelectField
            label="Stage"
            value={stage.stage}
            options={crop.stages.map((s) => ({ value: s.stage, label: stageWords(s) }))}
            onChange={(v) => show(crop.id, v as StageName)}
          />
        )}
        <p className="pb-1.5 text-soft">
          needs {stage.dliMin}–{stage.dliMax} mol/m²/day
        </p>
      </div>
      {!anything && (
        <p>
          No place is known yet. Add a{' '}
          <Link className="underline underline-offset-4" href="/stands">
            stand
          </Link>
          , and set where it is on its Daylight page.
        </p>
      )}
      {!site.place && site.windows.length > 0 && (
        <p className="border-l-2 border-copper pl-3">
          Set your location on the Daylight page of a stand: without it the sun cannot be worked out.
        </p>
      )}
      {lit?.failed && (
        <p role="alert" className="text-copper">
          The light could not be worked out. Reload the page to try again.
        </p>
      )}
      {anything && !lit?.failed && !ranked && <p role="status">Working out the light of your places…</p>}
      {anything && site.windows.length === 0 && (
        <p className="text-soft">No window yet: say on the Daylight page of a stand which one it stands at, and its places appear here.</p>
      )}
      {ranked && ranked.length > 0 && (
        <>
          <HomeMap ranked={ranked} />
          <section aria-labelledby="places-list" className="space-y-2">
            <h2 id="places-list" className="text-lg font-semibold">
              Best first
            </h2>
            <ol className="space-y-1">
              {ranked.map((r) => (
                <li
                  key={r.place.id}
                  data-testid="home-place"
                  className="grid grid-cols-[1fr_auto] items-center gap-x-4 gap-y-1 border-t border-line py-2"
                >
                  <span>
                    {r.place.stand ? (
                      <Link
                        className="font-semibold underline-offset-4 hover:underline"
                        href={standPath(r.place.stand.id, r.hasSun ? 'daylight' : 'bench')}
                      >
                        {placeName(r.place, lengthUnit)}
                      </Link>
                    ) : (
                      <span className="font-semibold">{placeName(r.place, lengthUnit)}</span>
                    )}
                    <span className="block text-sm text-soft">{placeLightWords(r, r.lamps, r.hasSun)}</span>
                    {r.lamps && whyNotWords(r.lamps) && <span className="block text-sm text-copper">{whyNotWords(r.lamps)}</span>}
                  </span>
                  <span className="text-right text-sm">
                    <MonthCells months={r.months} />
                    {monthsWords(r.inBand)}
                  </span>
                </li>
              ))}
            </ol>
          </section>
          <MonthCellsKey />
          <p className="text-sm text-soft">
            Months go by their mean day. One with too much sun on clear days counts as scorching, whatever its mean. Free places stand
            before the middle of a window.
          </p>
        </>
      )}
    </div>
  );
}

/** The places as they lie: before each window from the glass into the room, then those that no window reaches. */
function HomeMap({ ranked }: { ranked: readonly Ranked[] }) {
  const { lengthUnit } = useSettings();
  const windows = useSite((s) => s.site.windows);
  const best = ranked[0]!.inBand > 0 ? ranked[0]!.place.id : null;
  const inside = ranked.filter((r) => !r.place.window);
  const ring = (r: Ranked, label: string) => (
    <li key={r.place.id} className="flex w-24 flex-col items-center gap-1 text-center text-sm leading-tight">
      <span className={r.place.id === best ? 'rounded-full outline-2 outline-offset-2 outline-verdigris' : ''}>
        <MonthRing months={r.months} inBand={r.inBand} />
      </span>
      {label}
    </li>
  );
  const nameOf = ({ place }: Ranked) => (place.stand ? placeName(place, lengthUnit) : 'free');
  return (
    <section aria-label="Map of the places" className="space-y-3" data-testid="home-map">
      {windows.map((w) => {
        const here = ranked.filter((r) => r.place.window?.id === w.id).sort((a, b) => a.place.depth! - b.place.depth!);
        if (here.length === 0) return null;
        return (
          <div key={w.id} className="flex gap-4 rounded-md bg-sunk p-3 max-md:flex-col">
            <p className="flex w-32 shrink-0 items-center gap-3 border-r-4 border-double border-slate pr-3 max-md:w-full max-md:border-r-0 max-md:border-b-4 max-md:pb-2">
              <svg viewBox="-12 -12 24 24" className="size-7 shrink-0" aria-hidden>
                <g transform={`rotate(${(w.facing * 180) / Math.PI})`}>
                  <path d="M 0 -10 L 4 8 L 0 5 L -4 8 Z" className="fill-ink" />
                </g>
              </svg>
              <span className="text-sm">
                <strong className="block font-semibold">{w.name}</strong>
                looks {compassOf(w.facing)}
              </span>
            </p>
            <ul className="flex flex-1 flex-wrap gap-x-5 gap-y-3">
              {here.map((r) => ring(r, `${nameOf(r)}, ${showLength(r.place.depth!, lengthUnit)}`))}
            </ul>
          </div>
        );
      })}
      {inside.length > 0 && (
        <div className="flex gap-4 rounded-md border border-line p-3 max-md:flex-col">
          <p className="w-32 shrink-0 text-sm">
            <strong className="block font-semibold">Away from windows</strong>
            lit by lamps alone
          </p>
          <ul className="flex flex-1 flex-wrap gap-x-5 gap-y-3">{inside.map((r) => ring(r, nameOf(r)))}</ul>
        </div>
      )}
      <p className="text-sm text-soft">
        Each ring is a year, January at the top; thick months are in range, their number is inside. From left to right: from the glass into
        the room.
      </p>
    </section>
  );
}
