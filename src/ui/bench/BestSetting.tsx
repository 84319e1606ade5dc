'use client';
import type { ChartOptions } from 'chart.js';
import { memo, useId, useMemo, useState } from 'react';
import { useWorkedOut } from '../parts/useWorkedOut';
import { ScatterChart } from '../parts/LateChart';
import { applyMoves } from '@/core/plan/advice/applyMove';
import { tables } from '@/core/things/tables/libraryTables';
import { frontierOf, type Against, type SettingsFor, type TierSetting } from '@/core/plan/advice/settingsFor';
import type { BenchStand, BenchTier } from '@/core/answer/stand/benchStand';
import { showClock, showHours } from '@/core/units/clock';
import { showLength } from '@/core/units/length';
import { showMoney } from '@/core/units/money';
import { changeSite } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { chartAxis } from '../parts/chartAxis';
import { Segments } from '../parts/Segments';
import { useSettings, useSite, useWorkspace } from '../shell/WorkspaceContext';
import { useColours } from '../theme/useColours';
import { percent } from '../verdict/words';
import { liftWords } from './moveWords';
import { useBenchLight } from './useBench';
import type { EditCommands } from './useEditCommands';

/** Height and hours of a tier with several crops: the best, and what the others would give, one of them to be chosen. */
export const BestSetting = memo(function BestSetting({
  stand,
  tier,
  commands,
}: {
  stand: BenchStand;
  tier: BenchTier;
  commands: EditCommands;
}) {
  const [open, setOpen] = useState(false);
  if (tier.lamps.length === 0 || tier.trays.length === 0) return null;
  return (
    <details onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="min-h-9 text-lg font-semibold max-md:min-h-11">Best distance and hours</summary>
      {open && <Settings stand={stand} tier={tier} commands={commands} />}
    </details>
  );
});

function Settings({ stand, tier, commands }: { stand: BenchStand; tier: BenchTier; commands: EditCommands }) {
  const { settingsFor } = useWorkspace();
  const site = useSite((s) => s.site);
  const light = useBenchLight();
  const ready = light.status === 'ready' && !light.stale && light.of === stand ? light.answer : null;
  // The stand is as new as the site.
  const [standId, tierId] = [stand.stand.id, tier.tier.id];
  const question = useMemo(() => ready && { site, standId, tierId, answer: ready }, [ready, standId, tierId]); // eslint-disable-line react-hooks/exhaustive-deps
  const told = useWorkedOut(question, settingsFor);
  if (told?.failed) return <p className="text-copper">The settings could not be computed: {told.failed}.</p>;
  if (!told?.answer || told.of.tierId !== tierId) return <p className="text-soft">Calculating heights and hours…</p>;
  if (!told.answer.best) return <p className="text-soft">The lamps are fixed and no other photoperiod is suitable for these crops.</p>;
  return (
    <Frontier
      key={tier.tier.id}
      settings={told.answer}
      best={told.answer.best}
      isOld={told.of !== question}
      tier={tier}
      commands={commands}
    />
  );
}

