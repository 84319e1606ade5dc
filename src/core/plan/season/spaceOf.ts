/** How a batch stands in one kind of container. */
export interface SpaceStage {
  readonly from: number;
  readonly perTray: number;
  /** Of a hundred plants, how many are lost by the time it enters this stage. */
  readonly lossPercent: number;
  readonly keepAtMost?: number;
}

/** What is sown; times are whole weeks or days, as long as they are all the same. */
export interface SpaceAsked {
  readonly seeds: number;
  readonly seedsPerCell: number;
  /** Of a hundred cells, in how many something comes up. */
  readonly filledPercent: number;
  readonly stages: readonly SpaceStage[];
}

/** Plants and trays, stage by stage. Before the first potting on, empty cells keep their place. */
export function spaceByStage({
  seeds,
  seedsPerCell,
  filledPercent,
  stages,
}: SpaceAsked): { readonly plants: number; readonly trays: number }[] {
  const cells = Math.ceil(seeds / seedsPerCell);
  let plants = 0;
  return stages.map(({ perTray, lossPercent, keepAtMost }, i) => {
    plants = Math.floor(i === 0 ? (cells * filledPercent) / 100 + 1e-9 : (plants * (100 - lossPercent)) / 100 + 1e-9);
    if (i > 0 && keepAtMost !== undefined) plants = Math.min(plants, keepAtMost);
    return { plants, trays: Math.ceil((i === 0 ? cells : plants) / perTray) };
  });
}

/** Trays that it stands in at each time from 0, until it leaves. */
export function traysOverTime(asked: SpaceAsked, sown: number, out: number, horizon: number): number[] {
  const byStage = spaceByStage(asked);
  return Array.from({ length: horizon }, (_, t) => {
    if (t < sown || t >= out) return 0;
    const stage = asked.stages.findLastIndex((s) => t - sown >= s.from);
    return stage < 0 ? 0 : byStage[stage]!.trays;
  });
}
