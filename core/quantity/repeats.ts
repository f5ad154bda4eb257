/** Repeated runs of one measurement, in whatever SI unit they came. */
export interface Repeats {
  readonly mean: number
  /** Sample standard deviation (n - 1); undefined for a single run: one run shows no spread. */
  readonly sd: number | undefined
  readonly count: number
  readonly values: readonly number[]
}

/**
 * Mean and spread of repeated runs.
 * @param values at least one
 * Source: sample mean and sample standard deviation.
 * @example repeats([1.6, 1.7, 1.65]) // mean 1.65, sd 0.05
 */
export function repeats(values: readonly number[]): Repeats {
  const count = values.length
  const mean = values.reduce((sum, value) => sum + value, 0) / count
  if (count < 2) return { mean, sd: undefined, count, values }
  const squares = values.reduce((sum, value) => sum + (value - mean) ** 2, 0)
  return { mean, sd: Math.sqrt(squares / (count - 1)), count, values }
}

/** Runs that differ by more than this (standard deviation over mean) do not yet agree (house default). */
export const UNEVEN_RUNS = 0.05

/** How far repeated runs agree: standard deviation over mean, undefined for a single run. */
export function agreement({ sd, mean }: Repeats): { readonly share: number | undefined; readonly state: 'single' | 'agree' | 'uneven' } {
  if (sd === undefined) return { share: undefined, state: 'single' }
  return { share: sd / mean, state: sd / mean > UNEVEN_RUNS ? 'uneven' : 'agree' }
}
