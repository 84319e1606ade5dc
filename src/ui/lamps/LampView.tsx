'use client';
import type { Lamp } from '@/core/things/lamp/Lamp';
import { tables } from '@/core/things/tables/libraryTables';
import { sparesOf } from '@/core/site/ownLamps/hangingOf';
import type { Site } from '@/core/site/stand/Site';
import { showLength } from '@/core/units/length';
import { showWeight } from '@/core/units/weight';
import { LampPortrait } from '../lamp/LampPortrait';
import { Link } from '../parts/Link';
import { useSettings, useSite } from '../shell/WorkspaceContext';
import { CopyLamp } from './CopyLamp';
import { standPath } from '../stands/places';
import { numberWords } from '../parts/locale';
import type { TermId } from '../terms/glossary';
import { Term } from '../terms/Term';

/** A kind of lamp: what it gives and needs, and where it hangs here. */
export function LampView({ id }: { id: string }) {
  const site = useSite((s) => s.site);
  const lamp: Lamp | undefined = site.lamps.find((l) => l.id === id) ?? tables.lamp(id);
  if (!lamp)
    return (
      <section className="m-auto max-w-md space-y-4 p-6 text-center">
        <h1 className="text-2xl font-semibold">Lamp not found</h1>
        <p>No lamp of this browser or of the library has this address.</p>
        <Link href="/lamps/library" className="font-semibold underline underline-offset-4">
          To the library
        </Link>
      </section>
    );
  const isOwn = site.lamps.some((l) => l.id === id);
  return (
    <article className="mx-auto w-full max-w-5xl space-y-6 px-4 py-5 md:px-6">
      <header className="flex flex-wrap items-start gap-4">
        <div className="min-w-64 flex-1">
          <h1 className="text-2xl font-semibold">{lamp.name}</h1>
          <p className="text-soft">{isOwn ? 'Your own, from its box' : `A usual lamp of its kind (${lamp.family})`}</p>
        </div>
        <CopyLamp lamp={lamp} isOwn={isOwn} />
      </header>
      <Figures lamp={lamp} />
      <LampPortrait lamp={lamp} />
      <Hangs lamp={lamp} site={site} />
      {lamp.distrust.length > 0 && (
        <section className="space-y-1">
          <h2 className="text-lg font-semibold">What its box may say, and should not</h2>
          <ul className="list-disc space-y-1 pl-5">
            {lamp.distrust.map((d) => (
              <li key={d}>{d}</li>
            ))}
          </ul>
        </section>
      )}
    </article>
  );
}

/** Figures that want to be told what they are. */
const TERMS: Readonly<Record<string, TermId | undefined>> = {
  PPF: 'ppf',
  Efficacy: 'efficacy',
};

function Figures({ lamp }: { lamp: Lamp }) {
  const { lengthUnit } = useSettings();
  const figures: readonly (readonly [string, string])[] = [
    ['Power', `${lamp.power} W`],
    ['PPF', `${Math.round(lamp.ppf)} µmol/s`],
    ['Efficacy', `${(lamp.ppf / lamp.power).toFixed(2)} µmol/J`],
    [
      'Life',
      lamp.life_h > 0 ? `${numberWords(lamp.life_h)} h, then about ${Math.round(100 * lamp.maintenanceAtEnd)} % of its light` : 'not known',
    ],
    ['Nearest to leaves, for heat', showLength(lamp.heatClearance, lengthUnit)],
    ['Weight', showWeight(lamp.weight_kg, lengthUnit)],
    ['Size', `${showLength(lamp.length, lengthUnit)} × ${showLength(lamp.width, lengthUnit)}`],
    ['Rated for', `${lamp.locationRating} places`],
  ];
  return (
    <dl className="grid grid-cols-2 gap-x-6 gap-y-3 border-y border-line py-4 md:grid-cols-4">
      {figures.map(([name, value]) => (
        <div key={name}>
          <dt className="text-sm text-soft">{TERMS[name] ? <Term id={TERMS[name]}>{name}</Term> : name}</dt>
          <dd className="font-semibold">{value}</dd>
        </div>
      ))}
    </dl>
  );
}

/** Where the lamp hangs, and how many lie in the cupboard. */
function Hangs({ lamp, site }: { lamp: Lamp; site: Site }) {
  const places = site.stands.flatMap((stand) =>
    stand.tiers.flatMap((t, i) => {
      const count = t.fittings.filter((f) => f.lampId === lamp.id).length;
      return count > 0 ? [{ stand, tier: i + 1, tiers: stand.tiers.length, count }] : [];
    }),
  );
  const spare = sparesOf(site).find((s) => s.lampId === lamp.id)?.count ?? 0;
  return (
    <section className="space-y-1">
      <h2 className="text-lg font-semibold">Where it is</h2>
      {places.length === 0 && spare === 0 && <p className="text-soft">It hangs nowhere here.</p>}
      <ul>
        {places.map(({ stand, tier, tiers, count }) => (
          <li key={`${stand.id} ${tier}`}>
            {count} ×{' '}
            <Link
              href={standPath(stand.id)}
              className="inline-flex min-h-9 items-center font-semibold underline underline-offset-4 max-md:min-h-11"
            >
              {stand.name}
            </Link>
            {tiers > 1 && `, tier ${tier}`}
          </li>
        ))}
        {spare > 0 && <li>{spare} × in the cupboard</li>}
      </ul>
    </section>
  );
}
