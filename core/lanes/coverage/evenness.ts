import type { Grid } from './grid'

/** How even a lawn was covered; amounts on each m2 in the SI unit of the rate. */
export interface CoverageFigures {
  readonly mean: number
  /** Standard deviation over the mean. */
  readonly cv: number
  /** Shares of the lawn under 80 % and over 120 % of the rate. */
  readonly under80: number
  readonly over120: number
  /** Twenty equal steps from nothing to the most; shares of the lawn. */
  readonly histogram: readonly { readonly from: number; readonly to: number; readonly share: number }[]
}

const BINS = 20
const [LITTLE, MUCH] = [0.8, 1.2]

/**
 * @param rate as it was meant, of all passes
 * @returns undefined where no cell lies on the lawn: the grid is too coarse for it
 */
export function coverageFigures(grid: Grid, rate: number): CoverageFigures | undefined {
  const { amounts, lawn, cell } = grid
  const square = cell * cell
  let [count, sum, most, under, over] = [0, 0, 0, 0, 0]
  for (let i = 0; i < amounts.length; i++) {
    if (lawn[i] !== 1) continue
    const here = amounts[i]! / square
    count += 1
    sum += here
    if (here > most) most = here
    if (here < LITTLE * rate) under += 1
    else if (here > MUCH * rate) over += 1
  }
  if (count === 0) return undefined
  const mean = sum / count
  const bins = new Float64Array(BINS)
  let squares = 0
  for (let i = 0; i < amounts.length; i++) {
    if (lawn[i] !== 1) continue
    const here = amounts[i]! / square
    squares += (here - mean) ** 2
    const bin = most > 0 ? Math.min(BINS - 1, Math.floor((here / most) * BINS)) : 0
    bins[bin]! += 1
  }
  const step = most / BINS
  return {
    mean,
    cv: mean > 0 ? Math.sqrt(squares / count) / mean : 0,
    under80: under / count,
    over120: over / count,
    histogram: Array.from(bins, (own, i) => ({ from: i * step, to: (i + 1) * step, share: own / count })),
  }
}

/** Steps of a tenth of the target, the last open at its top; shares of the lawn. */
export function sharesOfTarget({ amounts, lawn, cell }: Grid, target: number): readonly number[] {
  const bins = new Float64Array(BINS)
  const tenth = (target * cell * cell) / 10
  let count = 0
  for (let i = 0; i < amounts.length; i++) {
    if (lawn[i] !== 1) continue
    count += 1
    bins[Math.min(BINS - 1, Math.floor(amounts[i]! / tenth))]! += 1
  }
  return Array.from(bins, (own) => (count > 0 ? own / count : 0))
}

/** Share of the lawn that gets more than a limit. @param most kg or m3 on each m2 */
export function shareOver({ amounts, lawn, cell }: Grid, most: number): number {
  let [count, over] = [0, 0]
  const limit = most * cell * cell * (1 + 1e-9)
  for (let i = 0; i < amounts.length; i++) {
    if (lawn[i] !== 1) continue
    count += 1
    if (amounts[i]! > limit) over += 1
  }
  return count > 0 ? over / count : 0
}
