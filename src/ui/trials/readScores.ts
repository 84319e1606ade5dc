export interface TasterScores {
  readonly a: readonly number[];
  readonly b: readonly number[];
}

/** Scores as they are typed, a taster a line: two numbers, or several of each arm with a stroke between, "6 7 / 8". Null: a line that is neither. */
export function readScores(text: string): (TasterScores | null)[] {
  return text
    .split('\n')
    .filter((line) => line.trim() !== '')
    .map((line) => {
      const sides = line.split('/').map((side) =>
        side
          .trim()
          .split(/[\s;]+/)
          .filter((v) => v !== '')
          .map((v) => Number(v.replace(',', '.'))),
      );
      const [a, b] = sides.length === 1 && sides[0]!.length === 2 ? sides[0]!.map((v) => [v]) : sides;
      const isSound = sides.length <= 2 && a && b && a.length > 0 && b.length > 0 && [...a, ...b].every(Number.isFinite);
      return isSound ? { a, b } : null;
    });
}
