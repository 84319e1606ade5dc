'use client';
import { Archive, RefreshCw, Trash2 } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import {
  changeOwnLamp,
  hangOwnLamp,
  kindOfOwnLamp,
  leaveEmpty,
  removeOwnLamp,
  replaceOwnLamp,
  retireOwnLamp,
  takeDownForGood,
  unnamedFittings,
} from '@/core/site/ownLamps/changeOwnLamps';
import { DAMP_RATINGS, NOISES, type OwnLamp } from '@/core/site/lamp/OwnLamp';
import type { Site } from '@/core/site/stand/Site';
import { showWeight } from '@/core/units/weight';
import { newId } from '@/store/names/newId';
import { changeSite, undo } from '@/store/site/siteStore';
import { ChoiceSheet } from '../bench/ChoiceSheet';
import { Button } from '../parts/Button';
import { DayField } from '../parts/DayField';
import { Link } from '../parts/Link';
import { useLampItems } from '../parts/useLampItems';
import { MaybeNumberField } from '../parts/MaybeNumberField';
import { MaybeWeightField } from '../parts/MaybeWeightField';
import { SelectField } from '../parts/SelectField';
import { TextField } from '../parts/TextField';
import { UndoButtons } from '../parts/UndoButtons';
import { datedWords } from '../season/dayWords';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { say } from '../shell/toastStore';
import { useSettings, useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { ChannelFields } from './ChannelFields';
import { DimmerFields } from './DimmerFields';
import { knownOwnLamps } from './knownOwnLamps';
import { LampOutlook } from './LampOutlook';
import { kindPath } from './lampPaths';

const UNKNOWN = { value: '', label: 'not stated' };
const RATING_WORDS = { dry: 'dry places only', damp: 'damp places', wet: 'wet places' } as const;
const NOISE_WORDS = { silent: 'silent', hums: 'hums', whines: 'whines' } as const;
const RETIRED = 'retired';
const CUPBOARD = 'cupboard';

/** One lamp of the person's own: all that is known of it, what it still gives, and until when that will do. */
export function OwnLampView({ id }: { id: string }) {
  const { sites } = useWorkspace();
  const { lengthUnit } = useSettings();
  const router = useRouter();
  const today = useToday();
  const site = useSite((s) => s.site);
  const known = useMemo(() => knownOwnLamps(site, today).find((l) => l.own.id === id), [site, today, id]);
  const items = useLampItems(site.lamps);
  if (!known)
    return (
      <section className="m-auto max-w-md space-y-4 p-6 text-center">
        <h1 className="text-2xl font-semibold">Lamp not found</h1>
        <p>It may have been deleted, or be in another browser.</p>
        <Link href="/lamps" className="font-semibold underline underline-offset-4">
          To my lamps
        </Link>
      </section>
    );
  const { own, lamp, used_h } = known;
  const set = (what: string, by: Partial<OwnLamp>) => changeSite(sites, what, changeOwnLamp(id, by));
  const places = placesFor(site, own);
  const at = own.retired !== null ? RETIRED : known.hanging ? known.hanging.fitting.id : CUPBOARD;
  const moveTo = (to: string) => {
    const left = known.hanging?.fitting.id;
    const moved = to === RETIRED ? retireOwnLamp(id, today) : hangOwnLamp(id, to === CUPBOARD ? null : to);
    if (!changeSite(sites, 'say where the lamp is', moved) || left === undefined) return;
    say('The plan still has a lamp of this kind in its old place.', {
      label: 'Leave that place empty',
      run: () => {
        const before = sites.getState().site;
        if (!changeSite(sites, 'leave its place empty', leaveEmpty(left)) || sites.getState().site === before) return;
        say('Nothing hangs in that place now.', { label: 'Undo', run: () => undo(sites) });
      },
    });
  };
  const remove = () => {
    if (!changeSite(sites, 'delete the lamp', removeOwnLamp(id))) return;
    say(`${own.name} is deleted. What hangs stays.`, { label: 'Undo', run: () => undo(sites) });
    router.push('/lamps');
  };
  return (
    <div className="mx-auto w-full max-w-6xl px-4 py-5 md:px-6">
      <header className="flex flex-wrap items-start gap-3 border-b border-line pb-3">
        <div className="min-w-64 flex-1">
          <p className="text-soft">
            <Link href="/lamps" className="underline underline-offset-4">
              My lamps
            </Link>
          </p>
          <h1 className="text-2xl font-semibold">{own.name}</h1>
          <p className="text-soft">
            <Link href={kindPath(lamp.id)} className="underline underline-offset-4">
              {lamp.name}
            </Link>
            {own.retired !== null && `, retired since ${datedWords(own.retired)}`}
          </p>
        </div>
        <UndoButtons />
      </header>
      <div className="grid gap-x-10 gap-y-8 pt-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)]">
        <LampOutlook known={known} />
        <section aria-labelledby="about-lamp" className="min-w-0 space-y-4 lg:order-first">
          <h2 id="about-lamp" className="text-lg font-semibold">
            About it
          </h2>
          <TextField
            label="Name"
            value={own.name}
            most={120}
            className="w-80 max-w-[86vw]"
            onChange={(name) => set('rename the lamp', { name: name || lamp.name })}
          />
          <div className="flex flex-wrap items-end gap-4">
            <div className="max-w-full">
              <p className="text-sm text-soft">Kind</p>
              <ChoiceSheet
                label="Kind of lamp"
                shown={lamp.name}
                title="What kind of lamp is it?"
                description="Its light, its fading and its heat follow from its kind."
                placeholder="bar, T8, 24 W…"
                items={items}
                chosen={lamp.id}
                onChoose={(lampId) => changeSite(sites, 'change the kind', kindOfOwnLamp(id, lampId))}
              />
            </div>
            <div className="w-72 max-w-full">
              <SelectField
                label="Where it is"
                value={at}
                options={[...places, { value: CUPBOARD, label: 'in the cupboard' }, { value: RETIRED, label: 'retired' }]}
                onChange={moveTo}
              />
            </div>
          </div>
          <div className="flex flex-wrap items-end gap-4">
            <MaybeNumberField
              label="Hours burned until today"
              value={used_h === null ? null : Math.round(used_h)}
              min={0}
              max={1e6}
              unit="h"
              inputClassName="w-24"
              onChange={(hours) => set('say how long it has burned', { counted: hours === null ? null : { hours, on: today } })}
            />
            <p className="max-w-72 flex-1 pb-1.5 text-sm text-soft">
              {used_h === null
                ? 'Count years × days × hours, roughly. From then on its timer counts.'
                : known.hanging
                  ? `Counted on by its timer, ${Math.round(10 * known.hanging.hours) / 10} h a day.`
                  : 'It burns nowhere now.'}
            </p>
          </div>
          <div className="flex flex-wrap items-end gap-4">
            <DayField
              label="Bought"
              value={own.bought}
              max={today}
              clearable
              onChange={(bought) => set('say when it was bought', { bought })}
            />
            <MaybeNumberField
              label="Paid then"
              value={own.paid}
              min={0}
              max={1e6}
              unit={site.currency}
              inputClassName="w-24"
              onChange={(paid) => set('say what it cost', { paid })}
            />
          </div>
          <div className="flex flex-wrap items-end gap-4">
            <MaybeNumberField
              label="Draws, measured at full light"
              value={own.drawn?.power ?? null}
              min={0.1}
              max={5000}
              unit="W"
              inputClassName="w-20"
              onChange={(power) => set('say what it draws', { drawn: power === null ? null : { power, load: own.drawn?.load ?? null } })}
            />
            {own.drawn && (
              <MaybeNumberField
                label="volts × amperes"
                value={own.drawn.load}
                min={0.1}
                max={10_000}
                unit="VA"
                inputClassName="w-20"
                onChange={(load) => set('say what it draws', { drawn: { power: own.drawn!.power, load } })}
              />
            )}
            <p className="pb-1.5 text-sm text-soft">
              Its label: {lamp.power} W.
              {own.drawn?.load ? ` Power factor ${(own.drawn.power / own.drawn.load).toFixed(2)}.` : ''}
              {own.drawn && Math.abs(own.drawn.power / lamp.power - 1) > NOTABLE && (
                <b className="text-copper">
                  {' '}
                  {Math.abs(Math.round(100 * (own.drawn.power / lamp.power - 1)))} % {own.drawn.power > lamp.power ? 'more' : 'less'} than
                  that.
                </b>
              )}
            </p>
          </div>
          <ChannelFields own={own} onChange={(what, change) => changeSite(sites, what, change)} />
          <DimmerFields own={own} onChange={(dimmer) => set('change the dimmer', { dimmer })} />
          <div className="flex flex-wrap items-end gap-4">
            <SelectField
              label="Its label allows"
              value={own.rating ?? ''}
              options={[
                { value: '', label: `as its kind: ${lamp.locationRating}` },
                ...DAMP_RATINGS.map((r) => ({ value: r, label: RATING_WORDS[r] })),
              ]}
              onChange={(r) => set('change the damp rating', { rating: (r || null) as OwnLamp['rating'] })}
            />
            <MaybeWeightField
              label={`Weight (its kind: ${showWeight(lamp.weight_kg, lengthUnit)})`}
              value={own.weight_kg}
              min={0.01}
              max={200}
              inputClassName="w-20"
              onChange={(weight_kg) => set('change the weight', { weight_kg })}
            />
            <SelectField
              label="Noise"
              value={own.noise ?? ''}
              options={[UNKNOWN, ...NOISES.map((n) => ({ value: n, label: NOISE_WORDS[n] }))]}
              onChange={(n) => set('change the noise', { noise: (n || null) as OwnLamp['noise'] })}
            />
          </div>
          <TextField
            label="What is wrong with it"
            value={own.fault}
            most={500}
            className="w-80 max-w-[86vw] sm:w-110"
            onChange={(fault) => set('say what is wrong', { fault })}
          />
          <div className="flex flex-wrap gap-2 pt-2">
            {own.retired === null && known.hanging && (
              <Button
                onClick={() => {
                  if (!changeSite(sites, 'replace the lamp', replaceOwnLamp(id, newId(), today))) return;
                  say('A new lamp of this kind hangs there from today. This one is retired.', { label: 'Undo', run: () => undo(sites) });
                  focusHeadingIfLost();
                }}
              >
                <RefreshCw size={17} aria-hidden /> Replace it with a new one
              </Button>
            )}
            {own.retired === null && (
              <Button
                onClick={() => {
                  if (!changeSite(sites, 'retire the lamp', takeDownForGood(id, today))) return;
                  if (known.hanging) say('The lamp is retired. Nothing hangs in its place now.', { label: 'Undo', run: () => undo(sites) });
                  focusHeadingIfLost();
                }}
              >
                <Archive size={17} aria-hidden /> {known.hanging ? 'Retire it, and leave its place empty' : 'Retire it'}
              </Button>
            )}
            <Button kind="quiet" onClick={remove}>
              <Trash2 size={17} aria-hidden /> Delete
            </Button>
          </div>
        </section>
      </div>
    </div>
  );
}

/** A plug meter that shows so much more or less than the label is worth a word. */
const NOTABLE = 0.1;

/** Where this lamp may hang: its own fitting, and those of its kind that are no lamp of one's own yet. */
function placesFor(site: Site, own: OwnLamp): { value: string; label: string }[] {
  const open = new Set(unnamedFittings(site).map((u) => u.fitting.id));
  return site.stands.flatMap((stand) =>
    stand.tiers.flatMap((tier, i) =>
      tier.fittings.flatMap((f, k) => {
        if (f.lampId !== own.lampId || (f.id !== own.fittingId && !open.has(f.id))) return [];
        const of = tier.fittings.length > 1 ? `, lamp ${k + 1} of ${tier.fittings.length}` : '';
        return [{ value: f.id, label: `${stand.name}${stand.tiers.length > 1 ? `, tier ${i + 1}` : ''}${of}` }];
      }),
    ),
  );
}
