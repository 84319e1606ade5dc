/**
 * Inverse of a small symmetric positive definite matrix, by elimination with the largest pivot.
 * @throws RangeError when it is singular
 */
export function inverseOf(matrix: readonly (readonly number[])[]): number[][] {
  const n = matrix.length;
  const rows = matrix.map((row, i) => [...row, ...Array.from({ length: n }, (_, j) => (i === j ? 1 : 0))]);
  for (let c = 0; c < n; c++) {
    let pivot = c;
    for (let r = c + 1; r < n; r++) if (Math.abs(rows[r]![c]!) > Math.abs(rows[pivot]![c]!)) pivot = r;
    [rows[c], rows[pivot]] = [rows[pivot]!, rows[c]!];
    const head = rows[c]![c]!;
    if (!(Math.abs(head) > 1e-300)) throw new RangeError('the matrix is singular');
    rows[c] = rows[c]!.map((v) => v / head);
    for (let r = 0; r < n; r++) {
      if (r === c) continue;
      const by = rows[r]![c]!;
      if (by !== 0) rows[r] = rows[r]!.map((v, k) => v - by * rows[c]![k]!);
    }
  }
  return rows.map((row) => row.slice(n));
}
