'use client';
import { X } from 'lucide-react';
import { Fragment, useMemo, useRef, useState } from 'react';
import type { CapacityAsked, MoreAsked } from '@/core/plan/buying/capacity';
import { lampOf } from '@/core/answer/stand/benchStand';
import { cropOf } from '@/core/site/crop/cropOf';
import { shelfStands } from '@/core/site/stand/shelfStands';
import type { Crop, Stage, StageName } from '@/core/things/crop/Crop';
import { tables } from '@/core/things/tables/libraryTables';
import { useWorkedOut } from '../parts/useWorkedOut';
import { ChoiceSheet } from '../bench/ChoiceSheet';
import { Button } from '../parts/Button';
import { Link } from '../parts/Link';
import { cropItems } from '../parts/cropItems';
import { SelectField } from '../parts/SelectField';
import { useDraft } from '../parts/useDraft';
import { tierName, traysWords } from '../season/seasonWords';
import { Term } from '../terms/Term';
import { useSettings, useSite, useWorkspace } from '../shell/WorkspaceContext';
import { REACH_COLOURS, servingWords } from './capacityWords';
import { MoreLight } from './MoreLight';

const MOST_CROPS = 8;
const STAGES: readonly { readonly value: StageName; readonly label: string }[] = [
  { value: 'seedling', label: 'Seedlings' },
  { value: 'growing-on', label: 'Growing on' },
  { value: 'flowering-fruiting', label: 'Flowering or fruiting' },
];

/** The stage of a crop by its usual name, else the first one after it has come up. */
const stageOf = (crop: Crop, name: StageName): Stage =>
  crop.stages.find((s) => s.stage === name) ?? crop.stages.find((s) => s.stage !== 'emergence') ?? crop.stages[0]!;

