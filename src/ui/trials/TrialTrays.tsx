'use client';
import { Plus, Shuffle, X } from 'lucide-react';
import { codeFor, dealOut } from '@/core/plan/trial/dealOut';
import { dliInPlace, type TrayInPlace } from '@/core/answer/bench/traysInPlace';
import { comesWithPlace } from '@/core/plan/trial/trialRounds';
import { ARM_IDS, MOST_TRIAL_TRAYS, type ArmId, type TrayHad, type Trial, type TrialTrayRow } from '@/core/site/trial/Trial';
import type { Site } from '@/core/site/stand/Site';
import { undo } from '@/store/site/siteStore';
import { CheckField } from '../parts/CheckField';
import { Button } from '../parts/Button';
import { MaybeNumberField } from '../parts/MaybeNumberField';
import { SelectField } from '../parts/SelectField';
import { TextField } from '../parts/TextField';
import { say } from '../shell/toastStore';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { dliNumber } from '../drawing/lightWords';
import { batchName } from '../today/todayWords';
import { ValuesField } from './ValuesField';

interface TrialTraysProps {
  trial: Trial;
  places: ReadonlyMap<string, TrayInPlace>;
  /** What each tray has been given until today, by its code. */
  given: ReadonlyMap<string, TrayHad>;
  onChange(what: string, how: Partial<Trial>): void;
}

