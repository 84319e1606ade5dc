'use client';
import { useCallback, useMemo } from 'react';
import { groupsOf, hasEnded, learnedFrom, type Learned } from '@/core/plan/trial/learnedOf';
import { copyOf, growAs, keepCrop } from '@/core/site/crop/changeCrops';
import type { Site, Tray } from '@/core/site/stand/Site';
import type { Crop, Stage } from '@/core/things/crop/Crop';
import type { Day } from '@/core/units/day';
import type { Dli } from '@/core/units/quantities';
import { showTemperature } from '@/core/units/temperature';
import { benchStandIn } from '@/store/bench/benchStandIn';
import { newId } from '@/store/names/newId';
import { changeSite, undo } from '@/store/site/siteStore';
import type { Workspace } from '@/store/workspace';
import { useWorkedOut } from '../parts/useWorkedOut';
import { judgedTrays } from '../bench/useBench';
import { Button } from '../parts/Button';
import { say } from '../shell/toastStore';
import { useSettings, useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { dliNumber } from '../drawing/lightWords';
import { stageWords } from '../verdict/words';
import { LearnedFigure } from './LearnedFigure';

/** The stage that most batches end in: whose band is set against what came of them. */
const stageOf = (crop: Crop): Stage => crop.stages.find((s) => s.stage === 'growing-on') ?? crop.stages.at(-1)!;

const COUNTS = ['no', 'one', 'two', 'three', 'four', 'five'];
const count = (n: number) => COUNTS[n] ?? String(n);

function saysOf({ fit, points, direction, canSayTrend, enoughFrom, kind }: Learned): string {
  const n = points.length;
  if (enoughFrom !== null)
    return `From ${dliNumber(enoughFrom)} mol/m²/day on, more light brings less than a tenth of what there is to gain.`;
  if (fit.status === 'too_few_points')
    return `${n === 1 ? 'One result' : `${count(n)[0]!.toUpperCase()}${count(n).slice(1)} results`}: too few to tell.`;
  if (fit.status === 'too_few_doses')
    return `${n} results at ${count(fit.distinctDoses)} DLI ${fit.distinctDoses === 1 ? 'value' : 'values'}: enough to compare them, too few for a curve.`;
  if (kind === 'height' || fit.status === 'weak' || fit.status === 'step' || fit.status === 'no_curvature')
    return canSayTrend
      ? `${direction === 'increasing' ? 'More light went with more' : 'More light went with less'}, but not how much is enough.`
      : 'The results scatter too much to say what more light does.';
  return 'A curve can be drawn, but the DLI that is enough lies outside what was tried.';
}

/** How warm it was, where it was noted: two results of other warmth say little of the light. */
function Temperatures({ learned: { points } }: { learned: Learned }) {
  const { temperatureUnit } = useSettings();
  const noted = points.flatMap((p) => p.temperature_C ?? []);
  if (noted.length === 0) return null;
  const [low, high] = [Math.min(...noted), Math.max(...noted)];
  const show = (c: number) => showTemperature(Math.round(10 * c) / 10, temperatureUnit);
  return (
    <p className="text-soft">
      Temperature noted of {noted.length} of {points.length}: {high - low < 0.5 ? `about ${show(low)}` : `${show(low)} to ${show(high)}`}.
      {high - low >= APART_C && ' They differ by so much that warmth may be behind what looks like light.'}
    </p>
  );
}

/** Warmth that changes growth as a usual difference of light does: our estimate from Q10 of about 2. */
const APART_C = 3;

/** What one’s own ended batches and trials say of this crop, set against the table’s band. */
export function LearnedPanel({ crop }: { crop: Crop }) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const today = useToday();
  const stage = stageOf(crop);
  const doses = useDoses(site, crop, today);
  const learned = useMemo(
    () => (doses ? groupsOf(site, crop, today, (id) => doses.get(id) ?? null).map((g) => learnedFrom(g, stage)) : []),
    [doses, site, crop, today, stage],
  );
  if (learned.length === 0)
    return (
      <section aria-labelledby="learned" className="space-y-1">
        <h3 id="learned" className="text-lg font-semibold">
          What your own batches show
        </h3>
        <p className="text-soft">
          {doses === null
            ? 'Looking…'
            : 'Nothing yet. Weigh a harvest, measure a last height, or end a trial: each tray becomes a point of DLI and result.'}
        </p>
      </section>
    );
  function take({ enoughFrom, points, name }: Learned) {
    const target = Math.round(10 * enoughFrom!) / 10;
    const why = `Best DLI of ${stageWords(stage)} set to ${dliNumber(target)} instead of ${dliNumber(stage.dliTarget)}: ${points.length} results of ${name}`;
    const own = crop.own ? crop : copyOf(crop, `own-${newId()}`, `${crop.name}, mine`);
    const changed: Crop = {
      ...own,
      own: { basedOn: own.own!.basedOn, why: [own.own!.why, why].filter(Boolean).join('; ').slice(0, 500) },
      stages: own.stages.map((s) => (s.stage === stage.stage ? { ...s, dliTarget: target } : s)),
    };
    const made = changeSite(sites, `change the band of ${crop.name}`, (s) => growAs(crop.id, changed.id)(keepCrop(changed)(s)));
    if (made)
      say(`Your ${crop.name} aims at ${dliNumber(target)} mol/m²/day now. The reason is kept with it.`, {
        label: 'Undo',
        run: () => undo(sites),
      });
  }
  return (
    <section aria-labelledby="learned" className="space-y-3">
      <h3 id="learned" className="text-lg font-semibold">
        What your own batches show
      </h3>
      {learned.map((l) => (
        <div key={`${l.kind} ${l.name} ${l.unit}`} className="space-y-1">
          <h4 className="font-semibold">{l.kind === 'height' ? 'Height, times the usual' : `${l.name}${l.unit ? `, ${l.unit}` : ''}`}</h4>
          <LearnedFigure learned={l} stage={stage} />
          <p>{saysOf(l)}</p>
          <Temperatures learned={l} />
          <p className="text-soft">
            The next batch would tell most at {dliNumber(l.tryNext)} mol/m²/day. The table has {dliNumber(stage.dliMin)} to{' '}
            {dliNumber(stage.dliMax)}, best {dliNumber(stage.dliTarget)} ({stageWords(stage)}).
          </p>
          {l.enoughFrom !== null && Math.abs(l.enoughFrom - stage.dliTarget) > 0.5 && (
            <Button onClick={() => take(l)}>
              Aim at {dliNumber(Math.round(10 * l.enoughFrom) / 10)} instead of {dliNumber(stage.dliTarget)}
            </Button>
          )}
        </div>
      ))}
      <p className="text-sm text-soft">
        The DLI is the mean of all days since a batch came up (without a date, as its trays stand or stood last), or as stated in its trial.
        Batches differ in more than light; only a trial with trays assigned at random shows what the light did.
      </p>
    </section>
  );
}