/** What the lamps that a person owns can serve: which crops, on how much shelf, for how many hours. */
export function Capacity() {
  const { capacity } = useWorkspace();
  const { lengthUnit } = useSettings();
  const site = useSite((s) => s.site);
  const [cropIds, setCropIds] = useDraft<readonly string[]>('capacity: crops', () =>
    [...new Set([...site.batches.map((b) => b.cropId), ...(site.season?.batches.map((b) => b.cropId) ?? [])])].slice(0, 6),
  );
  const [stageName, setStageName] = useDraft<StageName>('capacity: stage', () => 'seedling');
  const pressed = useRef<HTMLButtonElement | null>(null);
  const [looked, setLooked] = useState<{ tierId: string; cropId: string } | null>(null);
  const crops = useMemo(
    () => cropIds.flatMap((id) => { const crop = cropOf(site, id, tables); return crop ? [{ crop, stage: stageOf(crop, stageName) }] : []; }), // prettier-ignore
    [site, cropIds, stageName],
  );
  const asked = useMemo<CapacityAsked>(() => ({ site, crops: crops.map(({ crop, stage }) => ({ cropId: crop.id, wanted: stage })) }), [site, crops]); // prettier-ignore
  const told = useWorkedOut(asked, capacity);
  const items = useMemo(() => cropItems(site.crops), [site.crops]);
  const rows = told?.of === asked ? told.answer : null;
  const hung = rows?.filter((r) => r.isHung) ?? [];
  const isEmpty = shelfStands(site).every((s) => s.tiers.every((t) => t.fittings.length === 0));
  const chosen = looked && crops.find(({ crop }) => crop.id === looked.cropId);
  const more = useMemo<MoreAsked | null>(
    () => (chosen && looked ? { site, tierId: looked.tierId, wanted: chosen.stage, more: 1 } : null),
    [site, chosen, looked],
  );
  /** The cell that opened it has the focus again. */
  const close = () => {
    pressed.current?.focus();
    setLooked(null);
  };
  return (
    <div className="mx-auto w-full max-w-6xl space-y-6 px-4 py-5 md:px-6">
      <header>
        <h1 className="text-2xl font-semibold">What my lamps can serve</h1>
        <p className="text-soft">
          Every lit tier with its lamps at the distance and for the hours that suit each crop best, full of standard trays. The{' '}
          <Term id="dli">DLI</Term> is that of the tray that gets least. Press a crop on a tier: what one mole more would take there, and
          what it would bring.
        </p>
      </header>
      <div className="flex flex-wrap items-end gap-3">
        <SelectField label="For" value={stageName} options={STAGES} onChange={(v) => setStageName(v as StageName)} />
        {crops.length < MOST_CROPS && (
          <ChoiceSheet
            label="Add a crop"
            shown="Add a crop"
            title="Which crop?"
            description="It becomes a column of the table."
            placeholder="Tomato, begonia, spring onion…"
            items={items.filter((i) => !cropIds.includes(i.id))}
            chosen={null}
            onChoose={(id) => setCropIds([...cropIds, id])}
          />
        )}
      </div>
      {told?.failed && (
        <p role="alert" className="text-copper">
          The light could not be worked out. Reload the page to try again.
        </p>
      )}
      {isEmpty && (
        <p>
          No lamp hangs on a stand yet. Hang one on a{' '}
          <Link className="underline underline-offset-4" href="/stands">
            stand
          </Link>{' '}
          first.
        </p>
      )}
      {crops.length === 0 && <p>No crop is chosen. Add one to see what your lamps can do for it.</p>}
      {!isEmpty && crops.length > 0 && (
        <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="What each tier can serve" aria-busy={rows === null}>
          <table className="text-left">
            <thead className="border-b border-line align-bottom">
              <tr>
                <th className="py-2 pr-4 text-sm font-normal text-soft">Tier and lamps</th>
                {crops.map(({ crop, stage }) => (
                  <th key={crop.id} className="min-w-32 py-2 pr-2 align-bottom font-semibold">
                    <span className="flex items-end justify-between gap-1">
                      <span>
                        {crop.name}
                        <span className="block text-sm font-normal whitespace-nowrap text-soft">
                          {stage.dliMin}–{stage.dliMax}, best {stage.dliTarget}
                        </span>
                      </span>
                      <Button
                        kind="quiet"
                        className="px-1.5!"
                        aria-label={`Remove ${crop.name}`}
                        onClick={() => setCropIds(cropIds.filter((id) => id !== crop.id))}
                      >
                        <X size={16} aria-hidden />
                      </Button>
                    </span>
                  </th>
                ))}
              </tr>
            </thead>
            <tbody className="divide-y divide-line">
              {(rows ?? []).map((row) => (
                <Fragment key={`${row.tierId} ${row.lamps.map((l) => l.lampId).join()}`}>
                  <tr data-testid="capacity-row">
                    <th className="max-w-64 min-w-40 py-2 pr-4 font-semibold">
                      {tierName(site, row.tierId)}
                      <span className="block text-sm font-normal text-soft">
                        {row.isHung ? '' : 'from the cupboard: '}
                        {row.lamps.map((l) => `${l.count} × ${lampOf(site, l.lampId, tables).name}`).join(', ')}; {traysWords(row.places)}
                      </span>
                    </th>
                    {row.servings.map((s, i) => {
                      const { crop, stage } = crops[i]!;
                      const { word, detail } = servingWords(s, stage.dliMin, lengthUnit);
                      const isLooked = looked?.tierId === row.tierId && looked.cropId === crop.id && row.isHung;
                      const shown = (
                        <>
                          <b className={REACH_COLOURS[s.reach]}>{word}</b>
                          <span className="block text-sm text-soft">{detail}</span>
                        </>
                      );
                      return (
                        <td key={crop.id} className="py-1 pr-2">
                          {row.isHung && s.reach !== 'strong' ? (
                            <button
                              type="button"
                              aria-expanded={isLooked}
                              aria-label={`${tierName(site, row.tierId)}, ${crop.name}: ${word}, ${detail}. More light?`}
                              className="min-h-11 w-full rounded px-1.5 text-left hover:bg-sunk aria-expanded:bg-sunk aria-expanded:outline-2 aria-expanded:outline-verdigris"
                              onClick={(e) => {
                                pressed.current = e.currentTarget;
                                setLooked(isLooked ? null : { tierId: row.tierId, cropId: crop.id });
                              }}
                            >
                              {shown}
                            </button>
                          ) : (
                            <div className="px-1.5">{shown}</div>
                          )}
                        </td>
                      );
                    })}
                  </tr>
                  {more && chosen && row.isHung && row.tierId === looked?.tierId && (
                    <tr>
                      <td colSpan={crops.length + 1} className="bg-sunk p-0">
                        <section
                          aria-label={`More light: ${chosen.crop.name}, ${tierName(site, row.tierId)}`}
                          className="sticky left-0 w-[calc(100vw-2rem)] max-w-3xl space-y-3 px-4 py-3"
                        >
                          <h2 className="flex items-center justify-between gap-3 text-lg font-semibold">
                            {chosen.crop.name}, {tierName(site, row.tierId)}
                            <Button kind="quiet" size="icon" aria-label="Close this" onClick={close}>
                              <X size={17} aria-hidden />
                            </Button>
                          </h2>
                          <MoreLight asked={more} crop={chosen.crop} stage={chosen.stage} places={row.places} />
                        </section>
                      </td>
                    </tr>
                  )}
                </Fragment>
              ))}
              {rows !== null && hung.length > 0 && (
                <tr className="font-semibold">
                  <th className="py-2 pr-4">Trays that have enough</th>
                  {crops.map(({ crop }, i) => (
                    <td key={crop.id} className="px-1.5 py-2 tabular-nums">
                      {hung
                        .filter((r) => r.servings[i]!.reach === 'target' || r.servings[i]!.reach === 'enough')
                        .reduce((sum, r) => sum + r.places, 0)}{' '}
                      of {hung.reduce((sum, r) => sum + r.places, 0)}
                    </td>
                  ))}
                </tr>
              )}
            </tbody>
          </table>
        </div>
      )}
      {rows === null && !told?.failed && !isEmpty && crops.length > 0 && <p role="status">Working out the light of every tier…</p>}
      <p className="text-sm text-soft">
        Light from other tiers is left out, power counts at its usual price. One more lamp hangs evenly beside the others. A change of
        distance or hours holds for the whole tier: for what grows there now, see its hang chart. Before you hang more lamps: the load of
        strip and circuit, hooks and shelf. Follow local code; ask a licensed electrician.
      </p>
    </div>
  );
}
