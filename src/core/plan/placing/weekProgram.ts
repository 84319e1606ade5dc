import { placesOf } from './placeExactly';
import { isForbidden, OFF, suits, type PlacingAsked } from './Placing';

/** The placing of one week as a linear program with whole numbers: as many trays in their band as can be. */
export interface WeekProgram {
  /** In the LP format that solvers read; null where nothing stands on the shelves. */
  readonly text: string | null;
  /** The tier of each variable that places a batch, by its name. */
  readonly variables: ReadonlyMap<string, { readonly batch: number; readonly tier: number }>;
}

/**
 * Writes a week as a linear program: a tier burns at one level, which suits some of the batches; of those it takes as many trays as it has places.
 * Levels that suit the same batches, or fewer, are left out, so that it stays small.
 */
export function weekProgram(asked: PlacingAsked, t: number): WeekProgram {
  const there = [...asked.needs.keys()].filter((b) => asked.needs[b]![t]!.trays > 0);
  const variables = new Map<string, { batch: number; tier: number }>();
  const objective: string[] = [];
  const rows: string[] = [];
  const binaries: string[] = [];
  const ofBatch = new Map<number, string[]>(there.map((b) => [b, []]));
  asked.tiers.forEach((tier, k) => {
    const may = there.filter((b) => placesOf(asked, b, asked.needs[b]![t]!).includes(k));
    const settled = there.filter((b) => asked.settled?.[b] && asked.pinned?.[b] === k);
    const allowed = tier.levels.filter((level) => !settled.some((b) => isForbidden(asked.needs[b]![t]!, level)));
    const sets = allowed.map((level) => may.filter((b) => suits(asked.needs[b]![t]!, level, tier.daylight?.[t] ?? 0) === 'in'));
    const most = sets.filter((set, i) => set.length > 0 && !sets.some((o, j) => (o.length > set.length || (o.length === set.length && j < i)) && set.every((b) => o.includes(b)))); // prettier-ignore
    const room: string[] = [];
    most.forEach((set, s) => {
      binaries.push(`y${k}_${s}`);
      for (const b of set) {
        const x = `x${b}_${k}_${s}`;
        const { trays } = asked.needs[b]![t]!;
        variables.set(x, { batch: b, tier: k });
        binaries.push(x);
        objective.push(`${trays} ${x}`);
        room.push(`${trays} ${x}`);
        rows.push(`${x} - y${k}_${s} <= 0`);
        ofBatch.get(b)!.push(x);
      }
    });
    if (most.length > 1) rows.push(`${most.map((_, s) => `y${k}_${s}`).join(' + ')} <= 1`);
    // What stays there whatever is done keeps its room, in its band or not.
    const kept = settled.reduce((sum, b) => sum + asked.needs[b]![t]!.trays, 0);
    const others = room.filter((_, i) => !settled.some((b) => room[i]!.includes(` x${b}_`)));
    if (others.length > 0) rows.push(`${others.join(' + ')} <= ${tier.places - kept}`);
  });
  for (const all of ofBatch.values()) if (all.length > 1) rows.push(`${all.join(' + ')} <= 1`);
  if (objective.length === 0) return { text: null, variables };
  const lines = (parts: readonly string[]) => parts.map((p, i) => `${i > 0 ? ' + ' : ''}${p}`).join('\n');
  const text = ['Maximize', ` obj: ${lines(objective)}`, 'Subject To', ...rows.map((r, i) => ` c${i}: ${r}`), 'Binary', ...binaries.map((b) => ` ${b}`), 'End', ''].join('\n'); // prettier-ignore
  return { text, variables };
}

/** A placing of a week as its program was solved; what it leaves open stays as it was, where it fits. */
export function takeWeek(
  asked: PlacingAsked,
  t: number,
  place: readonly (readonly (number | null)[])[],
  chosen: ReadonlyMap<number, number>,
): (number | null)[][] {
  const next = place.map((row) => [...row]);
  const used = asked.tiers.map(() => 0);
  const there = [...asked.needs.keys()].filter((b) => asked.needs[b]![t]!.trays > 0);
  const fits = (b: number, k: number) => used[k]! + asked.needs[b]![t]!.trays <= asked.tiers[k]!.places;
  const put = (b: number, k: number) => {
    next[b]![t] = k;
    if (k !== OFF) used[k]! += asked.needs[b]![t]!.trays;
  };
  for (const b of there) if (asked.settled?.[b]) put(b, asked.pinned?.[b] ?? OFF);
  for (const b of there) if (!asked.settled?.[b] && chosen.has(b)) put(b, chosen.get(b)!);
  for (const b of there) {
    if (asked.settled?.[b] || chosen.has(b)) continue;
    const was = place[b]![t] ?? OFF;
    put(b, was !== OFF && fits(b, was) ? was : OFF);
  }
  return next;
}