/** Mean doses of the trays on stands that have a result of this crop; null while they are worked out. */
function useDoses(site: Site, crop: Crop, today: Day): ReadonlyMap<string, Dli> | null {
  const { lightOfStand, givenToBatch } = useWorkspace();
  const asked = useMemo(() => ({ site, cropId: crop.id, today }), [site, crop.id, today]);
  const look = useCallback((of: typeof asked) => dosesOf(of, { lightOfStand, givenToBatch }), [lightOfStand, givenToBatch]);
  const told = useWorkedOut(asked, look);
  // Without light there are the doses that trials state.
  return told?.of === asked ? (told.answer ?? NONE) : null;
}

const NONE: ReadonlyMap<string, Dli> = new Map();

/** Of batches that have ended the mean of all their days; of what has no date, and of trays of trials that have ended, the DLI as they stand. */
async function dosesOf(
  { site, cropId, today }: { site: Site; cropId: string; today: Day },
  { lightOfStand, givenToBatch }: Pick<Workspace, 'lightOfStand' | 'givenToBatch'>,
): Promise<ReadonlyMap<string, Dli>> {
  const ended = site.batches.filter((b) => b.cropId === cropId && hasEnded(b, today));
  const trays = site.stands.flatMap((s) => s.tiers.flatMap((t) => t.trays));
  const doses = new Map<string, Dli>();
  for (const batch of ended) {
    const own = trays.filter((y) => y.batchId === batch.id);
    const given = own.length > 0 ? await givenToBatch(site, batch.id) : null;
    if (given) for (const tray of own) doses.set(tray.id, given.dli);
  }
  const inTrials = new Set(
    site.trials.filter((t) => t.ended !== null).flatMap((t) => t.trays.flatMap((y) => (y.had ? [] : (y.trayId ?? [])))),
  );
  const undated = new Set(ended.map((b) => b.id));
  const isOpen = ({ id, batchId }: Tray) => !doses.has(id) && (inTrials.has(id) || undated.has(batchId));
  for (const kept of site.stands.filter((s) => s.tiers.some((t) => t.trays.some(isOpen)))) {
    const stand = benchStandIn(site, kept);
    const answer = await lightOfStand(stand);
    for (const tier of stand.tiers)
      for (const { tray, verdict } of judgedTrays(tier, answer.tiers[tier.tier.id] ?? null))
        if (isOpen(tray.tray)) doses.set(tray.tray.id, verdict.received.mean);
  }
  return doses;
}
