'use client';
import clsx from 'clsx';
import { Plus, TriangleAlert } from 'lucide-react';
import { useMemo, useState } from 'react';
import { CONTINUOUS_SHARE, loadsOf, type OutletGroup } from '@/core/answer/power/loadsOf';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { addPlugged, movePlugged, setStrip, setTimer } from '@/core/site/stand/changeOutlets';
import { PLUGGED_KINDS, type Plugged } from '@/core/site/stand/Site';
import { newId } from '@/store/names/newId';
import { changeSite } from '@/store/site/siteStore';
import { useStand } from '../bench/useBench';
import { HoursHead } from '../hours/HoursHead';
import { NoStand } from '../hours/NoStand';
import { CautionList } from '../caution/CautionList';
import { Button } from '../parts/Button';
import { MaybeNumberField } from '../parts/MaybeNumberField';
import { NumberField } from '../parts/NumberField';
import { SelectField } from '../parts/SelectField';
import { useWorkspace } from '../shell/WorkspaceContext';
import { OutletList } from './OutletList';
import { outletFaultWords, groupName, PLUGGED_WORDS, surgeWords, voltAmperes, watts } from './outletWords';
import { PlugPanel } from './PlugPanel';
import { Term } from '../terms/Term';

/** What of a stand is plugged in where, what that comes to, and a plug to practise with. */
export function OutletsView() {
  const stand = useStand();
  if (!stand)
    return <NoStand title="Nothing is plugged in yet.">Lamps, fans and mats belong to a stand. Put one on the bench first.</NoStand>;
  return <OfStand key={stand.stand.id} stand={stand} />;
}

function OfStand({ stand }: { stand: BenchStand }) {
  const { sites } = useWorkspace();
  const loads = useMemo(() => loadsOf(stand), [stand]);
  const { id, strip } = stand.stand;
  const surges = surgeWords(stand, loads.groups);
  return (
    <div className="min-h-0 flex-1 lg:overflow-y-auto">
      <div className="mx-auto w-full max-w-6xl px-4 py-5 md:px-6">
        <HoursHead title="Power" />
        <div className="grid grid-cols-1 gap-x-10 gap-y-6 lg:grid-cols-[1fr_360px]">
          <div className="min-w-0 space-y-5">
            {loads.faults.length > 0 && (
              <ul className="space-y-2" aria-label="What is wrong">
                {loads.faults.map((f, i) => (
                  <li key={i}>
                    <div
                      role="alert"
                      className="flex flex-wrap items-center gap-x-3 gap-y-1 rounded-md bg-copper-wash px-3 py-2 text-copper"
                    >
                      <TriangleAlert size={18} aria-hidden className="shrink-0" />
                      <span className="min-w-56 flex-1 max-md:min-w-60">{outletFaultWords(f, stand, loads)}</span>
                      {(f.why === 'mat-timed' || f.why === 'pump-timed') && (
                        <Button onClick={() => changeSite(sites, 'plug it in elsewhere', movePlugged(id, f.thingId, null))}>
                          Move to an always-on outlet
                        </Button>
                      )}
                    </div>
                  </li>
                ))}
              </ul>
            )}
            {loads.groups.map((g) => (
              <Group key={g.timerId ?? 'steady'} stand={stand} group={g} groups={loads.groups} />
            ))}
            {surges && <p className="border-t border-line pt-4">{surges}</p>}
            <section aria-label="Power strip" className="flex flex-wrap items-end gap-x-5 gap-y-2 border-t border-line pt-4">
              <div className="min-w-52 flex-1">
                <h2 className="text-lg font-semibold">Total load</h2>
                <p data-testid="all-power">
                  <strong className="font-semibold">{watts(loads.power)}</strong> drawn,{' '}
                  <Term id="power-factor">{voltAmperes(loads.load)}</Term> in the wires
                  {strip !== null && ` of ${voltAmperes(CONTINUOUS_SHARE * strip)} that the strip should carry for hours on end`}
                </p>
              </div>
              <MaybeNumberField
                label="Power strip rating, W"
                value={strip}
                min={1}
                max={100_000}
                unit="VA (W)"
                inputClassName="w-24"
                onChange={(w) => changeSite(sites, 'change the power strip rating', setStrip(id, { strip: w }))}
              />
            </section>
          </div>
          <div className="space-y-6">
            <AddThing stand={stand} />
            <PlugPanel stand={stand} />
          </div>
        </div>
        <div className="mt-6 border-t border-line pt-4">
          <CautionList stand={stand} />
        </div>
        <p className="mt-6 border-t border-line pt-4 text-sm text-soft">
          Timers and strips carry no more than their rating, and for hours on end no more than four fifths of it (the usual allowance for
          continuous loads). Mains and water do not go together: drip loops in the leads, outlets above the trays, a residual-current device
          before them. Local code and a licensed electrician come first.
        </p>
      </div>
    </div>
  );
}

