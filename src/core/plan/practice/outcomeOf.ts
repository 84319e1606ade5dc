import { PLANT_STATES, stateOf, type PlantState } from '../../judge/growth/Plant';
import type { Tables } from '../../things/tables/Tables';
import type { Dli, Share } from '../../units/quantities';
import type { Tray } from '../../site/stand/Site';
import type { Exercise, Goal, Start } from './Exercise';
import { cropOfBatch } from './passDay';
import type { Session } from './Session';

/** What has become of a tray. */
export interface TrayOutcome {
  readonly trayId: string;
  readonly batchId: string;
  readonly seedlings: number;
  readonly shares: Readonly<Record<PlantState, Share>>;
  /** mol/m² that a plant missed in the mean, all days together. */
  readonly missed: Dli;
  /** Days of growth that were lost in the mean. */
  readonly daysLost: number;
  readonly meanDli: Dli | null;
}

/** How an exercise came out, by what has become of the plants. */
export interface Outcome {
  readonly won: boolean;
  /** 0 … 100: of all seedlings those that are sound. */
  readonly points: number;
  readonly trays: readonly TrayOutcome[];
  /** Of all seedlings. */
  readonly lost: number;
  readonly kWh: number;
  readonly money: number;
  /** Where arms have to be alike: how far their mean doses are apart. */
  readonly apart: Share | null;
  /** What of the goal was missed. */
  readonly missedGoals: readonly ('sound' | 'kWh' | 'alike')[];
}

/** @param session  ended or not: of one under way it says how it stands */
export function outcomeOf(session: Session, { goal }: Pick<Exercise, 'goal'>, start: Start, tables: Tables): Outcome {
  const standing = new Map(start.site.stands.flatMap((s) => s.tiers.flatMap((t) => t.trays.map((y) => [y.id, y] as const))));
  const trays = Object.entries(session.trays).map(([trayId, { batchId, plants, doses }]): TrayOutcome => {
    const crop = cropOfBatch(start.site, batchId, tables);
    const states = plants.map((p) => stateOf(p, crop));
    const share = (state: PlantState) =>
      plants.length === 0 ? Number(state === 'sound') : states.filter((s) => s === state).length / plants.length;
    const mean = (of: (p: (typeof plants)[number]) => number) =>
      plants.length === 0 ? 0 : plants.reduce((sum, p) => sum + of(p), 0) / plants.length;
    const given = doses.map((d) => d ?? 0);
    return {
      trayId,
      batchId,
      seedlings: seedlingsOf(standing.get(trayId)!, tables),
      shares: Object.fromEntries(PLANT_STATES.map((s) => [s, share(s)])) as Record<PlantState, Share>,
      missed: mean((p) => p.missed),
      daysLost: mean((p) => p.age - p.grown),
      meanDli: given.length > 0 ? given.reduce((a, b) => a + b, 0) / given.length : null,
    };
  });
  const all = trays.reduce((sum, t) => sum + t.seedlings, 0);
  const sound = trays.reduce((sum, t) => sum + t.seedlings * t.shares.sound, 0);
  const apart = goal.alike ? apartOf(trays, goal.alike.arms) : null;
  const missedGoals = missed(goal, all > 0 ? sound / all : 0, session.kWh, apart);
  return {
    won: session.ended && missedGoals.length === 0,
    points: Math.round(all > 0 ? (100 * sound) / all : 0),
    trays,
    lost: Math.round(all - sound),
    kWh: session.kWh,
    money: session.kWh * start.site.price_per_kWh,
    apart,
    missedGoals,
  };
}

function missed(goal: Goal, sound: Share, kWh: number, apart: Share | null): Outcome['missedGoals'] {
  return [
    ...(sound < goal.sound ? (['sound'] as const) : []),
    ...(goal.kWh !== null && kWh > goal.kWh ? (['kWh'] as const) : []),
    ...(goal.alike && (apart === null || apart > goal.alike.within) ? (['alike'] as const) : []),
  ];
}

/** The largest difference between the mean doses of arms, over their mean. */
function apartOf(trays: readonly TrayOutcome[], arms: readonly (readonly string[])[]): Share | null {
  const means = arms.map((ids) => {
    const doses = trays.filter((t) => ids.includes(t.batchId)).map((t) => t.meanDli ?? 0);
    return doses.reduce((a, b) => a + b, 0) / Math.max(1, doses.length);
  });
  const mean = means.reduce((a, b) => a + b, 0) / means.length;
  return mean > 0 ? (Math.max(...means) - Math.min(...means)) / mean : null;
}

/** As many as it has cells; of an open tray two dozen. */
const IN_THE_OPEN = 24;
function seedlingsOf({ containerId }: Tray, tables: Tables): number {
  const c = containerId === null ? undefined : tables.container(containerId);
  if (!c) return IN_THE_OPEN;
  if (c.columns !== null && c.rows !== null) return c.columns * c.rows;
  return c.id.startsWith('pot') ? 1 : IN_THE_OPEN;
}
