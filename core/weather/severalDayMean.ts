/** Windows open and close on the mean of so many days (trade.md 10). */
export const SEVERAL_DAYS = 5

/**
 * The mean of each day and the four before it; NaN where one of them is not known.
 */
export function severalDayMean(values: Float64Array): Float64Array {
  const means = new Float64Array(values.length)
  // Written out, each value read once: ten thousand lawns are worked out in a second or two.
  let [a, b, c, d] = [Number.NaN, Number.NaN, Number.NaN, Number.NaN]
  for (let i = 0; i < values.length; i++) {
    const value = values[i]!
    means[i] = (value + d + c + b + a) / SEVERAL_DAYS
    a = b
    b = c
    c = d
    d = value
  }
  return means
}
