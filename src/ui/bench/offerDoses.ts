import type { Effect } from '@/core/plan/advice/Effect';
import type { BenchStand, BenchTray } from '@/core/answer/stand/benchStand';
import { dliAgainst } from '../drawing/lightWords';

/** A dose of a tray beside the range that it should be in. */
export const doseWords = ({ stage }: Pick<BenchTray, 'stage'>, dli: number): string => dliAgainst(dli, stage.dliMin, stage.dliMax);

export const trayIn = (stand: Pick<BenchStand, 'tiers'>, trayId: string | null) =>
  stand.tiers.flatMap((t) => t.trays).find((y) => y.tray.id === trayId);

const SPOTS = ['weakest', 'strongest'] as const;
const resultIn = ({ results }: Effect, trayId: string) => results.find((r) => r.trayId === trayId);

/** What a tray gets before and after, as it is told; null where it reads the same. */
function dosesOf(stand: Pick<BenchStand, 'tiers'>, before: Effect, after: Effect, trayId: string) {
  const [tray, was, is] = [trayIn(stand, trayId), resultIn(before, trayId), resultIn(after, trayId)];
  if (!tray || !was || !is) return null;
  const doses = SPOTS.map((spot) => ({ spot, was: doseWords(tray, was[spot]), is: doseWords(tray, is[spot]) }));
  return doses.some((d) => d.was !== d.is) ? { trayId, doses } : null;
}

/** The doses by which an offer is told: of the tray that is worst, or, where that stays as it is, of the one that is helped most. */
export function toldDoses(stand: Pick<BenchStand, 'tiers'>, before: Effect, after: Effect, worstTrayId: string | null) {
  const gain = (trayId: string) => (resultIn(before, trayId)?.loss ?? 0) - (resultIn(after, trayId)?.loss ?? 0);
  const helped = after.results
    .map((r) => r.trayId)
    .filter((id) => gain(id) > 0)
    .sort((a, b) => gain(b) - gain(a));
  return (worstTrayId && dosesOf(stand, before, after, worstTrayId)) || (helped[0] ? dosesOf(stand, before, after, helped[0]) : null);
}