/** The arms, and which tray belongs to which: by a code that does not tell; what was measured of each. */
export function TrialTrays({ trial, places, given, onChange }: TrialTraysProps) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const options = site.stands.flatMap((s) =>
    s.tiers.flatMap((t, i) =>
      t.trays.map((y) => ({
        value: y.id,
        label: `${batchName(site, y.batchId)}, ${s.name}${s.tiers.length > 1 ? `, tier ${i + 1}` : ''}`,
      })),
    ),
  );
  const set = (code: string, how: Partial<TrialTrayRow>, what = 'change a tray of the trial') =>
    onChange(what, { trays: trial.trays.map((t) => (t.code === code ? { ...t, ...how } : t)) });
  const taken = new Set(trial.trays.map((t) => t.trayId));
  const isCount = trial.outcome.kind === 'counted';
  const deal = () => {
    const seed = (trial.seed * 1664525 + 1013904223) % 4294967296;
    onChange('assign the trays at random', { seed, trays: dealOut(trial.trays, trial.arms, seed) });
    say('Assigned at random, within blocks.', { label: 'Undo', run: () => undo(sites) });
  };
  return (
    <section aria-labelledby="trays" className="min-w-0 space-y-3">
      <h2 id="trays" className="text-xl font-semibold">
        Arms and trays
      </h2>
      <ul className="flex flex-wrap gap-x-6 gap-y-2">
        {trial.arms.map((arm) => (
          <li key={arm.id} className="flex flex-wrap items-end gap-2">
            <b className="w-4 pb-1.5 text-lg">{arm.id}</b>
            <TextField
              label={`Name of arm ${arm.id}`}
              value={arm.name}
              most={80}
              className="w-36"
              onChange={(name) => onChange('name an arm', { arms: trial.arms.map((a) => (a.id === arm.id ? { ...a, name } : a)) })}
            />
            <TextField
              label={`Mix of ${arm.id}`}
              value={arm.medium}
              most={80}
              className="w-28"
              onChange={(medium) =>
                onChange('name the mix of an arm', { arms: trial.arms.map((a) => (a.id === arm.id ? { ...a, medium } : a)) })
              }
            />
            <CheckField
              label="mat"
              checked={arm.isMatOn}
              onChange={() =>
                onChange('say whether there is a mat', {
                  arms: trial.arms.map((a) => (a.id === arm.id ? { ...a, isMatOn: !a.isMatOn } : a)),
                })
              }
            />
            {trial.trays.every((t) => t.arm !== arm.id || t.trayId === null) && (
              <MaybeNumberField
                label={`DLI of ${arm.id}`}
                value={arm.dli}
                min={0}
                max={200}
                unit="mol"
                inputClassName="w-16"
                onChange={(dli) =>
                  onChange('state the DLI of an arm', { arms: trial.arms.map((a) => (a.id === arm.id ? { ...a, dli } : a)) })
                }
              />
            )}
            {trial.arms.length > 2 && (
              <Button
                kind="quiet"
                aria-label={`Remove arm ${arm.id}`}
                onClick={() =>
                  onChange('remove an arm', {
                    arms: trial.arms.filter((a) => a.id !== arm.id),
                    trays: trial.trays.filter((t) => t.arm !== arm.id),
                    deviations: trial.deviations.map((d) => ({ ...d, arms: d.arms.filter((a) => a !== arm.id) })),
                  })
                }
              >
                <X size={17} aria-hidden />
              </Button>
            )}
          </li>
        ))}
        {trial.arms.length < ARM_IDS.length && (
          <li className="self-end">
            <Button
              onClick={() => {
                const id = ARM_IDS.find((a) => !trial.arms.some((x) => x.id === a))!;
                onChange('add an arm', { arms: [...trial.arms, { id, name: '', medium: '', isMatOn: false, dli: null }] });
              }}
            >
              <Plus size={17} aria-hidden /> Arm
            </Button>
          </li>
        )}
      </ul>
      <ul className="divide-y divide-line border-y border-line" aria-label="Trays of the trial">
        {trial.trays.map((t) => {
          const place = t.trayId === null ? undefined : places.get(t.trayId);
          const dose = place ? dliInPlace(place) : null;
          return (
            <li
              key={t.code}
              className="grid grid-cols-[3rem_4.5rem_1fr_auto] items-end gap-x-3 gap-y-2 py-2.5 md:grid-cols-[3rem_4.5rem_minmax(10rem,1.3fr)_6rem_4rem_minmax(8rem,1fr)_auto]"
            >
              <b className="pb-1.5 text-lg">{t.code}</b>
              <SelectField
                label="Arm"
                value={t.arm}
                options={trial.arms.map((a) => ({ value: a.id, label: a.id }))}
                onChange={(arm) => set(t.code, { arm: arm as ArmId })}
              />
              <SelectField
                label="Tray"
                value={t.trayId ?? ''}
                options={[
                  { value: '', label: 'Elsewhere' },
                  ...goneOption(site, t, options),
                  ...options.filter((o) => o.value === t.trayId || !taken.has(o.value)),
                ]}
                onChange={(id) => set(t.code, { trayId: id || null, had: undefined }, 'choose a tray')}
              />
              <Button
                kind="quiet"
                className="md:order-last"
                aria-label={`Remove tray ${t.code}`}
                onClick={() => onChange('remove a tray', { trays: trial.trays.filter((x) => x.code !== t.code) })}
              >
                <X size={17} aria-hidden />
              </Button>
              <span className="max-md:col-span-2">
                <TextField label="Block" value={t.block} most={80} className="w-24" onChange={(block) => set(t.code, { block })} />
              </span>
              <span className="pb-1.5 text-sm text-soft" title="mol/m², a day now, and since the trial began">
                {dose === null ? '' : `${dliNumber(dose)} mol`}
                {given.has(t.code) && (
                  <span className="block">
                    {Math.round(given.get(t.code)!.mol_per_m2)} {t.had ? 'in all' : 'so far'}
                  </span>
                )}
              </span>
              <span className="max-md:col-span-4">
                <ValuesField
                  row={t}
                  unit={trial.outcome.unit}
                  isCount={isCount}
                  onChange={(how) => set(t.code, how, 'type what was measured')}
                />
              </span>
            </li>
          );
        })}
      </ul>
      <div className="flex flex-wrap gap-2 print:hidden">
        <Button
          disabled={trial.trays.length >= MOST_TRIAL_TRAYS}
          onClick={() =>
            onChange('add a tray', {
              trays: [
                ...trial.trays,
                {
                  code: codeFor(
                    trial.trays.map((t) => t.code),
                    trial.seed,
                  ),
                  arm: leastOf(trial),
                  trayId: null,
                  block: '',
                  values: [],
                  sown: null,
                },
              ],
            })
          }
        >
          <Plus size={17} aria-hidden /> Tray
        </Button>
        <Button disabled={trial.trays.some((t) => t.values.length > 0)} onClick={deal}>
          <Shuffle size={17} aria-hidden /> Assign at random
        </Button>
      </div>
      <p className="text-sm text-soft">
        Trays of one block (a shelf, a window) are compared within it. Assign before anything is sown: chance must decide, not you. Write
        the code on the tray, not the arm.
        {comesWithPlace(trial) && ' What you compare belongs to the place: after assigning, put each tray at a place of its arm.'}
      </p>
    </section>
  );
}

interface TrayOption {
  readonly value: string;
  readonly label: string;
}

/** What is chosen for a tray of the trial that is on no shelf any more. */
const goneOption = (site: Site, { trayId, had }: TrialTrayRow, options: readonly TrayOption[]): TrayOption[] =>
  trayId === null || options.some((o) => o.value === trayId)
    ? []
    : [{ value: trayId, label: had ? `${batchName(site, had.batchId)}, taken away` : 'Taken away' }];

/** The arm with the fewest trays. */
function leastOf(trial: Trial): ArmId {
  const count = (id: ArmId) => trial.trays.filter((t) => t.arm === id).length;
  return trial.arms.map((a) => a.id).reduce((least, id) => (count(id) < count(least) ? id : least));
}
