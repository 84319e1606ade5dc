'use client';
import { Plus } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { addOwnLamps, plainOwnLamp, unnamedFittings } from '@/core/site/ownLamps/changeOwnLamps';
import type { OwnLamp } from '@/core/site/lamp/OwnLamp';
import { lampOf } from '@/core/answer/stand/benchStand';
import { tables } from '@/core/things/tables/libraryTables';
import { newId } from '@/store/names/newId';
import { changeSite, undo } from '@/store/site/siteStore';
import { ChoiceSheet } from '../bench/ChoiceSheet';
import { Button } from '../parts/Button';
import { Link } from '../parts/Link';
import { useLampItems } from '../parts/useLampItems';
import { UndoButtons } from '../parts/UndoButtons';
import { datedWords } from '../season/dayWords';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { say } from '../shell/toastStore';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { OutputBar } from './OutputBar';
import { ownPath } from './lampPaths';
import { knownOwnLamps, nameForNew, type KnownOwnLamp } from './knownOwnLamps';
import { numberWords, wholeWords } from '../parts/locale';

/** Every lamp that the person owns: where it hangs, how far it has faded, what is wrong with it. */
export function MyLamps() {
  const { sites } = useWorkspace();
  const router = useRouter();
  const today = useToday();
  const site = useSite((s) => s.site);
  const lamps = useMemo(() => knownOwnLamps(site, today), [site, today]);
  const unnamed = useMemo(() => unnamedFittings(site), [site]);
  const items = useLampItems(site.lamps);
  const spare = site.spares.reduce((sum, s) => sum + s.count, 0);
  const add = (lampId: string) => {
    const own = plainOwnLamp(newId(), lampId, nameForNew(site, lampId));
    if (changeSite(sites, 'add a lamp of yours', addOwnLamps([own]))) router.push(ownPath(own.id));
  };
  const enterAll = () => {
    const made: OwnLamp[] = [];
    for (const { fitting } of unnamed) {
      const name = nameForNew({ ...site, ownLamps: [...site.ownLamps, ...made] }, fitting.lampId);
      made.push({ ...plainOwnLamp(newId(), fitting.lampId, name), fittingId: fitting.id });
    }
    focusHeadingIfLost();
    if (changeSite(sites, 'enter the lamps', addOwnLamps(made)))
      say(`${made.length} lamps entered. Their hours count once you say what they have burned so far.`, {
        label: 'Undo',
        run: () => undo(sites),
      });
  };
  const groups: readonly (readonly [string, readonly KnownOwnLamp[]])[] = [
    ['On the stands', lamps.filter((l) => l.hanging)],
    ['In the cupboard', lamps.filter((l) => !l.hanging && l.own.retired === null)],
    ['Retired', lamps.filter((l) => l.own.retired !== null)],
  ];
  return (
    <div className="mx-auto w-full max-w-5xl space-y-6 px-4 py-5 md:px-6">
      <header className="flex flex-wrap items-start gap-3">
        <div className="min-w-64 flex-1">
          <h1 className="text-2xl font-semibold">My lamps</h1>
          <p className="text-soft">
            Each lamp with its hours, counted from its timer. The light, the hang chart, advice and the bill go by what stands here.
          </p>
        </div>
        <UndoButtons />
        <ChoiceSheet
          label="Add a lamp of yours"
          shown={
            <>
              <Plus size={17} aria-hidden /> Add a lamp
            </>
          }
          title="What kind of lamp is it?"
          description="Where it hangs, its age and what it draws can be entered next."
          placeholder="bar, T8, 24 W…"
          items={items}
          chosen={null}
          onChoose={add}
        />
      </header>
      {unnamed.length > 0 && (
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2 border-y border-line py-3">
          <p className="min-w-64 flex-1">
            <b>
              {unnamed.length} {unnamed.length === 1 ? 'lamp hangs' : 'lamps hang'} on your stands
            </b>{' '}
            and {unnamed.length === 1 ? 'is' : 'are'} known by kind only. {unnamed.length === 1 ? 'Its' : 'Their'} light is calculated as
            half way through a usual life.
          </p>
          <Button onClick={enterAll}>{unnamed.length === 1 ? 'Enter it' : `Enter all ${unnamed.length}`}</Button>
        </div>
      )}
      {lamps.length === 0 && unnamed.length === 0 && (
        <p>
          No lamp yet. Add those that you own, or hang one in{' '}
          <Link className="underline underline-offset-4" href="/check">
            Check
          </Link>{' '}
          or on a stand.
        </p>
      )}
      {groups.map(([title, of]) =>
        of.length === 0 ? null : (
          <section key={title} aria-label={title}>
            <h2 className="border-b border-line pb-1 text-xl font-semibold">
              {title} <span className="text-base font-normal text-soft">{of.length}</span>
            </h2>
            <ul className="divide-y divide-line">
              {of.map((l) => (
                <Row key={l.own.id} known={l} />
              ))}
            </ul>
          </section>
        ),
      )}
      {spare > 0 && (
        <p className="text-soft">
          {spare} more {spare === 1 ? 'lies' : 'lie'} in the cupboard, known by kind only:{' '}
          {site.spares.map((s) => `${s.count} × ${lampOf(site, s.lampId, tables).name}`).join(', ')}. Change them under{' '}
          <Link className="underline underline-offset-4" href="/settings">
            Settings
          </Link>
          .
        </p>
      )}
    </div>
  );
}

function Row({ known: { own, lamp, hanging, used_h, output, at } }: { known: KnownOwnLamp }) {
  const where = hanging
    ? `${hanging.stand.name}${hanging.stand.tiers.length > 1 ? `, tier ${hanging.stand.tiers.indexOf(hanging.tier) + 1}` : ''}`
    : own.retired !== null
      ? `since ${datedWords(own.retired)}`
      : '';
  return (
    <li>
      <Link
        href={ownPath(own.id)}
        className="grid min-h-14 grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 gap-y-1 rounded px-2 py-2.5 hover:bg-sunk sm:grid-cols-[minmax(0,1fr)_11rem_9rem]"
        data-testid="own-lamp"
      >
        <span className="min-w-0 max-sm:col-start-1 max-sm:row-start-1">
          <span className="block font-semibold">{own.name}</span>
          <span className="block text-sm text-soft">{[lamp.name === own.name ? '' : lamp.name, where].filter(Boolean).join(' · ')}</span>
          {own.fault && <span className="block text-sm text-copper">{own.fault}</span>}
        </span>
        <span className="max-sm:col-span-2 max-sm:row-start-2">
          <OutputBar output={output} lamp={lamp} isMeasured={at?.lamp.calibration != null} />
        </span>
        <span className="text-right text-sm tabular-nums text-soft max-sm:col-start-2 max-sm:row-start-1">
          {used_h === null ? 'hours not known' : `${wholeWords(used_h)} h`}
          <span className="block">of about {numberWords(lamp.life_h)}</span>
        </span>
      </Link>
    </li>
  );
}
