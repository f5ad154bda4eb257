import { sumOf } from '../../quantity/counting'

/**
 * Variance of an area summed from readings at equal steps, for what its outline does between them. Each
 * reading is held against what its neighbours would say: differences of the fourth order (of the second where
 * there are few) leave out what is straight or evenly bent, and show the rest.
 * @param readings what is summed (a width, half a squared radius); @param step between them
 * @param course open along a baseline, or round a middle point
 * @returns the square of the area's unit; 0 where fewer than three readings tell nothing
 * Source: an edge that wanders (Brownian between readings, D a unit) leaves D step^3 / 12 a step; D from the
 *   mean square of second differences / (2 step), of fourth ones / (20 step).
 */
export function betweenVariance(readings: readonly number[], step: number, course: 'open' | 'round'): number {
  const order = readings.length >= FEWEST_FOR_FOURTH ? FOURTH : SECOND
  const count = course === 'round' ? readings.length : readings.length - order.weights.length + 1
  if (readings.length < SECOND.weights.length || count < 1) return 0
  const differences = Array.from({ length: count }, (_, i) =>
    sumOf(order.weights, (weight, j) => weight * (readings[(i + j) % readings.length] ?? 0)),
  )
  const meanSquare = sumOf(differences, (one) => one * one) / count
  return (readings.length * step * step * meanSquare) / (12 * order.gain)
}

/** What a difference makes of a step of a wandering edge: its mean square is this many times D step. */
interface Order {
  readonly weights: readonly number[]
  readonly gain: number
}
const SECOND: Order = { weights: [1, -2, 1], gain: 2 }
const FOURTH: Order = { weights: [1, -4, 6, -4, 1], gain: 20 }
const FEWEST_FOR_FOURTH = 7
