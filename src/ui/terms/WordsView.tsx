'use client';
import { useState } from 'react';
import { DISAGREEMENTS, GLOSSARY, type GlossaryTerm } from './glossary';
import { Live } from './LivePictures';
import { SearchField } from '../parts/SearchField';
import { Lengths } from '../parts/Lengths';

const GROUPS: Readonly<Record<GlossaryTerm['group'], string>> = {
  light: 'Light',
  lamps: 'Lamps',
  meters: 'Meters',
  plants: 'Plants',
  racks: 'Racks',
};

/** All words of the field with what they mean, some with a picture that answers; and where growers disagree. */
export function WordsView() {
  const [search, setSearch] = useState('');
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const fits = (text: string) => words.every((w) => text.toLowerCase().includes(w));
  const found = GLOSSARY.filter((t) => fits(`${t.name} ${t.long ?? ''} ${t.unit ?? ''} ${t.plain} ${t.typical ?? ''}`));
  const disputed = DISAGREEMENTS.filter((d) => fits(`${d.question} ${d.schools} ${d.known}`));
  return (
    <div className="mx-auto w-full max-w-3xl space-y-7 px-4 py-6 md:px-6">
      <header className="space-y-3">
        <h1 className="text-2xl font-semibold">Words and reasons</h1>
        <SearchField label="Search" className="max-w-md" placeholder="DLI, lux, leggy…" value={search} onChange={setSearch} />
        <p role="status" className="text-soft">
          {found.length === GLOSSARY.length ? `${GLOSSARY.length} words` : `${found.length} of ${GLOSSARY.length} words`}
        </p>
      </header>
      {Object.entries(GROUPS).map(([group, name]) => {
        const terms = found.filter((t) => t.group === group);
        return (
          terms.length > 0 && (
            <section key={group} className="space-y-4" aria-label={name}>
              <h2 className="border-b border-line pb-1 text-lg font-semibold">{name}</h2>
              <dl className="space-y-5">
                {terms.map((t) => (
                  <div key={t.id} id={t.id} className="scroll-mt-4">
                    <dt className="font-semibold">
                      {t.name}
                      {t.long && <span className="font-normal text-soft">, {t.long}</span>}
                      {t.unit && <span className="font-normal text-soft"> ({t.unit})</span>}
                    </dt>
                    <dd className="max-w-prose">
                      <p>{t.plain}</p>
                      {t.typical && (
                        <p className="text-soft">
                          <Lengths of={t.typical} />
                        </p>
                      )}
                      {t.source && <p className="text-sm text-soft">Source: {t.source}</p>}
                      {/* Each picture stands once, at the first word that it shows. */}
                      {t.live && GLOSSARY.find((o) => o.live === t.live) === t && <Live what={t.live} />}
                    </dd>
                  </div>
                ))}
              </dl>
            </section>
          )
        );
      })}
      {disputed.length > 0 && (
        <section className="space-y-4" aria-label="Where growers disagree">
          <h2 className="border-b border-line pb-1 text-lg font-semibold">Where growers disagree</h2>
          <dl className="space-y-4">
            {disputed.map((d) => (
              <div key={d.question}>
                <dt className="font-semibold">{d.question}</dt>
                <dd className="max-w-prose">
                  <p>
                    Some say: <Lengths of={d.schools} />
                  </p>
                  <p>Known: {d.known}</p>
                  {d.source && <p className="text-sm text-soft">Source: {d.source}</p>}
                </dd>
              </div>
            ))}
          </dl>
        </section>
      )}
      {found.length === 0 && disputed.length === 0 && <p>No results for this search. Use fewer words.</p>}
    </div>
  );
}
