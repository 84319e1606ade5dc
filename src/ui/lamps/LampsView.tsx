'use client';
import Link from 'next/link';
import { useRouter, useSearchParams } from 'next/navigation';
import { useMemo } from 'react';
import type { Lamp } from '@/core/things/lamp/Lamp';
import { lampLibrary } from '@/core/things/lamp/lampLibrary';
import { tables } from '@/core/things/tables/libraryTables';
import type { Site } from '@/core/site/stand/Site';
import { showLength } from '@/core/units/length';
import { lampItems } from '../parts/lampItems';
import { SearchList } from '../parts/SearchList';
import { LampPortrait } from '../lamp/LampPortrait';
import { useSettings, useSite } from '../shell/WorkspaceContext';
import { standPath } from '../stands/places';

/** Every lamp with what it gives and needs, and where it hangs here. */
export function LampsView() {
  const site = useSite((s) => s.site);
  const hung = site.stands[0]?.tiers.flatMap((t) => t.fittings)[0]?.lampId;
  const router = useRouter();
  const shown = useSearchParams().get('lamp') ?? hung ?? '';
  const lamp: Lamp = site.lamps.find((l) => l.id === shown) ?? tables.lamp(shown) ?? lampLibrary[0]!;
  const items = useMemo(() => lampItems(site.lamps).map((i) => ({ ...i, detail: '', words: [...i.words, i.detail] })), [site.lamps]);
  return (
    <div className="mx-auto w-full max-w-6xl px-4 py-5 md:px-6">
      <h1 className="pb-4 text-2xl font-semibold">Lamps</h1>
      <div className="grid grid-cols-1 gap-x-10 gap-y-6 lg:grid-cols-[300px_1fr]">
        <div className="lg:sticky lg:top-4 lg:self-start">
          <SearchList
            label="Lamps"
            placeholder="bar, T8, 24 W, 6500 K…"
            items={items}
            chosen={lamp.id}
            onChoose={(id) => router.replace(`/lamps?lamp=${encodeURIComponent(id)}`)}
            empty="No lamp by that name. In Check, under Lamp, you can describe your own by its box."
          />
        </div>
        <article className="min-w-0 space-y-6" aria-label={lamp.name} key={lamp.id}>
          <header>
            <h2 className="text-2xl font-semibold">{lamp.name}</h2>
            <p className="text-soft">
              {lamp.sources.some((s) => s.cite === 'typed from its box')
                ? 'Your own, from its box'
                : `A usual lamp of its kind (${lamp.family})`}
            </p>
          </header>
          <Figures lamp={lamp} />
          <LampPortrait lamp={lamp} />
          <Hangs lamp={lamp} site={site} />
          {lamp.distrust.length > 0 && (
            <section className="space-y-1">
              <h3 className="text-lg font-semibold">What its box may say, and should not</h3>
              <ul className="list-disc space-y-1 pl-5">
                {lamp.distrust.map((d) => (
                  <li key={d}>{d}</li>
                ))}
              </ul>
            </section>
          )}
        </article>
      </div>
    </div>
  );
}

function Figures({ lamp }: { lamp: Lamp }) {
  const { lengthUnit } = useSettings();
  const figures: readonly (readonly [string, string])[] = [
    ['Power', `${lamp.power} W`],
    ['PPF', `${Math.round(lamp.ppf)} µmol/s`],
    ['Efficacy', `${(lamp.ppf / lamp.power).toFixed(2)} µmol/J`],
    [
      'Life',
      lamp.life_h > 0
        ? `${lamp.life_h.toLocaleString()} h, then about ${Math.round(100 * lamp.maintenanceAtEnd)} % of its light`
        : 'not known',
    ],
    ['Nearest to leaves, for heat', showLength(lamp.heatClearance, lengthUnit)],
    ['Weight', `${lamp.weight_kg} kg`],
    ['Size', `${showLength(lamp.length, lengthUnit)} × ${showLength(lamp.width, lengthUnit)}`],
    ['Rated for', `${lamp.locationRating} places`],
  ];
  return (
    <dl className="grid grid-cols-2 gap-x-6 gap-y-3 border-y border-line py-4 md:grid-cols-4">
      {figures.map(([name, value]) => (
        <div key={name}>
          <dt className="text-sm text-soft">{name}</dt>
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
  const spare = site.spares.find((s) => s.lampId === lamp.id)?.count ?? 0;
  return (
    <section className="space-y-1">
      <h3 className="text-lg font-semibold">Where it is</h3>
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
