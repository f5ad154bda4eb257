/**
 * Product on the ground over several pieces of it: kg or m3 on each m2, every piece weighing by its size. NaN
 * for no ground at all.
 */
export function groundRate(rows: readonly { readonly amount: number; readonly sizeM2: number }[]): number {
  return rows.reduce((sum, { amount }) => sum + amount, 0) / rows.reduce((sum, { sizeM2 }) => sum + sizeM2, 0)
}
