import { sumOf } from '../quantity/counting'
/**
 * Product on the ground over several pieces of it: kg or m3 on each m2, every piece weighing by its size. NaN
 * for no ground at all.
 */
export function groundRate(rows: readonly { readonly amount: number; readonly sizeM2: number }[]): number {
  return sumOf(rows, ({ amount }) => amount) / sumOf(rows, ({ sizeM2 }) => sizeM2)
}
