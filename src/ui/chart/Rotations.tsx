'use client';
import { ChevronDown } from 'lucide-react';
import { useCallback, useMemo, useState } from 'react';
import type { BenchStand, BenchTier } from '@/core/answer/stand/benchStand';
import { exchangeableIn, isUnsafe, movedOn, roundOf } from '@/core/plan/rotation/rotateTier';
import { rotatedLight, type RotatedTray } from '@/core/plan/rotation/rotationEffect';
import { withTier } from '@/core/site/stand/change';
import { ROTATION_KINDS, type Rotation, type RotationKind } from '@/core/site/stand/Rotation';
import type { LightMap } from '@/core/light/field/Grid';
import { tables } from '@/core/things/tables/libraryTables';
import { benchStandIn } from '@/store/bench/benchStandIn';
import { changeSite, undo } from '@/store/site/siteStore';
import { useWorkedOut } from '../parts/useWorkedOut';
import { trayName } from '../bench/benchWords';
import { SelectField } from '../parts/SelectField';
import { daysWords } from '../season/dayWords';
import { say } from '../shell/toastStore';
import { useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { dliNumber } from '../drawing/lightWords';

const KIND_WORDS: Readonly<Record<RotationKind | 'stay', string>> = {
  stay: 'as they stand',
  turn: 'turned half round',
  swap: 'changing places',
  both: 'both',
};
/** Places of one round that are worked out; larger groups go round all the same. */
const MOST_PLACES = 6;

/** Turning and changing places as a plan: what each tray gets over a round, and its days on Today. */
export function Rotations({ stand }: { stand: BenchStand }) {
  const tiers = stand.tiers.filter((t) => t.lamps.length > 0 && t.trays.length > 0);
  if (tiers.length === 0) return null;
  return (
    <section aria-labelledby="rotations" className="space-y-1">
      <h2 id="rotations" className="text-lg font-semibold">
        Turning and swapping
      </h2>
      <p className="text-soft">Trays that turn or change places share the bright and the dim spots of a tier. The days come up on Today.</p>
      <div>
        {tiers.map((t) => (
          <OfTier key={t.tier.id} stand={stand} tier={t} />
        ))}
      </div>
    </section>
  );
}

function OfTier({ stand, tier }: { stand: BenchStand; tier: BenchTier }) {
  const [open, setOpen] = useState(false);
  const { rotation } = tier.tier;
  return (
    <details className="border-t border-line" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="flex min-h-11 cursor-pointer items-center gap-2 font-semibold">
        {stand.tiers.length > 1 ? `Tier ${tier.number}` : 'The trays'}
        <span className="flex-1 font-normal text-soft">
          {rotation ? `${KIND_WORDS[rotation.kind]} every ${daysWords(rotation.every)}` : 'as they stand'}
        </span>
        <ChevronDown size={17} aria-hidden className={open ? 'rotate-180' : ''} />
      </summary>
      {open && <Choice tier={tier} standId={stand.stand.id} />}
    </details>
  );
}

type Lights = readonly Readonly<Record<string, LightMap | undefined>>[];

/** The light of a tier's trays with each turn of swapping. */
function useLights(standId: string, tier: BenchTier): Lights | 'failed' | null {
  const { lightOfStand } = useWorkspace();
  const site = useSite((s) => s.site);
  const asked = useMemo(() => ({ site, standId, tier }), [site, standId, tier]);
  const look = useCallback(
    async ({ site, standId, tier }: typeof asked): Promise<Lights> => {
      const places = Math.min(MOST_PLACES, roundOf(tier.tier, 'swap'));
      const answers = await Promise.all(
        Array.from({ length: places }, (_, n) => {
          const moved = withTier(tier.tier.id, (t) => movedOn(t, n))(site);
          return lightOfStand(
            benchStandIn(
              moved,
              moved.stands.find((s) => s.id === standId)!,
            ),
          );
        }),
      );
      return answers.map((a) => Object.fromEntries(Object.entries(a.tiers[tier.tier.id]?.trays ?? {}).map(([id, t]) => [id, t.map])));
    },
    [lightOfStand],
  );
  const told = useWorkedOut(asked, look);
  return told?.of.tier === tier ? (told.answer ?? 'failed') : null;
}

function Choice({ tier, standId }: { tier: BenchTier; standId: string }) {
  const site = useSite((s) => s.site);
  const { sites } = useWorkspace();
  const today = useToday();
  const lights = useLights(standId, tier);
  const canSwap = exchangeableIn(tier.tier).some((g) => g.length > 1);
  const kinds = (['stay', ...ROTATION_KINDS] as const).filter((k) => canSwap || k === 'stay' || k === 'turn');
  const isHot = useMemo(() => {
    const places = Math.min(MOST_PLACES, roundOf(tier.tier, 'swap'));
    return Array.from({ length: places - 1 }, (_, n) => n + 1).some((n) => isUnsafe(site, standId, tier.tier.id, n, tables));
  }, [site, standId, tier]);
  const { rotation } = tier.tier;
  const set = (next: Rotation | null) => {
    if (
      !changeSite(
        sites,
        'plan turning and swapping',
        withTier(tier.tier.id, (t) => ({ ...t, rotation: next })),
      )
    )
      return;
    say(next ? `${KIND_WORDS[next.kind]} every ${daysWords(next.every)}: it comes up on Today.` : 'They stay as they stand.', {
      label: 'Undo',
      run: () => undo(sites),
    });
  };
  if (lights === 'failed') return <p className="pb-3 text-copper">The light could not be computed. Reload the page to try again.</p>;
  if (lights === null)
    return (
      <p role="status" className="pb-3 text-soft">
        Working out what each spot gets…
      </p>
    );
  const effects = kinds.map((k) => ({ kind: k, trays: rotatedLight(tier, k === 'stay' ? null : k, lights) }));
  const [stay] = effects;
  /** What no limit of a tray is broken by that is kept as they stand, and no leaf comes into the heat by. */
  const isSound = (kind: (typeof kinds)[number]) =>
    !(isHot && (kind === 'swap' || kind === 'both')) &&
    effects
      .find((e) => e.kind === kind)!
      .trays.every((t) => {
        const most = tier.trays.find((y) => y.tray.id === t.trayId)!.limits.strongest;
        return t.peak <= most || t.peak <= (stay!.trays.find((o) => o.trayId === t.trayId)?.peak ?? 0) + 1e-9;
      });
  const unsound = kinds.filter((k) => !isSound(k));
  return (
    <div className="space-y-3 pb-4">
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="What turning and swapping does">
        <table className="w-full min-w-120 text-left" data-testid="rotation-effect">
          <thead className="border-b border-line text-sm text-soft">
            <tr>
              <th scope="col" className="py-1 font-normal">
                Weakest spot, mol/m²/day
              </th>
              {effects.map((e) => (
                <th key={e.kind} scope="col" className="px-2 text-right font-normal">
                  {KIND_WORDS[e.kind]}
                </th>
              ))}
            </tr>
          </thead>
          <tbody className="tabular-nums">
            {tier.trays.map((y) => (
              <tr key={y.tray.id} className="border-b border-line">
                <th scope="row" className="py-1.5 font-normal">
                  {trayName(y)}{' '}
                  <span className="text-sm text-soft">
                    needs {y.stage.dliMin}–{y.stage.dliMax}
                  </span>
                </th>
                {effects.map((e) => (
                  <Cell key={e.kind} tray={e.trays.find((t) => t.trayId === y.tray.id)} most={y.limits.strongest} needs={y.stage.dliMin} />
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {!canSwap && <p className="text-sm text-soft">No two trays here are of one size, so none can stand in another’s place.</p>}
      {unsound.length > 0 && (
        <p className="text-copper">
          Not offered: {unsound.map((k) => KIND_WORDS[k]).join(', ')}.{' '}
          {isHot ? 'Leaves would come too near a lamp.' : 'Some leaves would get more light than they tolerate.'}
        </p>
      )}
      <div className="flex flex-wrap items-end gap-4">
        <SelectField
          label="Plan"
          value={rotation?.kind ?? 'stay'}
          options={kinds.filter((k) => isSound(k) || k === rotation?.kind).map((k) => ({ value: k, label: KIND_WORDS[k] }))}
          onChange={(k) => set(k === 'stay' ? null : { kind: k as RotationKind, every: rotation?.every ?? 3, from: today })}
        />
        {rotation && (
          <SelectField
            label="every"
            value={String(rotation.every)}
            options={[...new Set([1, 2, 3, 4, 5, 7, 10, 14, rotation.every])]
              .sort((a, b) => a - b)
              .map((n) => ({ value: String(n), label: daysWords(n) }))}
            onChange={(n) => set({ ...rotation, every: Number(n), from: today })}
          />
        )}
        {rotation && (
          <p className="pb-1.5 text-sm text-soft">
            A whole round takes {daysWords(rotation.every * roundOf(tier.tier, rotation.kind))}. Plants lean less, too.
          </p>
        )}
      </div>
    </div>
  );
}

function Cell({ tray, needs, most }: { tray: RotatedTray | undefined; needs: number; most: number }) {
  if (!tray) return <td />;
  const { weakest } = tray.received;
  const isHarmed = tray.peak > most;
  return (
    <td className="px-2 text-right">
      <span className={weakest < needs ? 'font-semibold text-slate' : 'font-semibold'}>{dliNumber(weakest)}</span>
      <span className="block text-sm text-soft">{Math.round(100 * tray.inBand)} % in range</span>
      {isHarmed && <span className="block text-sm text-copper">too strong on some days</span>}
    </td>
  );
}
