/** Windows open and close on the mean of so many days (trade.md 10). */
export const SEVERAL_DAYS = 5

/**
 * The mean of each day and the four before it; NaN where one of them is not known.
 */
export function severalDayMean(values: Float64Array): Float64Array {
  const means = new Float64Array(values.length).fill(Number.NaN)
  // Written out: ten thousand lawns are worked out in a second or two.
  for (let i = SEVERAL_DAYS - 1; i < values.length; i++)
    means[i] = (values[i]! + values[i - 1]! + values[i - 2]! + values[i - 3]! + values[i - 4]!) / SEVERAL_DAYS
  return means
}
