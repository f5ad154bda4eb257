import { sumOf, meanOf } from './counting'
import { NORMAL_95, studentT } from './studentT'

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
  const mean = meanOf(values)
  if (count < 2) return { mean, sd: undefined, count, values }
  const squares = sumOf(values, (value) => (value - mean) ** 2)
  return { mean, sd: Math.sqrt(squares / (count - 1)), count, values }
}

/**
 * One standard deviation of a mean of repeats, as wide as makes two of it hold the truth 95 times of a
 * hundred: few runs know little of their own spread.
 * @returns undefined for a single run
 * Source: sd / root n by Student's t of n - 1 over that of many.
 */
export const errorOfMean = ({ sd, count }: Repeats): number | undefined =>
  sd === undefined ? undefined : widened(sd, count - 1) / Math.sqrt(count)

/** A standard deviation known from so few differences, as wide as Student's t makes it. */
export const widened = (sd: number, freedom: number): number => (sd * studentT(freedom)) / NORMAL_95

/** One standard deviation of a figure rounded to whole steps. Source: evenly spread, step / root 12. */
export const roundingOf = (step: number): number => step / Math.sqrt(12)

/** Runs that differ by more than this (standard deviation over mean) do not yet agree (house default). */
export const UNEVEN_RUNS = 0.05

/** How far repeated runs agree: standard deviation over mean, undefined for a single run. */
export function agreement({ sd, mean }: Repeats): {
  readonly share: number | undefined
  readonly state: 'single' | 'agree' | 'uneven'
} {
  if (sd === undefined) return { share: undefined, state: 'single' }
  return { share: sd / mean, state: sd / mean > UNEVEN_RUNS ? 'uneven' : 'agree' }
}

/** The mean of repeats is sure enough once its standard error is within this share of it (house default). */
export const SURE_MEAN = 0.02

/**
 * What repeats so far ask for, and the standard error of their mean as a share, undefined for a single run.
 */
export interface RunAdvice {
  readonly advice: 'two more' | 'one more' | 'uneven' | 'enough'
  readonly error: number | undefined
}

/**
 * Whether another run would help: fewer than three show little, uneven ones were not at one pace, a wide mean
 * asks for one more.
 */
export function runAdvice(runs: Repeats): RunAdvice {
  if (runs.sd === undefined) return { advice: 'two more', error: undefined }
  const error = (errorOfMean(runs) ?? 0) / runs.mean
  if (agreement(runs).state === 'uneven') return { advice: 'uneven', error }
  return { advice: runs.count < 3 || error > SURE_MEAN ? 'one more' : 'enough', error }
}