function Frontier({
  settings,
  best,
  isOld,
  tier,
  commands,
}: {
  settings: SettingsFor;
  best: TierSetting;
  /** The tier has changed since: its lamps would be moved from where they do not hang any more. */
  isOld: boolean;
  tier: BenchTier;
  commands: EditCommands;
}) {
  const { sites } = useWorkspace();
  const currency = useSite((s) => s.site.currency);
  const { theme, lengthUnit, clock } = useSettings();
  const colours = useColours(theme);
  const sliderId = useId();
  const [against, setAgainst] = useState<Against>('uniformity');
  const [picked, setPicked] = useState<TierSetting | null>(null);
  const chosen = picked ?? best;
  const line = useMemo(() => {
    const x = (s: TierSetting) => (against === 'cost' ? s.costPerMonth : s.uniformity);
    return [...new Set([...frontierOf(settings.all, against), best])].sort((a, b) => x(a) - x(b));
  }, [settings, against, best]);
  const at = useMemo(
    () => (s: TierSetting) => ({ x: against === 'cost' ? s.costPerMonth : s.uniformity, y: 100 * s.shareInBand }),
    [against],
  );
  const data = useMemo(
    () => ({
      datasets: [
        { label: 'chosen', data: [at(chosen)], pointRadius: 7, backgroundColor: colours.copper, borderColor: colours.copper },
        {
          label: 'now',
          data: settings.now ? [at(settings.now)] : [],
          pointRadius: 7,
          pointStyle: 'rectRot' as const,
          backgroundColor: 'transparent',
          borderColor: colours.ink,
          borderWidth: 2,
        },
        {
          label: 'frontier',
          data: line.map(at),
          showLine: true,
          pointRadius: 3,
          borderWidth: 1.5,
          borderColor: colours.verdigris,
          backgroundColor: colours.verdigris,
        },
        { label: 'all', data: settings.all.map(at), pointRadius: 1.5, backgroundColor: colours.slate, borderColor: 'transparent' },
      ],
    }),
    [settings, line, at, chosen, colours],
  );
  const options = useMemo<ChartOptions<'scatter'>>(
    () => ({
      animation: false,
      maintainAspectRatio: false,
      // What serves the whole area is drawn whole.
      clip: 8,
      layout: { padding: { top: 8, right: 8 } },
      events: ['click'],
      plugins: { tooltip: { enabled: false } },
      onClick: (_, elements) => {
        const hit = elements.find((e) => e.datasetIndex >= 2);
        if (hit) setPicked((hit.datasetIndex === 2 ? line : settings.all)[hit.index] ?? null);
      },
      scales: {
        x: { type: 'linear', ...chartAxis(against === 'cost' ? `${currency} a month` : 'uniformity (minimum/mean)', colours) },
        y: { type: 'linear', min: 0, max: 100, ...chartAxis('leaf area in range, %', colours) },
      },
    }),
    [against, colours, currency, line, settings],
  );
  const words =
    (chosen.lift === 0 ? 'lamps as they hang' : liftWords(tier, chosen.lift, lengthUnit)) +
    (chosen.dim === null ? '' : `, dimmed to ${Math.round(100 * chosen.dim)} %`) +
    `, ${showHours(chosen.hours * 60)} from ${showClock(chosen.on_min, clock)}`;
  const set = () => {
    if (isOld) return;
    changeSite(sites, 'set height and hours', (site) => applyMoves(site, chosen.moves, tables));
    commands.choose([], tier.tier.id);
    setPicked(null);
  };
  return (
    <div className="space-y-2 pt-1">
      <Segments
        label="Share in range against"
        value={against}
        options={[
          { value: 'uniformity', label: 'uniformity' },
          { value: 'cost', label: 'cost' },
        ]}
        onChange={(v: Against) => setAgainst(v)}
      />
      <div className="h-48">
        <ScatterChart data={data} options={options} role="img" aria-label="Share of leaf area in range for each height and day" />
      </div>
      {line.length > 1 && (
        <>
          <label htmlFor={sliderId} className="block text-sm text-soft">
            along the best of them
          </label>
          <input
            id={sliderId}
            type="range"
            className="w-full accent-copper"
            min={0}
            max={line.length - 1}
            value={Math.max(0, line.indexOf(chosen))}
            aria-valuetext={words}
            onChange={(e) => setPicked(line[Number(e.target.value)] ?? null)}
          />
        </>
      )}
      <p>
        <strong className="font-semibold" data-testid="setting">
          {words}
        </strong>
        : {percent(chosen.shareInBand)} of the leaf area in range, uniformity {chosen.uniformity.toFixed(2)}, mean DLI{' '}
        {percent(chosen.dliOfBest)} of the best, {showMoney(chosen.costPerMonth, currency)} a month
        {chosen.lift !== 0 && ` (${showLength(Math.abs(chosen.lift), lengthUnit)} ${chosen.lift > 0 ? 'higher' : 'lower'})`}.
      </p>
      <p className="text-sm text-soft">
        {settings.judged} settings looked at, the best {settings.all.length} worked out in full, within the steps that there are, the heat
        of the lamps and what all crops on this timer tolerate. The diamond shows your present setting.
      </p>
      <Button kind="main" onClick={set} aria-disabled={isOld} disabled={!isOld && chosen === settings.now}>
        {isOld ? 'Calculating…' : 'Apply'}
      </Button>
    </div>
  );
}
