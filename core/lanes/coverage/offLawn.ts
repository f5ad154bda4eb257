import type { Ring } from '../../ground/plane'
import { markCells, type Grid } from './grid'

/** What lands beside the lawn, and on what; kg or m3. */
export interface OffLawn {
  readonly what: string
  readonly amount: number
}

/** Marks are bytes; what comes after so many kinds of ground counts as beyond the edge. */
const MOST_KINDS = 200

/**
 * What lands off the lawn, summed by what it lands on; the most first, what is nothing left out.
 * @param taken exclusions with what they are, in words
 */
export function offLawnBy(
  grid: Grid,
  taken: readonly { readonly what: string; readonly rings: readonly Ring[] }[],
): readonly OffLawn[] {
  const kinds = [...new Set(taken.map(({ what }) => what || UNNAMED))].slice(0, MOST_KINDS)
  const cells = new Uint8Array(grid.amounts.length)
  for (const { what, rings } of taken) {
    const kind = kinds.indexOf(what || UNNAMED)
    for (const ring of rings) markCells(grid, [ring], cells, kind + 1)
  }
  const sums = new Float64Array(kinds.length + 1)
  for (let i = 0; i < cells.length; i++) if (grid.lawn[i] !== 1) sums[cells[i]!]! += grid.amounts[i]!
  return [BEYOND, ...kinds]
    .map((what, i) => ({ what, amount: sums[i]! }))
    .filter(({ amount }) => amount > 0)
    .toSorted((a, b) => b.amount - a.amount)
}
const UNNAMED = 'what is taken out'
const BEYOND = 'beyond the edge'
