/** Windows open and close on the mean of so many days (trade.md 10). */
export const SEVERAL_DAYS = 5

/**
 * The mean of each day and the four before it; NaN where one of them is not known.
 */
export function severalDayMean(values: Float64Array): Float64Array {
  const means = new Float64Array(values.length).fill(Number.NaN)
  for (let i = SEVERAL_DAYS - 1; i < values.length; i++) {
    let sum = 0
    for (let back = 0; back < SEVERAL_DAYS; back++) sum += values[i - back] ?? Number.NaN
    means[i] = sum / SEVERAL_DAYS
  }
  return means
}