function Group({ stand, group, groups }: { stand: BenchStand; group: OutletGroup; groups: readonly OutletGroup[] }) {
  const { sites } = useWorkspace();
  const { timerId, plugs, power, load, rating, outlets } = group;
  const name = groupName(stand, timerId);
  const allowed = rating === null ? null : CONTINUOUS_SHARE * rating;
  return (
    <section aria-label={name} className="space-y-2 border-t border-line pt-4" data-testid="outlets">
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
        <div className="min-w-52 flex-1">
          <h2 className="text-lg font-semibold">{name}</h2>
          <p className="text-soft">
            <strong className="font-semibold text-ink">{watts(power)}</strong> drawn, {voltAmperes(load)}
            {allowed !== null && ` of ${voltAmperes(allowed)} for hours on end`} · {plugs.length} {plugs.length === 1 ? 'plug' : 'plugs'}
            {outlets !== null && ` in ${outlets} outlets`}
          </p>
        </div>
        {timerId !== null && (
          <MaybeNumberField
            label="timer carries"
            value={rating}
            min={1}
            max={100_000}
            unit="VA (W)"
            inputClassName="w-22"
            onChange={(w) => changeSite(sites, 'rate the timer', setTimer(timerId, { rating: w }))}
          />
        )}
        <MaybeNumberField
          label="outlets"
          value={outlets}
          min={timerId === null ? 0 : 1}
          max={50}
          inputClassName="w-16"
          onChange={(n) => {
            const whole = n === null ? null : Math.round(n);
            changeSite(
              sites,
              'count the outlets',
              timerId === null ? setStrip(stand.stand.id, { steadyOutlets: whole }) : setTimer(timerId, { outlets: whole }),
            );
          }}
        />
      </div>
      {allowed !== null && (
        <div
          role="meter"
          aria-label={`Load of ${name}`}
          aria-valuemin={0}
          aria-valuemax={Math.round(allowed)}
          aria-valuenow={Math.round(load)}
          className="h-1.5 overflow-hidden rounded bg-sunk"
        >
          <div
            className={clsx('h-full', load > allowed ? 'bg-copper' : 'bg-verdigris')}
            style={{ width: `${Math.min(100, (load / allowed) * 100)}%` }}
          />
        </div>
      )}
      <OutletList stand={stand} group={group} groups={groups} />
    </section>
  );
}

function AddThing({ stand }: { stand: BenchStand }) {
  const { sites } = useWorkspace();
  const [kind, setKind] = useState<Plugged['kind']>('fan');
  const [power, setPower] = useState(15);
  return (
    <section aria-labelledby="add-thing" className="space-y-3">
      <h2 id="add-thing" className="text-lg font-semibold">
        Plug something in
      </h2>
      <div className="flex flex-wrap items-end gap-3">
        <SelectField
          label="what"
          value={kind}
          options={PLUGGED_KINDS.map((k) => ({ value: k, label: PLUGGED_WORDS[k] }))}
          onChange={(k) => setKind(k as Plugged['kind'])}
        />
        <NumberField label="draws" unit="W" value={power} min={0} max={20_000} inputClassName="w-20" onChange={setPower} />
        <Button
          onClick={() => {
            const name = PLUGGED_WORDS[kind].charAt(0).toUpperCase() + PLUGGED_WORDS[kind].slice(1);
            changeSite(sites, 'plug something in', addPlugged(stand.stand.id, { id: newId(), kind, name, power, timerId: null }));
          }}
        >
          <Plus size={17} aria-hidden /> Plug in
        </Button>
      </div>
    </section>
  );
}
