'use client';
import type { Crop, Stage } from '@/core/things/crop/Crop';
import { feedingOf } from '@/core/things/crop/feedingOf';
import { benchStandIn } from '@/store/bench/benchStandIn';
import { tables } from '@/core/things/tables/libraryTables';
import { showLength } from '@/core/units/length';
import { showTemperature } from '@/core/units/temperature';
import { Link } from '../parts/Link';
import { groupWords } from '../parts/cropItems';
import { daysWords } from '../season/dayWords';
import { useSettings, useSite } from '../shell/WorkspaceContext';
import { basisWords, stageWords } from '../verdict/words';
import { dayLengthWords, injuryWords, remedyWords, seedLightWords, stretchWords } from './cropWords';
import { HeightCurve } from './HeightCurve';
import { trayName } from '../bench/benchWords';
import { LearnedPanel } from './LearnedPanel';
import { Term } from '../terms/Term';

/** All that is known of a crop, with where it comes from. */
export function CropDetail({ crop, editor, children }: { crop: Crop; editor: React.ReactNode; children: React.ReactNode }) {
  const { lengthUnit, temperatureUnit } = useSettings();
  const site = useSite((s) => s.site);
  const here = site.stands.flatMap((stand) =>
    benchStandIn(site, stand).tiers.flatMap((t) => t.trays.filter((y) => y.crop.id === crop.id).map((tray) => ({ tray, stand }))),
  );
  const { germination, afterEmergence, sowing, trust } = crop;
  const feed = feedingOf(crop);
  const most = Math.max(...crop.stages.map((s) => s.dliMax));
  const temp = (c: number) => showTemperature(c, temperatureUnit);
  const base = crop.own?.basedOn ? tables.crop(crop.own.basedOn) : undefined;
  return (
    <>
      <div className="flex flex-wrap items-start gap-3">
        <div className="min-w-0 flex-1">
          <h2 className="text-2xl font-semibold">{crop.name}</h2>
          <p className="text-soft">
            {crop.latin && <em>{crop.latin}</em>}
            {crop.alsoCalled.length > 0 && `; also called ${crop.alsoCalled.join(', ')}`}
            {!crop.own && ` · ${groupWords(crop.group)}`}
          </p>
          {crop.own && (
            <p>
              Your own{base ? `, copied from ${base.name}` : ''}
              {crop.own.why ? `: ${crop.own.why}` : ''}
            </p>
          )}
        </div>
        {children}
      </div>
      {editor}
      <section aria-labelledby="stages" className="space-y-1">
        <h3 id="stages" className="text-lg font-semibold">
          Light needed
        </h3>
        <div className="overflow-x-auto">
          <table className="w-full text-left">
            <thead className="text-sm text-soft">
              <tr>
                <th className="pr-3 font-normal">stage</th>
                <th className="w-1/3 min-w-32 pr-3 md:min-w-36 font-normal">
                  <Term id="dli">DLI</Term>, mol/m²/day: minimum, best, maximum
                </th>
                <th className="pr-3 font-normal">
                  <Term id="photoperiod">hours</Term>
                </th>
                <th className="pr-3 font-normal">
                  maximum <Term id="ppfd">PPFD</Term>, µmol/m²/s
                </th>
                <th className="font-normal max-md:hidden">from</th>
              </tr>
            </thead>
            <tbody>
              {crop.stages.map((s) => (
                <tr key={s.stage} className="border-t border-line align-top">
                  <td className="py-1.5 pr-3">
                    <span className="font-semibold">{stageWords(s)}</span>
                    {s.fromDay !== null && <span className="block text-sm text-soft">from day {s.fromDay}</span>}
                    <span className="block text-sm text-soft md:hidden">{basisWords(s.basis)}</span>
                  </td>
                  <td className="py-1.5 pr-3 tabular-nums">
                    {s.dliMin} · <strong className="font-semibold">{s.dliTarget}</strong> · {s.dliMax}
                    <BandBar stage={s} most={most} />
                  </td>
                  <td className="py-1.5 pr-3 whitespace-nowrap tabular-nums">
                    {s.hoursMin}–{s.hoursMax} h
                  </td>
                  <td className="py-1.5 pr-3 tabular-nums">{s.ppfdMax}</td>
                  <td className="py-1.5 text-sm text-soft max-md:hidden">{basisWords(s.basis)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </section>
      <LearnedPanel key={crop.id} crop={crop} />
      <div className="grid gap-x-8 gap-y-5 md:grid-cols-2">
        <section aria-labelledby="facts" className="space-y-1">
          <h3 id="facts" className="text-lg font-semibold">
            Growing information
          </h3>
          <dl className="grid grid-cols-[7.5rem_1fr] gap-x-3 gap-y-1 [&_dt]:text-soft">
            <dt>day length</dt>
            <dd>
              {dayLengthWords(crop.dayLengthType)}
              {crop.dayLengthNote && `. ${crop.dayLengthNote}`} <small className="text-soft">({basisWords(trust.photoperiod)})</small>
            </dd>
            <dt>continuous light</dt>
            <dd>
              {injuryWords(crop)}
              {crop.continuousLightInjurySource && <small className="text-soft"> ({crop.continuousLightInjurySource})</small>}
            </dd>
            {germination && (
              <>
                <dt>emergence</dt>
                <dd>
                  in {germination.days.first}–{germination.days.last} days at {temp(germination.temperature.best)} (between{' '}
                  {temp(germination.temperature.least)} and {temp(germination.temperature.most)}); {seedLightWords(germination.light)}
                  {crop.heatMat ? '; a heat mat helps' : ''}{' '}
                  {trust.germination && <small className="text-soft">({basisWords(trust.germination)})</small>}
                </dd>
              </>
            )}
            {afterEmergence && (
              <>
                <dt>then</dt>
                <dd>
                  {temp(afterEmergence.day)} by day, {temp(afterEmergence.night)} by night
                </dd>
              </>
            )}
            {sowing && (
              <>
                <dt>sown</dt>
                <dd>
                  {sowing.weeksBefore.least}–{sowing.weeksBefore.most} weeks before the last frost, planted out{' '}
                  {sowing.plantOutWeeksAfter === 0
                    ? 'at it'
                    : `${weeks(Math.abs(sowing.plantOutWeeksAfter))} ${sowing.plantOutWeeksAfter > 0 ? 'after' : 'before'} it`}
                  , once nights stay above {temp(sowing.nightLeast)}{' '}
                  {trust.sowing && <small className="text-soft">({basisWords(trust.sowing)})</small>}
                </dd>
              </>
            )}
            {feed && (
              <>
                <dt>feed</dt>
                <dd>
                  {feed.everyDays === null ? feed.strength : `${feed.strength}, every ${daysWords(feed.everyDays)}`}, from the {feed.after}{' '}
                  (about day {feed.fromDay})
                </dd>
              </>
            )}
            {crop.containerPath.length > 0 && (
              <>
                <dt>stands in</dt>
                <dd>
                  {crop.containerPath
                    .map((c) => `${tables.container(c.containerId)?.name ?? c.containerId} from day ${c.fromDay}`)
                    .join(', ')}
                </dd>
              </>
            )}
            <dt>tendency to stretch</dt>
            <dd>
              {stretchWords(crop.stretchProne)}; remedy for stretched stems, {remedyWords(crop.leggyRemedy)}
              {crop.airMovementBenefit ? '. Moving air or brushing makes its stems stronger' : ''}
            </dd>
          </dl>
          {crop.notes && <p>{crop.notes}</p>}
        </section>
        <section aria-labelledby="heights" className="space-y-1">
          <h3 id="heights" className="text-lg font-semibold">
            Height by day
          </h3>
          <HeightCurve crop={crop} />
          <p className="text-sm text-soft">
            {basisWords(trust.heights)}; {showLength(crop.heightByDay.at(-1)?.height ?? 0, lengthUnit)} on day{' '}
            {crop.heightByDay.at(-1)?.day ?? 0}
          </p>
          {here.length > 0 && (
            <>
              <h3 className="pt-2 text-lg font-semibold">Growing here</h3>
              <ul>
                {here.map(({ tray, stand }) => (
                  <li key={tray.tray.id}>
                    <Link
                      href={`/tray/${encodeURIComponent(tray.tray.id)}`}
                      className="inline-flex min-h-9 items-center underline underline-offset-4 max-md:min-h-11"
                    >
                      {trayName(tray)}, {stand.name}
                    </Link>
                  </li>
                ))}
              </ul>
            </>
          )}
        </section>
      </div>
      <details>
        <summary className="inline-flex min-h-9 cursor-pointer items-center font-semibold text-verdigris max-md:min-h-11">
          Where these figures come from
        </summary>
        <ul className="list-disc pl-5 text-sm">
          {crop.sources.map((s) => (
            <li key={s.cite}>
              {s.cite}{' '}
              <span className="text-soft">
                ({basisWords(s.kind)}; {s.supports.join(', ')})
              </span>
            </li>
          ))}
        </ul>
      </details>
    </>
  );
}

const weeks = (n: number) => (n === 1 ? '1 week' : `${n} weeks`);

/** The band of a stage on a scale that all its stages share: from the least to the most, a line at the best. */
function BandBar({ stage, most }: { stage: Stage; most: number }) {
  const pc = (x: number) => (x / most) * 100;
  return (
    <svg viewBox="0 0 100 6" preserveAspectRatio="none" className="mt-0.5 block h-2 w-full" aria-hidden>
      <rect x="0" y="2" width="100" height="2" className="fill-sunk" />
      <rect x={pc(stage.dliMin)} y="0.5" width={pc(stage.dliMax - stage.dliMin)} height="5" className="fill-verdigris" opacity="0.55" />
      <rect x={pc(stage.dliTarget) - 0.5} y="0" width="1" height="6" className="fill-ink" />
    </svg>
  );
}
