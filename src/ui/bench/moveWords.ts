import { stepsFor } from '@/core/plan/advice/applyMove';
import type { Move } from '@/core/plan/advice/Move';
import { tables } from '@/core/things/tables/libraryTables';
import type { BenchStand, BenchTier } from '@/core/answer/stand/benchStand';
import type { Lamp } from '@/core/things/lamp/Lamp';
import { showClock, showHours } from '@/core/units/clock';
import { showLength, type LengthUnit } from '@/core/units/length';
import type { Settings } from '@/store/settings/settingsStore';
import { riserWords, stepWords, trayName, trayNameIn } from './benchWords';

/** How far the lamps of a tier go up or down, in the steps of what they hang by. */
export const liftWords = ({ tier }: Pick<BenchTier, 'tier'>, lift: number, unit: LengthUnit): string =>
  [...new Set(tier.fittings.filter((f) => f.hanger.kind !== 'fixed').map((f) => stepWords(f.hanger, stepsFor(f, lift), unit)))].join(
    ' or ',
  );

/** How a person has lengths and times told. */
export type ToldIn = Pick<Settings, 'lengthUnit' | 'clock'>;

/** A move as one would say it to somebody at the rack; the tier is named where the stand has several. */
export function moveWords(move: Move, stand: BenchStand, own: readonly Lamp[], { lengthUnit: unit, clock }: ToldIn): string {
  const tierOf = (id: string) => stand.tiers.find((t) => t.tier.id === id);
  const tray = (id: string) => trayNameIn(stand, id);
  const lamp = (id: string) => own.find((l) => l.id === id)?.name ?? tables.lamp(id)?.name ?? 'the lamp';
  const where = (id: string) => (stand.tiers.length > 1 ? ` on tier ${tierOf(id)?.number ?? '?'}` : '');
  const lamps = (id: string) => ((tierOf(id)?.lamps.length ?? 1) > 1 ? 'lamps' : 'lamp');
  const cm = (v: number) => showLength(Math.abs(v), unit);
  switch (move.do) {
    case 'hang': {
      const tier = tierOf(move.tierId);
      return `${move.lift > 0 ? 'Raise' : 'Lower'} the ${lamps(move.tierId)}${where(move.tierId)}: ${tier ? liftWords(tier, move.lift, unit) : ''}`;
    }
    case 'hours': {
      const on = stand.tiers.filter((t) => t.timer.id === move.timerId);
      const tiers = stand.tiers.length > 1 ? ` on tier ${on.map((t) => t.number).join(', ')}` : '';
      if (move.lit_min === 0) return `Leave the lamps${tiers} off`;
      return `${showHours(move.lit_min)} a day instead of ${showHours(on[0]?.timer.lit_min ?? 0)}${tiers}, on at ${showClock(move.on_min, clock)}`;
    }
    case 'shift':
      return move.dx !== 0
        ? `Slide the ${lamps(move.tierId)}${where(move.tierId)} ${cm(move.dx)} to the ${move.dx > 0 ? 'right' : 'left'}`
        : `Slide the ${lamps(move.tierId)}${where(move.tierId)} ${cm(move.dy)} to the ${move.dy > 0 ? 'back' : 'front'}`;
    case 'dim':
      return `Dim the ${lamps(move.tierId)}${where(move.tierId)} to ${Math.round(100 * move.to)} %`;
    case 'gap':
      return `Hang the lamps${where(move.tierId)} ${cm(move.gap)} apart`;
    case 'add-lamp':
      return `Hang up the spare ${lamp(move.lampId)}${where(move.tierId)}, ${cm(move.y)} from the front`;
    case 'swap-lamp': {
      const n = tierOf(move.tierId)?.lamps.length ?? 1;
      return `Take ${n > 1 ? `${n} × ` : ''}${lamp(move.lampId)} instead${where(move.tierId)}`;
    }
    case 'line': {
      const sides =
        move.faces.length === 3 ? 'the back and both sides' : move.faces.map((f) => `the ${f}${f === 'back' ? '' : ' side'}`).join(' and ');
      return `White card on ${sides}${where(move.tierId)}`;
    }
    case 'riser':
      return move.risers === 0 ? `Take ${tray(move.trayId)} off its risers` : `Put ${tray(move.trayId)} on ${riserWords(move.risers)}`;
    case 'turn-tray':
      return `Turn ${tray(move.trayId)} by a quarter`;
    case 'shift-tray':
      return move.dx !== 0
        ? `Move ${tray(move.trayId)} ${cm(move.dx)} to the ${move.dx > 0 ? 'right' : 'left'}`
        : `Move ${tray(move.trayId)} ${cm(move.dy)} to the ${move.dy > 0 ? 'back' : 'front'}`;
    case 'swap-trays': {
      const tierOfTray = (id: string) => stand.tiers.find((t) => t.trays.some((y) => y.tray.id === id));
      const [a, b] = [tierOfTray(move.trayId), tierOfTray(move.otherId)];
      const name = (id: string, tier: BenchTier | undefined) =>
        tier && a !== b ? `${trayName(tier.trays.find((y) => y.tray.id === id)!)} (tier ${tier.number})` : tray(id);
      return `Swap ${name(move.trayId, a)} and ${name(move.otherId, b)}`;
    }
    case 'tray-to-tier':
      return `Move ${tray(move.trayId)} to tier ${tierOf(move.tierId)?.number ?? '?'}`;
  }
}

/** Several moves in one sentence: the first as it is, the others after "and". */
export const movesWords = (moves: readonly Move[], stand: BenchStand, own: readonly Lamp[], told: ToldIn): string =>
  moves
    .map((m) => moveWords(m, stand, own, told))
    .map((words, i) => (i === 0 ? words : words.charAt(0).toLowerCase() + words.slice(1)))
    .join(', and ');
